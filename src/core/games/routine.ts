import { taskOf } from './index';
import { ROUTINE_STEPS, type RoutineStep } from './routine-steps';
import type { FamilyId } from './task';

/**
 * Families where children say the word back before they take it apart or change it: did they hear it right? Common
 * practice, no source.
 */
const SAID_BACK: ReadonlySet<FamilyId> = new Set<FamilyId>(['segmenting', 'leaving-out', 'adding', 'swapping']);
/** Tasks after which the word is joined again. */
const JOINED: ReadonlySet<string> = new Set(['segmenting', 'split', 'ask-sound']);

/**
 * The steps of a task’s items, in order. A check-in has the child’s own turn alone.
 * @example routineOf('segmenting', false) // ['say-back', 'my-turn', 'together', 'your-turn', 'join']
 */
export function routineOf(task: string, check: boolean): RoutineStep[] {
  const { family, id } = taskOf(task);
  const modelled = !check && family !== 'word-hunt';
  const has: Readonly<Record<RoutineStep, boolean>> = {
    'say-back': SAID_BACK.has(family),
    'my-turn': modelled,
    together: modelled,
    'your-turn': true,
    join: JOINED.has(id),
  };
  return ROUTINE_STEPS.filter((step) => has[step]);
}
