import { stepOf, taskOf } from '../../../core/games';
import { tryItem } from '../../../core/games/try-item';
import type { Material } from '../../../core/games/material';
import { readKey } from '../../../core/games/spec';
import type { Step } from '../../../core/games/step';
import type { Task } from '../../../core/games/task';
import type { Model } from '../../../core/choosing/model';
import type { Plan, PlannedRound } from '../../../core/sessions/running-order';
import { sure } from '../../../core/sure';
import type { Workshop } from '../workshop';

/** What a change of one round is made from. */
export interface RoundWork {
  readonly plan: Plan;
  readonly round: PlannedRound;
  readonly task: Task;
  readonly step: Step;
  readonly shop: Workshop;
  /** What is known of those who are here. */
  readonly models: readonly Model[];
}

/** What becomes of a round, and what there is to say about it. */
export interface Reworked {
  readonly next: PlannedRound;
  readonly said?: string;
}

export const roundWork = (plan: Plan, round: PlannedRound, shop: Workshop, models: readonly Model[]): RoundWork => {
  const task = taskOf(round.task);
  return { plan, round, task, step: stepOf(task, round.step), shop, models };
};

/** What a round of the plan is made with, besides its own words. */
export const requestOf = (
  plan: Plan,
  { recent, confirmed, owned, lowOnly }: Workshop,
  seed: number,
  avoid: readonly string[] = [],
) => ({
  seed,
  avoid: [...recent, ...avoid],
  pairs: plan.pairs,
  mixUps: plan.mixUps,
  lowOnly,
  contested: confirmed,
  owned,
  sound: plan.sound ?? undefined,
});

/** The words of some items. */
export const wordsOf = (items: readonly { readonly key: string }[]): string[] =>
  items.flatMap(({ key }) => readKey(key).words);

/** Items from easy to hard again, after one came or went. */
export function itemsInOrder(
  round: PlannedRound,
  items: PlannedRound['items'],
  spares: readonly string[],
  material: Material,
): PlannedRound {
  const task = taskOf(round.task);
  const points = new Map(items.map((i) => [i.key, tryItem(round, i.key, material).item?.difficulty ?? 0]));
  return {
    ...round,
    spares,
    items: task.inOrder ? items : [...items].sort((a, b) => sure(points.get(a.key)) - sure(points.get(b.key))),
  };
}
