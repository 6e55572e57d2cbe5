import type { Task } from './task';

/** The story a family of games is told in, in the words of our own allotment. A plan may change every line. */
interface GameFrame {
  /** What the story is, in a few words. */
  readonly name: string;
  /** Said once, before the first turn; without the story the plain opening is said. */
  readonly opening: string;
  readonly plain: string;
}

/** One rung of a family's ladder: steps of its games that ask the same of a child. */
export interface FamilyRung {
  readonly id: string;
  /** In a word or two, on its hop. */
  readonly name: string;
  /** After “Next:” and inside a sentence. */
  readonly does: string;
  /** The same for a family, where the words of the trade would be in the way. */
  readonly plainly?: string;
  /** The game to play first on it, where that is not the first of the catalogue. */
  readonly first?: string;
  /** The easier rungs that hold where this one does; all of them where nothing is said. */
  readonly carries?: readonly string[];
  /** Rungs of before, by id, whose answers and choices are read as this one’s. */
  readonly was?: readonly string[];
}

/** What is easier and what is harder in a family, and what must hold elsewhere before its first rung is begun. */
interface FamilyLadder {
  readonly rungs: readonly FamilyRung[];
  /** Rungs of other families, as `family/rung`, whatever order of units the setting follows. */
  readonly needs?: readonly string[];
  /** The same, only where larger units come before single sounds. */
  readonly needsLarger?: readonly string[];
}

/** A family of games: one file that owns all it knows. */
export interface Family {
  readonly id: string;
  readonly name: string;
  readonly frame: GameFrame;
  /** What the adult keeps in mind. Common practice, no source. */
  readonly reminder: string;
  /** What was played, and what to try on the way home, in words for families. No child is named, nothing is scored. */
  readonly atHome: {
    readonly played: string;
    readonly tries: string;
    /** Any word will do to try it with: some can be named. */
    readonly withWords?: boolean;
  };
  /**
   * Children say the word back before they take it apart or change it: did they hear it right? Common practice, no
   * source.
   */
  readonly saidBack?: true;
  /** Nobody shows how before the turns: the answers are found together. */
  readonly unmodelled?: true;
  readonly ladder?: FamilyLadder;
  readonly tasks: readonly Task[];
}
