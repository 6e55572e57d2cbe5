/** Every sentence of this room, file by file: read it aloud before you change it. */

interface Seen {
  readonly held: number;
  readonly asked: number;
  readonly low: number;
  readonly high: number;
}

const perTen = (share: number): string => `${Math.round(share * 10)} in 10`;

export const addForms = {
  names: 'First names',
  eachLine: 'One on each line.',
  add: 'Add',
  nameOfGroup: 'What is the group called?',
  makeTheGroup: 'Add the group',
} as const;

export const addMenu = {
  add: 'Add …',
  names: 'Names',
  classList: 'A class list',
  plants: 'A plant for everyone',
  anotherGroup: 'Another group',
  addNamesTo: (groupName: string) => `Add names to ${groupName}`,
  aClassList: 'A class list',
  fromYourRegister: 'Bring in names from a register or a spreadsheet, for one group or for several.',
  planted: 'Everyone has a plant now. It stands beside their name for children who can’t read it yet.',
  serverCannotReached: 'We can’t reach the server. Please try again in a moment.',
} as const;

export const ageBand = {
  serverCannotReached: 'We can’t reach the server. Please choose again in a moment.',
  howOld: 'How old are they?',
  notSaid: 'not set',
} as const;

export const awaySwitch = {
  here: 'here',
  away: 'away today',
} as const;

export const boardScreen = {
  secureAtSomething: 'has something secure',
  gettingThere: 'getting there',
  notThereYet: 'not there yet',
  tooLittleSeen: 'not enough seen yet',
  whereEveryoneIs: (groupName: string) => `${groupName}: where everyone is`,
  onceNamesAnswers: 'Once there are names and answers, you’ll see every child and every skill here.',
  addNames: 'Add names',
  nobodyChooseEveryone: 'No one matches. Choose “everyone” to see them all.',
  childrenAndSkills: 'Children and skills',
  eachSquareNames: (ruleNote: string | null) =>
    `Each box shows the step a child is working on, or the last step once all are secure. ${ruleNote ? `${ruleNote} ` : ''}A teaching record, not a diagnosis.`,
  sortBy: 'Sort by',
  name: 'name',
  everyone: 'everyone',
  show: 'Show',
  hereToday: 'here today',
  child: 'Child',
  next: 'Next',
  notBegun: 'not started',
  play: 'Play',
  awayToday: 'away today',
  nothingLeft: 'every step is secure',
  notPlayed: (names: string) => `Not played yet: ${names}.`,
  showThem: 'Show them',
  hideThem: 'Hide them',
} as const;

export const notes = {
  notes: 'Notes',
  notesMadeWhile: 'Notes you make while playing appear here, newest first.',
  search: 'Search the notes',
  nothing: (text: string) => `No note has “${text}” in it.`,
} as const;

export const playStepButton = {
  serverCannotReached: 'We can’t reach the server. Please try again in a moment.',
} as const;

export const childPaperScreen = {
  withoutFigures: 'Without figures',
  withFigures: 'With figures',
  thisPage: 'This page',
  soundGames: (group: string, day: string) => `${group} · sound games · ${day}`,
  enoughBeenSeen: (name: string) => `We haven’t seen enough yet to say where ${name} is.`,
  goesWell: 'What’s going well',
  coming: 'What’s on its way',
  wePlayNext: 'What we’ll play next',
  tryHome: 'To try at home',
  figuresBehind: 'The figures behind this',
  saysSeenShort: (name: string) =>
    `This is what we’ve seen in short listening and talking games. It may not show everything ${name} can do. It’s a teaching record, not a diagnosis. If you wonder about hearing, speech or language, please talk to us.`,
} as const;

