import type { PlanChange } from '../../../core/formats/plan-file';
import type { Model } from '../../../core/choosing/model';
import type { Plan } from '../../../core/sessions/running-order';
import { Problem } from '../../storage/problems';
import type { Workshop } from '../workshop';
import { withRound } from './add-round';
import { aimed } from './aim';
import { withoutWord } from './aside';
import { chained } from './chain';
import { longer } from './more';
import { withWord } from './put';
import { remade } from './remake';
import { reset } from './reset';
import { roundWork, type Reworked, type RoundWork } from './round-work';
import { swapped } from './swap';

type RoundChange = Extract<PlanChange, { round: string }>;

/** What each change makes of its round. */
const CHANGES: {
  readonly [K in RoundChange['kind']]: (work: RoundWork, change: Extract<RoundChange, { kind: K }>) => Reworked;
} = {
  remake: (work) => remade(work),
  aim: (work) => aimed(work),
  set: (work, to) => reset(work, to),
  swap: (work, { key }) => swapped(work, key),
  more: (work) => longer(work),
  put: (work, { word }) => withWord(work, word),
  chain: (work, ends) => chained(work, ends),
};

interface Changed {
  readonly plan: Plan;
  /** What there is to say about the change. */
  readonly said?: string;
}

/** The plan with a change made that needs the word bank. Throws a Problem that says why it cannot be made. */
export function changed(plan: Plan, change: PlanChange, shop: Workshop, models: readonly Model[] = []): Changed {
  if (change.kind === 'show') return { plan };
  if (change.kind === 'aside') return { plan: withoutWord(plan, change.word, shop) };
  if (change.kind === 'add-round') return { plan: withRound(plan, change, shop) };
  const round = plan.rounds.find((r) => r.id === change.round);
  if (!round) throw new Problem('That round isn’t in the plan any more.', 404);
  const make = CHANGES[change.kind] as (work: RoundWork, change: RoundChange) => Reworked;
  const { next, said } = make(roundWork(plan, round, shop, models), change);
  return {
    plan: { ...plan, rounds: plan.rounds.map((r) => (r.id === round.id ? next : r)) },
    ...(said === undefined ? {} : { said }),
  };
}
