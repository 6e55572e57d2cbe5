/** Every sentence of this room, file by file: read it aloud before you change it. */

export const deskChildrenId = {
  aChild: 'A child',
} as const;

export const deskChildrenBoard = {
  whereEveryoneIs: 'Where everyone is',
  children: 'Children',
} as const;

export const deskChildrenEars = {
  twoAdultsSame: 'Two adults, same ears?',
  children: 'Children',
} as const;

export const deskChildren = {
  children: 'Children',
} as const;

export const deskLayout = {
  skipPage: 'Skip to the page',
} as const;

export const deskLookBackId = {
  lookBack: 'Look back',
} as const;

export const deskLookBack = {
  lookBack: 'Look back',
  whatPlayed: (name: string) => `What ${name} played`,
  everySessionStands: 'Every session stands here with who answered what.',
  startToday: 'Start one from Today.',
  noSessionYet: 'No session yet',
} as const;

export const deskPlanId = {
  plan: 'Plan',
} as const;

export const deskPlan = {
  plan: 'Plan',
} as const;

export const deskSettings = {
  settings: 'Settings',
  toHold: 'To hold',
  toClip: 'To clip',
  light: 'Light',
  vowels: 'Vowels',
  howWeSay: 'How we say and count',
  wayWholeTeam:
    'One way for the whole team, so that children hear one count. Good practitioners differ here; two minutes settle it.',
  whereDataLives: 'Where the data lives',
  fileComputer: 'All of it is in one file on this computer:',
  backUpStop:
    'To back it up, stop Bouncy Echo and copy that file together with any files beside it that end in -wal or -shm.',
} as const;

export const deskSoundsSound = {
  theSound: (decodeURIComponent: string) => `The sound /${decodeURIComponent}/`,
} as const;

export const deskSounds = {
  sounds: 'Sounds',
} as const;

export const deskWordWord = {
  words: 'Words',
} as const;

export const deskWordsNew = {
  addAWord: 'Add a word',
  words: 'Words',
} as const;

export const deskWords = {
  words: 'Words',
} as const;

export const deskWordsSets = {
  ourWordSets: 'Our word sets',
  words: 'Words',
} as const;

export const deskWordsShelf = {
  propShelf: 'Prop shelf',
  words: 'Words',
} as const;

export const apiChildrenIdExportRoute = {
  chooseCsvJson: 'Choose ?as=csv or ?as=json.',
} as const;

export const apiSessionsIdExportRoute = {
  chooseCsvJson: 'Choose ?as=csv or ?as=json.',
} as const;

export const apiSessionsIdHomeRoute = {
  wePlayedTxt: (group: string, day: string) => `what we played, ${group}, ${day}.txt`,
} as const;

export const apiSessionsIdLogRoute = {
  bodyJsonNothing: 'The body is not JSON. Nothing was saved.',
  bodyFitNothing: (explain: string) => `The body does not fit: ${explain} Nothing was saved.`,
} as const;

export const apiSetsIdExportRoute = {
  askFormatCsv: 'Ask for format=csv or format=json.',
} as const;

export const error = {
  screenCouldShown: 'This screen could not be shown',
  answersShownMarked: 'Answers that were shown as marked are kept. Try again; if it goes on, restart Bouncy Echo.',
  tryAgain: 'Try again',
} as const;

export const guarded = {
  somethingWay: 'Something is in the way',
  tryAgain: 'Try again',
} as const;

export const layout = {
  bouncyEcho: 'Bouncy Echo',
  shortSpokenSound: 'Short spoken sound games for early-years groups, with every answer kept.',
} as const;

export const notFound = {
  nothingAddress: 'There is nothing at this address',
  maySlipBeen: 'It may have a slip in it, or what was here has been taken away. Nothing is lost by coming here.',
  backToToday: 'Back to Today',
} as const;

export const playId = {
  play: 'Play',
} as const;

export const printChildrenId = {
  pageChild: 'A page on a child',
} as const;

export const printHomeId = {
  pageFamilies: 'A page for families',
} as const;

export const printPlansId = {
  printAPlan: 'Print a plan',
} as const;

export const printSetsId = {
  printWordSet: 'Print a word set',
} as const;
