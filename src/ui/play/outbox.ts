import { openDB, type IDBPDatabase } from 'idb';
import type { Entry } from '@/core/sessions/log';

/**
 * The outbox on the device: an entry is written here, and known to be on disk, before the screen shows it as marked.
 * It leaves only when the server has said that it keeps it.
 */
interface Row { readonly id: string; readonly sessionId: string; readonly entry: Entry }

let opened: Promise<IDBPDatabase> | undefined;
const open = (): Promise<IDBPDatabase> =>
  (opened ??= openDB('bouncy-echo', 1, {
    upgrade: (db) => {
      db.createObjectStore('outbox', { keyPath: 'id' }).createIndex('session', 'sessionId');
    },
  }));

/** Keeps an entry; resolves when it is on the device's disk. Throws where the device has no room or no store. */
export async function keep(sessionId: string, entry: Entry): Promise<void> {
  const transaction = (await open()).transaction('outbox', 'readwrite', { durability: 'strict' });
  void transaction.store.put({ id: entry.id, sessionId, entry } satisfies Row);
  await transaction.done;
}

/** What still waits for the server, oldest first. */
export async function waiting(sessionId: string): Promise<Entry[]> {
  const rows = (await (await open()).getAllFromIndex('outbox', 'session', sessionId)) as Row[];
  return rows.map((row) => row.entry).sort((a, b) => (a.id < b.id ? -1 : 1));
}

/** The sessions that have something waiting. */
export async function waitingSessions(): Promise<string[]> {
  const rows = (await (await open()).getAll('outbox')) as Row[];
  return [...new Set(rows.map((row) => row.sessionId))];
}

/** Takes entries out once the server keeps them (or has said why it cannot). */
export async function release(ids: readonly string[]): Promise<void> {
  const transaction = (await open()).transaction('outbox', 'readwrite');
  await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
}
