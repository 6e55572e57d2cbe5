/** Every sentence of this room, file by file: read it aloud before you change it. */

export const asideButton = {
  bringBackFor: (word: string, groupName: string) => `Bring ${word} back for ${groupName}`,
  notWith: (groupName: string) => `Not with ${groupName}`,
} as const;

export const importSet = {
  inTheBank: 'in the bank',
  newBecomesWord: 'new: becomes a word of ours',
  leftOut: 'left out',
  list: (name: string) => `${name} is in the list.`,
  bringSet: 'Bring in a set',
  csvFileColumn: 'A CSV file with a column “word”, or a set saved as JSON. You see every row before anything is kept.',
  reading: 'Reading…',
  chooseAFile: 'Choose a file',
  nothingWasImported: (fault: string) => `${fault} Nothing was imported.`,
  rowsUsedNothing: (words: number, rows: number, refused: number) =>
    `${words} of ${rows} rows can be used${refused ? `, ${refused} left out` : ''}. Nothing has been kept yet.`,
  keep: (words: number) => `Keep ${words} ${words === 1 ? 'word' : 'words'}`,
  leaveIt: 'Leave it',
  rowsFile: 'Rows of the file',
} as const;

export const ownTick = {
  weOwnOne: 'We own one',
} as const;

export const ownWordForm = {
  change: (word: string) => `Change ${word}`,
  addAWord: 'Add a word',
  wordChildrenUse: 'A word your children use and the bank does not have. Say it aloud as you go: your ear decides.',
  dictionary: 'The dictionary does not have',
  saySlowlyTap: '. Say it slowly and tap each sound you hear.',
  howSay: 'How do you say it?',
  isIt: (list: string) => `Is it ${list}?`,
  noReadingWord: 'No reading of the word has both. Choose another, or tap the sounds.',
  backDictionarysSounds: 'Back to the dictionary’s sounds',
  soundsDifferentTap: 'It sounds different: tap the sounds',
  has: 'has',
  soundsSayThem: 'sounds. Say them one by one: are they right?',
  itsSounds: 'Its sounds',
  meansLine: 'What it means, in one line',
  shedGate: 'the shed by the gate',
  sentenceOptional: 'A sentence with it (optional)',
  thingWePut: 'It is a thing we can put in a basket',
  toWatchFor: 'To watch for',
  soundsRightKeep: 'It sounds right: keep it',
  theWord: 'The word',
  findItsSounds: 'Find its sounds',
} as const;

export const pictureCards = {
  drawIt: '(draw it)',
  noWordMake: 'There is no word to make a card of.',
} as const;

export const printButton = {
  print: 'Print',
} as const;

export const printedSetScreen = {
  ourSets: 'Our sets',
  aList: 'A list',
  pictureCards: 'Picture cards',
  printing: 'Printing',
  noWordSet: 'No word of this set is in the bank any more.',
  soundsAccentCounting: 'Sounds as in the accent and the counting of this setting. Pictures: OpenMoji, CC BY-SA 4.0.',
} as const;

export const removeWord = {
  removeIt: 'Remove it',
  remove: (word: string) => `Remove ${word}`,
  removeLine: (word: string) => `Remove ${word}?`,
  leavesWordsSets: 'It leaves the words, the sets and the prop shelf. Sessions that were played with it keep it.',
} as const;

export const setPanel = {
  putAsideBring: (word: string, groupName: string) =>
    `${word} is put aside for ${groupName}. You can bring it back under Settings.`,
  savedAs: (name: string) => `Saved as ${name}.`,
  playWith: (groupName: string) => `Play with ${groupName}`,
  putWordsPlus: 'Put words in with the plus beside them, or',
  setProposed: 'have a set proposed',
  nameSet: 'Name of the set',
  greenhouseWords: 'Greenhouse words',
  saveChanges: 'Save changes',
  save: 'Save',
  keepAnotherSet: 'Keep as another set',
  allOurSets: 'All our sets',
  proposeOthers: 'Propose others',
  proposeASet: 'Propose a set',
  of: 'of',
  words: (n: number) => `${n} words`,
  game: 'Game',
  notWith: (groupName: string, word: string) => `Not with ${groupName}: ${word}`,
  move: (word: string) => `Move ${word}`,
  swapAnotherWord: (word: string) => `Swap ${word} for another word`,
  takeOut: (word: string) => `Take ${word} out`,
  group: 'Not with this group',
  wordSet: 'Word set',
  proposedEasyFirst: 'proposed: easy first, one stretch at the end',
  yourOwnOrder: 'your own order',
  bankMore: (list: string) => `Not in the bank any more: ${list}.`,
} as const;

