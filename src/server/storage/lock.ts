import { rmSync, statSync } from 'node:fs';
import { plain, type Plain } from './plain';
import { Problem } from './problems';

const runningAlready = (file: string, where: string) =>
  `Bouncy Echo is already running with the data in ${file}. ${where ? `Use it at ${where}` : 'Use that one'}, or ` +
  'stop it first.';

/**
 * One server a file. The lock is a write begun on a little file beside the data and never ended: the system lets go of
 * it when the process ends, however it ends (sqlite.org/lockingv3.html, RESERVED: others still read who holds it).
 */
export interface Lock {
  release(): Promise<void>;
}

export const lockFile = (file: string): string => `${file}-lock`;

/** Which file a path leads to now; null where there is none. */
function inode(file: string): number | null {
  try {
    return statSync(file).ino;
  } catch {
    return null;
  }
}

const isBusy = (error: unknown): boolean => error instanceof Error && /SQLITE_BUSY|locked/.test(error.message);

const text = (value: string): string => `'${value.replaceAll("'", "''")}'`;

/** Writes down where this server is, and begins the write that is never ended. */
async function take(db: Plain, where: string): Promise<void> {
  await db.exec(
    'PRAGMA busy_timeout=0; PRAGMA synchronous=OFF; ' +
      'CREATE TABLE IF NOT EXISTS running (process INTEGER, place TEXT); ' +
      `BEGIN IMMEDIATE; DELETE FROM running; INSERT INTO running VALUES (${process.pid}, ${text(where)}); COMMIT; ` +
      'BEGIN IMMEDIATE',
  );
}

/** Where the server that holds a lock says it is; empty where it cannot be read. */
async function holder(db: Plain): Promise<string> {
  const [row] = await db.all<{ place: string }>('SELECT place FROM running').catch(() => []);
  return row?.place ?? '';
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
      await take(db, where);
    } catch (error) {
      const other = isBusy(error) ? await holder(db) : null;
      await db.close();
      if (other === null) throw error;
      throw new Problem(runningAlready(file, other), 503);
    }
    // Whoever had it may have taken the file away between: then this lock is on a file that nobody else would open.
    if (before !== null && before === inode(at)) {
      return {
        release: async () => {
          rmSync(at, { force: true });
          await db.close();
        },
      };
    }
    await db.close();
  }
}
