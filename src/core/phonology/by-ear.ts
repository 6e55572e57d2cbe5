import { isPair, soundDistance, FAR, NEAR, type SoundPair } from './articulation';
import { CONSONANTS, isConsonant } from './sounds';

/** How two sounds are told apart by ear: easily mistaken, plainly different, or something between. */
export type ByEar = 'near' | 'between' | 'far';

/**
 * The five features by which listeners told 16 initial consonants apart in noise: Miller & Nicely 1955, An analysis of
 * perceptual confusions among some English consonants (five American adults; from memory). Voice and nasality came
 * through best, place worst. Columns: voiced, nasal, friction, long friction; sounds that share a row differ in place
 * alone.
 */
const FEATURES: readonly (readonly [sounds: string, voiced: 0 | 1, nasal: 0 | 1, friction: 0 | 1, long: 0 | 1])[] = [
  ['p t k', 0, 0, 0, 0],
  ['b d ɡ', 1, 0, 0, 0],
  ['f θ', 0, 0, 1, 0],
  ['v ð', 1, 0, 1, 0],
  ['s ʃ', 0, 0, 1, 1],
  ['z ʒ', 1, 0, 1, 1],
  ['m n', 1, 1, 0, 0],
];

/**
 * Sounds that were not among the 16, by hand. h is a weak voiceless friction like f; ng is a nasal; ch and j are
 * a stop and a long friction in one, nearest to sh and zh; l, r, w and y glide, so that they are near each other and
 * plainly different from whatever is cut off or blown without voice.
 */
const BY_HAND: readonly (readonly [a: string, b: string, ByEar])[] = [
  ...pairs('h', 'f x', 'near'),
  ['h', 'θ', 'between'],
  ...pairs('h', 'b d ɡ m n ŋ l r w j z ʒ dʒ', 'far'),
  ...pairs('ŋ', 'm n', 'near'),
  ...pairs('ŋ', 'p t k f θ s ʃ tʃ v ð z ʒ dʒ', 'far'),
  ...pairs('tʃ', 'ʃ t', 'near'),
  ...pairs('tʃ', 'b d ɡ m n v ð z l r w j', 'far'),
  ...pairs('dʒ', 'ʒ d', 'near'),
  ...pairs('dʒ', 'p t k m n', 'far'),
  ...pairs('l', 'r w j', 'near'),
  ...pairs('r', 'w j', 'near'),
  ...pairs('w', 'j', 'near'),
  ...['l', 'r', 'w', 'j'].flatMap((glide) => pairs(glide, 'p t k f θ s ʃ z ʒ', 'far')),
  ['w', 'ʍ', 'near'],
  ['x', 'k', 'near'],
];

function pairs(sound: string, others: string, how: ByEar): (readonly [string, string, ByEar])[] {
  return others.split(' ').map((other) => [sound, other, how] as const);
}

const featuresOf = (ipa: string) => FEATURES.find(([sounds]) => sounds.split(' ').includes(ipa));

/** By features: place alone is near; another manner, and voice or nasality with it, is far. */
function byFeatures(a: string, b: string): ByEar | null {
  const [x, y] = [featuresOf(a), featuresOf(b)];
  if (!x || !y) return null;
  if (x === y) return 'near';
  const [voice, nasality, ...manner] = [1, 2, 3, 4].map((i) => x[i] !== y[i]);
  const differ = [voice, nasality, ...manner].filter(Boolean).length;
  return differ >= 2 && (voice || nasality) ? 'far' : 'between';
}

/**
 * Vowels that listeners take for each other, in the letters of each accent. Peterson & Barney 1952, Control methods
 * used
 * in a study of the vowels (ten American vowels, seventy listeners; from memory): most often those of *pit* and *pet*,
 * *pet* and *pat*, *cot* and *caught*, *cut* and *cot*, and short and long in one place. Those of the other accents are
 * by hand: neighbours on the chart that differ in length alone, or begin or end in one place.
 */
