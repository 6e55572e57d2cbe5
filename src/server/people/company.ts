import { QueryTypes } from 'sequelize';
import { EVERY_DAY, type Company } from '../../core/choosing/company';
import { companySchema, explain, idSchema } from '../../core/formats/schemas';
import type { ChildRow, TieRow } from '../storage/models';
import { database } from '../storage/database';
import { childGone, Problem } from '../storage/problems';
import { rows } from '../storage/rows';

/** Every pair that is to be together or apart, in this file: there are few. */
export const tiesOf = (): Promise<TieRow[]> => rows<TieRow>('SELECT child_id, other_id, kind FROM ties', {});

/** Days as they are kept; every day where nothing fits. */
function daysOf(kept: string): readonly number[] {
  const days = EVERY_DAY.filter((d) => kept.includes(String(d)));
  return days.length ? days : EVERY_DAY;
}

/** When a child comes and with whom, from their row and the pairs of the file. */
export function companyOf(child: Pick<ChildRow, 'id' | 'days' | 'key_adult'>, ties: readonly TieRow[]): Company {
  const others = (kind: string): string[] =>
    ties.flatMap((t) => {
      if (t.kind !== kind) return [];
      if (t.child_id === child.id) return [t.other_id];
      return t.other_id === child.id ? [t.child_id] : [];
    });
  return {
    days: daysOf(child.days),
    keyAdult: child.key_adult,
    together: others('together'),
    apart: others('apart'),
  };
}

/**
 * Sets the days a child comes and whom they are grouped with. A pair stands for both: it shows on the other child too.
 * Throws a Problem for what cannot be; nothing is changed then.
 */
export async function setCompany(childId: unknown, asked: unknown): Promise<void> {
  const id = idSchema.safeParse(childId);
  const read = companySchema.safeParse(asked);
  if (!id.success) throw childGone();
  if (!read.success) throw new Problem(explain(read.error));
  const { days, keyAdult, together, apart } = read.data;
  const { models, sequelize, write } = await database();
  const child = id.data;
  await write(async (transaction) => {
    const values = { days: days.join(''), key_adult: keyAdult };
    const [changed] = await models.children.update(values, { where: { id: child }, transaction });
    if (!changed) throw childGone();
    const here = { replacements: { child }, transaction, type: QueryTypes.DELETE } as const;
    await sequelize.query('DELETE FROM ties WHERE child_id = :child OR other_id = :child', here);
    const pairs = [
      ...together.map((other) => ({ other_id: other, kind: 'together' })),
      ...apart.map((other) => ({ other_id: other, kind: 'apart' })),
    ].filter((p) => p.other_id !== child);
    const known = await models.children.findAll({ where: { id: pairs.map((p) => p.other_id) }, transaction });
    const ids = new Set(known.map((c) => c.get().id));
    await models.ties.bulkCreate(
      pairs.filter((p) => ids.has(p.other_id)).map((p) => ({ child_id: child, ...p })),
      { transaction },
    );
  });
}
