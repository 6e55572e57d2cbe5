/** Everything that decides a state, in one table. The numbers were set on the simulation in docs/operating.md. */
export const RULE = {
  /** Answers lose half their weight in so many days before the last one. */
  halfLifeDays: 60,
  /** Secure: the rate is at least `rate`, that surely, on so many unaided answers and days. */
  secure: { rate: 0.65, sure: 0.9775, answers: 8, days: 2 },
  /** Not yet: what is managed, alone or with help, is at most `rate`, that surely. */
  notYet: { rate: 0.4, sure: 0.8, answers: 3 },
  /** Fewer answers than this, and neither of both: not enough seen. */
  fewest: 3,
  /** Runs so much older than the last one carry less than a sixteenth of their weight and are left out. */
  oldestDays: 240,
} as const;

export const STATES = ['secure', 'getting-there', 'not-yet', 'not-enough'] as const;
export type State = (typeof STATES)[number];
export const STATE_WORDS: Readonly<Record<State, string>> = {
  secure: 'secure',
  'getting-there': 'getting there',
  'not-yet': 'not yet',
  'not-enough': 'not enough seen yet',
};
