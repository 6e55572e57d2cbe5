import { v7 } from 'uuid';
import { chosenStepSchema, explain } from '../../core/formats/schemas';
import { groupBy } from '../../core/group-by';
import { database } from '../storage/database';
import type { ChosenStepRow } from '../storage/models';
import { Problem } from '../storage/problems';
import { sure } from '../../core/sure';

/** A step an adult chose in place of the suggestion; kept, with those that were chosen before. */
export interface ChosenStep {
  readonly ladder: string;
  readonly rung: string;
  readonly at: number;
  readonly by: string | null;
}

/** The choice that stands for each child. */
export async function chosenSteps(childIds: readonly string[]): Promise<Map<string, ChosenStep>> {
  const { models } = await database();
  const rows = (await models.chosenSteps.findAll({
    where: { child_id: [...childIds], ended_at: null },
    order: [['at', 'ASC']],
    raw: true,
  })) as unknown as ChosenStepRow[];
  return new Map(
    [...groupBy(rows, (r) => r.child_id)].map(([child, of]) => {
      const { ladder, rung, at, chosen_by } = sure(of.at(-1));
      return [child, { ladder, rung, at, by: chosen_by }];
    }),
  );
}

/** Every choice of a child, the newest first. */
export async function choicesOf(childId: string): Promise<ChosenStepRow[]> {
  const { models } = await database();
  return (await models.chosenSteps.findAll({
    where: { child_id: childId },
    order: [['at', 'DESC']],
    raw: true,
  })) as unknown as ChosenStepRow[];
}

/** Chooses a step for a child, or goes back to the suggestion. Throws a Problem for a step that is on no ladder. */
export async function chooseStep(childId: string, step: unknown): Promise<void> {
  const read = chosenStepSchema.safeParse(step);
  if (!read.success) throw new Problem(explain(read.error));
  const { models, write } = await database();
  await write(async (transaction) => {
    if (!(await models.children.findByPk(childId, { transaction })))
      throw new Problem('That child isn’t in the list any more.', 404);
    const now = Date.now();
    await models.chosenSteps.update({ ended_at: now }, { where: { child_id: childId, ended_at: null }, transaction });
    if (read.data)
      await models.chosenSteps.create(
        {
          id: v7(),
          child_id: childId,
          ...read.data.step,
          at: now,
          chosen_by: read.data.by?.trim() || null,
          ended_at: null,
        },
        { transaction },
      );
  });
}
