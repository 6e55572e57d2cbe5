import type { Transaction } from 'sequelize';
import { NO_OWN_WAY, type OwnWay } from '../../core/answers/own-way';
import { ownWaySchema } from '../../core/answers/own-way-schema';
import { explain, idSchema } from '../../core/formats/schemas';
import { taskOf } from '../../core/games';
import type { AccentId } from '../../core/phonology/accents';
import type { Conventions } from '../../core/phonology/conventions';
import type { StoredRound } from '../../core/sessions/stored-round';
import { mergeLogs, type AnswerEntry, type Entry, type Why } from '../../core/sessions/log';
import { plantOf, type PlantId } from '../../core/sessions/plants';
import type { SessionPlan } from '../../core/sessions/replay';
import { database } from '../storage/database';
import type { AnswerRow, SessionRow, LogRow } from '../storage/models';
import { Problem } from '../storage/problems';
import { rows } from '../storage/rows';
import { sure } from '../../core/sure';

interface Plan {
  readonly id: string;
  readonly groupId: string;
  readonly title: string;
  readonly letters: boolean;
  readonly rounds: readonly StoredRound[];
  readonly accent: AccentId;
  readonly conventions: Conventions;
  readonly startedAt: number;
  readonly finishedAt: number | null;
  /** The number of the paper it was typed in from. */
  readonly paper: number | null;
}

export interface PlannedSession extends Plan {
  readonly childIds: readonly string[];
}

/** A child as a session shows them. */
export interface Participant {
  readonly id: string;
  readonly name: string;
  readonly ownWay: OwnWay;
  readonly plant: PlantId | null;
}

export interface SessionRecord extends PlannedSession {
  readonly groupName: string;
  /** In the order of the group's list; turns go by `childIds`. */
  readonly children: readonly Participant[];
}

/** How a child speaks, as it is kept; plain where it cannot be read. */
export function readOwnWay(text: string): OwnWay {
  const read = ownWaySchema.safeParse(JSON.parse(text));
  return read.success ? read.data : NO_OWN_WAY;
}

/** Checks an id from an address. Throws a Problem (404) for one that is none. */
export function checkId(id: string): string {
  const read = idSchema.safeParse(id);
  if (!read.success) throw new Problem(explain(read.error), 404);
  return read.data;
}

const answerFromRow = (row: AnswerRow): AnswerEntry => ({
  kind: 'answer',
  id: row.id,
  at: row.at,
  turn: row.turn,
  childId: row.child_id,
  word: row.word,
  outcome: row.outcome as AnswerEntry['outcome'],
  slip: row.slip as AnswerEntry['slip'],
  said: row.said,
  missed: JSON.parse(row.missed) as number[],
  helps: JSON.parse(row.helps) as AnswerEntry['helps'],
  note: row.note,
  thinkMs: row.think_ms,
  supersedes: row.supersedes,
  ...(row.self_corrected ? { selfCorrected: true } : {}),
  ...(row.shown ? { shown: true } : {}),
  ...(row.differs ? { differs: true } : {}),
  ...(row.second ? { second: true } : {}),
  ...(row.marked_by ? { by: row.marked_by } : {}),
  ...(row.why ? { why: row.why as Why } : {}),
  ...(row.partner_id ? { partnerId: row.partner_id } : {}),
  ...(row.pebbles ? { pebbles: JSON.parse(row.pebbles) as NonNullable<AnswerEntry['pebbles']> } : {}),
});

const entryFromRow = (row: LogRow): Entry =>
  ({ ...(JSON.parse(row.detail) as object), kind: row.kind, id: row.id, at: row.at }) as Entry;

/** A list of one column, in one value: small rows cost more to hand over than to read. */
const column = (name: string, from: string): string => `(SELECT json_group_array(${name}) FROM (${from}))`;
const CHILDREN_OF = column(
  'child_id',
  'SELECT child_id FROM session_children WHERE session_id = :id ORDER BY position',
);
/** The kind of a step that was taken back with all that its tablet did: it stays, and is read no more. */
export const OUT = 'out';
const COUNT_OF = `((SELECT count(*) FROM answers WHERE session_id = :id) +
  (SELECT count(*) FROM steps WHERE session_id = :id AND kind <> '${OUT}'))`;
/** Where each of some ids is kept, as pairs of id and session. */
const PLACES_OF = `(SELECT json_group_array(json_array(id, session_id)) FROM (
  SELECT id, session_id FROM answers WHERE id IN (:ids)
  UNION ALL SELECT id, session_id FROM steps WHERE id IN (:ids)))`;
const NOT_HERE = 'There’s no session at this address. It may have been started on another device.';

/** A session's plan with the ids of its children. Throws a Problem (404) where there is none. */
export async function sessionPlan(id: string): Promise<PlannedSession> {
  const [row] = await rows<SessionRow & { children: string }>(
    `SELECT s.*, ${CHILDREN_OF} AS children FROM sessions s WHERE s.id = :id`,
    { id: checkId(id) },
  );
  if (!row) throw new Problem(NOT_HERE, 404);
  return { ...plan(row), childIds: JSON.parse(row.children) as string[] };
}

/** A session that is about to be added to. */
export interface OpenSession extends PlannedSession {
  /** Entries in its log. */
  readonly entries: number;
  /** Those of the ids asked about that are in its log, and those that are in another session's. */
  readonly known: Set<string>;
  readonly elsewhere: ReadonlySet<string>;
  /** Its log has grown since its answers were read last. */
  readonly stale: boolean;
}

