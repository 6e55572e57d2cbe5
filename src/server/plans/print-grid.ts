import { onPaper } from '../../core/sessions/paper';
import { groupOf } from '../people/groups';
import { keepPaper } from '../sessions/papers';
import { settledRounds } from '../sessions/start-session';
import { getSettings } from '../setting/settings';
import { ownDeals } from './own-steps';
import { openPlan } from './plans';
import { workshopOf } from './workshop';

/**
 * Keeps the tick grid of a plan for the children who are here, under a number to type it in by; null where nobody is
 * here to have a line on it. Throws a Problem for no such plan, or one with nothing in it.
 */
export async function printGrid(planId: string): Promise<number | null> {
  const { groupId, plan } = await openPlan(planId);
  const group = await groupOf(groupId);
  const here = group.children.filter((c) => !c.away);
  if (!here.length) return null;
  const { accent, conventions } = await getSettings();
  const own = await ownDeals(plan, group, await workshopOf(group, here));
  const childIds = here.map((c) => c.id);
  const rounds = await settledRounds(groupId, plan, here.length, { own });
  return keepPaper({
    group_id: groupId,
    plan_id: planId,
    title: plan.title,
    letters: plan.letters ? 1 : 0,
    rounds: JSON.stringify(rounds.map((round) => onPaper(round, childIds))),
    children: JSON.stringify(childIds),
    accent,
    conventions: JSON.stringify(conventions),
  });
}
