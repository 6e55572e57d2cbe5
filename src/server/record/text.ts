/** Every sentence of this room, file by file: read it aloud before you change it. */

export const fault = {
  childSessionMore: 'That child is not in this session any more.',
  noSuchRound: 'There is no such round in this session.',
  answerUndoSession: 'The answer to undo is not in this session.',
  wordBank: (word: string) => `“${word}” is not in the word bank.`,
  answerCorrectsSession: 'The answer it corrects is not in this session.',
} as const;

export const rebuildQueue = {
  sessionCouldRead: (id: string) => `Session ${id} could not be read:`,
} as const;

export const sessionRecord = {
  noSessionAddress: 'There is no session at this address. It may have been started on another device.',
} as const;
