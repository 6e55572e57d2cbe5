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
