/**
 * The plain keys a transcription is written with.
 * Consonants are letters; vowels are the keywords of the lexical sets
 * (J. C. Wells, Accents of English, 1982), so one line serves every accent.
 */

/** Consonant key → IPA. The two accent-bound keys (hw, kh) are settled by the accent. */
export const CONSONANT_IPA = {
  p: 'p',
  b: 'b',
  t: 't',
  d: 'd',
  k: 'k',
  g: 'ɡ',
  f: 'f',
  v: 'v',
  th: 'θ',
  dh: 'ð',
  s: 's',
  z: 'z',
  sh: 'ʃ',
  zh: 'ʒ',
  h: 'h',
  ch: 'tʃ',
  j: 'dʒ',
  m: 'm',
  n: 'n',
  ng: 'ŋ',
  l: 'l',
  r: 'r',
  w: 'w',
  y: 'j',
  hw: 'w',
  kh: 'k',
} as const;

export type ConsonantKey = keyof typeof CONSONANT_IPA;

/** Lexical sets; FERN, FIR and FUR are the three parts of NURSE. EL, EM, EN are syllabic endings. */
export const VOWEL_KEYS = [
  'KIT',
  'DRESS',
  'TRAP',
  'LOT',
  'STRUT',
  'FOOT',
  'BATH',
  'CLOTH',
  'FLEECE',
  'FACE',
  'PALM',
  'THOUGHT',
  'GOAT',
  'GOOSE',
  'PRICE',
  'CHOICE',
  'MOUTH',
  'FERN',
  'FIR',
  'FUR',
  'NEAR',
  'SQUARE',
  'START',
  'NORTH',
  'FORCE',
  'CURE',
  'happY',
  'lettER',
  'commA',
  'EL',
  'EM',
  'EN',
] as const;

export type VowelKey = (typeof VOWEL_KEYS)[number];
export type Key = ConsonantKey | VowelKey;

const vowels: ReadonlySet<string> = new Set(VOWEL_KEYS);

/** True for a lexical-set keyword or syllabic ending. Example: `isVowelKey('FLEECE') // true`. */
export const isVowelKey = (key: string): key is VowelKey => vowels.has(key);

/** True for a consonant key. Example: `isConsonantKey('sh') // true`. */
export const isConsonantKey = (key: string): key is ConsonantKey => Object.hasOwn(CONSONANT_IPA, key);

/** Sets that hold a historic r: where r is pronounced, the vowel and its r may count as one unit. */
export const R_SETS: ReadonlySet<Key> = new Set<Key>([
  'FERN',
  'FIR',
  'FUR',
  'NEAR',
  'SQUARE',
  'START',
  'NORTH',
  'FORCE',
  'CURE',
  'lettER',
]);

/** Short vowels that end no English word: a child cannot easily say one alone, or hear it at an end. */
export const CLIPPED_SETS: ReadonlySet<Key> = new Set<Key>(['KIT', 'DRESS', 'TRAP', 'LOT', 'STRUT', 'FOOT']);

/** Endings said with no full vowel: *apple*, *bottom*, *kitten*. */
export const SYLLABIC_ENDINGS: ReadonlySet<Key> = new Set<Key>(['EL', 'EM', 'EN']);
