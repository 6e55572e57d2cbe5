import { rungNow, type RungRef } from '../../core/progress/ladders';
import { planRequestSchema } from '../../core/formats/plan-file';
import { listGroups } from '../people/groups';
import { planFrom, workshopOf } from './workshop';
import { Problem } from '../storage/problems';
import { startSession } from '../sessions/start-session';

/**
 * Begins a ready session of one step of a ladder with some children of a group. Throws a Problem for a step or group
 * that is not there.
 */
export async function startStep(
  groupId: string,
  { ladder, rung }: { ladder: string; rung: string } | RungRef,
  children: readonly string[],
): Promise<string> {
  const group = (await listGroups()).find((g) => g.id === groupId);
  if (!group) throw new Problem('That group is not here any more. Choose a group and start again.', 404);
  const here = group.children.filter((c) => children.includes(c.id));
  if (!here.length) throw new Problem('None of these children is in the group any more.', 404);
  const step = rungNow(ladder, rung)?.steps[0];
  if (!step) throw new Problem('There is no such step.', 404);
  // The same step on the same day gives other words once these were played: they are used lately then.
  const wish = planRequestSchema.parse({ shape: 'focus', task: step[0], step: step[1], minutes: 8, seed: 5 });
  const shop = { ...(await workshopOf(group)), children: here.length };
  return startSession(
    groupId,
    await planFrom(wish, shop),
    here.map((c) => c.id),
  );
}
