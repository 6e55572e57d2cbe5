/** Every sentence of this room, file by file: read it aloud before you change it. */

export const catalogue = {
  asIn: (as: string) => ` as in ${as}`,
} as const;

export const addRound = {
  planRounds: (roundLimit: number) => `A plan can have ${roundLimit} rounds.`,
  wordBankNothing: (name: string) => `The word bank has nothing for “${name}”.`,
} as const;

export const aim = {
  gamePlayedRow: 'This game is played in a row or by everyone: there is no one chance to aim at.',
  enoughWordsMake: 'There are not enough words here to make a round that is just right.',
} as const;

export const chain = {
  noChainWord: (name: string) => `“${name}” has no chain from one word to the next.`,
  wordBank: (start: string) => `“${start}” is not in the word bank.`,
  typeWordChain: 'Type the word that the chain starts with.',
  wordBankLine: (target: string) => `“${target}” is not in the word bank.`,
  noChainBegins: (start: string, beginnings: string) => `No chain begins with “${start}” at this step. ${beginnings}`,
  leadStepChain: (start: string, target: string, end: string) =>
    `“${start}” does not lead to “${target}” at this step. This chain gets as close as it can: “${end}”.`,
  nearestThatCan: (list: string) => `Nearest that can: ${list}.`,
} as const;

export const changes = {
  roundPlanMore: 'That round is not in the plan any more.',
} as const;

export const more = {
  roundItems: (itemLimit: number) => `A round can have ${itemLimit} items.`,
  noOtherWord: 'There is no other word for this step.',
  longGoes: 'This is as long as it goes from here.',
} as const;

export const put = {
  roundItems: (itemLimit: number) => `A round can have ${itemLimit} items.`,
  roundAlready: (typed: string) => `“${typed}” is in this round already.`,
  wordBankAdd: (typed: string) => `“${typed}” is not in the word bank. Add it on the Words screen first.`,
  wordBankMore: (word: string) => `“${word}” is not in the word bank any more. Choose another word.`,
  putAsideGroup: (word: string) =>
    `“${word}” is put aside for this group. Bring it back under Settings, or choose another word.`,
  fitSounds: (word: string, name: string, name2: string, count: number, list: string) =>
    `“${word}” does not fit “${name}, ${name2}”: it has ${count} sounds (${list}).`,
} as const;

export const remake = {
  noOtherWords: 'There are no other words for this round.',
} as const;

export const reset = {
  wordBankNothing: (name: string, name2: string, sound: string | null) =>
    `The word bank has nothing for “${name}, ${name2}”${sound ? ' with this sound' : ''}. The round was left as it was.`,
} as const;

export const swap = {
  itemRoundMore: 'That item is not in the round any more.',
  noOtherWay: (from: string | undefined) => `There is no other way to go from “${from}”.`,
  noOtherWord: 'There is no other word for this step.',
} as const;

export const planShown = {
  storySentences: (sentences: number) => `a story of ${sentences} sentences`,
  theirOwnName: 'their own name',
  is: (word: string | undefined, x: string) => `“${word}” is ${x}`,
  luckAlone: (n: number) => `; by luck alone one in ${n}`,
  noNamesYet: 'No names yet: everyone together.',
  everyoneTogetherThroughout: 'Everyone together throughout.',
  first: (name: string, fewest: boolean) => `, ${name} first${fewest ? ' (fewest lately)' : ''}`,
  each: (numberWord: string, who: string) => `${numberWord} each${who}.`,
  about: (n: number) => `About ${n}`,
} as const;

export const plans = {
  planMore: 'That plan is not here any more.',
  planCannotRead: (title: string, reason: string) =>
    `The plan “${title}” cannot be read: ${reason} It has not been changed.`,
  groupMore: 'That group is not here any more.',
  chooseDayTime: 'Choose a day and a time first; then there is something for a calendar.',
  min: (minutes: number, family: string, list: string) => `${minutes} min ${family}: ${list}`,
  noWordPlan: 'No word of this plan can be used with this word bank and accent.',
  nothingWasImported: (fault: string | null) => `${fault ?? 'This plan cannot be used.'} Nothing was imported.`,
} as const;

export const startStep = {
  groupMoreChoose: 'That group is not here any more. Choose a group and start again.',
  noneTheseChildren: 'None of these children is in the group any more.',
  noSuchStep: 'There is no such step.',
} as const;

export const today = {
  sameStepLast: 'The same step as last time, with other words.',
  lastTimeMost: 'Last time most answers came without help, so this is one step on.',
  lastTimeFew: 'Last time few answers came without help, so this is one step back.',
  weeks: (n: number) => `${n} weeks`,
  days: (days: number) => `${days} days`,
  beenPlayedYet: (name: string) => `${name} has not been played yet: an easy first step.`,
  goodPlaceBegin: 'A good place to begin: everyday words, an easy first step.',
  notPlayedFor: (lasting: string) => `Not played for ${lasting}.`,
  slippedMostOften: (slashed: string) => `${slashed} slipped most often lately: hear it in many games.`,
} as const;

export const workshop = {
  wordBankNo: 'The word bank has no words for that. Choose another sound, or leave the sound open.',
} as const;
