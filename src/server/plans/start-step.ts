import { rungNow, type RungRef } from '../../core/progress/ladders';
import { planRequestSchema } from '../../core/formats/plan-file';
import { listGroups } from '../people/groups';
import { planFrom, workshopOf } from './workshop';
import { Problem } from '../storage/problems';
import { startSession } from '../sessions/start-session';
import { startStep as say } from './text';

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
  if (!group) throw new Problem(say.groupMoreChoose, 404);
  const here = group.children.filter((c) => children.includes(c.id));
  if (!here.length) throw new Problem(say.noneTheseChildren, 404);
  const step = rungNow(ladder, rung)?.steps[0];
  if (!step) throw new Problem(say.noSuchStep, 404);
  // The same step on the same day gives other words once these were played: they are used lately then.
  const wish = planRequestSchema.parse({ shape: 'focus', task: step[0], step: step[1], minutes: 8, seed: 5 });
  const shop = { ...(await workshopOf(group)), children: here.length };
  return startSession(
    groupId,
    await planFrom(wish, shop),
    here.map((c) => c.id),
  );
}
