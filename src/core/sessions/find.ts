import { MAY_BE_SPEECH, type Outcome, type Slip } from '../answers/outcome';

/**
 * Finding where a child is, in few turns: the next item is always the one that tells most. Everything follows from the
 * answers so far, so two devices never ask differently. It runs in the browser while a check-in is played: what it
 * needs of the model is in the numbers it is given.
 */
export interface FindStep {
  readonly step: string;
  /** What a child does on it, in words: `blend words like sun`. */
  readonly does: string;
  /** How hard, in logits. */
  readonly hard: number;
  /** Chance of being right by luck, 0 to 1. */
  readonly guess: number;
  /** Keys of items, so that nobody hears one twice. */
  readonly keys: readonly string[];
}

/** Where a child is looked for before anything is asked, in logits. */
export interface Expected {
  readonly middle: number;
  readonly spread: number;
}

/** What is asked of whom. */
export interface FindPlan {
  /** Easy to hard. */
  readonly steps: readonly FindStep[];
  /** Nothing of a child’s past is in it: it is the same for everyone. */
  readonly expected: Expected;
}

/**
 * One answer: the place of its step, and whether it was right alone; null where it says nothing of that: no reply, or a
 * sound lost or swapped that may be no more than how the child speaks.
 */
export interface Tried {
  readonly at: number;
  readonly right: boolean | null;
}

/** Where to begin, as far as the answers say. */
export interface FoundStep {
  /** The place of the step to start at. */
  readonly at: number;
  /** The places between which it lies: nine times in ten. */
  readonly from: number;
  readonly to: number;
  readonly turns: number;
  /** True once asking more would tell little. */
  readonly done: boolean;
  /** False where nothing was said that tells anything. */
  readonly known: boolean;
}

/** Chosen by hand, tried on made-up children (docs/decisions/18-find-where.md). */
const FIND = {
  from: -7,
  to: 7,
  cells: 71,
  /** A child who knows slips now and then, and a miss is let pass now and then. */
  lapse: 0.05,
  passed: 0.06,
  /** Enough is known once so much is within a step of the place told. */
  near: 0.99,
  /** Turns at most, for each step there is: six in ten of asking each of them twice. */
  most: 1.2,
  atLeast: 6,
  /** A step is asked for so often at most. */
  each: 3,
  /** How likely it is to be in the range that is told. */
  range: 0.9,
  /** Misses at the easiest step after which it ends kindly, and answers in a row that tell nothing. */
  kindly: 2,
  untold: 4,
  /** The last question is one that comes off so surely, where there is one. */
  win: 0.85,
} as const;

/** What a step is worth to start at, by the chance that it comes off: failing weighs more than being bored. */
const PLAYABLE: readonly (readonly [chance: number, worth: number])[] = [
  [0, -3],
  [0.4, -1.5],
  [0.5, 0.2],
  [0.6, 0.9],
  [0.7, 1],
  [0.85, 0.75],
  [0.95, -0.3],
  [1, -1.5],
];

/** Worth between two points of the table. */
function playable(chance: number): number {
  const next = Math.max(
    1,
    PLAYABLE.findIndex(([c]) => chance <= c),
  );
  const [[c0, w0], [c1, w1]] = [PLAYABLE[next - 1] ?? [0, 0], PLAYABLE[next] ?? [1, 0]];
  return w0 + ((w1 - w0) * (chance - c0)) / (c1 - c0);
}

const ABILITIES = Array.from(
  { length: FIND.cells },
  (_, i) => FIND.from + ((FIND.to - FIND.from) * i) / (FIND.cells - 1),
);
const sigmoid = (x: number): number => 1 / (1 + Math.exp(-x));
/** The chance to do a step alone, and the chance that it is marked so. */
const doesAt = (ability: number, { hard, guess }: FindStep): number => guess + (1 - guess) * sigmoid(ability - hard);
function chanceAt(ability: number, step: FindStep): number {
  const right = (1 - FIND.lapse) * doesAt(ability, step);
  return right + (1 - right) * FIND.passed;
}

/** What starting at each step is worth for an ability: what comes off by luck is nothing that was done. */
const worthsFor = (ability: number, steps: readonly FindStep[]): number[] =>
  steps.map((step) => playable(doesAt(ability, { ...step, guess: 0 })));

/** The place of the most; the first one, where some are alike. */
const most = (of: readonly number[]): number => of.reduce((best, x, i) => (x > (of[best] ?? 0) + 1e-9 ? i : best), 0);

