import type { Entry } from './log';

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
    switch (entry.kind) {
      case 'answer': {
        const pad =
          entry.said !== null && entry.supersedes === null && !likely(entry.word, entry.said)
            ? entry.said.split(/[ +]/).length + 1
            : 0;
        const before =
          entry.supersedes === null
            ? entry.helps.length +
              (entry.slip === 'lost-sound' && entry.said === null ? entry.missed.length : 0) +
              (entry.note ? 2 : 0)
            : 0;
        add(entry.turn, 1 + pad + before);
        break;
      }
      case 'choose':
      case 'swap':
      case 'aside':
      case 'ease':
      case 'pass':
        add(entry.turn, 1);
        break;
      default:
        break;
    }
  }
  const marked = new Set(log.flatMap((e) => (e.kind === 'answer' ? [e.turn] : [])));
  return new Map([...taps].filter(([turn]) => marked.has(turn)));
}

/** The value that so large a share of the numbers stays at or below. Example: `atShare([1, 1, 2, 9], 0.5) // 1`. */
export function atShare(numbers: readonly number[], share: number): number {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted[Math.max(0, Math.ceil(sorted.length * share) - 1)] ?? 0;
}
