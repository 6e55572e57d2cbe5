import { capital } from '../in-words';

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
  {
    id: 'task',
    name: 'the usual one for this game',
    words: '',
    shows: 10,
    hands: 1,
    seated: 'You can do this sitting down.',
  },
  {
    id: 'fingers',
    name: 'fingers',
    words: 'one finger for each sound',
    shows: 5,
    hands: 1,
    seated: 'You can do this sitting down.',
  },
  {
    id: 'counters',
    name: 'counters into pots',
    words: 'one counter into a pot for each sound',
    shows: 8,
    hands: 2,
    seated: 'You can do this sitting down.',
  },
  {
    id: 'steps',
    name: 'steps',
    words: 'one step for each sound (clear the floor first)',
    shows: 8,
    hands: 0,
    seated: 'Sitting down? Tap your feet.',
  },
  {
    id: 'claps',
    name: 'claps',
    words: 'one clap for each sound',
    shows: 6,
    hands: 2,
    seated: 'You can do this sitting down.',
  },
  {
    id: 'pats',
    name: 'pats on the knees',
    words: 'one pat on the knees for each sound',
    shows: 6,
    hands: 2,
    seated: 'You can do this sitting down.',
  },
];

/** The words for a gesture in a round, with what it cannot do. */
export function gestureLine(gesture: Gesture, own: string, sounds: number): string {
  const line = gesture.id === 'task' ? own : gesture.words;
  const limit =
    sounds > gesture.shows
      ? ` ${capital(gesture.name)} can show ${gesture.shows} sounds at most; some words here have ${sounds}.`
      : '';
  return `${line}.${limit}${gesture.id === 'steps' ? ` ${gesture.seated}` : ''}`;
}

/** For adults who face the children. */
export const MIRROR = 'Facing the children? Start on your right, so it runs left to right for them.';
