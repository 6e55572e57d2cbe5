/** Every sentence of this room, file by file: read it aloud before you change it. */

import { inWords } from '../../core/in-words';

export const catalogue = {
  asIn: (as: string) => ` as in ${as}`,
} as const;

export const addRound = {
  planRounds: (roundLimit: number) => `A plan can have ${roundLimit} rounds.`,
  wordBankNothing: (name: string) => `The word bank has no words for “${name}”.`,
} as const;

export const aim = {
  gamePlayedRow: 'Everyone plays this game together or in a chain, so there’s no one child to aim it at.',
  enoughWordsMake: 'There aren’t enough words here to make a round that is just right.',
} as const;

export const coverCard = {
  groupMore: 'That group isn’t on your list any more. Choose another one.',
  hearWhatSlips: 'hear it and say it: the words that slip',
} as const;

export const door = {
  groupMore: 'That group isn’t on your list any more. Choose another one.',
  nobodyHere: 'Nobody is here yet. Add names, or say who has come.',
  noWords: 'We can’t find any words for that. Try one of the sessions on Today instead.',
  oneEach: 'One each at the door',
} as const;

export const startFind = {
  noneTheseChildren: 'These children aren’t on your list any more.',
  notInThisGame: 'We can’t find out where they are in this game. Choose another one.',
  noWords: 'There aren’t enough words for this game. Choose another one.',
  where: (game: string) => `Where are they? ${game}`,
  reminder:
    'One child at a time, in a quiet place. Don’t help or praise; just say “thank you”. It stops by itself once we know enough.',
} as const;

export const chain = {
  noChainWord: (name: string) => `“${name}” doesn’t go from one word to the next.`,
  wordBank: (start: string) => `“${start}” isn’t in the word bank.`,
  typeWordChain: 'Type the word that the chain starts with.',
  wordBankLine: (target: string) => `“${target}” isn’t in the word bank.`,
  noChainBegins: (start: string, beginnings: string) => `No chain starts with “${start}” at this step. ${beginnings}`,
  leadStepChain: (start: string, target: string, end: string) =>
    `We can’t get from “${start}” to “${target}” at this step. The closest we can get is “${end}”.`,
  nearestThatCan: (list: string) => `These can: ${list}.`,
} as const;

export const changes = {
  roundPlanMore: 'That round isn’t in the plan any more.',
} as const;

export const more = {
  roundItems: (itemLimit: number) => `A round can have ${itemLimit} items.`,
  noOtherWord: 'There are no more words for this step.',
  longGoes: 'The chain can’t go any further from here.',
} as const;

export const put = {
  roundItems: (itemLimit: number) => `A round can have ${itemLimit} items.`,
  roundAlready: (typed: string) => `“${typed}” is in this round already.`,
  wordBankAdd: (typed: string) => `“${typed}” isn’t in the word bank. Add it on the Words screen first.`,
  wordBankMore: (word: string) => `“${word}” isn’t in the word bank any more. Choose another word.`,
  putAsideGroup: (word: string) =>
    `“${word}” is put aside for this group. Bring it back in Settings, or choose another word.`,
  notFit: (word: string, game: string, sounds: readonly string[]) =>
    `“${word}” doesn’t fit “${game}”: it has ${sounds.length} sounds (${sounds.join(' ')}).`,
} as const;

export const remake = {
  noOtherWords: 'There are no more words for this round.',
} as const;

export const reset = {
  wordBankNothing: (name: string, name2: string, sound: string | null) =>
    `The word bank has no words for “${name}, ${name2}”${sound ? ' with this sound' : ''}. We left the round as it was.`,
} as const;

export const swap = {
  itemRoundMore: 'That item isn’t in the round any more.',
  noOtherWay: (from: string | undefined) => `There’s no other way to go from “${from}”.`,
  noOtherWord: 'There are no more words for this step.',
} as const;

export const planShown = {
  noWordsLeft: 'We ran out of words at this step, so they get the words everyone shares.',
  yourChoice: 'your choice',
  notSeenYet: 'not seen yet',
  wordsThatSlip: 'words with the sounds that slip',
  storySentences: (sentences: number) => `a story of ${sentences} sentences`,
  theirOwnName: 'their own name',
  is: (word: string | undefined, x: string) => `“${word}” is ${x}`,
  luckAlone: (n: number) => `; by guessing, one in ${n}`,
  noNamesYet: 'No names yet, so everyone plays together.',
  everyoneTogetherThroughout: 'Everyone plays together.',
  first: (name: string, fewest: boolean) => `, ${name} first${fewest ? ' (fewest turns lately)' : ''}`,
  each: (numberWord: string, who: string) => `${numberWord} each${who}.`,
  about: (n: number) => `About ${n}`,
} as const;

export const plans = {
  changedElsewhere:
    'This plan has been changed in another tab or on another device since you opened it. Your last change here isn’t saved. Reload the page to go on from there.',
  planMore: 'That plan isn’t here any more.',
  planCannotRead: (title: string, reason: string) =>
    `The plan “${title}” can’t be read: ${reason} We haven’t changed it.`,
  groupMore: 'That group isn’t here any more.',
  chooseDayTime: 'Choose a day and a time first, then you can add it to a calendar.',
  min: (minutes: number, family: string, list: string) => `${minutes} min ${family}: ${list}`,
  noWordPlan: 'None of the words in this plan work with this word bank and accent.',
  nothingWasImported: (fault: string | null) => `${fault ?? 'We can’t use this plan.'} Nothing was imported.`,
} as const;

export const startStep = {
  pebbleCheck: 'Pebble check',
  noWordsForCheck: 'We don’t have any words to check that sound with.',
  groupMoreChoose: 'That group isn’t here any more. Choose a group and start again.',
  noneTheseChildren: 'None of these children are in the group any more.',
  noSuchStep: 'There’s no such step.',
} as const;

export const today = {
  nextFor: (children: number, here: number) =>
    children === here
      ? 'It’s the next step for everyone here.'
      : `It’s the next step for ${inWords(children)} of the ${inWords(here)} here.`,
  besideIt: 'It would help some of them as well.',
  dueAgain: (lasting: string) => `It was secure, and nobody has played it for ${lasting}: time to look again.`,
  weeks: (n: number) => `${n} weeks`,
  days: (days: number) => `${days} days`,
  tryBeside: (name: string) => `An easy first step in ${name.toLowerCase()}, if you’d like a change.`,
  goodPlaceBegin: 'A good place to start: everyday words and an easy first step.',
} as const;

export const workshop = {
  wordBankNo: 'The word bank has no words for that. Choose another sound, or any sound.',
} as const;

export const setGames = {
  noneOfThem: 'We can’t make this game from these words. Choose another game, or other words.',
} as const;
