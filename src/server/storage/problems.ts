import { problems as say } from './text';

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

/** What an error says, with the cause inside it. */
const textOf = (error: unknown): string =>
  error instanceof Error ? `${error.message} ${(error as { parent?: Error }).parent?.message ?? ''}` : String(error);

/** True where SQLite found pages of the file out of order (sqlite.org/rescode.html#corrupt). */
export const isDamage = (error: unknown): boolean => /SQLITE_CORRUPT|SQLITE_NOTADB|malformed/.test(textOf(error));

/** True where there is no room left. */
export const isDiskFull = (error: unknown): boolean => /SQLITE_FULL|ENOSPC|disk is full/.test(textOf(error));

/** The sentence for a fault of the file or the disk, or undefined where it is none of these. */
export function diskSentence(error: unknown, file: string): string | undefined {
  const text = textOf(error);
  const table: [RegExp, string][] = [
    [/SQLITE_NOTADB|not a database/, say.fileBouncyEcho(file)],
    [/SQLITE_CORRUPT|malformed/, say.databaseDamagedBeen(file)],
    [/SQLITE_READONLY|readonly|EACCES|EROFS|SQLITE_CANTOPEN|unable to open/, say.bouncyEchoCannot(file)],
    [/SQLITE_FULL|ENOSPC|disk is full/, say.diskFull],
  ];
  return table.find(([pattern]) => pattern.test(text))?.[1];
}
