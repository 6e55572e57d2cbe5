import { familyOf, taskOf } from './index';
import { ROUTINE_STEPS, type RoutineStep } from './routine-steps';

/**
 * The steps of a task’s items, in order. A check-in has the child’s own turn alone.
 * @example routineOf('segmenting', false) // ['say-back', 'my-turn', 'together', 'your-turn', 'join']
 */
export function routineOf(id: string, check: boolean): RoutineStep[] {
  const task = taskOf(id);
  const { saidBack, unmodelled } = familyOf(task.family);
  const modelled = !check && !unmodelled;
  const has: Readonly<Record<RoutineStep, boolean>> = {
    'say-back': saidBack === true,
    'my-turn': modelled,
    together: modelled,
    'your-turn': true,
    join: task.joinsAgain === true,
  };
  return ROUTINE_STEPS.filter((step) => has[step]);
}
