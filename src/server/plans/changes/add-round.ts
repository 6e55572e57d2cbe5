import { stepOf, taskOf } from '../../../core/games';
import { ROUND_LIMIT, type Plan } from '../../../core/sessions/running-order';
import { makeRound } from '../../../core/sessions/shapes';
import { setSizeFor } from '../../../core/sessions/turns';
import { Problem } from '../../storage/problems';
import type { Workshop } from '../workshop';
import { requestOf, wordsOf } from './round-work';

/** A new round at the end. */
export function withRound(plan: Plan, to: { task: string; step: string }, shop: Workshop): Plan {
  if (plan.rounds.length >= ROUND_LIMIT) throw new Problem(`A plan can have ${ROUND_LIMIT} rounds.`);
  const task = taskOf(to.task);
  const ids = new Set(plan.rounds.map((r) => r.id));
  let n = plan.rounds.length + 1;
  while (ids.has(`r${n}`)) n += 1;
  const wish = {
    role: 'focus' as const,
    task: task.id,
    step: stepOf(task, to.step).id,
    size: task.together ? 3 : setSizeFor(shop.children),
    sound: plan.sound ?? undefined,
  };
  const request = requestOf(plan, shop, n * 131, wordsOf(plan.rounds.flatMap((r) => r.items)));
  const made =
    makeRound(shop.bank, wish, request, `r${n}`) ??
    makeRound(shop.bank, { ...wish, sound: undefined }, { ...request }, `r${n}`);
  if (!made) throw new Problem(`The word bank has no words for “${task.name}”.`);
  return { ...plan, rounds: [...plan.rounds, made] };
}
