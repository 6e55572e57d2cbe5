import { stepOf, taskOf } from '../../../core/games';
import { TOGETHER_ITEMS } from '../../../core/sessions/running-order';
import { makeRound } from '../../../core/sessions/shapes';
import { setSizeFor } from '../../../core/sessions/turns';
import { Problem } from '../../storage/problems';
import { requestOf, type Reworked, type RoundWork } from './round-work';

const noWordsFor = (name: string, name2: string, sound: string | null) =>
  `The word bank has no words for “${name}, ${name2}”${sound ? ' with this sound' : ''}. We left the round as it was.`;

/** Another game or step in the same place of the plan. */
export function reset(
  { plan, round, shop }: RoundWork,
  to: { readonly task: string; readonly step: string },
): Reworked {
  const task = taskOf(to.task);
  const step = stepOf(task, to.step);
  const same = task.id === round.task;
  const asMany = (same && round.items.length) || setSizeFor(shop.children);
  const size = task.together ? Math.min(round.items.length || TOGETHER_ITEMS, TOGETHER_ITEMS) : asMany;
  const made = makeRound(
    shop.bank,
    {
      role: round.role,
      task: task.id,
      step: step.id,
      size,
      sound: plan.sound ?? undefined,
      ...(round.way === 'together' || task.together ? { way: 'together' as const } : {}),
    },
    requestOf(plan, shop, round.seed),
    round.id,
  );
  if (!made) throw new Problem(noWordsFor(task.name, step.name, plan.sound));
  if (!same) return { next: made };
  const { gap, gesture, frame, reminder, names } = round;
  return { next: { ...made, gap, gesture, frame, reminder, names } };
}
