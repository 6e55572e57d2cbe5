import type { PlantId } from '../../core/sessions/plants';
import { tryItem } from '../../core/games/try-item';
import type { Shown } from '../../core/games/view';
import { groupOf } from '../people/groups';
import { sure } from '../../core/sure';
import { openPlan, type OpenPlan } from './plans';
import { workshopOf } from './workshop';

export interface PrintedPlan extends OpenPlan {
  readonly children: readonly { readonly id: string; readonly name: string; readonly plant: PlantId | null }[];
  /** The words to show as cards, each once. */
  readonly cards: readonly Shown[];
}

/** A plan with all that goes on paper. */
export async function printedPlan(id: string): Promise<PrintedPlan> {
  const open = await openPlan(id);
  const group = await groupOf(open.groupId);
  const { bank } = await workshopOf(group);
  const cards = new Map<string, Shown>();
  for (const round of open.plan.rounds) {
    // What cannot be played any more is not printed; the plan says why.
    const own = sure(open.shown.rounds.find((r) => r.id === round.id)).own;
    const played = own.length
      ? own.flatMap((o) => o.items.map(({ key }) => ({ key, step: o.step })))
      : round.items.map(({ key }) => ({ key, step: round.step }));
    for (const { key, step } of played)
      for (const shown of tryItem({ task: round.task, step }, key, bank).item?.words ?? [])
        cards.set(shown.word, shown);
  }
  return {
    ...open,
    children: group.children.filter((c) => !c.away).map(({ id: child, name, plant }) => ({ id: child, name, plant })),
    cards: [...cards.values()],
  };
}
