import { expect, test, vi } from 'vitest';
import { v7 } from 'uuid';
import { appendLog } from '@/server/record/append-log';
import { correct, uncorrect } from './sessions';

const WHY = 'This child was erased.';
const entry = { id: v7(), kind: 'answer' };

vi.mock('@/server/record/append-log', () => ({ appendLog: vi.fn() }));
vi.mock('@/server/sessions/look-back', () => ({
  lookBack: () => Promise.resolve({ answers: [] }),
  correctionOf: () => entry,
}));
// Pages are told of a change only inside the framework.
vi.mock('next/cache', () => ({ revalidatePath: vi.fn(), refresh: vi.fn() }));
vi.mock('@/server/sessions/take-back', () => ({ takenBack: () => Promise.resolve(entry) }));

const result = (refused: readonly { readonly id: string; readonly why: string }[]): void => {
  vi.mocked(appendLog).mockResolvedValue({ refused } as unknown as Awaited<ReturnType<typeof appendLog>>);
};
const change = { answerId: v7(), newId: v7(), outcome: 'with-help' };

test('a correction that is refused says why, and never that it was corrected', async () => {
  result([{ id: entry.id, why: WHY }]);
  expect(await correct(v7(), change)).toEqual({ error: WHY });
  expect(await uncorrect(v7(), { answerId: change.answerId, newId: v7() })).toEqual({ error: WHY });
});

test('one that is kept says so', async () => {
  result([]);
  expect(await correct(v7(), change)).toEqual({ said: 'Corrected.' });
  expect(await uncorrect(v7(), { answerId: change.answerId, newId: v7() })).toEqual({ said: 'It’s back as it was.' });
});
