import type { Item } from '@/core/games/item';

/** How many beats the bounce line or the row of beats of an item has. */
export function beatCount({ view, marks }: Pick<Item, 'view' | 'marks'>): number {
  switch (view.kind) {
    case 'line':
      return view.parts?.length ?? marks.length;
    case 'beats':
      return view.parts.length;
    case 'list':
      return view.entries.length;
    case 'change':
      return view.from.length;
    default:
      return 0;
  }
}
