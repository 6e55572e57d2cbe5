/** Every sentence of this room, file by file: read it aloud before you change it. */

export const problems = {
  fileBouncyEcho: (file: string) =>
    `The file ${file} isn’t a Bouncy Echo database. We haven’t touched it. Move it away, or start with another data folder.`,
  databaseDamagedBeen: (file: string) =>
    `The database ${file} is damaged. We haven’t touched it. Put your latest backup in its place.`,
  bouncyEchoCannot: (file: string) =>
    `Bouncy Echo can’t write to ${file}. Nothing has been saved. Check that this user may write in the data folder.`,
  foundDamaged: (file: string) =>
    `The database ${file} is damaged, so nothing more is written to it. Stop Bouncy Echo and put your latest backup in its place.`,
  diskFull: 'The disk is full, so nothing has been saved. Make some room and try again.',
} as const;

export const lock = {
  openElsewhere: (file: string, where: string) =>
    `Bouncy Echo is already running with the data in ${file}. ${where ? `Use it at ${where}` : 'Use that one'}, or stop it first.`,
} as const;

export const examine = {
  newerVersion: (file: string) =>
    `The data in ${file} was last used by a newer Bouncy Echo. We haven’t touched it. Start the newer one, or put back a backup that this one made.`,
  logOfAnother: (file: string) =>
    `The files ${file}-wal and ${file}-shm belong to another copy of your data. We haven’t touched anything. If you have just put back a backup, move those two away and start again.`,
} as const;

export const update = {
  copyUnlike: (copy: string) =>
    `Your data has to be brought up to date, but a safe copy could not be made in ${copy}. We haven’t changed anything. Check that there is room on the disk and start again.`,
  wasDone:
    'The last start was cut off while your data was being brought up to date. It was all done, and nothing is lost.',
  doneNow:
    'The last start was cut off while your data was being brought up to date. Nothing was lost, and it has all been done now.',
} as const;
