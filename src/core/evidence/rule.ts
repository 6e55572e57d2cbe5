/** Everything that decides a state, in one table. The numbers were set on the simulation in docs/operating.md. */
export const RULE = {
  /** Answers lose half their weight in so many days. */
  halfLifeDays: 60,
  /** Secure: the rate is at least `rate`, that surely, on so many unaided answers and days. */
  secure: { rate: 0.65, sure: 0.965, answers: 6, days: 2 },
  /** Not yet: what is managed, alone or with help, is at most `rate`, that surely. */
  notYet: { rate: 0.4, sure: 0.8, answers: 3 },
  /** Fewer answers than this, and neither of both: not enough seen. */
  fewest: 3,
  /** Older runs than this carry less than a sixteenth of their weight and are left out. */
  oldestDays: 240,
  /** No forecast further than this. */
  mostTurns: 40,
} as const;

/** The plain rule many schools use. */
export const PLAIN = { right: 4, of: 5, days: 2 } as const;

export const RULES = ['weighed', 'plain'] as const;
export type RuleId = (typeof RULES)[number];
export const RULE_WORDS: Readonly<Record<RuleId, { readonly name: string; readonly what: string }>> = {
  weighed: {
    name: 'Weighed',
    what: 'secure when there is little doubt left, allowing for luck, help and how long ago it was',
  },
  plain: { name: '4 of the last 5', what: 'secure when four of the last five unaided answers were right, on two days' },
};

/** How often the plain rule errs, from the simulation: said wherever it is chosen. */
export const PLAIN_ERRS =
  'This rule is often wrong: of 100 children who get 6 in 10 right, it calls about 93 secure at some point ' +
  'within 20 answers. The weighed rule does that for about 3.';

export const STATES = ['secure', 'getting-there', 'not-yet', 'not-enough'] as const;
export type State = (typeof STATES)[number];
export const STATE_WORDS: Readonly<Record<State, string>> = {
  secure: 'secure',
  'getting-there': 'getting there',
  'not-yet': 'not yet',
  'not-enough': 'not enough seen yet',
};
