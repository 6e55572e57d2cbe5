import { isVowel, makingOf } from '../phonology/sounds';
import { sure } from '../sure';

/**
 * Kinds of words that ask the same of whoever blends or takes apart. How many sounds a word has says too little: *rat*,
 * *star* and *play* have three each. A cluster at the start and one at the end are two things to learn, and a second
 * beat is a third. After Treiman, Onsets and rimes as units of spoken syllables (1985), from memory, and common
 * practice, no source.
 */
export const WORD_SHAPES = ['2', '3-held', '3-clip', '4-start', '4-end', 'longer', 'two-beats'] as const;
export type WordShape = (typeof WORD_SHAPES)[number];

/** A vowel and the r after it are one, unless a vowel follows: *card* has no cluster, and *carry* is two beats. */
const joinsVowel = (sounds: readonly string[], at: number): boolean => {
  const vowelAt = (i: number): boolean => i in sounds && isVowel(sure(sounds[i]));
  return sounds[at] === 'r' && vowelAt(at - 1) && !vowelAt(at + 1);
};

/** The sounds of a word, a vowel and its r as one. Example: `joined(['k', 'ɑ', 'r', 'd']) // ['k', 'ɑ', 'd']`. */
const joined = (sounds: readonly string[]): string[] => sounds.filter((_, at) => !joinsVowel(sounds, at));

/**
 * What kind of word these sounds are, in any accent.
 * @param sounds of one word (IPA)
 * @example wordShape(['l', 'æ', 'm', 'p']) // '4-end'
 */
export function wordShape(sounds: readonly string[]): WordShape {
  const all = joined(sounds);
  if (all.filter(isVowel).length > 1) return 'two-beats';
  if (all.length < 3) return '2';
  if (all.length > 4) return 'longer';
  const vowel = all.findIndex(isVowel);
  const [before, after] = [vowel, all.length - vowel - 1];
  if (before > 1) return '4-start';
  if (after > 1) return '4-end';
  return makingOf(sure(all[0])) === 'hold' ? '3-held' : '3-clip';
}
