import { expect, test, vi } from 'vitest';
import { word } from '../testing/bank';

// The server loads the core more than once, and what one copy has worked out another reads: both must write a rhyme
// alike, whichever word each met first.
test('two copies of the traits write sounds alike, whatever they saw before', async () => {
  const { traitsOf: first } = await import('./traits');
  for (const name of ['moon', 'cat']) first(word(name));
  vi.resetModules();
  const { traitsOf: second } = await import('./traits');
  expect(second).not.toBe(first);
  for (const name of ['frog', 'cat', 'hat', 'moon']) expect(second(word(name)).rhyme).toBe(first(word(name)).rhyme);
  expect(second(word('hat')).rhyme).toBe(first(word('cat')).rhyme);
});
