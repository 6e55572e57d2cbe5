import { closeSync, existsSync, openSync, readFileSync, readSync, statSync } from 'node:fs';
import { alone, withPlain, type Plain } from '../../file/plain';
import { damagedFile, foreignFile, isDamage, Problem } from './problems';
import { belongs } from './wal';

const strayLog = (file: string) =>
  `The files ${file}-wal and ${file}-shm belong to another copy of your data. We haven’t touched anything. If ` +
  'you have just put back a backup, move those two away and start again.';

const HEADER = 100;

/** The first bytes of a file, without its log. */
export function readStart(file: string): Buffer {
  const handle = openSync(file, 'r');
  try {
    const start = Buffer.alloc(HEADER);
    return start.subarray(0, readSync(handle, start, 0, HEADER, 0));
  } finally {
    closeSync(handle);
  }
}

/** What a file that may be opened holds. */
export interface Examined {
  /** Names of the migrations that brought it where it is; empty for a new file. */
  readonly migrations: readonly string[];
}

const NEW: Examined = { migrations: [] };

const walOf = (file: string): Buffer => (existsSync(`${file}-wal`) ? readFileSync(`${file}-wal`) : Buffer.alloc(0));

/** The first words of what SQLite finds wrong with a file's pages; null where they are in order. */
async function wrongIn(db: Plain): Promise<string | null> {
  const found = await db.all<{ quick_check: string }>('PRAGMA quick_check(1)');
  const first = found[0]?.quick_check ?? 'nothing';
  return first === 'ok' ? null : first;
}

/** Names of the migrations in a file. Throws a Problem where its tables are not ours. */
async function migrationsIn(db: Plain, file: string): Promise<string[]> {
  const tables = await db.all<{ name: string }>(`SELECT name FROM sqlite_schema WHERE type = 'table'`);
  if (!tables.length) return [];
  if (!tables.some(({ name }) => name === 'SequelizeMeta')) throw new Problem(foreignFile(file), 503);
  const rows = await db.all<{ name: string }>('SELECT name FROM SequelizeMeta ORDER BY name');
  return rows.map(({ name }) => name);
}

/** Throws a Problem where SQLite finds the pages of a file, or of a copy, out of order. */
export async function expectWhole(file: string, mode: 'read' | 'address'): Promise<void> {
  const wrong = await withPlain(file, mode, wrongIn).catch((error: unknown) => {
    if (isDamage(error)) return 'damaged';
    throw error;
  });
  if (wrong !== null) throw new Problem(damagedFile(file), 503);
}

/**
 * Looks at a file before anything is opened or written: is it ours, of this version or an earlier one, whole, and is
 * the log beside it its own? Throws a Problem (503) that says what to do; the file is as it was then.
 * @param known names of the migrations of this version
 */
export async function examine(file: string, known: ReadonlySet<string>): Promise<Examined> {
  if (!existsSync(file) || statSync(file).size === 0) {
    if (walOf(file).length) throw new Problem(strayLog(file), 503);
    return NEW;
  }
  const wal = walOf(file);
  if (!belongs(readStart(file), wal)) throw new Problem(strayLog(file), 503);
  // With nothing to fold in, the file is read without making anything beside it.
  const [name, mode] = wal.length ? ([file, 'read'] as const) : ([alone(file), 'address'] as const);
  const migrations = await withPlain(name, mode, async (db) => {
    if ((await wrongIn(db)) !== null) throw new Problem(damagedFile(file), 503);
    return migrationsIn(db, file);
  });
  if (migrations.some((m) => !known.has(m)))
    throw new Problem(
      `The data in ${file} was last used by a newer Bouncy Echo. We haven’t touched it. Start the newer one, or ` +
        'put back a backup that this one made.',
      503,
    );
  return { migrations };
}
