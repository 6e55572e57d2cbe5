/** Every sentence of this room, file by file: read it aloud before you change it. */

export const asideList = {
  wordsPutAside: 'Words put aside',
  noGameOffers: (groupName: string) => `No game offers these words to ${groupName}. No one sees why.`,
  nonePutWord: (groupName: string) =>
    `No words are put aside for ${groupName}. You can put a word aside from its page, a word set, a plan, or while you play.`,
} as const;

export const progressForm = {
  serverCannotReached: 'We can’t reach the server. What you chose is still here.',
  whenStepSecure: 'When is a step secure?',
  unitsComeFirst: 'What comes first?',
  adultsLeadGroup: 'How many adults can lead a group?',
  keep: 'Save these rules',
} as const;

export const settingsForm = {
  serverCannotReached: 'We can’t reach the server. What you chose is still here.',
  usual: 'Usual',
  soundBySound: 'Sound by sound',
  lettersGo: 'As the letters go',
  accentGroup: 'Your accent',
  weSay: 'We say',
  and: 'and',
  alike: 'alike',
  peopleSpeakDifferent: 'People here have different accents, so a vowel from another accent counts as right',
  alsoOfferWords: 'Also offer words people use in other countries, or only in some parts of this one',
  doNotRhyme: 'don’t rhyme',
  rhyme: 'rhyme',
  counting: 'Counting',
  keepThis: 'Save how we say and count',
  howWeCount: 'This is how we count',
  untilSayWords: 'Until you choose, words that people count differently stay out of the games.',
  has: (x: boolean, one: number, two: number) => `has ${x ? one : two}`,
  eitherWayHere: 'the same either way here',
  howAccentSays: 'How they sound in this accent',
} as const;

export const taughtGrid = {
  lastTickKept: (error: string) => `${error} Your last tick wasn’t saved.`,
  wordsOnlyThese: (groupName: string, count: number, all: number) =>
    `For ${groupName}: ${count} of ${all}. You can ask for words made only of these sounds.`,
  allOfThem: 'All of them',
  none: 'None',
} as const;
