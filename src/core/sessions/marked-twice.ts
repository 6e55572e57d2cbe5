import { groupBy } from '../group-by';
import { sure } from '../sure';
import type { AnswerEntry, Entry } from './log';
import { undoneIn } from './standing';

/** A turn that was marked on two devices. */
export interface MarkedTwice {
  /** The mark that counts: the later one. */
  readonly counts: AnswerEntry;
  readonly other: AnswerEntry;
}

/**
 * The turns that two devices marked, each with both marks, until one of them is put right.
 * @param log in order
 * @example markedTwice([wrenOnOwn, wrenNotYet])[0]?.counts === wrenNotYet // true, of one turn
 */
export function markedTwice(log: readonly Entry[]): MarkedTwice[] {
  const undone = undoneIn(log);
  const answers = log.filter((e): e is AnswerEntry => e.kind === 'answer' && !e.second && !e.differs);
  const replaced = new Set(answers.flatMap((a) => a.supersedes ?? []));
  const left = answers.filter((a) => !undone.has(a.id) && !replaced.has(a.id));
  return [...groupBy(left, (a) => a.turn).values()]
    .filter((marks) => marks.length > 1)
    .map((marks) => ({ counts: sure(marks.at(-1)), other: sure(marks.at(-2)) }))
    .filter(({ counts, other }) => counts.outcome !== other.outcome || counts.childId !== other.childId);
}
