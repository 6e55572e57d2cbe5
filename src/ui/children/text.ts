/** Every sentence of this room, file by file: read it aloud before you change it. */

const perTen = (share: number): string => `${Math.round(share * 10)} in 10`;

export const addForms = {
  addNamesTo: (groupName: string) => `Add names to ${groupName}`,
  eachLine: 'One on each line.',
  add: 'Add',
  anotherGroup: 'Another group',
  makeTheGroup: 'Make the group',
} as const;

export const ageBand = {
  serverCannotReached: 'The server cannot be reached. Choose again when it can.',
  howOld: 'How old they are',
  notSaid: 'not said',
} as const;

export const awayButton = {
  awayToday: 'away today',
} as const;

export const boardScreen = {
  secureAtSomething: 'secure at something',
  gettingThere: 'getting there',
  notThereYet: 'not there yet',
  tooLittleSeen: 'too little seen',
  whereEveryoneIs: (groupName: string) => `${groupName}: where everyone is`,
  onceNamesAnswers: 'Once there are names and answers, every child stands here with every skill.',
  addNames: 'Add names',
  nobodyChooseEveryone: 'Nobody is at that. Choose “everyone” to see them all.',
  childrenAndSkills: 'Children and skills',
  eachSquareNames: (ruleNote: string | null) =>
    `Each square names the step a child stands before, or the last one where all hold. ${ruleNote} A teaching record, not a diagnosis.`,
  sortBy: 'Sort by',
  show: 'Show',
  hereToday: 'here today',
  child: 'Child',
  next: 'Next',
  notBegun: 'not begun',
} as const;

export const childPaperScreen = {
  withoutFigures: 'Without figures',
  withFigures: 'With figures',
  thisPage: 'This page',
  soundGames: (group: string, day: string) => `${group} · sound games · ${day}`,
  enoughBeenSeen: (name: string) => `Not enough has been seen yet to say where ${name} is.`,
  goesWell: 'Goes well',
  coming: 'Coming',
  wePlayNext: 'What we play next',
  tryHome: 'To try at home',
  figuresBehind: 'The figures behind it',
  saysSeenShort: (name: string) =>
    `This says what was seen in short spoken games, not what ${name} can do everywhere. It is a teaching record, not a diagnosis. If you wonder about hearing, speech or language, please talk with us.`,
} as const;

export const childScreen = {
  said: 'said',
  rule: (name: string, plainErrs: string) => `Rule: ${name}. ${plainErrs}`,
  weekByWeek: 'Week by week',
  dueAgain: 'Due again',
  lastSeenAgo: (name: string, formatDistanceToNowStrict: string) =>
    `${name}: last seen ${formatDistanceToNowStrict} ago`,
  chosenByAdults: 'Chosen by adults',
  about: (name: string) => `All there is about ${name}`,
  csvSpreadsheet: 'CSV for a spreadsheet',
  json: 'JSON',
  teachingRecordDiagnosis:
    'This is a teaching record, not a diagnosis, and no reply is not evidence of not knowing. If hearing, speech or language worries you, speak with the family and your special-needs lead; a speech and language therapist or an audiologist assesses. Local policy and licensed practice come first.',
  ownWaySpeaking: 'Own way of speaking',
  saysOwnWay: (name: string) => `What ${name} says in their own way is never a slip of hearing sounds.`,
  earlierYetCount: (ownWayEffect: number, list: string) =>
    `With this, ${ownWayEffect === 1 ? 'one' : ownWayEffect} earlier “not yet” would count as right: ${list}. They stay as they were marked until you put them right in Look back.`,
  notes: 'Notes',
  notesMadeWhile: 'Notes made while playing stand here, the newest first.',
  lately: 'Lately',
  saysStand: (name: string) => `What ${name} says will stand here.`,
  playedOnSince: (days: number, day: string) => ` · played on ${days} ${days === 1 ? 'day' : 'days'} since ${day}`,
  printAPage: 'Print a page',
} as const;

export const childrenScreen = {
  nameLeadsChilds: (children: number) =>
    `${children} ${children === 1 ? 'child' : 'children'}. A name leads to that child’s page. “Here” says who is away today; tomorrow everyone is here again.`,
  childrensNamesStand:
    'The children’s names will stand here. You can also play with no names at all: everyone answers together.',
  keepLeastJob:
    'Keep the least that does the job: a first name is enough. Your setting’s policy and local law decide consent, how long records are kept and when they are deleted.',
} as const;

export const earsScreen = {
  twoAdultsSame: 'Two adults, same ears?',
  whenSecondAdult:
    'When a second adult listens along and marks on another device (in Play, under the device’s settings: “a second pair of ears”), both marks are kept and compared here. Those of the first adult stand.',
  noAnswersBeen: 'No answers have been marked by two adults yet. A few minutes of one session are enough to begin.',
  and: (first: string, second: string) => `${first} and ${second}`,
  alikeAnswers: (n: number, answers: number) => `Alike on ${n} of ${answers} answers.`,
  bothUsedMark: 'Both used one mark alone, so nothing can be said beyond that.',
  beyondChanceKappa: (number: string, kappaWord: string, number2: string, number3: string) =>
    `Beyond chance: kappa ${number}, ${kappaWord}; it may lie anywhere from ${number2} to ${number3}.`,
  toTalkAbout: 'To talk about',
} as const;

