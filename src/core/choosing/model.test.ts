import { describe, expect, test } from 'vitest';
import { brier, calibration } from '../testing/calibration';
import { proofOf } from '../testing/kept-proof';
import { forecastsIn, gained, learnedFrom, ours } from '../testing/held';
import { ANYHOW, FIXED, ONE_UP_ONE_BACK, TEACHINGS } from '../testing/practice';
import { WORLDS } from '../testing/worlds';
import type { StepRun } from '../evidence/evidence';
import { ladderOf } from '../evidence/ladders';
import { isOld, LOCAL, localOf } from './local';
import { forecast, knows, modelOf, worthOn } from './model';
import { sure } from '../sure';

const NOW = 20_000 * 86_400_000;
const run = (marks: string, daysAgo: number, more: Partial<StepRun> = {}): StepRun => ({
  task: 'blending',
  step: '3-clip',
  standing: 'fresh',
  at: NOW - daysAgo * 86_400_000,
  day: 20_000 - daysAgo,
  marks,
  helps: {},
  ...more,
});
const rung = sure(ladderOf('blending').rungs.find((r) => r.id === '3-clip'));

describe('the model of a child', () => {
  test('nothing seen is a wide guess; answers narrow it; order does not matter', () => {
    const wide = forecast(modelOf([], NOW), { task: 'blending', step: '3-clip' });
    const runs = [run('1110', 6), run('11h1', 3), run('1111', 1, { by: 'HB' })];
    const narrow = forecast(modelOf(runs, NOW), { task: 'blending', step: '3-clip' });
    expect(narrow.high - narrow.low).toBeLessThan(wide.high - wide.low);
    expect(narrow.chance).toBeGreaterThan(wide.chance);
    expect(forecast(modelOf([...runs].reverse(), NOW), { task: 'blending', step: '3-clip' })).toEqual(narrow);
  });
  test('what is after a model, in chorus, the room’s or silent says nothing', () => {
    for (const more of [
      { standing: 'after-a-model' },
      { standing: 'in-chorus' },
      { standing: 'room' },
      { marks: '----' },
    ] as const)
      expect(knows(modelOf([run('0000', 1, more)], NOW), 'blending', rung)).toBeCloseTo(
        knows(modelOf([], NOW), 'blending', rung),
        10,
      );
  });
  test('a neighbour ladder is worth two answers at most', () => {
    const none = knows(modelOf([], NOW), 'blending', rung);
    const own = knows(modelOf([run('11', 1)], NOW), 'blending', rung);
    const theirs = modelOf([run('1'.repeat(60), 1, { task: 'segmenting', step: '3-clip' })], NOW);
    expect(knows(theirs, 'blending', rung)).toBeGreaterThan(none);
    // Sixty right answers elsewhere move it about as far as two of its own.
    expect(knows(theirs, 'blending', rung) - none).toBeLessThan(2.5 * (own - none));
  });
  test('what is neither easy nor out of reach is worth most', () => {
    const able = modelOf([run('1'.repeat(12), 3), run('1'.repeat(12), 1)], NOW);
    const held = sure(ladderOf('blending').rungs.find((r) => r.id === '2'));
    const longer = sure(ladderOf('blending').rungs.find((r) => r.id === 'longer'));
    expect(worthOn(able, 'blending', longer)).toBeGreaterThan(worthOn(able, 'blending', held));
  });
});

// The bar is 0.9 to 1.1; with a thousand children the slope itself is known to about 0.05, so more is let pass here.
// docs/judgement.md has the table with four thousand a world.
describe('forecasts of the last session, in worlds that are not the model', () => {
  const forecasts = proofOf('src/core/choosing/model.test.ts', {
    name: 'forecasts',
    parts: WORLDS.map((w) => w.name),
    prove(name) {
      const { ours, percent, step } = forecastsIn(sure(WORLDS.find((w) => w.name === name)), 125);
      return { slope: calibration(ours).slope, ours: brier(ours), percent: brier(percent), step: brier(step) };
    },
  });
  test.each(WORLDS.map((w) => w.name))('%s', async (world) => {
    const { slope, ours, percent, step } = await forecasts.of(world);
    expect(slope).toBeGreaterThan(0.82);
    expect(slope).toBeLessThan(1.18);
    expect(ours).toBeLessThan(percent);
    expect(ours).toBeLessThan(step);
  });
});

describe('what a setting’s own answers say', () => {
  test('nothing while there are fewer than fifty children; then it stands for half a term', () => {
    const few = Array.from({ length: LOCAL.children - 1 }, () => [run('1110', 3), run('1010', 1)]);
    expect(localOf(few)).toBeNull();
    expect(localOf([...few, ...few])).not.toBeNull();
    expect(isOld(NOW, NOW + 41 * 86_400_000)).toBe(false);
    expect(isOld(NOW, NOW + 43 * 86_400_000)).toBe(true);
  });
});

describe('advice does no harm: what a child can truly do after a hundred turns', () => {
  const children = 100;
  const advice = proofOf('src/core/choosing/model.test.ts', {
    name: 'advice-does-no-harm',
    parts: TEACHINGS.map((t) => t.name),
    prove(name) {
      const teaching = sure(TEACHINGS.find((t) => t.name === name));
      return {
        best: Math.max(...[ONE_UP_ONE_BACK, FIXED, ANYHOW].map((p) => gained(teaching, p, children))),
        ours: gained(teaching, ours(learnedFrom(teaching)), children),
      };
    },
  });
  test.each(TEACHINGS.map((t) => t.name))('%s', async (teaching) => {
    const { best, ours: came } = await advice.of(teaching);
    // Within what chance does to the mean of a hundred children; docs/judgement.md has what each world came to.
    expect(came).toBeGreaterThan(best * 0.97);
  });
});
