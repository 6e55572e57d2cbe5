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
  of: (subject: string, missed: number, asked: number) => `Often misses ${subject}: ${missed} of ${asked}`,
  atTheStart: 'at the start',
  inTheMiddle: 'in the middle',
  atTheEnd: 'at the end',
  clusterStart: 'in a cluster at the start',
  clusterEnd: 'in a cluster at the end',
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

export const progress = {
  chosenBy: (by: string | null) => `Chosen by ${by ?? 'an adult'}.`,
  easyFirstStep: 'An easy first step.',
} as const;
