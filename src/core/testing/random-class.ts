import type { Candidate, GroupAsk } from '../choosing/company';
import type { Standing } from '../choosing/group-game';
import { plainStep, type NextStep } from '../choosing/next-step';
import { ladderOf, LADDERS } from '../evidence/ladders';
import { seeded } from '../random';
import { sure } from '../sure';

/** Classes to be put in small groups, made up by hand and at random. */

/** Weekdays from a Monday on, four weeks. */
export const WEEK = Array.from({ length: 20 }, (_, i) => 1 + (i % 5));

/** A child who works on some steps, the first of them next. Example: `child('a', { blending: 2 })`. */
export function child(id: string, at: Readonly<Record<string, number>>, more: Partial<Candidate> = {}): Candidate {
  const [first] = Object.entries(at);
  const stepAt = ([ladder, rung]: [string, number]): NextStep | null => {
    const of = ladderOf(ladder).rungs[rung];
    return of ? plainStep(ladder, of, 'stay', '') : null;
  };
  return {
    id,
    on: new Map(
      Object.entries(at).map(([l, rung]): [string, Standing] => [l, { at: rung, easier: rung > 0, begun: true }]),
    ),
    next: first ? stepAt(first) : null,
    other: null,
    days: [1, 2, 3, 4, 5],
    keyAdult: null,
    together: [],
    apart: [],
    away: false,
    lastAt: 0,
    ...more,
  };
}

/** A class nobody made up by hand. */
export function randomClass(seed: number, children?: number): { list: Candidate[]; ask: GroupAsk } {
  const random = seeded(seed);
  const any = (n: number): number => Math.floor(random() * n);
  const size = children ?? 2 + any(29);
  const ids = Array.from({ length: size }, (_, i) => `c${String((i * 7) % size).padStart(2, '0')}-${i}`);
  const spread = random();
  const list = ids.map((id, i) => {
    const on = new Map<string, Standing>();
    for (const { id: ladder, rungs } of LADDERS) {
      if (random() < 0.15) continue;
      const at = Math.min(rungs.length, any(1 + Math.ceil(rungs.length * spread)));
      on.set(ladder, { at, easier: at > 0 && random() < 0.9, begun: random() < 0.6 });
    }
    const steps = [...on].flatMap(([ladder, { at }]) => {
      const rung = ladderOf(ladder).rungs[at];
      return rung ? [plainStep(ladder, rung, 'stay', '')] : [];
    });
    const pick = (): NextStep | null => steps[any(steps.length)] ?? null;
    const partTime = random() < 0.3 ? [1, 2, 3, 4, 5].filter(() => random() < 0.6) : [1, 2, 3, 4, 5];
    return child(
      id,
      {},
      {
        on,
        next: pick(),
        other: random() < 0.5 ? pick() : null,
        days: partTime.length ? partTime : [1 + any(5)],
        keyAdult: random() < 0.05 ? sure(['Hazel', 'Rowan'][any(2)]) : null,
        together: random() < 0.05 ? [sure(ids[any(size)])].filter((x) => x !== id) : [],
        apart: random() < 0.05 ? [sure(ids[any(size)])].filter((x) => x !== id) : [],
        away: random() < 0.1,
        lastAt: i * 1000,
      },
    );
  });
  const today = any(5);
  return { list, ask: { adults: 1 + any(4), calendar: WEEK.slice(today).concat(WEEK).slice(0, 20) } };
}
