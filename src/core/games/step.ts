import type { WordShape } from './word-shape';

/** What children do: from echoing a word to swapping one of its sounds. */
export type Act = 'echo' | 'notice' | 'match' | 'produce' | 'blend' | 'segment' | 'leave-out' | 'add' | 'swap';
/** What is worked on. */
export type Unit = 'word' | 'syllable' | 'rhyme' | 'onset-rime' | 'sound';
/** Where in a word the sound or beat stands that a step is about. */
export type StepPlace = 'first' | 'last' | 'ends' | 'any' | 'middle' | 'cluster' | 'onset';
/** What a foil shares with the answer, or how near its sound is. */
export type FoilKind = 'far' | 'same-start' | 'near' | 'same-vowel' | 'same-ends';

/** One step of a task's ladder, as data. */
export interface Step {
  readonly id: string;
  readonly name: string;
  /** Sounds, beats, words or list entries it fixes; with `most`, from `count` up to it. */
  readonly count?: number;
  readonly most?: number;
  readonly unit?: Unit;
  readonly place?: StepPlace;
  readonly foil?: FoilKind;
  readonly choices?: number;
  readonly result?: 'real' | 'nonsense';
  readonly told?: 'told' | 'kept';
  readonly starts?: 'hold' | 'clip' | 'cluster';
  readonly pictures?: true;
  /** Its words name things that can be shown. */
  readonly things?: true;
  /** Adding and leaving out are allowed beside swapping. */
  readonly grow?: true;
  /** The kind of words it takes. */
  readonly shape?: WordShape;
  /** Of a step that is not offered in order: the one that is offered in its place. */
  readonly now?: string;
}

/** Stands for a set that was put together by hand, of words with different numbers of sounds. */
export const MIXED: Step = { id: 'mixed', name: 'words of your own' };
