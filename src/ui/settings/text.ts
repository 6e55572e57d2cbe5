/** Every sentence of this room, file by file: read it aloud before you change it. */

export const asideList = {
  wordsPutAside: 'Words put aside',
  noGameOffers: (groupName: string) => `No game offers these words to ${groupName}. Nobody is told why.`,
  nonePutWord: (groupName: string) =>
    `${groupName} has none. You can put a word aside from its page, a word set, a plan or while you play.`,
} as const;

export const lookChoice = {
  lightDay: 'Light, for the day',
  dimNapTime: 'Dim, for nap time',
  onThisDevice: 'On this device',
  onlyOncePrinted: 'Only here, and at once. What is printed stays dark on white.',
} as const;

export const progressForm = {
  whatAnswersMean: 'What answers mean',
  whenStepSecure: 'When is a step secure?',
  unitsComeFirst: 'Which units come first?',
  adultsLeadGroup: 'Adults who can lead a group',
  keep: 'Keep',
} as const;

export const settingsForm = {
  usual: 'Usual',
  soundBySound: 'Sound by sound',
  lettersGo: 'As the letters go',
  accentGroup: 'Accent of the group',
  weSay: 'We say',
  and: 'and',
  alike: 'alike',
  peopleSpeakDifferent: 'People here speak in different accents, so a vowel from another one counts as right',
  alsoOfferWords: 'Also offer words that are said in other countries, or only in some places here',
  doNotRhyme: 'do not rhyme',
  counting: 'Counting',
  keepThis: 'Keep this',
  howWeCount: 'This is how we count',
  untilSayWords: 'Until you say so, words whose count is argued about stay out of the games.',
  has: (x: boolean, one: number, two: number) => `has ${x ? one : two}`,
  eitherWayHere: 'either way here',
  howAccentSays: 'How this accent says them',
} as const;

export const taughtGrid = {
  lastTickKept: (error: string) => `${error} The last tick was not kept.`,
  soundsWeTaught: 'Sounds we have taught',
  wordsOnlyThese: (groupName: string, count: number, all: number) =>
    `For ${groupName}: ${count} of ${all}. Words with only these sounds can be asked for under Words.`,
  allOfThem: 'All of them',
  none: 'None',
} as const;
