import type { PlanWish } from '../../core/formats/plan-file';
import type { ChildAdvice } from '../../core/choosing/advice';
import type { NextStep } from '../../core/choosing/next-step';

type NextRung = Pick<NextStep, 'game' | 'pattern'>;

/**
 * A step as a plan to make: a pattern through its games; else its own game, with words that hold what is
 * suspected of somebody who plays, so that nobody waits for such words to come by themselves.
 */
export function wishFor(
  { game: [task, step], pattern }: NextRung,
  advice: readonly Pick<ChildAdvice, 'patterns' | 'suspected'>[],
): Partial<PlanWish> {
  if (pattern) {
    const slipping = advice.flatMap((a) => a.patterns.find((p) => p.id === pattern)?.sounds ?? []);
    return { shape: 'pattern', pattern, slipping: [...new Set(slipping)], minutes: 10 };
  }
  const suspected = advice.flatMap((a) => a.suspected)[0];
  return { shape: 'focus', task, step, ...(suspected ? { pattern: suspected } : {}) };
}
