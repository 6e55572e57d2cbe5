import { existsSync, renameSync, rmSync } from 'node:fs';
import type { Sequelize, Transaction } from 'sequelize';
import { expectWhole } from './examine';
import { migrate, MIGRATION_NAMES } from './migrations';
import { alone, withPlain, type Plain } from '../../file/plain';
import { Problem } from './problems';
import { sure } from '../../core/sure';

/** The copy of a file as it was before it is brought up to date. */
const copyOf = (file: string): string => `${file}-before-update`;

/** The file as it was before a backup was put back in its place. */
export const beforeRestore = (file: string): string => `${file}-before-restore`;

/** Takes the copy away that an update may have left: for when somebody is erased, and once the update is checked. */
export const dropCopy = (file: string): void => {
  for (const at of [copyOf(file), `${copyOf(file)}.part`]) rmSync(at, { force: true });
};

/** How many rows each table has, by its name. */
async function countOf(db: Plain): Promise<string> {
  const tables = await db.all<{ name: string }>(
    `SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name`,
  );
  const lines: string[] = [];
  for (const { name } of tables) {
    const [row] = await db.all<{ n: number }>(`SELECT count(*) AS n FROM "${name}"`);
    lines.push(`${name} ${sure(row).n}`);
  }
  return lines.join('\n');
}

/** Copies a file (sqlite.org/lang_vacuum.html, VACUUM INTO) and looks whether everything is in the copy. */
async function copied(file: string): Promise<void> {
  const part = `${copyOf(file)}.part`;
  dropCopy(file);
  const rows = await withPlain(file, 'write', async (db) => {
    await db.exec(`VACUUM INTO '${part.replaceAll("'", "''")}'`);
    return countOf(db);
  });
  await expectWhole(alone(part), 'address');
  if ((await withPlain(alone(part), 'address', countOf)) !== rows)
    throw new Problem(
      `Your data has to be brought up to date, but a safe copy could not be made in ${part}. We haven’t changed ` +
        'anything. Check that there is room on the disk and start again.',
      503,
    );
  renameSync(part, copyOf(file));
}

/**
 * Brings a file up to date: a copy that is checked, then every migration in one transaction, then the file is checked
 * and the copy goes. Cut off at any moment, the file is as it was or as it will be.
 * @param done names of the migrations that the file has had; none for a new file
 * @returns a sentence where the start before this one was cut off in the middle of it; null otherwise
 */
export async function bringUpToDate(
  sequelize: Sequelize,
  file: string,
  done: readonly string[],
): Promise<string | null> {
  const had = new Set(done);
  const cutOff = existsSync(copyOf(file)) || existsSync(`${copyOf(file)}.part`);
  if (MIGRATION_NAMES.every((name) => had.has(name))) {
    dropCopy(file);
    return cutOff
      ? 'The last start was cut off while your data was being brought up to date. It was all done, and nothing is lost.'
      : null;
  }
  if (done.length) await copied(file);
  await sequelize.transaction({ type: 'IMMEDIATE' as Transaction.TYPES }, (transaction) =>
    migrate({ run: (statement) => sequelize.query(statement, { transaction }) }, done),
  );
  if (done.length) await expectWhole(file, 'read');
  dropCopy(file);
  return cutOff
    ? 'The last start was cut off while your data was being brought up to date. Nothing was lost, and it has all ' +
        'been done now.'
    : null;
}
