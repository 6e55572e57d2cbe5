import { isConsonantKey, isVowelKey, type Key } from './keys';
import { sure } from '../sure';

type Stress = 'main' | 'second' | 'none';

/** One key in its place. `seam` says that a word or an ending begins here (`+` in the line). */
export interface Segment {
  readonly key: Key;
  readonly syllable: number;
  readonly stress: Stress;
  readonly seam: boolean;
}

const STRESS: Record<string, Stress> = { "'": 'main', ',': 'second' };

/**
 * Reads a transcription line: keys apart by spaces, `.` between syllables, `+` at a seam,
 * `'` and `,` before the first key of a stressed syllable. A word of one syllable needs no mark.
 * Throws an Error that names the key it cannot read.
 *
 * @example parseTranscription("'r FACE n + ,b GOAT").length // 5
 */
export function parseTranscription(line: string): Segment[] {
  const segments: { key: Key; syllable: number; seam: boolean }[] = [];
  const stresses: Stress[] = ['none'];
  let seam = false;
  for (const token of line.trim().split(/\s+/)) {
    if (token === '.' || token === '+') {
      stresses.push('none');
      seam = token === '+';
      continue;
    }
    const mark = STRESS[token[0] ?? ''];
    const key = mark ? token.slice(1) : token;
    if (mark) stresses[stresses.length - 1] = mark;
    if (!isConsonantKey(key) && !isVowelKey(key)) {
      throw new Error(`"${key}" is not a key of the transcription (in "${line}")`);
    }
    segments.push({ key, syllable: stresses.length - 1, seam });
    seam = false;
  }
  const folded = joinBareEndings(segments);
  const count = new Set(folded.map((s) => s.syllable)).size;
  const onlyOne = count === 1;
  return folded.map((s) => ({ ...s, stress: onlyOne ? 'main' : sure(stresses[s.syllable]) }));
}

/** An ending with no vowel (*hand + s*) is part of the syllable before it. */
function joinBareEndings<T extends { key: Key; syllable: number }>(segments: T[]): T[] {
  const voiced = new Set(segments.filter((s) => isVowelKey(s.key)).map((s) => s.syllable));
  const host = (syllable: number): number => {
    let at = syllable;
    while (at > 0 && !voiced.has(at)) at -= 1;
    return at;
  };
  const renumber = new Map([...new Set(segments.map((s) => host(s.syllable)))].map((old, i) => [old, i]));
  return segments.map((s) => ({ ...s, syllable: sure(renumber.get(host(s.syllable))) }));
}

/** Number of syllables. Example: `syllableCount(parseTranscription("'r FACE n + ,b GOAT")) // 2`. */
export const syllableCount = (segments: readonly Segment[]): number => new Set(segments.map((s) => s.syllable)).size;
