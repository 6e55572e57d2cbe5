import type { Transaction } from 'sequelize';
import { roundOf, type AnswerEntry, type Entry } from '../../core/sessions/log';
import { AHEAD_MS } from '../../core/sessions/stamps';
import { playedAs } from '../../core/sessions/own-step';
import { sure } from '../../core/sure';
import { database } from '../storage/database';
import type { AnswerRow, LogRow } from '../storage/models';
import { Problem } from '../storage/problems';
import { insertRows } from '../storage/rows';
import { setAside } from '../words/put-aside';
import { arrivedSince, noteArrived } from './arrivals';
import { fault, lookup, soundsOf, surroundings, type Lookup, type Surroundings } from './fault';
import { rebuildSoon } from './rebuild-queue';
import { openSession, sessionLog, type OpenSession, type PlannedSession } from './session-record';

/** An entry that could not be kept. */
interface RefusedEntry {
  readonly id: string;
  /** A sentence for people. */
  readonly why: string;
  /** It speaks of a child who was erased: the device lets go of it, and keeps no copy. */
  readonly erased?: true;
}

export interface Appended {
  /** The whole log after saving, what other devices added with it; or what is new, for a device that had the rest. */
  readonly log: readonly Entry[];
  /** Entries in the whole log. */
  readonly total: number;
  /** Entries that could not be kept, each with why; the device is told and nothing is dropped in silence. */
  readonly refused: readonly RefusedEntry[];
}

/** How entries come. */
interface Coming {
  /** How many entries of the log the device has. */
  readonly has?: number | undefined;
  /** From a device, which may bring them late; not from a page of ours that is looked at now. */
  readonly device?: boolean;
  /** The tablet they come from, where the session is lent to one. */
  readonly tablet?: string | undefined;
}

/** Entries after which answers read otherwise. */
const TELLING: ReadonlySet<Entry['kind']> = new Set(['answer', 'undo', 'said']);

/**
 * Adds entries to a session's log, all in one transaction, and stores them as they are: what they mean is worked out
 * afterwards. An id that is there already is left as it is, so sending twice changes nothing. A device that says it
 * `has` all that was there gets only what is new back. Throws a Problem (404, 410) where there is no such session.
 */
export async function appendLog(
  sessionId: string,
  entries: readonly Entry[],
  { has, device = false, tablet }: Coming = {},
): Promise<Appended> {
  const db = await database();
  const find = await lookup();
  const { grown, ...appended } = await db.write(async (transaction) => {
    const now = Date.now();
    const session = await openSession(sessionId, entries, transaction);
    const tail = has === undefined ? null : arrivedSince(db, sessionId, has, session.entries);
    const around = await surroundings(session, { entries, find, late: device ? now : null }, transaction);
    const { added, refused } = sifted(entries, around);
    const kept = inTime(added, now, session.startedAt);
    await store(session, kept, { find, tablet: tablet ?? null }, transaction);
    const given = kept.map(({ entry }) => entry);
    transaction.afterCommit(() => noteArrived(db, sessionId, session.entries, given));
    return {
      log: tail ? [...tail, ...given] : await sessionLog(sessionId, transaction),
      total: session.entries + given.length,
      refused,
      grown: given.some((e) => TELLING.has(e.kind)),
    };
  });
  if (grown) await rebuildSoon(sessionId);
  return appended;
}

/** Parts what can be kept from what cannot; what is there already is neither. */
function sifted(entries: readonly Entry[], around: Surroundings): { added: Entry[]; refused: RefusedEntry[] } {
  const added: Entry[] = [];
  const refused: RefusedEntry[] = [];
  const { known, here } = around;
  for (const entry of entries) {
    if (known.has(entry.id)) continue;
    const why = fault(entry, around);
    if (why) {
      refused.push({ id: entry.id, ...why });
      continue;
    }
    known.add(entry.id);
    if (entry.kind === 'arrive') here.add(entry.childId);
    added.push(withoutErased(entry, around));
  }
  return { added, refused };
}

/** An answer stays where only the child who asked for it was erased. */
const withoutErased = (entry: Entry, { erased }: Surroundings): Entry =>
  entry.kind === 'answer' && entry.partnerId && erased.has(entry.partnerId) ? { ...entry, partnerId: null } : entry;

/**
 * Writes the whole log of a session that was made within the same transaction: both are kept, or neither. Throws a
 * Problem where an entry does not fit the session.
 */
export async function putLog(
  sessionId: string,
  entries: readonly Entry[],
  find: Lookup,
  transaction: Transaction,
): Promise<void> {
  const session = await openSession(sessionId, [], transaction);
  const nobody: ReadonlySet<string> = new Set();
  const around = {
    session,
    known: session.known,
    find,
    here: new Set(session.childIds),
    inGroup: nobody,
    erased: nobody,
    late: null,
  };
  for (const entry of entries) {
    const found = fault(entry, around);
    if (found) throw new Problem(found.why);
    around.known.add(entry.id);
  }
  const asGiven = entries.map((entry) => ({ entry, deviceAt: null }));
  await store(session, asGiven, { find, tablet: null }, transaction);
}

