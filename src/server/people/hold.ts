import type { Transaction } from 'sequelize';
import { format } from 'date-fns';
import { idSchema } from '../../core/formats/schemas';
import { listed } from '../../core/in-words';
import { database } from '../storage/database';
import { childGone, Problem } from '../storage/problems';

/** A hold on a child's record: while it lasts nothing of it is erased. */
export interface Hold {
  /** Initials of the lead who decided. */
  readonly by: string;
  readonly at: number;
}

export const holdIn = (row: { readonly held_by: string | null; readonly held_at: number | null }): Hold | null =>
  row.held_by === null || row.held_at === null ? null : { by: row.held_by, at: row.held_at };

/**
 * Puts a child's record on hold, or lifts the hold. Throws a Problem where nobody says who decides, and for no child.
 * @param by initials of the lead
 */
export async function setHold(childId: unknown, on: boolean, by: string): Promise<void> {
  const read = idSchema.safeParse(childId);
  if (!read.success) throw childGone();
  if (!by) throw new Problem('Type the initials of the lead who decides this.');
  const { models, write } = await database();
  const [changed] = await write((transaction) =>
    models.children.update(on ? { held_by: by, held_at: Date.now() } : { held_by: null, held_at: null }, {
      where: { id: read.data },
      transaction,
    }),
  );
  if (!changed) throw childGone();
}

/** Throws a Problem where the record of one of some children is on hold. */
export async function expectNoHold(ids: readonly string[], transaction: Transaction): Promise<void> {
  const { models } = await database();
  const rows = await models.children.findAll({ where: { id: [...ids] }, transaction });
  const held = rows.map((row) => row.get()).filter((row) => holdIn(row) !== null);
  if (!held.length) return;
  const [first] = held;
  throw new Problem(
    `${listed(held.map((c) => c.name))} ${held.length === 1 ? 'is' : 'are'} on hold` +
      `${first?.held_at ? `, since ${format(first.held_at, 'd MMMM')} (${first.held_by ?? ''})` : ''}. Nothing was ` +
      'erased: lift the hold first, on the child’s page.',
    409,
  );
}
