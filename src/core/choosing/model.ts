import { findStep, findTask } from '../games';
import { stepPoints } from '../games/hardness';
import { groupBy } from '../group-by';
import { sure } from '../sure';
import type { StepRun } from '../evidence/evidence';
import { guessOf } from '../evidence/guessing';
import { carries, LADDERS, ladderOf, rungOf, type Ladder, type Rung } from '../evidence/ladders';
import { millisecondsInDay } from 'date-fns/constants';

/**
 * What is chosen by: for each ladder a distribution over how able a child is, in logits, from the same answers as the
 * states. A one-parameter logistic (Rasch 1960) with guessing taken out and a slip let pass now and then, by Bayes'
 * rule on a grid; how hard a step is comes from games/hardness. Sources from memory. No number of it is ever shown as a
 * mark of a child.
 */
export interface Model {
  /** What this setting's own answers say of steps and forecasts. */
  readonly local: Local;
  /** Chance of each place on the grid of abilities, by ladder; of every ladder. */
  readonly abilities: ReadonlyMap<string, Float64Array>;
}

/**
 * What many children of one setting have shown together: how much harder or easier each step is here, and how far
 * forecasts come true. Only from fifty children up, and left alone for half a term (choosing/local).
 */
export interface Local {
  /** Logits to add, by `task step`. */
  readonly steps: Readonly<Record<string, number>>;
  /** How forecasts come true where answers are open, and where luck has a part in them. */
  readonly open: Coming;
  readonly choice: Coming;
}

/** Slope and intercept of what came on what was forecast. */
export interface Coming {
  readonly slope: number;
  readonly intercept: number;
}

const AS_FORECAST: Coming = { slope: 1, intercept: 0 };
export const NOT_LOCAL: Local = { steps: {}, open: AS_FORECAST, choice: AS_FORECAST };

/** Answers lose half their weight in so many days: a child of four is soon another. */
export const HALF_LIFE_DAYS = 30;

/** Everything that was chosen by hand; tried on made-up groups in other worlds (docs/judgement.md). */
const CHOSEN = {
  /** Points of hardness that make a logit, and those of the middle of all steps. */
  pointsALogit: 12,
  /** Spread of abilities on a ladder before anything is seen, in logits. */
  spread: 2,
  /** What other ladders say is worth at most so many answers. */
  neighbours: 2,
  /** A child who knows slips all the same, one time in so many. */
  lapse: 0.05,
  /** What a child gains in a week, before it is seen how fast this one learns, and the spread of it; in logits. */
  aWeek: 0.15,
  aWeekSpread: 0.15,
  /** Spreads of what an adult, a day and a late hour add or take, in logits: small, so that they are soon let go. */
  adult: 0.3,
  day: 0.35,
  late: 0.2,
  /** Minutes after the first answer of a day from which it is late. */
  lateMinutes: 8,
} as const;

const ANCHOR = 62;
const GRID_FROM = -7;
const GRID_TO = 7;
const CELLS = 113;
const abilityAt = (cell: number): number => GRID_FROM + ((GRID_TO - GRID_FROM) * cell) / (CELLS - 1);
const GRID = Float64Array.from({ length: CELLS }, (_, i) => abilityAt(i));

const sigmoid = (x: number): number => 1 / (1 + Math.exp(-x));

/** Chance of right alone for an ability above or below the step. */
const chanceAt = (above: number, guess: number): number => (1 - CHOSEN.lapse) * (guess + (1 - guess) * sigmoid(above));

/** How hard a step is, in logits; the middle of all steps is near 0. */
export function hardOf(task: string, step: string): number {
  const known = hard.get(`${task} ${step}`);
  if (known !== undefined) return known;
  const place = rungOf(task, step);
  const logits = pointsOf(task, step) + (place ? easedBy(place.ladder, place.at) : 0);
  hard.set(`${task} ${step}`, logits);
  return logits;
}
const hard = new Map<string, number>();

/** The points of a step in logits: the middle of all steps is near 0. */
function pointsOf(task: string, step: string): number {
  const played = findTask(task);
  const at = played && findStep(played, step);
  return ((played && at ? stepPoints(played, at) : ANCHOR) - ANCHOR) / CHOSEN.pointsALogit;
}

/** A rung that holds where a harder one does is no harder than that one, whatever its points say. */
function easedBy(ladder: Ladder, at: number): number {
  const points = (rung: Rung): number => pointsOf(...sure(rung.steps[0]));
  const own = points(sure(ladder.rungs[at]));
  const least = Math.min(...ladder.rungs.filter((_, j) => carries(ladder, j, at)).map(points));
  return Math.min(0, least - own);
}

const hardHere = (task: string, step: string, { steps }: Local): number =>
  hardOf(task, step) + (steps[`${task} ${step}`] ?? 0);

