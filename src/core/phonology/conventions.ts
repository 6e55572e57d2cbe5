import type { Sound } from './realise';
import { R_SETS, SYLLABIC_ENDINGS, type Key } from './keys';
import type { Segment } from './transcription';
import { sure } from '../sure';

/**
 * Counting conventions: where good practitioners disagree, each switch says whether two sounds count as one
 * unit. `true` fuses. They work on the sounds of the accent in force.
 */
export const CONVENTION_IDS = ['vowelR', 'x', 'qu', 'yoo', 'syllabicEnd', 'ing', 'nk'] as const;
export type ConventionId = (typeof CONVENTION_IDS)[number];
export type Conventions = Readonly<Record<ConventionId, boolean>>;

/** The setting's starting point; `strict` is sound by sound; `letters` is as the letters go. */
export const PRESETS = {
  default: { vowelR: true, x: false, qu: false, yoo: false, syllabicEnd: true, ing: false, nk: false },
  strict: { vowelR: false, x: false, qu: false, yoo: false, syllabicEnd: false, ing: false, nk: false },
  letters: { vowelR: true, x: true, qu: true, yoo: true, syllabicEnd: true, ing: true, nk: true },
} as const satisfies Record<string, Conventions>;

/** What each switch asks, in the words of the settings screen. */
export const CONVENTION_WORDS: Readonly<
  Record<
    ConventionId,
    {
      thing: string;
      question: string;
      fused: string;
      apart: string;
      example: string;
    }
  >
> = {
  vowelR: {
    thing: 'vowel and r',
    question: 'Vowel and r, where r is pronounced',
    fused: 'one',
    apart: 'two',
    example: 'card',
  },
  x: { thing: 'x', question: 'x', fused: 'one', apart: 'two, k and s', example: 'box' },
  qu: { thing: 'qu', question: 'qu', fused: 'one', apart: 'two, k and w', example: 'queen' },
  yoo: { thing: '“yoo”', question: '“yoo” spelt without a y', fused: 'one', apart: 'two, y and oo', example: 'cube' },
  syllabicEnd: {
    thing: 'its end',
    question: 'The end of apple and kitten',
    fused: 'one',
    apart: 'two',
    example: 'apple',
  },
  ing: { thing: '-ing', question: 'The ending -ing', fused: 'one chunk', apart: 'two sounds', example: 'ring' },
  nk: { thing: 'nk', question: 'nk', fused: 'one chunk', apart: 'two sounds', example: 'pink' },
};

/** A piece of spelling and how many keys of the transcription it spells. */
export interface LetterPiece {
  readonly letters: string;
  /** The part of a split spelling that stands after the next piece: the second e of *cake* is `e`. */
  readonly tail: string;
  readonly keys: number;
}

export interface Unit {
  readonly sounds: readonly Sound[];
  /** The convention that fused these sounds; absent where the unit is one sound. */
  readonly by?: ConventionId;
}

interface Fused {
  readonly word: { readonly segments: readonly Segment[]; readonly letters: readonly LetterPiece[] };
  readonly sounds: readonly Sound[];
}

/** The piece of spelling behind each segment. */
function lettersBySegment(pieces: readonly LetterPiece[]): LetterPiece[] {
  return pieces.flatMap((piece) => Array.from({ length: piece.keys }, () => piece));
}

type Rule = (at: number, context: Fused, letters: readonly LetterPiece[]) => boolean;

const keyAt = ({ sounds }: Fused, at: number): Key | undefined => sounds[at]?.key;
const pair = (context: Fused, at: number, first: string, second: string): boolean =>
  keyAt(context, at) === first && keyAt(context, at + 1) === second;
const spelt = (letters: readonly LetterPiece[], sound: Sound | undefined): string =>
  sound ? (letters[sound.segment]?.letters ?? '') : '';

