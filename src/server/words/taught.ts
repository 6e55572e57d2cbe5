import { explain, idSchema, taughtSchema } from '../../core/formats/schemas';
import { database } from '../storage/database';
import { groupGone, Problem } from '../storage/problems';

/** The keys of the sounds a group has been taught; empty where nothing has been said. */
export async function taughtSounds(groupId: string): Promise<Set<string>> {
  const { models } = await database();
  return new Set((await models.taughtSounds.findAll({ where: { group_id: groupId } })).map((row) => row.get().sound));
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
