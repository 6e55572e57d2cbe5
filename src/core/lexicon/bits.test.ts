import fc from 'fast-check';
import { expect, test } from 'vitest';
import { addAll, bitsByKind, bitsWhere, countCommon, countOnlyIn, hasBit, keepCommon, wordsIn } from './bits';

const SIZE = 100;
const sets = fc.tuple(fc.uniqueArray(fc.nat(SIZE - 1)), fc.uniqueArray(fc.nat(SIZE - 1)));
const sorted = (of: Iterable<number>): number[] => [...of].sort((a, b) => a - b);

// Reference: the language's own sets.
test('what is in one, in both, in either, and how many, as plain sets have it', () => {
  fc.assert(
    fc.property(sets, ([a, b]) => {
      const [x, y] = [new Set(a), new Set(b)];
      const bits = (of: ReadonlySet<number>) => bitsWhere(SIZE, (at) => of.has(at));
      expect(wordsIn(bits(x))).toEqual(sorted(x));
      expect(countCommon(bits(x), bits(y))).toBe(a.filter((at) => y.has(at)).length);
      expect(countOnlyIn(bits(x), bits(y))).toBe(a.filter((at) => !y.has(at)).length);
      const [both, either] = [bits(x), bits(x)];
      keepCommon(both, bits(y));
      addAll(either, bits(y));
      expect(wordsIn(both)).toEqual(sorted(a.filter((at) => y.has(at))));
      expect(wordsIn(either)).toEqual(sorted(new Set([...a, ...b])));
      expect(a.every((at) => hasBit(bits(x), at))).toBe(true);
    }),
  );
});

test('each word is in the set of its kind', () => {
  expect(bitsByKind([2, 0, 2, 1], 3).map(wordsIn)).toEqual([[1], [3], [0, 2]]);
});
