/** Every sentence of this room, file by file: read it aloud before you change it. */

export const afterMark = {
  pebbleCheck: 'Pebble check',
  speechOrNot: ': do they hear it, or is it how they say it?',
  notNow: 'Not now',
  noCheck: ': no pebble check',
  allJoinIt: 'All join it up:',
  moreAbout: (name: string, x: string) => `More about ${name}: ${x}`,
  putRight: 'corrected',
  bySelf: 'themselves',
  shown: 'pointed',
  notSaid: ', not spoken',
  whoDiffered: 'Who answered differently?',
} as const;

export const answerLine = {
  model: 'Model: ',
  listen: 'Listen for: ',
  hiddenWhileChildren: 'Hidden while children can see the screen.',
  sounds: (count: number) => `${count} sounds`,
} as const;

export const childrenList = {
  everyoneTogether: 'Everyone together',
  someoneCameLate: 'Someone has arrived',
  children: 'Children',
  rests: ' · rests',
  away: 'away?',
  back: 'back?',
  whoWants: 'Who wants a turn?',
  then: (name: string) => `then ${name}`,
  thenAll: (name: string) => `then ${name}; all the children`,
  all: 'All',
} as const;

export const taps = {
  wantsTapAnswers: 'Who wants a turn? Tap who answers.',
  whoAnswers: 'Who answers',
  modelled: (calling: boolean, name: string) => `Done – ${calling ? 'who wants a turn?' : `${name}’s turn`}`,
  harvest: (size: number) => `Finish: ${size} ${size === 1 ? 'word' : 'words'}`,
  lastAnswersKept:
    'Your last answers are safe on this device. We’ll send them to the server as soon as we can reach it.',
  everyAnswerSaved: 'Every answer is saved.',
} as const;

export const huntView = {
  time: 'Time!',
  thirtySeconds: 'Thirty seconds',
  halfWay: 'Half-way',
  startTheClock: 'Start the clock',
  clockBack: 'Reset the clock',
  stopTheClock: 'Stop the clock',
  of: (x: number) => `of ${x}`,
  word: 'A word that isn’t listed',
  wordsHiddenWhile: 'The words are hidden while children can see the screen.',
  wordsToTick: 'Words to tick',
} as const;

export const itemView = {
  yourOwnName: 'your own name',
} as const;

export const notices = {
  understood: 'OK',
  threeRowHard: (name: string) => `Three in a row were hard for ${name}. Finish on an easier one?`,
  now: (covered: boolean, word: string) => `Now: ${covered ? 'an easier one' : word}`,
  enoughRound: 'That’s enough for this round',
  goOn: 'Carry on',
} as const;

export const marks = {
  said: (who: string) => `${who} said`,
  somethingElse: 'Something else',
} as const;

export const side = {
  undo: (name: string | null) => (name ? `Undo: ${name}` : 'Undo'),
  tools: 'Tools',
} as const;

export const tools = {
  pebbleCheck: 'Pebble check',
  beatItOut: 'Tap it out',
  saidAgain: 'Said again',
  slower: (slowed: string) => `Slower${slowed}`,
  otherWord: 'Other word',
  skip: 'Skip',
  skipComeBack: 'Skip: come back to this child later',
  whoSpeaksNow: (step: string) => `Who speaks: ${step.toLowerCase()}`,
  note: 'Note',
  childrenCanSee: 'Children can see',
  pause: 'Pause',
  finish: 'Finish',
  onThisDevice: 'On this device',
  keys: 'Keys',
} as const;

export const playScreen = {
  playNeedsJavascript: 'Play needs JavaScript.',
  backToToday: 'Back to Today',
} as const;

export const playTop = {
  listensAlong: (by: string) => `${by} is listening along`,
  roundOf: (x: number, many: number) => `round ${x} of ${many}`,
  finish: 'Finish',
  turnsDone: (done: number, planned: number) => `${done} of ${planned} turns done`,
  aboutMin: (minutes: number) => `about ${minutes} min`,
  ofMin: (used: number, minutes: number) => `${used} of ${minutes} min`,
  deviceYetServer: (pending: number) => `${pending} on this device, not on the server yet`,
  of: (min: number, planned: number) => `${min} of ${planned}`,
} as const;

export const roundDone = {
  sessionFinished: 'This session is finished',
  round: 'Round finished',
  lookBack: 'Look back',
  next: (name: string) => `Next: ${name}`,
  finishLookBack: 'Finish and look back',
  onceMore: 'Play it once more',
  moreTurnEach: 'One more turn each',
} as const;

export const link = {
  sessionOpenAnother:
    'This session is open in another tab too. We keep the marks from both; for each turn the later one counts.',
  browserKeepsNothing:
    'This browser won’t let us save on the device (is it a private window?). Answers go straight to the server.',
  deviceNoRoom:
    'This device has no room left, so answers go straight to the server. They’re safe while we can reach it.',
  tapKeptDevice:
    'That tap wasn’t saved: this device has no room and we can’t reach the server. Please note it on paper.',
} as const;

export const run = {
  answerBeforeAgain: 'the answer before, again',
  everyone: 'Everyone',
  aChild: 'A child',
} as const;

export const send = {
  serverCouldSave: 'The server couldn’t save the answer.',
} as const;

export const store = {
  tapCouldKept: 'That tap wasn’t saved. Please tap again, or note it on paper.',
} as const;

export const sayPanel = {
  say: 'Say',
  togetherNowTurn: (gesture: string, reminder: string) =>
    `Say it together now. Then it’s their turn. Gesture: ${gesture} ${reminder}`,
  asks: (name: string, name2: string) => `${name} asks ${name2}. `,
  sayItBack: (fill: string) => `${fill}. Can you say it back?`,
  allTogether: (x: string) => `All together: ${x}`,
} as const;

export const storyView = {
  back: 'Back',
  nextSentence: 'Next sentence',
  where: (at: number, of: number) => `Sentence ${at} of ${of}`,
  caught: (caught: number, of: number) => `${caught} of ${of} caught`,
} as const;

export const thinkRing = {
  showMeIn: (left: number) => `Show me in ${left}`,
  theyThink: 'They’re thinking',
  showMe: 'Show me!',
  now: 'Now.',
  timeToThink: 'Time to think',
} as const;

export const whoSpeaks = {
  whoSpeaks: 'Who speaks',
} as const;

export const turn = {
  wordComesThen: 'Who wants a turn? Tap a child’s name to see their word.',
  alwaysFor: (name: string, list: string) => `Always for ${name}: ${list}.`,
  withLine: (round: string, group: string) => `${round} with ${group}`,
  sTurnOf: (name: string, x: number, planned: number) => `${name}’s turn, ${x} of ${planned}`,
} as const;
