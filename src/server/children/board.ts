import { STATE_WORDS, type State } from '../../core/evidence/rule';
import type { Group } from '../people/groups';
import { boardOf } from './progress';

export interface BoardLine {
  readonly id: string;
  readonly name: string;
  readonly away: boolean;
  /** The step to play next; null where every ladder is climbed. */
  readonly next: {
    readonly ladder: string;
    readonly rung: string;
    readonly pattern: string | null;
    readonly check: string | null;
    /** Its one name. */
    readonly does: string;
    readonly chosen: boolean;
  } | null;
  readonly cells: readonly {
    readonly ladder: string;
    /** The step they are working on; what holds, where nothing is left; null where all of it waits for now. */
    readonly rung: string | null;
    readonly state: State;
    readonly words: string;
    /** Rungs up to the hardest that holds. */
    readonly height: number;
    readonly begun: boolean;
  }[];
}

/** A group as the board shows it: for each skill the step a child is working on, and what is next of all. */
export async function boardRows(group: Group, now = Date.now()): Promise<BoardLine[]> {
  return (await boardOf(group, now)).map(({ id, name, away, skills, next, chosen }) => ({
    id,
    name,
    away,
    next: next && {
      ladder: next.ladder,
      rung: next.rung,
      pattern: next.pattern ?? null,
      check: next.check ?? null,
      does: next.does,
      chosen: chosen !== null,
    },
    cells: skills.map(({ ladder, rungs, holds, workingOn, begun }) => {
      const shown = rungs.find((r) => r.rung.id === workingOn?.rung) ?? holds;
      const state = shown?.state ?? 'not-enough';
      return {
        ladder: ladder.id,
        rung: shown?.rung.name ?? null,
        state,
        words: STATE_WORDS[state],
        height: (holds?.at ?? -1) + 1,
        begun,
      };
    }),
  }));
}
