import type { Transaction } from 'sequelize';
import { classRowsSchema } from '../../core/formats/class-list';
import { idSchema } from '../../core/formats/schemas';
import { database } from '../storage/database';
import { childGone, groupGone, Problem } from '../storage/problems';
import { nextPlace, putChildren, putGroup } from './rows';

/** Checks an id, and that the group is there. Throws a Problem (404) otherwise. */
async function groupId(id: unknown, transaction: Transaction): Promise<string> {
  const { models } = await database();
  const read = idSchema.safeParse(id);
  if (!read.success || !(await models.groups.count({ where: { id: read.data }, transaction }))) throw groupGone();
  return read.data;
}

/**
 * Moves a child to another group; every answer of theirs goes along, for answers are a child's and not a group's.
 * Throws a Problem (404) for a child or group that is not there.
 */
export async function moveChild(childId: unknown, to: unknown): Promise<void> {
  const { models, write } = await database();
  await write(async (transaction) => {
    const group = await groupId(to, transaction);
    const values = { group_id: group, position: await nextPlace(group, transaction), small_group: null };
    const [moved] = await models.children.update(values, { where: { id: childIdOf(childId) }, transaction });
    if (!moved) throw childGone();
  });
}

const childIdOf = (id: unknown): string => {
  const read = idSchema.safeParse(id);
  if (!read.success) throw childGone();
  return read.data;
};

/** Takes a child out of sight, or brings them back. Nothing of theirs is lost. Throws a Problem (404) for no child. */
export async function setOutOfSight(childId: unknown, out: boolean, now = Date.now()): Promise<void> {
  const { models, write } = await database();
  const id = childIdOf(childId);
  const [changed] = await write((transaction) =>
    models.children.update({ archived_at: out ? now : null }, { where: { id }, transaction }),
  );
  if (!changed) throw childGone();
}

/**
 * Makes one group of two: children, sessions, plans and printed grids of the first go to the second, words that were
 * put aside in either are put aside, what was taught in either is taught, and the first is gone. Throws a Problem (404)
 * for a group that is not there.
 */
export async function mergeGroups(from: unknown, into: unknown): Promise<void> {
  const { models, sequelize, write } = await database();
  if (from === into) throw new Problem('Choose another group to combine it with.');
  await write(async (transaction) => {
    const [old, group] = [await groupId(from, transaction), await groupId(into, transaction)];
    const start = await nextPlace(group, transaction);
    const move = (sql: string) => sequelize.query(sql, { replacements: { old, group, start }, transaction });
    await move(
      'UPDATE children SET group_id = :group, position = position + :start, small_group = NULL WHERE group_id = :old',
    );
    for (const table of ['sessions', 'plans', 'papers'])
      await move(`UPDATE ${table} SET group_id = :group WHERE group_id = :old`);
    await move(
      `INSERT INTO put_aside (group_id, word, put_at) SELECT :group, word, put_at FROM put_aside WHERE group_id = :old
       ON CONFLICT DO NOTHING`,
    );
    await move(
      `INSERT INTO taught_sounds (group_id, sound) SELECT :group, sound FROM taught_sounds WHERE group_id = :old
       ON CONFLICT DO NOTHING`,
    );
    await move(
      `INSERT INTO taught_spellings (group_id, spelling, sound, taught_on, place)
         SELECT :group, spelling, sound, taught_on, place FROM taught_spellings WHERE group_id = :old
       ON CONFLICT DO NOTHING`,
    );
    await move(
      `INSERT INTO taught_words (group_id, word) SELECT :group, word FROM taught_words WHERE group_id = :old
       ON CONFLICT DO NOTHING`,
    );
    await models.groups.destroy({ where: { id: old }, transaction });
  });
}

/**
 * Gives the sessions of a group that is about to go to a group of somebody who played in them and is elsewhere now:
 * what they answered there is theirs and stays.
 */
export async function keepForOthers(group: string, transaction: Transaction): Promise<void> {
  const { sequelize } = await database();
  await sequelize.query(
    `UPDATE sessions SET group_id = (
       SELECT c.group_id FROM session_children s JOIN children c ON c.id = s.child_id
       WHERE s.session_id = sessions.id AND c.group_id <> :group ORDER BY s.position LIMIT 1)
     WHERE group_id = :group AND EXISTS (
       SELECT 1 FROM session_children s JOIN children c ON c.id = s.child_id
       WHERE s.session_id = sessions.id AND c.group_id <> :group)`,
    { replacements: { group }, transaction },
  );
}

/** What came of a class list: how many children in which groups. */
export interface ClassTaken {
  readonly children: number;
  readonly groups: readonly string[];
}

/**
 * Takes the chosen lines of a class list in: each child into the group the list names, which is made where there is
 * none, else into the group given. All of them or none. Throws a Problem for lines that cannot be taken.
 */
export async function takeClass(asked: unknown, usual: unknown): Promise<ClassTaken> {
  const lines = classRowsSchema.parse(asked);
  const { models, write } = await database();
  return write(async (transaction) => {
    const here = await groupId(usual, transaction);
    const known = new Map(
      (await models.groups.findAll({ transaction })).map((g) => [g.get().name.toLocaleLowerCase(), g.get().id]),
    );
    const idOf = async (group: string): Promise<string> => {
      const plain = group.toLocaleLowerCase();
      const id = known.get(plain) ?? (await putGroup(group, transaction));
      known.set(plain, id);
      return id;
    };
    const byGroup = new Map<string, typeof lines>();
    for (const line of lines) {
      const id = line.group ? await idOf(line.group) : here;
      byGroup.set(id, [...(byGroup.get(id) ?? []), line]);
    }
    for (const [id, of] of byGroup) await putChildren(id, of, transaction);
    const named = await models.groups.findAll({ where: { id: [...byGroup.keys()] }, transaction });
    return { children: lines.length, groups: named.map((g) => g.get().name) };
  });
}
