/** Every sentence of this room, file by file: read it aloud before you change it. */

export const childFile = {
  childListMore: 'That child isn’t in the list any more.',
  someEarlierSessions: 'Some earlier sessions are still being added up. Please try again in a minute.',
} as const;

export const childPage = {
  withHelp: (does: string) => `${does} with help`,
  canAlone: (list: string) => `On their own, can ${list}.`,
  theWayTo: (holds: number, list: string) => `${holds ? 'Working towards' : 'Is working towards'}: ${list}.`,
  oftenGivesNo: 'Often gives no reply, which doesn’t tell us what they know. Try pairs, pictures or pointing.',
  enoughBeenSeen: 'We haven’t seen enough yet to say where this child is.',
  talk: (spots: string) =>
    `On two days they couldn’t tell words apart by ${spots}. Speak with the family and your special-needs lead: a hearing check is wise. Words with two sounds together can wait.`,
  room: (games: string) =>
    `Everyone found ${games} hard that day, so we think it was the room: those answers don’t count for anyone.`,
  open: (spot: string, times: number) => `${spot} slipped ${['', 'once', 'twice'][times] ?? `${times} times`}.`,
  ownWords: (spot: string) => `They hear ${spot} but can’t say it yet. Play words they can say.`,
  childListMore: 'That child isn’t in the list any more.',
} as const;

export const childPaper = {
  childListMore: 'That child isn’t in the list any more.',
} as const;

export const chosenSteps = {
  childListMore: 'That child isn’t in the list any more.',
} as const;

export const ownWayEffect = {
  forLine: (heardShort: string, key: string) => `${heardShort} for ${key}`,
} as const;

export const advised = {
  chosenBy: (by: string | null) => `Chosen by ${by ?? 'an adult'}.`,
  atTheStart: 'at the start',
  inTheMiddle: 'in the middle',
  atTheEnd: 'at the end',
  clusterStart: 'in a pair of sounds at the start',
  clusterEnd: 'in a pair of sounds at the end',
} as const;

export const board = {
  chosen: (does: string) => `${does} (chosen)`,
  patternIn: (does: string) => `${does}, listening for what slips`,
} as const;

export const progress = {
  easyFirstStep: 'An easy first step.',
} as const;

export const needs = {
  saysFor: (word: string, said: string) => `Says “${said}” for “${word}”: that’s right for them.`,
  drops: (sounds: string) => `When talking, leaves out ${sounds} next to another sound. Don’t correct it.`,
  speaks: (accent: string) => `Speaks with another accent (${accent}): their vowels are right.`,
  noHighSounds: 'Hears better without high sounds, like “s” and “f”: stay close, and let them see your face.',
  hearsIt: (spot: string) => `May not say ${spot} yet, but hears it: that’s right for them.`,
} as const;

export const papers = {
  groupMore: 'That group isn’t on your list any more. Choose another one.',
  halfTerm: (group: string) => `${group}: the last six weeks`,
  skill: 'Skill',
  step: 'Step',
  played: 'What we played',
  where: 'Where the children are',
  tooLittle: 'Who we’ve seen too little of',
  countsOnly:
    'These are numbers of children, not a ranking. What comes from practice and what from growing up can’t be told apart here. It’s a teaching record, not a diagnosis.',
  handover: (name: string) => `Handing over: ${name}`,
  can: 'What they can do',
  next: 'What comes next',
  goodToKnow: 'Good to know',
  notSettled: 'What we can’t tell yet',
  tooLittleOfChild: 'We haven’t seen enough yet to say.',
  seenOn: (days: number, since: string) =>
    `We’ve seen them in games on ${days === 1 ? 'one day' : `${days} days`} since ${since}.`,
  notSeen: 'We haven’t seen them in a game yet.',
  passOn:
    'This page is about a child. Pass it on only as your setting’s rules and the family allow. What we’ve seen in short games may not show everything they can do.',
  passOnGroup:
    'This page is about children. Pass it on only as your setting’s rules and the families allow. What we’ve seen in short games may not show everything they can do.',
  nextIs: (does: string) => `Next: ${does}.`,
  talk: (name: string) => `Talking about ${name}`,
  goesWell: 'What’s going well',
  coming: 'What’s on its way',
  noticed: 'What we’ve noticed',
  noticedNothing: 'Nothing stands out.',
  oftenMisses: (what: string, words: string) =>
    `They often miss ${what}${words ? `, so we’re playing with words like ${words}` : ''}.`,
  oftenKeeps: (what: string, words: string) =>
    `Often ${what}${words ? `, so we’re playing with words like ${words}` : ''}.`,
  mayHear: (spots: string) =>
    `They don’t always say ${spots}. Many children hear a sound well before they can say it, so we’re finding out in games.`,
  wePlayNext: 'What we’ll play next',
  askFamily: 'What we’d like to ask you',
  questions: [
    'Which languages do you speak at home, and which does your child like best?',
    'Do people outside the family understand your child?',
    'Has your child’s hearing been checked? Do they often have colds or sore ears?',
    'What does your child love to do at home?',
  ],
  tryHome: 'To try at home',
  notDiagnosis:
    'This is what we’ve seen in short listening and talking games. It’s a teaching record, not a diagnosis. If you or we are worried about speech or hearing, we’ll talk to our special-needs lead and follow local rules on who to ask next.',
} as const;