/** Does the pair of sounds that begins at `at` count as one under this convention? */
const RULES: Readonly<Record<ConventionId, Rule>> = {
  vowelR: (at, context) => {
    const [vowel, r] = [context.sounds[at], context.sounds[at + 1]];
    if (!vowel || !r || vowel.segment !== r.segment || !R_SETS.has(vowel.key)) return false;
    return !context.sounds[at + 2]?.vowel; // an r before a vowel begins the next beat (hero)
  },
  x: (at, context, letters) =>
    (pair(context, at, 'k', 's') || pair(context, at, 'g', 'z')) && spelt(letters, context.sounds[at]).startsWith('x'),
  qu: (at, context, letters) => pair(context, at, 'k', 'w') && spelt(letters, context.sounds[at]).startsWith('qu'),
  yoo: (at, context, letters) => pair(context, at, 'y', 'GOOSE') && !spelt(letters, context.sounds[at]).startsWith('y'),
  syllabicEnd: (at, context) =>
    SYLLABIC_ENDINGS.has(sure(context.sounds[at]).key) &&
    context.sounds[at + 1]?.segment === sure(context.sounds[at]).segment,
  ing: (at, context, letters) =>
    pair(context, at, 'KIT', 'ng') &&
    at + 2 === context.sounds.length &&
    spelt(letters, context.sounds[at]) + spelt(letters, context.sounds[at + 1]) === 'ing',
  nk: (at, context) => pair(context, at, 'ng', 'k'),
};

/**
 * The units of a word under a convention.
 *
 * @param word the parsed entry's segments and letters
 * @param sounds what an accent made of it
 * @example units(box, sounds, PRESETS.letters).length // 3
 */
export function units(word: Fused['word'], sounds: readonly Sound[], conventions: Conventions): Unit[] {
  const context: Fused = { word, sounds };
  const letters = lettersBySegment(word.letters);
  const out: Unit[] = [];
  for (let at = 0; at < sounds.length; at += 1) {
    const by = CONVENTION_IDS.find(
      (id) => conventions[id] && at + 1 < sounds.length && RULES[id](at, context, letters),
    );
    if (by) {
      out.push({ sounds: [sure(sounds[at]), sure(sounds[at + 1])], by });
      at += 1;
    } else {
      out.push({ sounds: [sure(sounds[at])] });
    }
  }
  return out;
}

/** Words whose count or first sound changes from speaker to speaker in one accent. */
type SpeakerContest = 'fire' | 'idea' | 'tune' | 'beats' | 'careful';

export interface Contest {
  /** Count with every fusion off. */
  readonly strict: number;
  /** Count when this convention alone is fused. */
  readonly by: readonly { readonly convention: ConventionId; readonly count: number }[];
  readonly speaker: readonly SpeakerContest[];
}

/** How often one rule fuses two sounds of a word, from its start on; a sound is in one unit alone. */
function fusions(rule: Rule, context: Fused, letters: readonly LetterPiece[]): number {
  let fused = 0;
  for (let at = 0; at + 1 < context.sounds.length; at += 1) {
    if (!rule(at, context, letters)) continue;
    fused += 1;
    at += 1;
  }
  return fused;
}

/**
 * Why the count of a word may be argued about within one accent; `null` where it may not.
 * @example contest(box, sounds)?.by // [{ convention: 'x', count: 3 }]
 */
export function contest(word: Fused['word'], sounds: readonly Sound[]): Contest | null {
  const strict = sounds.length;
  const context: Fused = { word, sounds };
  const letters = lettersBySegment(word.letters);
  const by = CONVENTION_IDS.flatMap((convention) => {
    const fused = fusions(RULES[convention], context, letters);
    return fused ? [{ convention, count: strict - fused }] : [];
  });
  const keys = word.segments.map((s) => s.key);
  const has = (...run: Key[]): boolean => keys.some((_, i) => run.every((key, j) => keys[i + j] === key));
  const speaker: SpeakerContest[] = [];
  if (has('PRICE', 'lettER') || has('MOUTH', 'lettER')) speaker.push('fire');
  if (has('FLEECE', 'commA')) speaker.push('idea');
  const yod = sounds.findIndex((s) => s.key === 'y');
  if (yod > 0 && ['t', 'd'].includes(sure(sounds[yod - 1]).key) && sounds[yod + 1]?.vowel) speaker.push('tune');
  return by.length || speaker.length ? { strict, by, speaker } : null;
}
