import fc from 'fast-check';
import { jStat } from 'jstat';
import { describe, expect, test } from 'vitest';
import { atLeast, atLeastMixed } from './luck';
import { posteriorOf } from './posterior';
import { oneIn } from '../telling/why';
import { sure } from '../sure';

// jStat 1.9, a general-purpose statistics library of the npm registry, is the reference for tails, quantiles and
// normal values.
const CASES = [
  [0, 0],
  [1, 0],
  [0, 1],
  [6, 0],
  [0, 6],
  [4, 1],
  [12, 8],
  [40, 2],
  [3, 30],
  [100, 100],
] as const;

describe('posterior of a rate', () => {
  test.each(CASES)('%d right, %d wrong, no guessing: the Beta distribution', (right, wrong) => {
    const p = posteriorOf([{ right, wrong, guess: 0 }]);
    expect(p.mean).toBeCloseTo((right + 1) / (right + wrong + 2), 3);
    for (const x of [0, 0.1, 0.4, 0.5, 0.65, 0.7, 0.9, 1])
      expect(p.above(x), `above ${x}`).toBeCloseTo(1 - jStat.beta.cdf(x, right + 1, wrong + 1), 2.6);
    for (const q of [0.05, 0.25, 0.5, 0.95])
      expect(p.quantile(q), `quantile ${q}`).toBeCloseTo(jStat.beta.inv(q, right + 1, wrong + 1), 2);
  });
  // By hand: the density of six right, none wrong is 7x⁶, so the part above 0.65 is 1 − 0.65⁷.
  test('six right of six by hand', () =>
    expect(posteriorOf([{ right: 6, wrong: 0, guess: 0 }]).above(0.65)).toBeCloseTo(1 - 0.65 ** 7, 3));
  test('weights between whole numbers: Beta with real parameters', () => {
    expect(posteriorOf([{ right: 3.5, wrong: 1.25, guess: 0 }]).above(0.6)).toBeCloseTo(
      1 - jStat.beta.cdf(0.6, 4.5, 2.25),
      2.6,
    );
  });
  test('with guessing: the same as Bayes’ rule added up on a fine grid', () => {
    const [right, wrong, g] = [9, 2, 0.5];
    const xs = Array.from({ length: 20_000 }, (_, i) => (i + 0.5) / 20_000);
    const density = xs.map((r) => (g + (1 - g) * r) ** right * ((1 - g) * (1 - r)) ** wrong);
    const all = density.reduce((a, b) => a + b, 0);
    expect(posteriorOf([{ right, wrong, guess: g }]).above(0.65)).toBeCloseTo(
      density.reduce((sum, d, i) => sum + (sure(xs[i]) >= 0.65 ? d : 0), 0) / all,
      3,
    );
  });
  test('guessing takes away: the same answers say less the more of them luck can explain', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 0, max: 10 }), (right, wrong) => {
        const at = (guess: number): number => posteriorOf([{ right, wrong, guess }]).above(0.65);
        expect(at(0.5)).toBeLessThanOrEqual(at(1 / 3) + 1e-9);
        expect(at(1 / 3)).toBeLessThanOrEqual(at(0) + 1e-9);
      }),
    );
  });
  test('one more right never lowers the rate, one more wrong never raises it; nothing seen is an even spread', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 0, max: 40 }),
        fc.constantFrom(0, 0.25, 1 / 3, 0.5),
        (right, wrong, guess) => {
          const mean = posteriorOf([{ right, wrong, guess }]).mean;
          expect(posteriorOf([{ right: right + 1, wrong, guess }]).mean).toBeGreaterThanOrEqual(mean - 1e-9);
          expect(posteriorOf([{ right, wrong: wrong + 1, guess }]).mean).toBeLessThanOrEqual(mean + 1e-9);
        },
      ),
    );
    expect(posteriorOf([]).above(0.65)).toBeCloseTo(0.35, 6);
  });
});

describe('luck', () => {
  test('binomial tails as jStat has them', () => {
    for (const n of [1, 5, 6, 10, 20, 60])
      for (const p of [0.1, 0.25, 1 / 3, 0.5, 0.9])
        for (let k = 1; k <= n; k += 1)
          expect(atLeast(k, n, p), `${k} of ${n} at ${p}`).toBeCloseTo(1 - jStat.binomial.cdf(k - 1, n, p), 8);
  });
  test('tries of different chances: the plain binomial where they are alike, and all orders alike', () => {
    for (let k = 0; k <= 6; k += 1)
      expect(
        atLeastMixed(
          k,
          Array.from({ length: 6 }, () => 0.5),
        ),
      ).toBeCloseTo(atLeast(k, 6, 0.5), 12);
    expect(atLeastMixed(2, [0.5, 1 / 3, 0.25])).toBeCloseTo(atLeastMixed(2, [0.25, 0.5, 1 / 3]), 12);
    // By hand: at least two of three at 1/2, 1/3, 1/4.
    expect(atLeastMixed(2, [0.5, 1 / 3, 0.25])).toBeCloseTo(
      1 / 24 + (1 / 2) * (1 / 3) * (3 / 4) + (1 / 2) * (2 / 3) * (1 / 4) + (1 / 2) * (1 / 3) * (1 / 4),
      12,
    );
  });
  test('five of six on a yes/no game: about one time in nine', () => {
    expect(atLeast(5, 6, 0.5)).toBeCloseTo(7 / 64, 12);
    expect(oneIn(7 / 64)).toBe('about one time in nine');
  });
});
