import type { Transaction } from 'sequelize';
import { v7 } from 'uuid';
import { PLAIN_TEXT } from '../../core/answers/own-way';
import { EVERY_DAY } from '../../core/choosing/company';
import { sure } from '../../core/sure';
import { database } from '../storage/database';
import { rows } from '../storage/rows';

const LAST = {
  children: 'SELECT COALESCE(MAX(position) + 1, 0) AS next FROM children WHERE group_id = :group',
  groups: 'SELECT COALESCE(MAX(position) + 1, 0) AS next FROM groups',
} as const;

/** The place after the last child of a group, those off the list too. */
export const nextPlace = async (group: string, transaction: Transaction): Promise<number> =>
  sure((await rows<{ next: number }>(LAST.children, { group }, transaction))[0]).next;

/** What a new group, and a new child, begin with. */
export const NO_GROUPS = { grouped_on: null, grouped_under: null, letters: 0 } as const;
export const ANY_COMPANY = { days: EVERY_DAY.join(''), in_on: null, key_adult: null, small_group: null } as const;

/** Writes an empty group after all others, and gives its id. */
export async function putGroup(name: string, transaction: Transaction): Promise<string> {
  const { models } = await database();
  const id = v7();
  const position = sure((await rows<{ next: number }>(LAST.groups, {}, transaction))[0]).next;
  await models.groups.create(
    { id, name, position, created_at: Date.now(), age_band: null, ...NO_GROUPS },
    { transaction },
  );
  return id;
}

/** Writes children of whom nothing but a name is known yet, after those who are in the group; gives their ids. */
export async function putChildren(
  group: string,
  people: readonly { readonly name: string; readonly ownId?: string }[],
  transaction: Transaction,
): Promise<string[]> {
  const { models } = await database();
  const ids = people.map(() => v7());
  const start = await nextPlace(group, transaction);
  await models.children.bulkCreate(
    people.map(({ name, ownId }, i) => ({
      id: sure(ids[i]),
      group_id: group,
      name,
      position: start + i,
      away_on: null,
      created_at: Date.now(),
      own_way: PLAIN_TEXT,
      plant: null,
      archived_at: null,
      own_id: ownId || null,
      ...ANY_COMPANY,
    })),
    { transaction },
  );
  return ids;
}
