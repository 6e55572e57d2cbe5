import { openDB, type IDBPDatabase } from 'idb';
import type { Entry } from '@/core/sessions/log';
import { timeOf } from '@/core/sessions/stamps';

/**
 * The log on the device. An entry is written here, and known to be on disk, before the screen shows it as marked. It
 * leaves the outbox when the server has said that it keeps it; a copy of the whole log stays until the session is
 * over, so that a page loaded without a network is where it was.
 */
interface Row {
  readonly id: string;
  readonly sessionId: string;
  readonly entry: Entry;
}

/** A copy nobody came back for goes after this. */
const KEPT_MS = 7 * 86_400_000;

let opened: Promise<IDBPDatabase> | undefined;
const open = (): Promise<IDBPDatabase> =>
  (opened ??= openDB('bouncy-echo', 2, {
    upgrade: (db, from) => {
      for (const name of from < 1 ? ['outbox', 'kept'] : ['kept'])
        db.createObjectStore(name, { keyPath: 'id' }).createIndex('session', 'sessionId');
    },
    // Another tab with a newer build may open its version.
    blocking: () => void opened?.then((db) => db.close()),
  }));

const inOrder = (rows: readonly Row[]): Entry[] => rows.map((row) => row.entry).sort((a, b) => (a.id < b.id ? -1 : 1));

/** Keeps an entry; resolves when it is on the device's disk. Throws where the device has no room or no store. */
export async function keep(sessionId: string, entry: Entry): Promise<void> {
  const transaction = (await open()).transaction(['outbox', 'kept'], 'readwrite', { durability: 'strict' });
  const row: Row = { id: entry.id, sessionId, entry };
  // A put that fails ends the transaction, and that is what is waited for.
  transaction
    .objectStore('outbox')
    .put(row)
    .catch(() => undefined);
  transaction
    .objectStore('kept')
    .put(row)
    .catch(() => undefined);
  await transaction.done;
}

/** What still waits for the server, oldest first. */
export async function waiting(sessionId: string): Promise<Entry[]> {
  return inOrder((await (await open()).getAllFromIndex('outbox', 'session', sessionId)) as Row[]);
}

/** The copy of a session's log on this device, oldest first. */
export async function keptLog(sessionId: string): Promise<Entry[]> {
  return inOrder((await (await open()).getAllFromIndex('kept', 'session', sessionId)) as Row[]);
}

/** Copies what came from the server, so that it is here after a reload without it. */
export async function copy(sessionId: string, entries: readonly Entry[]): Promise<void> {
  const transaction = (await open()).transaction('kept', 'readwrite');
  await Promise.all([
    ...entries.map((entry) => transaction.store.put({ id: entry.id, sessionId, entry } satisfies Row)),
    transaction.done,
  ]);
}

/** The sessions that have something waiting. */
export async function waitingSessions(): Promise<string[]> {
  const rows = (await (await open()).getAll('outbox')) as Row[];
  return [...new Set(rows.map((row) => row.sessionId))];
}

/** Takes entries out of the outbox once the server keeps them (or has said why it cannot). */
export async function release(ids: readonly string[]): Promise<void> {
  const transaction = (await open()).transaction('outbox', 'readwrite');
  await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
}

/** Takes refused entries out of the copy too. */
export async function drop(ids: readonly string[]): Promise<void> {
  const transaction = (await open()).transaction('kept', 'readwrite');
  await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
}

/** A session that is over and with the server leaves no copy behind; nor does one left alone for a week. */
export async function forget(sessionId: string, now: number): Promise<void> {
  const db = await open();
  const rows = (await db.getAll('kept')) as Row[];
  const held = new Set(await waitingSessions());
  await drop(
    rows
      .filter((row) => !held.has(row.sessionId) && (row.sessionId === sessionId || now - timeOf(row.id) > KEPT_MS))
      .map((row) => row.id),
  );
}
