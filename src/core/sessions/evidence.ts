import type { Standing } from '../answers/outcome';
import { roundOf, type AnswerEntry, type Entry } from './log';

interface RoundRan {
  readonly model: string | null;
  readonly way: string;
}

/**
 * How an answer stands as evidence. How the round ran decides, not the adult: what was modelled, or said by everyone,
 * for this item in this round before the answer makes it one after a model.
 *
 * @param before entries of the session; those after the answer are passed over
 * @example standingOf({ ...answer, childId: null }, { model: null, way: 'individual' }, []) // 'in-chorus'
 */
export function standingOf(answer: AnswerEntry, round: RoundRan | undefined, before: readonly Entry[]): Standing {
  if (answer.childId === null || answer.differs) return 'in-chorus';
  if (round?.way === 'check') return 'check-in';
  if (answer.word === round?.model) return 'after-a-model';
  const here = (e: Entry & { turn: number; word: string }): boolean =>
    e.word === answer.word && roundOf(e.turn) === roundOf(answer.turn) && e.id < answer.id;
  const modelled = before.some(
    (e) => (e.kind === 'said' && here(e)) || (e.kind === 'answer' && e.childId === null && here(e)),
  );
  return modelled ? 'after-a-model' : 'fresh';
}
