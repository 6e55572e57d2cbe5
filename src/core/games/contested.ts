import type { Word } from '../lexicon/entry';
import { CONVENTION_WORDS } from '../phonology/conventions';

/**
 * The other count, for each convention that would change it: "3 if x counts as one" where box has 4,
 * "4 if its end counts as two" where apple has 3.
 */
export function contestWords(word: Word): string | null {
  if (!word.contest) return null;
  const { by, strict } = word.contest;
  const lines = by.map(({ convention, count }) => {
    const fusedNow = word.units.some((unit) => unit.by === convention);
    const other = fusedNow ? word.count + (strict - count) : word.count - (strict - count);
    return `${other} if ${CONVENTION_WORDS[convention].thing} counts as ${fusedNow ? 'two' : 'one'}`;
  });
  if (word.contest.speaker.length) lines.push('people count this one differently');
  return lines.join('; ');
}
