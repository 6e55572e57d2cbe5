/** Every sentence of this room, file by file: read it aloud before you change it. */

export const gamePicker = {
  game: 'Game',
  stepEasyHard: 'Step, easy to hard',
} as const;

export const importPlan = {
  bringPlan: 'Open a plan from a file',
  planSavedFile: 'Open a plan that someone saved as a file. You’ll see every round before anything is saved.',
  reading: 'Reading…',
  chooseAFile: 'Choose a file',
  nothingWasImported: (fault: string) => `${fault} Nothing was imported.`,
  keepThisPlan: 'Save this plan',
  leaveIt: 'Don’t save it',
  leftOut: (why: string) => `left out: ${why}`,
  canBeUsed: 'can be used',
  holdOurAccent: (lost: number) =>
    `${lost} ${lost === 1 ? 'item doesn’t' : 'items don’t'} work in your accent, so we left ${lost === 1 ? 'it' : 'them'} out`,
} as const;

export const itemDialog = {
  right: 'Right:',
  goAnotherWay: 'Try another chain',
  swapIt: 'Swap this word',
  letItGo: 'Unlock',
  keepIt: 'Lock',
  earlier: 'Move earlier',
  later: 'Move later',
  takeItOut: 'Remove',
  group: 'Not with this group:',
} as const;

export const planScreen = {
  namePlan: 'Name of the plan',
  plan: (title: string) => `Plan: ${title}`,
  noRoundYet: 'There are no rounds yet. Add one.',
  addARound: 'Add a round',
  addIt: 'Add it',
  roundsOf: (rounds: number, most: number) =>
    rounds < most
      ? `${rounds} of ${most} rounds`
      : `That’s all ${most} rounds a plan can have. Take one out to add another.`,
  comesLastWords: 'It goes at the end, with words ready. You can move it.',
  of: (children: number, groupName: string) => `${children} ${children === 1 ? 'child' : 'children'} of ${groupName}`,
  lettersAfterAnswer: 'letters after the answer',
  earsOnly: 'ears only',
  undo: 'Undo',
  keeping: 'Saving changes…',
  kept: 'Changes saved',
  notKept: 'Changes not saved',
} as const;

export const planSide = {
  leftOut: (games: string) => `To keep to your minutes, we left out: ${games}. Add a round to put it back.`,
  theRound: 'the round',
  drop: (labels: string) => `Leave out ${labels}`,
  everyoneTogether: (name: string) => `${name}: play it all together`,
  leaveOut: (name: string) => `Leave out ${name}`,
  playNow: 'Play now',
  print: 'Print',
  saved: 'Saved',
  save: 'Save',
  morePlan: 'More for this plan',
  showLettersUnder: 'Show letters under the sounds',
  when: 'When',
  forACalendar: 'Add to a calendar',
  fileShare: 'Save as a file to share',
  neverSetAgainst: 'Don’t contrast these, for children who say them the same',
  askSoundsMany: 'Contrast sounds that many young children mix up, such as /k/ and /t/',
  countsNextWords: 'Applies to new words from now on.',
  bring: 'Bring',
  ours: 'we have it',
  nothingButVoice: 'Just your voice.',
  turns: 'Turns',
  away: (list: string, away: number) => `${list} ${away === 1 ? 'is' : 'are'} away.`,
  min: (minutes: number) => `${minutes} min`,
  minOver: (ceil: number) => `${ceil} min over`,
  your: 'your',
  minutesThereAre: 'Minutes available',
  minLine: (name: string, x: number) => `${name} ${x} min`,
  fitTheseHelps: 'This is too long. Any of these would help:',
  minText: (x: number) => `−${x} min`,
  time: 'Time',
} as const;

export const plansScreen = {
  serverCannotReached: 'We can’t reach the server. What you chose is still here.',
  keepThePlan: 'Keep the plan',
  oneSkill: 'One skill',
  warmUpSkill: 'A warm-up, the skill itself, a stretch, and something easy to finish.',
  soundManyTasks: 'One sound, many tasks',
  rhymeFirstSound: 'One sound all the way through: rhyming, first sounds, blending, segmenting, swapping.',
  oneSetTwice: 'One set of words, twice',
  sameWordsBlended: 'The same words twice: first you blend them, then you segment them.',
  aQuickFive: 'A quick five',
  fiveItemsEveryone: 'Five quick ones, everyone together.',
  checkIn: 'Check-in',
  fewPlainItems: 'A few plain questions from each of four skills.',
  everyoneTogether: 'everyone together',
  oneChild: 'one child',
  children: (here: number) => `${here} children`,
  planFor: (name: string) => `Plan for ${name}`,
  wholeRunningOrder: 'We’ll plan the whole session, and you can change anything in it.',
  giveMe: 'Give me',
  minutes: 'Minutes',
  minutesLine: 'minutes',
  step: 'Step',
  forLine: (people: string) => `for ${people}.`,
  planning: 'Planning…',
  planIt: 'Plan it',
  of: 'of',
  sounds: (n: number) => `${n} sounds`,
  numberOfSounds: 'Number of sounds',
  withLine: 'with',
  anySound: 'any sound',
  sound: 'Sound',
  on: 'on',
  game: 'Game',
  shape: 'What kind of session?',
  ourPlans: 'Our plans',
  searchThePlans: 'Search the plans',
  noneYetMake: (groupName: string) => `${groupName} has no plans yet. Make one here, or open one from a file.`,
  plansSave: 'Plans you save will appear here',
  begunLatelySaved: 'Started lately, not saved',
  noPlanCalled: 'No plan has that name.',
  eraseThePlan: 'Erase the plan',
  erase: (x: string) => `Erase ${x}?`,
  planGoesSessions: 'Sessions you’ve played from it stay as they are.',
  min: (minutes: number, rounds: number) => `${minutes} min · ${rounds} ${rounds === 1 ? 'round' : 'rounds'}`,
  print: (title: string) => `Print ${title}`,
  printLine: 'Print',
  copy: (title: string) => `Copy ${title}`,
  copyLine: 'Copy',
  asAFile: (title: string) => `Save ${title} as a file`,
  asAFileLine: 'Save as a file',
  forACalendar: (title: string) => `Add ${title} to a calendar`,
  forACalendarLine: 'Add to a calendar',
  eraseLine: (title: string) => `Erase ${title}`,
  eraseText: 'Erase',
} as const;

