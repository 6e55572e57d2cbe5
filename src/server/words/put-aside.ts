import { idSchema } from '../../core/formats/schemas';
import type { Conventions } from '../../core/phonology/conventions';
import type { AccentId } from '../../core/phonology/accents';
import type { Transaction } from 'sequelize';
import { database } from '../storage/database';
import { groupGone, Problem } from '../storage/problems';
import { bankEntry, preparedBank, type PreparedBank } from './bank';

/** Words a group has put aside, quietly: a bereavement, a name, an allergy. No reason is asked and none is kept. */
export async function wordsAside(groupId: string): Promise<string[]> {
  const { models } = await database();
  const rows = await models.putAside.findAll({ where: { group_id: groupId }, order: [['word', 'ASC']] });
  return rows.map((row) => row.get().word);
}

/** The bank as one group has it: what it has put aside is known there and never put forward. */
export const bankOfGroup = async (groupId: string, accent: AccentId, conventions: Conventions): Promise<PreparedBank> =>
  preparedBank(accent, conventions, await wordsAside(groupId));

/** Puts words aside for a group inside a transaction; again changes nothing. */
export async function setAside(groupId: string, words: readonly string[], transaction: Transaction): Promise<void> {
  const { models } = await database();
  const rows = [...new Set(words)].map((word) => ({ group_id: groupId, word, put_at: Date.now() }));
  if (rows.length) await models.putAside.bulkCreate(rows, { transaction, ignoreDuplicates: true });
}

/**
 * Puts a word aside for a group, or takes it back. Throws a Problem for a word or a group that is not there.
 * @example await putAside(group.id, 'granny', true)
 */
export async function putAside(groupId: string, word: string, aside: boolean): Promise<void> {
  if (aside && !(await bankEntry(word))) throw new Problem(`“${word}” isn’t in the word bank.`, 404);
  const { models, write } = await database();
  await write(async (transaction) => {
    const there =
      idSchema.safeParse(groupId).success && (await models.groups.findByPk(groupId, { transaction })) !== null;
    if (!there) throw groupGone('Nothing has been put aside.');
    if (aside) await setAside(groupId, [word], transaction);
    else await models.putAside.destroy({ where: { group_id: groupId, word }, transaction });
  });
}
