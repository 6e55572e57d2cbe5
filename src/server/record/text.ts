/** Every sentence of this room, file by file: read it aloud before you change it. */

export const fault = {
  childSessionMore: 'That child isn’t in this session any more.',
  childErased: 'That child has been erased, so nothing more is kept about them.',
  noSuchRound: 'There’s no such round in this session.',
  noSuchTurn: 'There’s no such turn in this session.',
  endedLongAgo: 'This session ended more than two weeks ago, so nothing more can be added to it.',
  ofAnotherSession: 'That mark belongs to another session.',
  answerUndoSession: 'The answer to undo isn’t in this session.',
  wordBank: (word: string) => `“${word}” isn’t in the word bank.`,
  answerCorrectsSession: 'The answer it corrects isn’t in this session.',
} as const;

export const rebuildQueue = {
  sessionCouldRead: (id: string) => `Session ${id} could not be read:`,
} as const;

export const sessionRecord = {
  erased: 'This session has been erased, so nothing more is kept of it.',
  noSessionAddress: 'There’s no session at this address. It may have been started on another device.',
} as const;
