import type { Judged } from '../answers/judge';
import type { LikelyAnswer } from '../answers/likely';
import type { Word } from '../lexicon/entry';
import type { SoundPair } from '../phonology/articulation';
import type { Random } from '../random';
import type { Material } from './material';
import type { Spec } from './spec';
import type { Act, Step, Unit } from './step';
import type { Line, Shown, View } from './view';

/** What a plan may ask of a set beyond its step. */
export interface Wishes {
  /** A sound (IPA) every item is about, or holds. */
  readonly sound?: string | undefined;
  /** Only these words may head an item. */
  readonly words?: ReadonlySet<string> | undefined;
  /** Sounds a child says alike: never what tells right from wrong. */
  readonly pairs?: readonly SoundPair[] | undefined;
  /** Somebody here hears better without high sounds: none of them tells right from wrong. */
  readonly lowOnly?: boolean | undefined;
  /** Sounds that many young children mix up may be told apart too. */
  readonly mixUps?: boolean | undefined;
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
  /** How a plan lists it, where that is not its word. */
  readonly listed?: string;
  readonly facts: readonly (readonly [string, boolean])[];
}

/** What is said once, before the first turn: in the family’s story, and without it. */
export interface Opening {
  readonly opening: string;
  readonly plain: string;
}

interface TaskCore {
  readonly id: string;
  /** Id of the family whose file it stands in. */
  readonly family: string;
  readonly name: string;
  /** How it is opened, where the story of its family does not fit. */
  readonly opening?: Opening;
  /** What children do, in one line for the adult. */
  readonly asks: string;
  readonly act: Act;
  readonly unit: Unit;
  /** What is offered, easy to hard. */
  readonly steps: readonly Step[];
  /** Steps that are played and read, and not offered in order: by number of sounds, or of plans made before. */
  readonly unlisted?: readonly Step[];
  /** No longer offered; what was played of it can be read. */
  readonly former?: true;
  /** The step an answer shows where its own says too little: by the sounds of the word it was given for. */
  stepFor?(sounds: readonly string[]): string;
  /** Seconds a turn takes before a group's own pace is known. */
  readonly secondsPerTurn: number;
  readonly gesture: string;
  /** What the adult says, plainly: the story has its say at the opening. Slots in braces. */
  readonly plain: string;
  readonly scoresSounds?: true;
  /** The words' counts matter: contested ones stay out until the setting has confirmed its conventions. */
  readonly counts?: true;
  /** Items follow each other and are not shuffled. */
  readonly inOrder?: true;
  /** Played by everyone, not turn by turn. */
  readonly together?: true;
  /** The rung each step is on: of its own family, or `family/rung`. A step that is not here is on no ladder. */
  readonly rungs?: Readonly<Record<string, string>>;
  /** The word is joined again after the turn. */
  readonly joinsAgain?: true;
  /** An answer says what became of every sound of the word, said as a word or sound by sound. */
  readonly wholeWord?: 'joined' | 'apart';
  /** A child’s own name can be played: only the speaker knows its beats. */
  readonly ownName?: true;
  /** What an item is about is a story, named by its title. */
  readonly titled?: true;
  /** Each item is the one before and a word more: the last has them all. */
  readonly grows?: true;
  /** The words of an item turn into each other: *mop* to *map*. */
  readonly becomes?: true;
  /** Each item begins where the one before ended, so a first and a last word, or another way on, can be asked for. */
  readonly leadsOn?: true;
  /** Any set of words can be played with it, whatever their number of sounds. */
  readonly anySet?: true;
}

/** An item around words that an adult named, and what to say where it does not hold. */
interface Around {
  readonly spec: Spec;
  /** Goes on after the words that were typed. */
  readonly otherwise: string;
}

/** Words of which each is looked at by itself. */
interface LookedAt {
  readonly all: (step: Step, material: Material) => readonly Word[];
  readonly may: (word: Word, step: Step, material: Material) => boolean;
}

/** Heads that are found by looking at one word after the other. Example: `...headsAmong(oneBeat, mayLose)`. */
export const headsAmong = (all: LookedAt['all'], may: LookedAt['may']): Pick<Task, 'heads' | 'lookedAt'> => ({
  lookedAt: { all, may },
  heads: (step, material) => all(step, material).filter((word) => may(word, step, material)),
});

/** One task: an object in its family's file. Adding one means adding it to its family's list. */
export interface Task extends TaskCore {
  /** Words an item can be built around at a step. */
  heads(step: Step, material: Material): readonly Word[];
  /** Where it takes long to tell: the words that are looked at, and whether one may be, so that it can go in parts. */
  lookedAt?: LookedAt;
  /** How many answers there are to balance; 1 where answers are open. */
  kinds?(step: Step): number;
  /** Whether a head can have the answer of this kind. */
  fits?(head: Word, kind: number, theme: string | null, step: Step): boolean;
  /** The sound a set is about. */
  theme?(step: Step, material: Material, random: Random, wishes: Wishes): string | null;
  /** A child who knows nothing is right once in so many: the choices, or the numbers that one may sensibly say. */
  oneOf?(step: Step): number;
  /** Where an item is made from the words an adult names all at once. */
  around?(named: readonly Word[], step: Step): Around;
  /** A whole set that hangs together, in place of one item at a time. */
  sequence?(building: Omit<Building, 'head' | 'kind'>): Spec[];
  /** Chooses what goes with the head. Gives null, or throws Unproved, for a head that does not do. */
  build(building: Building): Spec | null;
  make(spec: Spec, step: Step, material: Material): Made;
}
