import { taskOf } from '../games';
import type { FindStep } from '../sessions/find';
import { guessOf } from './guessing';
import { rungOf } from './ladders';
import { hardOf } from './model';

/** The steps of a game that are rungs of its own ladder, one for each rung, easy to hard; without items yet. */
export function findStepsOf(task: string): Omit<FindStep, 'keys'>[] {
  const { id, family, steps } = taskOf(task);
  const places = steps.flatMap(({ id: step }) => {
    const place = rungOf(id, step);
    return place?.ladder.id === family ? [{ step, at: place.at }] : [];
  });
  return places
    .filter((p, i) => places.findIndex((q) => q.at === p.at) === i)
    .sort((a, b) => a.at - b.at)
    .map(({ step }) => ({ step, hard: hardOf(id, step), guess: guessOf(id, step) }));
}
