/** Every sentence of this room, file by file: read it aloud before you change it. */

export const asideButton = {
  bringBackFor: (word: string, groupName: string) => `Bring ${word} back for ${groupName}`,
  notWith: (groupName: string) => `Not with ${groupName}`,
} as const;

export const importSet = {
  inTheBank: 'already in the word bank',
  newBecomesWord: 'new: we’ll add it to your own words',
  leftOut: 'left out',
  list: (name: string) => `${name} is in the list.`,
  bringSet: 'Open a set from a file',
  csvFileColumn:
    'A CSV file with a column called “word”, or a set saved as JSON. You’ll see every row before anything is saved.',
  reading: 'Reading…',
  chooseAFile: 'Choose a file',
  nothingWasImported: (fault: string) => `${fault} Nothing was imported.`,
  rowsUsedNothing: (words: number, rows: number, refused: number) =>
    `${words} of ${rows} rows can be used${refused ? `, ${refused} left out` : ''}. Nothing has been saved yet.`,
  keep: (words: number) => `Save ${words} ${words === 1 ? 'word' : 'words'}`,
  leaveIt: 'Don’t save it',
  rowsFile: 'Rows in the file',
} as const;

export const ownTick = {
  weOwnOne: 'We have one',
} as const;

export const ownWordForm = {
  change: (word: string) => `Change ${word}`,
  addAWord: 'Add words',
  wordChildrenUse:
    'Add a word your children use that isn’t in the word bank. Say it aloud as you go: your ear decides.',
  dictionary: 'The dictionary doesn’t have',
  saySlowlyTap: '. Say it slowly and tap each sound you hear.',
  howSay: 'How do you say it?',
  isIt: (list: string) => `Is it ${list}?`,
  noReadingWord: 'No way of saying the word has both. Choose another, or tap the sounds.',
  backDictionarysSounds: 'Back to the dictionary’s sounds',
  soundsDifferentTap: 'It sounds different: tap the sounds',
  soundsSayThem: (count: number) => `has ${count} sounds. Say them one by one: are they right?`,
  itsSounds: 'Its sounds',
  meansLine: 'What it means, in one line',
  shedGate: 'the shed by the gate',
  sentenceOptional: 'A sentence with it (optional)',
  thingWePut: 'It’s a thing we could put in a basket',
  toWatchFor: 'Things to watch out for',
  soundsRightKeep: 'It sounds right: save it',
  theWord: 'The word',
  findItsSounds: 'Find its sounds',
} as const;

export const pictureCards = {
  drawIt: '(space to draw it)',
  noWordMake: 'There are no words to make cards from.',
} as const;

export const printButton = {
  print: 'Print',
} as const;

export const printedSetScreen = {
  ourSets: 'Our sets',
  aList: 'A list',
  pictureCards: 'Picture cards',
  printing: 'Printing',
  noWordSet: 'None of the words in this set are in the word bank any more.',
  soundsAccentCounting: 'Sounds are in your accent, counted your way. Pictures: OpenMoji, CC BY-SA 4.0.',
} as const;

export const removeWord = {
  keepIt: 'Keep it',
  removeIt: 'Remove it',
  remove: (word: string) => `Remove ${word}`,
  removeLine: (word: string) => `Remove ${word}?`,
  leavesWordsSets: 'This removes it from your words, sets and prop shelf. Sessions you’ve played keep it.',
} as const;

export const setPanel = {
  sizeOfSet: 'How many words',
  putAsideBring: (word: string, groupName: string) =>
    `${word} is put aside for ${groupName}. You can bring it back in Settings.`,
  savedAs: (name: string) => `Saved as ${name}.`,
  playWith: (groupName: string) => `Play with ${groupName}`,
  putWordsPlus: 'Add words with the plus beside them, or',
  setProposed: 'let us suggest a set',
  nameSet: 'Name of the set',
  printIt: 'Print it',
  greenhouseWords: 'Greenhouse words',
  saveChanges: 'Save changes',
  save: 'Save',
  keepAnotherSet: 'Save as a new set',
  allOurSets: 'All our sets',
  proposeOthers: 'Suggest others',
  proposeASet: 'Suggest a set',
  of: 'of',
  words: (n: number) => `${n} words`,
  game: 'Game',
  notWith: (groupName: string, word: string) => `Not with ${groupName}: ${word}`,
  move: (word: string) => `Move ${word}`,
  swapAnotherWord: (word: string) => `Swap ${word} for another word`,
  takeOut: (word: string) => `Remove ${word}`,
  group: 'Not with this group',
  wordSet: 'Word set',
  proposedEasyFirst: 'our suggestion: easy words first, one harder word at the end',
  yourOwnOrder: 'your own order',
  bankMore: (list: string) => `Not in the word bank any more: ${list}.`,
} as const;

export const setsScreen = {
  ourWordSets: 'Our word sets',
  searchTheSets: 'Search the sets',
  nameOrWord: 'name or word',
  chooseWordsUnder: 'Choose words in',
  findWords: 'Find words',
  giveSetName: ', give the set a name and save it, or open one from a file.',
  setsSave: 'Sets you save will appear here',
  noSet: (search: string) => `No set has “${search}” in it.`,
  eraseTheSet: 'Erase the set',
  erase: (x: string) => `Erase ${x}?`,
  setGoesWords: 'The words stay in the word bank, and sessions you’ve played stay as they are.',
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
    `Tick what you have. ${owned ? `${owned} ${owned === 1 ? 'thing' : 'things'} on the shelf; ${covered} of ${shelf} first sounds have one.` : 'Nothing is ticked yet.'}`,
  toCollect: 'To collect',
  nothingYet: (list: string) => `and nothing yet for ${list}.`,
  smallPartsChoking:
    'Small parts are a choking hazard for under-3s (the 31.7 mm cylinder test, 16 CFR 1501.4 and EN 71-1), and for older children who put things in their mouths. Your setting’s own rules come first.',
  asInLine: (as: string) => `as in ${as}`,
  owned: (owned: number) => `we have ${owned}`,
  nothingYetLine: 'nothing yet',
  firstSound: (name: string) => `First sound ${name}`,
  findWordsThings: 'Find words for the things we have',
} as const;