export const childScreen = {
  outOfSight: ' · off the list',
  didItHelp: 'Did it help?',
  growingUp: 'Only words they had never met before count here. We can’t tell practice from growing up.',
  said: 'said',
  rule: (name: string, plainErrs: string) => `Rule: ${name}. ${plainErrs}`,
  weekByWeek: 'Week by week',
  dueAgain: 'Due again',
  lastSeenAgo: (name: string, formatDistanceToNowStrict: string) =>
    `${name}: last played ${formatDistanceToNowStrict} ago`,
  chosenByAdults: 'Steps chosen by adults',
  about: (name: string) => `Everything we hold about ${name}`,
  csvSpreadsheet: 'CSV for a spreadsheet',
  json: 'JSON',
  teachingRecordDiagnosis:
    'This is a teaching record, not a diagnosis, and no reply doesn’t mean they don’t know. If you’re worried about a child’s hearing, speech or language, talk to the family and your special-needs lead. Assessment is for a speech and language therapist or an audiologist. Your local policy comes first.',
  ownWaySpeaking: 'Speech differences',
  saysOwnWay: (name: string) => `${name}’s own way of saying sounds never counts as a mistake.`,
  earlierYetCount: (ownWayEffect: number, list: string) =>
    `With this, ${ownWayEffect === 1 ? 'one earlier “not yet”' : `${ownWayEffect} earlier “not yet” marks`} would count as right: ${list}. Nothing changes until you correct it in Look back.`,
  findWhere: 'Find where they are',
  lately: 'Lately',
  saysStand: (name: string) => `${name}’s answers will appear here.`,
  playedOnSince: (days: number, day: string) => ` · played on ${days} ${days === 1 ? 'day' : 'days'} since ${day}`,
} as const;

export const childrenScreen = {
  tapAName: 'Tap a name to open their page. Tap the switch if someone’s away today; tomorrow everyone is back.',
  childrensNamesStand:
    'The children’s names will appear here. You can also play with no names at all: everyone answers together.',
  keepLeastJob:
    'Keep only what you need: a first name is enough. Your setting’s policy and local law decide about consent, how long you keep records and when you delete them.',
} as const;

export const plantButton = {
  serverCannotReached: 'We can’t reach the server. Please choose again in a moment.',
  plantOf: (name: string) => `A plant for ${name}`,
  choose: (name: string, plant: string | null) => (plant ? `${name}’s plant: ${plant}` : `Choose a plant for ${name}`),
  standsBeside: (name: string) => `It stands beside ${name}’s name in Play, on the tick grid and on the name cards.`,
  dotMeans: 'A dot means another child has it.',
  taken: (plant: string) => `${plant}, another child has it`,
  noPlant: 'No plant',
  names: {
    carrot: 'carrot',
    radish: 'radish',
    beetroot: 'beetroot',
    turnip: 'turnip',
    leek: 'leek',
    onion: 'onion',
    pea: 'peas',
    bean: 'bean',
    tomato: 'tomato',
    pumpkin: 'pumpkin',
    courgette: 'courgette',
    aubergine: 'aubergine',
    sweetcorn: 'sweetcorn',
    lettuce: 'lettuce',
    cabbage: 'cabbage',
    mushroom: 'mushroom',
    sunflower: 'sunflower',
    tulip: 'tulip',
    daisy: 'daisy',
    strawberry: 'strawberry',
    apple: 'apple',
    pear: 'pear',
    cherry: 'cherries',
    raspberry: 'raspberry',
  },
} as const;

export const earsScreen = {
  twoAdultsSame: 'Two adults, same ears?',
  whenSecondAdult:
    'A second adult can listen along and mark on another device: in Play, open “On this device” and switch on “a second pair of ears”. We keep both marks and compare them here. The first adult’s marks are the ones that count.',
  noAnswersBeen: 'No answers have been marked by two adults yet. A few minutes of one session is enough to begin.',
  and: (first: string, second: string) => `${first} and ${second}`,
  alikeAnswers: (n: number, answers: number) => `You gave the same mark for ${n} of ${answers} answers.`,
  bothUsedMark: 'Both gave the same mark every time, so we can’t say more than that.',
  beyondChanceKappa: (number: string, kappaWord: string, number2: string, number3: string) =>
    `That is ${kappaWord} agreement, with chance allowed for (kappa ${number}, likely between ${number2} and ${number3}).`,
  toTalkAbout: 'Worth talking about',
} as const;

