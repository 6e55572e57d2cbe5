import type { StepRun } from '../evidence/evidence';
import { groupBy } from '../group-by';
import { sure } from '../sure';
import { comingTrue, type Came as Outcome } from './coming-true';
import { guessOf } from '../evidence/guessing';
import { rungOf } from '../evidence/ladders';
import { forecast, HALF_LIFE_DAYS, modelOf, NOT_LOCAL, type Local, type Model } from './model';
import { millisecondsInDay } from 'date-fns/constants';

/**
 * What a setting's own answers say of its steps and of the forecasts: worked out from fifty children up, kept for
 * half a term, so that a forecast does not move from day to day. A step's own difficulty is found by
 * one step of Newton's method, drawn towards nothing.
 */
export const LOCAL = {
  /** Children with answers, at least. */
  children: 50,
  /** Children that are looked at, at most: more say nothing new. */
  most: 1_000,
  /** Days it stands. */
  days: 42,
  /** Spread of what makes a step harder here than elsewhere, in logits. */
  steps: 0.6,
  /** Days after which a day counts half for how able a child was on another. */
  nearDays: 10,
  /** Spreads of slope and intercept about one and nothing: a few hundred answers outweigh them. */
  slope: 0.25,
  intercept: 0.5,
} as const;

/** The last days a child played that are forecast, each from what came before it. */
const LAST_DAYS = 5;

interface CameOfStep extends Outcome {
  readonly step: string;
  readonly ladder: string;
  readonly guess: number;
}

const freshOf = (runs: readonly StepRun[]): StepRun[] =>
  runs.filter((r) => r.standing === 'fresh' && rungOf(r.task, r.step));
const daysOf = (runs: readonly StepRun[]): number[] => [...new Set(runs.map((r) => r.day))].sort((a, b) => a - b);

/** What a model says of some runs, beside what came of them. */
const held = (model: Model, runs: readonly StepRun[]): CameOfStep[] =>
  runs.map(({ task, step, marks }): CameOfStep => {
    const right = marks.split('1').length - 1;
    const wrong = marks.split('').filter((m) => m === 'h' || m === '0').length;
    const { chance } = forecast(model, { task, step });
    const ladder = sure(rungOf(task, step)).ladder.id;
    return { step: `${task} ${step}`, ladder, guess: guessOf(task, step), chance, right, wrong };
  });

const laddersIn = (runs: readonly StepRun[]): string[] => [
  ...new Set(runs.map(({ task, step }) => sure(rungOf(task, step)).ladder.id)),
];

/** Every day of a child beside what all the other days say, those near it most. */
function besideTheRest(runs: readonly StepRun[]): CameOfStep[] {
  const fresh = freshOf(runs);
  return daysOf(fresh).flatMap((day) => {
    const then = fresh.filter((r) => r.day === day);
    const at = sure(then[0]).at;
    // A day after counts like one before: both are as far from it.
    const rest = fresh
      .filter((r) => r.day !== day)
      .map((r) => ({ ...r, at: at - (Math.abs(r.at - at) * HALF_LIFE_DAYS) / LOCAL.nearDays }));
    return rest.length ? held(modelOf(rest, at, NOT_LOCAL, laddersIn(then)), then) : [];
  });
}

/** The last days of a child, each forecast from what came before it. */
function asForecast(runs: readonly StepRun[], local: Local): CameOfStep[] {
  const fresh = freshOf(runs);
  const days = daysOf(fresh);
  return days.slice(Math.max(2, days.length - LAST_DAYS)).flatMap((day) => {
    const then = fresh.filter((r) => r.day === day);
    const before = fresh.filter((r) => r.day < day);
    return held(modelOf(before, Math.min(...then.map((r) => r.at)), local, laddersIn(then)), then);
  });
}

interface Pull {
  readonly pull: number;
  readonly hold: number;
}
const pullOf = (came: readonly CameOfStep[]): Pull => ({
  pull: came.reduce((n, { chance, right, wrong }) => n + (right + wrong) * chance - right, 0),
  hold: came.reduce((n, { chance, right, wrong }) => n + (right + wrong) * chance * (1 - chance), 0),
});

/** How much harder each step is than it was taken for; what all steps of a ladder share is not about steps. */
function stepsIn(came: readonly CameOfStep[]): Record<string, number> {
  const shared = new Map([...groupBy(came, (c) => c.ladder)].map(([ladder, of]) => [ladder, pullOf(of)] as const));
  return Object.fromEntries(
    [...groupBy(came, (c) => c.step)].map(([step, of]) => {
      const { pull, hold } = pullOf(of);
      const all = sure(shared.get(sure(of[0]).ladder));
      return [step, (pull - (all.hold ? (hold * all.pull) / all.hold : 0)) / (hold + 1 / LOCAL.steps ** 2)];
    }),
  );
}

function* ofEach(
  children: readonly (readonly StepRun[])[],
  work: (runs: readonly StepRun[]) => CameOfStep[],
): Generator<undefined, CameOfStep[]> {
  const all: CameOfStep[] = [];
  for (const runs of children) {
    all.push(...work(runs));
    yield undefined;
  }
  return all;
}

/**
 * What the children of a setting say together; null while there are fewer than fifty.
 * @param children the settled runs of each
 * @example localOf(histories)?.open.slope // 0.9
 */
export function localOf(children: readonly (readonly StepRun[])[]): Local | null {
  const work = localIn(children);
  let part = work.next();
  while (!part.done) part = work.next();
  return part.value;
}

/** The same, a child at a time: seconds of work for a large setting, so that others have their turn in between. */
export function* localIn(children: readonly (readonly StepRun[])[]): Generator<undefined, Local | null> {
  const all = children.filter((runs) => freshOf(runs).length);
  if (all.length < LOCAL.children) return null;
  const seen = all.slice(0, LOCAL.most);
  const steps = stepsIn(yield* ofEach(seen, besideTheRest));
  const came = yield* ofEach(seen, (runs) => asForecast(runs, { ...NOT_LOCAL, steps }));
  return {
    steps,
    open: comingTrue(
      came.filter((c) => !c.guess),
      LOCAL,
    ),
    choice: comingTrue(
      came.filter((c) => c.guess > 0),
      LOCAL,
    ),
  };
}

/** True where what is kept has stood long enough. */
export const isOld = (keptAt: number, now: number): boolean => now - keptAt > LOCAL.days * millisecondsInDay;
