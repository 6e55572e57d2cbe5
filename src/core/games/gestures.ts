import { sure } from '../sure';

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
