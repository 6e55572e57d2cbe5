import { OUTCOME_WORDS, OUTCOMES } from '@/core/answers/outcome';
import type { Tally } from '@/core/sessions/summary';

/** A tally as a sentence. Example: "8 answers: 5 on own, 2 with help, 1 not yet". */
export function talliedWords(tally: Tally): string {
  const total = OUTCOMES.reduce((sum, o) => sum + tally[o], 0);
  if (!total) return 'No answers yet';
  const parts = OUTCOMES.filter((o) => tally[o]).map((o) => `${tally[o]} ${OUTCOME_WORDS[o].toLowerCase()}`);
  return `${total} ${total === 1 ? 'answer' : 'answers'}: ${parts.join(', ')}`;
}
