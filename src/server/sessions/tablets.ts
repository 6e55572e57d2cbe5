import { v7 } from 'uuid';
import type { AnswerEntry, Entry } from '../../core/sessions/log';
import { appendLog } from '../record/append-log';
import { checkId, OUT, sessionLog } from '../record/session-record';
import { database } from '../storage/database';
import { forgetArrived } from '../record/arrivals';
import { rows, run } from '../storage/rows';

/** Marks of one tablet that count. */
export interface FromTablet {
  readonly tablet: string;
  readonly marks: number;
}

/** The answers of a log that nothing has taken back. */
const standing = (log: readonly Entry[]): AnswerEntry[] => {
  const undone = new Set(log.flatMap((e) => (e.kind === 'undo' ? [e.answerId] : [])));
  return log.filter((e): e is AnswerEntry => e.kind === 'answer' && !undone.has(e.id));
};

/** The tablets that marked in a session, each with how many of its marks count. */
export async function tabletsOf(session: string, log: readonly Entry[]): Promise<FromTablet[]> {
  const found = await rows<{ id: string; tablet: string }>(
    'SELECT id, tablet FROM answers WHERE session_id = :session AND tablet IS NOT NULL ORDER BY received_at, id',
    { session },
  );
  const counts = new Set(standing(log).map((a) => a.id));
  const marks = new Map<string, number>();
  for (const { id, tablet } of found) if (counts.has(id)) marks.set(tablet, (marks.get(tablet) ?? 0) + 1);
  return [...marks].map(([tablet, n]) => ({ tablet, marks: n }));
}

/**
 * Takes back all that one tablet did in a session: its marks are undone, and what else it did is read no more. Every
 * row stays. The end of the session stands, whoever brought it.
 * @returns how many marks were taken back
 */
export async function takeTabletBack(session: string, tablet: string, now = Date.now()): Promise<number> {
  const db = await database();
  const own = await idsFrom(session, tablet);
  const marks = standing(await sessionLog(session)).filter((a) => own.has(a.id));
  await db.write(async (transaction) => {
    const kinds = STEPS_TAKEN_OUT.map((kind) => `'${kind}'`).join(', ');
    await run(
      `UPDATE steps SET kind = '${OUT}' WHERE session_id = ? AND tablet = ? AND kind IN (${kinds})`,
      [session, tablet],
      transaction,
    );
    transaction.afterCommit(() => forgetArrived(db));
  });
  // Newest first: of a mark and the one it took the place of, both go.
  await appendLog(
    session,
    marks.reverse().map((a) => ({ kind: 'undo', id: v7(), at: now, answerId: a.id })),
  );
  return marks.length;
}

/** Steps that change what marks mean, or who comes next. */
const STEPS_TAKEN_OUT = [
  'undo',
  'modelled',
  'round',
  'tick',
  'swap',
  'pass',
  'choose',
  'away',
  'said',
  'ease',
  'rest',
  'more',
];

/** Marks and steps of a session that came from one tablet. */
export const idsFrom = async (session: string, tablet: string): Promise<Set<string>> =>
  new Set(
    (
      await rows<{ id: string }>(
        `SELECT id FROM answers WHERE session_id = :session AND tablet = :tablet
         UNION ALL SELECT id FROM steps WHERE session_id = :session AND tablet = :tablet`,
        { session: checkId(session), tablet },
      )
    ).map((row) => row.id),
  );
