interface Given {
  readonly id: string;
  readonly turn: number;
  readonly supersedes: string | null;
  readonly childId?: string | null;
  readonly differs?: boolean;
  readonly second?: boolean;
}

export interface Standing<A> {
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
export function standingAnswers<A extends Given>(answers: readonly A[], undone: ReadonlySet<string>): Standing<A> {
  const superseded = new Set(answers.flatMap((a) => a.supersedes ?? []));
  const left = answers.filter((a) => !a.second && !undone.has(a.id) && !superseded.has(a.id));
  const turns = left.filter((a) => !a.differs);
  const byTurn = new Map(turns.map((a) => [a.turn, a]));
  const differing = new Map(left.filter((a) => a.differs).map((a) => [`${a.turn} ${a.childId ?? ''}`, a]));
  return { byTurn, differing: [...differing.values()], clashes: turns.length - byTurn.size };
}
