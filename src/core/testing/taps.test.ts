import { describe, expect, test } from 'vitest';
import { ONLY_MARKED, type AnswerEntry, type Entry } from '../sessions/log';
import { atShare, tapsPerAnswer } from './taps';

let made = 0;
const stamp = (): { id: string; at: number } => ({ id: `e${String((made += 1)).padStart(6, '0')}`, at: made });
const answer = (turn: number, more: Partial<AnswerEntry> = {}): AnswerEntry => ({
  kind: 'answer',
  turn,
  childId: 'a',
  word: 'sun',
  outcome: 'on-own',
  ...ONLY_MARKED,
  ...more,
  ...stamp(),
});
const taps = (...log: Entry[]): number[] => [...tapsPerAnswer(log, (_, said) => said === 's+ʌ').values()];

describe('taps of an answer', () => {
  test('an outcome or a likely answer is one', () =>
    expect(taps(answer(0), answer(1, { said: 's+ʌ', outcome: 'not-yet', slip: 'lost-sound', missed: [2] }))).toEqual([
      1, 1,
    ]));
  test('help noted before, or after, is one more', () => {
    const first = answer(0, { outcome: 'with-help' });
    expect(taps(answer(1, { outcome: 'with-help', helps: ['slower'] }))).toEqual([2]);
    expect(
      taps(first, answer(0, { outcome: 'with-help', helps: ['gesture'], supersedes: first.id, why: 'detail' })),
    ).toEqual([2]);
  });
  test('the pad takes one to open, one a sound, one to mark', () =>
    expect(taps(answer(0, { said: 'z+ʌ+n', outcome: 'not-yet' }))).toEqual([5]));
  test('sounds tapped as missed on the line count, a child chosen too', () => {
    expect(
      taps(
        { kind: 'choose', turn: 0, childId: 'a', ...stamp() },
        answer(0, { outcome: 'not-yet', slip: 'lost-sound', missed: [0, 1] }),
      ),
    ).toEqual([4]);
  });
  test('modelling is no part of an answer, and what was never marked counts nothing', () => {
    expect(
      taps({ kind: 'modelled', ...stamp() }, { kind: 'choose', turn: 3, childId: 'a', ...stamp() }, answer(0)),
    ).toEqual([1]);
  });
});

test('the value a share stays below', () => {
  expect([
    atShare([1, 1, 2, 9], 0.5),
    atShare([3], 0.95),
    atShare([], 0.5),
    atShare(
      Array.from({ length: 100 }, (_, i) => i + 1),
      0.95,
    ),
  ]).toEqual([1, 3, 0, 95]);
});
