import { millisecondsInDay } from 'date-fns/constants';
import { openDB, type IDBPDatabase } from 'idb';
import { inLogOrder, type Entry } from '@/core/sessions/log';
import { timeOf } from '@/core/sessions/stamps';
import type { Box } from './sync';

/**
 * The log on the device. An entry is written here, and known to be on disk, before the screen shows it as marked. It
 * leaves the outbox when the server has said that it keeps it; a copy of the whole log stays until the session is
 * over, so that a page loaded without a network is where it was. What the server will never keep is set aside, with
 * why, until somebody has saved it.
 */
interface Row {
  readonly id: string;
  readonly sessionId: string;
  readonly entry: Entry;
}

/** An entry the server would not keep. */
export interface Aside extends Row {
  readonly why: string;
}

/** A copy goes after this. */
const KEPT_MS = 14 * millisecondsInDay;

const NAME = 'bouncy-echo';
/** Stores of each version, in order. */
const STORES = [['outbox'], ['kept'], ['aside']] as const;

let opened: Promise<IDBPDatabase> | undefined;
const forgetHandle = (): void => {
  opened = undefined;
};

/** The device’s store. A handle that failed, was closed or was taken away is opened anew at the next use. */
function open(): Promise<IDBPDatabase> {
  if (opened) return opened;
  const opening = openDB(NAME, STORES.length, {
    upgrade: (db, from) => {
      for (const name of STORES.slice(from).flat())
        db.createObjectStore(name, { keyPath: 'id' }).createIndex('session', 'sessionId');
    },
    // Another tab with a newer build may open its version.
    blocking: () => {
      void opening.then((db) => db.close());
      forgetHandle();
    },
    terminated: forgetHandle,
  });
  opening.catch(forgetHandle);
  opened = opening;
  return opening;
}

/** Uses the store; where its handle turns out to be closed, once more with a new one. */
async function using<T>(work: (db: IDBPDatabase) => Promise<T>): Promise<T> {
  try {
    return await work(await open());
  } catch (error) {
    if (!(error instanceof DOMException) || error.name !== 'InvalidStateError') throw error;
    forgetHandle();
    return work(await open());
  }
}

const entriesInOrder = (rows: readonly Row[]): Entry[] => inLogOrder(rows.map((row) => row.entry));

/** Keeps an entry; resolves when it is on the device's disk. Throws where the device has no room or no store. */
export const keep = (sessionId: string, entry: Entry): Promise<void> =>
  using(async (db) => {
    const transaction = db.transaction(['outbox', 'kept'], 'readwrite', { durability: 'strict' });
    const row: Row = { id: entry.id, sessionId, entry };
    // A put that fails ends the transaction, and that is what is waited for.
    for (const store of ['outbox', 'kept'] as const)
      transaction
        .objectStore(store)
        .put(row)
        .catch(() => undefined);
    await transaction.done;
  });

const storedRows = (store: string, sessionId: string): Promise<Row[]> =>
  using(async (db) => (await db.getAllFromIndex(store, 'session', sessionId)) as Row[]);

/** What still waits for the server, oldest first. */
export const waiting = async (sessionId: string): Promise<Entry[]> =>
  entriesInOrder(await storedRows('outbox', sessionId));

/** The copy of a session's log on this device, oldest first. */
export const keptLog = async (sessionId: string): Promise<Entry[]> =>
  entriesInOrder(await storedRows('kept', sessionId));

const putAll = (store: string, rows: readonly Row[]): Promise<void> =>
  using(async (db) => {
    const transaction = db.transaction(store, 'readwrite');
    await Promise.all([...rows.map((row) => transaction.store.put(row)), transaction.done]);
  });

const removeAll = (store: string, ids: readonly string[]): Promise<void> =>
  using(async (db) => {
    const transaction = db.transaction(store, 'readwrite');
    await Promise.all([...ids.map((id) => transaction.store.delete(id)), transaction.done]);
  });

/** Copies what came from the server, so that it is here after a reload without it. */
const copy = (sessionId: string, entries: readonly Entry[]): Promise<void> =>
  putAll(
    'kept',
    entries.map((entry) => ({ id: entry.id, sessionId, entry })),
  );

/** The sessions that have something waiting. */
export const waitingSessions = (): Promise<string[]> =>
  using(async (db) => [...new Set(((await db.getAll('outbox')) as Row[]).map((row) => row.sessionId))]);

/** Takes entries out of the outbox once the server keeps them. */
const release = (ids: readonly string[]): Promise<void> => removeAll('outbox', ids);

/** Takes an entry the server will not keep out of the log, and sets it aside with the reason. */
async function setAside(sessionId: string, entry: Entry, why: string): Promise<void> {
  const row: Aside = { id: entry.id, sessionId, entry, why };
  await putAll('aside', [row]);
  await removeAll('outbox', [entry.id]);
  await removeAll('kept', [entry.id]);
}

/** Takes an entry off the device, copy and all. */
async function letGo(id: string): Promise<void> {
  for (const store of ['outbox', 'kept', 'aside']) await removeAll(store, [id]);
}

/** Puts every copy this device has into the outbox: the server may have lost them to an older backup. */
export async function sendAgain(): Promise<void> {
  const rows = await using(async (db) => (await db.getAll('kept')) as Row[]);
  await putAll('outbox', rows);
}

/** The outbox, as sync asks of it. */
export const box: Box = { waiting, copy, release, setAside, letGo, sendAgain };

/** All that was set aside on this device. */
export const asideAll = (): Promise<Aside[]> => using(async (db) => (await db.getAll('aside')) as Aside[]);

/** Lets what was set aside go: somebody has saved it, or does not want it. */
export const dropAside = (ids: readonly string[]): Promise<void> => removeAll('aside', ids);

/** Copies go after a fortnight: until then an older backup that is put back can be made whole from them. */
export async function forget(now: number): Promise<void> {
  const held = new Set(await waitingSessions());
  const rows = await using(async (db) => (await db.getAll('kept')) as Row[]);
  await removeAll(
    'kept',
    rows.filter((row) => !held.has(row.sessionId) && Math.abs(now - timeOf(row.id)) > KEPT_MS).map((row) => row.id),
  );
}

/** Takes the copies of sessions, and what was set aside of them, off the device. What waits still goes out. */
export async function forgetSessions(sessions: ReadonlySet<string>): Promise<void> {
  for (const store of ['kept', 'aside'] as const) {
    const rows = await using(async (db) => (await db.getAll(store)) as Row[]);
    const gone = rows.filter((row) => sessions.has(row.sessionId)).map((row) => row.id);
    if (gone.length) await removeAll(store, gone);
  }
}
