/** Every sentence of this room, file by file: read it aloud before you change it. */

export const bank = {
  allWords: 'all words',
  wordsOfHere: 'words of here',
} as const;

export const ownWords = {
  cannotKeptSaid: 'This cannot be kept: said aloud it sounds like a word that is kept out of games with children.',
  theVowelOf: (keyword: string) => `the vowel of ${keyword}`,
  wordBankAlready: (word: string) => `“${word}” is in the word bank already.`,
  tapLeastTwo: 'Tap at least two sounds, one of them a vowel.',
  wordOurs: 'a word of ours',
  wordYours: 'That word is not one of yours.',
} as const;

export const props = {
  wordBank: (word: string) => `“${word}” is not in the word bank.`,
} as const;

export const putAside = {
  wordBank: (word: string) => `“${word}” is not in the word bank.`,
  groupMoreNothing: 'That group is not here any more. Nothing has been put aside.',
} as const;

export const taught = {
  groupMore: 'That group is not here any more.',
  groupMoreSounds: 'That group is not here any more. The sounds have not been kept.',
} as const;

export const wordPage = {
  wordBank: (name: string) => `“${name}” is not in the word bank.`,
  soundBySound: 'Sound by sound',
  lettersGo: 'As the letters go',
  withAsOne: (thing: string) => `With ${thing} as one`,
} as const;

export const wordSets = {
  wordSetMore: 'That word set is not here any more.',
  wordBankSet: (word: string) => `“${word}” is not in the word bank. The set has not been changed.`,
  saveNew: (gone: string) => `${gone} Save it as a new one.`,
  wordSet: 'word set',
  wordBankFile: 'Not in the word bank, and the file does not say its sounds. Add it on the Words screen first.',
  wordBankWord: 'The word bank has this word already, so its sounds come from there.',
  noRowFile: 'No row of this file can be used. Nothing was imported.',
} as const;
