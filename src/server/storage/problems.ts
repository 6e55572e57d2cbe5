/** Something a person can put right. Its message is shown as it is; anything else is not. */
export class Problem extends Error {
  constructor(
    message: string,
    readonly status: 400 | 404 | 409 | 500 | 503 = 400,
  ) {
    super(message);
    this.name = 'Problem';
  }
}

/** The sentence for a fault of the file or the disk, or undefined where it is none of these. */
export function diskSentence(error: unknown, file: string): string | undefined {
  const text =
    error instanceof Error ? `${error.message} ${(error as { parent?: Error }).parent?.message ?? ''}` : String(error);
  const table: [RegExp, string][] = [
    [
      /SQLITE_NOTADB|not a database/,
      `The file ${file} is not a Bouncy Echo database. It has not been touched. Move it away, or start with ` +
        'another data folder.',
    ],
    [
      /SQLITE_CORRUPT|malformed/,
      `The database ${file} is damaged. It has not been touched. Put back your latest backup.`,
    ],
    [
      /SQLITE_READONLY|readonly|EACCES|EROFS|SQLITE_CANTOPEN|unable to open/,
      `Bouncy Echo cannot write to ${file}. Nothing has been saved. Give this user the right to write in the ` +
        'data folder.',
    ],
    [
      /SQLITE_FULL|ENOSPC|disk is full/,
      'The disk is full. The answers are kept on this device; make room and they will be saved.',
    ],
  ];
  return table.find(([pattern]) => pattern.test(text))?.[1];
}