/** The middle of a ladder's steps: where a child of whom nothing is known is looked for. */
const middles = new Map(
  LADDERS.map(({ id, rungs }) => {
    const all = rungs.map((r) => hardOf(...sure(r.steps[0])));
    return [id, all.reduce((a, b) => a + b, 0) / all.length] as const;
  }),
);

/** Answers alike in all that counts, put together: so many right, so many not, each with its weight. */
interface Heap {
  /** How hard, in twentieths of a logit. */
  readonly twentieths: number;
  readonly guess: number;
  right: number;
  wrong: number;
}

/** What stood around an answer: who marked it, the day, whether it was late. */
const around = ({ by, day }: StepRun, late: boolean): string[] => [
  ...(by ? [`by ${by}`] : []),
  `day ${day}`,
  ...(late ? ['late'] : []),
];
const spreadOf = (circumstance: string): number => {
  if (circumstance === 'late') return CHOSEN.late;
  return circumstance.startsWith('by ') ? CHOSEN.adult : CHOSEN.day;
};

interface CountedStep {
  readonly ladder: string;
  readonly weight: number;
  readonly weeksAgo: number;
  readonly right: number;
  readonly wrong: number;
  readonly hard: number;
  readonly guess: number;
  readonly around: readonly string[];
}

/** What a step is to the model, whoever plays it. */
interface StepKnown {
  readonly name: string;
  readonly ladder: string;
  readonly hard: number;
  readonly guess: number;
}

const steps = new Map<string, Map<string, StepKnown | null>>();
/** A step by its names, looked up once; null where it is on no ladder. */
function stepKnown(task: string, step: string): StepKnown | null {
  let of = steps.get(task);
  if (!of) steps.set(task, (of = new Map()));
  const known = of.get(step);
  if (known !== undefined) return known;
  const place = rungOf(task, step);
  const made = place
    ? { name: `${task} ${step}`, ladder: place.ladder.id, hard: hardOf(task, step), guess: guessOf(task, step) }
    : null;
  of.set(step, made);
  return made;
}

/** Of answers older than six half-lives less than a fiftieth is left: they are let go. */
const LET_GO_MS = 6 * HALF_LIFE_DAYS * millisecondsInDay;

/** The answers that count: fresh ones on a ladder, no reply left out, older ones for less. */
function countedIn(runs: readonly StepRun[], now: number, local: Local): CountedStep[] {
  const first = new Map<number, number>();
  const fresh = runs.filter((r) => now - r.at < LET_GO_MS);
  for (const { day, at } of fresh) first.set(day, Math.min(at, first.get(day) ?? at));
  const all: CountedStep[] = [];
  for (const run of fresh) {
    const known = run.standing === 'fresh' ? stepKnown(run.task, run.step) : null;
    if (!known) continue;
    const [right, wrong] = [timesIn(run.marks, '1'), timesIn(run.marks, 'h') + timesIn(run.marks, '0')];
    if (!right && !wrong) continue;
    const weeksAgo = Math.max(0, now - run.at) / millisecondsInDay / 7;
    const late = run.at - sure(first.get(run.day)) > CHOSEN.lateMinutes * 60_000;
    all.push({
      ladder: known.ladder,
      weight: 0.5 ** ((weeksAgo * 7) / HALF_LIFE_DAYS),
      weeksAgo,
      right,
      wrong,
      hard: known.hard + (local.steps[known.name] ?? 0),
      guess: known.guess,
      around: around(run, late),
    });
  }
  return all;
}

/** How often a mark is among marks. Example: `timesIn('101', '1') // 2`. */
function timesIn(marks: string, mark: string): number {
  let times = 0;
  for (let at = marks.indexOf(mark); at >= 0; at = marks.indexOf(mark, at + 1)) times += 1;
  return times;
}

/** The logarithm of a normal prior, up to a constant. */
const priorOf = (middle: number, spread: number): Float64Array =>
  GRID.map((ability) => {
    const off = (ability - middle) / spread;
    return -0.5 * off * off;
  });

function heaped(all: readonly CountedStep[], offsetOf: (c: CountedStep) => number): Heap[] {
  const heaps = new Map<number, Heap>();
  for (const c of all) {
    const twentieths = Math.round((c.hard - offsetOf(c)) * 20);
    const key = keyOf(twentieths, c.guess);
    let heap = heaps.get(key);
    if (!heap) heaps.set(key, (heap = { twentieths, guess: c.guess, right: 0, wrong: 0 }));
    heap.right += c.right * c.weight;
    heap.wrong += c.wrong * c.weight;
  }
  return [...heaps.values()];
}

/** One number for how hard and how lucky: a guess is one of few fractions. */
const keyOf = (twentieths: number, guess: number): number => twentieths * 1_000 + Math.round(guess * 900);

