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
 * Sounds that were not among the 16, by hand. h is a weak voiceless friction like f and th; ng is a nasal; ch and j are
 * a stop and a long friction in one, nearest to sh and zh; l, r, w and y glide, so that they are near each other and
 * plainly different from whatever is cut off or blown without voice.
 */
const BY_HAND: readonly (readonly [a: string, b: string, ByEar])[] = [
  ...pairs('h', 'f θ x', 'near'),
  ...pairs('h', 'b d ɡ m n ŋ l r w j z ʒ dʒ', 'far'),
  ...pairs('ŋ', 'm n', 'near'),
  ...pairs('ŋ', 'p t k f θ s ʃ tʃ v ð z ʒ dʒ', 'far'),
  ...pairs('tʃ', 'ʃ', 'near'),
  ...pairs('tʃ', 'b d ɡ m n v ð z l r w j', 'far'),
  ...pairs('dʒ', 'ʒ', 'near'),
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
 * How two sounds are told apart by ear. A vowel and a consonant are far; two vowels are as near as they are made.
 * @example byEar('m', 'n') // 'near'
 * @example byEar('s', 'm') // 'far'
 */
export function byEar(a: string, b: string): ByEar {
  if (!isConsonant(a) || !isConsonant(b)) {
    if (isConsonant(a) !== isConsonant(b)) return 'far';
    const distance = soundDistance(a, b);
    if (distance <= NEAR) return 'near';
    return distance >= FAR ? 'far' : 'between';
  }
  if (a === b) return 'near';
  const hand = BY_HAND.find(([x, y]) => isPair([[x, y]], a, b));
  return hand?.[2] ?? byFeatures(a, b) ?? 'between';
}

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

/** The two th: which of them it is never parts right from wrong. */
export const TWO_TH: SoundPair = ['θ', 'ð'];

/** Every consonant, for tests and tables. */
export const EARS: readonly string[] = Object.keys(CONSONANTS);
