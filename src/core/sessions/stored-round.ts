import type { FindPlan } from './find';
import type { OwnDeal } from './own-step';
import { turnsOf, type PlannedRound } from './running-order';

/** A round as a session keeps it: what was planned, with the keys of its items and its number of turns settled. */
export interface StoredRound extends Omit<PlannedRound, 'id' | 'items' | 'seed' | 'own'> {
  readonly items: readonly string[];
  readonly turns: number;
  /** What is dealt to whom, where each child has their own step: fixed when the session begins. */
  readonly own?: readonly OwnDeal[];
  /** Items of every step, where it is looked for where a child is. */
  readonly find?: FindPlan;
}

/** A planned round settled for so many children. */
export const storedRound = (
  { role, task, step, items, model, spares, way, gap, gesture, frame, reminder, names }: PlannedRound,
  children: number,
  own: readonly OwnDeal[] = [],
  find: FindPlan | null = null,
): StoredRound => ({
  role,
  task,
  step,
  items: items.map((item) => item.key),
  model,
  spares,
  way,
  gap,
  gesture,
  frame,
  reminder,
  names,
  turns: turnsOf({ items, way }, children),
  ...(own.length ? { own } : {}),
  ...(find ? { find } : {}),
});
