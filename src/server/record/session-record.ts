import type { Transaction } from 'sequelize';
import { NO_OWN_WAY, type OwnWay } from '../../core/answers/own-way';
import { ownWaySchema } from '../../core/answers/own-way-schema';
import { explain, idSchema } from '../../core/formats/schemas';
import { taskOf } from '../../core/games';
import type { AccentId } from '../../core/phonology/accents';
import type { Conventions } from '../../core/phonology/conventions';
import type { StoredRound } from '../../core/sessions/stored-round';
import { mergeLogs, type AnswerEntry, type Entry, type Why } from '../../core/sessions/log';
import type { SessionPlan } from '../../core/sessions/replay';
import { database } from '../storage/database';
import type { AnswerRow, SessionRow, LogRow } from '../storage/models';
import { Problem } from '../storage/problems';
import { rows } from '../storage/rows';

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
  readonly stale: boolean;
}

export interface PlannedSession extends Plan {
  readonly childIds: readonly string[];
}

export interface SessionRecord extends PlannedSession {
  readonly groupName: string;
  /** In the order of the group's list; turns go by `childIds`. */
  readonly children: readonly { readonly id: string; readonly name: string; readonly ownWay: OwnWay }[];
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

const answerOf = (row: AnswerRow): AnswerEntry => ({
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
});

/** An answer's row as the rule of what stands reads it. */
export const givenOf = <R extends Pick<AnswerRow, 'child_id' | 'differs' | 'second'>>(
  row: R,
): Omit<R, 'differs' | 'second'> & {
  readonly childId: string | null;
  readonly differs: boolean;
  readonly second: boolean;
} => ({ ...row, childId: row.child_id, differs: row.differs === 1, second: row.second === 1 });

const entryOf = (row: LogRow): Entry =>
  ({ ...(JSON.parse(row.detail) as object), kind: row.kind, id: row.id, at: row.at }) as Entry;

/** A session's plan with the ids of its children. Throws a Problem (404) where there is none. */
export async function sessionPlan(id: string): Promise<PlannedSession> {
  const { models } = await database();
  const [row, links] = await Promise.all([
    models.sessions.findByPk(checkId(id)),
    models.sessionChildren.findAll({ where: { session_id: id }, order: [['position', 'ASC']] }),
  ]);
  if (!row) throw new Problem('There is no session at this address. It may have been started on another device.', 404);
  return { ...plan(row.get()), childIds: links.map((link) => link.get().child_id) };
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
    children: children.map((c) => ({ id: c.get().id, name: c.get().name, ownWay: readOwnWay(c.get().own_way) })),
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
  stale: row.stale === 1,
});

/** The session as the replay of its log needs it. */
export const replayPlan = ({
  rounds,
  childIds,
}: {
  rounds: readonly StoredRound[];
  childIds: readonly string[];
}): SessionPlan => ({
  rounds: rounds.map(({ items, turns, way, task }) => ({
    words: items,
    turns,
    way,
    inOrder: taskOf(task).inOrder === true,
  })),
  children: childIds,
});

interface Logged {
  readonly ids: Set<string>;
  /** What may have shown a child the answer: items said by the adult or by everyone, and answers in chorus. */
  readonly models: readonly Entry[];
}

/** The ids of everything in a session's log, and what modelled an item in it. */
export async function logged(id: string, transaction: Transaction): Promise<Logged> {
  const { models } = await database();
  const kept = await rows<{ id: string; model: 0 | 1 }>(
    `SELECT id, child_id IS NULL AS model FROM answers WHERE session_id = :id
     UNION ALL SELECT id, kind = 'said' FROM steps WHERE session_id = :id`,
    { id },
    transaction,
  );
  const shown = kept.filter((row) => row.model).map((row) => row.id);
  const of = { where: { id: shown }, raw: true, transaction } as const;
  const [chorus, steps] = shown.length
    ? [await models.answers.findAll(of), await models.logRows.findAll(of)]
    : [[], []];
  return {
    ids: new Set(kept.map((row) => row.id)),
    models: mergeLogs(
      [],
      (chorus as unknown as AnswerRow[]).map(answerOf),
      (steps as unknown as LogRow[]).map(entryOf),
    ),
  };
}

/** The whole log of a session, in the order of its ids. */
export async function sessionLog(id: string, transaction?: Transaction): Promise<readonly Entry[]> {
  const { models } = await database();
  const of = { where: { session_id: id }, raw: true, ...(transaction ? { transaction } : {}) } as const;
  const [answers, steps] = await Promise.all([models.answers.findAll(of), models.logRows.findAll(of)]);
  return mergeLogs([], (answers as unknown as AnswerRow[]).map(answerOf), (steps as unknown as LogRow[]).map(entryOf));
}
