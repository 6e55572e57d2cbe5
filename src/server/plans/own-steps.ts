import { createHash } from 'node:crypto';
import { taskOf } from '../../core/games';
import { holding } from '../../core/games/pebbles';
import type { ChildAdvice } from '../../core/choosing/advice';
import { areFarApart, ownStep } from '../../core/choosing/own-rung';
import { canOwn, dealOwn, namesWho, type OwnDeal } from '../../core/sessions/own-step';
import type { Plan, PlannedRound } from '../../core/sessions/running-order';
import { nameOf } from '../../core/sessions/shapes';
import { advised } from '../children/advised';
import type { Group } from '../people/groups';
import { requestOf, wordsOf } from './changes/round-work';
import type { Workshop } from './workshop';

type KnownAdvice = ReadonlyMap<string, ChildAdvice>;

/** True for a round in which each child can have their own step. */
export const mayOwn = ({ task, way }: Pick<PlannedRound, 'task' | 'way'>): boolean =>
  canOwn(taskOf(task)) && namesWho(way);

export const hasOwn = (round: PlannedRound): boolean => round.own?.on === true && mayOwn(round);

/** A plan whose main rounds give each child their own step, as it was asked for. */
export function eachTheirOwn(plan: Plan, bank: Workshop['bank']): Plan {
  const rounds = plan.rounds.map((round) =>
    round.role === 'focus' && mayOwn(round) ? { ...round, own: { on: true, steps: {} } } : round,
  );
  return { ...plan, rounds, title: nameOf({ ...plan, rounds }, bank) ?? plan.title };
}

/** True for a round whose one step does not fit those who are here: each their own is offered then. */
export const offersOwn = (round: PlannedRound, here: readonly ChildAdvice[]): boolean =>
  round.role === 'focus' &&
  mayOwn(round) &&
  !hasOwn(round) &&
  areFarApart(here, { task: taskOf(round.task), step: round.step });

/** What a child is to have in a round: the step an adult chose, else the child’s own; null where there is none. */
function wishFor(round: PlannedRound, childId: string, known: KnownAdvice, wordsFor: (pattern: string) => string[]) {
  const task = taskOf(round.task);
  const chosen = round.own?.steps[childId];
  if (chosen !== undefined && task.steps.some((s) => s.id === chosen)) return { childId, step: chosen, why: BY_HAND };
  const advice = known.get(childId);
  const own = advice && ownStep(advice, { task, step: round.step });
  if (!own) return null;
  const { step, why, pattern } = own;
  return { childId, step, why, ...(pattern ? { words: wordsFor(pattern) } : {}) };
}

/** All that dealing rests on. */
interface Dealing {
  readonly plan: Plan;
  readonly group: Group;
  readonly shop: Workshop;
  readonly known: KnownAdvice;
}

/** All that a deal stands or falls with, beside what the children can do, in a few letters. */
const underOf = ({ task, step, seed, items, model }: PlannedRound): string =>
  createHash('sha256')
    .update(JSON.stringify([task, step, seed, items.map((i) => i.key), model]))
    .digest('base64url')
    .slice(0, 16);

const BY_HAND = 'Your choice.';

/** What was dealt in a round before and still stands: the round is the same, and so is what an adult chose. */
function standing(round: PlannedRound): readonly OwnDeal[] {
  const { dealt, steps = {} } = round.own ?? {};
  if (dealt?.under !== underOf(round)) return [];
  return dealt.deals.filter(
    ({ childId, step, why }) => (steps[childId] ?? step) === step && childId in steps === (why === BY_HAND),
  );
}

/**
 * What each child of a group is dealt in a round, those who are here first. What was dealt before stays, as long as the
 * round is the same; who has come since is dealt theirs beside it.
 */
function dealtIn(round: PlannedRound, { plan, group, shop, known }: Dealing): OwnDeal[] {
  const kept = standing(round);
  const order = [...group.children].sort((a, b) => Number(a.away) - Number(b.away));
  const wordsFor = (pattern: string): string[] => holding(pattern, shop.bank).map((w) => w.word);
  const wanted = order.flatMap((child) => {
    if (kept.some((d) => d.childId === child.id)) return [];
    return wishFor(round, child.id, known, wordsFor) ?? [];
  });
  const said = [...round.items, ...(round.model ? [{ key: round.model }] : [])];
  const deals = dealOwn(shop.bank, wanted, {
    ...requestOf(
      plan,
      shop,
      round.seed,
      plan.rounds.flatMap((r) => wordsOf(r.items)),
    ),
    task: round.task,
    each: Math.floor(round.items.length / Math.max(1, shop.children)),
    taken: wordsOf([...said, ...kept.flatMap((d) => [...d.items, ...d.spares].map((key) => ({ key })))]),
  });
  return order.flatMap((child) => [...kept, ...deals].find((d) => d.childId === child.id) ?? []);
}

/** What each child is dealt in every round that gives them their own step, by the round’s id. */
export async function ownDeals(
  plan: Plan,
  group: Group,
  shop: Workshop,
): Promise<ReadonlyMap<string, readonly OwnDeal[]>> {
  const rounds = plan.rounds.filter(hasOwn);
  if (!rounds.length || !group.children.length) return new Map();
  const ids = group.children.map((c) => c.id);
  const { of: known } = await advised(ids, Date.now());
  return new Map(rounds.map((round) => [round.id, dealtIn(round, { plan, group, shop, known })]));
}

/** A plan with what is dealt to whom, to be kept. */
export async function withDeals(plan: Plan, group: Group, shop: Workshop): Promise<Plan> {
  const deals = await ownDeals(plan, group, shop);
  return {
    ...plan,
    rounds: plan.rounds.map((round) => {
      const dealt = deals.get(round.id);
      return dealt && round.own
        ? { ...round, own: { ...round.own, dealt: { under: underOf(round), deals: [...dealt] } } }
        : round;
    }),
  };
}

/** What is known of those a plan is made for; nothing where it is one child. */
export const adviceHere = async ({ childIds }: Pick<Workshop, 'childIds'>): Promise<ChildAdvice[]> =>
  childIds.length > 1 ? [...(await advised(childIds, Date.now())).of.values()] : [];
