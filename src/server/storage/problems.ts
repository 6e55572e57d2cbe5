/** Something a person can put right. Its message is shown as it is; anything else is not. */
export class Problem extends Error {
  constructor(
    message: string,
    readonly status: 400 | 404 | 409 | 410 | 500 | 503 = 400,
  ) {
    super(message);
    this.name = 'Problem';
  }
}

export const childGone = (): Problem => new Problem('That child isn’t in the list any more.', 404);

/** @param then what that means for what was asked for, in a sentence */
export const groupGone = (then?: string): Problem =>
  new Problem(['That group isn’t here any more.', then].filter(Boolean).join(' '), 404);

/** What an error says, with the cause inside it. */
const errorText = (error: unknown): string =>
  error instanceof Error ? `${error.message} ${(error as { parent?: Error }).parent?.message ?? ''}` : String(error);

/** True where SQLite found pages of the file out of order (sqlite.org/rescode.html#corrupt). */
export const isDamage = (error: unknown): boolean => /SQLITE_CORRUPT|SQLITE_NOTADB|malformed/.test(errorText(error));

/** True where there is no room left. */
export const isDiskFull = (error: unknown): boolean => /SQLITE_FULL|ENOSPC|disk is full/.test(errorText(error));

/** Of a file that is none of ours. */
export const foreignFile = (file: string): string =>
  `The file ${file} isn’t a Bouncy Echo database. We haven’t touched it. ` +
  'Move it away, or start with another data folder.';

export const damagedFile = (file: string): string =>
  `The database ${file} is damaged. We haven’t touched it. Put your latest backup in its place.`;

/** The sentence for a fault of the file or the disk, or undefined where it is none of these. */
export function diskSentence(error: unknown, file: string): string | undefined {
  const text = errorText(error);
  const table: [RegExp, string][] = [
    [/SQLITE_NOTADB|not a database/, foreignFile(file)],
    [/SQLITE_CORRUPT|malformed/, damagedFile(file)],
    [
      /SQLITE_READONLY|readonly|EACCES|EROFS|SQLITE_CANTOPEN|unable to open/,
      `Bouncy Echo can’t write to ${file}. Nothing has been saved. Check that this user may write in the data folder.`,
    ],
    [/SQLITE_FULL|ENOSPC|disk is full/, 'The disk is full, so nothing has been saved. Make some room and try again.'],
  ];
  return table.find(([pattern]) => pattern.test(text))?.[1];
}
