import { ACCENTS } from '../phonology/accents';
import { CONSONANT_IPA } from '../phonology/keys';
import type { Making } from '../phonology/consonants';
import { syllableCount } from '../phonology/transcription';
import { sure } from '../sure';
import { difficulty, firstMaking } from './difficulty';
import type { Word } from './entry';

/** What choosing and comparing ask of a word again and again, worked out once. */
export interface Traits {
  /** The sounds, one character each, so that comparing words is comparing strings. */
  readonly said: string;
  /** From the last stressed vowel (main or second) to the end, written as `said`. */
  readonly rhyme: string;
  /** The consonants of that vowel's syllable before it: where two rhyming words part. */
  readonly onset: string;
  readonly vowels: string;
  readonly making: Making;
  readonly syllables: number;
  readonly difficulty: number;
}

/** Every sound of every accent, in an order that is the same wherever this is loaded. */
const INVENTORY = [
  ...new Set(
    ACCENTS.flatMap(({ vowels, beforeR, consonants, ideaIsOne, hurry }) => [
      ...Object.values(vowels),
      ...Object.values(beforeR),
      ...Object.values(consonants),
      ideaIsOne ?? '',
      hurry ?? '',
    ])
      .concat(Object.values(CONSONANT_IPA), 'r')
      .flatMap((ipa) => ipa.split(' '))
      .filter(Boolean),
  ),
].sort();

const FIRST_LETTER = 0xe000;
const letters = new Map(INVENTORY.map((ipa, i) => [ipa, String.fromCharCode(FIRST_LETTER + i)]));

/**
 * One private character for each sound. It does not hang on which word was looked at first: what is worked out in one
 * part of the server is read in another.
 */
const letterOf = (ipa: string): string => sure(letters.get(ipa), `a letter for /${ipa}/`);

const knownTraits = new WeakMap<Word, Traits>();

/** The traits of a word. Example: `traitsOf(sun).making // 'hold'`. */
export function traitsOf(word: Word): Traits {
  const before = knownTraits.get(word);
  if (before) return before;
  const { sounds, segments } = word;
  const said = sounds.map((s) => letterOf(s.ipa)).join('');
  const strong = sounds.findLast((s) => s.vowel && sure(segments[s.segment]).stress !== 'none')?.syllable;
  // Two vowels may stand in one beat (fire): the rhyme begins with the first.
  const from = sounds.findIndex((s) => s.vowel && s.syllable === strong);
  const made: Traits = {
    said,
    rhyme: said.slice(Math.max(from, 0)),
    onset: sounds
      .slice(0, Math.max(from, 0))
      .filter((s) => !s.vowel && s.syllable === sure(sounds[from]).syllable)
      .map((s) => letterOf(s.ipa))
      .join(''),
    vowels: sounds
      .filter((s) => s.vowel)
      .map((s) => letterOf(s.ipa))
      .join(''),
    making: firstMaking(word),
    syllables: syllableCount(segments),
    difficulty: difficulty(word),
  };
  knownTraits.set(word, made);
  return made;
}