export const eraseChild = {
  erase: (name: string) => `Erase ${name}…`,
  keep: (name: string) => `Keep ${name}`,
  eraseAnswers: (name: string) => `Erase ${name} and their answers`,
  serverCannotReached: 'We can’t reach the server. Nothing was erased.',
  eraseLine: (name: string) => `Erase ${name}?`,
  nameEveryAnswer:
    'This erases the name, every answer and note in every session, the chosen steps and the speech differences for good. A backup you made earlier still has them.',
} as const;

export const historyChart = {
  onOwn: 'on their own',
  helpPractice: 'with help or as practice',
  notYet: 'not yet',
  noReply: 'no reply',
  weeksStandOnce: 'Week-by-week results appear here once you’ve played.',
  weekOf: (day: string, list: string) => `Week of ${day}: ${list || 'nothing played'}`,
} as const;

export const ladderPaths = {
  afterFirstGame: 'The ladders appear here after a first turn on their own.',
  next: ' Next.',
  notBegun: (list: string) => `Not started yet: ${list}.`,
} as const;

export const namesList = {
  outOfSight: 'Off the list',
  keptWhole: 'They won’t appear on lists or in games. We keep everything about them.',
  bringBack: 'Bring back',
  isBack: (name: string) => `${name} is back on the list.`,
} as const;

export const classListDialog = {
  paste: 'Paste the list',
  columns: 'One child on each line. With headings, we look for “first name”, “group” and “id”.',
  orAFile: 'Or choose a CSV file',
  serverCannotReached: 'We can’t reach the server. The list is still here: try again in a moment.',
  take: (children: number) => (children === 1 ? 'Add 1 child' : `Add ${children} children`),
  notTaken: (columns: string) => `We’ve seen these columns and won’t keep them: ${columns}.`,
  lines: 'Lines of the list',
  noName: 'no name',
  number: (id: string) => `number ${id}`,
  hereAlready: 'already there',
} as const;

export const menus = {
  change: (name: string) => `Change ${name}`,
  rename: 'Rename…',
  moveTo: 'Move to',
  outOfSight: 'Take off the list (keep everything)',
  erase: 'Erase…',
  mergeWith: 'Combine with',
  serverCannotReached: 'We can’t reach the server. Nothing was changed.',
  moved: (name: string, group: string) => `${name} is in ${group} now, with all their answers.`,
  isOut: (name: string) => `${name} is off the list. You can bring them back below.`,
  erased: (name: string) => `${name} was erased.`,
  eraseTitle: (name: string) => `Erase ${name}?`,
  keep: (name: string) => `Keep ${name}`,
  keepBoth: 'Keep them separate',
  mergeTitle: (name: string, into: string) => `Combine ${name} with ${into}?`,
  mergeGoes: (name: string, into: string) =>
    `Its children, sessions and plans move to ${into}, and ${name} won’t be there any more. No answers are lost. The ages and the sounds taught stay as they are in ${into}.`,
  mergeDoes: (into: string) => `Combine them in ${into}`,
  eraseAnswers: (name: string) => `Erase ${name} and their answers`,
  erasesEveryAnswer: (name: string) =>
    `This erases ${name} and every answer they gave, in every session. You can’t undo it. A backup you made earlier still has them.`,
  eraseEverything: (name: string) => `Erase ${name} and everything in it`,
  erasesSessionsAnswers: (name: string, childCount: number) =>
    `This erases ${name}, its ${childCount} ${childCount === 1 ? 'child' : 'children'}, and all its sessions and answers. You can’t undo it. A backup you made earlier still has them.`,
} as const;

