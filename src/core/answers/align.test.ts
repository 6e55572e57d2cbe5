import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { material } from '../testing/bank';
import { sure } from '../sure';
import { align, OMIT_OR_ADD, swapCost } from './align';

const inventory = [...new Set(material().words.flatMap((w) => w.sounds.map((s) => s.ipa)))];
const sounds = fc.array(fc.constantFrom(...inventory), { maxLength: 7 });
const costOf = (a: readonly string[], b: readonly string[]): number => align(a, b).cost;

// What an edit distance with metric costs must be (Wagner & Fischer 1974; Levenshtein 1966; from memory).
describe('the cost is a metric on words', () => {
  test('zero for the same and for nothing else', () =>
    fc.assert(
      fc.property(sounds, sounds, (a, b) => {
        expect(costOf(a, a)).toBe(0);
        expect(costOf(a, b) === 0).toBe(a.join(' ') === b.join(' '));
      }),
    ));
  test('the same both ways', () =>
    fc.assert(
      fc.property(sounds, sounds, (a, b) => {
        expect(costOf(a, b)).toBeCloseTo(costOf(b, a), 9);
      }),
    ));
  test('never longer than by way of a third', () =>
    fc.assert(
      fc.property(sounds, sounds, sounds, (a, b, c) => {
        expect(costOf(a, c)).toBeLessThanOrEqual(costOf(a, b) + costOf(b, c) + 1e-9);
      }),
    ));
});

test('the edits lead from the one to the other, and cost what they say', () =>
  fc.assert(
    fc.property(sounds, sounds, (a, b) => {
      const { edits, cost } = align(a, b);
      expect(edits.reduce((sum, s) => sum + s.cost, 0)).toBeCloseTo(cost, 9);
      expect(edits.flatMap((s) => (s.op === 'omit' ? [] : [b[s.heard]]))).toEqual(b);
      expect(edits.flatMap((s) => (s.op === 'add' ? [] : [a[s.at]]))).toEqual(a);
    }),
  ));

/** The plain recursion of the definition, as slow as it is clear: a peer for short words. */
const plainly = (a: readonly string[], b: readonly string[]): number => {
  if (!a.length || !b.length) return (a.length + b.length) * OMIT_OR_ADD;
  return Math.min(
    plainly(a.slice(1), b.slice(1)) + swapCost(sure(a[0]), sure(b[0])),
    plainly(a.slice(1), b) + OMIT_OR_ADD,
    plainly(a, b.slice(1)) + OMIT_OR_ADD,
  );
};
test('no way is cheaper than the one found', () => {
  const short = fc.array(fc.constantFrom(...inventory), { maxLength: 4 });
  fc.assert(
    fc.property(short, short, (a, b) => {
      expect(costOf(a, b)).toBeCloseTo(plainly(a, b), 9);
    }),
  );
});

describe('near and far', () => {
  test('/f/ for /θ/ is nearer than /m/ for /k/', () => expect(swapCost('θ', 'f')).toBeLessThan(swapCost('k', 'm')));
  test('a vowel never stands for a consonant: the one is lost, the other put in', () => {
    expect(align(['s', 'ʌ', 'n'], ['s', 't', 'n']).edits.map((s) => s.op)).toEqual(['same', 'omit', 'add', 'same']);
  });
  test('fog for frog: the r is lost, whatever else is as cheap', () =>
    expect(align(['f', 'r', 'ɒ', 'ɡ'], ['f', 'ɒ', 'ɡ']).edits.map((s) => s.op)).toEqual([
      'same',
      'omit',
      'same',
      'same',
    ]));
  test('a child’s own way costs nothing', () =>
    expect(
      align(['k', 'æ', 't'], ['t', 'æ', 't'], (want, heard) =>
        want === heard || (want === 'k' && heard === 't') ? 0 : swapCost(want, heard),
      ).cost,
    ).toBe(0));
});
