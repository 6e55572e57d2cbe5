import { turnsOf, type PlannedRound } from './running-order';

/** A round as a session keeps it: what was planned, with the keys of its items and its number of turns settled. */
export interface StoredRound extends Omit<PlannedRound, 'id' | 'items' | 'seed'> {
  readonly items: readonly string[];
  readonly turns: number;
}

/** A planned round settled for so many children. */
export const storedRound = (
  { role, task, step, items, model, spares, way, gap, gesture, frame, reminder, names }: PlannedRound,
  children: number,
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
});