/** An entry with its time, and what the device’s clock said where that was far ahead. */
interface Timed {
  readonly entry: Entry;
  readonly deviceAt: number | null;
}

/**
 * Entries with times that are not far ahead of ours (milliseconds since 1970): a clock that is fast is put back so that
 * its latest entry is now, the time between its entries kept, and none is before the session began.
 */
function inTime(entries: readonly Entry[], now: number, began: number): Timed[] {
  const ahead = Math.max(0, ...entries.map((e) => e.at - now));
  return entries.map((entry) =>
    entry.at <= now + AHEAD_MS
      ? { entry, deviceAt: null }
      : { entry: { ...entry, at: Math.max(Math.min(began, now), entry.at - ahead) }, deviceAt: entry.at },
  );
}

/** Writes what was added, and what follows for the session itself. */
async function store(
  session: OpenSession,
  timed: readonly Timed[],
  { find, tablet }: { readonly find: Lookup; readonly tablet: string | null },
  transaction: Transaction,
): Promise<void> {
  const { models } = await database();
  const answers = timed.flatMap(({ entry, deviceAt }) =>
    entry.kind === 'answer'
      ? [{ ...answerRow(entry, session, soundsOf(entry.word, session, find)), device_at: deviceAt, tablet }]
      : [],
  );
  const steps = timed.flatMap(({ entry, deviceAt }) =>
    entry.kind === 'answer' ? [] : [{ ...logRow(entry, session.id), device_at: deviceAt, tablet }],
  );
  const added = timed.map(({ entry }) => entry);
  await insertRows('answers', answers, transaction);
  await insertRows('steps', steps, transaction);
  await seatLate(session, added, transaction);
  const aside = added.flatMap((e) => (e.kind === 'aside' ? [e.word] : []));
  await setAside(session.groupId, aside, transaction);
  const end = added.findLast((e) => e.kind === 'finish' || e.kind === 'reopen');
  const change = {
    ...(!session.stale && added.some((e) => TELLING.has(e.kind)) ? { stale: 1 as const } : {}),
    ...(end ? { finished_at: end.kind === 'finish' ? end.at : null } : {}),
  };
  if (Object.keys(change).length) await models.sessions.update(change, { where: { id: session.id }, transaction });
}

/** Children who came late belong to the session from now on. */
async function seatLate(session: PlannedSession, added: readonly Entry[], transaction: Transaction): Promise<void> {
  const late = new Set(
    added.flatMap((e) => (e.kind === 'arrive' && !session.childIds.includes(e.childId) ? [e.childId] : [])),
  );
  if (!late.size) return;
  const { models } = await database();
  await models.sessionChildren.bulkCreate(
    [...late].map((child, i) => ({
      session_id: session.id,
      child_id: child,
      position: session.childIds.length + i,
    })),
    { transaction },
  );
}

const answerRow = (
  entry: AnswerEntry,
  session: PlannedSession,
  sounds: string,
): Omit<AnswerRow, 'device_at' | 'tablet'> => ({
  id: entry.id,
  session_id: session.id,
  child_id: entry.childId,
  turn: entry.turn,
  word: entry.word,
  ...playedAs(sure(session.rounds[roundOf(entry.turn)]), entry.word),
  sounds,
  outcome: entry.outcome,
  slip: entry.slip,
  said: entry.said,
  missed: JSON.stringify(entry.missed),
  helps: JSON.stringify(entry.helps),
  note: entry.note,
  think_ms: entry.thinkMs,
  supersedes: entry.supersedes,
  at: entry.at,
  received_at: Date.now(),
  ...flagsOf(entry),
  marked_by: entry.by?.trim() || null,
  why: entry.why ?? null,
  partner_id: entry.partnerId ?? null,
  pebbles: entry.pebbles?.length ? JSON.stringify(entry.pebbles) : null,
});

const flag = (on: boolean | undefined): 0 | 1 => (on ? 1 : 0);
const flagsOf = ({ selfCorrected, shown, differs, second }: AnswerEntry) => ({
  self_corrected: flag(selfCorrected),
  shown: flag(shown),
  differs: flag(differs),
  second: flag(second),
});

function logRow(entry: Exclude<Entry, { kind: 'answer' }>, sessionId: string): Omit<LogRow, 'device_at' | 'tablet'> {
  const { id, kind, at, ...detail } = entry;
  return {
    id,
    session_id: sessionId,
    kind,
    child_id: 'childId' in entry ? entry.childId : null,
    detail: JSON.stringify(detail),
    at,
    received_at: Date.now(),
  };
}
