import type { AccentId } from '../phonology/accents';
import { labelOf } from '../phonology/sounds';
import { chunksOf } from './said';

/**
 * What was said as a person reads it: the sounds' labels, parts apart by a dot. What is no row of sounds (a choice, a
 * number, words that were found) stays as it is.
 * @example saidLabel('f+r ɒ ɡ', 'southern-british') // 'fr · o · g'
 */
export function saidLabel(said: string, accent: AccentId): string {
  try {
    return chunksOf(said)
      .map((chunk) => chunk.map((ipa) => labelOf(ipa, accent).label).join(''))
      .join(' · ');
  } catch {
    return said;
  }
}
