import { pathToFileURL } from 'node:url';
import sqlite3 from 'sqlite3';

/** A connection of its own, past Sequelize: for what is done to the file as a whole. */
export interface Plain {
  /** The rows of one statement. */
  all<Row extends object>(sql: string): Promise<Row[]>;
  /** Statements, one after the other. */
  exec(sql: string): Promise<void>;
  close(): Promise<void>;
}

/** How it is opened: to read and write (and to make the file where there is none), or to read. */
const MODES = {
  write: sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE,
  read: sqlite3.OPEN_READONLY,
  // The name is an address, which may say more (sqlite.org/uri.html).
  address: sqlite3.OPEN_READONLY | sqlite3.OPEN_URI,
} as const;

/** Opens a file. Rejects with SQLite's own error where it cannot. Example: `await plain('x.sqlite', 'read')`. */
export function plain(file: string, mode: keyof typeof MODES): Promise<Plain> {
  return new Promise((resolve, reject) => {
    const db = new sqlite3.Database(file, MODES[mode], (failed) => {
      if (failed) return reject(failed);
      resolve({
        all: (sql) =>
          new Promise((done, no) => {
            db.all(sql, (error, rows) => (error ? no(error) : done(rows as never)));
          }),
        exec: (sql) =>
          new Promise((done, no) => {
            db.exec(sql, (error) => (error ? no(error) : done()));
          }),
        close: () =>
          new Promise((done, no) => {
            db.close((error) => (error ? no(error) : done()));
          }),
      });
    });
  });
}

/** Opens a file, works with it, and closes it whatever comes. */
export async function withPlain<T>(
  file: string,
  mode: keyof typeof MODES,
  work: (db: Plain) => Promise<T>,
): Promise<T> {
  const db = await plain(file, mode);
  try {
    return await work(db);
  } finally {
    await db.close();
  }
}

/** The file as it stands without its log: nothing is made beside it (sqlite.org/uri.html, "immutable"). */
export const alone = (file: string): string => `${pathToFileURL(file).href}?immutable=1`;
