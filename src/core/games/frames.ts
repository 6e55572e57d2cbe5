import type { FamilyId } from './task';
import { sure } from '../sure';

/**
 * Story frames: why children play this, in the words of our own allotment. Text with slots; a plan may change every
 * line. Without a frame the plain opening is said.
 */
export interface Frame {
  readonly name: string;
  readonly opening: string;
  readonly plain: string;
}

export const FRAMES: Readonly<Record<FamilyId, Frame>> = {
  words: {
    name: 'pebbles in a row',
    opening: 'We are laying a path of pebbles. Every word we say is one pebble. Listen, I’ll lay the first path.',
    plain: 'We are counting words. Listen, I’ll do the first one.',
  },
  syllables: {
    name: 'one pour for each beat',
    opening: 'The watering can pours once for each beat of a word. Watch, I’ll water the first one.',
    plain: 'Words have beats. Watch, I’ll do the first one.',
  },
  rhyme: {
    name: 'two peas that rhyme',
    opening: 'Peas in one pod end alike: they rhyme. Listen, I’ll open the first pod.',
    plain: 'Words that end alike rhyme. Listen, I’ll do the first one.',
  },
  'first-sounds': {
    name: 'which row does it grow in',
    opening: 'Every row in our field has its own sound. Listen, I’ll put the first one where it grows.',
    plain: 'We are listening for one sound. Listen, I’ll do the first one.',
  },
  blending: {
    name: 'the old shed radio',
    opening: 'The shed radio crackles and breaks its words. Listen, I’ll mend the first one.',
    plain: 'I’ll say a word in bits. Listen, I’ll put the first one together.',
  },
  segmenting: {
    name: 'one pot for each sound',
    opening: 'One pot for each sound. Watch, I’ll plant the first word.',
    plain: 'We are taking words apart. Watch, I’ll do the first one.',
  },
  'leaving-out': {
    name: 'prune one sound off',
    opening: 'Some words have grown too long. Watch, I’ll prune the first one.',
    plain: 'We are leaving a sound out. Watch, I’ll do the first one.',
  },
  adding: {
    name: 'a new shoot',
    opening: 'Words grow new shoots. Watch, I’ll let the first one grow.',
    plain: 'We are putting a sound to a word. Watch, I’ll do the first one.',
  },
  swapping: {
    name: 'dig one out and replant',
    opening: 'We dig one sound out and plant another in its place. Watch, I’ll replant the first one.',
    plain: 'We are changing one sound. Watch, I’ll do the first one.',
  },
  'word-hunt': {
    name: 'harvest',
    opening: 'It is harvest time: these sounds make many words. Listen, I’ll pick the first one.',
    plain: 'These sounds make many words. Listen, I’ll find the first one.',
  },
  echo: {
    name: 'calling across the field',
    opening: 'We are calling across the field, and the hedge calls back. Listen first.',
    plain: 'My turn, your turn. Listen first.',
  },
};

/**
 * What hands may do. Every gesture can be done seated; the adult who faces children is a mirror: first sound on their
 * left.
 */
export interface Gesture {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  /** Sounds it can show at once. */
  readonly shows: number;
  readonly hands: 0 | 1 | 2;
  readonly seated: string;
}

export const GESTURES: readonly Gesture[] = [
  { id: 'task', name: 'as the game has it', words: '', shows: 10, hands: 1, seated: 'It can be done seated.' },
  {
    id: 'fingers',
    name: 'fingers',
    words: 'one finger for each sound',
    shows: 5,
    hands: 1,
    seated: 'It is done seated.',
  },
  {
    id: 'counters',
    name: 'counters into pots',
    words: 'one counter into a pot for each sound',
    shows: 8,
    hands: 2,
    seated: 'It is done seated.',
  },
  {
    id: 'steps',
    name: 'steps',
    words: 'one step for each sound; clear the floor first',
    shows: 8,
    hands: 0,
    seated: 'Seated: tap the feet.',
  },
  { id: 'claps', name: 'claps', words: 'one clap for each sound', shows: 6, hands: 2, seated: 'It is done seated.' },
  {
    id: 'pats',
    name: 'pats on the knees',
    words: 'one pat on the knees for each sound',
    shows: 6,
    hands: 2,
    seated: 'It is done seated.',
  },
];

/** The words for a gesture in a round, with what it cannot do. */
export function gestureLine(gesture: Gesture, own: string, sounds: number): string {
  const line = gesture.id === 'task' ? own : gesture.words;
  const limit =
    sounds > gesture.shows
      ? ` ${sure(gesture.name[0]).toUpperCase()}${gesture.name.slice(1)} show ${gesture.shows} at most; this ` +
        `round has words of ${sounds}.`
      : '';
  return `${line}.${limit}${gesture.id === 'steps' ? ` ${gesture.seated}` : ''}`;
}

/** For adults who face the children. */
export const MIRROR = 'You face the children: their first sound is on their left, your right.';