export const setsScreen = {
  ourWordSets: 'Our word sets',
  searchTheSets: 'Search the sets',
  nameOrWord: 'name or word',
  chooseWordsUnder: 'Choose words under',
  findWords: 'Find words',
  giveSetName: ', give the set a name and save it; or bring one in from a file.',
  setsSave: 'Sets you save will be here',
  noSet: (search: string) => `No set has “${search}” in it.`,
  eraseTheSet: 'Erase the set',
  erase: (x: string) => `Erase ${x}?`,
  setGoesWords: 'The set goes; its words stay in the bank, and sessions played with them stay as they are.',
  print: (name: string) => `Print ${name}`,
  printLine: 'Print',
  copy: (name: string) => `Copy ${name}`,
  copyLine: 'Copy',
  csv: 'CSV',
  of: (name: string) => `of ${name}`,
  asCsv: 'As CSV',
  json: 'JSON',
  asJson: 'As JSON',
  eraseLine: (name: string) => `Erase ${name}`,
  eraseText: 'Erase',
} as const;

export const shelfScreen = {
  asIn: (as: string) => ` as in ${as}`,
  propShelf: 'Prop shelf',
  tickOwn: (owned: number, covered: number, shelf: number) =>
    `Tick what you own. ${owned ? `${owned} ${owned === 1 ? 'thing' : 'things'} on the shelf; ${covered} of ${shelf} ` + 'first sounds have one.' : 'Nothing is ticked yet.'}`,
  toCollect: 'To collect',
  nothingYet: (list: string) => `and nothing yet for ${list}.`,
  smallPartsChoking:
    'Small parts are a choking hazard under 3 years (31.7 mm cylinder test, 16 CFR 1501.4 and EN 71-1), and for older children who mouth things. Your setting’s own rules come first.',
  asInLine: (as: string) => `as in ${as}`,
  owned: (owned: number) => `${owned} owned`,
  nothingYetLine: 'nothing yet',
  firstSound: (name: string) => `First sound ${name}`,
  findWordsThings: 'Find words for the things we own',
} as const;

export const tapPad = {
  noSoundYet: 'no sound yet',
  takeLastSound: 'Take the last sound back',
  consonants: 'Consonants',
  vowels: 'Vowels',
  strongestPart: 'The strongest part has',
  showTheseSounds: 'Show these sounds',
  tapTheSounds: 'Tap the sounds',
} as const;

export const withheld = {
  wordLeftWord: 'This word has left the word bank. What you saved with it still works, and no game offers it.',
  peopleSayNo: (country: string) =>
    `People say this in ${country}, so no game here offers it. Settings has a switch for such words.`,
  peopleSaySome: (country: string) =>
    `People say this in some parts of ${country}, so no game offers it. Settings has a switch for such words.`,
  wordPutAside: (groupName: string) => `This word is put aside for ${groupName}: no game offers it.`,
} as const;

