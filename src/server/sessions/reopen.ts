import { v7 } from 'uuid';
import { sortKey } from '../../core/sessions/log';
import { timeOf } from '../../core/sessions/stamps';
import { appendLog } from '../record/append-log';
import { sessionLog, sessionPlan } from '../record/session-record';
import { Problem } from '../storage/problems';

/** How long after its end a session can be gone on with. */
export const REOPEN_MS = 3_600_000;

/** True where a session is over and can still be gone on with. */
export const canReopen = (finishedAt: number | null, now = Date.now()): boolean =>
  finishedAt !== null && now - finishedAt < REOPEN_MS;

/**
 * Takes the end of a session back, within an hour; does nothing where it has not ended. Throws a Problem where it is
 * too late, or where there is no such session (404).
 */
export async function reopenSession(id: string, now = Date.now()): Promise<void> {
  const { finishedAt } = await sessionPlan(id);
  if (finishedAt === null) return;
  if (!canReopen(finishedAt, now))
    throw new Problem(
      'This session ended more than an hour ago, so you can’t carry on with it. You can start a new one.',
      409,
    );
  // It comes after the end, whatever the clock of the device that ended it said.
  const newest = (await sessionLog(id)).at(-1);
  const at = Math.max(now, newest ? timeOf(sortKey(newest)) + 1 : 0);
  await appendLog(id, [{ kind: 'reopen', id: v7({ msecs: at }), at }]);
}
