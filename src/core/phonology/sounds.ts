import { sure } from '../sure';
import type { OwnConsonant } from './accent';
import { accentOf, ACCENTS, type AccentId } from './accents';
import { SHARED_CONSONANTS, type ConsonantFacts, type Making } from './consonants';
import type { Label } from './labels';

const OWN: Readonly<Record<string, OwnConsonant>> = Object.assign({}, ...ACCENTS.map((a) => a.ownConsonants));

/** Every consonant of every accent, by IPA. */
export const CONSONANTS: Readonly<Record<string, ConsonantFacts>> = { ...SHARED_CONSONANTS, ...OWN };

/** Example: `isConsonant('ʃ') // true`. */
export const isConsonant = (ipa: string): boolean => Object.hasOwn(CONSONANTS, ipa);

/** A consonant only some accents have, with all that is said of it; undefined for one that all have. */
export const ownConsonant = (ipa: string): OwnConsonant | undefined => OWN[ipa];

const vowelLabels = new Map<string, ReadonlyMap<string, Label>>(
  ACCENTS.map(({ id, vowels, labels, moreLabels }) => {
    const own = new Map<string, Label>();
    for (const [key, label, as] of labels)
      if (!own.has(vowels[key])) own.set(vowels[key], as ? { label, as } : { label });
    for (const [ipa, label] of Object.entries(moreLabels)) if (!own.has(ipa)) own.set(ipa, label);
    return [id, own];
  }),
);

const amongVowels = (ipa: string): boolean => [...vowelLabels.values()].some((own) => own.has(ipa));

/** How the sound is modelled. Throws for a symbol outside the inventory. Example: `makingOf('t') // 'clip'`. */
export function makingOf(ipa: string): Making {
  const facts = CONSONANTS[ipa];
  if (facts) return facts.making;
  if (amongVowels(ipa)) return 'vowel';
  throw new Error(`/${ipa}/ is not in the inventory of sounds.`);
}

/** Throws for a symbol outside the inventory. Example: `isVowel('æ') // true`. */
export const isVowel = (ipa: string): boolean => makingOf(ipa) === 'vowel';

/** The two that share a label in every accent. */
const CONSONANT_AS: Readonly<Record<string, string>> = { θ: 'thin', ð: 'this' };

/**
 * The plain label of a sound in an accent and, where two sounds share it, a word to tell them apart.
 * @param next the sound that follows, where it is known: before an r that is said some vowels have another label
 * @example labelOf('ʊ', 'southern-british') // { label: 'oo', as: 'book' }
 */
export function labelOf(ipa: string, accent: AccentId, next?: string): Label {
  const beforeR = next === 'r' ? accentOf(accent).labelsBeforeR[ipa] : undefined;
  if (beforeR) return { label: beforeR };
  const facts = CONSONANTS[ipa];
  if (facts) {
    const as = CONSONANT_AS[ipa] ?? OWN[ipa]?.as;
    return as ? { label: facts.label, as } : { label: facts.label };
  }
  const vowel = sure(vowelLabels.get(accent)).get(ipa);
  if (!vowel) throw new Error(`/${ipa}/ is not in the inventory of sounds of ${accent}.`);
  return vowel;
}

/** Plain sentence for adults on how to say a sound when it is said alone. */
export const MAKING_ADVICE: Readonly<Record<Making, string>> = {
  clip: 'Clip it short: no “uh” after it.',
  hold: 'You can hold it.',
  light: 'Say it lightly: no “uh” after it.',
  vowel: 'Say it clearly.',
};
