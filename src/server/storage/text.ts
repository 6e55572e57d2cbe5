/** Every sentence of this room, file by file: read it aloud before you change it. */

export const problems = {
  fileBouncyEcho: (file: string) =>
    `The file ${file} is not a Bouncy Echo database. It has not been touched. Move it away, or start with another data folder.`,
  databaseDamagedBeen: (file: string) =>
    `The database ${file} is damaged. It has not been touched. Put back your latest backup.`,
  bouncyEchoCannot: (file: string) =>
    `Bouncy Echo cannot write to ${file}. Nothing has been saved. Give this user the right to write in the data folder.`,
  diskFullAnswers: 'The disk is full. The answers are kept on this device; make room and they will be saved.',
} as const;
