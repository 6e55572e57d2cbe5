import type { Transaction } from 'sequelize';
import { explain, idSchema } from '../core/formats/schemas';
import type { Task } from '../core/games';
import type { AccentId } from '../core/phonology/accents';
import type { Conventions } from '../core/phonology/conventions';
import { mergeLogs, type AnswerEntry, type Entry } from '../core/sessions/log';
import { database } from './database';
import type { AnswerRow, SessionRow, StepRow } from './models';
import { Problem } from './problems';

export interface SessionRecord {
  readonly id: string;
  readonly groupId: string;
  readonly groupName: string;
  readonly task: Task;
  readonly sounds: number;
  readonly accent: AccentId;
  readonly conventions: Conventions;
  readonly words: readonly string[];
  readonly model: string | null;
  readonly spares: readonly string[];
  readonly turns: number;
  readonly startedAt: number;
  readonly finishedAt: number | null;
  readonly children: readonly { readonly id: string; readonly name: string }[];
}

/** Checks an id from an address. Throws a Problem (404) for one that is none. */
export function checkId(id: string): string {
  const read = idSchema.safeParse(id);
  if (!read.success) throw new Problem(explain(read.error), 404);
  return read.data;
}

const answerOf = (row: AnswerRow): AnswerEntry => ({
  kind: 'answer', id: row.id, at: row.at, turn: row.turn, childId: row.child_id, word: row.word,
  outcome: row.outcome as AnswerEntry['outcome'], slip: row.slip as AnswerEntry['slip'], said: row.said,
  missed: JSON.parse(row.missed) as number[], helps: JSON.parse(row.helps) as AnswerEntry['helps'],
  note: row.note, thinkMs: row.think_ms, supersedes: row.supersedes,
});

const stepOf = (row: StepRow): Entry => ({ ...(JSON.parse(row.detail) as object), kind: row.kind, id: row.id, at: row.at }) as Entry;

/** A session with its group, children and plan. Throws a Problem (404) where there is none. */
export async function sessionRecord(id: string): Promise<SessionRecord> {
  const { models } = await database();
  const row = (await models.sessions.findByPk(checkId(id)))?.get();
  if (!row) throw new Problem('There is no session at this address. It may have been started on another device.', 404);
  const [group, links] = await Promise.all([
    models.groups.findByPk(row.group_id), models.sessionChildren.findAll({ where: { session_id: id }, order: [['position', 'ASC']] }),
  ]);
  const children = await models.children.findAll({ where: { id: links.map((l) => l.get().child_id) } });
  const names = new Map(children.map((c) => [c.get().id, c.get().name]));
  return { ...plan(row), groupName: group?.get().name ?? '', children: links.map((l) => ({ id: l.get().child_id, name: names.get(l.get().child_id) ?? '' })) };
}

const plan = (row: SessionRow): Omit<SessionRecord, 'groupName' | 'children'> => ({
  id: row.id, groupId: row.group_id, task: row.task as Task, sounds: row.sounds, accent: row.accent as AccentId,
  conventions: JSON.parse(row.conventions) as Conventions, words: JSON.parse(row.words) as string[], model: row.model,
  spares: JSON.parse(row.spares) as string[], turns: row.turns, startedAt: row.started_at, finishedAt: row.finished_at,
});

/** The whole log of a session, in the order of its ids. */
export async function sessionLog(id: string, transaction?: Transaction): Promise<Entry[]> {
  const { models } = await database();
  const of = { where: { session_id: id }, raw: true, ...(transaction ? { transaction } : {}) } as const;
  const [answers, steps] = await Promise.all([models.answers.findAll(of), models.steps.findAll(of)]);
  return mergeLogs((answers as unknown as AnswerRow[]).map(answerOf), (steps as unknown as StepRow[]).map(stepOf));
}
