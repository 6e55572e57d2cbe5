/** Every sentence of this room, file by file: read it aloud before you change it. */

export const judgeSaid = {
  weCannotTell: (typed: string) =>
    `We can’t tell how “${typed}” sounds. Spell it the way they said it, or mark it by ear.`,
  noSuchRound: 'There’s no such round in this session.',
  typeSaid: 'Type what they said.',
  passedOverSilence: 'We won’t add that one.',
  itemBankMore: 'This item isn’t in the word bank any more.',
  list: 'It’s on the list.',
  ourListBut: 'It isn’t on our list, but the sounds do make it.',
  handful: ', which isn’t one of your sounds',
  itNeeds: (list: string) => `It needs ${list}.`,
} as const;

export const lookBack = {
  eachTheirOwn: 'each their own step',
} as const;

export const playSession = {
  wordsRoundBank: 'The words in this round aren’t in the word bank any more.',
} as const;

export const reopen = {
  sessionEndedMore: 'This session ended more than an hour ago, so you can’t carry on with it. You can start a new one.',
} as const;

export const startSession = {
  groupMoreChoose: 'That group isn’t here any more. Choose a group and start again.',
  wordBankChoose: (list: string) => `These aren’t in the word bank: ${list}. Choose other words and start again.`,
  everyWordSet: 'All the words in this set are put aside for this group. Choose other words.',
  planNoRound: 'This plan has no words in it yet. Add some and start again.',
} as const;

export const papers = {
  everyone: 'Everyone together',
  noSuchPaper: (number: number) => `There’s no grid with the number ${number}. Check the number on the paper.`,
  paperChanged: 'This grid has changed: a child on it has been erased. Open it again to type it in.',
  nothingMarked: 'Nothing is marked yet. Type at least one mark.',
  beforePrinted: 'This grid was printed after that day. Choose the day you played.',
  dayToCome: 'That day hasn’t come yet. Choose the day you played.',
} as const;
