/** Every sentence of this room, file by file: read it aloud before you change it. */

export const afterMark = {
  otherWord: 'Other word',
  skip: 'Skip',
  skipComeBack: 'Skip: come back to this child later',
  note: 'Note',
  undo: (name: string | null) => (name ? `Undo: ${name}` : 'Undo'),
  allJoinIt: 'All join it:',
  moreAbout: (name: string, x: string) => `More about ${name}: ${x}`,
  nothingMarkedYet: 'Nothing marked yet',
  putRight: 'put right',
  bySelf: 'by self',
  shown: 'shown',
  notSaid: ', not said',
  whoDiffered: 'Who differed?',
} as const;

export const answerLine = {
  model: 'Model',
  listen: 'Listen',
  hiddenWhileChildren: 'Hidden while children can see.',
  sounds: (count: number) => `${count} sounds`,
} as const;

export const childrenList = {
  everyoneTogether: 'Everyone together',
  someoneCameLate: 'Someone came late',
  children: 'Children',
} as const;

export const deviceDialog = {
  marksNameInitials: 'Who marks (a name or initials, kept with each answer)',
  timeThinkBefore: 'Time to think before anyone answers',
  countDownShow: 'Count down to “show me”',
  softTickEach: 'A soft tick with each beat',
  initialsPlaceNames: 'Initials in place of names',
  dimNapTime: 'Dim, for nap time',
  secondPairEars: 'A second pair of ears: I listen along',
  marksStandBeside: 'Your marks stand beside the others and change nothing. They are compared under Children.',
  sayAboveMarks: 'Say above who marks, so that the two can be told apart.',
  group: 'Not with this group …',
  keys: 'Keys',
  onThisDevice: 'On this device',
} as const;

export const dialogs = {
  note: 'Note',
  keepTheNote: 'Keep the note',
  noteOn: (name: string) => `Note on ${name}`,
  keptAnswerWrite: 'Kept with this answer. Write what you heard, not what you think of the child.',
  word: (group: string) => `Which word is not for ${group}?`,
  wontOfferedGroup: 'It won’t be offered to this group again. You can bring it back under Settings.',
  goOn: 'Go on',
  paused: 'Paused',
  noTimeCounted: 'No time is counted. Every answer so far is kept.',
  whoHasCome: 'Who has come?',
  joinWhereOthers: 'They join in where the others are.',
  everythingMarkedKept: 'Everything you have marked is kept. You can carry on from Look back within the hour.',
  turn: 'There is one turn',
  thereAreTurns: (left: number) => `There are ${left} turns`,
  finishTheSession: 'Finish the session',
  keepPlaying: 'Keep playing',
  finishNow: 'Finish now?',
  leftRound: (turns: string, kept: string) => `${turns} left in this round. ${kept}`,
} as const;

export const footer = {
  modelled: (calling: boolean, name: string) => `Modelled: ${calling ? 'who wants to?' : `${name} first`}`,
  harvest: (size: number) => `That is the harvest: ${size} ${size === 1 ? 'word' : 'words'}`,
  lastAnswersKept: 'The last answers are kept on this device and go to the server as soon as it can be reached.',
  everyAnswerSaved: 'Every answer is saved.',
} as const;

export const huntView = {
  time: 'Time!',
  thirtySeconds: 'Thirty seconds',
  halfWay: 'Half-way',
  startTheClock: 'Start the clock',
  clockBack: 'Clock back',
  stopTheClock: 'Stop the clock',
  of: (x: number) => `of ${x}`,
  word: 'A word not here',
  wordsHiddenWhile: 'The words are hidden while children can see.',
  wordsToTick: 'Words to tick',
} as const;

export const itemView = {
  yourOwnName: 'your own name',
} as const;

export const notices = {
  understood: 'Understood',
  threeRowHard: (name: string) => `Three in a row were hard for ${name}. An easier one to end on?`,
  now: (covered: boolean, word: string) => `Now: ${covered ? 'an easier one' : word}`,
  enoughRound: 'Enough for this round',
  goOn: 'Go on',
} as const;

export const playFooter = {
  said: (who: string) => `${who} said`,
  somethingElse: 'Something else',
  wantsTapAnswers: 'Who wants to? Tap who answers.',
  whoAnswers: 'Who answers',
} as const;

export const playScreen = {
  playNeedsJavascript: 'Play needs JavaScript.',
  backToToday: 'Back to Today',
} as const;

