/** Every sentence of this room, file by file: read it aloud before you change it. */

import { inWords } from '../in-words';

export const ageBand = {
  nurseryTo: 'Nursery, 3 to 4',
  preschoolTo: 'Preschool, 3 to 4',
  receptionTo: 'Reception, 4 to 5',
  preKTo: 'Pre-K, 4 to 5',
  yearTo: 'Year 1, 5 to 6',
  kindergartenTo: 'Kindergarten, 5 to 6',
  expectedYetAge: 'Not expected yet at this age.',
} as const;

export const agreement = {
  veryGood: 'very good',
} as const;

export const familyPage = {
  alone: (capital: string) => `${capital}, alone.`,
  soFar: (capital: string, inPart: string) => `${capital}, ${inPart} so far.`,
  littleHelp: 'with a little help',
  someTime: 'some of the time',
} as const;

export const justRight = {
  nobodyAnswersYet: 'Nobody here has answers yet, so it is aimed at a child who is new.',
  aboutShouldCome: (middle: number, least: number, most: number) =>
    `About ${middle} in 10 should come off alone${least === most ? '' : `; from child to child ${least} to ${most} in 10`}. A guess from their answers so far.`,
} as const;

export const ladders = {
  largeToSmall: 'Large to small',
  syllablesRhymeBefore: 'syllables and rhyme before single sounds',
  straightSingleSounds: 'Straight to single sounds',
  firstSoundsBlending: 'first sounds and blending at once; syllables and rhyme beside them',
} as const;

export const nextStep = {
  own: (own: number, x: number) => `${own} of ${x} on their own`,
  farFirstStep: (own: string) => `${own} so far: the first step, with help close by.`,
  yetEasierStep: (name: string, own: string) => `“${name}” is not yet (${own}): an easier step first.`,
  rightSinceTime: (since: number, name: string) => `${since} right since on “${name}”: time to try this once more.`,
  yetHoldsEnd: (name: string, own: string) =>
    `“${name}” is not yet (${own}), and this one holds: end on what goes well.`,
  comesHelpSame: (own: string) => `It comes with help (${own}): the same again, with a little less.`,
  sameStepOther: (capital: string) => `${capital}: the same step with other words.`,
  begunFewMore: (own: string) => `Begun (${own}): a few more turns will tell.`,
  noReplyFar: 'No reply so far, which says nothing: the same in pairs, with pictures, or by showing.',
  secureTimeNext: (name: string, harder: unknown, own: string, days: number) =>
    `“${name}” is secure${harder ? '' : ` (${own}, on ${days} days)`}. Time for the next step.`,
  easyFirstStep: 'An easy first step.',
} as const;

export const rule = {
  weighed: 'Weighed',
  secureWhenAnswers: 'secure when the answers leave little doubt: luck, help and old answers count for what they are',
  ofTheLast: '4 of the last 5',
  secureWhenFour: 'secure when four of the last five unaided answers were right, on two days',
  ruleErrsOften:
    'This rule errs often: of 100 children who manage 6 in 10, it calls about 93 secure at some point within 20 answers; the weighed rule about 3.',
  gettingThere: 'getting there',
  notYet: 'not yet',
  notEnoughSeen: 'not enough seen',
} as const;

export const soundMap = {
  atTheStart: 'at the start',
  inTheMiddle: 'in the middle',
  atTheEnd: 'at the end',
  inACluster: 'in a cluster',
  clippedSoundsEnd: 'clipped sounds at the end of words',
  heldSoundsEnd: 'held sounds at the end of words',
  consonantsEndWords: 'consonants at the end of words',
  secondSoundCluster: 'the second sound of a cluster at the start',
  firstSoundCluster: 'the first sound of a cluster at the end',
  lastSoundCluster: 'the last sound of a cluster at the end',
  soundsMadeBack: 'sounds made at the back',
  vowelsMiddle: 'vowels in the middle',
} as const;

export const why = {
  nearlyAlways: 'nearly always',
  aboutEverySecond: 'about every second time',
  aboutTime: (inWords: string) => `about one time in ${inWords}`,
  of: (inWords: string, inWords2: string) => `${inWords} of ${inWords2}`,
  gameHappensLuck: (capital: string, yesNo: boolean, oneIn: string) =>
    `${capital} on a ${yesNo ? 'yes/no' : 'choosing'} game happens by luck ${oneIn}.`,
  times: (inWords: string) => `${inWords} times`,
  onOwnOf: (own: number, tried: number, days: number, helped: number, helps: number, list: string) =>
    `On own ${own} of ${tried}${days > 1 ? ` on ${days} days` : ' on one day'}${helped ? `, with help ${helped}${helps ? ` (${list})` : ''}` : ''}`,
  noReplySays: (times: string) => `No reply ${times}, which says nothing of what is known`,
  playedOwnYet: 'Not played on their own yet',
  harderStepsCount: (right: number, of: number) => `${right} of ${of} on harder steps count for it`,
  afterModelTogether: (practised: number) => `${practised} after a model or together, as practice`,
  checkInOf: (right: number, of: number) => `check-in ${right} of ${of}`,
  moreFortyTurns: 'More than forty turns like these would be needed to be sure either way.',
  aboutMoreTell: (more: number, weeks: number | null) =>
    `About ${more} more ${more === 1 ? 'turn' : 'turns'} would tell${weeks ? `: ${weeks === 1 ? 'a week' : `${inWords(weeks)} weeks`} at this pace` : ''}.`,
} as const;
