/** Every sentence of this room, file by file: read it aloud before you change it. */

export const answerButton = {
  putRight: 'put right',
  marked: 'Marked',
  said: 'Said',
  slipped: 'Slipped',
  help: 'Help',
  also: 'Also',
  putRightChild: 'put right by the child',
  shownNotSaid: 'shown, not said',
  otherwiseThanEveryone: 'otherwise than everyone',
  askedBy: (partner: string) => `asked by ${partner}`,
  timeToMark: 'Time to mark',
  sTimesAdult: (toFixed: string) => `${toFixed} s (it times the adult too)`,
  markedBy: 'Marked by',
  before: 'Before',
  everyoneTogether: 'Everyone together',
  note: 'Note',
  itShouldBe: 'It should be',
  putRightLine: ': put right',
  whyPutRight: 'Why it is put right',
  child: 'Which child it was',
} as const;

export const answerGrid = {
  putRight: 'what was put right',
  freshAndAlone: 'fresh and alone',
  everyoneTogether: 'Everyone together',
  show: 'Show',
  anyWay: 'any way',
  of: (seen: number, answers: number) => `${seen} of ${answers}`,
} as const;

export const goOn = {
  goSession: 'Go on with this session',
  finishedYetGo: 'Not finished yet? Go on',
} as const;

export const homePaperScreen = {
  copied: 'Copied.',
  browserLetUs: 'This browser does not let us copy. The text file holds the same.',
  lookBack: 'Look back',
  copyAsText: 'Copy as text',
  textFile: 'Text file',
  takingItHome: 'Taking it home',
  tryHome: 'To try at home',
  aFewWords: 'A few words',
  howSaySounds: 'How to say the sounds',
} as const;

export const lookBackScreen = {
  whoSaidWhat: 'Who said what',
  tapAnswerSee: 'Tap an answer to see it all or to put it right; what it was before stays in the log.',
  noAnswerMarked: 'No answer was marked in this session.',
  noTurn: (list: string) => `No turn: ${list}.`,
  timeToMark: 'Time to mark',
  endSayTap: 'From the end of what you say to your tap, pauses left out. It times you too: a hint, no measure.',
  once: (seconds: string) => `${seconds}, once`,
  aboutMostAnswers: (seconds: string, seconds2: string, answers: number) =>
    `about ${seconds}, at most ${seconds2}, ${answers} answers`,
  notes: 'Notes',
  everyone: 'Everyone',
  goOnPlaying: 'Go on playing',
  soundsThatSlipped: 'Sounds that slipped',
  asIn: (as: string | undefined) => `as in ${as}`,
  of: (times: number, heard: number) => `${times} of ${heard}`,
  inLine: (list: string) => `in ${list}`,
  noneWasMarked: 'None was marked.',
  signs: 'Signs',
  teachingRecordDiagnosis:
    'This is a teaching record, not a diagnosis, and no reply is not evidence of not knowing. If hearing, speech or language worries you, speak with the family and your special-needs lead; a speech and language therapist or an audiologist assesses.',
  take: 'Take it with you',
  pageFamilies: 'A page for families',
  csvSpreadsheet: 'CSV for a spreadsheet',
  json: 'JSON',
  undoneWhilePlaying: (undone: number) => `${undone} ${undone === 1 ? 'mark was' : 'marks were'} undone while playing.`,
  markedTwoDevices: (clashes: number) =>
    `${clashes === 1 ? 'One turn was' : `${clashes} turns were`} marked on two devices; the later mark stands and the other stays in the log.`,
} as const;

export const sessionLines = {
  notFinished: ' · not finished',
} as const;
