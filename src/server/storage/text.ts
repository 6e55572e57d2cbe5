/** Every sentence of this room, file by file: read it aloud before you change it. */

export const problems = {
  fileBouncyEcho: (file: string) =>
    `The file ${file} isn’t a Bouncy Echo database. We haven’t touched it. Move it away, or start with another data folder.`,
  databaseDamagedBeen: (file: string) =>
    `The database ${file} is damaged. We haven’t touched it. Put your latest backup in its place.`,
  bouncyEchoCannot: (file: string) =>
    `Bouncy Echo can’t write to ${file}. Nothing has been saved. Check that this user may write in the data folder.`,
  diskFullAnswers: 'The disk is full. The answers are safe on this device. Make some room and they’ll be saved.',
} as const;
