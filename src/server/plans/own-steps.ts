import { taskOf } from '../../core/games';
import { holding } from '../../core/games/pebbles';
import type { ChildAdvice } from '../../core/choosing/advice';
import { isSpread, ownStep, type OwnStep } from '../../core/choosing/own-rung';
import { canOwn, dealOwn, namesWho, type OwnDeal } from '../../core/sessions/own-step';
import type { Plan, PlannedRound } from '../../core/sessions/running-order';
import { advised } from '../children/advised';
import type { Group } from '../people/groups';
import { requestOf, wordsOf } from './changes/round-work';
import type { Workshop } from './workshop';

/** What one child is dealt in a round, and how it came to that step. */
export interface OwnDealt extends OwnStep {
  readonly childId: string;
  /** The step is an adult’s choice for this round. */
  readonly byHand: boolean;
  /** Null where no word of the step could be found: the child has the round’s own words. */
  readonly deal: OwnDeal | null;
}

type KnownAdvice = ReadonlyMap<string, ChildAdvice>;

/** True for a round in which each child can have their own step. */
export const mayOwn = ({ task, way }: Pick<PlannedRound, 'task' | 'way'>): boolean =>
  canOwn(taskOf(task)) && namesWho(way);

export const hasOwn = (round: PlannedRound): boolean => round.own?.on === true && mayOwn(round);

/** A plan whose rounds give each child their own step where one step does not fit those who are here. */
export function eachTheirOwn(plan: Plan, known: KnownAdvice): Plan {
  const all = [...known.values()];
  const fitted = (round: PlannedRound): PlannedRound =>
    round.role === 'focus' && mayOwn(round) && isSpread(all, { task: taskOf(round.task), step: round.step })
      ? { ...round, own: { on: true, steps: {} } }
      : round;
  return { ...plan, rounds: plan.rounds.map(fitted) };
}

/** The step of a child in a round: the one an adult chose for it, else the child’s own; null where there is none. */
function stepFor(round: PlannedRound, childId: string, known: KnownAdvice): (OwnStep & { byHand: boolean }) | null {
  const task = taskOf(round.task);
  const chosen = round.own?.steps[childId];
  if (chosen !== undefined && task.steps.some((s) => s.id === chosen))
    return { step: chosen, unseen: false, byHand: true };
  const advice = known.get(childId);
  const own = advice && ownStep(advice, { task, step: round.step });
  return own ? { ...own, byHand: false } : null;
}

/** All that dealing rests on. */
interface Dealing {
  readonly plan: Plan;
  readonly group: Group;
  readonly shop: Workshop;
  readonly known: KnownAdvice;
}

/**
 * What each child of a group is dealt in a round, those who are here first. The same plan and the same answers give the
 * same deal, so that the plan shows what Play will deal.
 */
function dealtIn(round: PlannedRound, { plan, group, shop, known }: Dealing): OwnDealt[] {
  const order = [...group.children].sort((a, b) => Number(a.away) - Number(b.away));
  const wanted = order.flatMap((child) => {
    const step = stepFor(round, child.id, known);
    return step ? [{ ...step, childId: child.id }] : [];
  });
  const wordsFor = (pattern: string): string[] => holding(pattern, shop.bank).map((w) => w.word);
  const deals = dealOwn(
    shop.bank,
    wanted.map(({ childId, step, pattern }) => ({ childId, step, words: pattern ? wordsFor(pattern) : undefined })),
    {
      ...requestOf(
        plan,
        shop,
        round.seed,
        plan.rounds.flatMap((r) => wordsOf(r.items)),
      ),
      task: round.task,
      each: Math.floor(round.items.length / Math.max(1, shop.children)),
      taken: wordsOf([...round.items, ...(round.model ? [{ key: round.model }] : [])]),
    },
  );
  return wanted.map((w) => ({ ...w, deal: deals.find((d) => d.childId === w.childId) ?? null }));
}

/** What each child is dealt in every round that gives them their own step, by the round’s id. */
export async function ownDeals(
  plan: Plan,
  group: Group,
  shop: Workshop,
): Promise<ReadonlyMap<string, readonly OwnDealt[]>> {
  const rounds = plan.rounds.filter(hasOwn);
  if (!rounds.length || !group.children.length) return new Map();
  const ids = group.children.map((c) => c.id);
  const { of: known } = await advised(ids, Date.now());
  return new Map(rounds.map((round) => [round.id, dealtIn(round, { plan, group, shop, known })]));
}

/** The deals themselves, as a session keeps them. */
export const dealsOf = (dealt: readonly OwnDealt[] | undefined): OwnDeal[] =>
  (dealt ?? []).flatMap((d) => d.deal ?? []);

/** Plans are made for those who are here. */
export async function knownHere({ childIds }: Pick<Workshop, 'childIds'>, now: number): Promise<KnownAdvice> {
  return childIds.length > 1 ? (await advised(childIds, now)).of : new Map();
}
