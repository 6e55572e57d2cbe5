import { format, getISODay, parseISO } from 'date-fns';
import { Op } from 'sequelize';
import { v7 } from 'uuid';
import { groupBy } from '../../core/group-by';
import type { OwnWay } from '../../core/answers/own-way';
import type { Company } from '../../core/choosing/company';
import { ownWaySchema } from '../../core/answers/own-way-schema';
import { readNames, type NamesRead } from '../../core/formats/names';
import { givePlants, plantOf, type PlantId } from '../../core/sessions/plants';
import { AGE_BANDS, type AgeBand } from '../../core/evidence/age-band';
import { ageBandSchema, explain, idSchema, nameSchema, plantSchema } from '../../core/formats/schemas';
import type { ChildRow } from '../storage/models';
import { database } from '../storage/database';
import { dropEmptySessions, forgetSteps } from './forget-steps';
import { rememberErased } from './erased';
import { goingFrom, goneFrom, putBeside } from '../../file/erased-list';
import { expectNoHold } from './hold';
import { keepForOthers } from './moves';
import { NO_GROUPS, putChildren, putGroup } from './rows';
import { companyOf, tiesOf } from './company';
import { childGone, groupGone, Problem } from '../storage/problems';
import { forgetArrived } from '../record/arrivals';
import { readOwnWay } from '../record/session-record';

interface Child {
  readonly id: string;
  readonly name: string;
  /** Not here today: away, or not one of their days. */
  readonly away: boolean;
  /** Today is not one of their days. */
  readonly notTheirDay: boolean;
  readonly ownWay: OwnWay;
  readonly plant: PlantId | null;
  readonly company: Company;
  /** The number of their small group; 0 for turns alone, null where nothing is said. */
  readonly smallGroup: number | null;
}
export interface Group {
  readonly id: string;
  readonly name: string;
  readonly ageBand: AgeBand | null;
  /** The day on which its small groups were made, and by what. */
  readonly grouped: { readonly on: string | null; readonly by: string | null };
  /** It works with letters too. */
  readonly letters: boolean;
  readonly children: readonly Child[];
  /** Those who were taken out of sight: kept, and nowhere else shown. */
  readonly outOfSight: readonly { readonly id: string; readonly name: string }[];
}

/** Whether a child is away on a day, and whether it is none of theirs; nobody’s day is at the weekend. */
function hereOn({ days, away_on, in_on }: Pick<ChildRow, 'days' | 'away_on' | 'in_on'>, day: string) {
  const weekday = getISODay(parseISO(day));
  const notTheirDay = weekday <= 5 && !days.includes(String(weekday));
  return { notTheirDay, away: away_on === day || (notTheirDay && in_on !== day) };
}

/** What a group has that nobody is in yet. */
const EMPTY = { grouped: { on: null, by: null }, letters: false, children: [], outOfSight: [] } as const;

/** A band that is kept; null where nothing, or nothing known, stands there. */
export const bandOf = (kept: string | null): AgeBand | null => AGE_BANDS.find((band) => band === kept) ?? null;

const today = (): string => format(new Date(), 'yyyy-MM-dd');

/** Every group with its children, in their order. */
export const listGroups = (): Promise<Group[]> => read({}, {});

/**
 * One group with its children. Throws a Problem (404) for one that is not there.
 * @example (await groupOf(id)).name // 'Seedlings'
 */
export async function groupOf(id: string): Promise<Group> {
  const [group] = await read({ id }, { group_id: id });
  if (!group) throw groupGone('Choose another one.');
  return group;
}

async function read(which: { id?: string }, whose: { group_id?: string }): Promise<Group[]> {
  const { models } = await database();
  const [groups, children, ties] = await Promise.all([
    models.groups.findAll({ where: which, order: [['position', 'ASC']] }),
    models.children.findAll({ where: whose, order: [['position', 'ASC']] }),
    tiesOf(),
  ]);
  const day = today();
  const kept = groupBy(
    children.map((c) => c.get()),
    (c) => c.group_id,
  );
  return groups.map((row) => {
    const { id, name, age_band: band, grouped_on: on, grouped_under: by, letters } = row.get();
    const all = kept.get(id) ?? [];
    return {
      id,
      name,
      ageBand: bandOf(band),
      grouped: { on, by },
      letters: letters === 1,
      children: all
        .filter((c) => c.archived_at === null)
        .map((c) => ({
          id: c.id,
          name: c.name,
          ...hereOn(c, day),
          ownWay: readOwnWay(c.own_way),
          plant: plantOf(c.plant),
          company: companyOf(c, ties),
          smallGroup: c.small_group,
        })),
      outOfSight: all.filter((c) => c.archived_at !== null).map((c) => ({ id: c.id, name: c.name })),
    };
  });
}

