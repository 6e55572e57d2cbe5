import { ADDING_TASKS } from './families/adding';
import { BLENDING_TASKS } from './families/blending';
import { ECHO_TASKS } from './families/echo';
import { LEAVING_OUT_TASKS } from './families/leaving-out';
import { RHYME_TASKS } from './families/rhyme';
import { SEGMENTING_TASKS } from './families/segmenting';
import { FIND_TASKS } from './families/sounds-find';
import { SAY_TASKS } from './families/sounds-say';
import { SWAPPING_TASKS } from './families/swapping';
import { SYLLABLE_TASKS } from './families/syllables';
import { HUNT_TASKS } from './families/word-hunt';
import { WORD_TASKS } from './families/words';
import type { Step, Task } from './task';
import { sure } from '../sure';

/** Every task that ships, in the order of the catalogue. Adding a family touches its own file and this list. */
export const TASKS: readonly Task[] = [
  ...WORD_TASKS,
  ...SYLLABLE_TASKS,
  ...RHYME_TASKS,
  ...SAY_TASKS,
  ...FIND_TASKS,
  ...BLENDING_TASKS,
  ...SEGMENTING_TASKS,
  ...LEAVING_OUT_TASKS,
  ...ADDING_TASKS,
  ...SWAPPING_TASKS,
  ...HUNT_TASKS,
  ...ECHO_TASKS,
];

const byId = new Map(TASKS.map((task) => [task.id, task]));

/** The task of an id. Throws for an unknown one. Example: `taskOf('blending').name // 'Blending'`. */
export function taskOf(id: string): Task {
  const task = byId.get(id);
  if (!task) throw new Error(`There is no task "${id}".`);
  return task;
}

export const isTask = (id: string): boolean => byId.has(id);

/** Stands for a set that was put together by hand, of words with different numbers of sounds; on no ladder. */
export const MIXED: Step = { id: 'mixed', name: 'words of your own' };

/** The step of an id, or the task's first. Example: `stepOf(taskOf('blending'), '4').count // 4`. */
export const stepOf = (task: Task, id: string): Step =>
  id === MIXED.id ? MIXED : (task.steps.find((s) => s.id === id) ?? sure(task.steps[0]));

/** Tasks that any set of words can be played with. */
export const SET_TASKS = ['blending', 'segmenting'] as const;

/** The step of words chosen by hand: that of their number of sounds where they agree. */
export const stepForCounts = (task: Task, counts: readonly number[]): Step =>
  task.steps.find(
    (s) =>
      !s.unit && s.count !== undefined && counts.every((n) => n >= sure(s.count) && n <= (s.most ?? sure(s.count))),
  ) ?? MIXED;
