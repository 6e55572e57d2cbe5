import { ONLY_MARKED, type AnswerEntry } from '../sessions/log';

/** An answer on own of one turn, with nothing else to say of it; the rest of the entry is what a test is about. */
export const answered = (turn: number, childId: string | null, word: string): Omit<AnswerEntry, 'id' | 'at'> => ({
  kind: 'answer',
  turn,
  childId,
  word,
  outcome: 'on-own',
  ...ONLY_MARKED,
  thinkMs: 1_000,
});
