import { stepOf, taskOf } from './index';
import { tryMake, type Tried } from './item';
import type { Material } from './material';
import type { Spec } from './spec';

/** The game and step of a round, by their ids. */
interface TriedItem {
  readonly task: string;
  readonly step: string;
}

/**
 * The item of a key as a round has it, or why there is none (any more) in this accent.
 * @example tryItem({ task: 'blending', step: '3' }, 'sun', material).item?.expected // 'sun'
 */
export function tryItem({ task: id, step }: TriedItem, from: Spec | string, material: Material): Tried {
  const task = taskOf(id);
  return tryMake(task, stepOf(task, step), from, material);
}
