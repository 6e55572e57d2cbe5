import { offeredStep } from '../games';
import type { Task } from '../games/task';
import { sure } from '../sure';
import { nextOn, type ChildAdvice } from './advice';
import { carries, LADDERS, rungOf, type Ladder, type Rung } from '../evidence/ladders';
import { worthOn } from './model';
import type { NextStep } from './next-step';

/** The step of a game that is a child’s own. */
export interface OwnStep {
  readonly step: string;
  /** Id of what slips, where words that hold it are dealt. */
  readonly pattern?: string;
  /** Nothing of this ladder was seen of the child: the step is the model’s best guess, no harder than the round’s. */
  readonly unseen: boolean;
  /** Why, in whole sentences that hold. */
  readonly why: string;
}

/** A round, as far as its steps go. */
interface GameStep {
  readonly task: Task;
  readonly step: string;
}

/** A step of the game, with its place on the ladder of the round. */
interface RungPlace {
  readonly step: string;
  readonly at: number;
}

/** Where the round’s step stands. */
interface RungStanding {
  readonly ladder: Ladder;
  readonly at: number;
}

/** The game’s own steps that are on a ladder, easy to hard. */
const placesOn = ({ task }: GameStep, ladder: Ladder): RungPlace[] =>
  task.steps
    .flatMap(({ id }) => {
      const place = rungOf(task.id, id);
      return place?.ladder.id === ladder.id ? [{ step: id, at: place.at }] : [];
    })
    .sort((a, b) => a.at - b.at);

/** The step nearest to a rung: that rung’s own, else the nearest easier one, else the easiest there is. */
const nearest = (places: readonly RungPlace[], at: number): string =>
  (places.findLast((p) => p.at <= at) ?? sure(places[0])).step;

/**
 * The step of a game that a child is to be dealt, where each has their own: the one that is advised on the game’s
 * ladder, or the nearest easier one that this game has; where the child was seen only on the ladder of the round’s step
 * (beats, say), the one advised there. Of a child of whom nothing is seen, the step worth most that is no harder than
 * the round’s. Null where the game stands on no ladder.
 * @example ownStep(advice, { task: taskOf('blending'), step: '4-start' })?.step // '3-held'
 */
export function ownStep(advice: ChildAdvice, asked: GameStep): OwnStep | null {
  const place = rungOf(asked.task.id, offeredStep(asked.task, asked.step).id);
  if (!place) return null;
  const family = LADDERS.find((l) => l.id === asked.task.family);
  const ladder = [...(family ? [family] : []), place.ladder].find((l) => {
    return placesOn(asked, l).length > 0 && !isUnseen(advice, l);
  });
  if (!ladder)
    return { step: guessed(advice, placesOn(asked, place.ladder), place), unseen: true, why: 'Not seen here yet.' };
  const next = nextOn(advice, ladder.id);
  const holds = advice.skills.find((s) => s.ladder.id === ladder.id)?.holds?.rung;
  // Where nothing is to be worked on, all of it holds, or it waits: then nothing harder than what holds.
  const rung = next?.rungOf ?? holds ?? sure(ladder.rungs[0]);
  const step = nearest(
    placesOn(asked, ladder),
    ladder.rungs.findIndex((r) => r.id === rung.id),
  );
  const why = next?.reason ?? whyNone(ladder, holds);
  return { step, unseen: false, why, ...patternIn(next, asked.task) };
}

/** Why nothing of a ladder is worked on: all of it holds, or the rest waits. */
function whyNone({ name, rungs }: Ladder, holds: Rung | undefined): string {
  const skill = name.toLowerCase();
  if (holds && holds === rungs.at(-1)) return `They can do all of ${skill}.`;
  return holds ? `The rest of ${skill} can wait for now.` : `${name} can wait for now, so this is the easiest step.`;
}

/** Nothing was played on the ladder, nobody chose a step of it, and nothing that slips is played there. */
function isUnseen(advice: ChildAdvice, { id }: Ladder): boolean {
  if (advice.chosen?.ladder === id || nextOn(advice, id)?.move === 'pattern') return false;
  const played = advice.skills.find((s) => s.ladder.id === id)?.rungs ?? [];
  return played.every((r) => r.lastAt === null);
}

/** A pattern is heard in whole words; what is kept together is no matter of words. */
const patternIn = (next: NextStep | null, { wholeWord }: Task): Pick<OwnStep, 'pattern'> =>
  next?.pattern && wholeWord && !next.pattern.startsWith('keeps-') ? { pattern: next.pattern } : {};

/** What is worth most of the steps no harder than the round’s. */
function guessed({ model }: ChildAdvice, places: readonly RungPlace[], { ladder, at }: RungStanding): string {
  const worth = (p: RungPlace): number => worthOn(model, ladder.id, sure(ladder.rungs[p.at]));
  const upTo = places.filter((p) => p.at === at || carries(ladder, at, p.at));
  return upTo.reduce((best, p) => (worth(p) > worth(best) ? p : best), sure(upTo[0] ?? places[0])).step;
}

/** Rungs between the easiest and the hardest of the children’s own steps, from which each their own is offered. */
const FAR_APART = 2;

/**
 * True where the own steps of some children in a game are two rungs or more apart: one step is no step for all then.
 * @example areFarApart([twoSounds, fiveSounds], { task: taskOf('blending'), step: '3-held' }) // true
 */
export function areFarApart(advice: readonly ChildAdvice[], asked: GameStep): boolean {
  const at = advice.flatMap((a) => {
    const own = ownStep(a, asked);
    return own && !own.unseen ? (rungOf(asked.task.id, own.step)?.at ?? []) : [];
  });
  return Math.max(...at) - Math.min(...at) >= FAR_APART;
}
