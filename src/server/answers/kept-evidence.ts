import { millisecondsInDay } from 'date-fns/constants';
import type { Standing } from '../../core/answers/outcome';
import type { Cells } from '../../core/evidence/cells';
import type { StepRun } from '../../core/evidence/evidence';
import { KEPT_DAYS, type PebbleCheck } from '../../core/evidence/pebbles';
import { marksKept } from '../../core/evidence/reading';
import type { ChildSeen, SessionCells } from '../../core/evidence/settle';
import { caughtUp } from '../record/rebuild-queue';
import { rows } from '../storage/rows';

type RunTuple = [string, string, Standing | 'room', number, number, string, string, string | null, number | null];

const runOf = ([task, step, standing, at, day, kept, helps, by, among]: RunTuple): StepRun => ({
  task,
  step,
  standing,
  at,
  day,
  ...marksKept(kept),
  helps: helps === '{}' ? {} : (JSON.parse(helps) as StepRun['helps']),
  ...(by ? { by } : {}),
  ...(among === null ? {} : { among }),
});

/** Lists of one kind for each child, in one value a child: thousands of small rows would cost more to hand over. */
async function listsOf<T>(sql: string, childIds: readonly string[], more: object = {}): Promise<Map<string, T[]>> {
  await caughtUp();
  const out = new Map<string, T[]>(childIds.map((id) => [id, []]));
  if (!childIds.length) return out;
  for (const { child, list } of await rows<{ child: string; list: string }>(sql, { ids: [...childIds], ...more }))
    out.set(child, JSON.parse(list) as T[]);
  return out;
}

/** The runs of children since a time, in one query; all of them, or those with something open. */
async function runsSince(childIds: readonly string[], since: number, openOnly: 0 | 1): Promise<Map<string, StepRun[]>> {
  const kept = await listsOf<RunTuple>(
    `SELECT child_id AS child,
       json_group_array(json_array(task, step, standing, at, day, marks, helps, marked_by, among)) AS list
     FROM evidence WHERE child_id IN (:ids) AND at > :since AND (:openOnly = 0 OR marks LIKE '%;%') GROUP BY child_id`,
    childIds,
    { since, openOnly },
  );
  return new Map([...kept].map(([child, of]) => [child, of.map(runOf)]));
}

/** All runs of children. Every child asked for is in the map. */
export const runsOf = (childIds: readonly string[]): Promise<Map<string, StepRun[]>> => runsSince(childIds, 0, 0);

/** What is open for children, or was checked lately: little, where all they ever answered is not asked for. */
export async function slipsOf(childIds: readonly string[], now: number): Promise<Map<string, ChildSeen>> {
  const since = now - KEPT_DAYS * millisecondsInDay;
  const [runs, checks] = await Promise.all([runsSince(childIds, since, 1), checksOf(childIds)]);
  return new Map(childIds.map((id) => [id, { runs: runs.get(id) ?? [], sessions: [], checks: checks.get(id) ?? [] }]));
}

/** Sounds heard longer ago are not looked at for patterns: a little more than patterns read. */
const HEARD_DAYS = 100;

/** How each sound fared for children, a session each; those of the last months. */
async function cellsOfChildren(childIds: readonly string[], now: number): Promise<Map<string, SessionCells[]>> {
  const kept = await listsOf<[number, Cells]>(
    `SELECT child_id AS child, json_group_array(json_array(at, json(cells))) AS list
     FROM heard_sounds WHERE child_id IN (:ids) AND at > :since GROUP BY child_id`,
    childIds,
    { since: now - HEARD_DAYS * millisecondsInDay },
  );
  return new Map([...kept].map(([child, of]) => [child, of.map(([at, cells]) => ({ at, cells }))]));
}

type CheckTuple = [string, string, PebbleCheck['says'], number, number | null, number, number];

/** The pebble checks of children. */
async function checksOf(childIds: readonly string[]): Promise<Map<string, PebbleCheck[]>> {
  const kept = await listsOf<CheckTuple>(
    `SELECT child_id AS child,
       json_group_array(json_array(sound, word, says, pebbles, told, at, day)) AS list
     FROM pebble_checks WHERE child_id IN (:ids) GROUP BY child_id`,
    childIds,
  );
  return new Map(
    [...kept].map(([child, of]) => [
      child,
      of.map(([key, word, says, pebbles, told, at, day]) => ({
        key,
        word,
        says,
        pebbles: pebbles === 1,
        told,
        at,
        day,
      })),
    ]),
  );
}

/** All that was seen of children, for who advises. Every child asked for is in the map. */
export async function seenOf(childIds: readonly string[], now: number): Promise<Map<string, ChildSeen>> {
  const [runs, cells, checks] = await Promise.all([
    runsOf(childIds),
    cellsOfChildren(childIds, now),
    checksOf(childIds),
  ]);
  return new Map(
    childIds.map((id) => [
      id,
      { runs: runs.get(id) ?? [], sessions: cells.get(id) ?? [], checks: checks.get(id) ?? [] },
    ]),
  );
}