/** The group asked for, else the first; makes one where there is none, so that nothing blocks playing. */
export async function groupOrFirst(id: string | undefined): Promise<Group> {
  const groups = await listGroups();
  return groups.find((g) => g.id === id) ?? groups[0] ?? firstGroup();
}

/** Made inside the write queue, so that two pages asking at once get the same group. */
async function firstGroup(): Promise<Group> {
  const { models, write } = await database();
  const row = await write(
    async (transaction) =>
      (await models.groups.findOne({ order: [['position', 'ASC']], transaction })) ??
      models.groups.create(
        { id: v7(), name: 'Our group', position: 0, created_at: Date.now(), age_band: null, ...NO_GROUPS },
        { transaction },
      ),
  );
  const { id, name, age_band: band } = row.get();
  return { id, name, ageBand: bandOf(band), ...EMPTY };
}

/** Adds an empty group. Throws a Problem for a name that cannot be used. */
export async function addGroup(name: string): Promise<Group> {
  const read = readName(name);
  const { write } = await database();
  const id = await write((transaction) => putGroup(read, transaction));
  return { id, name: read, ageBand: null, ...EMPTY };
}

function readName(name: string): string {
  const read = nameSchema.safeParse(name);
  if (!read.success) throw new Problem(explain(read.error));
  return read.data;
}

/** Adds the names typed on lines; says what was not taken and why. */
export async function addChildren(groupId: string, text: string): Promise<NamesRead & { readonly ids: string[] }> {
  const { models, write } = await database();
  return write(async (transaction) => {
    const group = await models.groups.findByPk(idOf(groupId), { transaction });
    if (!group) throw groupGone('The names haven’t been added.');
    const here = await models.children.findAll({ where: { group_id: groupId }, transaction });
    const read = readNames(
      text,
      here.map((c) => c.get().name),
    );
    const ids = await putChildren(
      groupId,
      read.names.map((name) => ({ name })),
      transaction,
    );
    return { ...read, ids };
  });
}

/** Children who were added so lately can be taken back. */
const TAKE_BACK_MS = 3_600_000;

/** Takes back children who were added a moment ago and have not played; gives how many that were. */
export async function takeBackChildren(ids: readonly string[]): Promise<number> {
  const { models, write } = await database();
  return write(async (transaction) => {
    const played = await models.sessionChildren.findAll({ where: { child_id: [...ids] }, transaction });
    const sat = new Set(played.map((s) => s.get().child_id));
    const since = Date.now() - TAKE_BACK_MS;
    return models.children.destroy({
      where: { id: ids.filter((id) => !sat.has(id)), created_at: { [Op.gt]: since } },
      transaction,
    });
  });
}

const idOf = (id: string): string => {
  const read = idSchema.safeParse(id);
  if (!read.success) throw new Problem(explain(read.error), 404);
  return read.data;
};

async function change(
  childId: string,
  values: {
    name?: string;
    away_on?: string | null;
    in_on?: string | null;
    own_way?: string;
    plant?: string | null;
  },
): Promise<void> {
  const { models, write } = await database();
  const [rows] = await write((transaction) =>
    models.children.update(values, { where: { id: idOf(childId) }, transaction }),
  );
  if (!rows) throw childGone();
}

export const renameChild = async (childId: string, name: string): Promise<void> =>
  change(childId, { name: readName(name) });

/** Away lasts for today; tomorrow the child is here again. */
export const setAway = (childId: string, away: boolean): Promise<void> =>
  change(childId, away ? { away_on: today(), in_on: null } : { away_on: null, in_on: today() });

/** Sets how a child speaks. Throws a Problem for what is no such thing; nothing is changed then. */
export async function setOwnWay(childId: string, way: unknown): Promise<void> {
  const read = ownWaySchema.safeParse(way);
  if (!read.success) throw new Problem(explain(read.error));
  await change(childId, { own_way: JSON.stringify(read.data) });
}

