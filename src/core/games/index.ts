import { sure } from '../sure';
import { FAMILIES } from './families';
import type { Family } from './family';
import { MIXED, type Step } from './step';
import type { Task } from './task';

/** Every task, in the order of the catalogue. */
export const TASKS: readonly Task[] = FAMILIES.flatMap((family) => family.tasks);

const tasks = new Map(TASKS.map((task) => [task.id, task]));
const families = new Map(FAMILIES.map((family) => [family.id, family]));

/** The task of an id, or undefined for an unknown one. */
export const findTask = (id: string): Task | undefined => tasks.get(id);

/** The task of an id. Throws for an unknown one. Example: `taskOf('blending').name // 'Blending'`. */
export function taskOf(id: string): Task {
  const task = tasks.get(id);
  if (!task) throw new Error(`There is no task "${id}".`);
  return task;
}

export const isTask = (id: string): boolean => tasks.has(id);

/** The family of an id. Throws for an unknown one. Example: `familyOf('echo').name // 'Echo'`. */
export function familyOf(id: string): Family {
  const family = families.get(id);
  if (!family) throw new Error(`There is no family "${id}".`);
  return family;
}

/** The step of an id, or the task's first. Example: `stepOf(taskOf('blending'), '4').count // 4`. */
export const stepOf = (task: Task, id: string): Step =>
  id === MIXED.id ? MIXED : (task.steps.find((s) => s.id === id) ?? sure(task.steps[0]));

/** Tasks that any set of words can be played with; the first is the usual one. */
export const SET_TASKS: readonly string[] = TASKS.filter((task) => task.anySet).map((task) => task.id);

/** The step of words chosen by hand: that of their number of sounds where they agree. */
export const stepForCounts = (task: Task, counts: readonly number[]): Step =>
  task.steps.find(
    (s) =>
      !s.unit && s.count !== undefined && counts.every((n) => n >= sure(s.count) && n <= (s.most ?? sure(s.count))),
  ) ?? MIXED;
