import { expect, test } from 'vitest';
import { goesOn, NOTICE_MS } from './keep-until';

// Worked by hand: the school year of a day in July ends that August, of one in September the next.
const at = (year: number, month: number, day: number): number => new Date(year, month - 1, day).getTime();

test('kept to the end of the school year in which they left, and so many years more', () => {
  expect(goesOn(at(2026, 7, 20), 0, 0)).toBe(at(2026, 9, 1));
  expect(goesOn(at(2026, 7, 20), 1, 0)).toBe(at(2027, 9, 1));
  expect(goesOn(at(2026, 9, 1), 0, 0)).toBe(at(2027, 9, 1));
  expect(goesOn(at(2026, 12, 31), 2, 0)).toBe(at(2029, 9, 1));
});
test('never within a month of leaving, nor of the rule', () => {
  expect(goesOn(at(2026, 8, 25), 0, 0)).toBe(at(2026, 8, 25) + NOTICE_MS);
  expect(goesOn(at(2020, 7, 1), 0, at(2026, 11, 3))).toBe(at(2026, 11, 3) + NOTICE_MS);
});
