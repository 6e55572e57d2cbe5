import { blending } from './blending';
import type { Game } from './item';
import { segmenting } from './segmenting';

/** Every game that ships. Adding one touches its own file and this list. */
export const GAMES: readonly Game[] = [blending, segmenting];

export const TASKS = ['blending', 'segmenting'] as const;
export type Task = (typeof TASKS)[number];

/** The game of a task. Throws for an unknown task. Example: `gameOf('blending').name // 'Blending'`. */
export function gameOf(task: Task): Game {
  const game = GAMES.find((g) => g.id === task);
  if (!game) throw new Error(`There is no game "${task}".`);
  return game;
}
