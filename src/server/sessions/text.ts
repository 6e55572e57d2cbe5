/** Every sentence of this room, file by file: read it aloud before you change it. */

export const judgeSaid = {
  weCannotTell: (typed: string) => `We cannot tell how “${typed}” sounds. Spell it as it was said, or mark it by ear.`,
  noSuchRound: 'There is no such round in this session.',
  typeSaid: 'Type what was said.',
  passedOverSilence: 'That one is passed over in silence.',
  itemBankMore: 'This item is not in the bank any more.',
  list: 'It is on the list.',
  ourListBut: 'Not on our list, but the sounds make it.',
  handful: ', which is not in the handful',
  itNeeds: (list: string) => `It needs ${list}.`,
} as const;

export const playSession = {
  wordsRoundBank: 'The words of this round are not in the bank any more.',
} as const;

export const reopen = {
  sessionEndedMore: 'This session ended more than an hour ago, so it stays as it is. You can start a new one.',
} as const;

export const startSession = {
  groupMoreChoose: 'That group is not here any more. Choose a group and start again.',
  wordBankChoose: (list: string) => `Not in the word bank: ${list}. Choose other words and start again.`,
  everyWordSet: 'Every word of this set is put aside for this group. Choose other words.',
  planNoRound: 'This plan has no round with a word in it. Put one in and start again.',
} as const;
