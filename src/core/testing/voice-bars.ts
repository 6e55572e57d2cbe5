/**
 * How far what is said to a practitioner may stray, written down before the code that says it. Our own choice, after
 * two readings of the pages by strangers; common practice, no source.
 */
export const VOICE_BARS = {
  /** Random pages on which every sentence is held against the raw answers, and how often each kind must have come. */
  pages: 10_000,
  eachKind: 50,
  untrue: 0,
  /** Counted answers from which a child has a next step with its reason. */
  answersForNext: 12,
  /** Of ten other children, at most so many whom next with its counts and words would fit as well. */
  fitsOthers: 3,
  /** Weeks of a break; share of children who are looked at again first; days after which nothing comes easily “now”. */
  breakWeeks: [4, 16],
  lookedAgain: 0.95,
  nowDays: 21,
  /** Secure under 60 % truly right, at any share of pebble checks played; gaps found at a fifth of them in 40 turns. */
  falselySecure: 0.05,
  gapsFound: 0.7,
  /** Speech taken for awareness. */
  speechAdvised: 0.02,
  /** Sessions of a helping adult that are put down to the room. */
  helperTakenForRoom: 0.02,
  /** Ever falsely secure at a true 0.6: independent answers, and spells and streaks; found at 0.85 and 0.95. */
  at06: { independent: 0.05, streaky: 0.1 },
  found: { at085: 0.5, at095: 0.92 },
  /** Random days; changes of the first card while nothing is played, and after one session. */
  days: 200,
  changesWhileNothing: 0,
  changesAfterSession: 1,
  /** Random histories for which every door is asked. */
  histories: 300,
  /** Written cases, and how many must agree. */
  cases: { all: 60, agree: 54 },
  /** Milliseconds of CPU of the first Today of a day and after a restart, p95, 200 children with 60 sessions. */
  firstToday: 60,
} as const;
