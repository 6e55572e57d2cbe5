import { canJudge } from '../answers/can-judge';
import { judge, type Question } from '../answers/judge';
import { isPlain, type OwnWay } from '../answers/own-way';
import { chunksOf } from '../answers/said';
import type { Item } from '../games/item';
import { accentOf, type AccentId } from '../phonology/accents';

/** Who answers, and where. */
interface Answering {
  /** The setting’s. */
  readonly accent: AccentId;
  /** People here speak in several accents. */
  readonly mixed: boolean;
  readonly ownWay: OwnWay;
  /** The answer as the child’s other accent says it. */
  readonly otherAccent: readonly string[] | undefined;
}

/** How an answer of a child to an item is judged. */
export const questionOf = ({ judged, marks, view }: Item, { accent, ...of }: Answering): Question => ({
  judged,
  marks,
  ...of,
  tapsT: accentOf(accent).tapsT,
  to: view.kind === 'change' ? view.to : undefined,
});

/**
 * Ids of the likely answers that are right after all in this child’s own way of speaking: no chips for them. Worked out
 * before the session is played, so that Play need not judge.
 */
export function rightInOwnWay(item: Item, answering: Answering): string[] {
  if (isPlain(answering.ownWay) || !canJudge(item.judged)) return [];
  const question = questionOf(item, answering);
  return item.likely
    .filter(({ outcome, said }) => outcome === 'not-yet' && said)
    .filter(({ said }) => judge(question, chunksOf(said)).outcome !== 'not-yet')
    .map(({ id }) => id);
}
