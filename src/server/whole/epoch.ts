import { database, type Database } from '../storage/database';
import { backupsRow } from './backups';

/**
 * Remembered with the open file: every mark that comes asks for it, and a backup that is put back is another open file.
 * Nothing has to be told, so that no part of the server can be behind for a moment.
 */
const known = new WeakMap<Database, Promise<string>>();

/** Which life of the file this is; empty where no backup was ever put back. */
export async function epoch(): Promise<string> {
  const db = await database();
  const remembered = known.get(db);
  if (remembered) return remembered;
  const read = backupsRow().then((row) => row.epoch ?? '');
  known.set(db, read);
  read.catch(() => known.delete(db));
  return read;
}
