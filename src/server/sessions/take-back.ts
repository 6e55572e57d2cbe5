import type { AnswerEntry } from '../../core/sessions/log';
import { sessionLog } from '../record/session-record';

interface TakeBack {
  /** The answer that was corrected, as it stands now. */
  readonly answerId: string;
  /** The id of the new row, made on the device. */
  readonly newId: string;
}

/**
 * Takes a correction back: what stood before stands again, as a new row with a reason; nothing is lost. Gives undefined
 * where the answer took the place of none, or another has taken its own since.
 */
export async function takenBack(
  sessionId: string,
  { answerId, newId }: TakeBack,
  now = Date.now(),
): Promise<AnswerEntry | undefined> {
  const answers = (await sessionLog(sessionId)).filter((e): e is AnswerEntry => e.kind === 'answer');
  const stands = !answers.some((a) => a.supersedes === answerId);
  const before = answers.find((a) => a.id === answers.find((b) => b.id === answerId)?.supersedes);
  return stands && before ? { ...before, id: newId, at: now, supersedes: answerId, why: 'mis-tap' } : undefined;
}
