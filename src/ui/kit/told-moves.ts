import type { Announcements } from '@dnd-kit/core';

/**
 * What is told to whoever does not see it while things are moved in a list, in words.
 * @param ids of the list, in order
 * @param nameOf what a thing is called
 */
export function toldMoves(ids: readonly string[], nameOf: (id: string) => string): Announcements {
  const at = (id: string | number): string => `${ids.indexOf(String(id)) + 1} of ${ids.length}`;
  const name = (id: string | number): string => nameOf(String(id));
  return {
    onDragStart: ({ active }) => `You’ve picked up ${name(active.id)}, ${at(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} would be ${at(over.id)} here.` : undefined),
    onDragEnd: ({ active, over }) =>
      over ? `${name(active.id)} was dropped as ${at(over.id)}.` : `${name(active.id)} stays where it was.`,
    onDragCancel: ({ active }) => `${name(active.id)} stays where it was.`,
  };
}
