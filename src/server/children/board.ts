import { frontier, highest, type NextStep } from '../../core/choosing/next-step';
import { STATE_WORDS, type State } from '../../core/evidence/rule';
import type { Group } from '../people/groups';
import { sure } from '../../core/sure';
import { boardOf } from './progress';

export interface BoardLine {
  readonly id: string;
  readonly name: string;
  readonly away: boolean;
  readonly next: string;
  /** The step to play next; null where every ladder is climbed. */
  readonly step: {
    readonly ladder: string;
    readonly rung: string;
    readonly pattern: string | null;
    readonly does: string;
  } | null;
  readonly cells: readonly {
    readonly ladder: string;
    readonly rung: string;
    readonly state: State;
    readonly words: string;
    /** Rungs that hold. */
    readonly height: number;
    readonly begun: boolean;
  }[];
}

/** What is next, as it stands in a list. */
function nextInShort(step: NextStep | undefined, chosen: boolean): string {
  if (!step) return '';
  if (chosen) return `${step.rungOf.does} (chosen)`;
  return step.pattern ? `${step.rungOf.does}, listening for what slips` : step.rungOf.does;
}

const stepOf = ({ ladder, rung, pattern, rungOf }: NextStep): NonNullable<BoardLine['step']> => ({
  ladder,
  rung,
  pattern: pattern ?? null,
  does: rungOf.does,
});

/** A group as the board shows it: for each ladder the rung a child stands before, or the last where all hold. */
export async function boardRows(group: Group, now = Date.now()): Promise<BoardLine[]> {
  return (await boardOf(group, now)).map(({ id, name, away, ladders, next, choice }) => ({
    id,
    name,
    away,
    next: nextInShort(next[0], choice !== null),
    step: next[0] ? stepOf(next[0]) : null,
    cells: ladders.map(({ ladder, rungs }) => {
      const at = frontier(rungs);
      const height = highest(rungs) + 1;
      // A rung nobody has tried yet says less than the one below it that holds.
      const tooLittle = at >= 0 && sure(rungs[at]).state === 'not-enough' && highest(rungs) >= 0;
      const tried = tooLittle ? highest(rungs) : at;
      const shown = sure(rungs[at < 0 ? rungs.length - 1 : tried]);
      return {
        ladder: ladder.id,
        rung: shown.rung.name,
        state: shown.state,
        words: STATE_WORDS[shown.state],
        height,
        begun: rungs.some((r) => r.lastAt !== null),
      };
    }),
  }));
}
