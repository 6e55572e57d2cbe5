import type { StepRun } from './evidence';

/**
 * Replies that are too few to go by: so many turns in the days up to the last one, and this share of them silent. Our
 * own choice.
 */
const SILENT = { turns: 8, share: 0.6, days: 28 } as const;
/** Silent among so many, and answering this share with one adult, in so many turns on each side. Our own choice. */
const ALONE = { among: 3, turns: 6, answers: 0.7 } as const;

interface Turns {
  readonly turns: number;
  readonly silent: number;
}

function turnsIn(runs: readonly StepRun[]): Turns {
  const marks = runs.map((r) => r.marks).join('');
  return { turns: marks.length, silent: marks.split('-').length - 1 };
}

/** Hardly at all, only when alone with an adult, or as most do. */
export type Replies = 'hardly' | 'alone' | 'as-most';

/**
 * Whether a child replies: hardly at all, only when alone with an adult, or as most do. No reply says nothing of what a
 * child knows.
 * @example repliesOf(runs) // 'alone'
 */
export function repliesOf(runs: readonly StepRun[]): Replies {
  const last = Math.max(...runs.map((r) => r.day));
  const lately = runs.filter((r) => r.standing === 'fresh' && last - r.day < SILENT.days);
  const inGroup = turnsIn(lately.filter((r) => (r.among ?? 0) >= ALONE.among));
  const apart = turnsIn(lately.filter((r) => r.among === 1));
  const quiet = inGroup.turns >= ALONE.turns && inGroup.silent >= SILENT.share * inGroup.turns;
  const speaks = apart.turns >= ALONE.turns && apart.turns - apart.silent >= ALONE.answers * apart.turns;
  if (quiet && speaks) return 'alone';
  const all = turnsIn(lately);
  return all.turns >= SILENT.turns && all.silent >= SILENT.share * all.turns ? 'hardly' : 'as-most';
}
