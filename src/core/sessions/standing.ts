import type { Standing } from '../answers/outcome';
import { roundOf, type AnswerEntry, type Entry } from './log';

interface Given {
  readonly id: string;
  readonly turn: number;
  readonly supersedes: string | null;
  readonly childId?: string | null;
  readonly differs?: boolean;
  readonly second?: boolean;
}

export interface Stands<A> {
  /** The answer that stands for each turn. */
  readonly byTurn: ReadonlyMap<number, A>;
  /** Children who answered otherwise than everyone did together. */
  readonly differing: readonly A[];
  /** Answers given to a turn that had one already, on another device or tab. */
  readonly clashes: number;
}

/**
 * Which answers of a session stand: not undone, not superseded, and the latest of each turn (of each child, where a
 * child differed from the others).
 *
 * @param answers in the order of their ids
 * @param undone ids of answers taken back
 * @example standingAnswers([{ id: 'a', turn: 0, supersedes: null }], new Set()).byTurn.size // 1
 */
export function standingAnswers<A extends Given>(answers: readonly A[], undone: ReadonlySet<string>): Stands<A> {
  const superseded = new Set(answers.flatMap((a) => a.supersedes ?? []));
  const left = answers.filter((a) => !a.second && !undone.has(a.id) && !superseded.has(a.id));
  const turns = left.filter((a) => !a.differs);
  const byTurn = new Map(turns.map((a) => [a.turn, a]));
  const differing = new Map(left.filter((a) => a.differs).map((a) => [`${a.turn} ${a.childId ?? ''}`, a]));
  return { byTurn, differing: [...differing.values()], clashes: turns.length - byTurn.size };
}

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
