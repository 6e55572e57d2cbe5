/** Every sentence of this room, file by file: read it aloud before you change it. */

export const homePage = {
  clip: (sounds: string) => `Keep ${sounds} short, without an “uh” on the end.`,
  hold: (sounds: string) => `Hold ${sounds} for a moment.`,
  light: (sounds: string) => `Say ${sounds} lightly, without an “uh” on the end.`,
  minutePlentyGame:
    'A minute here and there is plenty. These are listening and talking games: no letters, no wrong answers. Stop while it’s still fun.',
  whatWePlayed: 'What we played',
  ourSound: (sound: string, word: string) => `Our sound was ${sound}, as in ${word}.`,
  someWords: (words: string) => `Some of our words: ${words}.`,
  tryHome: 'Try this at home',
} as const;

export const log = {
  moreNotedOnce: 'detail added straight away',
  wrongButton: 'tapped the wrong button',
  thoughtAboutAgain: 'changed my mind',
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
  whoWantsTo: 'whoever wants to',
  pairsAsksAnswers: 'in pairs: one asks, one answers',
  checkSameItems: 'check-in: the same for each child',
} as const;

export const shapes = {
  hearAndSay: 'Hear it and say it',
  sameItemsEach:
    'Ask each child the same things, one child at a time. Don’t help or praise; just say “thank you”. If three in a row are too hard, stop there.',
  withLine: (slashed: string) => ` with ${slashed}`,
  throughManyTasks: (sound: string | undefined) => (sound ? `${sound} in lots of games` : 'One sound in lots of games'),
  soundsBlendedSegmented: (count: number, of: string) => `Blend and segment ${count} sounds${of}`,
  checkIn: 'Check-in',
} as const;

export const find = {
  startHere: (does: string) => `A good place to start: ${does}.`,
  easier: 'It could be a step easier.',
  harder: 'It could be a step harder.',
  either: 'It could be a step either side.',
  once: 'Seen once.',
  nothingTold:
    'We couldn’t tell this time, and that says nothing about what they know. Try again another day, or play a game where they can point.',
} as const;

export const talkAbout = {
  everyone: 'everyone',
  note: (name: string, label: string, note: string) => `You wrote about ${name} (${label}): “${note}”`,
  noReply: (name: string, silent: number, all: number) =>
    `${name} didn’t reply to ${silent} of ${all} questions. That doesn’t mean they don’t know.`,
  everyOne: (name: string, all: number) => `${name} did all ${all} on their own.`,
  foundItHard: (name: string, own: number, all: number) =>
    own
      ? `${name} managed ${own} of ${all} on their own.`
      : `${name} didn’t manage any of the ${all} on their own yet.`,
  sound: (sound: string, times: number, heard: number, words: string) =>
    `${sound} was missed ${times} times out of ${heard}, in ${words}.`,
} as const;
