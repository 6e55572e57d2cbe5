import { CONSONANTS, type Manner, type Place } from './sounds';

/**
 * How far apart two sounds are made. Places stand in the order of the IPA chart (2020), from the lips to the throat;
 * the weights of place, manner and voice are our own choice, checked against which pairs children and adults mishear
 * most (Miller & Nicely 1955, An analysis of perceptual confusions among some English consonants; from memory):
 * voice is confused least between neighbours in noise, place most.
 */
const PLACE_ORDER: Readonly<Record<Place, number>> = {
  bilabial: 0, 'labial-velar': 0.5, labiodental: 1, dental: 1.5, alveolar: 2, postalveolar: 3, palatal: 4, velar: 5, glottal: 7,
};

/** How the air goes: two near manners cost half. */
const MANNER_ORDER: Readonly<Record<Manner, number>> = {
  stop: 0, affricate: 1, fricative: 2, nasal: 5, 'lateral approximant': 6.5, approximant: 7,
};

const WEIGHT = { place: 0.25, manner: 0.25, voice: 0.5, kind: 3 } as const;

/**
 * Distance of two sounds, 0 for the same sound; a vowel and a consonant are far apart, two vowels one step.
 * @example soundDistance('s', 'ʃ') < soundDistance('s', 'm') // true
 */
export function soundDistance(a: string, b: string): number {
  if (a === b) return 0;
  const [x, y] = [CONSONANTS[a], CONSONANTS[b]];
  if (!x && !y) return 1;
  if (!x || !y) return WEIGHT.kind;
  return (
    WEIGHT.place * Math.abs(PLACE_ORDER[x.place] - PLACE_ORDER[y.place]) +
    WEIGHT.manner * Math.abs(MANNER_ORDER[x.manner] - MANNER_ORDER[y.manner]) + (x.voiced === y.voiced ? 0 : WEIGHT.voice)
  );
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
  ['f', 'θ'], ['v', 'ð'], ['t', 'k'], ['d', 'ɡ'], ['s', 'ʃ'], ['s', 'θ'], ['r', 'w'], ['l', 'j'], ['tʃ', 't'], ['dʒ', 'd'], ['tʃ', 'ʃ'],
];

export type SoundPair = readonly [string, string];

/** True where the two sounds are one of the pairs, either way round. */
export const isPair = (pairs: readonly SoundPair[], a: string, b: string): boolean =>
  pairs.some(([x, y]) => (x === a && y === b) || (x === b && y === a));
