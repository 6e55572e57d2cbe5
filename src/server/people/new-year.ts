import { explain, newYearSchema } from '../../core/formats/schemas';
import { database } from '../storage/database';
import { groupGone, Problem } from '../storage/problems';

/** What became of the groups at the start of a school year. */
export interface RolledOver {
  readonly moved: number;
  readonly left: number;
}

/**
 * Begins a school year: the children of each group stay, go to another group, or leave the list; all at once, by where
 * they were before. Answers go with the children. Throws a Problem for a choice that cannot be; nothing is changed.
 * @param asked for each group, by its id: `stay`, `leave` or the id of a group
 */
export async function beginYear(asked: unknown, now = Date.now()): Promise<RolledOver> {
  const read = newYearSchema.safeParse(asked);
  if (!read.success) throw new Problem(explain(read.error));
  const { models, write } = await database();
  return write(async (transaction) => {
    const groups = new Set((await models.groups.findAll({ transaction })).map((g) => g.get().id));
    const all = await models.children.findAll({ order: [['position', 'ASC']], transaction });
    const places = new Map<string, number>();
    for (const id of groups)
      places.set(id, Math.max(-1, ...all.filter((c) => c.get().group_id === id).map((c) => c.get().position)));
    let [moved, left] = [0, 0];
    for (const child of all) {
      const { group_id: from, archived_at: archived } = child.get();
      const to = read.data[from] ?? 'stay';
      if (to === 'stay' || archived !== null) continue;
      if (to === 'leave') {
        await child.update({ archived_at: now, small_group: null }, { transaction });
        left += 1;
        continue;
      }
      if (!groups.has(to)) throw groupGone('Nothing was changed.');
      const position = (places.get(to) ?? -1) + 1;
      places.set(to, position);
      await child.update({ group_id: to, position, small_group: null, away_on: null, in_on: null }, { transaction });
      moved += 1;
    }
    return { moved, left };
  });
}
