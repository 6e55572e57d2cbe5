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
  everySessionStands: 'Every session appears here, with who answered what.',
  startToday: 'Start one from Today.',
  noSessionYet: 'No sessions yet',
} as const;

export const deskLookBackPaper = {
  typeIn: 'Type in a grid',
} as const;

export const deskPlanId = {
  plan: 'Plan',
} as const;

export const deskPlan = {
  plan: 'Plan',
} as const;

export const deskSettings = {
  settings: 'Settings',
  howWeSay: 'How we say and count',
  wayWholeTeam:
    'Choose one way for the whole team, so children always hear the same count. Good practitioners differ here; it takes two minutes to settle.',
  whatAnswersMean: 'What the answers mean',
  soundsTaught: 'Sounds we’ve taught',
  thisDevice: 'This device',
  onlyThisDevice: 'These choices are for the tablet or computer in front of you. Others keep their own.',
  ourData: 'Our data',
  takeItWithYou: 'Take everything with you',
  whatIsInIt: 'One ZIP holds every group, child, session, plan and word set, as files that other programs can open.',
  whereDataLives: 'Where your data is',
  fileComputer: 'It’s all in one file on this computer:',
  takeOut: 'Download everything as open files (ZIP)',
  aboutChildren: 'It’s about children, so follow your setting’s rules on keeping it.',
  backUpStop: 'To back it up, stop Bouncy Echo and copy that file.',
} as const;

export const deskSoundsSound = {
  theSound: (sound: string) => `The sound /${sound}/`,
} as const;

export const deskSounds = {
  sounds: 'Sounds',
} as const;

export const deskWordWord = {
  words: 'Words',
} as const;

export const deskWordsNew = {
  addAWord: 'Add words',
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
  localCouldNot: 'How hard steps are here could not be worked out:',
  diskFull:
    'The computer’s disk is full. Your answers are safe on this device. We’ll save them as soon as there’s room.',
  bodyJsonNothing: 'The body is not JSON. Nothing was saved.',
  bodyFitNothing: (explain: string) => `The body doesn’t fit: ${explain} Nothing was saved.`,
} as const;

export const apiSetsIdExportRoute = {
  askFormatCsv: 'Ask for format=csv or format=json.',
} as const;

export const error = {
  screenCouldShown: 'Something went wrong',
  answersShownMarked: 'Every answer you marked is saved. Try again, and if it happens again, restart Bouncy Echo.',
  tryAgain: 'Try again',
} as const;

export const guarded = {
  somethingWay: 'Something went wrong',
  tryAgain: 'Try again',
} as const;

export const layout = {
  bouncyEcho: 'Bouncy Echo',
  shortSpokenSound: 'Short spoken sound games for early-years groups, with every answer kept.',
} as const;

export const notFound = {
  nothingAddress: 'There’s nothing at this address',
  maySlipBeen: 'The address may be mistyped, or what was here has been removed. Nothing has been lost.',
  backToToday: 'Back to Today',
} as const;

export const playId = {
  play: 'Play',
} as const;

export const printChildrenId = {
  pageChild: 'A page about a child',
} as const;

export const printCoverId = {
  coverCard: 'A card for who takes over',
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

export const printPapers = {
  halfTerm: 'Half-term page',
  handover: 'Handover',
  handoverGroup: 'Group handover',
  talk: 'To talk over',
} as const;
