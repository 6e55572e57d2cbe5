/** Every sentence of this room, file by file: read it aloud before you change it. */

export const calendar = {
  bouncyEcho: 'Bouncy Echo',
  plan: 'Plan',
  bring: (list: string) => `Bring: ${list}`,
} as const;

export const planFile = {
  textLetters: (most: number) => `That text can have ${most} letters.`,
  hasNoStep: (name: string, slice: string) => `“${name}” has no step “${slice}”.`,
  noGame: (slice: string) => `There is no game “${slice}”.`,
  roundItems: (itemLimit: number) => `A round can have ${itemLimit} items.`,
  gapHalfSecond: 'A pause must be at least half a second.',
  gapTwoSeconds: 'A pause can be two seconds at most.',
  minutesWholeNumber: 'Type the minutes as a whole number.',
  planNeedsLeast: 'A plan needs at least one minute.',
  planLastUp: 'A plan can last up to 60 minutes.',
  planRounds: (roundLimit: number) => `A plan can have ${roundLimit} rounds.`,
  twoRoundsId: 'Two rounds have the same id.',
  fileTooLarge: 'This file is too large for a plan.',
  fileEmpty: 'The file is empty.',
  readableJsonSave: 'We can’t read this JSON. Save the plan as a file again.',
  filePlanShould: (planFormat: string) =>
    `This file is not a plan: it should have format “${planFormat}”, version 1 and a plan with rounds.`,
  round: (x: number) => `Round ${x}`,
  noRoundFile: 'None of the rounds in this file can be used.',
  chooseAGame: 'Choose a game.',
  chooseDayTime: 'Choose a day and a time.',
} as const;

export const schemas = {
  idBouncyEcho: 'That isn’t a Bouncy Echo id.',
  nameNeedsLeast: 'A name needs at least one letter.',
  tooLongName: (list: string, nameLimit: number) => `“${list}…” is too long: a name can have ${nameLimit} letters.`,
  wordSetNeeds: 'A word set needs at least one word.',
  wordSetWords: (setLimit: number) => `A word set can have ${setLimit} words.`,
  typeWordLetters: 'Type one word, with letters only.',
  wordLetters: 'A word can have 24 letters.',
  canHaveLetters: (what: string, most: number) => `${what} can have ${most} letters.`,
  theMeaning: 'The meaning',
  theSentence: 'The sentence',
  theseSoundsCannot: 'We can’t read these sounds. Every word needs at least one vowel.',
  wordTheseGames: 'A word for these games needs at least two sounds.',
  moreSoundsThese: 'That is more sounds than these games can use.',
  lettersFitSounds: 'The letters don’t fit the sounds.',
  sound: 'That isn’t a sound.',
  chooseLeastWord: 'Choose at least one word.',
  sessionWords: (setLimit: number) => `A session can have ${setLimit} words.`,
  chooseFiveOutcomes: 'Choose one of the five outcomes.',
  noteLetters: (noteLimit: number) => `A note can have ${noteLimit} letters.`,
  leastAdultLeads: 'You need at least one adult.',
  atMostAdults: (mostStaff: number) => `There can be up to ${mostStaff} adults.`,
  noSuchStep: 'There’s no such step.',
  missingShould: (list: string) => `“${list}” is missing, or is not what it should be.`,
  fit: 'That doesn’t fit.',
  at: (list: string) => ` (at ${list})`,
} as const;

export const wordSet = {
  firstRowCsv: 'The first row of a CSV file names its columns. One of them must be “word”.',
  readableJsonExport: 'We can’t read this JSON. Save the set again, or use CSV.',
  jsonWordSet: (wordSetFormat: string) =>
    `This JSON is not a word set: it should have format “${wordSetFormat}”, version 1, a name and words.`,
  eachWordObject: 'Each word is an object with a “word” in it.',
  importedSet: 'Imported set',
  fileTooLarge: 'This file is too large for a word set.',
  fileEmpty: 'The file is empty.',
  wordFileAlready: 'This word is in the file already.',
  wordSetWords: (setLimit: number) => `A word set can have ${setLimit} words.`,
  noWordFile: 'There are no words in the file.',
} as const;

export const paper = {
  whichDay: 'Choose the day you played.',
  marksOnly: 'Each box takes a number from 1 to 5, or stays empty.',
  whichNumber: 'Type the number that’s printed on the grid.',
} as const;

export const classList = {
  column: (n: number) => `Column ${n}`,
  tooLong: 'That’s too long for a class list.',
  tooMany: (rows: number) => `A class list can have up to ${rows} children at a time.`,
  empty: 'There are no names in this list yet.',
  groupName: 'The name of the group can’t be used.',
  ownId: (letters: number) => `A child’s own number can have ${letters} letters.`,
  noneChosen: 'Choose at least one line.',
} as const;
