/** Every sentence of this room, file by file: read it aloud before you change it. */

export const childFile = {
  childListMore: 'That child is not in the list any more.',
  someEarlierSessions: 'Some earlier sessions are still being added up. Please try again in a minute.',
} as const;

export const childPage = {
  withHelp: (does: string) => `${does} with help`,
  canAlone: (list: string) => `Can ${list} alone.`,
  theWayTo: (holds: number, list: string) => `${holds ? 'On' : 'Is on'} the way to ${list}.`,
  oftenGivesNo: 'Often gives no reply, which says nothing of what is known: try pairs, pictures or showing.',
  enoughBeenSeen: 'Not enough has been seen yet to say where this child is.',
  of: (subject: string, many: boolean, missed: number, asked: number) =>
    `${subject} ${many ? 'slip' : 'slips'} (${missed} of ${asked})`,
  atTheStart: 'at the start',
  inTheMiddle: 'in the middle',
  atTheEnd: 'at the end',
  clusterStart: 'in a cluster at the start',
  clusterEnd: 'in a cluster at the end',
  childListMore: 'That child is not in the list any more.',
} as const;

export const childPaper = {
  childListMore: 'That child is not in the list any more.',
} as const;

export const chosenSteps = {
  childListMore: 'That child is not in the list any more.',
} as const;

export const ownWayEffect = {
  forLine: (heardShort: string, key: string) => `${heardShort} for ${key}`,
} as const;

export const progress = {
  chosenBy: (by: string | null) => `Chosen by ${by ?? 'an adult'}.`,
  easyFirstStep: 'An easy first step.',
} as const;
