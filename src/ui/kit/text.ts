/** Every sentence of this room, file by file: read it aloud before you change it. */

export const bounceLine = {
  sayLightly: 'say it lightly',
  dropsIn: 'drops in',
  askedFor: (label: string) => `; asked for: ${label}`,
  tapSoundMissed: 'Tap a sound that was missed',
  missed: ': missed',
  asIn: (as: string) => `as in ${as}`,
} as const;

export const cautions = {
  smallPart: 'small part',
  chokingHazardUnder:
    'A choking hazard for under-3s: it may fit in a cylinder 31.7 mm across. Keep it away from children who put things in their mouths.',
  foodAllergen: 'food allergen',
  checkEveryChilds: 'Check every child’s allergy plan before you bring this food out.',
  adultHoldsShow: 'An adult holds it, or you show a picture.',
  onlyColdEmpty: 'Use it cold and empty, or show a picture.',
  checkBatteryCover: 'Check the battery cover is screwed down.',
  keepLongCords: 'Keep long cords away from necks, and stay beside the child.',
  eaten: 'not to be eaten',
  makeChildIll: 'It can make a child ill if they eat it. Look at it where it grows, and wash hands afterwards.',
  mayCheckEvery: (allergens: string) =>
    `It may contain ${allergens}. Check every child’s allergy plan before you bring it out.`,
  has: (allergens: string) => `contains ${allergens}`,
} as const;

export const deskTop = {
  today: 'Today',
  words: 'Words',
  plan: 'Plan',
  lookBack: 'Look back',
  children: 'Children',
  sounds: 'Sounds',
  settings: 'Settings',
  bouncyEcho: 'Bouncy Echo',
  screens: 'Screens',
  group: 'Group',
} as const;

export const dialog = {
  close: 'Close',
} as const;

export const manners = {
  stoppedLetGo: 'stopped, then let go',
  stoppedThenHissed: 'stopped, then hissed',
  hissedOrBuzzed: 'hissed or buzzed',
  throughTheNose: 'through the nose',
  roundTheSides: 'round the sides',
} as const;

export const quickFind = {
  find: 'Find',
  keys: 'Find anything (Ctrl and K, or ⌘ and K)',
  findAnything: 'Find anything',
  nameWordOrSounds: 'a name, a word, or sounds: sh o p',
  whatWasFound: 'What we found',
  nothing: (typed: string) =>
    `We can’t find “${typed}”. Try part of a name, a day like 26 November, or sounds with spaces between them.`,
  serverCannotReached: 'We can’t reach the server. Please try again in a moment.',
  kinds: {
    child: 'Children',
    word: 'Words',
    sound: 'Sounds',
    set: 'Word sets',
    plan: 'Plans',
    session: 'Sessions',
    note: 'Notes',
    place: 'Screens',
  },
} as const;

export const renameDialog = {
  serverCannotReached: 'We can’t reach the server. Please try again in a moment.',
  name: 'Name',
  keepTheName: 'Save the name',
} as const;

export const stillReading = {
  stillBeingAdded: (sessions: number) =>
    `${sessions === 1 ? 'One earlier session is' : `${sessions} earlier sessions are`} still being added up. Nothing is lost: look again in a minute.`,
} as const;

export const subNav = {
  findWords: 'Find words',
  ourSets: 'Our sets',
  propShelf: 'Prop shelf',
  addAWord: 'Add words',
  names: 'Names',
  whereEveryoneIs: 'Where everyone is',
  twoAdultsSame: 'Two adults, same ears?',
  howWeSay: 'How we say and count',
  judging: 'Judging',
  soundsTaught: 'Sounds taught',
  thisDevice: 'This device',
  ourData: 'Our data',
} as const;

export const tally = {
  noAnswersYet: 'No answers yet',
} as const;
