import type { Plan } from '../../core/sessions/running-order';
import { groupOf } from '../people/groups';
import { startSession } from '../sessions/start-session';
import { hasOwn, ownDeals } from './own-steps';
import { workshopOf } from './workshop';

/**
 * Begins a session of a plan with the children who are here, or with some of the group alone, and gives its id. Where
 * each child has their own step, what is dealt to whom is settled now, for late comers too. Throws a Problem for a
 * group that is not there or a plan with nothing in it.
 */
export async function startPlan(groupId: string, plan: Plan, only?: readonly string[]): Promise<string> {
  if (!plan.rounds.some(hasOwn)) return startSession(groupId, plan, { only });
  const group = await groupOf(groupId);
  const here = group.children.filter((c) => (only ? only.includes(c.id) : !c.away));
  const own = await ownDeals(plan, group, await workshopOf(group, here));
  return startSession(groupId, plan, { only, own });
}
