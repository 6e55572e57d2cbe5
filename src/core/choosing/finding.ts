import { TASKS, taskOf } from '../games';
import { canOwn } from '../sessions/own-step';
import { foundIn, foundWords, type Expected, type FindStep, type Tried } from '../sessions/find';
import type { StepRun } from '../evidence/evidence';
import { guessOf } from '../evidence/guessing';
import { rungOf, type Ladder } from '../evidence/ladders';
import { hardOf } from './model';
import { millisecondsInDay } from 'date-fns/constants';

/** The steps of a game that are rungs of its own ladder, one for each rung, easy to hard; without items yet. */
export function findStepsOf(task: string): Omit<FindStep, 'keys'>[] {
  const { id, family, steps } = taskOf(task);
  const places = steps.flatMap(({ id: step }) => {
    const place = rungOf(id, step);
    return place?.ladder.id === family ? [{ step, at: place.at, does: place.rung.does }] : [];
  });
  return places
    .filter((p, i) => places.findIndex((q) => q.at === p.at) === i)
    .sort((a, b) => a.at - b.at)
    .map(({ step, does }) => ({ step, does, hard: hardOf(id, step), guess: guessOf(id, step) }));
}

/** How far children of an age are spread on a ladder, in logits. Our own choice. */
const SPREAD = 1.5;

/** Where a child is looked for of whom nothing is known: in the middle of the steps. */
export const expectedOn = (steps: readonly Pick<FindStep, 'hard'>[]): Expected => ({
  middle: steps.reduce((sum, s) => sum + s.hard, 0) / Math.max(1, steps.length),
  spread: SPREAD,
});

/** Fewer steps than this are no ladder to look on. */
const FEWEST = 3;

/** A game in which it can be looked for where a child is. */
export interface FindGame {
  readonly id: string;
  readonly name: string;
  /** The ladder it looks on. */
  readonly ladder: string;
  /** Every answer is one of several: a child can point. */
  readonly pointed: boolean;
}

/** The games in which it can be looked for where a child is, in the order of the catalogue. */
export const findGames = (): FindGame[] =>
  TASKS.flatMap((task) => {
    const steps = canOwn(task) ? findStepsOf(task.id) : [];
    if (steps.length < FEWEST) return [];
    return [{ id: task.id, name: task.name, ladder: task.family, pointed: steps.every((s) => s.guess > 0) }];
  });

/**
 * The game to look in first: of the ladders that are next, one in which a child can point where that says more.
 * @example firstToFind(['segmenting'], false) // 'segmenting'
 */
export function firstToFind(ladders: readonly string[], point: boolean): string {
  const games = findGames().filter((g) => g.pointed === point);
  const next = ladders.flatMap((id) => games.find((g) => g.ladder === id) ?? []);
  return (next[0] ?? games.at(point ? -1 : 0))?.id ?? '';
}

/** What a check-in said of a child on a ladder. */
export interface PlaceFound {
  /** Place on the ladder. */
  readonly at: number;
  /** When it was, milliseconds since 1970. */
  readonly when: number;
  /** In whole sentences. */
  readonly words: string;
}

/** Days for which a check-in says where to start. */
export const FOUND_DAYS = 42;
/** Steps that must have been asked for, so that there was something to find. */
const STEPS_ASKED = 2;

/**
 * Where the latest check-in found a child on a ladder; null where there was none lately, or only one step was asked.
 * @param runs settled
 * @example placeFound(runs, ladderOf('blending'), now)?.words // 'A good place to start: …'
 */
export function placeFound(runs: readonly StepRun[], { id, rungs }: Ladder, now: number): PlaceFound | null {
  const checks = runs.filter(
    (r) =>
      r.standing === 'check-in' &&
      now - r.at <= FOUND_DAYS * millisecondsInDay &&
      taskOf(r.task).family === id &&
      rungOf(r.task, r.step)?.ladder.id === id,
  );
  const last = [...checks].sort((a, b) => a.at - b.at).at(-1);
  if (!last) return null;
  const steps = findStepsOf(last.task).map((s) => ({ ...s, keys: [] }));
  const then = checks.filter((r) => r.day === last.day && r.task === last.task);
  const tried = then.flatMap((r): Tried[] => {
    const at = steps.findIndex((s) => s.step === r.step);
    return at < 0 ? [] : [...r.marks].map((mark) => ({ at, right: /[-u]/u.test(mark) ? null : mark === '1' }));
  });
  const found = foundIn({ steps }, expectedOn(steps), tried);
  if (!found.known) return null;
  const easiest = found.done && found.at === 0;
  if (new Set(tried.map((t) => t.at)).size < STEPS_ASKED && !easiest) return null;
  const rung = rungOf(last.task, steps[found.at]?.step ?? '')?.rung;
  const at = rungs.findIndex((r) => r === rung);
  return at < 0 ? null : { at, when: last.at, words: foundWords(steps, found) };
}
