/** Every sentence of this room, file by file: read it aloud before you change it. */

import { capital, inWords } from '../in-words';

export const ageBand = {
  nurseryTo: 'Nursery, 3 to 4',
  preschoolTo: 'Preschool, 3 to 4',
  receptionTo: 'Reception, 4 to 5',
  preKTo: 'Pre-K, 4 to 5',
  yearTo: 'Year 1, 5 to 6',
  kindergartenTo: 'Kindergarten, 5 to 6',
  expectedYetAge: 'We wouldn’t expect this at their age yet.',
} as const;

export const agreement = {
  veryGood: 'very good',
} as const;

export const familyPage = {
  alone: (does: string) => `Can ${does}, without help.`,
  soFar: (does: string, inPart: string) => `Can ${does} ${inPart}.`,
  next: (does: string) => `We’ll play games where you ${does}.`,
  littleHelp: 'with a little help',
  someTime: 'some of the time',
} as const;

export const justRight = {
  nobodyAnswersYet: 'No one here has any answers yet, so this is aimed at a child who is new to it.',
  aboutShouldCome: (middle: number, least: number, most: number) =>
    `They should get about ${middle} in 10 on their own${least === most ? '' : ` (${least} to ${most}, depending on the child)`}. It’s our best guess from their answers so far.`,
} as const;

export const ladders = {
  largeToSmall: 'Large to small',
  syllablesRhymeBefore: 'syllables and rhyme before single sounds',
  straightSingleSounds: 'Single sounds straight away',
  firstSoundsBlending: 'first sounds and blending straight away, with syllables and rhyme alongside',
} as const;

export const nextStep = {
  own: (own: number, x: number) => `${own} of ${x} on their own`,
  farFirstStep: (own: string) => `${own} so far. Start with the first step and help them along.`,
  yetEasierStep: (name: string, own: string) =>
    `“${capital(name)}” isn’t there yet (${own}), so try an easier step first.`,
  rightSinceTime: (since: number, name: string) =>
    `${since} right on “${name}” since then, so it’s time to try this again.`,
  yetHoldsEnd: (name: string, own: string) =>
    `“${capital(name)}” isn’t there yet (${own}), but this step is secure: finish on a success.`,
  comesHelpSame: (own: string) => `They can do it with help (${own}), so play it again with a little less help.`,
  sameStepOther: (capital: string) => `${capital}. Play the same step with new words.`,
  begunFewMore: (own: string) => `Just started (${own}): a few more turns will show.`,
  noReplyFar:
    'No reply so far, which doesn’t tell us what they know. Try it in pairs, with pictures, or let them point.',
  secureTimeNext: (name: string, harder: unknown, own: string, days: number) =>
    `“${capital(name)}” is secure${harder ? '' : ` (${own}, over ${days} days)`}, so on to the next step.`,
  comesEasily: (name: string, own: string) => `“${capital(name)}” comes easily now (${own}), so try the next step.`,
  luckHasPart: (own: string) =>
    `Right most of the time (${own}), but guessing could explain some of it. The next step leaves less to luck.`,
  hardDay: (name: string) =>
    `“${name}” usually goes well, but it didn’t last time. Start with two easy ones, then look again.`,
  longAgo: (name: string, weeks: number) =>
    `“${capital(name)}” was secure, but we haven’t seen it for ${inWords(weeks)} weeks. Start with two easy ones, then look again.`,
  easyFirstStep: 'An easy first step.',
  clustersPause: 'Words with two sounds together can wait until you’ve talked with the family.',
  pattern: (subject: string, missed: number, asked: number) => `Often misses ${subject}: ${missed} of ${asked}.`,
  keepsWhole: (subject: string, missed: number, asked: number) => `Often ${subject}: ${missed} of ${asked}.`,
} as const;

export const examples = {
  tryWords: (words: string) => `Try ${words}.`,
  hearAndSay: (words: string, twins: string) => `Hear and say ${words} beside ${twins}.`,
} as const;

export const patterns = {
  clippedSoundsEnd: 'short sounds at the end of words',
  heldSoundsEnd: 'long sounds at the end of words',
  consonantsEndWords: 'consonants at the end of words',
  secondSoundCluster: 'the second of two starting sounds (so “frog” becomes “fog”)',
  firstSoundCluster: 'the first of two end sounds (so “went” becomes “wet”)',
  lastSoundCluster: 'the last of two end sounds (so “belt” becomes “bell”)',
  soundsMadeBack: 'sounds made at the back of the mouth',
  vowelsMiddle: 'vowels in the middle',
  secondR: '/r/ after another consonant',
  secondL: '/l/ after another consonant',
  firstS: '/s/ before another consonant',
  keepsRime: 'keeps the end of a word together (m-an for “man”)',
  keepsCluster: 'keeps the start of a word together (fr-o-g for “frog”)',
} as const;