export const eraseChild = {
  erase: (name: string) => `Erase ${name}…`,
  keep: (name: string) => `Keep ${name}`,
  eraseAnswers: (name: string) => `Erase ${name} and their answers`,
  serverCannotReached: 'The server cannot be reached. Nothing was erased.',
  eraseLine: (name: string) => `Erase ${name}?`,
  nameEveryAnswer:
    'The name, every answer and note in every session, the steps chosen and the way of speaking go from this file for good. A backup you made earlier still holds them.',
} as const;

export const historyChart = {
  onOwn: 'on own',
  helpPractice: 'with help or as practice',
  notYet: 'not yet',
  noReply: 'no reply',
  weeksStandOnce: 'The weeks will stand here once something was played.',
  weekOf: (day: string, list: string) => `Week of ${day}: ${list || 'nothing played'}`,
} as const;

export const ladderPaths = {
  afterFirstGame: 'After the first game played alone, the ladders stand here.',
  next: ' Next.',
  notBegun: (list: string) => `Not begun: ${list}.`,
} as const;

export const menus = {
  eraseAnswers: (name: string) => `Erase ${name} and their answers`,
  erasesEveryAnswer: (name: string) =>
    `This erases ${name} and every answer of theirs from this file, in every session. It cannot be undone; a backup you made earlier still holds them.`,
  eraseEverything: (name: string) => `Erase ${name} and everything in it`,
  erasesSessionsAnswers: (name: string, childCount: number) =>
    `This erases ${name}, its ${childCount} ${childCount === 1 ? 'child' : 'children'}, and all its sessions and answers from this file. It cannot be undone; a backup you made earlier still holds them.`,
} as const;

export const nextCard = {
  serverCannotReached: 'The server cannot be reached. Nothing was changed.',
  next: (does: string) => `Next: ${does}`,
  chosenBy: (by: string | null) => `Chosen by ${by ?? 'an adult'}`,
  on: (chosenOn: string) => ` on ${chosenOn}`,
  ours: (does: string) => ` Ours would be to ${does}.`,
  playThis: 'Play this',
  anotherStep: 'Another step',
  backToOurs: 'Back to ours',
  or: 'Or:',
  playThat: 'Play that',
  climbedEveryLadder: (name: string) => `${name} has climbed every ladder. Play what is due again.`,
  choiceKeptShown: 'Your choice is kept, and shown as yours.',
  chooseAStep: 'Choose a step…',
} as const;

export const ownWay = {
  childSaysOwn:
    'What a child says in their own way is never marked as a slip. It is no diagnosis: if speech or hearing worries you, speak with the family and your special-needs lead.',
  forLine: (label: string, label2: string) => `${label} for ${label2}`,
  noInClusters: (list: string) => `no ${list} in clusters`,
  says: (ownWayWords: string) => `says ${ownWayWords}`,
  noHighSounds: 'no high sounds',
  theirOwnWay: 'their own way',
  serverCannotReached: 'The server cannot be reached. What you chose is still here.',
  leavesOutClusters: 'Leaves out of clusters when talking',
  keepIt: 'Keep it',
  howSpeaksHears: (name: string) => `How ${name} speaks and hears`,
  saysSoundAnother: 'Says one sound for another',
  forFor: (label: string, label2: string, x: string, x2: string) => `${label} for ${label2}: “${x}” for ${x2}`,
  speaksAnotherAccent: 'Speaks another accent',
  theSettingsOwn: 'the setting’s own',
  alwaysNeverCounted: 'Always so, and never counted as help',
  hearsBetterWithout: 'Hears better without high sounds: nothing is asked that only /s/, /f/, /th/ or /sh/ tells apart',
  followFamilyChilds: 'Follow what the family and the child’s teacher of the deaf have agreed, where there is one.',
  saysThisSound: 'Says this sound',
  forText: 'for',
  forThisSound: 'For this sound',
  add: 'Add',
} as const;

export const soundMapView = {
  tooLittleSeen: 'too little seen',
  /** One sound in one place; `low` and `high` are shares of 1. */
  cell: (where: string, state: string, cell: { held: number; asked: number; low: number; high: number }) =>
    cell.asked >= 4
      ? `${where}: ${state}, ${cell.held} of ${cell.asked} times (likely between ${perTen(cell.low)} and ${perTen(cell.high)})`
      : `${where}: ${state}, ${cell.held} of ${cell.asked} times`,
  notAsked: (where: string) => `${where}: not asked for yet`,
  sounds: (x: string) => `Sounds ${x}`,
  whereWord: 'Where in the word',
  filledHoldsRinged:
    'Filled: holds. Ringed: slips. Pale: too little seen. A slip is named only where accident is ruled out over the whole chart.',
} as const;
