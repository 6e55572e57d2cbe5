/** Every sentence of this room, file by file: read it aloud before you change it. */

export const answer = {
  workNothingChanged: 'That didn’t work, and nothing was changed. Please try again.',
} as const;

export const groups = {
  classTaken: (children: number, groups: string) =>
    `Added ${children === 1 ? 'one child' : `${children} children`} to ${groups}.`,
  isReady: (name: string) => `${name} is ready.`,
  children: (names: number) => `${names} children`,
  nameTwiceLetter: (list: string) =>
    `There are two children called ${list}. Add a letter of the surname to tell them apart.`,
  added: (who: string | undefined, doubles: number, double: string) => `Added ${who}.${doubles ? ` ${double}` : ''}`,
  line: (line: number, why: string) => `Line ${line}: ${why}`,
  typeLeastName: 'Type at least one name.',
} as const;

export const plans = {
  chooseGroupFirst: 'Choose a group first.',
  groupMoreChoose: 'That group isn’t here any more. Choose a group and start again.',
} as const;

export const sessions = {
  corrected: 'Corrected.',
  answerBeenChanged: 'Someone else has changed that answer. Look again before you correct it.',
  takenBack: 'It’s back as it was.',
} as const;

export const settings = {
  keptWordsCounted: 'Saved. Words are counted this way from now on. Sessions you’ve played keep their own counts.',
  kept: 'Saved.',
} as const;
