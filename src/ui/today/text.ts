/** Every sentence of this room, file by file: read it aloud before you change it. */

export const readyForms = {
  playNowMin: (minutes: number) => `Play now · ${minutes} min`,
  changeItFirst: 'Change it first',
} as const;

export const todayScreen = {
  readyFor: (name: string) => `Ready for ${name}`,
  isNotFinished: (title: string) => `“${title}” is not finished.`,
  go: 'Go on with it',
  lately: 'Lately',
  sessionsStandOnce: (name: string) => `Sessions of ${name} will stand here once you have played one.`,
  hereToday: 'Here today',
  of: (here: number) => `${here} of`,
  tapSayAway: (name: string) => `in ${name}. Tap to say who is away.`,
  noNamesYet: 'No names yet. You can play with everyone together, or add names first.',
  changeTheList: 'Change the list',
  addNames: 'Add names',
} as const;

export const tomorrow = {
  aChild: 'A child',
  couldWorkTogether: 'Who could work together',
  nextEachThree: (staff: number, afterEachOther: boolean) =>
    `By what is next for each, three to six in a group, ${staff === 1 ? 'one adult' : `${staff} adults`}${afterEachOther ? ': more groups than adults, so they play one after the other' : ''}. Change the number of adults in Settings.`,
  wouldOtherwise: (list: string, does: string) => `${list} would otherwise ${does}.`,
  beenSeenYet: (list: string, of: number) =>
    `${list} ${of === 1 ? 'has' : 'have'} not been seen yet: a good place to begin.`,
  playWith: (childIds: number) => `Play with ${childIds}`,
  serverCannotReached: 'The server cannot be reached.',
  weeks: (n: number) => `${n} weeks`,
  dueAgain: 'Due again',
  heldShortRound: 'It held; a short round keeps it.',
  lastPlayedAgo: (ago: string) => `; last played ${ago} ago`,
} as const;
