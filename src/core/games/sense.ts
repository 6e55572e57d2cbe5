import { heardLine } from '../answers/heard-line';
import { rightLikely, type LikelyAnswer } from '../answers/likely';
import { realise, type Word } from '../lexicon/entry';
import { ACCENT_IDS, type AccentId } from '../phonology/accents';
import { isVowel } from '../phonology/sounds';
import { voiceRow } from '../phonology/voice-label';
import type { Material } from './material';

/** What a string of sounds is: a word, a silly word that no list has, or neither of the two for certain. */
export type Sense = 'word' | 'silly' | 'neither';

/** Some sounds of a word, by the index of their segment, as each accent says them. */
const inAccents = (word: Word, stays: (segment: number) => boolean): readonly (readonly [AccentId, string[]])[] =>
  ACCENT_IDS.map((accent) => [
    accent,
    realise(word.entry, accent)
      .filter((s) => stays(s.segment))
      .map((s) => s.ipa),
  ]);

/**
 * What is left of a word when some of its segments go. A word: the bank or the pronouncing dictionary has it as a
 * common word. A silly word: no list, name or accent that ships has it. Anything else is neither, and the app claims
 * nothing of it: *fault* without /t/ is *fall* elsewhere, *stamp* without /s/ a rare word.
 * @param stays by the index of a segment
 * @example senseOfRest(shark, (at) => at > 0, material) // 'word': ark
 */
export function senseOfRest(word: Word, stays: (segment: number) => boolean, material: Material): Sense {
  const left = word.sounds.filter((s) => stays(s.segment)).map((s) => s.ipa);
  if (material.knownAs(left) !== undefined) return 'word';
  const known = material.oneBeats.known(left, material.accent);
  if (known) return known === 'common' ? 'word' : 'neither';
  // The lists are of one beat.
  if (left.filter(isVowel).length !== 1) return 'neither';
  const elsewhere = inAccents(word, stays).some(([accent, said]) => material.oneBeats.known(said, accent));
  return elsewhere ? 'neither' : 'silly';
}

/** What is left of a word, as it is printed and as an answer. */
export interface Rest {
  /** A word, a respelling that is read right by itself, or else the sounds one by one. */
  readonly name: string;
  /** The same with what it is, where that is certain. */
  readonly expected: string;
  /** What to say of it where it is no word; empty where it is one, or where nothing is claimed. */
  readonly about: string;
  readonly likely: LikelyAnswer;
}

const ABOUT: Readonly<Record<Sense, string>> = {
  word: '',
  silly: 'What’s left is a silly word, and that’s part of the fun.',
  neither: '',
};

/**
 * What is left of a word, shown so that it reads right.
 * @param own its spelling in the word, where that reads right beside it: the *bow* of *rainbow*
 * @example restOf(['ʌ', 'n'], 'silly', material).expected // 'un (made-up)'
 */
export function restOf(left: readonly string[], sense: Sense, material: Material, own?: string): Rest {
  const { accent, context } = material;
  const word = own ?? context.spellingOf(left);
  const respelt = word ?? context.respell(left);
  const name = respelt ?? voiceRow(left, accent, ' · ');
  const silly = sense === 'silly';
  const line = word === undefined ? { line: heardLine([left], [], accent) } : {};
  return {
    name,
    expected: silly ? `${name} (made-up)` : name,
    about: ABOUT[sense],
    likely: { ...rightLikely(left, name, silly ? 'right, made-up' : 'right'), show: respelt, ...line },
  };
}
