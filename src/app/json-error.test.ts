import { afterEach, expect, test, vi } from 'vitest';
import { idSchema } from '@/core/formats/schemas';
import { Problem } from '@/server/storage/problems';
import { jsonError } from './json-error';

afterEach(() => vi.restoreAllMocks());

test('a problem is told in its own words and with its own status', async () => {
  const answer = jsonError(new Problem('That child isn’t in the list any more.', 404));
  expect(answer.status).toBe(404);
  expect(await answer.json()).toEqual({ error: 'That child isn’t in the list any more.' });
});

test('what does not fit at a door counts as asked wrongly, anything unknown as ours', () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(jsonError(idSchema.safeParse('nobody').error).status).toBe(400);
  expect(jsonError(new Error('again')).status).toBe(500);
});
