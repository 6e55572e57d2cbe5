import { describe, expect, test } from 'vitest';
import type { StepRun } from '../evidence/evidence';
import { backOf, breakIn } from './week-back';

// Invented days and answers; the lengths are our own choice.
const DAY = 86_400_000;
const START = new Date(2026, 8, 7, 10).getTime();
const day = (n: number): number => START + n * DAY;

describe('a break', () => {
  test('two weeks without a game, from the third day on and for a fortnight', () => {
    const played = [day(0), day(1), day(18), day(19)];
    expect(breakIn(played, day(19))).toBeNull();
    expect(breakIn(played, day(20))).toEqual({ before: day(1), after: day(18) });
    expect(breakIn(played, day(32))).not.toBeNull();
    expect(breakIn(played, day(33))).toBeNull();
  });
  test('a week without is none; nor is a first day', () => {
    expect(breakIn([day(0), day(8)], day(11))).toBeNull();
    expect(breakIn([day(0)], day(40))).toBeNull();
    expect(breakIn([], day(40))).toBeNull();
  });
  test('the latest of two counts', () => {
    expect(breakIn([day(0), day(20), day(40)], day(42))?.before).toBe(day(20));
  });
});

const run = (task: string, step: string, marks: string, at: number): StepRun => ({
  task,
  step,
  at,
  day: Math.floor(at / DAY),
  marks,
  helps: {},
  standing: 'fresh',
});

describe('a child after it', () => {
  const before = ['11111111', '1111'].map((marks, i) => run('blending', '3-held', marks, day(i)));
  const rest = { before: day(1), after: day(20) };
  test('what held then, and what was not played since', () => {
    const { held, since } = backOf(before, rest);
    expect(held.map((h) => [h.ladder.id, h.rested, h.missed])).toEqual([['blending', true, false]]);
    expect(since).toEqual({ right: 0, of: 0 });
  });
  test('what is missed since is told; silence and open slips count for nothing', () => {
    const { held, since } = backOf([...before, run('blending', '3-held', '0-10u', day(20))], rest);
    expect(since).toEqual({ right: 1, of: 3 });
    expect(held.map((h) => [h.rested, h.missed])).toEqual([[false, true]]);
  });
});
