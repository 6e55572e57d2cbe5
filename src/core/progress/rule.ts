import { rule as say } from './text';

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
    name: say.weighed,
    what: say.secureWhenAnswers,
  },
  plain: { name: say.ofTheLast, what: say.secureWhenFour },
};

/** How often the plain rule errs, from the simulation: said wherever it is chosen. */
export const PLAIN_ERRS = say.ruleErrsOften;

export const STATES = ['secure', 'getting-there', 'not-yet', 'not-enough'] as const;
export type State = (typeof STATES)[number];
export const STATE_WORDS: Readonly<Record<State, string>> = {
  secure: 'secure',
  'getting-there': say.gettingThere,
  'not-yet': say.notYet,
  'not-enough': say.notEnoughSeen,
};
