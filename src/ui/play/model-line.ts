import type { Item } from '@/core/games/item';

/**
 * What the adult does alone: the whole of it said together, where the game has such a line; else the question and its
 * answer.
 */
export function modelLine({ script }: Pick<Item, 'script'>): string {
  const whole = script.find((line) => line.role === 'together' && line.text.endsWith('!'));
  return (
    whole?.text ??
    script
      .slice(0, 2)
      .map((line) => line.text)
      .join(' ')
  );
}
