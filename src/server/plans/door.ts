import { TASKS, taskOf } from '../../core/games';
import type { ChildAdvice } from '../../core/choosing/advice';
import { ownStep } from '../../core/choosing/own-rung';
import { rungOf } from '../../core/evidence/ladders';
import { canOwn } from '../../core/sessions/own-step';
import { makeRound } from '../../core/sessions/shapes';
import { sure } from '../../core/sure';
import { advised } from '../children/advised';
import { groupOf } from '../people/groups';
import { Problem } from '../storage/problems';
import { startPlan } from './start-plan';
import { workshopOf } from './workshop';

/** The game of the queue: the first of the ladder that most children’s next step is on. */
function gameFor(known: readonly ChildAdvice[]) {
  const counts = new Map<string, number>();
  for (const { next } of known) {
    const ladder = next?.ladder;
    if (ladder !== undefined) counts.set(ladder, (counts.get(ladder) ?? 0) + 1);
  }
  const [ladder] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
  return TASKS.find((t) => t.family === ladder && canOwn(t)) ?? taskOf('blending');
}

/**
 * Begins a set for a queue: one question for each child who is here, at the child’s own step, in one game; gives its
 * id. Throws a Problem where nobody is here or the bank has no words.
 * @example await startDoor(groupId) // the id of a session with one turn for each child
 */
export async function startDoor(groupId: string, now = Date.now()): Promise<string> {
  const group = await groupOf(groupId);
  const shop = await workshopOf(group);
  if (!shop.children) throw new Problem('Nobody is here yet. Add names, or say who has come.');
  const { of } = await advised(shop.childIds, now);
  const known = [...of.values()];
  const task = gameFor(known);
  const steps = known.flatMap((a) => ownStep(a, { task, step: sure(task.steps[0]).id })?.step ?? []);
  // Who has no words of their own shares the easiest of the steps.
  const at = (step: string): number => rungOf(task.id, step)?.at ?? 0;
  const step = [...steps].sort((a, b) => at(a) - at(b))[0] ?? sure(task.steps[0]).id;
  const round = makeRound(
    shop.bank,
    { role: 'focus', task: task.id, step, size: shop.children, way: 'individual' },
    { seed: Math.floor(now / 60_000), avoid: shop.recent, contested: shop.confirmed, owned: shop.owned },
    'r1',
  );
  if (!round) throw new Problem('We can’t find any words for that. Try one of the sessions on Today instead.');
  const items = round.items.slice(0, shop.children);
  const plan = { title: 'A quick one each while they wait', minutes: 2, letters: false, sound: null, pairs: [] };
  return startPlan(groupId, { ...plan, rounds: [{ ...round, items, own: { on: true, steps: {} } }] });
}
