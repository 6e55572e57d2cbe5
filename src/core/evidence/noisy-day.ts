import { groupBy } from '../group-by';
import type { StepRun } from './evidence';
import { rungOf } from './ladders';

/**
 * When everyone misses what each of them could do before, something was wrong with the room: a noisy hall, a fire
 * practice next door, a game that was not understood. Those answers say nothing of any one child. Common practice, no
 * source; the numbers are our own choice.
 */
const ROOM = {
  /** Children, at least, who played the step and had played it before. */
  children: 3,
  /** This share of all their answers came off, at most. */
  share: 0.25,
  /** How well it had gone before, for each of them, in so many tries. */
  before: { share: 0.6, tries: 3 },
} as const;

const rungKey = ({ task, step }: Pick<StepRun, 'task' | 'step'>): string => {
  const place = rungOf(task, step);
  return place ? `${place.ladder.id}/${place.rung.id}` : '';
};

interface Share {
  readonly right: number;
  readonly of: number;
}
const shareOf = (runs: readonly StepRun[]): Share => {
  const marks = runs
    .map((r) => r.marks)
    .join('')
    .replaceAll('-', '');
  return { right: marks.split('1').length - 1, of: marks.length };
};

/** Somebody tried alone, on a rung: silence is not missing. */
const isTry = (run: StepRun): boolean => run.standing === 'fresh' && rungKey(run) !== '' && shareOf([run]).of > 0;

/** Fresh answers of a rung, child by child. */
const freshOn = (session: ReadonlyMap<string, readonly StepRun[]>) =>
  groupBy(
    [...session].flatMap(([child, runs]) => runs.filter(isTry).map((run) => ({ child, run, place: rungKey(run) }))),
    (f) => f.place,
  );
type Fresh = readonly { readonly child: string; readonly run: StepRun }[];

const childrenIn = (of: Fresh): string[] => [...new Set(of.map((f) => f.child))];

/** So many children missed nearly all of it. */
function nearlyAllMissed(of: Fresh): boolean {
  const now = shareOf(of.map((f) => f.run));
  return childrenIn(of).length >= ROOM.children && now.right <= ROOM.share * now.of;
}

/** Whether it is worth asking what the children could do before. */
export const couldBeRoom = (session: ReadonlyMap<string, readonly StepRun[]>): boolean =>
  [...freshOn(session).values()].some(nearlyAllMissed);

/**
 * The rungs of a session on which the room is to be suspected, as `ladder/rung`.
 * @param session the runs of each child in it
 * @param before the runs of the same children before it
 * @example roomsIn(session, before).has('blending/3-clip') // true
 */
export function roomsIn(
  session: ReadonlyMap<string, readonly StepRun[]>,
  before: ReadonlyMap<string, readonly StepRun[]>,
): ReadonlySet<string> {
  const out = new Set<string>();
  for (const [place, of] of freshOn(session)) {
    if (!nearlyAllMissed(of)) continue;
    const children = childrenIn(of);
    const wentWell = children.filter((child) => {
      const then = shareOf((before.get(child) ?? []).filter((r) => r.standing === 'fresh' && rungKey(r) === place));
      return then.of >= ROOM.before.tries && then.right >= ROOM.before.share * then.of;
    });
    if (wentWell.length >= ROOM.children && wentWell.length * 5 >= children.length * 4) out.add(place);
  }
  return out;
}

/** A run whose room is suspected, marked as such. */
export const withRoom = (run: StepRun, rooms: ReadonlySet<string>): StepRun =>
  run.standing === 'fresh' && rooms.has(rungKey(run)) ? { ...run, standing: 'room' } : run;