const VOWELS_ALIKE: readonly (readonly [a: string, b: string, ByEar])[] = [
  // Pit and pet, pet and pat, in every accent.
  ...pairs('ɪ', 'e ɛ iː i ɪə', 'near'),
  ...pairs('æ', 'e ɛ ʌ a', 'near'),
  ...pairs('a', 'ɛ e ʌ ɑː', 'near'),
  // Cut, cot and caught.
  ...pairs('ʌ', 'ɒ ɑ ɑː ʊ ə', 'near'),
  ...pairs('ɔ', 'ɑ ɒ o oʊ', 'near'),
  ...pairs('ɔː', 'ɒ əʊ oː', 'near'),
  ...pairs('ʊ', 'uː u ʉ ɔː', 'near'),
  // Vowels that glide, and those they begin or end with.
  ...pairs('eə', 'e ɛ eɪ ɜː', 'near'),
  ...pairs('ɪə', 'iː eə', 'near'),
  ...pairs('aɪ', 'ɔɪ eɪ', 'near'),
  ...pairs('aʊ', 'əʊ oʊ', 'near'),
];

function vowelsByEar(a: string, b: string): ByEar {
  const hand = VOWELS_ALIKE.find(([x, y]) => isPair([[x, y]], a, b));
  if (hand) return hand[2];
  const distance = soundDistance(a, b);
  if (distance <= NEAR) return 'near';
  return distance >= FAR ? 'far' : 'between';
}

/** Voiced and voiceless: at the end of a word the vowel before it, and not the sound itself, tells them apart. */
const VOICING: readonly SoundPair[] = [
  ['p', 'b'],
  ['t', 'd'],
  ['k', 'ɡ'],
  ['f', 'v'],
  ['θ', 'ð'],
  ['s', 'z'],
  ['ʃ', 'ʒ'],
  ['tʃ', 'dʒ'],
];

/**
 * How two sounds are told apart by ear. A vowel and a consonant are far. At the end of a word voice says little,
 * because
 * stops there are often held and voiced ones half lose their voice: common practice in speech audiometry, no source.
 * @example byEar('m', 'n') // 'near'
 * @example byEar('s', 'm') // 'far'
 * @example byEar('k', 'ɡ', 'last') // 'near'
 */
export function byEar(a: string, b: string, place: 'first' | 'last' = 'first'): ByEar {
  if (!isConsonant(a) || !isConsonant(b)) return isConsonant(a) === isConsonant(b) ? vowelsByEar(a, b) : 'far';
  if (a === b || (place === 'last' && isPair(VOICING, a, b))) return 'near';
  const hand = BY_HAND.find(([x, y]) => isPair([[x, y]], a, b));
  return hand?.[2] ?? byFeatures(a, b) ?? 'between';
}

/**
 * True where one sound is easily taken for another by ear: consonants that are near, vowels that listeners took for
 * each other. Example: `easilyTaken('m', 'n') // true`.
 */
export const easilyTaken = (a: string, b: string, place: 'first' | 'last' = 'first'): boolean =>
  isConsonant(a) || isConsonant(b)
    ? byEar(a, b, place) === 'near'
    : VOWELS_ALIKE.some(([x, y]) => isPair([[x, y]], a, b));

/**
 * Pairs that many children of three to six say or hear alike for a while: no near foil hangs on them. Common practice,
 * no source; the processes they come from: Grunwell, Clinical Phonology (1987), from memory.
 */
export const MERGED: readonly SoundPair[] = [
  ['k', 't'],
  ['ɡ', 'd'],
  ['θ', 'f'],
  ['θ', 's'],
  ['ð', 'v'],
  ['ð', 'd'],
  ['r', 'w'],
  ['l', 'j'],
  ['l', 'w'],
  ['s', 'ʃ'],
  ['ʃ', 'tʃ'],
  ['v', 'b'],
];

/** Soft high sounds, the first that are lost where high sounds are heard less well. */
const HIGH: readonly string[] = ['s', 'f', 'θ', 'ʃ'];

/** True where what tells two sounds apart is high and soft, or is voice alone. */
export const hangsOnHigh = (a: string, b: string): boolean =>
  a !== b && (HIGH.includes(a) || HIGH.includes(b) || isPair(VOICING, a, b));

/** Sounds that are written alike, and that many people do not tell apart: they never part right from wrong. */
export const NEVER_APART: readonly SoundPair[] = [
  ['θ', 'ð'],
  ['w', 'ʍ'],
];

/** Every consonant, for tests and tables. */
export const EARS: readonly string[] = Object.keys(CONSONANTS);
