import type { Word } from '../lexicon/entry';
import { groupBy } from '../group-by';
import type { AccentId } from '../phonology/accents';
import { isConsonant, labelOf } from '../phonology/sounds';
import { sure } from '../sure';
import { partsOf, soundsOfKeys, type SpelledPart } from './parts';

/** A spelling (grapheme) with one of its sounds, as the everyday words of an accent have it. */
export interface Spelling extends SpelledPart {
  /** Everyday words (bands 1 and 2) that have it. */
  readonly words: number;
  /** A few of them, the plainest first. */
  readonly examples: readonly string[];
  /** True where the words that have it are too few to teach it for: an odd part for good. */
  readonly odd: boolean;
}

/** The sounds of a spelling in plain letters. Example: `saidAs('k s', 'scottish') // 'k s'`. */
export const saidAs = (sounds: string, accent: AccentId): string =>
  sounds
    .split(' ')
    .map((ipa, at, all) => labelOf(ipa, accent, all[at + 1]).label)
    .join(' ');

/** Words of the bank from which on a spelling is worth teaching (common practice, no source). */
const WORTH_TEACHING = 5;
const EXAMPLES = 3;

/** The words of an accent by the parts they have. */
interface Having {
  readonly part: SpelledPart;
  readonly word: Word;
}

const inOrder = (words: readonly Word[]): Word[] =>
  [...words].sort(
    (a, b) => a.entry.band - b.entry.band || a.sounds.length - b.sounds.length || (a.word < b.word ? -1 : 1),
  );

/** The keys that most words have for it: they stand for it where the accent changes. */
function usualKeys(having: readonly Having[]): string {
  const byKeys = [...groupBy(having, ({ part }) => part.keys)];
  return sure(byKeys.sort(([, a], [, b]) => b.length - a.length)[0])[0];
}

/**
 * Every spelling with each of its sounds, the commonest first. What the accent makes of a sound only beside another
 * one (*hurry*) cannot be taught by itself, and is not here.
 * @param words the bank in one accent, as the setting counts
 * @example spellingsOf(words('southern-british'))[0] // t, in about 900 words
 */
export function spellingsOf(words: readonly Word[]): Spelling[] {
  const having = inOrder(words).flatMap((word) =>
    [...new Map(partsOf(word).map((part) => [part.id, part])).values()].map((part) => ({ part, word })),
  );
  return [...groupBy(having, ({ part }) => part.id).values()]
    .flatMap((all) => {
      const { part, word } = sure(all[0]);
      const keys = usualKeys(all);
      if (soundsOfKeys(keys, word.accent) !== part.sounds) return [];
      const everyday = all.filter((h) => h.word.entry.band < 3).length;
      const examples = all.slice(0, EXAMPLES).map((h) => h.word.word);
      return [{ ...part, keys, words: everyday, examples, odd: all.length < WORTH_TEACHING }];
    })
    .sort((a, b) => b.words - a.words || (a.spelling < b.spelling ? -1 : 1));
}

/**
 * The sound that somebody means who names a spelling alone: one that can be taught before one that cannot, a consonant
 * before a vowel (*y*), then the one that more words have. Undefined for what no word has.
 * @example meantBy('th', spellings)?.sounds // 'θ'
 */
export function meantBy(spelling: string, spellings: readonly Spelling[]): Spelling | undefined {
  const mine = spellings.filter((s) => s.spelling === spelling);
  const consonant = ({ sounds }: Spelling): boolean => sounds.split(' ').every(isConsonant);
  return [...mine].sort(
    (a, b) => Number(a.odd) - Number(b.odd) || Number(consonant(b)) - Number(consonant(a)) || b.words - a.words,
  )[0];
}