export const rule = {
  weighed: 'Weighed',
  secureWhenAnswers: 'secure when there is little doubt left, allowing for luck, help and how long ago it was',
  ofTheLast: '4 of the last 5',
  secureWhenFour: 'secure when four of the last five unaided answers were right, on two days',
  ruleErrsOften:
    'This rule is often wrong: of 100 children who get 6 in 10 right, it calls about 93 secure at some point within 20 answers. The weighed rule does that for about 3.',
  gettingThere: 'getting there',
  notYet: 'not yet',
  notEnoughSeen: 'not enough seen yet',
} as const;

export const soundMap = {
  atTheStart: 'at the start',
  inTheMiddle: 'in the middle',
  atTheEnd: 'at the end',
  inACluster: 'in a cluster',
} as const;

export const why = {
  nearlyAlways: 'nearly always',
  aboutEverySecond: 'about half the time',
  aboutTime: (inWords: string) => `about one time in ${inWords}`,
  of: (inWords: string, inWords2: string) => `${inWords} of ${inWords2}`,
  gameHappensLuck: (of: string, yesNo: boolean, oneIn: string) =>
    `In a ${yesNo ? 'yes/no' : 'choosing'} game, pure guessing gets ${of} ${oneIn}.`,
  times: (inWords: string) => `${inWords} times`,
  onOwnOf: (own: number, tried: number, days: number) =>
    `${own} of ${tried} right on their own, ${days > 1 ? `over ${days} days` : 'all on one day'}`,
  withHelp: (helped: number, ways: string) => `, and ${helped} with help${ways ? ` (${ways})` : ''}`,
  noReplySays: (times: string) => `No reply ${times}, which doesn’t tell us what they know`,
  playedOwnYet: 'No turns on their own yet',
  harderStepsCount: (right: number, of: number) => `${right} of ${of} right on harder steps, which count here too`,
  afterModelTogether: (practised: number) =>
    `${practised} more after a model or all together (practice, so not counted)`,
  checkInOf: (right: number, of: number) => `${right} of ${of} right in the check-in`,
  moreToChoose: 'More yes/no turns won’t tell us much. A game with more to choose from would.',
  openAnswers: 'More turns like these won’t tell us much. A game where they say the answer would.',
  withoutHelp: 'A few turns without any help would settle it sooner.',
  anotherDay: 'A few turns on another day would tell us more than many today.',
  aboutHalf: 'They get about half of these. Play a few easy ones first, then two of these.',
  aboutMoreTell: (more: number, weeks: number | null) =>
    `About ${more} more ${more === 1 ? 'turn' : 'turns'} should settle it${weeks ? `: roughly ${weeks === 1 ? 'a week' : `${inWords(weeks)} weeks`} at this rate` : ''}.`,
} as const;

interface Halves {
  readonly earlier: { readonly heard: number; readonly of: number };
  readonly latest: { readonly heard: number; readonly of: number };
  readonly less: boolean;
}

export const helped = {
  misses: (subject: string) => `Misses ${subject}.`,
  keeps: (subject: string) => `${capital(subject)}.`,
  few: (what: string, day: string, words: number) =>
    `${what} First noticed on ${day}. ${words ? `They’ve only met ${words === 1 ? 'one new word' : `${inWords(words)} new words`} like these since` : 'They haven’t met a new word like these since'}, so we can’t say yet whether practice is helping.`,
  halves: (what: string, day: string, { earlier, latest, less }: Halves) =>
    `${what} First noticed on ${day}. We heard it in ${inWords(earlier.heard)} of the first ${inWords(earlier.of)} new words after that, and in ${inWords(latest.heard)} of the latest ${inWords(latest.of)}${less ? ': it comes less often now.' : ', so we can’t say yet that it has changed.'}`,
} as const;

const people = (n: number): string => (n === 1 ? 'one child' : `${inWords(n)} children`);
const onDays = (n: number): string => (n === 1 ? 'one day' : `${inWords(n)} days`);

export const halfTerm = {
  nothing: 'Nothing has been played in the last six weeks.',
  days: (days: number, turns: number) =>
    `The children played on ${onDays(days)} in the last six weeks and had ${turns} turn${turns === 1 ? '' : 's'} between them.`,
  ladder: (name: string, children: number, days: number) =>
    `We played ${name} on ${onDays(days)}, with ${people(children)}.`,
  notPlayed: (names: string) => `We haven’t played these in that time: ${names}.`,
  onLadder: (name: string, parts: string) => `In ${name}, ${parts}.`,
  at: {
    secure: (n: number) => `${people(n)} ${n === 1 ? 'is' : 'are'} secure at one step or more`,
    'getting-there': (n: number) => `${people(n)} ${n === 1 ? 'is' : 'are'} getting there`,
    'not-yet': (n: number) => `${people(n)} ${n === 1 ? 'isn’t' : 'aren’t'} there yet`,
    'not-enough': (n: number) => `we’ve seen too little of ${people(n)}`,
  },
  fewFrom: (names: string) =>
    `We’ve seen fewer than ten turns from ${names} in this time, so this says little of them.`,
} as const;
