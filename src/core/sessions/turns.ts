import type { AnswerEntry } from './log';
import { sure } from '../sure';

/**
 * Whose turn is next: fewest turns first, then list order; never the same child twice running while another is
 * here; a child who passed waits for the others. `null` where nobody is here: everyone answers together.
 * An answer that does not count does not use up a turn: that child goes again at once.
 * @param ahead turns to count beside those given: who comes late joins in where the others are, and is not asked five
 * times running
 *
 * @example nextChild(['a', 'b'], [], new Set()) // 'a'
 */
export function nextChild(
  present: readonly string[],
  answers: readonly Pick<AnswerEntry, 'childId' | 'outcome'>[],
  passed: ReadonlySet<string>,
  ahead: ReadonlyMap<string, number> = new Map(),
): string | null {
  const turns = new Map(present.map((id) => [id, ahead.get(id) ?? 0]));
  for (const { childId, outcome } of answers) {
    if (childId && turns.has(childId) && outcome !== 'does-not-count') turns.set(childId, sure(turns.get(childId)) + 1);
  }
  const last = answers.at(-1);
  const justHad = last?.outcome === 'does-not-count' ? undefined : last?.childId;
  const ranked = [...present].sort((a, b) => sure(turns.get(a)) - sure(turns.get(b)));
  return (
    ranked.find((id) => id !== justHad && !passed.has(id)) ??
    ranked.find((id) => !passed.has(id)) ??
    ranked.find((id) => id !== justHad) ??
    ranked[0] ??
    null
  );
}

/** Fewest and most words in a set. */
const SET_SIZE = { least: 6, most: 10, usual: 8 } as const;

/** How many words can be asked for: up to a whole wall of cards. */
export const SET_SIZES = [6, 7, 8, 9, 10, 12, 15, 20, 25, 30] as const;

/**
 * How many words to propose so that every child gets the same number of turns, 6 to 10.
 * @example setSizeFor(4) // 8
 */
export function setSizeFor(children: number): number {
  if (children < 1) return SET_SIZE.usual;
  const rounds = Math.floor(SET_SIZE.usual / children) || Math.floor(SET_SIZE.most / children) || 0;
  const size = rounds * children;
  if (size >= SET_SIZE.least) return size;
  const longer = Math.ceil(SET_SIZE.least / children) * children;
  return longer <= SET_SIZE.most ? longer : SET_SIZE.usual;
}

/**
 * Turns in one round: whole rounds of the children where the words allow it, else one turn each.
 * @example turnsFor(8, 4) // 8
 */
export function turnsFor(words: number, children: number): number {
  if (children < 1) return words;
  return Math.max(1, Math.floor(words / children)) * children;
}

/** Minutes a round takes, at least one. Example: `minutesFor(8, 15) // 2`. */
export const minutesFor = (turns: number, secondsPerTurn: number): number =>
  Math.max(1, Math.round((turns * secondsPerTurn) / 60));
