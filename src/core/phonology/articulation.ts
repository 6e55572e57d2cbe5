import type { ConsonantFacts, Manner, Place } from './consonants';
import { CONSONANTS } from './sounds';

/**
 * How far apart two sounds are made. Places stand in the order of the IPA chart (2020), from the lips to the throat;
 * the weights of place, manner and voice are our own choice, checked against which pairs children and adults mishear
 * most (Miller & Nicely 1955, An analysis of perceptual confusions among some English consonants; from memory):
 * voice is confused least between neighbours in noise, place most.
 */
const PLACE_ORDER: Readonly<Record<Place, number>> = {
  bilabial: 0,
  'labial-velar': 0.5,
  labiodental: 1,
  dental: 1.5,
  alveolar: 2,
  postalveolar: 3,
  palatal: 4,
  velar: 5,
  glottal: 7,
};

/** How the air goes: two near manners cost half. */
const MANNER_ORDER: Readonly<Record<Manner, number>> = {
  stop: 0,
  affricate: 1,
  fricative: 2,
  nasal: 5,
  'lateral approximant': 6.5,
  approximant: 7,
};

const WEIGHT = { place: 0.25, manner: 0.25, voice: 0.5, kind: 4 } as const;

interface VowelPlace {
  /** 0 close to 6 open. */
  readonly height: number;
  /** 0 front to 2 back. */
  readonly back: number;
  readonly round: boolean;
  readonly rhotic: boolean;
}

const place = (height: number, back: number, round = false, rhotic = false): VowelPlace => ({
  height,
  back,
  round,
  rhotic,
});

/**
 * Where each vowel letter stands on the vowel chart of the IPA (2020): close, near-close, close-mid, mid, open-mid,
 * near-open, open.
 */
const VOWEL_PLACES: Readonly<Record<string, VowelPlace>> = {
  i: place(0, 0),
  ʉ: place(0, 1, true),
  u: place(0, 2, true),
  ɪ: place(1, 0.5),
  ʊ: place(1, 1.5, true),
  e: place(2, 0),
  o: place(2, 2, true),
  ə: place(3, 1),
  ɛ: place(4, 0),
  ɜ: place(4, 1),
  ʌ: place(4, 2),
  ɔ: place(4, 2, true),
  æ: place(5, 0),
  a: place(6, 0),
  ɑ: place(6, 2),
  ɒ: place(6, 2, true),
  ɚ: place(3, 1, false, true),
  ɝ: place(4, 1, false, true),
};

const VOWEL_WEIGHT = { height: 0.1, back: 0.2, round: 0.2, rhotic: 0.3, long: 0.15 } as const;

/** Where a vowel begins and ends, and whether it is long. Throws for a symbol that is no vowel. */
export function vowelPath(ipa: string): { readonly from: VowelPlace; readonly to: VowelPlace; readonly long: boolean } {
  const letters = [...ipa].filter((c) => c !== 'ː');
  const [from, to = from] = letters.map((c) => VOWEL_PLACES[c]);
  if (!from || !to || letters.length > 2) throw new Error(`/${ipa}/ is not in the inventory of sounds.`);
  return { from, to, long: ipa.endsWith('ː') || letters.length > 1 };
}

const placesApart = (a: VowelPlace, b: VowelPlace): number =>
  VOWEL_WEIGHT.height * Math.abs(a.height - b.height) +
  VOWEL_WEIGHT.back * Math.abs(a.back - b.back) +
  (a.round === b.round ? 0 : VOWEL_WEIGHT.round) +
  (a.rhotic === b.rhotic ? 0 : VOWEL_WEIGHT.rhotic);

function vowelsApart(a: string, b: string): number {
  const [x, y] = [vowelPath(a), vowelPath(b)];
  return (placesApart(x.from, y.from) + placesApart(x.to, y.to)) / 2 + (x.long === y.long ? 0 : VOWEL_WEIGHT.long);
}

const consonantsApart = (x: ConsonantFacts, y: ConsonantFacts): number =>
  WEIGHT.place * Math.abs(PLACE_ORDER[x.place] - PLACE_ORDER[y.place]) +
  WEIGHT.manner * Math.abs(MANNER_ORDER[x.manner] - MANNER_ORDER[y.manner]) +
  (x.voiced === y.voiced ? 0 : WEIGHT.voice);

/** Two vowels, or a vowel and a consonant. */
const vowelAnd = (a: string, b: string, consonant: ConsonantFacts | undefined): number =>
  consonant ? WEIGHT.kind : vowelsApart(a, b);

const measured = new Map<string, number>();

/**
 * Distance of two sounds, 0 for the same sound and for no other; a vowel and a consonant are far apart. A metric: the
 * same both ways, and never longer than by way of a third sound. Throws for a symbol outside the inventory.
 * @example soundDistance('s', 'ʃ') < soundDistance('s', 'm') // true
 */
export function soundDistance(a: string, b: string): number {
  if (a === b) return 0;
  const key = `${a} ${b}`;
  const known = measured.get(key);
  if (known !== undefined) return known;
  const [x, y] = [CONSONANTS[a], CONSONANTS[b]];
  const far = x && y ? consonantsApart(x, y) : vowelAnd(a, b, x ?? y);
  measured.set(key, far);
  return far;
}

/** Up to here two sounds are near: /s/ and /ʃ/, /s/ and /z/, /f/ and /θ/. */
export const NEAR = 0.75;
/** From here two sounds are far: /s/ and /m/. */
export const FAR = 1.25;

/**
 * Pairs of sounds that some children do not yet tell apart when they speak (fronting, stopping and the like). Grunwell,
 * Clinical Phonology (2nd ed., 1987), from memory.
 */
export const CONFUSABLE_PAIRS: readonly (readonly [string, string])[] = [
  ['f', 'θ'],
  ['v', 'ð'],
  ['t', 'k'],
  ['d', 'ɡ'],
  ['s', 'ʃ'],
  ['s', 'θ'],
  ['r', 'w'],
  ['l', 'j'],
  ['tʃ', 't'],
  ['dʒ', 'd'],
  ['tʃ', 'ʃ'],
];

export type SoundPair = readonly [string, string];

/** True where the two sounds are one of the pairs, either way round. */
export const isPair = (pairs: readonly SoundPair[], a: string, b: string): boolean =>
  pairs.some(([x, y]) => (x === a && y === b) || (x === b && y === a));
