import { readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { plain } from '../../file/plain';
import { Problem } from './problems';

const runningAlready = (file: string, where: string) =>
  `Bouncy Echo is already running with the data in ${file}. ${where ? `Use it at ${where}` : 'Use that one'}, or ` +
  'stop it first.';

/**
 * One server a file. The lock is a write begun on an empty file beside the data, which writes nothing and never ends:
 * the system lets go of it when the process ends, however it ends (sqlite.org/lockingv3.html, RESERVED). As nothing is
 * ever written to that file, being busy can only mean that another has it. Where that one is stands in a file of text.
 */
export interface Lock {
  release(): Promise<void>;
}

export const lockFile = (file: string): string => `${file}-lock`;

/** The text that says where the holder of a lock is. */
export const placeFile = (file: string): string => `${file}-lock-place`;

/** Which file a path leads to now; null where there is none. */
function inode(file: string): number | null {
  try {
    return statSync(file).ino;
  } catch {
    return null;
  }
}

const isBusy = (error: unknown): boolean => error instanceof Error && /SQLITE_BUSY|locked/.test(error.message);

/** Where the server that holds a lock says it is; empty where it has not said so. */
function holder(file: string): string {
  try {
    return readFileSync(placeFile(file), 'utf8');
  } catch {
    return '';
  }
}

/**
 * Takes the lock of a data file. Throws a Problem (503) that says where the other server is, when another has it.
 * @param where the address of this server, for whoever comes second; may be empty
 * @example const lock = await takeLock('/data/x.sqlite', 'http://127.0.0.1:3000');
 */
export async function takeLock(file: string, where: string): Promise<Lock> {
  const at = lockFile(file);
  for (;;) {
    const before = inode(at);
    const db = await plain(at, 'write');
    try {
      await db.exec('PRAGMA busy_timeout=0; BEGIN IMMEDIATE');
    } catch (error) {
      await db.close();
      if (!isBusy(error)) throw error;
      throw new Problem(runningAlready(file, holder(file)), 503);
    }
    // Whoever had it may have taken the file away between: then this lock is on a file that nobody else would open.
    if (before !== null && before === inode(at)) {
      writeFileSync(placeFile(file), where);
      return {
        release: async () => {
          for (const one of [placeFile(file), at]) rmSync(one, { force: true });
          await db.close();
        },
      };
    }
    await db.close();
  }
}
