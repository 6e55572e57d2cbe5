/**
 * How each sound is made. Places, manners and voicing follow the chart of the International
 * Phonetic Association (2020 revision); "clip", "hold" and "light" say how an adult models it.
 */

export type Place =
  | 'bilabial' | 'labiodental' | 'dental' | 'alveolar' | 'postalveolar' | 'palatal' | 'velar' | 'labial-velar' | 'glottal';
export type Manner = 'stop' | 'affricate' | 'fricative' | 'nasal' | 'approximant' | 'lateral approximant';

/** clip: a hop that lands. hold: can be stretched. light: neither. vowel: the wide middle. */
export type Making = 'clip' | 'hold' | 'light' | 'vowel';

export interface ConsonantFacts {
  readonly kind: 'consonant';
  readonly place: Place;
  readonly manner: Manner;
  readonly voiced: boolean;
  readonly making: Exclude<Making, 'vowel'>;
  readonly label: string;
}

const consonant = (
  place: Place, manner: Manner, voiced: boolean, making: ConsonantFacts['making'], label: string,
): ConsonantFacts => ({ kind: 'consonant', place, manner, voiced, making, label });

export const CONSONANTS: Readonly<Record<string, ConsonantFacts>> = {
  p: consonant('bilabial', 'stop', false, 'clip', 'p'),
  b: consonant('bilabial', 'stop', true, 'clip', 'b'),
  t: consonant('alveolar', 'stop', false, 'clip', 't'),
  d: consonant('alveolar', 'stop', true, 'clip', 'd'),
  k: consonant('velar', 'stop', false, 'clip', 'k'),
  ɡ: consonant('velar', 'stop', true, 'clip', 'g'),
  tʃ: consonant('postalveolar', 'affricate', false, 'clip', 'ch'),
  dʒ: consonant('postalveolar', 'affricate', true, 'clip', 'j'),
  f: consonant('labiodental', 'fricative', false, 'hold', 'f'),
  v: consonant('labiodental', 'fricative', true, 'hold', 'v'),
  θ: consonant('dental', 'fricative', false, 'hold', 'th'),
  ð: consonant('dental', 'fricative', true, 'hold', 'th'),
  s: consonant('alveolar', 'fricative', false, 'hold', 's'),
  z: consonant('alveolar', 'fricative', true, 'hold', 'z'),
  ʃ: consonant('postalveolar', 'fricative', false, 'hold', 'sh'),
  ʒ: consonant('postalveolar', 'fricative', true, 'hold', 'zh'),
  h: consonant('glottal', 'fricative', false, 'light', 'h'),
  m: consonant('bilabial', 'nasal', true, 'hold', 'm'),
  n: consonant('alveolar', 'nasal', true, 'hold', 'n'),
  ŋ: consonant('velar', 'nasal', true, 'hold', 'ng'),
  l: consonant('alveolar', 'lateral approximant', true, 'hold', 'l'),
  r: consonant('postalveolar', 'approximant', true, 'hold', 'r'),
  j: consonant('palatal', 'approximant', true, 'light', 'y'),
  w: consonant('labial-velar', 'approximant', true, 'light', 'w'),
};

/**
 * Plain labels for vowels, as a practitioner would write the sound. `as` tells two sounds with one label apart.
 * One table an accent family: the same symbol never needs two labels within an accent.
 */
const VOWEL_LABELS: Readonly<Record<string, { label: string; as?: string }>> = {
  ɪ: { label: 'i' }, e: { label: 'e' }, ɛ: { label: 'e' }, æ: { label: 'a' }, ɒ: { label: 'o' },
  ʌ: { label: 'u' }, ʊ: { label: 'oo', as: 'book' }, 'iː': { label: 'ee' }, i: { label: 'ee' },
  eɪ: { label: 'ay' }, 'ɑː': { label: 'ar' }, ɑ: { label: 'ah' }, 'ɔː': { label: 'or' }, ɔ: { label: 'aw' },
  əʊ: { label: 'oa' }, oʊ: { label: 'oa' }, 'uː': { label: 'oo', as: 'moon' }, u: { label: 'oo', as: 'moon' },
  aɪ: { label: 'igh' }, ɔɪ: { label: 'oy' }, aʊ: { label: 'ow' }, 'ɜː': { label: 'ur' }, ɝ: { label: 'er' },
  ɚ: { label: 'er' }, ɪə: { label: 'ear' }, eə: { label: 'air' }, ə: { label: 'uh', as: 'banana' },
};

/** How the sound is modelled. Throws for a symbol outside the inventory. Example: `makingOf('t') // 'clip'`. */
export function makingOf(ipa: string): Making {
  const facts = CONSONANTS[ipa];
  if (facts) return facts.making;
  if (VOWEL_LABELS[ipa]) return 'vowel';
  throw new Error(`/${ipa}/ is not in the inventory of sounds.`);
}

const CONSONANT_AS: Readonly<Record<string, string>> = { θ: 'thin', ð: 'this' };

/**
 * The plain label of a sound and, where two sounds share it, a word to tell them apart.
 * @example labelOf('ʊ') // { label: 'oo', as: 'book' }
 */
export function labelOf(ipa: string): { label: string; as?: string } {
  const facts = CONSONANTS[ipa];
  if (facts) return CONSONANT_AS[ipa] ? { label: facts.label, as: CONSONANT_AS[ipa] } : { label: facts.label };
  const vowel = VOWEL_LABELS[ipa];
  if (!vowel) throw new Error(`/${ipa}/ is not in the inventory of sounds.`);
  return vowel;
}

/** True where the symbol is a vowel of some accent. Example: `isVowelSound('ɪə') // true`. */
export const isVowelSound = (ipa: string): boolean => VOWEL_LABELS[ipa] !== undefined;

/** Plain sentence for adults on how to say a sound when it is said alone. */
export const MAKING_ADVICE: Readonly<Record<Making, string>> = {
  clip: 'Clip it short: no “uh” after it.',
  hold: 'You can hold it.',
  light: 'Say it lightly: no “uh” after it.',
  vowel: 'The open middle: say it clearly.',
};
