/** Every sentence of this room, file by file: read it aloud before you change it. */

export const fault = {
  childSessionMore: 'That child isn’t in this session any more.',
  noSuchRound: 'There’s no such round in this session.',
  answerUndoSession: 'The answer to undo isn’t in this session.',
  wordBank: (word: string) => `“${word}” isn’t in the word bank.`,
  answerCorrectsSession: 'The answer it corrects isn’t in this session.',
} as const;

export const rebuildQueue = {
  sessionCouldRead: (id: string) => `Session ${id} could not be read:`,
} as const;

export const sessionRecord = {
  noSessionAddress: 'There’s no session at this address. It may have been started on another device.',
} as const;
