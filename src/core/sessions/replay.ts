import type { AnswerEntry, Entry } from './log';
import { standingAnswers } from './standing';
import { nextChild } from './turns';

export interface SessionPlan {
  /** Words in order, easy to hard; the last is the stretch. */
  readonly words: readonly string[];
  readonly children: readonly string[];
  /** Turns that make one round; at least one. */
  readonly turns: number;
}

export interface SessionState {
  readonly phase: 'model' | 'turn' | 'round-done' | 'finished';
  /** Turns marked so far; the turn being played has this index. */
  readonly turn: number;
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
  /** Words swapped in, so that they are not offered again. */
  readonly swapped: readonly string[];
}

/** The word of a turn: through the set in order, shifted by one each time round so that a child meets new words. */
export function wordOfTurn(words: readonly string[], turn: number, swaps: ReadonlyMap<string, string>): string {
  const plain = words[(turn + Math.floor(turn / words.length)) % words.length]!;
  return swaps.get(plain) ?? plain;
}

/**
 * The state of a session from its plan and its log. Pure: the same log gives the same state on every device.
 *
 * @example replay({ words: ['sun'], children: ['a'], turns: 1 }, []).phase // 'model'
 */
export function replay(plan: SessionPlan, log: readonly Entry[]): SessionState {
  const undone = new Set(log.flatMap((e) => (e.kind === 'undo' ? [e.answerId] : [])));
  const { byTurn: standing, clashes } = standingAnswers(log.filter((e) => e.kind === 'answer'), undone);
  const away = new Set<string>();
  const swaps = new Map<string, string>();
  const swapped: string[] = [];
  let override = null as { turn: number; childId: string | null; word?: string } | null;
  let passed: { turn: number; children: Set<string> } = { turn: -1, children: new Set() };
  let planned = plan.turns;
  let modelled = standing.size > 0;
  let finished = false;

  for (const entry of log) {
    switch (entry.kind) {
      case 'answer':
        break;
      case 'undo': {
        const answer = log.find((e): e is AnswerEntry => e.kind === 'answer' && e.id === entry.answerId);
        if (answer) override = { turn: answer.turn, childId: answer.childId, word: answer.word };
        break;
      }
      case 'modelled':
        modelled = true;
        break;
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
        planned += entry.turns;
        break;
      case 'finish':
        finished = true;
        break;
    }
  }

  const answers = [...standing.values()].sort((a, b) => a.turn - b.turn);
  let turn = 0;
  while (standing.has(turn)) turn += 1;
  const chosen = override?.turn === turn ? override : null;
  const waiting = passed.turn === turn ? passed.children : new Set<string>();
  const present = plan.children.filter((id) => !away.has(id));
  const before = answers.filter((a) => a.turn < turn);
  return {
    phase: finished ? 'finished' : !modelled ? 'model' : turn >= planned ? 'round-done' : 'turn',
    turn,
    planned,
    childId: chosen ? chosen.childId : nextChild(present, before, waiting),
    word: chosen?.word ?? wordOfTurn(plan.words, turn, swaps),
    answers,
    last: answers.at(-1) ?? null,
    away,
    clashes,
    swapped,
  };
}
