interface Given { readonly id: string; readonly turn: number; readonly supersedes: string | null }

export interface Standing<A> {
  /** The answer that stands for each turn. */
  readonly byTurn: ReadonlyMap<number, A>;
  /** Answers given to a turn that had one already, on another device or tab. */
  readonly clashes: number;
}

/**
 * Which answers of a session stand: not undone, not superseded, and the latest of each turn.
 *
 * @param answers in the order of their ids
 * @param undone ids of answers taken back
 * @example standingAnswers([{ id: 'a', turn: 0, supersedes: null }], new Set()).byTurn.size // 1
 */
export function standingAnswers<A extends Given>(answers: readonly A[], undone: ReadonlySet<string>): Standing<A> {
  const superseded = new Set(answers.flatMap((a) => a.supersedes ?? []));
  const left = answers.filter((a) => !undone.has(a.id) && !superseded.has(a.id));
  const byTurn = new Map(left.map((a) => [a.turn, a]));
  return { byTurn, clashes: left.length - byTurn.size };
}
