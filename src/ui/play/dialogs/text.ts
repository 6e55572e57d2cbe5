/** Every sentence of this room, file by file: read it aloud before you change it. */

export const deviceDialog = {
  marksNameInitials: 'Who is marking? (a name or initials, saved with each answer)',
  timeThinkBefore: 'Thinking time before anyone answers',
  countDownShow: 'Count down to “show me”',
  softTickEach: 'A soft tick with each beat',
  names: 'Children’s names on this screen',
  namesFull: 'Names',
  namesInitials: 'Initials',
  namesPlants: 'Plants only',
  hand: 'Which hand do you tap with?',
  rightHand: 'Right',
  leftHand: 'Left',
  seconds: (s: number) => `${s} s`,
  none: 'none',
  dimNapTime: 'Dim, for nap time',
  secondPairEars: 'I’m a second pair of ears, listening along',
  marksStandBeside:
    'Your marks are kept beside the first adult’s and change nothing. You can compare them in Children.',
  sayAboveMarks: 'Type who is marking above, so we can tell the two apart.',
  group: 'Not with this group …',
  keys: 'Keys',
  onThisDevice: 'On this device',
} as const;

export const dialogs = {
  note: 'Note',
  keepTheNote: 'Save the note',
  noteOn: (name: string) => `Note about ${name}`,
  keptAnswerWrite: 'We save this with the answer. Write what you heard, not what you think of the child.',
  word: (group: string) => `Which word is not for ${group}?`,
  wontOfferedGroup: 'It won’t be offered to this group again. You can bring it back in Settings.',
  goOn: 'Carry on',
  paused: 'Paused',
  noTimeCounted: 'The clock has stopped. Every answer so far is saved.',
  whoHasCome: 'Who’s arrived?',
  joinWhereOthers: 'They join in from here.',
  everythingMarkedKept: 'Everything you’ve marked is saved. You can carry on from Look back within the hour.',
  turn: 'There is one turn',
  thereAreTurns: (left: number) => `There are ${left} turns`,
  finishTheSession: 'Finish the session',
  keepPlaying: 'Keep playing',
  finishNow: 'Finish now?',
  leftRound: (turns: string, kept: string) => `${turns} left in this round. ${kept}`,
} as const;

export const peopleDialog = {
  whoseTurn: 'Whose turn is it?',
  everyoneTogether: 'Everyone together',
  someoneCameLate: 'Someone has arrived',
  away: 'away?',
  back: 'back?',
} as const;

export const soundPad = {
  serverCannotReached: 'We can’t reach the server, so we can’t read a spelling. Tap the sounds instead.',
  markIt: (x: string) => `Mark it: ${x}`,
  putList: 'Add it to the list',
  leaveIt: 'Leave it out',
  said: (who: string) => `${who} said`,
  tapHeard: 'Tap the sounds you heard.',
  oneByOne: 'Said one by one',
  inOneGo: 'Said as one word',
  takeLastSound: 'Delete the last sound',
  vowels: 'vowels',
  soundWordSaid: 'Type a sound, or the word as they said it',
  soundWordSaidLine: 'a sound, or the word as they said it',
  wordSaid: 'the word they said',
  word: 'It’s a real word',
} as const;

export const toolsDialog = {
  tools: 'Tools',
  more: 'More tools',
  firstOnes: 'Back to the first five',
  whoSpeaks: 'Who speaks',
} as const;

export const keys = {
  onOwn: 'On own',
  withHelp: 'With help',
  notYet: 'Not yet',
  noReply: 'No reply',
  doesntCount: 'Doesn’t count',
  theLikelyAnswers: 'the likely answers',
  space: 'Space',
  beatSoundsOut: 'tap the sounds out',
  anotherChild: 'another child',
  myTurnTogether: 'my turn, together, your turn',
  saidAgain: 'said again',
  otherWord: 'other word',
  comeBackChild: 'come back to this child later',
  somethingElseSaid: 'something else they said',
  putRightSelf: 'corrected themselves',
  onThisDevice: 'on this device',
  childrenCanSee: 'children can see',
  theseKeys: 'these keys',
  keys: 'Keys',
} as const;