/** Sets the plant beside a child’s name, or none. Throws a Problem for one that is not drawn. */
export async function setPlant(childId: string, plant: unknown): Promise<void> {
  const read = plantSchema.nullable().safeParse(plant);
  if (!read.success) throw new Problem('Choose one of the plants shown.');
  await change(childId, { plant: read.data });
}

/** Gives every child of a group who has no plant one that nobody else there has. */
export async function plantGroup(groupId: string): Promise<void> {
  const { models, write } = await database();
  await write(async (transaction) => {
    const where = { group_id: idOf(groupId) };
    const here = await models.children.findAll({ where, order: [['position', 'ASC']], transaction });
    const plants = givePlants(here.map((c) => plantOf(c.get().plant)));
    for (const [i, child] of here.entries())
      if (plants[i] !== child.get().plant) await child.update({ plant: plants[i] ?? null }, { transaction });
  });
}

/** Erases a child and every answer of theirs from the file (deleted pages are overwritten, the log is folded in). */
export async function eraseChild(childId: string): Promise<void> {
  const { models, write, remembered, file } = await database();
  const id = idOf(childId);
  await write(async (transaction) => {
    await expectNoHold([id], transaction);
    const child = await models.children.findByPk(id, { attributes: ['group_id'], transaction });
    if (child) await rememberErased(child.get().group_id, [id], transaction);
    if (child) goingFrom(file, [id]);
    const sat = await forgetSteps(id, transaction);
    await models.children.destroy({ where: { id }, transaction });
    await dropEmptySessions(sat, transaction);
    transaction.afterCommit(() => remembered.letGo([id]));
  });
  await saidGone([id]);
  await wipe();
}

export async function renameGroup(groupId: string, name: string): Promise<void> {
  const read = readName(name);
  const { models, write } = await database();
  const [rows] = await write((transaction) =>
    models.groups.update({ name: read }, { where: { id: idOf(groupId) }, transaction }),
  );
  if (!rows) throw groupGone();
}

/** Sets how old the children of a group are, or that it is not said. Throws a Problem for an unknown band. */
export async function setAgeBand(groupId: string, band: unknown): Promise<void> {
  const read = ageBandSchema.nullable().safeParse(band);
  if (!read.success) throw new Problem('Choose one of the ages in the list.');
  const { models, write } = await database();
  const [rows] = await write((transaction) =>
    models.groups.update({ age_band: read.data }, { where: { id: idOf(groupId) }, transaction }),
  );
  if (!rows) throw groupGone();
}

/** Erases a group with its children, sessions and answers. */
export async function eraseGroup(groupId: string): Promise<void> {
  const { models, write, remembered, file } = await database();
  const ofGroup = { where: { group_id: idOf(groupId) } };
  const children = await write(async (transaction) => {
    const ids = (await models.children.findAll({ ...ofGroup, attributes: ['id'], transaction })).map((c) => c.get().id);
    await expectNoHold(ids, transaction);
    transaction.afterCommit(() => remembered.letGo(ids));
    await rememberErased(groupId, ids, transaction);
    goingFrom(file, ids);
    await keepForOthers(groupId, transaction);
    for (const id of ids) await forgetSteps(id, transaction);
    await models.sessions.destroy({ ...ofGroup, transaction });
    await models.children.destroy({ ...ofGroup, transaction });
    await models.groups.destroy({ where: { id: groupId }, transaction });
    return ids;
  });
  await saidGone(children);
  await wipe();
}

/** Writes down apart from the data that some children are erased, here and beside the backups. */
async function saidGone(ids: readonly string[]): Promise<void> {
  const { file, models } = await database();
  goneFrom(file, ids);
  const folder = (await models.backups.findByPk(1))?.get().folder;
  if (folder) putBeside(file, folder);
}

/**
 * Lets nothing of what was erased stay beside the file or in memory. Throws a Problem that says what to do where
 * somebody was reading so long that it does: it is erased all the same.
 */
async function wipe(): Promise<void> {
  const db = await database();
  forgetArrived(db);
  if (!(await db.foldIn()))
    throw new Problem(
      'That’s erased. Some traces are still in the file beside your data, because it was being read. Stop Bouncy ' +
        'Echo once and they’ll be gone too.',
      503,
    );
}
