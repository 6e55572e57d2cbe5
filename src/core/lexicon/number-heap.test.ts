import fc from 'fast-check';
import { expect, test } from 'vitest';
import { NumberHeap } from './number-heap';

// Reference: the language's own sort.
test('whatever goes in comes out in order, and what is pushed meanwhile takes its place', () => {
  fc.assert(
    fc.property(fc.array(fc.integer()), fc.array(fc.integer()), (first, later) => {
      const heap = new NumberHeap(first);
      const out: number[] = [];
      for (const item of later) {
        heap.push(item);
        out.push(heap.pop());
        heap.push(out.pop() ?? 0);
      }
      while (heap.size) out.push(heap.pop());
      expect(out).toEqual([...first, ...later].sort((a, b) => a - b));
    }),
  );
});

test('an empty heap has nothing to give', () => {
  expect(() => new NumberHeap([]).pop()).toThrow(RangeError);
});
