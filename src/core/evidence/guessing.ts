import { findTask, stepOf } from '../games';

/**
 * The chance of being right by luck alone, by task and step. Where an item offers choices it is one in their number
 * (tested against every item made); where a number is asked for, one in the numbers that a child may sensibly say.
 * @example guessOf('rhyme-pairs', 'far') // 0.5; 0 where the answer is open
 */
export function guessOf(id: string, step: string): number {
  const task = findTask(id);
  return task?.oneOf ? 1 / task.oneOf(stepOf(task, step)) : 0;
}
