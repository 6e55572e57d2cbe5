import type { Transaction } from 'sequelize';
import type { Help, Outcome, Slip, Standing } from '../../core/answers/outcome';
import { groupBy } from '../../core/group-by';
import { MARKS, type Run } from '../../core/progress/evidence';
import { addCells, cellsOf, type Cells } from '../../core/progress/sound-map';
import { standingAnswers } from '../../core/sessions/standing';
import { database } from '../storage/database';
import type { AnswerRow, EvidenceRow, LogRow } from '../storage/models';
import { rows } from '../storage/rows';
import { givenOf } from '../record/session-record';
import { sure } from '../../core/sure';

const DAY_MS = 86_400_000;
/** Days since 1970 by the clock on the wall. Example: two answers of one evening share a day. */
const dayOf = (at: number): number => Math.floor((at - new Date(at).getTimezoneOffset() * 60_000) / DAY_MS);

/**
 * What the answers of one session say, child by child: a pure function of its log, so corrections and undos are in it.
 */
function evidenceIn(
  sessionId: string,
  answers: readonly AnswerRow[],
  undone: ReadonlySet<string>,
): { runs: EvidenceRow[]; heard: { child_id: string; session_id: string; cells: string }[] } {
  const { byTurn, differing } = standingAnswers(answers.map(givenOf), undone);
  const standing = [...byTurn.values(), ...differing]
    .filter((a) => a.childId !== null && a.outcome !== 'does-not-count')
    .sort((a, b) => (a.id < b.id ? -1 : 1));
  const runs = [...groupBy(standing, (a) => `${a.childId} ${a.task} ${a.step} ${a.standing}`).values()].map(
    (of): EvidenceRow => {
      const last = sure(of.at(-1));
      const helps: Partial<Record<Help, number>> = {};
      for (const a of of)
        if (a.outcome === 'with-help')
          for (const help of JSON.parse(a.helps) as Help[]) helps[help] = (helps[help] ?? 0) + 1;
      return {
        child_id: sure(last.childId),
        session_id: sessionId,
        task: last.task,
        step: last.step,
        standing: last.standing,
        at: last.at,
        day: dayOf(last.at),
        marks: of.map((a) => MARKS[a.outcome as keyof typeof MARKS]).join(''),
        helps: JSON.stringify(helps),
      };
    },
  );
  const heard = [...groupBy(standing, (a) => sure(a.childId))].flatMap(([child, of]) => {
    const cells = of.flatMap((a) => {
      const one = cellsOf({
        task: a.task,
        outcome: a.outcome as Outcome,
        slip: a.slip as Slip | null,
        missed: JSON.parse(a.missed) as number[],
        sounds: a.sounds ? a.sounds.split(' ') : [],
      });
      return one ? [one] : [];
    });
    return cells.length ? [{ child_id: child, session_id: sessionId, cells: JSON.stringify(addCells(cells)) }] : [];
  });
  return { runs, heard };
}

/** Works one session out anew. */
async function rebuild(sessionId: string, transaction: Transaction): Promise<void> {
  const { models } = await database();
  const of = { where: { session_id: sessionId }, transaction };
  const answers = (await models.answers.findAll({
    ...of,
    order: [['id', 'ASC']],
    raw: true,
  })) as unknown as AnswerRow[];
  const undos = (await models.logRows.findAll({
    where: { session_id: sessionId, kind: 'undo' },
    attributes: ['detail'],
    raw: true,
    transaction,
  })) as unknown as Pick<LogRow, 'detail'>[];
  const { runs, heard } = evidenceIn(
    sessionId,
    answers,
    new Set(undos.map((u) => (JSON.parse(u.detail) as { answerId: string }).answerId)),
  );
  await models.evidence.destroy(of);
  await models.heardSounds.destroy(of);
  if (runs.length) await models.evidence.bulkCreate(runs, { transaction });
  if (heard.length) await models.heardSounds.bulkCreate(heard, { transaction });
  await models.sessions.update({ stale: 0 }, { where: { id: sessionId }, transaction });
}

/**
 * Brings the evidence up to date: every session whose log has grown since is worked out anew, a few in a transaction.
 */
export async function refreshEvidence(): Promise<void> {
  const { models, write } = await database();
  const stale = (await models.sessions.findAll({ where: { stale: 1 }, attributes: ['id'], raw: true })) as unknown as {
    id: string;
  }[];
  for (let i = 0; i < stale.length; i += 20) {
    await write(async (transaction) => {
      for (const { id } of stale.slice(i, i + 20)) await rebuild(id, transaction);
    });
  }
}

/** The runs of children, in one query. Every child asked for is in the map. */
export async function runsOf(childIds: readonly string[]): Promise<Map<string, Run[]>> {
  await refreshEvidence();
  const out = new Map<string, Run[]>(childIds.map((id) => [id, []]));
  if (!childIds.length) return out;
  // One row a child: thousands of small rows would cost more to hand over than to read.
  const kept = await rows<{ child: string; runs: string }>(
    `SELECT child_id AS child,
       json_group_array(json_array(task, step, standing, at, day, marks, helps)) AS runs
     FROM evidence WHERE child_id IN (:ids) GROUP BY child_id`,
    { ids: [...childIds] },
  );
  for (const { child, runs } of kept) {
    out.set(
      child,
      (JSON.parse(runs) as [string, string, Standing, number, number, string, string][]).map(
        ([task, step, standing, at, day, marks, helps]) => ({
          task,
          step,
          standing,
          at,
          day,
          marks,
          helps: helps === '{}' ? {} : (JSON.parse(helps) as Run['helps']),
        }),
      ),
    );
  }
  return out;
}

/** How each sound fared for a child, over all sessions. */
export async function cellsOfChild(childId: string): Promise<Cells> {
  await refreshEvidence();
  const { models } = await database();
  const rows = (await models.heardSounds.findAll({
    where: { child_id: childId },
    attributes: ['cells'],
    raw: true,
  })) as unknown as { cells: string }[];
  return addCells(rows.map((r) => JSON.parse(r.cells) as Cells));
}