export const nextCard = {
  serverCannotReached: 'We can’t reach the server. Nothing was changed.',
  next: (does: string) => `Next: ${does}`,
  chosenWith: ({ by, on }: { by: string | null; on: string | null }, words: readonly string[]) =>
    `Chosen by ${by ?? 'an adult'}${on ? ` on ${on}` : ''}.${words.length ? ` Try ${words.join(' and ')}.` : ''}`,
  ours: 'We’d have suggested:',
  hearWhatSlips: 'hear it and say it',
  toSettle: 'What we can’t tell yet',
  mayHear: 'They may hear these and just not be able to say them yet, so they don’t count either way.',
  pebbleCheck: 'Play the pebble check',
  playThis: 'Play this',
  anotherStep: 'Another step',
  backToOurs: 'Use the suggestion',
  or: 'Or:',
  playThat: 'Play that one',
  climbedEveryLadder: (name: string) => `${name} has finished every ladder. Play what is due again.`,
  choiceKeptShown: 'We’ll save your choice and show that it’s yours.',
  chooseAStep: 'Choose a step…',
} as const;

export const findWhere = {
  serverCannotReached: 'We can’t reach the server. Nothing was changed.',
  game: 'Game',
  find: (children: number) => {
    if (!children) return 'We’ve seen enough of everyone';
    return children === 1 ? 'Find where they are' : `Find where they are (${children} children)`;
  },
  whatForOne: (name: string) =>
    `New here, or been away? Find out where ${name} is: about ten questions, without help or praise.`,
  whatForBoard:
    'Haven’t seen enough of someone? Find out where they are: one child after another, about ten questions each, without help or praise.',
  whatForPlan: 'Or find out where each child is: one after another, about ten questions each, without help or praise.',
} as const;

export const ownWay = {
  childSaysOwn:
    'A child’s own way of saying sounds never counts as a mistake. This isn’t a diagnosis: if you’re worried about speech or hearing, talk to the family and your special-needs lead.',
  forLine: (label: string, label2: string) => `${label} for ${label2}`,
  noInClusters: (list: string) => `no ${list} in clusters`,
  says: (ownWayWords: string) => `says ${ownWayWords}`,
  noHighSounds: 'finds high sounds hard to hear',
  theirOwnWay: 'add speech differences',
  serverCannotReached: 'We can’t reach the server. What you chose is still here.',
  leavesOutClusters: 'When two consonants come together, leaves out',
  keepIt: 'Save',
  howSpeaksHears: (name: string) => `Speech and hearing: ${name}`,
  saysSoundAnother: 'Swaps one sound for another',
  forFor: (label: string, label2: string, x: string, x2: string) => `${label} for ${label2}: “${x}” for ${x2}`,
  speaksAnotherAccent: 'Speaks with another accent',
  theSettingsOwn: 'the setting’s own accent',
  alwaysNeverCounted: 'What this child always has (never counted as help)',
  hearsBetterWithout:
    'Finds high sounds hard to hear: we won’t ask anything that only /s/, /f/, /th/ or /sh/ would tell apart',
  followFamilyChilds:
    'Follow what you’ve agreed with the family and, if there is one, the child’s teacher of the deaf.',
  saysThisSound: 'Says this sound',
  forText: 'for',
  forThisSound: 'In place of this sound',
  add: 'Add',
} as const;

export const soundMapView = {
  tooLittleSeen: 'not enough seen yet',
  openYet: 'not settled yet: it may be how they say it',
  /** One sound in one place; `low` and `high` are shares of 1. */
  cell: (where: string, state: string, cell: Seen) =>
    cell.asked >= 4
      ? `${where}: ${state}, ${cell.held} of ${cell.asked} times (likely between ${perTen(cell.low)} and ${perTen(cell.high)})`
      : `${where}: ${state}, ${cell.held} of ${cell.asked} times`,
  notAsked: (where: string) => `${where}: not asked for yet`,
  sounds: (x: string) => `Sounds ${x}`,
  whereWord: 'Where in the word',
  filledHoldsRinged:
    'Filled: secure. Ringed: often missed. Dashed: it may be how they say it. Pale: not enough seen yet. We name a pattern only when it’s unlikely to be chance.',
} as const;

export const paperScreen = {
  thisPage: 'This page',
  asTable: 'As a table (CSV)',
  counts: 'How many children are where',
} as const;

export const papersMenu = {
  pages: 'Pages to pass on',
  forFamily: 'For the family',
  handover: 'Handover',
  talk: 'To talk over',
  halfTerm: 'Half-term page',
  groupHandover: 'Group handover',
} as const;