const tables = new Map<number, { readonly right: Float64Array; readonly wrong: Float64Array }>();
/** Logarithms of being right and not, over the grid. */
function tableOf(twentieths: number, guess: number): { readonly right: Float64Array; readonly wrong: Float64Array } {
  const key = keyOf(twentieths, guess);
  const known = tables.get(key);
  if (known) return known;
  const chances = Array.from({ length: CELLS }, (_, i) => chanceAt(abilityAt(i) - twentieths / 20, guess));
  const made = {
    right: Float64Array.from(chances, (p) => Math.log(p)),
    wrong: Float64Array.from(chances, (p) => Math.log(1 - p)),
  };
  tables.set(key, made);
  return made;
}

/** Bayes' rule on the grid. */
function after(prior: Float64Array, heaps: readonly Heap[]): Float64Array {
  const logs = Float64Array.from(prior);
  for (const { twentieths, guess, right, wrong } of heaps) {
    const table = tableOf(twentieths, guess);
    for (let i = 0; i < CELLS; i += 1) logs[i] = logs[i]! + right * table.right[i]! + wrong * table.wrong[i]!;
  }
  let top = -Infinity;
  for (let i = 0; i < CELLS; i += 1) if (logs[i]! > top) top = logs[i]!;
  let all = 0;
  for (let i = 0; i < CELLS; i += 1) all += logs[i] = Math.exp(logs[i]! - top);
  for (let i = 0; i < CELLS; i += 1) logs[i] = logs[i]! / all;
  return logs;
}

function meanOf(abilities: Float64Array): number {
  let sum = 0;
  for (let i = 0; i < CELLS; i += 1) sum += abilities[i]! * abilityAt(i);
  return sum;
}

/**
 * What a child gains in a week, drawn strongly towards what most do: a step of Newton's method from there. Who answers
 * better now than before on steps as hard has learned.
 */
function learnsAWeek(all: readonly CountedStep[], means: ReadonlyMap<string, number>): number {
  const when = new Map<string, { sum: number; tries: number }>();
  for (const c of all) {
    const seen = when.get(c.ladder) ?? { sum: 0, tries: 0 };
    const tries = c.weight * (c.right + c.wrong);
    when.set(c.ladder, { sum: seen.sum + tries * c.weeksAgo, tries: seen.tries + tries });
  }
  let [pull, hold] = [0, 1 / CHOSEN.aWeekSpread ** 2];
  for (const c of all) {
    const { sum, tries } = sure(when.get(c.ladder));
    const later = sum / tries - c.weeksAgo;
    const p = chanceAt(sure(means.get(c.ladder)) - c.hard + CHOSEN.aWeek * later, c.guess);
    pull += c.weight * (c.right - (c.right + c.wrong) * p) * later;
    hold += c.weight * (c.right + c.wrong) * p * (1 - p) * later ** 2;
  }
  return CHOSEN.aWeek + pull / hold;
}

/**
 * What each circumstance adds or takes, drawn strongly towards nothing: one step of Newton's method from nothing. Only
 * what differs from the rest can show, so who is always marked by one adult is as able as that adult says.
 */
function offsetsIn(all: readonly CountedStep[], means: ReadonlyMap<string, number>): ReadonlyMap<string, number> {
  const sums = new Map<string, { pull: number; hold: number }>();
  for (const c of all) {
    const p = chanceAt(sure(means.get(c.ladder)) - c.hard, c.guess);
    const tries = c.right + c.wrong;
    for (const name of c.around) {
      const sum = sums.get(name) ?? { pull: 0, hold: 0 };
      sum.pull += c.weight * (c.right - tries * p);
      sum.hold += c.weight * tries * p * (1 - p);
      sums.set(name, sum);
    }
  }
  return new Map([...sums].map(([name, { pull, hold }]) => [name, pull / (hold + 1 / spreadOf(name) ** 2)]));
}

/**
 * The model of a child. Pure: the same runs in any order give the same model.
 * @param runs settled: what is open as speech is left out of them
 * @param now milliseconds since 1970
 * @param ladders ids of those that are asked for
 * @example forecast(modelOf(runs, now), { task: 'blending', step: '3-clip' }).chance // 0.72
 */
export function modelOf(
  runs: readonly StepRun[],
  now: number,
  local = NOT_LOCAL,
  ladders: readonly string[] = ALL,
): Model {
  const counted = countedIn(runs, now, local);
  const by = groupBy(counted, (c) => c.ladder);
  const alone = (ladder: string, of: readonly CountedStep[]): Float64Array => {
    const wide = priorOf(sure(middles.get(ladder)), CHOSEN.spread);
    return after(wide, heaped(of, asItIs));
  };
  const means = new Map([...by].map(([ladder, of]) => [ladder, meanOf(alone(ladder, of))] as const));
  const learns = learnsAWeek(counted, means);
  const offsets = offsetsIn(counted, means);
  const offsetOf = (c: CountedStep): number =>
    c.around.reduce((sum, name) => sum + sure(offsets.get(name)), -learns * c.weeksAgo);
  const seen = new Map(
    [...by].map(([ladder, of]) => [ladder, of.reduce((n, c) => n + c.weight * (c.right + c.wrong), 0)]),
  );
  const abilities = new Map(
    ladders.map((id) => {
      const { middle, spread } = neighboursOf(id, means, seen);
      return [id, after(priorOf(middle, spread), heaped(by.get(id) ?? [], offsetOf))] as const;
    }),
  );
  return { abilities, local };
}

