import { sure } from '../sure';
/** Time to mark of one child, in milliseconds. */
export interface ThinkTimes {
  readonly childId: string;
  readonly answers: number;
  readonly middle: number;
  readonly longest: number;
}

/**
 * The middle and the longest time to mark of each child, quickest first. It times the adult too, so it is a hint and no
 * measure; answers without a reply, and those that do not count, are left out.
 * @example thinkTimes([{ childId: 'a', outcome: 'on-own', thinkMs: 4000 }])[0].middle // 4000
 */
export function thinkTimes(
  answers: readonly { readonly childId: string | null; readonly outcome: string; readonly thinkMs: number | null }[],
): ThinkTimes[] {
  const timesOf = new Map<string, number[]>();
  for (const { childId, outcome, thinkMs } of answers) {
    if (childId === null || thinkMs === null || outcome === 'no-reply' || outcome === 'does-not-count') continue;
    timesOf.set(childId, [...(timesOf.get(childId) ?? []), thinkMs]);
  }
  return [...timesOf]
    .map(([childId, times]) => {
      const sorted = [...times].sort((a, b) => a - b);
      const half = sorted.length / 2;
      const middle =
        sorted.length % 2 ? sure(sorted[Math.floor(half)]) : (sure(sorted[half - 1]) + sure(sorted[half])) / 2;
      return { childId, answers: sorted.length, middle, longest: sure(sorted.at(-1)) };
    })
    .sort((a, b) => a.middle - b.middle);
}