export const playTop = {
  listensAlong: (by: string) => `${by} listens along`,
  roundOf: (x: number, many: number) => `round ${x} of ${many}`,
  childrenCanSee: 'Children can see',
  pause: 'Pause',
  deviceThinkingTime: 'On this device: thinking time, initials, who marks, words not for us',
  finish: 'Finish',
  aboutMin: (minutes: number) => `about ${minutes} min`,
  ofMin: (used: number, minutes: number) => `${used} of ${minutes} min`,
  deviceYetServer: (pending: number) => `${pending} on this device, not yet on the server`,
  of: (min: number, planned: number) => `${min} of ${planned}`,
} as const;

export const roundDone = {
  sessionFinished: 'This session is finished',
  round: 'That is the round',
  lookBack: 'Look back',
  next: (name: string) => `Next: ${name}`,
  finishLookBack: 'Finish and look back',
  onceMore: 'Once more',
  moreTurnEach: 'One more turn each',
  undo: (name: string) => `Undo: ${name}`,
} as const;

export const keys = {
  onOwn: 'On own',
  withHelp: 'With help',
  notYet: 'Not yet',
  noReply: 'No reply',
  doesntCount: 'Doesn’t count',
  theLikelyAnswers: 'the likely answers',
  space: 'Space',
  beatSoundsOut: 'beat the sounds out',
  anotherChild: 'another child',
  myTurnTogether: 'my turn, together, your turn',
  saidAgain: 'said again',
  otherWord: 'other word',
  comeBackChild: 'come back to this child later',
  somethingElseSaid: 'something else they said',
  putRightSelf: 'put right by self',
  onThisDevice: 'on this device',
  childrenCanSee: 'children can see',
  theseKeys: 'these keys',
} as const;

export const link = {
  sessionOpenAnother:
    'This session is open in another tab too. Marks from both are kept; the later mark of a turn stands.',
  browserKeepsNothing:
    'This browser keeps nothing on the device (a private window?). Answers go straight to the server.',
  deviceNoRoom:
    'This device has no room left, so answers go straight to the server. They are safe there as long as it answers.',
  tapKeptDevice:
    'That tap was not kept: this device has no room and the server cannot be reached. Please note it on paper.',
} as const;

export const run = {
  answerBeforeAgain: 'the answer before, again',
  everyone: 'Everyone',
  aChild: 'A child',
} as const;

export const send = {
  serverCouldSave: 'The server could not save the answer.',
} as const;

export const store = {
  tapCouldKept: 'That tap could not be kept. Please tap again, or note it on paper.',
} as const;

export const sayPanel = {
  say: 'Say',
  togetherNowTurn: (gesture: string, reminder: string) =>
    `Together now. Then it is their turn. With hands: ${gesture} ${reminder}`,
  asks: (name: string, name2: string) => `${name} asks ${name2}. `,
  sayItBack: (fill: string) => `${fill}. Say it back.`,
  allTogether: (x: string) => `All together: ${x}`,
} as const;

export const sendWaiting = {
  oneTap: 'One tap',
  taps: (aside: number) => `${aside} taps`,
  deviceCouldAdded: (many: string, list: string) => `${many} on this device could not be added to the session: ${list}`,
  saveFile: 'Save as a file',
  removeDevice: 'Remove from this device',
  tapsCouldKept: 'Taps that could not be kept',
} as const;

export const soundPad = {
  serverCannotReached: 'The server cannot be reached, and only it can read a spelling. Tap the sounds instead.',
  markIt: (x: string) => `Mark it: ${x}`,
  putList: 'Put it on the list',
  leaveIt: 'Leave it',
  said: (who: string) => `${who} said`,
  tapHeard: 'Tap what you heard.',
  oneByOne: 'One by one',
  inOneGo: 'In one go',
  takeLastSound: 'Take the last sound back',
  vowels: 'vowels',
  soundWordSaid: 'A sound, or a word as it was said',
  soundWordSaidLine: 'a sound, or a word as it was said',
  wordSaid: 'the word they said',
  word: 'It is a word',
} as const;

export const thinkRing = {
  showMeIn: (left: number) => `Show me in ${left}`,
  theyThink: 'They think',
  showMe: 'Show me!',
  now: 'Now.',
  timeToThink: 'Time to think',
} as const;

export const turnTools = {
  alwaysFor: (name: string, list: string) => `Always for ${name}: ${list}.`,
  whoSpeaks: 'Who speaks',
  beatItOut: 'Beat it out',
  saidAgain: 'Said again',
  slower: (slowed: string) => `Slower${slowed}`,
} as const;

export const turn = {
  withLine: (round: string, group: string) => `${round} with ${group}`,
  sTurnOf: (name: string, x: number, planned: number) => `${name}’s turn, ${x} of ${planned}`,
  beatItOut: 'Beat it out',
} as const;
