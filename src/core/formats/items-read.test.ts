import { expect, test } from 'vitest';
import { TASKS } from '../games';
import { material } from '../testing/bank';
import { itemsToRead, readSchema } from './items-read';

test('items are printed as they would be heard, the same from the same seed', () => {
  const read = (seed: string): string => itemsToRead(material(), readSchema.parse({ task: 'clap', seed, size: '3' }));
  expect(read('1f6a90c3')).toBe(read('1f6a90c3'));
  expect(read('1f6a90c3')).not.toBe(read('1f6a90c4'));
  expect(read('1f6a90c3')).toMatch(/^== Clap the beats \(clap\)/);
  expect(read('1f6a90c3').match(/→/g)).toHaveLength(9);
});
test('every game is read where none is named', () => {
  const all = itemsToRead(material(), readSchema.parse({ size: '1' }));
  for (const task of TASKS) expect(all).toContain(`(${task.id})`);
});
test('what can’t read is told', () => {
  const why = (request: Record<string, string>): string =>
    readSchema.safeParse(request).error?.issues[0]?.message ?? '';
  expect(why({ task: 'chess' })).toMatch(/^--task is one of count-words/);
  expect(why({ seed: 'green' })).toContain('--seed is one to eight hexadecimal digits');
  expect(why({ size: '99' })).toBe('--size is at most 30');
});
