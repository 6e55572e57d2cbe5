import { outcome as say } from './text';

/** The five outcomes of an answer, in the order of their keys 1 to 5. */
export const OUTCOMES = ['on-own', 'with-help', 'not-yet', 'no-reply', 'does-not-count'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** The words for each outcome, used on every screen and in every file. */
export const OUTCOME_WORDS: Readonly<Record<Outcome, string>> = {
  'on-own': say.onOwn,
  'with-help': say.withHelp,
  'not-yet': say.notYet,
  'no-reply': say.noReply,
  'does-not-count': say.doesntCount,
};

/** What happened to the sounds, as far as one tap can tell. */
export const SLIPS = [
  'lost-sound',
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
  'added-sound',
  'reordered',
  'own-way',
  'own-speech',
  'letter-name',
  'another-heard',
] as const;
export type Slip = (typeof SLIPS)[number];

export const SLIP_WORDS: Readonly<Record<Slip, string>> = {
  'lost-sound': say.lostASound,
  'cluster-kept': say.keptSoundsTogether,
  'rime-kept': say.keptEndWhole,
  'not-joined': say.notJoined,
  'last-only': say.lastSoundOnly,
  'whole-word': say.saidTheWord,
  'added-uh': 'added “uh”',
  'heard-closely': say.heardClosely,
  'in-cluster': say.keptNeighbour,
  'wrong-choice': say.choseAnother,
  'other-count': say.anotherNumber,
  unchanged: say.saidItUnchanged,
  'wrong-place': say.changedAnotherPlace,
  'same-start': say.sameFirstSound,
  'other-sound': say.anotherSound,
  'other-word': say.anotherWord,
  'part-only': say.onePartOnly,
  'some-missed': say.someWereMissed,
  'swapped-sound': say.soundAnother,
  'added-sound': say.addedASound,
  reordered: say.soundsChangedPlaces,
  'own-way': say.ownWaySaying,
  'own-speech': say.soundAsTheySay,
  'letter-name': say.aLettersName,
  'another-heard': say.heardAnotherWord,
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

/** The support ladder, lightest first. */
export const HELPS = ['said-again', 'slower', 'gesture', 'choice', 'together', 'modelled'] as const;
export type Help = (typeof HELPS)[number];
export const HELP_WORDS: Readonly<Record<Help, string>> = {
  'said-again': say.saidAgain,
  slower: 'slower',
  gesture: 'gesture',
  choice: say.aChoice,
  together: say.saidTogether,
  modelled: 'modelled',
};

/** How an answer stands as evidence: only fresh ones, alone and unaided, count towards secure. */
export const STANDINGS = ['fresh', 'after-a-model', 'in-chorus', 'check-in'] as const;
export type Standing = (typeof STANDINGS)[number];
export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  fresh: 'fresh',
  'after-a-model': say.afterAModel,
  'in-chorus': say.inChorus,
  'check-in': say.check,
};

/** Three in a row not managed: time for an easier one to end on. Common practice, no source. */
export const KIND_STOP = 3;

/** Answers that were not managed; one that does not count is neither. */
export const notManaged = (outcome: Outcome): boolean => outcome === 'not-yet' || outcome === 'no-reply';
