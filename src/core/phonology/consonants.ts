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
/** A row of the table as facts. Example: `consonant('bilabial', 'stop', false, 'clip', 'p').voiced // false`. */
export const consonant = (...[place, manner, voiced, making, label]: ConsonantRow): ConsonantFacts => ({
  kind: 'consonant',
  place,
  manner,
  voiced,
  making,
  label,
});

export const SHARED_CONSONANTS: Readonly<Record<string, ConsonantFacts>> = {
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
