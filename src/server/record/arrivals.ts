import { LRUCache } from 'lru-cache';
import type { Entry } from '../../core/sessions/log';
import type { Database } from '../storage/database';

/**
 * What has come into the logs of sessions since this process began, in the order it came: a device that has the rest
 * is given what is new to it without the whole log being read. Nothing rests on it: where the file has another number
 * of entries than is remembered here, the log is read.
 */
interface Arrived {
  /** Entries that were in the log before the first that is remembered. */
  readonly before: number;
  readonly entries: Entry[];
}

/** Sessions remembered at once. */
const SESSIONS = 100;

const files = new WeakMap<Database, LRUCache<string, Arrived>>();

function arrivedIn(db: Database): LRUCache<string, Arrived> {
  const known = files.get(db) ?? new LRUCache<string, Arrived>({ max: SESSIONS });
  files.set(db, known);
  return known;
}

/**
 * What came after the first `has` entries of a session's log, in the order it came; null where that is not remembered.
 * @param now entries in the log as the file has it
 */
export function arrivedSince(db: Database, session: string, has: number, now: number): readonly Entry[] | null {
  if (has === now) return [];
  const known = arrivedIn(db).get(session);
  const fits = known && known.before + known.entries.length === now && has >= known.before && has <= now;
  return fits ? known.entries.slice(has - known.before) : null;
}

/** Entries were kept, after so many others. */
export function noteArrived(db: Database, session: string, before: number, added: readonly Entry[]): void {
  if (!added.length) return;
  const known = arrivedIn(db).get(session);
  if (known && known.before + known.entries.length === before) known.entries.push(...added);
  else arrivedIn(db).set(session, { before, entries: [...added] });
}

/** Lets go of all that is remembered: somebody is erased. */
export const forgetArrived = (db: Database): void => arrivedIn(db).clear();
