import type { Transaction } from 'sequelize';
import { nameNow } from '../../core/answers/name-now';
import { groupBy } from '../../core/group-by';
import type { StepRun } from '../../core/evidence/evidence';
import { cellsFrom, keptMarks, marksKept, runsFrom, type Given } from '../../core/evidence/reading';
import { couldBeRoom, roomsIn, withRoom } from '../../core/evidence/noisy-day';
import { playedAs } from '../../core/sessions/own-step';
import { roundOf, type PebbleMark } from '../../core/sessions/log';
import { readAnswers, type AnswerRead } from '../../core/sessions/standing';
import type { StoredRound } from '../../core/sessions/stored-round';
import { sure } from '../../core/sure';
import { database } from '../storage/database';
import type { EvidenceRow, PebbleCheckRow, ReadingRow } from '../storage/models';
import { insertRows, rows } from '../storage/rows';
import { sessionLog } from './session-record';
import { millisecondsInDay } from 'date-fns/constants';

/** Days since 1970 by the clock on the wall. Example: two answers of one evening share a day. */
const dayOf = (at: number): number => Math.floor((at - new Date(at).getTimezoneOffset() * 60_000) / millisecondsInDay);

const readingRow = ({ answer, fate, standing, askedAt }: AnswerRead, sessionId: string): ReadingRow => ({
  answer_id: answer.id,
  session_id: sessionId,
  child_id: answer.childId,
  fate,
  standing,
  asked_at: askedAt,
  slipped: answer.slip === null ? 0 : 1,
  noted: answer.note === null ? 0 : 1,
});

interface Session {
  readonly id: string;
  readonly rounds: readonly StoredRound[];
}

/** The sounds of the word an answer was given for, by the answer’s id (IPA); none where it was about no word. */
type SoundsOf = (answer: string) => readonly string[];

/** An answer that counts, with whose it is. */
interface CountedAnswer extends Given {
  readonly childId: string;
  readonly pebbles: readonly PebbleMark[];
}

/** The answers that stand and count, in the order in which the children were asked. */
function countedIn({ rounds }: Session, all: readonly AnswerRead[], soundsOf: SoundsOf): CountedAnswer[] {
  return all
    .filter((a) => a.fate === 'stands' && a.answer.childId !== null && a.answer.outcome !== 'does-not-count')
    .sort((a, b) => a.askedAt - b.askedAt || (a.answer.id < b.answer.id ? -1 : 1))
    .map(({ answer, standing, askedAt }): CountedAnswer => {
      const { childId, outcome, slip, said, missed, helps, by, pebbles = [], turn } = answer;
      const { task, step } = playedAs(sure(rounds[roundOf(turn)]), answer.word);
      const sounds = soundsOf(answer.id);
      const named = nameNow({ task, outcome, slip, said, sounds });
      const answered = { task, step, outcome, slip: named, said, missed, helps, standing, by: by ?? null, pebbles };
      const when = { at: askedAt, day: dayOf(askedAt) };
      return { ...answered, ...when, childId: sure(childId), sounds };
    });
}

const byChild = (all: readonly CountedAnswer[]): ReadonlyMap<string, readonly CountedAnswer[]> =>
  groupBy(all, (a) => a.childId);

/** A run as a row: what is open follows its marks. */
const evidenceRow = (child: string, session: string, run: StepRun, among: number): EvidenceRow => ({
  child_id: child,
  session_id: session,
  task: run.task,
  step: run.step,
  standing: run.standing,
  at: run.at,
  day: run.day,
  marks: keptMarks(run),
  helps: JSON.stringify(run.helps),
  marked_by: run.by ?? null,
  among,
});

/** What the answers of one session say of each child, step by step; what the room spoilt is marked as such. */
async function runsIn(
  { id }: Session,
  all: readonly CountedAnswer[],
  transaction: Transaction,
): Promise<EvidenceRow[]> {
  const runs = new Map([...byChild(all)].map(([child, answers]) => [child, runsFrom(answers)] as const));
  const rooms = couldBeRoom(runs) ? roomsIn(runs, await runsBefore(id, all, transaction)) : new Set<string>();
  return [...runs].flatMap(([child, theirs]) =>
    theirs.map((run) => evidenceRow(child, id, withRoom(run, rooms), runs.size)),
  );
}

