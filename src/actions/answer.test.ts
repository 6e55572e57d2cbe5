import { afterEach, expect, test, vi } from 'vitest';
import { idSchema } from '@/core/formats/schemas';
import { Problem } from '@/server/storage/problems';
import { sentenceOf } from './answer';

afterEach(() => vi.restoreAllMocks());

test('a problem is told in its own words', () =>
  expect(sentenceOf(new Problem('That child isn’t in the list any more.', 404))).toBe(
    'That child isn’t in the list any more.',
  ));

test('what does not fit at a door says what', () => {
  const read = idSchema.safeParse('nobody');
  expect(read.success).toBe(false);
  const sentence = sentenceOf(read.error);
  expect(sentence).not.toBe('');
  expect(sentence).not.toContain('try again');
});

test('the disk speaks for itself', () => {
  expect(
    sentenceOf(Object.assign(new Error('SQLITE_FULL: database or disk is full'), { code: 'SQLITE_FULL' })),
  ).toMatch(/full|room/);
});

test('anything else gives nothing away, and is written down for whoever runs the server', () => {
  const log = vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const sentence = sentenceOf(new Error('secret of the file'));
  expect(sentence).toBe('That didn’t work, and nothing was changed. Please try again.');
  expect(log).toHaveBeenCalledOnce();
});
