/** Every sentence of this room, file by file: read it aloud before you change it. */

export const bank = {
  allWords: 'all words',
  wordsOfHere: 'words people use here',
} as const;

export const ownWords = {
  cannotKeptSaid: 'We can’t save this one: said aloud, it sounds like a word we keep out of games with children.',
  theVowelOf: (keyword: string) => `the vowel of ${keyword}`,
  wordBankAlready: (word: string) => `“${word}” is already in the word bank.`,
  tapLeastTwo: 'Tap at least two sounds, one of them a vowel.',
  wordOurs: 'one of our own words',
  wordYours: 'That isn’t one of your own words.',
} as const;

export const props = {
  wordBank: (word: string) => `“${word}” isn’t in the word bank.`,
} as const;

export const putAside = {
  wordBank: (word: string) => `“${word}” isn’t in the word bank.`,
  groupMoreNothing: 'That group isn’t here any more. Nothing has been put aside.',
} as const;

export const taught = {
  groupMore: 'That group isn’t here any more.',
  groupMoreSounds: 'That group isn’t here any more. The sounds haven’t been saved.',
} as const;

export const wordPage = {
  wordBank: (name: string) => `“${name}” isn’t in the word bank.`,
  soundBySound: 'Sound by sound',
  lettersGo: 'As the letters go',
  withAsOne: (thing: string) => `With ${thing} as one sound`,
} as const;

export const wordSets = {
  wordSetMore: 'That word set isn’t here any more.',
  wordBankSet: (word: string) => `“${word}” isn’t in the word bank. We haven’t changed the set.`,
  saveNew: (gone: string) => `${gone} Save it as a new one.`,
  wordSet: 'word set',
  wordBankFile: 'It isn’t in the word bank, and the file doesn’t give its sounds. Add it on the Words screen first.',
  wordBankWord: 'This word is already in the word bank, so we use the sounds from there.',
  noRowFile: 'None of the rows in this file can be used. Nothing was imported.',
} as const;

export const sounds = {
  notHere: (ipa: string) => `/${ipa}/ isn’t a sound of this accent.`,
  toHold: 'Hold',
  toClip: 'Clip',
  light: 'Light',
  vowels: 'Vowels',
} as const;