export const tapPad = {
  noSoundYet: 'no sound yet',
  takeLastSound: 'Delete the last sound',
  consonants: 'Consonants',
  vowels: 'Vowels',
  strongestPart: 'The strongest beat has',
  showTheseSounds: 'Show these sounds',
  tapTheSounds: 'Tap the sounds',
} as const;

export const withheld = {
  wordLeftWord: 'This word is no longer in the word bank. What you saved with it still works, but no game offers it.',
  peopleSayNo: (country: string) =>
    `People say this in ${country}, so no game here offers it. You can let in words like this in Settings.`,
  peopleSaySome: (country: string) =>
    `People say this in some parts of ${country}, so no game offers it. You can let in words like this in Settings.`,
  wordPutAside: (groupName: string) => `This word is put aside for ${groupName}: no game offers it.`,
} as const;

export const wordPageScreen = {
  anEverydayWord: 'an everyday word',
  wordMostChildren: 'a word most children know',
  wordTellLine: 'a word to explain first',
  anotherWordSpelt: 'Another word is spelt the same but said differently, so we leave it out unless you ask for it.',
  peopleSayTwo: 'People here say it in two ways, so we leave it out unless you ask for it.',
  swapTheSound: (nth: string, label: string) => `swap the ${nth} sound, /${label}/`,
  leaveOutSound: (nth: string, label: string) => `leave out the ${nth} sound, /${label}/`,
  addASound: (nth: string) => `add a sound, ${nth}`,
  counted: 'Counted',
  asWeCount: 'As we count',
  toKnow: 'Good to know',
  wordOurs: 'One of our own words',
  itIs: (x: string) => `It’s ${x}`,
  changeThisWord: 'Change this word',
  withLine: (groupName: string) => `With ${groupName}`,
  playedGroupYet: 'You haven’t played it with this group yet.',
  howEachAccent: 'How each accent says it',
  lettersUnderSounds: 'Letters under the sounds',
  silentHere: 'silent here',
  mostPeopleLeave: (careful: string) => `Most people leave out the /${careful}/. You may hear it in careful speech.`,
  sounds: 'sounds',
  showIt: 'Show it:',
  oneSoundAway: 'One sound away',
  noWordBank: 'No word in the word bank is one sound away.',
  rhymes: 'Rhymes',
  noWordBankRhymes: 'No word in the word bank rhymes with it in your accent.',
} as const;

export const wordsScreen = {
  more: 'more …',
  youCanHold: 'you can hold',
  toClip: 'to clip',
  lightHW: 'light: h, w, y',
  aVowel: 'a vowel',
  sameCountEveryone: 'same count for everyone',
  soundsWeTaught: 'sounds we’ve taught',
  propsWeOwn: 'props we have',
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
  wordsWhoseCount: 'words people count differently',
  wordsSpeltSaid: 'words spelt or said in two ways',
  howManySounds: 'How many sounds?',
  skipWordSet: 'Skip to the word set',
  wordFits: 'word fits',
  wordsFit: 'words fit',
  showMoreFurther: (further: number) => `Show more (${further} left)`,
  wordsSuchBox: 'Words like box and apple are hidden until you',
  sayHowCount: 'choose how to count them',
  waitingHeardAccent: 'Waiting for you to hear them in this accent:',
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
  searchSpellingSounds: 'Search by spelling, or by sounds with spaces between them. Type _ for any one sound.',
  frogSoundsT: 'frog, or by sounds: _ a t',
  search: 'Search',
  noSoundsTicked: 'You haven’t ticked any sounds as taught yet. Tick them above and we’ll find words for them.',
  noWordBank: 'No word fits all of that.',
  beginAgain: 'Start again',
  allOfThis: (count: number, x: string, words: number) =>
    `${count === 0 ? 'No word fits' : `Only ${count} ${count === 1 ? 'word fits' : 'words fit'}`} all of that. With ${x}, there would be ${words}.`,
  sayHowCountLine: 'Choose how to count',
  loosenIt: 'Allow that',
  anotherWordSpelt: 'another word is spelt the same',
  saidTwoWays: 'said in two ways',
  ours: '· ours',
  takeOutSet: (word: string) => `Remove ${word} from the set`,
  putSet: (word: string) => `Add ${word} to the set`,
} as const;

export const otherGame = {
  serverCannotReached: 'We can’t reach the server. Please try again in a moment.',
  anotherGame: 'Another game …',
  playInAnother: 'Play these words in another game',
  usesThoseThatFit: 'Each game takes the words that work in it, and leaves the rest.',
  noGame: 'No other game can be made from these words.',
  takes: (words: number, of: number) => (words === of ? 'all of them' : `${words} of the ${of} words`),
  play: 'Play',
} as const;

export const setBar = {
  set: (words: number) => `${words} ${words === 1 ? 'word' : 'words'} in the set`,
  see: 'See and play',
} as const;

export const taughtButton = {
  change: 'change our sounds',
  tick: 'tick the sounds you’ve taught',
  soundsTaught: 'Sounds we’ve taught',
} as const;
