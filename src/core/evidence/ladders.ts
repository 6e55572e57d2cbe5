import { FAMILIES } from '../games/families';
import { stepsOf, TASKS } from '../games';
import type { FamilyRung } from '../games/family';
import { sure } from '../sure';
import type { UnitOrder } from './unit-order';

/**
 * What is easier and what is harder, gathered from the families. A ladder is a family of games, a rung the steps of
 * its tasks that ask the same of a child. The order of units and tasks: Adams (Beginning to Read, 1990) and Anthony &
 * Lonigan (2004), both from memory; the order within a family is common practice, no source.
 */
export interface Rung extends Pick<FamilyRung, 'id' | 'name' | 'does' | 'plainly' | 'carries' | 'was'> {
  /** Task and step of every game that shows it, the one to play first. */
  readonly steps: readonly (readonly [task: string, step: string])[];
}

export interface Ladder {
  /** Id of the family. */
  readonly id: string;
  readonly name: string;
  readonly rungs: readonly Rung[];
}

/** Names a rung anywhere. Example: `blending/3`. */
export interface RungRef {
  readonly ladder: string;
  readonly rung: string;
}

/** Every step that is on a rung, as `family/rung`, in the order of the catalogue. */
const onRungs = TASKS.flatMap((task) =>
  stepsOf(task).flatMap((step) => {
    const rung = task.rungs?.[step.id];
    return rung ? [{ rung: rung.includes('/') ? rung : `${task.family}/${rung}`, task: task.id, step: step.id }] : [];
  }),
);

function rungIn(family: string, { first, ...rung }: FamilyRung): Rung {
  const { id } = rung;
  const steps = onRungs.filter((on) => on.rung === `${family}/${id}`);
  const order = [...steps].sort((a, b) => Number(b.task === first) - Number(a.task === first));
  return { ...rung, steps: order.map(({ task, step }) => [task, step] as const) };
}

export const LADDERS: readonly Ladder[] = FAMILIES.flatMap(({ id, name, ladder }) =>
  ladder ? [{ id, name, rungs: ladder.rungs.map((rung) => rungIn(id, rung)) }] : [],
);

type Needs = Readonly<Record<string, readonly RungRef[]>>;

const refOf = (name: string): RungRef => {
  const [ladder = '', rung = ''] = name.split('/');
  return { ladder, rung };
};

const needsIn = (order: UnitOrder): Needs =>
  Object.fromEntries(
    FAMILIES.map(({ id, ladder }) => [
      id,
      [...(order === 'large-first' ? (ladder?.needsLarger ?? []) : []), ...(ladder?.needs ?? [])].map(refOf),
    ]),
  );

/** What must hold before the first rung of a ladder. */
export const BEGIN_NEEDS: Readonly<Record<UnitOrder, Needs>> = {
  'large-first': needsIn('large-first'),
  'sounds-first': needsIn('sounds-first'),
};

/** The order in which something new is begun; ladders that are not named come after. */
const LARGE = ['syllables', 'rhyme', 'words'];
const SOUNDS = ['first-sounds', 'blending', 'segmenting', 'swapping', 'leaving-out', 'adding'];

const orderedBy = (named: readonly string[]): string[] => [
  ...named,
  ...LADDERS.map((l) => l.id).filter((id) => !named.includes(id)),
];

/** Every ladder, in the order in which something new is begun. */
export const BEGIN_ORDER: Readonly<Record<UnitOrder, readonly string[]>> = {
  'large-first': orderedBy([...LARGE, ...SOUNDS]),
  'sounds-first': orderedBy([...SOUNDS, ...LARGE]),
};

/** The ladder of an id. Throws for one that has none (word hunt, echo). */
export function ladderOf(id: string): Ladder {
  const ladder = LADDERS.find((l) => l.id === id);
  if (!ladder) throw new Error(`There is no ladder "${id}".`);
  return ladder;
}

/** True where an easier rung holds once this one does. Example: `carries(ladder, at, at - 1) // true for most`. */
export function carries({ rungs }: Ladder, harder: number, easier: number): boolean {
  const { carries: carried } = sure(rungs[harder]);
  return harder > easier && (carried?.includes(sure(rungs[easier]).id) ?? true);
}

/**
 * The rung of an id, or the one that stands in its place today.
 * @example rungNow('rhyme', 'which')?.id // 'match-3'
 */
export const rungNow = (ladder: string, rung: string): Rung | undefined => {
  const rungs = LADDERS.find((l) => l.id === ladder)?.rungs ?? [];
  return rungs.find((r) => r.id === rung) ?? rungs.find((r) => r.was?.includes(rung));
};

interface RungPlace {
  readonly ladder: Ladder;
  readonly rung: Rung;
  readonly at: number;
}

/** By task, then by step: looked up for every run of every child. */
const places = new Map<string, Map<string, RungPlace>>();
for (const ladder of LADDERS)
  for (const [at, rung] of ladder.rungs.entries())
    for (const [task, step] of rung.steps) {
      const rungs = places.get(task) ?? new Map<string, RungPlace>();
      places.set(task, rungs.set(step, { ladder, rung, at }));
    }

/** Where a game's step stands, or undefined where it is on no ladder. Example: `rungOf('blending', '3')?.at // 2`. */
export const rungOf = (task: string, step: string): RungPlace | undefined => places.get(task)?.get(step);
