/** Every sentence of this room, file by file: read it aloud before you change it. */

export const readyForms = {
  playNowMin: (minutes: number) => `Play now · ${minutes} min`,
  changeItFirst: 'Change it first',
} as const;

export const todayScreen = {
  readyFor: (name: string) => `Ready for ${name}`,
  isNotFinished: (title: string) => `You haven’t finished “${title}”.`,
  go: 'Carry on',
  lately: 'Lately',
  sessionsStandOnce: (name: string) => `${name}’s sessions will appear here once you’ve played one.`,
  hereToday: 'Here today',
  of: (here: number) => `${here} of`,
  tapSayAway: (name: string) => `in ${name}. Tap the switch beside anyone who’s away.`,
  noNamesYet: 'No names yet. You can play all together, or add names first.',
  changeTheList: 'Change the list',
  addNames: 'Add names',
  cardForCover: 'A card for a colleague',
} as const;

export const coverCardScreen = {
  thisPage: 'This page',
  today: 'Today',
  withNames: 'With names',
  withInitials: 'With initials',
  takingOver: (group: string) => `Taking over ${group}`,
  readyToPlay: 'Ready to play',
  orElse: 'Or one of these:',
  bring: 'Bring:',
  nothing: 'nothing but your voice',
  whoNeedsWhat: 'Who needs what',
  next: (does: string) => `Next: ${does}.`,
  minutes: (n: number) => `about ${n} min`,
  howToMark: 'Take turns, let them think, and tap or write what each child said. No answer isn’t a wrong answer.',
  keepSafe: 'This card is about children. Keep it with you, and shred it when you’re done.',
} as const;

export const doorForm = {
  oneEach: 'One each at the door',
  what: 'One quick question for each child, at their own step, while they queue for coats or the sink.',
} as const;

export const tomorrow = {
  aChild: 'A child',
  couldWorkTogether: 'Who could work together',
  nextEachThree: (staff: number, afterEachOther: boolean) =>
    `Grouped by each child’s next step, three to six in a group, with ${staff === 1 ? 'one adult' : `${staff} adults`}.${afterEachOther ? ' There are more groups than adults, so they take turns.' : ''} You can change the number of adults in Settings.`,
  wouldOtherwise: (list: string, does: string) => `The next step for ${list} would be: ${does}.`,
  beenSeenYet: (list: string, of: number) =>
    `${list} ${of === 1 ? 'has' : 'have'} not had a turn yet: a good place to start.`,
  playWith: (childIds: number) => `Play with ${childIds}`,
  weeks: (n: number) => `${n} weeks`,
  dueAgain: 'Due again',
  heldShortRound: 'They could do these; a quick round keeps them fresh.',
  lastPlayedAgo: (ago: string) => `; last played ${ago} ago`,
} as const;

export const firstRun = {
  welcome: 'Your first game in a minute',
  howFar: 'How many of the four cards you’ve seen',
  names: { what: 'What it is', accent: 'How you speak', who: 'Who’s playing', marks: 'One tap each' },
  what: 'You say a word, they answer out loud, and one tap keeps what each child said. There are no letters and nothing to look at. Press Play now, just below, whenever you like.',
  howDoYouSpeak: 'Which is closest to how you speak?',
  soundsFollow: 'Sounds and rhymes follow your accent. You can change it, and how you count sounds, in Settings.',
  who: 'First names are enough. Or leave this empty: you can play with no names at all.',
  oneTap: 'After each turn, tap what you heard. The next turn comes up by itself, and Undo takes a tap back.',
  marks: {
    'on-own': 'said it without any help',
    'with-help': 'got there with a bit of help',
    'not-yet': 'said something else, or wasn’t sure',
    'no-reply': 'didn’t say anything',
    'does-not-count': 'it was too noisy, or they weren’t with us',
  },
  next: (name: string) => `Next: ${name.toLowerCase()}`,
  leave: 'Skip this',
  ready: 'I’m ready',
  serverCannotReached: 'We can’t reach the server. Please choose again in a moment.',
} as const;
