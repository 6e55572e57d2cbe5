import type { PlantId } from '../../core/sessions/plants';
import { tryItem } from '../../core/games/try-item';
import type { Shown } from '../../core/games/view';
import { listGroups } from '../people/groups';
import { sure } from '../../core/sure';
import { openPlan, type OpenPlan } from './plans';
import { workshopOf } from './workshop';

export interface PrintedPlan extends OpenPlan {
  readonly children: readonly { readonly name: string; readonly plant: PlantId | null }[];
  /** The words to show as cards, each once. */
  readonly cards: readonly Shown[];
}

/** A plan with all that goes on paper. */
export async function printedPlan(id: string): Promise<PrintedPlan> {
  const open = await openPlan(id);
  const group = sure((await listGroups()).find((g) => g.id === open.groupId));
  const { bank } = await workshopOf(group);
  const cards = new Map<string, Shown>();
  for (const round of open.plan.rounds) {
    // What cannot be played any more is not printed; the plan says why.
    for (const { key } of round.items)
      for (const shown of tryItem(round, key, bank).item?.words ?? []) cards.set(shown.word, shown);
  }
  return {
    ...open,
    children: group.children.filter((c) => !c.away).map(({ name, plant }) => ({ name, plant })),
    cards: [...cards.values()],
  };
}
