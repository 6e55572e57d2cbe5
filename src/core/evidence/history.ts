import type { StepRun } from './evidence';
import { millisecondsInDay } from 'date-fns/constants';

/** One week of a child: answers alone, with help or as practice, not yet, and no reply; what is open is left out. */
export interface Week {
  /** Monday, as days since 1970. */
  readonly monday: number;
  readonly own: number;
  /** With help, after a model or in chorus. */
  readonly practised: number;
  readonly notYet: number;
  readonly noReply: number;
}

/** Weeks shown at most. */
const MOST = 16;
/** Day 0 was a Thursday. */
const mondayOf = (day: number): number => day - ((((day + 3) % 7) + 7) % 7);

/** A child's weeks up to now, empty ones with them, from the first that was played in. */
export function historyOf(runs: readonly StepRun[], now: number): Week[] {
  if (!runs.length) return [];
  const last = mondayOf(Math.max(Math.floor(now / millisecondsInDay), ...runs.map((r) => r.day)));
  const first = Math.max(mondayOf(Math.min(...runs.map((r) => r.day))), last - 7 * (MOST - 1));
  const weeks = Array.from({ length: (last - first) / 7 + 1 }, (_, i) => ({
    monday: first + 7 * i,
    own: 0,
    practised: 0,
    notYet: 0,
    noReply: 0,
  }));
  for (const run of runs) {
    const week = weeks[(mondayOf(run.day) - first) / 7];
    if (!week) continue;
    const alone = run.standing === 'fresh' || run.standing === 'check-in';
    for (const mark of run.marks) {
      if (mark === '1') week[alone ? 'own' : 'practised'] += 1;
      else if (mark === 'h') week.practised += 1;
      else if (mark === '0') week.notYet += 1;
      else if (mark === '-') week.noReply += 1;
    }
  }
  return weeks;
}
