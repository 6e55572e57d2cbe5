import {
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  renameSync,
  rmSync,
  statfsSync,
  statSync,
  unlinkSync,
} from 'node:fs';
import path from 'node:path';
import { dropOld, isShared, nameOf } from './folder';
import { alone, withPlain, type Plain } from './plain';
import { seal } from './seal';

/** What a backup holds, as it was counted in the copy itself. */
interface Counted {
  readonly children: number;
  readonly sessions: number;
  readonly answers: number;
}

/** A backup that was made and read back. */
export interface Made {
  readonly name: string;
  readonly at: number;
  readonly bytes: number;
  readonly counted: Counted;
  /** The folder is on another computer. */
  readonly shared: boolean;
}

/** Why no backup was made. */
export class CopyFault extends Error {
  constructor(readonly why: 'no-folder' | 'read-only' | 'no-room' | 'damaged') {
    super(why);
  }
}

/** Room that is left over beside what is needed, in bytes. */
const SPARE = 16 * 1024 * 1024;

const counted = async (db: Plain): Promise<Counted> => {
  const [row] = await db.all<{ children: number; sessions: number; answers: number }>(
    'SELECT (SELECT count(*) FROM children) AS children, (SELECT count(*) FROM sessions) AS sessions, ' +
      '(SELECT count(*) FROM answers) AS answers',
  );
  return row ?? { children: 0, sessions: 0, answers: 0 };
};

const freeIn = (folder: string): number => {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize;
};

/** Throws where a folder cannot be written to, or has no room for so many bytes. */
function expectRoom(folder: string, bytes: number): void {
  if (!existsSync(folder)) throw new CopyFault('no-folder');
  const probe = path.join(folder, `.bouncy-echo-${process.pid}`);
  try {
    closeSync(openSync(probe, 'wx', 0o600));
    unlinkSync(probe);
  } catch {
    throw new CopyFault('read-only');
  }
  if (freeIn(folder) < bytes + SPARE) throw new CopyFault('no-room');
}

/**
 * A copy of a data file while others write to it (sqlite.org/lang_vacuum.html, VACUUM INTO). The connection is its own,
 * so that no write waits for it.
 */
async function plainCopy(file: string, to: string): Promise<void> {
  rmSync(to, { force: true });
  await withPlain(file, 'write', (db) =>
    db.exec(`PRAGMA busy_timeout=5000; VACUUM INTO '${to.replaceAll("'", "''")}'`),
  );
}

/** What a copy holds; throws where it is damaged. */
const checked = (copy: string): Promise<Counted> =>
  withPlain(alone(copy), 'address', async (db) => {
    const [found] = await db.all<{ quick_check: string }>('PRAGMA quick_check(1)');
    if (found?.quick_check !== 'ok') throw new CopyFault('damaged');
    return counted(db);
  });

interface BackUp {
  /** The data file. */
  readonly file: string;
  /** Where backups go; it must be there. */
  readonly folder: string;
  /** `age1…` */
  readonly recipient: string;
  readonly at: number;
}

/**
 * Makes a backup: copied, checked, counted, sealed, read back, and only then given its name; then the oldest go.
 * Throws a CopyFault; nothing half done is left.
 */
export async function backUp({ file, folder, recipient, at }: BackUp): Promise<Made> {
  const size = statSync(file).size + (statSync(`${file}-wal`, { throwIfNoEntry: false })?.size ?? 0);
  expectRoom(path.dirname(file), size);
  expectRoom(folder, size);
  const name = nameOf(new Date(at));
  const open = `${file}-backup.part`;
  const sealed = path.join(folder, `${name}.part`);
  try {
    await plainCopy(file, open);
    // The database's own thread checks it while this one seals.
    const [found] = await Promise.all([checked(open), seal(open, sealed, recipient)]);
    renameSync(sealed, path.join(folder, name));
    dropOld(folder, name, at);
    const { size: bytes } = statSync(path.join(folder, name));
    return { name, at, bytes, counted: found, shared: isShared(statfsSync(folder).type) };
  } catch (error) {
    if (/ENOSPC|SQLITE_FULL|disk is full/.test(String(error))) throw new CopyFault('no-room');
    throw error;
  } finally {
    for (const part of [open, sealed]) rmSync(part, { force: true });
  }
}

/** Makes a folder where there is none. Throws a CopyFault where that cannot be. */
export function makeFolder(folder: string): void {
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
  } catch {
    throw new CopyFault('no-folder');
  }
}
