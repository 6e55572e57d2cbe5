import { hasWordOf } from '../../../core/games/spec';
import type { Plan, PlannedRound } from '../../../core/sessions/running-order';
import { Problem } from '../../storage/problems';
import type { Workshop } from '../workshop';
import { remade } from './remake';
import { roundWork } from './round-work';
import { swapped } from './swap';

/** A plan without a word that the group has put aside: another item stands wherever it stood. */
export function withoutWord(plan: Plan, word: string, shop: Workshop): Plan {
  const out = new Set([word]);
  const has = (key: string): boolean => hasWordOf(key, out);
  const rounds = plan.rounds.map((round) => {
    const spares = round.spares.filter((key) => !has(key));
    const model = round.model !== null && has(round.model) ? null : round.model;
    return replaced(plan, { ...round, spares, model }, has, shop);
  });
  return { ...plan, rounds };
}

/** A round with another item for each that has the word; where none is found, the item goes. */
function replaced(plan: Plan, round: PlannedRound, has: (key: string) => boolean, shop: Workshop): PlannedRound {
  const at = round.items.find(({ key }) => has(key));
  if (!at) return round;
  const left = { ...round, items: round.items.filter(({ key }) => key !== at.key) };
  const work = roundWork(plan, round, shop, []);
  try {
    const { next } = work.task.inOrder ? remade(work) : swapped(work, at.key);
    const spares = next.spares.filter((key) => !has(key));
    const fewer = next.items.filter(({ key }) => has(key)).length < round.items.filter(({ key }) => has(key)).length;
    return replaced(plan, fewer ? { ...next, spares } : left, has, shop);
  } catch (error) {
    if (error instanceof Problem) return replaced(plan, left, has, shop);
    throw error;
  }
}
