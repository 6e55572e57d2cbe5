import { findTask } from '../games';
import type { Act, Unit } from '../games/step';
import { guessOf } from './guessing';

const CHOOSING: ReadonlySet<Act> = new Set<Act>(['notice', 'match', 'blend', 'produce']);
/** Where beats or words are counted the answer is a number, not a choice. */
const COUNTED: ReadonlySet<Unit> = new Set<Unit>(['word', 'syllable']);

/**
 * True where a child answers by pointing, nodding or a thumb: nobody has to speak.
 * @example isPointed('rhyme-match', '3-far') // true
 */
export function isPointed(id: string, step: string): boolean {
  const task = findTask(id);
  return task !== undefined && guessOf(id, step) > 0 && CHOOSING.has(task.act) && !COUNTED.has(task.unit);
}
