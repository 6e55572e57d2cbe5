import { Op } from 'sequelize';
import { habitsOf, type Habits } from '../../core/answers/rank';
import type { Slip } from '../../core/answers/outcome';
import { groupBy } from '../../core/group-by';
import { database } from '../storage/database';

/** Slips looked back on, over all the children of a session. */
const LATELY = 900;

/** What each child has said before, for the order of the likely answers. A child with no slip is not in it. */
export async function habitsOfChildren(children: readonly string[]): Promise<Readonly<Record<string, Habits>>> {
  const { models } = await database();
  const rows = (await models.answers.findAll({
    where: { child_id: [...children], slip: { [Op.ne]: null }, second: 0 },
    attributes: ['child_id', 'slip', 'sounds', 'missed'],
    order: [['at', 'DESC']],
    limit: LATELY,
    raw: true,
  })) as unknown as {
    child_id: string;
    slip: Slip;
    sounds: string;
    missed: string;
  }[];
  return Object.fromEntries(
    [...groupBy(rows, (r) => r.child_id)].map(([child, of]) => [
      child,
      habitsOf(
        of.map((r) => ({ slip: r.slip, sounds: r.sounds.split(' '), missed: JSON.parse(r.missed) as number[] })),
      ),
    ]),
  );
}