const ALL = LADDERS.map((l) => l.id);

/** Nothing is made of what stood around an answer. */
const asItIs = (): number => 0;

/** An answer in the middle of a step says a quarter of a logit's worth (Fisher's information of a Rasch item). */
const AN_ANSWER = 0.25;

/** Where a ladder is looked for after what the others say: never worth more than two answers. */
function neighboursOf(
  ladder: string,
  means: ReadonlyMap<string, number>,
  seen: ReadonlyMap<string, number>,
): { readonly middle: number; readonly spread: number } {
  let [sum, weight] = [0, 0];
  for (const [other, mean] of means) {
    if (other === ladder) continue;
    const answers = sure(seen.get(other));
    sum += answers * (mean - sure(middles.get(other)));
    weight += answers;
  }
  const own = 1 / CHOSEN.spread ** 2;
  const theirs = Math.min(CHOSEN.neighbours, weight / 4) * AN_ANSWER;
  const lean = weight ? sum / weight : 0;
  return {
    middle: sure(middles.get(ladder)) + (theirs * lean) / (own + theirs),
    spread: 1 / Math.sqrt(own + theirs),
  };
}

/** A forecast: the chance of right alone, with nine tenths of the doubt about it. */
export interface Forecast {
  readonly chance: number;
  readonly low: number;
  readonly high: number;
}

/**
 * The chance that a child is right alone at a step, with an interval.
 * @param item of a ladder; `points` of its own word beyond the step's, where it is harder or easier than most
 * @example forecast(modelOf([], 0), { task: 'blending', step: '3-clip' }).chance
 */
export function forecast(
  { abilities, local }: Model,
  { task, step, points = 0 }: { readonly task: string; readonly step: string; readonly points?: number },
): Forecast {
  const ladder = rungOf(task, step)?.ladder.id ?? findTask(task)?.family ?? '';
  const ability = abilities.get(ladder);
  const guess = guessOf(task, step);
  const hardness = hardHere(task, step, local) + points / CHOSEN.pointsALogit;
  if (!ability) return { chance: chanceAt(0, guess), low: guess, high: 1 };
  let chance = 0;
  let [low, high, below] = [guess || 1e-3, guess || 1e-3, 0];
  for (let i = 0; i < CELLS; i += 1) {
    const p = chanceAt(abilityAt(i) - hardness, guess);
    chance += ability[i]! * p;
    below += ability[i]!;
    if (below < 0.05) low = p;
    if (below < 0.95) high = p;
  }
  const { slope, intercept } = guess ? local.choice : local.open;
  const come = (p: number): number => sigmoid(intercept + slope * Math.log(p / (1 - p)));
  return { chance: come(chance), low: come(low), high: come(high) };
}

/** The chance that a child knows a rung, guessing and slips left out. Example: 0.8 is four times of five. */
export function knows({ abilities, local }: Model, ladder: string, { steps }: Pick<Rung, 'steps'>): number {
  const hardness = hardHere(...sure(steps[0]), local);
  const ability = sure(abilities.get(ladderOf(ladder).id));
  let sum = 0;
  for (let i = 0; i < CELLS; i += 1) sum += ability[i]! * sigmoid(abilityAt(i) - hardness);
  return sum;
}

/** What the next ten minutes on a rung are worth most at: known about seven times of ten; nothing far from it. */
const WORTH = { top: 0.7, below: 0.35, above: 0.3 } as const;
const worthAt = (known: number): number => {
  const off = known < WORTH.top ? (WORTH.top - known) / WORTH.below : (known - WORTH.top) / WORTH.above;
  return Math.max(0, 1 - off ** 2);
};

/**
 * What playing a rung next is worth, 0 to 1, over all that is doubtful about the child: most where it is neither easy
 * already nor out of reach.
 */
export function worthOn({ abilities, local }: Model, ladder: string, { steps }: Pick<Rung, 'steps'>): number {
  const hardness = hardHere(...sure(steps[0]), local);
  const ability = sure(abilities.get(ladderOf(ladder).id));
  let sum = 0;
  for (let i = 0; i < CELLS; i += 1) sum += ability[i]! * worthAt(sigmoid(abilityAt(i) - hardness));
  return sum;
}
