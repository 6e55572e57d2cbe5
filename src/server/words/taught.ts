import { explain, idSchema, taughtSchema } from '../../core/formats/schemas';
import { database } from '../storage/database';
import type { AccentId } from '../../core/phonology/accents';
import { soundsOfSpellings } from '../../core/letters/readable';
import { groupGone, Problem } from '../storage/problems';
import { taughtLetters, today } from './letters';

/** The keys of the sounds that were ticked as taught; empty where nothing has been said. */
export async function tickedSounds(groupId: string): Promise<Set<string>> {
  const { models } = await database();
  return new Set((await models.taughtSounds.findAll({ where: { group_id: groupId } })).map((row) => row.get().sound));
}

/**
 * The keys of the sounds a group has been taught: those that were ticked, and, where it works with letters, those of
 * the spellings it was taught.
 */
export async function taughtSounds(groupId: string, accent: AccentId): Promise<Set<string>> {
  const [ticked, letters] = await Promise.all([tickedSounds(groupId), taughtLetters(groupId)]);
  return new Set([...ticked, ...(letters.on ? soundsOfSpellings(letters.spellings, accent, today()) : [])]);
}

/** Says of one sound, by its keys, that it was taught or was not. Throws a Problem for what is no sound. */
export async function tickSound(groupId: string, keys: unknown, taught: unknown): Promise<void> {
  const read = taughtSchema.safeParse(keys);
  if (!read.success) throw new Problem(explain(read.error));
  if (!idSchema.safeParse(groupId).success) throw groupGone();
  const { models, write } = await database();
  await write(async (transaction) => {
    if (!(await models.groups.findByPk(groupId, { transaction }))) throw groupGone('The sound hasn’t been saved.');
    const rows = read.data.map((sound) => ({ group_id: groupId, sound }));
    if (taught === true) await models.taughtSounds.bulkCreate(rows, { transaction, ignoreDuplicates: true });
    else await models.taughtSounds.destroy({ where: { group_id: groupId, sound: read.data }, transaction });
  });
}

/** Says anew which sounds a group has been taught. Throws a Problem for a sound or a group that is not there. */
export async function saveTaught(groupId: string, sounds: unknown): Promise<void> {
  const read = taughtSchema.safeParse(sounds);
  if (!read.success) throw new Problem(explain(read.error));
  if (!idSchema.safeParse(groupId).success) throw groupGone();
  const { models, write } = await database();
  await write(async (transaction) => {
    if (!(await models.groups.findByPk(groupId, { transaction }))) throw groupGone('The sounds haven’t been saved.');
    await models.taughtSounds.destroy({ where: { group_id: groupId }, transaction });
    await models.taughtSounds.bulkCreate(
      [...new Set(read.data)].map((sound) => ({ group_id: groupId, sound })),
      { transaction },
    );
  });
}
