import { differenceInCalendarDays } from 'date-fns';
import { evidenceOf, type RungEvidence, type StepRun } from '../evidence/evidence';
import { rungOf, type Ladder } from '../evidence/ladders';
import { holdsIn } from '../choosing/next-step';

/**
 * A class after a break: who held what before, how the first answers went, and what to look at again. Lengths are our
 * own choice.
 */
const BACK = {
  /** So many days without a game are a break. */
  break: 9,
  /** The page begins on the third day, and is of use for so long. */
  from: 2,
  until: 14,
} as const;

/** A break: the last answer before it and the first after it, milliseconds since 1970. */
export interface Break {
  readonly before: number;
  readonly after: number;
}

/**
 * The break a class has come back from; null where there was none, it is not the third day yet, or long over.
 * @param played when anybody answered, milliseconds since 1970, in any order
 * @example breakIn([monday, threeWeeksLater], threeWeeksLater + 2 * DAY)?.before // monday
 */
export function breakIn(played: readonly number[], now: number): Break | null {
  const times = [...played].sort((a, b) => a - b);
  const at = times.findLastIndex((t, i) => i > 0 && differenceInCalendarDays(t, times[i - 1] ?? t) > BACK.break);
  const [before, after] = [times[at - 1], times[at]];
  if (before === undefined || after === undefined) return null;
  const days = differenceInCalendarDays(now, after);
  return days >= BACK.from && days <= BACK.until ? { before, after } : null;
}

/** A step that held before the break. */
interface HeldBefore {
  readonly ladder: Ladder;
  readonly held: RungEvidence;
  /** Nothing of the ladder was answered since. */
  readonly rested: boolean;
  /** More than half of what was answered on it since was missed. */
  readonly missed: boolean;
}

/** One child after the break. */
export interface BackChild {
  readonly held: readonly HeldBefore[];
  /** Answers since: right alone, of those that count. */
  readonly since: { readonly right: number; readonly of: number };
}

const marksOf = (runs: readonly StepRun[]): string =>
  runs
    .filter((r) => r.standing === 'fresh')
    .map((r) => r.marks)
    .join('')
    .replace(/[-u]/gu, '');
const rights = (marks: string): number => marks.split('1').length - 1;

/** @param runs settled runs of the child */
export function backOf(runs: readonly StepRun[], { before, after }: Break): BackChild {
  const then = runs.filter((r) => r.at <= before);
  const since = runs.filter((r) => r.at >= after);
  const marks = marksOf(since);
  return {
    held: evidenceOf(then).flatMap(({ ladder, rungs }) => {
      const held = holdsIn(rungs);
      if (!held) return [];
      const on = marksOf(since.filter((r) => rungOf(r.task, r.step)?.ladder.id === ladder.id));
      return [{ ladder, held, rested: on === '', missed: on !== '' && rights(on) * 2 < on.length }];
    }),
    since: { right: rights(marks), of: marks.length },
  };
}
