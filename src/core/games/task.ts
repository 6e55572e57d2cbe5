import type { LikelyAnswer } from '../answers/likely';
import type { Judged } from '../answers/judge';
import type { Word } from '../lexicon/entry';
import type { SoundPair } from '../phonology/articulation';
import type { Random } from '../random';
import type { Act, FoilKind, StepPlace, Unit } from './hardness';
import type { Line, Shown, View } from './item';
import type { Material } from './material';
import type { Spec } from './spec';

/** The families, in the order of the catalogue. */
export const FAMILIES = [
  'words',
  'syllables',
  'rhyme',
  'first-sounds',
  'blending',
  'segmenting',
  'leaving-out',
  'adding',
  'swapping',
  'word-hunt',
  'echo',
] as const;
export type FamilyId = (typeof FAMILIES)[number];

export const FAMILY_NAMES: Readonly<Record<FamilyId, string>> = {
  words: 'Words in a sentence',
  syllables: 'Syllables',
  rhyme: 'Rhyme',
  'first-sounds': 'First sounds',
  blending: 'Blending',
  segmenting: 'Segmenting',
  'leaving-out': 'Leaving out',
  adding: 'Adding',
  swapping: 'Swapping',
  'word-hunt': 'Word hunt',
  echo: 'Echo',
};

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
  /** Adding and leaving out are allowed beside swapping. */
  readonly grow?: true;
}

/** What a plan may ask of a set beyond its step. */
export interface Wishes {
  /** A sound (IPA) every item is about, or holds. */
  readonly sound?: string | undefined;
  /** Only these words may head an item. */
  readonly words?: ReadonlySet<string> | undefined;
  /** Sounds a child says alike: never what tells right from wrong. */
  readonly pairs?: readonly SoundPair[] | undefined;
  readonly start?: string | undefined;
  readonly target?: string | undefined;
  /** Items of a set that hangs together (a chain, a list that grows). */
  readonly size: number;
  /** Words turned down or used lately. */
  readonly avoid: ReadonlySet<string>;
  /** Let in words whose count may be argued about. */
  readonly contested: boolean;
}

export interface Building {
  readonly head: Word;
  readonly step: Step;
  readonly material: Material;
  readonly random: Random;
  /** Which of the answers the item is to have (0 yes, 1 no; a place; a position), so that they balance. */
  readonly kind: number;
  /** The sound the whole set is about, where the task has one. */
  readonly theme: string | null;
  readonly wishes: Wishes;
}

/** What a task makes of a spec. Every fact must hold, or there is no item. */
export interface Made {
  readonly head: Word | null;
  readonly words: readonly Shown[];
  readonly view: View;
  /** What is right, as it is shown to the adult. */
  readonly expected: string;
  readonly judged: Judged;
  readonly slots: Readonly<Record<string, string>>;
  readonly script: readonly Line[];
  readonly how: string;
  readonly likely: readonly LikelyAnswer[];
  /** Which of the balanced answers it has. */
  readonly kind?: number;
  readonly facts: readonly (readonly [string, boolean])[];
}

export interface TaskCore {
  readonly id: string;
  readonly family: FamilyId;
  readonly name: string;
  /** What children do, in one line for the adult. */
  readonly asks: string;
  readonly act: Act;
  readonly unit: Unit;
  readonly steps: readonly Step[];
  /** Seconds a turn takes before a group's own pace is known. */
  readonly secondsPerTurn: number;
  readonly gesture: string;
  /** What the adult says: with the story frame off, and on. Slots in braces. */
  readonly plain: string;
  readonly framed: string;
  readonly scoresSounds?: true;
  /** The words' counts matter: contested ones stay out until the setting has confirmed its conventions. */
  readonly counts?: true;
  /** Items follow each other and are not shuffled. */
  readonly inOrder?: true;
  /** Played by everyone, not turn by turn. */
  readonly together?: true;
}

/** One task: an object in its family's file. Adding one means adding it to its family's list. */
export interface Task extends TaskCore {
  /** Words an item can be built around at a step. */
  heads(step: Step, material: Material): readonly Word[];
  /** How many answers there are to balance; 1 where answers are open. */
  kinds?(step: Step): number;
  /** Whether a head can have the answer of this kind. */
  fits?(head: Word, kind: number, theme: string | null, step: Step): boolean;
  /** The sound a set is about. */
  theme?(step: Step, material: Material, random: Random, wishes: Wishes): string | null;
  /** A whole set that hangs together, in place of one item at a time. */
  sequence?(building: Omit<Building, 'head' | 'kind'>): Spec[];
  build(building: Building): Spec | null;
  make(spec: Spec, step: Step, material: Material): Made;
}