/** The ids that an entry brings, or speaks of. */
const idsIn = (entry: Entry): string[] => {
  if (entry.kind === 'undo') return [entry.id, entry.answerId];
  return entry.kind === 'answer' && entry.supersedes ? [entry.id, entry.supersedes] : [entry.id];
};

/** Throws a Problem: 410 where the session was erased, 404 where there never was one. */
async function notHere(id: string, transaction: Transaction): Promise<never> {
  const erased = await rows('SELECT 1 FROM erased WHERE session_id = :id', { id }, transaction);
  throw erased.length
    ? new Problem('This session has been erased, so nothing more is kept of it.', 410)
    : new Problem(NOT_HERE, 404);
}

/**
 * A session as it stands within a transaction, for entries that are to be added to it: one query, which costs the same
 * however long the log is. Throws a Problem (404, 410) where there is none.
 */
export async function openSession(
  id: string,
  adding: readonly Entry[],
  transaction: Transaction,
): Promise<OpenSession> {
  const [row] = await rows<SessionRow & { children: string; entries: number; places: string }>(
    `SELECT s.*, ${CHILDREN_OF} AS children, ${COUNT_OF} AS entries, ${PLACES_OF} AS places
     FROM sessions s WHERE s.id = :id`,
    { id: checkId(id), ids: ['', ...adding.flatMap(idsIn)] },
    transaction,
  );
  if (!row) return notHere(id, transaction);
  const places = JSON.parse(row.places) as [string, string][];
  const ours = new Set(places.flatMap(([entry, session]) => (session === row.id ? [entry] : [])));
  return {
    ...plan(row),
    childIds: JSON.parse(row.children) as string[],
    entries: row.entries,
    known: ours,
    elsewhere: new Set(places.flatMap(([entry]) => (ours.has(entry) ? [] : [entry]))),
    stale: row.stale === 1,
  };
}

/** A session with its group's and children's names. Throws a Problem (404) where there is none. */
export async function sessionRecord(id: string): Promise<SessionRecord> {
  const session = await sessionPlan(id);
  const { models } = await database();
  const [group, children] = await Promise.all([
    models.groups.findByPk(session.groupId),
    models.children.findAll({ where: { id: [...session.childIds] }, order: [['position', 'ASC']] }),
  ]);
  return {
    ...session,
    groupName: group?.get().name ?? '',
    children: children.map((c) => ({
      id: c.get().id,
      name: c.get().name,
      ownWay: readOwnWay(c.get().own_way),
      plant: plantOf(c.get().plant),
    })),
  };
}

const plan = (row: SessionRow): Plan => ({
  id: row.id,
  groupId: row.group_id,
  title: row.title,
  letters: row.letters === 1,
  rounds: JSON.parse(row.rounds) as StoredRound[],
  accent: row.accent as AccentId,
  conventions: JSON.parse(row.conventions) as Conventions,
  startedAt: row.started_at,
  finishedAt: row.finished_at,
  paper: row.paper,
});

/** The session as the replay of its log needs it. */
export const replayPlan = ({
  rounds,
  childIds,
}: {
  rounds: readonly StoredRound[];
  childIds: readonly string[];
}): SessionPlan => ({
  rounds: rounds.map(({ items, spares, turns, way, task, own = [], find }) => ({
    words: items,
    spares,
    turns,
    way,
    inOrder: taskOf(task).inOrder === true,
    ...(own.length ? { own: Object.fromEntries(own.map((o) => [o.childId, [...o.items, ...o.spares]])) } : {}),
    ...(find ? { find } : {}),
  })),
  children: childIds,
});

/** The columns of an answer and of any other entry, as they are asked for below. */
const ANSWER_COLUMNS = [
  'id',
  'at',
  'turn',
  'child_id',
  'word',
  'outcome',
  'slip',
  'said',
  'missed',
  'helps',
  'note',
  'think_ms',
  'supersedes',
  'self_corrected',
  'shown',
  'differs',
  'second',
  'marked_by',
  'why',
  'partner_id',
  'pebbles',
] as const satisfies readonly (keyof AnswerRow)[];
const LOG_COLUMNS = ['id', 'at', 'kind', 'detail'] as const satisfies readonly (keyof LogRow)[];

/** All rows of a table for a session in one value: small rows cost more to hand over than to read. */
const gathered = (table: string, columns: readonly string[], where = ''): string =>
  `(SELECT json_group_array(json_array(${columns.join(', ')})) FROM ${table} WHERE session_id = :id${where})`;

const readBack = <Row>(text: string, columns: readonly (keyof Row)[]): Row[] =>
  (JSON.parse(text) as unknown[][]).map(
    (values) => Object.fromEntries(columns.map((column, i) => [column, values[i]])) as Row,
  );

/** The whole log of a session, in the order of its ids. */
export async function sessionLog(id: string, transaction?: Transaction): Promise<readonly Entry[]> {
  const [kept] = await rows<{ answers: string; steps: string }>(
    `SELECT ${gathered('answers', ANSWER_COLUMNS)} AS answers,
       ${gathered('steps', LOG_COLUMNS, ` AND kind <> '${OUT}'`)} AS steps`,
    { id },
    transaction,
  );
  const { answers, steps } = sure(kept);
  return mergeLogs(
    [],
    readBack<AnswerRow>(answers, ANSWER_COLUMNS).map(answerFromRow),
    readBack<LogRow>(steps, LOG_COLUMNS).map(entryFromRow),
  );
}
