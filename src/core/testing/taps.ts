import type { AnswerEntry, Entry } from '../sessions/log';

/**
 * Taps each answer took: the mark itself, and every tap that belongs to it (help noted before or after, the child
 * chosen, another word, sounds tapped on the pad). What the adult taps to model, to beat out or to go on is no part of
 * an answer.
 *
 * @param log of one session, in order
 * @param likely whether what was said stood among the chips of its item; else it was put together on the pad
 * @returns taps by turn, for the answers that stand
 */
export function tapsPerAnswer(
  log: readonly Entry[],
  likely: (word: string, said: string) => boolean,
): Map<number, number> {
  const taps = new Map<number, number>();
  const add = (turn: number, n: number): void => void taps.set(turn, (taps.get(turn) ?? 0) + n);
  for (const entry of log) {
    if (entry.kind === 'answer') add(entry.turn, tapsOf(entry, likely));
    else if (isTapOfTurn(entry)) add(entry.turn, 1);
  }
  const marked = new Set(log.flatMap((e) => (e.kind === 'answer' ? [e.turn] : [])));
  return new Map([...taps].filter(([turn]) => marked.has(turn)));
}

type TapOfTurn = Extract<Entry, { kind: 'choose' | 'swap' | 'aside' | 'ease' | 'pass' }>;
const TAPS_OF_TURN: ReadonlySet<Entry['kind']> = new Set(['choose', 'swap', 'aside', 'ease', 'pass']);
const isTapOfTurn = (entry: Entry): entry is TapOfTurn => TAPS_OF_TURN.has(entry.kind);

/** The mark itself, what was put together on the pad, and what was noted before it. */
function tapsOf(entry: AnswerEntry, likely: (word: string, said: string) => boolean): number {
  if (entry.supersedes !== null) return 1;
  const pad = entry.said !== null && !likely(entry.word, entry.said) ? entry.said.split(/[ +]/).length + 1 : 0;
  const sounds = entry.slip === 'lost-sound' && entry.said === null ? entry.missed.length : 0;
  return 1 + pad + entry.helps.length + sounds + (entry.note ? 2 : 0);
}

/** The value that so large a share of the numbers stays at or below. Example: `atShare([1, 1, 2, 9], 0.5) // 1`. */
export function atShare(numbers: readonly number[], share: number): number {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted[Math.max(0, Math.ceil(sorted.length * share) - 1)] ?? 0;
}
