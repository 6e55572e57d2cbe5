import type { LetterPiece } from '../phonology/conventions';
import { GRAPHEMES } from '../phonology/graphemes';

interface Path {
  readonly cost: number;
  readonly pieces: readonly LetterPiece[];
}

/** A usual spelling costs little, a rare one more; a piece for two keys a little extra. */
const costOf = (rank: number, keys: number): number => 1 + rank * 0.4 + (keys - 1) * 0.5;

/** The longest run of keys one piece may spell. */
const RUN = 2;

/**
 * Cuts a spelling into the pieces that spell its keys; null where the table of spellings does not cover it.
 * @param spelling lower case letters
 * @param keys the keys of the transcription, in order
 * @example cutLetters('cake', ['k', 'FACE', 'k']) // c | a (tail e) | k
 */
export function cutLetters(spelling: string, keys: readonly string[]): LetterPiece[] | null {
  const known = new Map<string, Path | null>();
  const from = (at: number, key: number, tail: string): Path | null => {
    const state = `${at} ${key} ${tail}`;
    const before = known.get(state);
    if (before !== undefined) return before;
    const found = search(at, key, tail);
    known.set(state, found);
    return found;
  };
  const search = (at: number, key: number, tail: string): Path | null => {
    if (key === keys.length) return at === spelling.length && !tail ? { cost: 0, pieces: [] } : null;
    let best: Path | null = null;
    for (let run = 1; run <= RUN && key + run <= keys.length; run += 1) {
      (GRAPHEMES[keys.slice(key, key + run).join(' ')] ?? []).forEach((grapheme, rank) => {
        const [letters = '', ownTail = ''] = grapheme.split('_');
        if (!spelling.startsWith(letters, at) || (tail && ownTail)) return;
        let next = at + letters.length;
        if (tail && !spelling.startsWith(tail, next)) return;
        next += tail.length;
        const rest = from(next, key + run, ownTail);
        if (!rest) return;
        const cost = costOf(rank, run) + rest.cost;
        if (!best || cost < best.cost) best = { cost, pieces: [{ letters, tail: ownTail, keys: run }, ...rest.pieces] };
      });
    }
    return best;
  };
  const found = from(0, 0, '');
  return found ? [...found.pieces] : null;
}

/** Writes pieces as the letters column has them. Example: `writeLetters(pieces) // 'c|a_e|k'`. */
export const writeLetters = (pieces: readonly LetterPiece[]): string =>
  pieces.map(({ letters, tail, keys }) => letters + (tail ? `_${tail}` : '') + (keys > 1 ? `:${keys}` : '')).join('|');
