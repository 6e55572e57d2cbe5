import { askedFor } from '../answers/analyse';
import { isAbout, whereIn, spotKey } from '../answers/spots';
import { isOrdinaryLoss } from '../answers/speech';
import { homophones } from '../lexicon/likeness';
import { ipaOf, type Word } from '../lexicon/entry';
import { traitsOf } from '../lexicon/traits';
import { isVowel } from '../phonology/sounds';
import { sure } from '../sure';
import { oneBeat, type Material } from './material';
import { slashed } from './saying';

/** A word for a pebble check, with all that the adult says and sees. */
export interface PebbleWord {
  /** Sound and place: `r opening after`. */
  readonly key: string;
  readonly word: string;
  /** The word without the sound, as it may be read: a word, or a safe respelling. */
  readonly twin: string;
  /** The sound, in slashes. */
  readonly sound: string;
  /** Pebbles it takes. */
  readonly count: number;
}

/**
 * The check of one sound of a word; null for a vowel, for what most people leave out, and where nothing safe can be
 * shown of the word without it.
 * @example pebbleWord(frog, 1, material)?.twin // 'fog'
 */
export function pebbleWord(word: Word, at: number, material: Material): PebbleWord | null {
  const sounds = ipaOf(word);
  const ipa = sounds[at];
  if (ipa === undefined || isVowel(ipa) || isOrdinaryLoss(sounds, at)) return null;
  const left = sounds.filter((_, i) => i !== at);
  if (material.guard(left)) return null;
  const twin = material.context.spellingOf(left) ?? material.context.respell(left);
  return twin
    ? {
        key: spotKey(askedFor(sounds), at),
        word: word.word,
        twin,
        sound: slashed(ipa, material.accent),
        count: word.count,
      }
    : null;
}

/** Everyday words of one beat, those with a picture first. */
const everyday = (material: Material): readonly Word[] =>
  material.keep('for pebbles', () =>
    oneBeat(material)
      .filter((w) => w.entry.band < 3 && w.sounds.length <= 5 && !w.entry.doubt && !w.contest)
      .sort(
        (a, b) =>
          Number(b.entry.picture !== null) - Number(a.entry.picture !== null) ||
          traitsOf(a).difficulty - traitsOf(b).difficulty ||
          (a.word < b.word ? -1 : 1),
      ),
  );

/** Checks at hand for a place: one word more says more. Example: words with a sound after another at the start. */
export const pebbleWords = (place: string, material: Material): readonly PebbleWord[] =>
  material.keep(`pebbles ${place}`, () =>
    everyday(material)
      .flatMap((w) =>
        ipaOf(w).flatMap((_, at) => {
          const made = pebbleWord(w, at, material);
          return made && whereIn(made.key) === place ? [made] : [];
        }),
      )
      .slice(0, 40),
  );

/** Words with which one sound in one place can be checked. Example: `checkWords('r opening after', material)[0]`. */
export const checkWords = (key: string, material: Material): readonly PebbleWord[] =>
  pebbleWords(whereIn(key), material).filter((w) => w.key === key);

/** A word that holds what a pattern is about, and the word without it. */
export interface Twins {
  readonly word: Word;
  readonly twin: Word;
}

/** Which sound of a word a pattern is about; -1 where it is not in it, or most people leave it out. */
function spotIn(pattern: string, word: Word): number {
  const sounds = ipaOf(word);
  const asked = askedFor(sounds);
  return sounds.findIndex((_, at) => isAbout(pattern, spotKey(asked, at)) && !isOrdinaryLoss(sounds, at));
}

/**
 * Everyday words that hold a pattern, each beside the real word without it; the likeliest sounds first.
 * @param sounds those that slipped, the most often first
 * @example twinsOf('closing-first', ['n'], material)[0]?.word.word // 'went'
 */
export function twinsOf(pattern: string, sounds: readonly string[], material: Material): readonly Twins[] {
  const all = material.keep(`twins ${pattern}`, () =>
    everyday(material).flatMap((word): Twins[] => {
      const at = spotIn(pattern, word);
      if (at < 0) return [];
      const left = ipaOf(word).filter((_, i) => i !== at);
      const spelt = material.context.spellingOf(left);
      const twin = spelt === undefined ? undefined : material.byName.get(spelt);
      return twin && twin.entry.band < 3 && !material.guard(left) && !homophones(word, twin) ? [{ word, twin }] : [];
    }),
  );
  const rank = ({ word }: Twins): number => {
    const place = sounds.indexOf(sure(ipaOf(word)[spotIn(pattern, word)]));
    return place < 0 ? sounds.length : place;
  };
  return [...all].sort((a, b) => rank(a) - rank(b));
}

/** Everyday words that hold a pattern, with a twin or without; the likeliest sounds first. */
export function holding(pattern: string, material: Material): readonly Word[] {
  return material.keep(`holding ${pattern}`, () => everyday(material).filter((w) => spotIn(pattern, w) >= 0));
}

/** What is kept together shows in how a word is said apart, not in two words. */
const KEPT_NAMES: Readonly<Record<string, string>> = {
  'keeps-rime': 'm-a-n, not m-an',
  'keeps-cluster': 'f-r-o-g, not fr-o-g',
};

/**
 * The one plain name of a pattern: a word that holds what it is about beside its twin.
 * @example patternName('opening-second', material) // 'frog, not fog'
 */
export function patternName(pattern: string, material: Material): string {
  const [twins] = KEPT_NAMES[pattern] ? [] : twinsOf(pattern, [], material);
  if (twins) return `${twins.word.word}, not ${twins.twin.word}`;
  const [word] = holding(pattern, material);
  return KEPT_NAMES[pattern] ?? (word ? `words like ${word.word}` : 'words with this sound');
}

/** A pattern as something to do. Example: `hearAndSay('frog, not fog') // 'hear and say “frog, not fog”'`. */
export const hearAndSay = (name: string): string => `hear and say “${name}”`;
