import type { StoredRound } from '../sessions/stored-round';

/** What a round of a test has where the test is about something else. */
export const PLAIN_ROUND = {
  role: 'focus',
  model: null,
  spares: [],
  way: 'individual',
  gap: 1,
  gesture: 'task',
  frame: { on: true, opening: null, ask: null },
  reminder: '',
  names: false,
} as const satisfies Partial<StoredRound>;
