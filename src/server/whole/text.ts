/** Every sentence of this room, file by file: read it aloud before you change it. */

export const everything = {
  groupHeads: ['id', 'name', 'ages', 'children'],
  childHeads: ['id', 'name', 'group', 'own id', 'added', 'out of sight since'],
  readMe: (when: string) => `Everything in Bouncy Echo, taken out on ${when}.

groups.csv, children.csv  who is on which list, and who is out of sight
children/                 a file for each child, with everything about them
sessions/                 each session twice: JSON for a program, CSV for a spreadsheet
plans/, word sets/        as they are shared; both can be brought in again

This is about children. Keep it as your setting’s rules ask, and delete it when you no longer need it.
A child who is erased in Bouncy Echo is still in this file.
`,
} as const;
