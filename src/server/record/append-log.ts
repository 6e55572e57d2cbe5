import type { Transaction } from 'sequelize';
import { roundOf, type AnswerEntry, type Entry } from '../../core/sessions/log';
import { playedAs } from '../../core/sessions/own-step';
import { sure } from '../../core/sure';
import { database } from '../storage/database';
import type { AnswerRow, LogRow } from '../storage/models';
import { Problem } from '../storage/problems';
import { insertRows } from '../storage/rows';
import { setAside } from '../words/put-aside';
import { fault, lookup, soundsOf, whoMayCome, type Lookup } from './fault';
import { rebuildSoon } from './rebuild-queue';
import { openSession, sessionLog, type OpenSession, type PlannedSession } from './session-record';

export interface Appended {
  /** The whole log after saving, what other devices added with it; or what is new, for a device that had the rest. */
  readonly log: readonly Entry[];
  /** Entries in the whole log. */
  readonly total: number;
  /** Entries that could not be kept, each with why; the device is told and nothing is dropped in silence. */
  readonly refused: readonly { readonly id: string; readonly why: string }[];
}

/** Entries after which answers read otherwise. */
const TELLING: ReadonlySet<Entry['kind']> = new Set(['answer', 'undo', 'said']);

/**
 * Adds entries to a session's log, all in one transaction, and stores them as they are: what they mean is worked out
 * afterwards. An id that is there already is left as it is, so sending twice changes nothing. A device that says it
 * `has` all that was there gets only what is new back. Throws a Problem (404) where there is no such session.
 */
export async function appendLog(sessionId: string, entries: readonly Entry[], has?: number): Promise<Appended> {
  const { write } = await database();
  const find = await lookup();
  const { grown, ...appended } = await write(async (transaction) => {
    const session = await openSession(sessionId, transaction);
    const known = session.ids;
    const upToDate = has === known.size;
    const inGroup = await whoMayCome(session, entries, transaction);
    const around = { session, known, find, here: new Set(session.childIds), inGroup };
    const added: Entry[] = [];
    const refused: { id: string; why: string }[] = [];
    for (const entry of entries) {
      if (known.has(entry.id)) continue;
      const why = fault(entry, around);
      if (why) {
        refused.push({ id: entry.id, why });
        continue;
      }
      known.add(entry.id);
      if (entry.kind === 'arrive') around.here.add(entry.childId);
      added.push(entry);
    }
    await store(session, added, find, transaction);
    return {
      log: upToDate ? added : await sessionLog(sessionId, transaction),
      total: known.size,
      refused,
      grown: added.some((e) => TELLING.has(e.kind)),
    };
  });
  if (grown) await rebuildSoon(sessionId);
  return appended;
}

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
  const session = await openSession(sessionId, transaction);
  const around = { session, known: session.ids, find, here: new Set(session.childIds), inGroup: new Set<string>() };
  const why = entries.map((entry) => fault(entry, around)).find((w) => w !== undefined);
  if (why) throw new Problem(why);
  await store(session, entries, find, transaction);
}

/** Writes what was added, and what follows for the session itself. */
async function store(
  session: OpenSession,
  added: readonly Entry[],
  find: Lookup,
  transaction: Transaction,
): Promise<void> {
  const { models } = await database();
  const answers = added.flatMap((e) =>
    e.kind === 'answer' ? [answerRow(e, session, soundsOf(e.word, session, find))] : [],
  );
  const steps = added.flatMap((e) => (e.kind === 'answer' ? [] : [logRow(e, session.id)]));
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

const answerRow = (entry: AnswerEntry, session: PlannedSession, sounds: string): AnswerRow => ({
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

function logRow(entry: Exclude<Entry, { kind: 'answer' }>, sessionId: string): LogRow {
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
