/** Every sentence of this room, file by file: read it aloud before you change it. */

export const homePage = {
  shortNoUh: 'short, with no “uh” after',
  heldMoment: 'held for a moment',
  lightlyNoUh: 'lightly, with no “uh” after',
  minutePlentyGame:
    'A minute here and there is plenty. It is a game to hear and say: no letters, no right or wrong, and stop while it is fun.',
  whatWePlayed: 'What we played',
  say: (list: string, x: string | undefined) => `Say ${list} ${x}.`,
  tryHome: 'To try at home',
  aFewWords: 'A few words',
  howSaySounds: 'How to say the sounds',
} as const;

export const log = {
  moreNotedOnce: 'more was noted at once',
  wrongButton: 'wrong button',
  thoughtAboutAgain: 'thought about it again',
  anotherChild: 'it was another child',
  anotherReason: 'another reason',
} as const;

export const runningOrder = {
  warmUp: 'Warm-up',
  focus: 'Focus',
  stretch: 'Stretch',
  close: 'Close',
  oneTurnEach: 'one turn each',
  everyoneTogether: 'everyone together',
  whoWantsTo: 'who wants to',
  pairsAsksAnswers: 'in pairs: one asks, one answers',
  checkSameItems: 'check-in: the same items for each',
} as const;

export const shapes = {
  sameItemsEach:
    'The same items for each child, alone with you. No help and no praise, only “thank you”. Three in a row too hard: enough.',
  withLine: (slashed: string) => ` with ${slashed}`,
  throughManyTasks: (sound: string | undefined) =>
    `${sound ?? 'Any sound'} through many tasks`,
  soundsBlendedSegmented: (count: number, of: string) => `${count} sounds, blended then segmented${of}`,
  checkIn: 'Check-in',
} as const;
