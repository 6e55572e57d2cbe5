import { difficulty, firstMaking, inCluster } from '../lexicon/difficulty';
import type { Word } from '../lexicon/entry';
import { traitsOf } from '../lexicon/traits';
import type { Act, FoilKind, Step, StepPlace, Unit } from './step';

/**
 * How hard an item is, as one sum of points: the task, the unit it works on, the step's own turns of the screw (place
 * of the sound, kind of foil, number of choices, kind of result), and the word (number of sounds, clusters, beats, how
 * the first sound is made, familiarity: lexicon/difficulty). The order of every row is common practice, no source,
 * save the order of tasks, which follows Adams (Beginning to Read, 1990) and Anthony & Lonigan (2004), both from
 * memory. The size of a point is our own choice.
 */
const POINTS = {
  /** Notice, match, say one, put together, take apart, leave out, add, swap. */
  act: {
    echo: 0,
    notice: 4,
    match: 8,
    produce: 14,
    blend: 26,
    segment: 34,
    'leave-out': 46,
    add: 50,
    swap: 56,
  } satisfies Readonly<Record<Act, number>>,
  unit: { word: 0, syllable: 6, rhyme: 12, 'onset-rime': 14, sound: 20 } satisfies Readonly<Record<Unit, number>>,
  place: { first: 0, last: 4, ends: 5, any: 8, middle: 10, cluster: 14, onset: 2 } satisfies Readonly<
    Record<StepPlace, number>
  >,
  foil: { far: 0, 'same-start': 3, near: 4, 'same-vowel': 5, 'same-ends': 7 } satisfies Readonly<
    Record<FoilKind, number>
  >,
  result: { real: 0, nonsense: 6 },
  told: { told: 0, kept: 3 },
  starts: { hold: 0, clip: 3, cluster: 6 },
  /** More to choose from, more to hold in mind; a sound said back is no choice. */
  choices: 2,
  /** Each sound, beat, word or list entry that the step fixes, beyond the first. */
  count: 10,
  pictures: -6,
} as const;

/** What a task does with a word, as far as its hardness goes. */
interface Worked {
  readonly act: Act;
  readonly unit: Unit;
}

/**
 * Points of a step before any word is known; along the steps of a task they only rise.
 * @example stepPoints(blending, blending.steps[0]) < stepPoints(blending, blending.steps[1]) // true
 */
export function stepPoints(task: Worked, step: Step): number {
  return (
    POINTS.act[task.act] +
    POINTS.unit[step.unit ?? task.unit] +
    (step.place ? POINTS.place[step.place] : 0) +
    (step.foil ? POINTS.foil[step.foil] : 0) +
    (step.result ? POINTS.result[step.result] : 0) +
    (step.told ? POINTS.told[step.told] : 0) +
    (step.starts ? POINTS.starts[step.starts] : 0) +
    (step.choices ? (step.choices - 1) * POINTS.choices : 0) +
    (step.count ? (step.count - 1) * POINTS.count : 0) +
    (step.pictures ? POINTS.pictures : 0)
  );
}

/** Points of the word itself; in an item the step's count is in the step's points already. */
const wordPoints = (word: Word | null): number => (word ? difficulty(word) : 0);

export interface Hardness {
  readonly points: number;
  readonly reasons: readonly string[];
}

const MAKING_REASON = {
  hold: 'starts with a sound you can hold',
  clip: 'starts with a short sound',
  light: 'starts with a light sound',
  vowel: 'starts with a vowel',
} as const;
const BAND_REASON = { 1: 'an everyday word', 2: 'a word most children know', 3: 'a word to explain first' } as const;

/** How hard one item is, and why in words. */
export function hardnessOf(task: Worked, step: Step, word: Word | null): Hardness {
  const reasons = [step.name];
  if (word) {
    const beats = traitsOf(word).syllables;
    reasons.push(`${word.count} sounds`, MAKING_REASON[firstMaking(word)]);
    if (beats > 1) reasons.push(`${beats} beats`);
    if (word.sounds.some((_, at) => inCluster(word, at))) reasons.push('two sounds together');
    reasons.push(BAND_REASON[word.entry.band]);
  }
  return { points: stepPoints(task, step) + wordPoints(word), reasons };
}
