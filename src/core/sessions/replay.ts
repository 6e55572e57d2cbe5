import { ROUND_STRIDE, roundOf, type AnswerEntry, type Entry } from './log';
import { standingAnswers } from './standing';
import { nextChild } from './turns';

export interface RoundPlan {
  /** Keys of the items in order, easy to hard; the last is the stretch. */
  readonly words: readonly string[];
  /** Turns that make this round; at least one. */
  readonly turns: number;
  /** Everyone answers at once: no child has the turn unless one is chosen. */
  readonly together?: boolean;
  /** The items follow each other: a new time round begins with the first again. */
  readonly inOrder?: boolean;
}

export interface SessionPlan {
  readonly rounds: readonly RoundPlan[];
  /** Who takes turns, the one with fewest turns lately first. */
  readonly children: readonly string[];
}

export interface SessionState {
  readonly phase: 'model' | 'turn' | 'round-done' | 'finished';
  readonly round: number;
  /** The turn being played, in the numbering of the log. */
  readonly turn: number;
  /** Turns marked so far in this round, without a gap. */
  readonly done: number;
  readonly planned: number;
  /** Whose turn it is; `null` for everyone together. */
  readonly childId: string | null;
  readonly word: string;
  /** The answers that stand, by turn. */
  readonly answers: readonly AnswerEntry[];
  /** The newest answer that can be undone. */
  readonly last: AnswerEntry | null;
  readonly away: ReadonlySet<string>;
  /** Answers another device or tab gave to a turn that had one already. The later one stands. */
  readonly clashes: number;
  /** Items swapped in, so that they are not offered again. */
  readonly swapped: readonly string[];
  /** What is ticked in the turn being played: words of a hunt. */
  readonly ticked: ReadonlySet<string>;
}

/** The item of a turn: through the set in order, shifted by one each time round so that a child meets new words. */
export function wordOfTurn({ words, inOrder }: Pick<RoundPlan, 'words' | 'inOrder'>, turn: number, swaps: ReadonlyMap<string, string>): string {
  const plain = words[(turn + (inOrder ? 0 : Math.floor(turn / words.length))) % words.length]!;
  return swaps.get(plain) ?? plain;
}

/**
 * The state of a session from its plan and its log. Pure: the same log gives the same state on every device.
 *
 * @example replay({ rounds: [{ words: ['sun'], turns: 1 }], children: ['a'] }, []).phase // 'model'
 */
export function replay(plan: SessionPlan, log: readonly Entry[]): SessionState {
  const undone = new Set(log.flatMap((e) => (e.kind === 'undo' ? [e.answerId] : [])));
  const { byTurn: standing, clashes } = standingAnswers(log.filter((e) => e.kind === 'answer'), undone);
  const away = new Set<string>();
  const swaps = new Map<string, string>();
  const swapped: string[] = [];
  const ticks = new Map<number, Set<string>>();
  const modelled = new Set([...standing.keys()].map(roundOf));
  const more = new Map<number, number>();
  let override = null as { turn: number; childId: string | null; word?: string } | null;
  let passed: { turn: number; children: Set<string> } = { turn: -1, children: new Set() };
  let at = 0;
  let finished = false;

  for (const entry of log) {
    switch (entry.kind) {
      case 'answer':
        break;
      case 'undo': {
        const answer = log.find((e): e is AnswerEntry => e.kind === 'answer' && e.id === entry.answerId);
        if (!answer) break;
        override = { turn: answer.turn, childId: answer.childId, word: answer.word };
        // An answer of a round already left is taken back in its round.
        at = roundOf(answer.turn);
        break;
      }
      case 'modelled':
        modelled.add(entry.round ?? 0);
        break;
      case 'round':
        at = entry.round;
        break;
      case 'tick': {
        const words = ticks.get(entry.turn) ?? new Set();
        if (entry.on) words.add(entry.word);
        else words.delete(entry.word);
        ticks.set(entry.turn, words);
        break;
      }
      case 'swap': {
        const plain = [...swaps].find(([, to]) => to === entry.from)?.[0] ?? entry.from;
        swaps.set(plain, entry.to);
        swapped.push(entry.to);
        if (override?.turn === entry.turn) delete override.word;
        break;
      }
      case 'pass':
        if (passed.turn !== entry.turn) passed = { turn: entry.turn, children: new Set() };
        passed.children.add(entry.childId);
        if (override?.turn === entry.turn) override = null;
        break;
      case 'choose':
        override = { turn: entry.turn, childId: entry.childId, ...(override?.turn === entry.turn && override.word ? { word: override.word } : {}) };
        break;
      case 'away':
        if (entry.away) away.add(entry.childId);
        else away.delete(entry.childId);
        if (entry.away && override?.childId === entry.childId) override = null;
        break;
      case 'more':
        more.set(entry.round ?? 0, (more.get(entry.round ?? 0) ?? 0) + entry.turns);
        break;
      case 'finish':
        finished = true;
        break;
    }
  }

  const round = Math.min(at, plan.rounds.length - 1);
  const here = plan.rounds[round]!;
  const answers = [...standing.values()].sort((a, b) => a.turn - b.turn);
  let done = 0;
  while (standing.has(round * ROUND_STRIDE + done)) done += 1;
  const turn = round * ROUND_STRIDE + done;
  const planned = here.turns + (more.get(round) ?? 0);
  const chosen = override?.turn === turn ? override : null;
  const waiting = passed.turn === turn ? passed.children : new Set<string>();
  const present = here.together ? [] : plan.children.filter((id) => !away.has(id));
  const before = answers.filter((a) => a.turn < turn);
  return {
    phase: finished ? 'finished' : !modelled.has(round) ? 'model' : done >= planned ? 'round-done' : 'turn',
    round, turn, done, planned,
    childId: chosen ? chosen.childId : nextChild(present, before, waiting),
    word: chosen?.word ?? wordOfTurn(here, done, swaps),
    answers,
    last: answers.findLast((a) => roundOf(a.turn) === round) ?? answers.at(-1) ?? null,
    away, clashes, swapped,
    ticked: ticks.get(turn) ?? new Set(),
  };
}