export const printedPlanScreen = {
  saidIs: (say: string, expected: string) => `${say} → ${expected}`,
  nameCards: 'Name cards',
  model: (word: string) => `(Model “${word}” first.)`,
  min: (groupName: string, minutes: number) => `${groupName} · ${minutes} min`,
  minLine: 'min',
  turns: 'Turns.',
  bring: 'Bring.',
  nothingButVoice: 'just your voice',
  saySoundsAlone: (mirror: string) =>
    `${mirror} When you say a sound alone, keep it short and pure, without an “uh”. A child’s pronunciation or accent never counts as a mistake.`,
} as const;

export const printTabs = {
  pageWall: 'One page for the wall',
  tickGrid: 'Tick grid',
  pictureCards: 'Picture cards',
  thePlan: 'The plan',
  printing: 'Printing',
} as const;

export const tickGrid = {
  turn: (n: number) => `Turn ${n}`,
  name: 'Name',
  aChild: 'a child',
  gridFor: (name: string) => `Grid for ${name}`,
  markOwnH:
    'Mark with: ✓ on own (1) · H with help (2) · ○ not yet (3) · – no reply (4) · × doesn’t count (5). No reply isn’t a mistake.',
} as const;

export const printedPaperScreen = {
  number: 'Grid number',
  afterwards: (number: number) => `Back at a screen: Look back, “Marked on paper?”, grid ${number}.`,
  typeItIn: 'Type it in',
} as const;

export const roundDialog = {
  noHands: 'no hands',
  oneHand: 'one hand',
  twoHands: 'two hands',
  makeRoundAnew: 'Remake this round',
  justRightAim: 'Just right: pick a step most can do',
  couldMadeReason: 'That didn’t work. The reason is above the plan.',
  whoAnswers: 'Who answers',
  clapOwnNames: 'Clap their own names too',
  partSession: 'Part of the session',
  pauseBetweenSounds: 'Pause between sounds',
  toRemember: 'To remember',
  putWord: 'Add a word',
  putItIn: 'Add it',
  from: 'From',
  like: 'To (optional)',
  findTheChain: 'Find the chain',
  storyFrame: 'Story frame',
  tellStoryAllotment: 'Open it with a story from the allotment',
  openingLine: 'Opening line',
  askWordsBraces: 'What you say (words in {curly brackets} are filled in)',
  backLinesShip: 'Restore the original wording',
  gesture: 'Gesture',
  upTo: (x: string, shows: number) => `: ${x}, up to ${shows}`,
} as const;

export const roundRow = {
  whose: (turns: string) => `Turns: ${turns}`,
  wordsOwn: 'words of your own',
  min: 'min',
  moveRound: (number: number) => `Move round ${number}`,
  moveUp: 'Move up',
  moveDown: 'Move down',
  toTheTop: 'Move to the top',
  toTheEnd: 'Move to the end',
  pauseS: (gap: number) => ` · pause ${gap} s`,
  closeTheScript: 'Close the script',
  readTheScript: 'Read the script',
  stretch: 'stretch',
  moreRound: (number: number) => `Add one more to round ${number}`,
  oneMore: 'Add one more',
  round: (number: number) => `Round ${number}:`,
  otherWordsRound: (number: number) => `Other words in round ${number}`,
  otherWords: 'Other words',
  changeRound: (number: number) => `Change round ${number}`,
  change: 'Change',
  takeRoundOut: (number: number) => `Remove round ${number}`,
  takeOut: 'Remove',
  you: 'You',
  together: 'Together',
  they: 'They',
  youDoFirst: (model: string) => `Model “${model}” first.`,
  withHands: (gesture: string) => `Gesture: ${gesture}`,
  howJudged: (judged: string) => `What counts as right: ${judged}.`,
} as const;

export const ownSteps = {
  ownStepEach: 'each their own step',
  eachTheirOwn: 'Each child has their own step',
  stepOf: (name: string) => `Step for ${name}`,
  ourChoice: 'Our choice',
  chosenByUs: (step: string) => `${step} (our choice)`,
} as const;

export const usePlan = {
  serverCannotReached:
    'We can’t reach the server. Your changes are still here on the screen. They’ll be saved with your next change once it’s back.',
} as const;
