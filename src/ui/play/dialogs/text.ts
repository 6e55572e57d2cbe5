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

export const pebblesDialog = {
  title: (name: string) => `Pebbles with ${name}`,
  what: (word: string) =>
    `Do they hear every sound in “${word}”? Put out eight pebbles, and show them how with another word first. Watch for mouths: use something bigger with very young children.`,
  oneMore: 'They said that well, so try one more word.',
  sayIt: (word: string) => `Say: “Say ${word}.” What do they say?`,
  howSaid: 'What they say',
  canTell: 'can’t tell',
  push: (word: string, sound: string) =>
    `Say: “Lips zipped. Push a pebble for each sound in ${word}.” Then: “Touch the one for ${sound}.”`,
  pebbles: 'Pebbles',
  allThere: (count: number) => `${count} pebbles, and the right one touched`,
  notYet: 'Not yet',
  tellApart: (word: string) =>
    `Let them see your face, with a picture of the ${word} if you have one. Ask each question, and tap the ones they get wrong.`,
  whichWrong: 'Questions they got wrong',
  isIt: (word: string) => `Is it ${word}?`,
  wrong: '(wrong)',
  right: '(right)',
  rightOf: (right: number, of: number) => `${right} of ${of} right: done`,
  verdict: (verdict: 'speech' | 'awareness' | 'own-words' | 'talk' | 'open'): string =>
    ({
      speech: 'They hear it: it’s how they say it. Their answer counts as right.',
      awareness: 'They can say it, but they don’t hear it yet. There’s a game for it on their page.',
      'own-words': 'They can tell the words apart but can’t say it yet. Play words they can say.',
      talk: 'They couldn’t tell the words apart on two days. Their page says what to do.',
      open: 'Saved. We can’t tell yet, so it doesn’t count either way.',
    })[verdict],
} as const;
