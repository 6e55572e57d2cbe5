/** Every sentence of this room, file by file: read it aloud before you change it. */

export const answer = {
  workNothingChanged: 'That did not work, and nothing was changed. Please try again.',
} as const;

export const groups = {
  isReady: (name: string) => `${name} is ready.`,
  children: (names: number) => `${names} children`,
  nameTwiceLetter: (list: string) => `${list}: that name is here twice. A letter of the surname would tell them apart.`,
  added: (who: string | undefined, doubles: number, double: string) => `Added ${who}.${doubles ? ` ${double}` : ''}`,
  line: (line: number, why: string) => `Line ${line}: ${why}`,
  typeLeastName: 'Type at least one name.',
} as const;

export const plans = {
  chooseGroupFirst: 'Choose a group first.',
  groupMoreChoose: 'That group is not here any more. Choose a group and start again.',
} as const;

export const sessions = {
  corrected: 'Corrected.',
  answerBeenChanged: 'That answer has been changed meanwhile. Look again before you correct it.',
} as const;

export const settings = {
  keptWordsCounted: 'Kept. Words are counted this way from now on; sessions already played keep their own counts.',
  kept: 'Kept.',
} as const;
