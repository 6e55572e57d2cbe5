import { planRequestSchema, type PlanWish } from '../../core/formats/plan-file';
import type { Plan } from '../../core/sessions/running-order';
import { planInParts } from '../../core/sessions/shapes';
import type { Group } from '../people/groups';
import { pacesOf } from '../sessions/paces';
import { getSettings } from '../setting/settings';
import { inTurns } from '../storage/other-turns';
import { Problem } from '../storage/problems';
import type { PreparedBank } from '../words/bank';
import { bankOfGroup } from '../words/put-aside';
import { ownedProps } from '../words/props';
import { recentWords } from '../words/words';

/** All that making a plan for a group asks of the setting. */
export interface Workshop {
  readonly bank: PreparedBank;
  readonly owned: ReadonlySet<string>;
  readonly recent: readonly string[];
  readonly confirmed: boolean;
  readonly children: number;
  /** Who is here. */
  readonly childIds: readonly string[];
  /** Somebody who is here hears better without high sounds. */
  readonly lowOnly: boolean;
  readonly paceOf: (task: string) => number;
}

/** @param here who is to play, where that is not everyone who is here today */
export async function workshopOf(
  group: Group,
  here: readonly Group['children'][number][] = group.children.filter((c) => !c.away),
): Promise<Workshop> {
  const { accent, conventions, confirmed } = await getSettings();
  const [bank, owned, recent, paceOf] = await Promise.all([
    bankOfGroup(group.id, accent, conventions),
    ownedProps(),
    recentWords(group.id),
    pacesOf(group.id),
  ]);
  const lowOnly = here.some((c) => c.ownWay.lowOnly);
  return { bank, owned, recent, confirmed, children: here.length, childIds: here.map((c) => c.id), lowOnly, paceOf };
}

/** A complete running order for what was asked. Throws a Problem where the bank has nothing for it. */
export async function planFrom(wish: PlanWish, shop: Workshop): Promise<Plan> {
  const { bank, owned, recent, confirmed, children, lowOnly, paceOf } = shop;
  const read = planRequestSchema.parse(wish);
  const request = { ...read, children, lowOnly, avoid: recent, contested: confirmed, owned, paceOf };
  const plan = await inTurns(planInParts(bank, request));
  if (!plan.rounds.length)
    throw new Problem('The word bank has no words for that. Choose another sound, or any sound.');
  return plan;
}