export const wordPageScreen = {
  anEverydayWord: 'an everyday word',
  wordMostChildren: 'a word most children know',
  wordTellLine: 'a word to tell in one line first',
  anotherWordSpelt: 'Another word is spelt the same and said otherwise, so it is kept out unless you ask for it.',
  peopleSayTwo: 'People here say it in two ways, so it is kept out unless you ask for it.',
  swapTheSound: (nth: string, label: string) => `swap the ${nth} sound, /${label}/`,
  leaveOutSound: (nth: string, label: string) => `leave out the ${nth} sound, /${label}/`,
  addASound: (nth: string) => `add a sound, ${nth}`,
  counted: 'Counted',
  asWeCount: 'As we count',
  toKnow: 'To know',
  wordOurs: 'A word of ours',
  itIs: (x: string) => `It is ${x}`,
  changeThisWord: 'Change this word',
  withLine: (groupName: string) => `With ${groupName}`,
  playedGroupYet: 'Not played with this group yet.',
  howEachAccent: 'How each accent says it',
  lettersUnderSounds: 'Letters under the sounds',
  silentHere: 'silent here',
  mostPeopleLeave: (careful: string) =>
    `Most people leave out its /${careful}/. Somebody who speaks with care may say it.`,
  sounds: 'sounds',
  showIt: 'Show it:',
  oneSoundAway: 'One sound away',
  noWordBank: 'No word of the bank is one sound away.',
  rhymes: 'Rhymes',
  noWordBankRhymes: 'No word of the bank rhymes with it here.',
} as const;

export const wordsScreen = {
  youCanHold: 'you can hold',
  toClip: 'to clip',
  lightHW: 'light: h, w, y',
  aVowel: 'a vowel',
  sameCountEveryone: 'same count for everyone',
  soundsWeTaught: 'sounds we have taught',
  propsWeOwn: 'props we own',
  prop: 'can be a prop',
  hasAPicture: 'has a picture',
  everydayWords: 'everyday words',
  ourOwnWords: 'our own words',
  inTheMiddle: 'in the middle',
  easyFirst: 'easy first',
  aToZ: 'A to Z',
  byFirstSound: 'by first sound',
  bestKnownFirst: 'best known first',
  anyShape: 'any shape',
  anyFirstSound: 'any first sound',
  anySounds: 'any sounds',
  numberSyllables: 'any number of syllables',
  noSearch: 'no search',
  wordsWhoseCount: 'words whose count is argued about',
  wordsSpeltSaid: 'words spelt or said in two ways',
  howManySounds: 'How many sounds?',
  skipWordSet: 'Skip to the word set',
  wordFits: 'word fits',
  wordsFit: 'words fit',
  showMoreFurther: (further: number) => `Show more (${further} further)`,
  wordsSuchBox: 'Words such as box and apple, which adults count in different ways, are left out until you',
  sayHowCount: 'say how you count',
  waitingHeardAccent: 'Waiting to be heard in this accent:',
  alsoWordsSpelt: 'also words spelt or said in two ways',
  only: 'Only',
  withLine: 'with',
  asIn: (as: string) => `as in ${as}`,
  anotherSoundPlace: 'another sound or place',
  withASound: 'with a sound …',
  syllables: 'Syllables',
  startsWith: 'Starts with',
  moreShapes: (moreShapes: number) => `${moreShapes} more shapes`,
  shape: 'Shape',
  sounds: 'sounds',
  numberOfSounds: 'Number of sounds',
  searchSpellingSounds: 'Search by spelling, or by sounds with spaces between; _ is any one sound',
  frogSoundsT: 'frog, or by sounds: _ a t',
  search: 'Search',
  noSoundsTicked: 'No sounds are ticked as taught yet.',
  tickThemSettings: 'Tick them in Settings',
  noWordBank: 'No word of the bank fits all of this.',
  beginAgain: 'Begin again',
  allOfThis: (count: number, x: string, words: number) =>
    `${count === 0 ? 'No word fits' : `Only ${count} ${count === 1 ? 'word fits' : 'words fit'}`} all of this. With ${x} there would be ${words}.`,
  sayHowCountLine: 'Say how you count',
  loosenIt: 'Loosen it',
  anotherWordSpelt: 'another word is spelt the same',
  saidTwoWays: 'said in two ways',
  ours: '· ours',
  takeOutSet: (word: string) => `Take ${word} out of the set`,
  putSet: (word: string) => `Put ${word} in the set`,
} as const;
