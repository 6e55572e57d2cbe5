import { sure } from '../sure';
import { FAMILIES } from './families';
import type { Family } from './family';
import { MIXED, type Step } from './step';
import type { Opening, Task } from './task';

const ALL: readonly Task[] = FAMILIES.flatMap((family) => family.tasks);

/** Every task that is offered, in the order of the catalogue. */
export const TASKS: readonly Task[] = ALL.filter((task) => !task.former);

const tasks = new Map(ALL.map((task) => [task.id, task]));
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

/** What is said before a game is begun: its own opening, or that of its family. */
export const openingOf = (task: Task): Opening => task.opening ?? familyOf(task.family).frame;

/** Every step that can be played or read, those that are offered first. */
export const stepsOf = ({ steps, unlisted = [] }: Task): readonly Step[] => [...steps, ...unlisted];

/** The step of an id, or undefined for an unknown one. */
export const findStep = (task: Task, id: string): Step | undefined =>
  id === MIXED.id ? MIXED : stepsOf(task).find((s) => s.id === id);

/** The step of an id. Throws for an unknown one. Example: `stepOf(taskOf('blending'), '2').count // 2`. */
export function stepOf(task: Task, id: string): Step {
  const step = findStep(task, id);
  if (!step) throw new Error(`“${task.name}” has no step “${id}”.`);
  return step;
}

/** The step that is offered today for one of before. Example: `offeredStep(taskOf('blending'), '3').id // '3-clip'`. */
export const offeredStep = (task: Task, id: string): Step =>
  task.steps.find((s) => s.id === (findStep(task, id)?.now ?? id)) ?? sure(task.steps[0]);

/**
 * The step an answer shows: its own, or where that is by number of sounds the one of its word’s shape.
 * @param sounds of the word (IPA); none where the item is about no word
 * @example shownStep('blending', '3', ['s', 't', 'ɑː']) // '4-start'
 */
export function shownStep(id: string, step: string, sounds: readonly string[]): string {
  const task = tasks.get(id);
  if (!task?.stepFor || !sounds.length) return step;
  const shapeless = findStep(task, step)?.now !== undefined || step === MIXED.id;
  return shapeless ? task.stepFor(sounds) : step;
}

/** Tasks that any set of words can be played with; the first is the usual one. */
export const SET_TASKS: readonly string[] = TASKS.filter((task) => task.anySet).map((task) => task.id);

/** A step that a number of sounds alone decides. */
const isByNumber = ({ unit, shape }: Step): boolean => !unit && (shape === undefined || shape === '2');

/** The step of words chosen by hand: that of their number of sounds where they agree. */
export const stepForCounts = (task: Task, counts: readonly number[]): Step =>
  [...(task.unlisted ?? []), ...task.steps].find(
    (s) =>
      isByNumber(s) &&
      s.count !== undefined &&
      counts.every((n) => n >= sure(s.count) && n <= (s.most ?? sure(s.count))),
  ) ?? MIXED;
