/** Every sentence of this room, file by file: read it aloud before you change it. */

export const bounceLine = {
  sayLightly: 'say lightly',
  dropsIn: 'drops in',
  askedFor: (label: string) => `; asked for: ${label}`,
  tapSoundMissed: 'Tap a sound that was missed',
  missed: ': missed',
  asIn: (as: string) => `as in ${as}`,
} as const;

export const cautions = {
  smallPart: 'small part',
  chokingHazardUnder:
    'A choking hazard under 3 years: it may fit in a cylinder 31.7 mm across. Keep it from children who mouth things.',
  foodAllergen: 'food allergen',
  checkEveryChilds: 'Check every child’s plan before this food comes out.',
  adultHoldsShow: 'An adult holds it, or show a picture.',
  onlyColdEmpty: 'Only cold and empty, or show a picture.',
  checkBatteryCover: 'Check that the battery cover is screwed down.',
  keepLongCords: 'Keep long cords away from necks, and stay beside the child.',
  eaten: 'not to be eaten',
  makeChildIll: 'It can make a child ill if it is eaten. Look at it where it grows, and wash hands afterwards.',
  mayCheckEvery: (allergens: string) =>
    `There may be ${allergens} in it. Check every child’s plan before it comes out.`,
  has: (allergens: string) => `has ${allergens}`,
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

export const nameMenu = {
  change: (current: string) => `Change ${current}`,
  keep: (current: string) => `Keep ${current}`,
  takeOut: (current: string) => `Take out ${current}?`,
  name: 'Name',
  keepTheName: 'Keep the name',
  takeOutLine: 'Take out…',
} as const;

export const stillReading = {
  stillBeingAdded: (sessions: number) =>
    `${sessions === 1 ? 'One earlier session is' : `${sessions} earlier sessions are`} still being added up. Nothing is lost; look again in a minute.`,
} as const;

export const subNav = {
  findWords: 'Find words',
  ourSets: 'Our sets',
  propShelf: 'Prop shelf',
  addAWord: 'Add a word',
  names: 'Names',
  whereEveryoneIs: 'Where everyone is',
  twoAdultsSame: 'Two adults, same ears?',
} as const;

export const tally = {
  noAnswersYet: 'No answers yet',
} as const;
