import type { Item } from '@/core/games/item';
import { bare } from '@/core/games/stories';
import type { Run } from './run';

/** True for a little story, which is read sentence by sentence. */
export const isTold = (item: Item | undefined): boolean => item?.view.kind === 'story' && item.view.title !== undefined;

/** A word of a story as its tick is kept. Example: `catchId(0, 2, 'sock.') // '0.2 sock'`. */
export const catchId = (sentence: number, word: number, text: string): string =>
  `${sentence}.${word} ${bare(text)}`.slice(0, 40);

/** The words of a story that were caught, in the order they are read; null where there is no story or no catch. */
export function caughtIn({ item, state }: Pick<Run, 'item' | 'state'>): string | null {
  if (item?.view.kind !== 'story' || !state.ticked.size) return null;
  const order = (id: string): number => parseInt(id, 10) * 1_000 + parseInt(id.split('.')[1] ?? '', 10);
  return [...state.ticked]
    .sort((a, b) => order(a) - order(b))
    .map((id) => id.replace(/^[\d.]+ /, ''))
    .join(', ')
    .slice(0, 200);
}