/** What the steps are at every ability: the chance of each to be marked right, its worth, and the best place. */
interface Scale {
  readonly chances: readonly (readonly number[])[];
  readonly worths: readonly (readonly number[])[];
  readonly places: readonly number[];
}
const scales = new WeakMap<readonly FindStep[], Scale>();
function scaleOf(steps: readonly FindStep[]): Scale {
  const known = scales.get(steps);
  if (known) return known;
  const worths = ABILITIES.map((ability) => worthsFor(ability, steps));
  const made = {
    chances: steps.map((step) => ABILITIES.map((ability) => chanceAt(ability, step))),
    worths,
    places: worths.map(most),
  };
  scales.set(steps, made);
  return made;
}

/** How likely each ability is after the answers: Bayes' rule on a grid. */
function beliefs(steps: readonly FindStep[], { middle, spread }: Expected, tried: readonly Tried[]): number[] {
  const { chances } = scaleOf(steps);
  const told = tried.filter((t) => t.right !== null);
  const weights = ABILITIES.map((ability, i) =>
    told.reduce(
      (chance, { at, right }) => chance * (right ? (chances[at]?.[i] ?? 1) : 1 - (chances[at]?.[i] ?? 0)),
      Math.exp(-0.5 * ((ability - middle) / spread) ** 2),
    ),
  );
  const all = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / all);
}

/** How likely each place is. */
function placesIn(belief: readonly number[], steps: readonly FindStep[]): number[] {
  const { places } = scaleOf(steps);
  const out = steps.map(() => 0);
  belief.forEach((share, i) => {
    const at = places[i] ?? 0;
    out[at] = (out[at] ?? 0) + share;
  });
  return out;
}

/** Entropy of shares that add up to `all`, in nats. */
const entropy = (shares: readonly number[], all: number): number =>
  -shares.reduce((sum, s) => sum + (s > 0 ? (s / all) * Math.log(s / all) : 0), 0);

/** What would be left in doubt about the place after one more answer at a step. */
function leftAfter(belief: readonly number[], at: number, steps: readonly FindStep[]): number {
  const chances = scaleOf(steps).chances[at] ?? [];
  const right = belief.map((share, i) => share * (chances[i] ?? 0));
  const wrong = belief.map((share, i) => share - (right[i] ?? 0));
  const chance = right.reduce((a, b) => a + b, 0);
  return chance * entropy(placesIn(right, steps), chance) + (1 - chance) * entropy(placesIn(wrong, steps), 1 - chance);
}

/** The place that is worth most to start at, on the whole. */
function placeIn(belief: readonly number[], steps: readonly FindStep[]): number {
  const { worths } = scaleOf(steps);
  return most(steps.map((_, at) => belief.reduce((sum, share, i) => sum + share * (worths[i]?.[at] ?? 0), 0)));
}

/** The fewest places in a row, with the one told among them, that hold the best place so surely. */
function rangeAround(at: number, places: readonly number[]): Pick<FoundStep, 'from' | 'to'> {
  let [from, to, sum] = [at, at, places[at] ?? 0];
  while (sum < FIND.range && (from > 0 || to < places.length - 1)) {
    const [below, above] = [places[from - 1] ?? -1, places[to + 1] ?? -1];
    if (below > above) from -= 1;
    else to += 1;
    sum += Math.max(below, above);
  }
  return { from, to };
}

const mostTurns = (steps: readonly FindStep[]): number => Math.max(FIND.atLeast, Math.floor(FIND.most * steps.length));

/** It ends before its time: twice missed at the easiest, or nothing told for long. */
function endsEarly(tried: readonly Tried[]): 'kindly' | 'untold' | null {
  const missed = tried.slice(-FIND.kindly);
  if (missed.length === FIND.kindly && missed.every((t) => t.at === 0 && t.right === false)) return 'kindly';
  return tried.length >= FIND.untold && tried.slice(-FIND.untold).every((t) => t.right === null) ? 'untold' : null;
}

/**
 * Where a child is, from the answers so far.
 * @example foundIn(plan, expected, [{ at: 3, right: true }]).done // false
 */
export function foundIn(plan: Pick<FindPlan, 'steps'>, expected: Expected, tried: readonly Tried[]): FoundStep {
  const belief = beliefs(plan.steps, expected, tried);
  const places = placesIn(belief, plan.steps);
  const early = endsEarly(tried);
  const at = early === 'kindly' ? 0 : placeIn(belief, plan.steps);
  const near = [at - 1, at, at + 1].reduce((sum, i) => sum + (places[i] ?? 0), 0);
  return {
    at,
    ...(early === 'kindly' ? { from: 0, to: 0 } : rangeAround(at, places)),
    turns: tried.length,
    done: early !== null || near >= FIND.near || tried.length >= mostTurns(plan.steps),
    known: tried.some((t) => t.right !== null),
  };
}

