import { format } from 'date-fns';
import type { Transaction } from 'sequelize';
import { v7 } from 'uuid';
import { paperNumberSchema, typedSchema } from '../../core/formats/paper';
import { explain } from '../../core/formats/schemas';
import { keyLabel } from '../../core/games/key-label';
import type { AccentId } from '../../core/phonology/accents';
import { lengthOf, paperLog, paperRows } from '../../core/sessions/paper';
import type { PlantId } from '../../core/sessions/plants';
import type { StoredRound } from '../../core/sessions/stored-round';
import { groupOf } from '../people/groups';
import { putLog } from '../record/append-log';
import { lookup } from '../record/fault';
import { rebuildSoon } from '../record/rebuild-queue';
import { database } from '../storage/database';
import type { PaperRow } from '../storage/models';
import { Problem } from '../storage/problems';
import { roundName } from './look-back';
import { putSession } from './start-session';

/** A tick grid as it goes on paper. */
export type NewPaper = Omit<PaperRow, 'number' | 'session_id' | 'made_at'>;

/**
 * Keeps a tick grid under a number of its own, and gives the number. The same grid printed again, before it is typed
 * in, keeps its number.
 */
export async function keepPaper(paper: NewPaper): Promise<number> {
  const { models, write } = await database();
  return write(async (transaction) => {
    const kept = await models.papers.findOne({
      where: { ...paper, session_id: null },
      order: [['number', 'DESC']],
      transaction,
    });
    // The file gives the number: one that was given once is never given again.
    const made = kept ?? (await models.papers.create({ ...paper, made_at: Date.now() } as PaperRow, { transaction }));
    return made.get().number;
  });
}

/** The paper of a number, or a Problem (404) that says so. */
async function rowOf(asked: unknown, transaction?: Transaction): Promise<PaperRow> {
  const number = paperNumberSchema.safeParse(asked);
  if (!number.success) throw new Problem(explain(number.error), 404);
  const { models } = await database();
  const row = await models.papers.findByPk(number.data, { transaction: transaction ?? null });
  if (!row) throw new Problem(`There’s no grid with the number ${number.data}. Check the number on the paper.`, 404);
  return row.get();
}

/** One line of a round as it is shown. */
interface SheetRow {
  /** The child, or everyone. */
  readonly name: string;
  readonly plant: PlantId | null;
  /** The items in words. */
  readonly boxes: readonly string[];
}
export interface SheetRound {
  readonly name: string;
  readonly step: string;
  /** What stands over the boxes: the items; where each child has their own, nothing but the turn. */
  readonly own: boolean;
  readonly rows: readonly SheetRow[];
}
/** A tick grid, printed or being typed in. */
export interface Sheet {
  readonly number: number;
  /** Null where the plan was erased since. */
  readonly planId: string | null;
  readonly title: string;
  readonly groupName: string;
  readonly madeAt: number;
  readonly rounds: readonly SheetRound[];
  /** The session it was typed in as. */
  readonly sessionId: string | null;
}

const readRounds = ({ rounds }: PaperRow): StoredRound[] => JSON.parse(rounds) as StoredRound[];
const readChildren = ({ children }: PaperRow): string[] => JSON.parse(children) as string[];

/** A paper by its number, with every box in words. Throws a Problem (404) where there is none. */
export async function paperSheet(asked: unknown): Promise<Sheet> {
  const row = await rowOf(asked);
  const group = await groupOf(row.group_id);
  const { models } = await database();
  const children = readChildren(row);
  const found = await models.children.findAll({ where: { id: children } });
  const people = new Map(found.map((c) => [c.get().id, c.get()]));
  const shownRow =
    (round: StoredRound) =>
    ({ childId, boxes }: ReturnType<typeof paperRows>[number]): SheetRow => ({
      name: childId === null ? 'Everyone together' : (people.get(childId)?.name ?? ''),
      plant: (childId === null ? null : (people.get(childId)?.plant ?? null)) as PlantId | null,
      boxes: boxes.map((key) => keyLabel(key, round.task, row.accent as AccentId)),
    });
  return {
    number: row.number,
    planId: (await models.plans.count({ where: { id: row.plan_id } })) ? row.plan_id : null,
    title: row.title,
    groupName: group.name,
    madeAt: row.made_at,
    sessionId: row.session_id,
    rounds: readRounds(row).map((round) => ({
      ...roundName(round),
      own: Boolean(round.own?.length),
      rows: paperRows(round, children).map(shownRow(round)),
    })),
  };
}

/** A day at a time of day that no clock moves over. */
const TEN = 10;

/** When what is marked began: today, so that it ends now; another day, in the morning. */
function beganAt(day: string, length: number, now: number): number {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const morning = new Date(year, month - 1, date, TEN).getTime();
  const today = new Date(now).toDateString() === new Date(morning).toDateString();
  return today ? now - length : morning;
}

/**
 * Keeps what was marked on a paper as a session, and gives its id. One that was typed in already keeps what it has and
 * gives that session. Throws a Problem (404) for no such paper, and one that says what does not fit.
 */
export async function typeIn(number: number, asked: unknown, now = Date.now()): Promise<string> {
  const { day, marks, by } = typedSchema.parse(asked);
  const row = await rowOf(number);
  if (row.session_id) return row.session_id;
  const paper = { rounds: readRounds(row), childIds: readChildren(row), marks };
  if (!fitsPaper(paper))
    throw new Problem('This grid has changed: a child on it has been erased. Open it again to type it in.');
  if (!marks.flat().some((line) => line.trim())) throw new Problem('Nothing is marked yet. Type at least one mark.');
  const length = lengthOf(paper);
  const at = beganAt(day, length, now);
  if (at > now) throw new Problem('That day hasn’t come yet. Choose the day you played.');
  if (day < format(row.made_at, 'yyyy-MM-dd'))
    throw new Problem('This grid was printed after that day. Choose the day you played.');
  const id = v7();
  const log = paperLog({ ...paper, at, by: by || null }, v7);
  const find = await lookup();
  const { write, models } = await database();
  const taken = await write(async (transaction) => {
    const {
      session_id: before,
      group_id,
      title,
      letters,
      rounds,
      accent,
      conventions,
    } = await rowOf(number, transaction);
    if (before) return before;
    const session = { id, group_id, title, letters, rounds, accent, conventions, started_at: at, paper: number };
    await putSession(session, paper.childIds, transaction);
    await putLog(id, log, find, transaction);
    await models.papers.update({ session_id: id }, { where: { number }, transaction });
    return null;
  });
  if (taken) return taken;
  await rebuildSoon(id);
  return id;
}

/** True where there is a letter, or a space, for every box of the paper and none besides. */
function fitsPaper({
  rounds,
  childIds,
  marks,
}: {
  rounds: StoredRound[];
  childIds: string[];
  marks: string[][];
}): boolean {
  const widths = rounds.map((round) => paperRows(round, childIds).map((r) => r.boxes.length));
  return (
    marks.length === widths.length &&
    marks.every(
      (lines, i) => lines.length === widths[i]?.length && lines.every((line, row) => line.length === widths[i]?.[row]),
    )
  );
}
