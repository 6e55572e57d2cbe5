/** Every sentence of this room, file by file: read it aloud before you change it. */

export const answerButton = {
  nowIs: (who: string, label: string, outcome: string) => `${who}, ${label}: now ${outcome}.`,
  serverCannotReached: 'We can’t reach the server. Nothing was changed.',
  keptWithMark: 'If you give a reason or write a note, do that first: we keep them with the mark you tap.',
  putRight: 'corrected themselves',
  marked: 'Marked',
  said: 'Said',
  slipped: 'Slipped',
  help: 'Help',
  also: 'Also',
  putRightChild: 'corrected themselves',
  shownNotSaid: 'pointed, not spoken',
  otherwiseThanEveryone: 'different from the group',
  askedBy: (partner: string) => `asked by ${partner}`,
  timeToMark: 'Time to mark',
  sTimesAdult: (toFixed: string) => `${toFixed} s (your own tapping time is in this too)`,
  markedBy: 'Marked by',
  before: 'Before',
  everyoneTogether: 'Everyone together',
  note: 'Note',
  itShouldBe: 'What it should be',
  putRightLine: ': correct this',
  whyPutRight: 'Why you’re correcting it',
  child: 'Which child was it?',
} as const;

export const answerGrid = {
  everything: 'everything',
  slips: 'what was missed',
  withNotes: 'what has a note',
  marked: 'marked',
  ofWhom: 'of',
  everyone: 'everyone',
  undo: 'Undo',
  serverCannotReached: 'We can’t reach the server. Nothing was changed.',
  putRight: 'what was corrected',
  freshAndAlone: 'first time, on their own',
  everyoneTogether: 'Everyone together',
  show: 'Show',
  anyWay: 'any mark',
  of: (seen: number, answers: number) => `${seen} of ${answers}`,
} as const;

export const goOn = {
  goSession: 'Carry on with this session',
  finishedYetGo: 'Not finished yet? Carry on',
} as const;

export const homePaperScreen = {
  copied: 'Copied.',
  browserLetUs: 'This browser won’t let us copy. The text file has the same words.',
  lookBack: 'Look back',
  copyAsText: 'Copy as text',
  textFile: 'Text file',
  takingItHome: 'Taking it home',
  tryHome: 'Try this at home',
  aFewWords: 'Some of our words',
  howSaySounds: 'How to say the sounds',
} as const;

export const lookBackScreen = {
  toTalkAbout: 'To talk about',
  nothingStandsOut: 'Nothing stands out this time.',
  whatsNext: (name: string) => `What’s next for ${name}`,
  whoSaidWhat: 'Who said what',
  fromPaper: (number: number) =>
    `Marked on paper and typed in: grid ${number}. The order of turns and the times are a guess.`,
  tapAnswerSee: 'Tap an answer to see all of it, or to correct it. We keep what it was before.',
  noAnswerMarked: 'No answers were marked in this session.',
  noTurn: (list: string) => `No turn today: ${list}.`,
  timeToMark: 'Time to mark',
  endSayTap:
    'From the end of your words to your tap, without the pauses. It includes your own tapping time, so treat it as a rough guide.',
  once: (seconds: string) => `${seconds}, once`,
  aboutMostAnswers: (seconds: string, seconds2: string, answers: number) =>
    `about ${seconds}, ${seconds2} at most (${answers} answers)`,
  goOnPlaying: 'Carry on playing',
  soundsThatSlipped: 'Sounds they missed',
  asIn: (as: string | undefined) => `as in ${as}`,
  of: (times: number, heard: number) => `${times} of ${heard}`,
  inLine: (list: string) => `in ${list}`,
  noneWasMarked: 'None marked.',
  signs: 'What the marks mean',
  teachingRecordDiagnosis:
    'This is a teaching record, not a diagnosis, and no reply doesn’t mean they don’t know. If you’re worried about a child’s hearing, speech or language, talk to the family and your special-needs lead. Assessment is for a speech and language therapist or an audiologist.',
  take: 'Take it away',
  pageFamilies: 'A page for families',
  csvSpreadsheet: 'CSV for a spreadsheet',
  json: 'JSON',
  undoneWhilePlaying: (undone: number) =>
    `${undone} ${undone === 1 ? 'mark was' : 'marks were'} undone while you played.`,
  markedTwoDevices: (clashes: number) =>
    `${clashes === 1 ? 'One turn was' : `${clashes} turns were`} marked on two devices. The later mark counts; the other is kept too.`,
} as const;

export const sessionLines = {
  notFinished: ' · not finished',
  fromPaper: (number: number) => ` · from paper, grid ${number}`,
} as const;

export const fromPaper = {
  marked: 'Marked on paper? Type the grid number:',
  number: 'such as 12',
  typeItIn: 'Type it in',
} as const;

export const paperScreen = {
  typeIn: (number: number) => `Type in grid ${number}`,
  printedOn: (day: string) => `printed on ${day}`,
  already: 'This grid has already been typed in.',
  lookBackAtIt: 'Look back at it',
  how: 'Tap a box, then its mark. Each mark moves you on to the next box. What you type stays on this device until you save it.',
  keys: 'With keys: 1 to 5 for the marks below, Space to leave a box empty, Enter for the next line, Backspace to take a mark back.',
  whichDay: 'When did you play?',
  markedBy: 'Marked by (initials)',
  keep: (marks: number) => (marks === 1 ? 'Save 1 mark' : `Save ${marks} marks`),
  serverCannotReached: 'We can’t reach the server. What you typed is still here: try again in a moment.',
} as const;

export const paperGrid = {
  marks: 'Marks',
  name: 'Name',
  turn: (n: number) => `Turn ${n}`,
  gridFor: (name: string) => `Grid for ${name}`,
  box: (name: string, word: string, mark: string) => `${name}, ${word}: ${mark}`,
  nothing: 'nothing marked',
} as const;