/** A step that surely comes off, to end on, where the last answer was no success; null where it is not needed. */
function toEndOn({ steps }: Pick<FindPlan, 'steps'>, expected: Expected, tried: readonly Tried[]): number | null {
  if (endsEarly(tried) || !tried.length || tried.at(-1)?.right === true) return null;
  // It was done before the last answer: that one was the end.
  if (foundIn({ steps }, expected, tried.slice(0, -1)).done) return null;
  const belief = beliefs(steps, expected, tried);
  const { chances } = scaleOf(steps);
  const free = steps.map((step, at) => tried.filter((t) => t.at === at).length < step.keys.length);
  const surely = steps.map((_, at) => belief.reduce((sum, share, i) => sum + share * (chances[at]?.[i] ?? 0), 0));
  const win = surely.findLastIndex((chance, at) => free[at] === true && chance >= FIND.win);
  if (win >= 0) return win;
  return free[0] === true ? 0 : null;
}

/**
 * The place of the step to ask next, the one that tells most, and a sure success at the end; null once enough is known.
 * @example nextToFind(plan, expected, []) // 3
 */
export function nextToFind(plan: Pick<FindPlan, 'steps'>, expected: Expected, tried: readonly Tried[]): number | null {
  const { steps } = plan;
  if (foundIn(plan, expected, tried).done) return toEndOn(plan, expected, tried);
  const belief = beliefs(steps, expected, tried);
  const free = steps.flatMap((step, at) => {
    const times = tried.filter((t) => t.at === at).length;
    return times < Math.min(FIND.each, step.keys.length) ? [{ at, left: leftAfter(belief, at, steps) }] : [];
  });
  return free.sort((a, b) => a.left - b.left)[0]?.at ?? null;
}

/** An answer of a check-in, as far as this goes. */
interface GivenAnswers {
  readonly childId: string | null;
  readonly word: string;
  readonly outcome: Outcome;
  readonly slip: Slip | null;
}

function isRight({ outcome, slip }: GivenAnswers): boolean | null {
  if (outcome === 'on-own') return true;
  return outcome === 'no-reply' || MAY_BE_SPEECH.has(slip) ? null : false;
}

/** What a child was asked and said, step by step; the adult’s own slips are left out. */
function triedBy(
  { steps }: FindPlan,
  childId: string,
  given: readonly GivenAnswers[],
  plainOf: (key: string) => string,
): Tried[] {
  return given
    .filter((a) => a.childId === childId && a.outcome !== 'does-not-count')
    .map((a) => ({
      at: steps.findIndex((s) => s.keys.includes(a.word) || s.keys.includes(plainOf(a.word))),
      right: isRight(a),
    }));
}

/** Where a child of a check-in is found, from all that was answered in it. */
export const foundFor = (
  plan: FindPlan,
  childId: string,
  given: readonly GivenAnswers[],
  plainOf = (key: string): string => key,
): FoundStep => foundIn(plan, plan.expected, triedBy(plan, childId, given, plainOf));

/**
 * The item a child is to be asked next, and how many more there may be; null once enough is known of this child.
 * Whoever comes later hears other words, while there are some.
 * @param place of the child among those who play
 */
export function askedNext(
  plan: FindPlan,
  { childId, place }: { readonly childId: string; readonly place: number },
  given: readonly GivenAnswers[],
  plainOf: (key: string) => string,
): { readonly word: string; readonly left: number } | null {
  const tried = triedBy(plan, childId, given, plainOf);
  const at = nextToFind(plan, plan.expected, tried);
  const keys = (at !== null && plan.steps[at]?.keys) || [];
  const heard = new Set(given.filter((a) => a.childId === childId).flatMap((a) => [a.word, plainOf(a.word)]));
  const turned = keys.map((_, i) => keys[(i + place * FIND.each) % keys.length] ?? '');
  const word = turned.find((key) => !heard.has(key)) ?? turned[0];
  return word === undefined ? null : { word, left: Math.max(1, mostTurns(plan.steps) - tried.length) };
}

/**
 * What a check-in says of a child, in whole sentences; never that anything is secure.
 * @example foundWords(steps, { at: 2, from: 1, to: 3, … }) // 'A good place to start: blend words like sun. …'
 */
export function foundWords(
  steps: readonly Pick<FindStep, 'does'>[],
  { at, from, to, known }: Pick<FoundStep, 'at' | 'from' | 'to' | 'known'>,
): string {
  if (!known)
    return (
      'We couldn’t tell this time, and that says nothing about what they know. Try again another day, or play a ' +
      'game where they can point.'
    );
  const does = (i: number): string => steps[i]?.does ?? '';
  const could = from < to ? [`It could be anything from “${does(from)}” to “${does(to)}”.`] : [];
  return [`A good place to start: ${does(at)}.`, ...could, 'Seen once.'].join(' ');
}
