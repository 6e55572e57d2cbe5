import { findTask } from '../games';
import type { Act } from '../games/step';
import type { AgeBand } from './age-band';
import type { Rung } from './ladders';

/** What is done with single sounds beyond hearing and naming them. */
const WITH_SINGLE_SOUNDS: ReadonlySet<Act> = new Set<Act>(['segment', 'leave-out', 'add', 'swap']);

/**
 * True where a rung asks for single sounds and nobody expects them yet. It says no more than that: a child who likes it
 * may play it. Three-year-olds blend and take apart beats, starts and rests before single sounds: Adams (Beginning to
 * Read, 1990), from memory.
 */
export function notExpected(band: AgeBand | null, { steps }: Pick<Rung, 'steps'>): boolean {
  if (band !== 'nursery') return false;
  return steps.every(([id, stepId]) => {
    const task = findTask(id);
    const step = task?.steps.find((s) => s.id === stepId);
    if (!task || !step || (step.unit ?? task.unit) !== 'sound') return false;
    return WITH_SINGLE_SOUNDS.has(task.act) || (task.act === 'blend' && !step.pictures);
  });
}

export const NOT_EXPECTED = 'We wouldn’t expect this at their age yet.';
