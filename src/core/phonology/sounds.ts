import { ACCENT_IDS, accentOf, type AccentId } from './accents';
import type { VowelKey } from './keys';
import { sure } from '../sure';

/**
 * How each sound is made. Places, manners and voicing follow the chart of the International
 * Phonetic Association (2020 revision); "clip", "hold" and "light" say how an adult models it.
 */

export type Place =
  | 'bilabial'
  | 'labiodental'
  | 'dental'
  | 'alveolar'
  | 'postalveolar'
  | 'palatal'
  | 'velar'
  | 'labial-velar'
  | 'glottal';
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

type ConsonantRow = readonly [
  place: Place,
  manner: Manner,
  voiced: boolean,
  making: ConsonantFacts['making'],
  label: string,
];
const consonant = (...[place, manner, voiced, making, label]: ConsonantRow): ConsonantFacts => ({
  kind: 'consonant',
  place,
  manner,
  voiced,
  making,
  label,
});

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
  ʍ: consonant('labial-velar', 'fricative', false, 'light', 'wh'),
  x: consonant('velar', 'fricative', false, 'hold', 'ch'),
};

/**
 * Plain labels for vowels, as a practitioner would write the sound, in order of claim: where an accent says two sets
 * alike (*book* and *cup* in Northern English) the sound has the label of the first. `as` tells two sounds with one
 * label apart.
 */
const SET_LABELS: readonly (readonly [VowelKey, string, string?])[] = [
  ['KIT', 'i'],
  ['FACE', 'ay'],
  ['DRESS', 'e'],
  ['TRAP', 'a'],
  ['LOT', 'o'],
  ['STRUT', 'u'],
  ['FOOT', 'oo', 'book'],
  ['GOOSE', 'oo', 'moon'],
  ['START', 'ar'],
  ['NORTH', 'or'],
  ['FIR', 'ur'],
  ['NEAR', 'ear'],
  ['SQUARE', 'air'],
  ['CURE', 'ure'],
  ['THOUGHT', 'aw'],
  ['PALM', 'ah'],
  ['FLEECE', 'ee'],
  ['GOAT', 'oa'],
  ['PRICE', 'igh'],
  ['CHOICE', 'oy'],
  ['MOUTH', 'ow'],
  ['commA', 'uh', 'banana'],
  ['lettER', 'er'],
  ['happY', 'ee'],
  ['FERN', 'er'],
  ['FUR', 'ur'],
  ['FORCE', 'or'],
  ['BATH', 'a'],
  ['CLOTH', 'o'],
];

export interface Label {
  readonly label: string;
  readonly as?: string;
}

const vowelLabels = new Map<AccentId, ReadonlyMap<string, Label>>(
  ACCENT_IDS.map((id) => {
    const labels = new Map<string, Label>();
    for (const [key, label, as] of SET_LABELS) {
      const ipa = accentOf(id).vowels[key];
      if (!labels.has(ipa)) labels.set(ipa, as ? { label, as } : { label });
    }
    // A vowel kept only before r (*fork* where cot and caught are merged) is labelled as in the accent it varies.
    for (const ipa of Object.values(accentOf(id).beforeR)) if (!labels.has(ipa)) labels.set(ipa, { label: 'aw' });
    return [id, labels];
  }),
);

const amongVowels = (ipa: string): boolean => ACCENT_IDS.some((id) => sure(vowelLabels.get(id)).has(ipa));

/** How the sound is modelled. Throws for a symbol outside the inventory. Example: `makingOf('t') // 'clip'`. */
export function makingOf(ipa: string): Making {
  const facts = CONSONANTS[ipa];
  if (facts) return facts.making;
  if (amongVowels(ipa)) return 'vowel';
  throw new Error(`/${ipa}/ is not in the inventory of sounds.`);
}

/** Throws for a symbol outside the inventory. Example: `isVowel('æ') // true`. */
export const isVowel = (ipa: string): boolean => makingOf(ipa) === 'vowel';

const CONSONANT_AS: Readonly<Record<string, string>> = { θ: 'thin', ð: 'this', ʍ: 'whale', x: 'loch' };

/**
 * The plain label of a sound in an accent and, where two sounds share it, a word to tell them apart.
 * @example labelOf('ʊ', 'southern-british') // { label: 'oo', as: 'book' }
 */
export function labelOf(ipa: string, accent: AccentId): Label {
  const facts = CONSONANTS[ipa];
  if (facts) return CONSONANT_AS[ipa] ? { label: facts.label, as: CONSONANT_AS[ipa] } : { label: facts.label };
  const vowel = sure(vowelLabels.get(accent)).get(ipa);
  if (!vowel) throw new Error(`/${ipa}/ is not in the inventory of sounds of ${accent}.`);
  return vowel;
}

/** Plain sentence for adults on how to say a sound when it is said alone. */
export const MAKING_ADVICE: Readonly<Record<Making, string>> = {
  clip: 'Clip it short: no “uh” after it.',
  hold: 'You can hold it.',
  light: 'Say it lightly: no “uh” after it.',
  vowel: 'The open middle: say it clearly.',
};
