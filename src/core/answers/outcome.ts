/** The five outcomes of an answer, in the order of their keys 1 to 5. */
export const OUTCOMES = ['on-own', 'with-help', 'not-yet', 'no-reply', 'does-not-count'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** The words for each outcome, used on every screen and in every file. */
export const OUTCOME_WORDS: Readonly<Record<Outcome, string>> = {
  'on-own': 'On own',
  'with-help': 'With help',
  'not-yet': 'Not yet',
  'no-reply': 'No reply',
  'does-not-count': 'Doesn’t count',
};

/** What happened to the sounds, as far as one tap can tell. */
export const SLIPS = [
  'lost-sound',
  'lost-sounds',
  'lost-beat',
  'cluster-kept',
  'rime-kept',
  'not-joined',
  'last-only',
  'whole-word',
  'added-uh',
  'heard-closely',
  'in-cluster',
  'wrong-choice',
  'other-count',
  'unchanged',
  'wrong-place',
  'same-start',
  'other-sound',
  'other-word',
  'part-only',
  'some-missed',
  'swapped-sound',
  'near-sound',
  'several',
  'changed-more',
  'other-change',
  'added-sound',
  'reordered',
  'own-way',
  'own-speech',
  'letter-name',
  'another-heard',
] as const;
export type Slip = (typeof SLIPS)[number];

export const SLIP_WORDS: Readonly<Record<Slip, string>> = {
  'lost-sound': 'left a sound out',
  'lost-sounds': 'left sounds out',
  'lost-beat': 'left a beat out',
  'cluster-kept': 'kept sounds together',
  'rime-kept': 'kept the end together',
  'not-joined': 'not joined up',
  'last-only': 'just the last sound',
  'whole-word': 'said the word',
  'added-uh': 'added “uh”',
  'heard-closely': 'said as it sounds',
  'in-cluster': 'with the sound next to it',
  'wrong-choice': 'chose a different one',
  'other-count': 'a different number',
  unchanged: 'said it unchanged',
  'wrong-place': 'changed a different sound',
  'same-start': 'same first sound',
  'other-sound': 'a different sound',
  'other-word': 'a different word',
  'part-only': 'just one part',
  'some-missed': 'missed some',
  'swapped-sound': 'swapped one sound',
  'near-sound': 'a similar sound',
  several: 'several sounds different',
  'changed-more': 'changed one sound too many',
  'other-change': 'changed it to another sound',
  'added-sound': 'added a sound',
  reordered: 'mixed up the order',
  'own-way': 'said it their own way',
  'own-speech': 'a sound as they say it',
  'letter-name': 'said a letter name',
  'another-heard': 'heard a different word',
};

/** Slips that go with a right answer: noted, never held against it. */
export const ACCEPTED: ReadonlySet<Slip> = new Set<Slip>([
  'added-uh',
  'heard-closely',
  'in-cluster',
  'own-way',
  'own-speech',
  'another-heard',
]);

/** Slips of one sound said for another. */
export const SWAPPED: ReadonlySet<Slip | null> = new Set<Slip>(['swapped-sound', 'near-sound']);

/** Slips that may be no more than how a child speaks. */
export const MAY_BE_SPEECH: ReadonlySet<Slip | null> = new Set<Slip | null>([
  ...SWAPPED,
  'lost-sound',
  'lost-sounds',
  'lost-beat',
  'several',
]);

/** The support ladder, lightest first. */
export const HELPS = ['said-again', 'slower', 'gesture', 'choice', 'together', 'modelled'] as const;
export type Help = (typeof HELPS)[number];
export const HELP_WORDS: Readonly<Record<Help, string>> = {
  'said-again': 'said again',
  slower: 'slower',
  gesture: 'gesture',
  choice: 'given a choice',
  together: 'said together',
  modelled: 'modelled',
};

/** How an answer stands as evidence: only fresh ones, alone and unaided, count towards secure. */
export const STANDINGS = ['fresh', 'after-a-model', 'in-chorus', 'check-in'] as const;
export type Standing = (typeof STANDINGS)[number];
export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  fresh: 'fresh',
  'after-a-model': 'after a model',
  'in-chorus': 'all together',
  'check-in': 'in a check-in',
};

/** Three in a row not managed: time for an easier one to end on. Common practice, no source. */
export const KIND_STOP = 3;

/** Answers that were not managed; one that does not count is neither. */
export const notManaged = (outcome: Outcome): boolean => outcome === 'not-yet' || outcome === 'no-reply';
