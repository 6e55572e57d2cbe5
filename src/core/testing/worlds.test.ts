import { jStat } from 'jstat';
import { describe, expect, test } from 'vitest';
import { seeded } from '../random';
import { sure } from '../sure';
import { word } from './bank';
import { brier, calibration } from './calibration';
import { JUDGEMENT_CASES } from './judgement-cases';
import { ANYHOW, FIXED, KNOWS, ONE_UP_ONE_BACK, practised, TEACHINGS } from './practice';
import { GAPS, SPEECH } from './speakers';
import { groupIn, trueChance, WORLDS } from './worlds';

const world = (name: string) => sure(WORLDS.find((w) => w.name === name));
const ipa = (name: string): string[] => word(name).sounds.map((s) => s.ipa);

describe('worlds', () => {
  // jStat 1.9 is the reference for the logistic’s and Cauchy’s distribution functions; the third by hand.
  test('curves are those of their names', () => {
    for (const x of [-3, -1, 0, 0.5, 2]) {
      expect(trueChance({ ...world('no lapses') }, x, 0, 0)).toBeCloseTo(1 / (1 + Math.exp(-x)), 12);
      expect(trueChance({ ...world('heavy tails'), lapse: 0 }, x, 0, 0)).toBeCloseTo(jStat.cauchy.cdf(x, 0, 1), 10);
      expect(trueChance({ ...world('a lopsided curve'), lapse: 0 }, x, 0, 0)).toBeCloseTo(
        1 - Math.exp(-Math.exp(x)),
        12,
      );
    }
    expect(trueChance(world('lapses, one in ten'), 50, 0, 0)).toBeCloseTo(0.9, 12);
    expect(trueChance(world('no lapses'), -50, 0, 0.5)).toBeCloseTo(0.5, 12);
  });
  test('a history is the same from the same seed; children are asked in turn, or those who know more often', () => {
    expect(groupIn(world('plain'), 3)).toEqual(groupIn(world('plain'), 3));
    const answers = (name: string): number[] =>
      groupIn(world(name), 3).map((c) => c.before.reduce((sum, r) => sum + r.marks.length, 0));
    expect(new Set(answers('plain'))).toEqual(new Set([84]));
    expect(Math.max(...answers('those who know are asked'))).toBeGreaterThan(100);
  });
});

describe('how forecasts are held to what came', () => {
  const forecasts = (skew: (p: number) => number) => {
    const random = seeded(5);
    return Array.from({ length: 40_000 }, () => {
      const chance = 0.05 + 0.9 * random();
      return { chance: skew(chance), right: random() < chance };
    });
  };
  const logit = (p: number): number => Math.log(p / (1 - p));
  test('slope 1 where forecasts are true, half where they are twice too sure', () => {
    expect(calibration(forecasts((p) => p)).slope).toBeCloseTo(1, 1);
    expect(calibration(forecasts((p) => 1 / (1 + Math.exp(-2 * logit(p))))).slope).toBeCloseTo(0.5, 1);
  });
  test('Brier’s score by hand', () => {
    expect(
      brier([
        { chance: 0.5, right: true },
        { chance: 0.5, right: false },
      ]),
    ).toBe(0.25);
    expect(brier([{ chance: 0.9, right: true }])).toBeCloseTo(0.01, 12);
  });
});

describe('speech and gaps', () => {
  // Examples as the handbooks named in speakers.ts give them, from memory.
  test.each([
    ['fronting', 'cat', 't'],
    ['stopping', 'fish', 'p'],
    ['gliding', 'frog', 'f'],
    ['f for th', 'thumb', 'f'],
    ['lisp', 'sun', 'θ'],
  ])('%s: %s begins with /%s/', (kind, name, first) => {
    expect(sure(SPEECH[kind])(ipa(name), word(name))[0]).toBe(first);
  });
  test.each([
    ['clusters made short', 'frog', 'fog'],
    ['clusters made short', 'spot', 'pot'],
    ['clusters made short', 'went', 'wet'],
    ['clusters made short', 'chest', 'chess'],
    ['ends left off', 'boat', 'bow'],
  ])('%s: %s is said as %s', (kind, name, said) => {
    const bows = said === 'bow' ? [['b', 'əʊ']] : [ipa(said)];
    expect(bows).toContainEqual(sure(SPEECH[kind])(ipa(name), word(name)));
  });
  test('the weak beat of banana goes, and the strong one of rabbit stays', () => {
    expect(sure(SPEECH['weak beats left off'])(ipa('banana'), word('banana'))).toEqual(ipa('banana').slice(2));
    expect(sure(SPEECH['weak beats left off'])(ipa('rabbit'), word('rabbit'))).toEqual(ipa('rabbit'));
  });
  test('gaps are about what their names say', () => {
    const one = (kind: string, name: string, apart = true): string =>
      sure(GAPS[kind])
        .answer(ipa(name), apart)
        .map((c) => c.join('+'))
        .join(' ');
    expect(one('second of a start', 'frog')).toBe('f ɒ ɡ');
    expect(one('s of a start', 'spot', false)).toBe('p+ɒ+t');
    expect(one('first of an end', 'went')).toBe('w e t');
    expect(one('the end kept whole', 'man')).toBe('m æ+n');
    expect(one('the start kept whole', 'frog')).toBe('f+r ɒ ɡ');
    expect(sure(GAPS['first of an end']).holds(ipa('nest'))).toBe(false);
    expect(Object.keys(SPEECH)).toHaveLength(8);
    expect(Object.keys(GAPS)).toHaveLength(8);
  });
});

test('where practice at the edge teaches, who knows the truth teaches most', () => {
  for (const teaching of TEACHINGS.filter((t) => t.atTheEdge)) {
    const gained = (policy: typeof KNOWS): number =>
      Array.from({ length: 60 }, (_, i) => practised(teaching, policy, i + 1)).reduce(
        (sum, { before, after }) => sum + after - before,
        0,
      ) / 60;
    const best = gained(KNOWS);
    for (const policy of [FIXED, ANYHOW, ONE_UP_ONE_BACK]) expect(gained(policy), teaching.name).toBeLessThan(best);
    expect(best).toBeGreaterThan(1);
  }
});

test('sixty cases, fifteen of them without any advice', () => {
  expect(JUDGEMENT_CASES).toHaveLength(60);
  expect(JUDGEMENT_CASES.filter((c) => c.want.nothing).length).toBeGreaterThanOrEqual(15);
  expect(new Set(JUDGEMENT_CASES.map((c) => c.name)).size).toBe(60);
});