/** What the children of a session had shown before it. */
async function runsBefore(
  session: string,
  all: readonly CountedAnswer[],
  transaction: Transaction,
): Promise<Map<string, StepRun[]>> {
  const found = await rows<EvidenceRow>(
    `SELECT * FROM evidence WHERE child_id IN (:children) AND session_id <> :session AND at < :at AND task IN (:tasks)`,
    {
      children: [...new Set(all.map((a) => a.childId))],
      tasks: [...new Set(all.map((a) => a.task))],
      session,
      at: Math.min(...all.map((a) => a.at)),
    },
    transaction,
  );
  const runs = found.map(({ child_id: child, task, step, standing, at, day, marks, marked_by: by }) => ({
    child,
    run: { task, step, standing: standing as StepRun['standing'], at, day, by, helps: {}, ...marksKept(marks) },
  }));
  return new Map([...groupBy(runs, (r) => r.child)].map(([child, theirs]) => [child, theirs.map((r) => r.run)]));
}

/** How each sound fared for each child of one session. */
const countedOf = ({ id }: Session, all: readonly CountedAnswer[]) =>
  [...byChild(all)].flatMap(([child, answers]) => {
    const cells = cellsFrom(answers);
    return cells ? [{ child_id: child, session_id: id, cells: JSON.stringify(cells), at: sure(answers[0]).at }] : [];
  });

/** The pebble checks of one session. */
const checksIn = ({ id }: Session, all: readonly CountedAnswer[]): PebbleCheckRow[] =>
  [...byChild(all)].flatMap(([child, of]) =>
    of
      .flatMap((a) => a.pebbles.map((mark) => ({ mark, a })))
      .map(({ mark, a }, place) => ({
        child_id: child,
        session_id: id,
        place,
        sound: mark.key,
        word: mark.word,
        says: mark.says,
        pebbles: mark.pebbles ? 1 : 0,
        told: mark.told,
        // The check comes after the slip that it is about.
        at: a.at + place + 1,
        day: a.day,
      })),
  );

/**
 * Reads one session anew: what stands, in what standing, and what that says of each child. Gives the ids of the
 * children it says something of, or said before.
 */
export async function rebuild(sessionId: string, transaction: Transaction): Promise<string[]> {
  const { models, remembered } = await database();
  const ofSession = { where: { session_id: sessionId }, transaction };
  const row = await models.sessions.findByPk(sessionId, { attributes: ['rounds'], transaction });
  if (!row) return [];
  const session = { id: sessionId, rounds: JSON.parse(row.get().rounds) as StoredRound[] };
  const log = await sessionLog(sessionId, transaction);
  const sounds = await rows<{ id: string; sounds: string }>(
    'SELECT id, sounds FROM answers WHERE session_id = :id',
    { id: sessionId },
    transaction,
  );
  const read = readAnswers(log, session.rounds);
  const kept = new Map(sounds.map((s) => [s.id, s.sounds]));
  const soundsOf: SoundsOf = (answer) => (kept.get(answer) ?? '').split(' ').filter(Boolean);
  const counted = countedIn(session, read, soundsOf);
  const runs = await runsIn(session, counted, transaction);
  const before = await rows<{ child: string | null }>(
    'SELECT DISTINCT child_id AS child FROM readings WHERE session_id = :id',
    { id: sessionId },
    transaction,
  );
  const whose = [...new Set([...before.map((r) => r.child), ...read.map((r) => r.answer.childId)])].filter(
    (id) => id !== null,
  );
  transaction.afterCommit(() => remembered.letGo(whose));
  await models.keptAdvice.destroy({ where: { child_id: whose }, transaction });
  await models.readings.destroy(ofSession);
  await models.evidence.destroy(ofSession);
  await models.heardSounds.destroy(ofSession);
  await models.pebbleChecks.destroy(ofSession);
  await insertRows(
    'readings',
    read.map((a) => readingRow(a, sessionId)),
    transaction,
  );
  await insertRows('evidence', runs, transaction);
  await insertRows('heard_sounds', countedOf(session, counted), transaction);
  await insertRows('pebble_checks', checksIn(session, counted), transaction);
  await models.sessions.update({ stale: 0 }, { where: { id: sessionId }, transaction });
  return whose;
}
