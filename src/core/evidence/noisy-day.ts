import { groupBy } from '../group-by';
import type { StepRun } from './evidence';
import { rungOf } from './ladders';

/**
 * When everyone misses what each of them could do before, something was wrong with the room: a noisy hall, a fire
 * practice next door, a game that was not understood. Those answers say nothing of any one child. Only plain misses
 * count: an adult who helps at once, and slips that may be speech, say nothing of the room; nor do misses where another
 * adult marked than before. Common practice, no source; the numbers are our own choice.
 */
const ROOM = {
  /** Children, at least, who played the step and had played it before. */
  children: 3,
  /** This share of all their plain answers came off, at most; and so much of all they answered must be plain. */
  share: 0.33,
  plain: 0.5,
  /** How well it had gone before, for each of them, in so many tries. */
  before: { share: 0.6, tries: 3 },
} as const;

const rungKey = ({ task, step }: Pick<StepRun, 'task' | 'step'>): string => {
  const place = rungOf(task, step);
  return place ? `${place.ladder.id}/${place.rung.id}` : '';
};

interface Share {
  readonly right: number;
  /** Plain answers: right alone, or missed. */
  readonly of: number;
  /** All answers but silence. */
  readonly answers: number;
}
function shareOf(runs: readonly StepRun[]): Share {
  const all = runs.map((r) => r.marks).join('');
  const times = (mark: string): number => all.split(mark).length - 1;
  const [right, of] = [times('1'), times('1') + times('0')];
  return { right, of, answers: all.length - times('-') };
}

/** Somebody tried alone, on a rung: silence is not missing. */
const isTry = (run: StepRun): boolean => run.standing === 'fresh' && rungKey(run) !== '' && shareOf([run]).answers > 0;

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
  if (childrenIn(of).length < ROOM.children || now.of < ROOM.plain * now.answers) return false;
  return now.of > 0 && now.right <= ROOM.share * now.of;
}

const adultsIn = (runs: readonly StepRun[]): ReadonlySet<string> => new Set(runs.flatMap((r) => r.by ?? []));

/** Somebody marks who marked none of it before. */
function isAnotherAdult(now: readonly StepRun[], before: readonly StepRun[]): boolean {
  const known = adultsIn(before);
  return known.size > 0 && [...adultsIn(now)].some((by) => !known.has(by));
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
    const then = (child: string): StepRun[] =>
      (before.get(child) ?? []).filter((r) => r.standing === 'fresh' && rungKey(r) === place);
    const now = of.map((f) => f.run);
    if (isAnotherAdult(now, children.flatMap(then))) continue;
    const wentWell = children.filter((child) => {
      const share = shareOf(then(child));
      return share.of >= ROOM.before.tries && share.right >= ROOM.before.share * share.of;
    });
    if (wentWell.length >= ROOM.children && wentWell.length * 5 >= children.length * 4) out.add(place);
  }
  return out;
}

/** A run whose room is suspected, marked as such. */
export const withRoom = (run: StepRun, rooms: ReadonlySet<string>): StepRun =>
  run.standing === 'fresh' && rooms.has(rungKey(run)) ? { ...run, standing: 'room' } : run;
