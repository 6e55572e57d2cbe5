import { taskOf, stepOf } from '../games';
import { generate, type GameRequest } from '../games/generate';
import type { Item } from '../games/item';
import type { Material } from '../games/material';
import { readKey } from '../games/spec';
import type { Task } from '../games/task';
import type { FindPlan } from './find';
import type { Way } from './running-order';

/** What one child is dealt in a round that gives each child their own step. */
export interface OwnDeal {
  readonly childId: string;
  readonly step: string;
  /** Keys, easy to hard: one for each turn. */
  readonly items: readonly string[];
  /** Keys to swap in, of the same step. */
  readonly spares: readonly string[];
  /** Why this step, in whole sentences; absent where it was kept before that was asked for. */
  readonly why?: string | undefined;
}

/** The step of a child in a game, and words that hold what slips, where there is something. */
export interface OwnWish {
  readonly childId: string;
  readonly step: string;
  readonly words?: readonly string[] | undefined;
  readonly why?: string | undefined;
}

/** A round as far as what is dealt to whom goes. */
interface Dealt {
  readonly task: string;
  readonly step: string;
  readonly own?: readonly OwnDeal[] | undefined;
  readonly find?: FindPlan | undefined;
}

/** The most turns a child has words for, before theirs come round again. */
const EACH_AT_MOST = 4;
const OWN_SPARES = 2;
/** Ways of playing in which somebody is named before the word is said. */
const NAMED: ReadonlySet<Way> = new Set(['individual', 'volunteers', 'pairs']);

/**
 * True for a game whose items stand alone, so that one child’s may be harder than another’s: not where they follow each
 * other, are all about one sound, or are answered by everyone at once.
 * @example canOwn(taskOf('blending')) // true
 */
export const canOwn = (task: Task): boolean =>
  !task.inOrder && !task.together && !task.sequence && !task.theme && !task.titled && task.steps.length > 1;

/** True for a way of playing in which each child can have their own step. */
export const namesWho = (way: Way): boolean => NAMED.has(way);

/**
 * The game and step an item of a round is made with: the step of the child it was dealt to, or the step it was to tell
 * of, else the round’s.
 */
export const playedAs = ({ task, step, own = [], find }: Dealt, key: string): { task: string; step: string } => ({
  task,
  step: (
    own.find((o) => o.items.includes(key) || o.spares.includes(key)) ??
    find?.steps.find((s) => s.keys.includes(key)) ?? { step }
  ).step,
});

/**
 * The items that a round has for those who play: everyone’s own, and the round’s for who has none.
 * @example dealtKeys({ items: ['sun'], own: [] }, ['a']) // ['sun']
 */
export function dealtKeys(
  { items, own = [] }: Pick<Dealt, 'own'> & { readonly items: readonly string[] },
  childIds: readonly string[],
): readonly string[] {
  const theirs = own.filter((o) => childIds.includes(o.childId));
  const all = theirs.flatMap((o) => o.items);
  return theirs.length && theirs.length >= childIds.length ? all : [...all, ...items];
}

/** Every key that was dealt to somebody, spares with them; and every key of a search. */
export const ownKeys = ({ own = [], find }: Pick<Dealt, 'own' | 'find'>): string[] => [
  ...own.flatMap((o) => [...o.items, ...o.spares]),
  ...(find?.steps ?? []).flatMap((s) => s.keys),
];

/** How a round is dealt. */
interface Dealing extends Omit<GameRequest, 'size' | 'words' | 'spares'> {
  readonly task: string;
  /** Turns of each child. */
  readonly each: number;
  /** Words said in the round already. */
  readonly taken?: readonly string[];
}

/**
 * Deals each child items of their own step, in the order given: no word twice in the round, each child’s easy to hard.
 * A child for whom no item could be made is left out, and has the round’s own. The same request gives the same deal.
 * @example dealOwn(material, [{ childId: 'a', step: '2' }], { task: 'blending', each: 2, seed: 1 })[0]?.step // '2'
 */
export function dealOwn(material: Material, wishes: readonly OwnWish[], dealing: Dealing): OwnDeal[] {
  const deals: OwnDeal[] = [];
  const { taken, ...how } = dealing;
  const used = new Set(taken);
  for (const [i, wish] of wishes.entries()) {
    const made = dealtTo(material, wish, { ...how, seed: how.seed * 64 + i }, used);
    if (made) deals.push(made);
  }
  return deals;
}

function dealtTo(
  material: Material,
  wish: OwnWish,
  dealing: Omit<Dealing, 'taken'>,
  used: Set<string>,
): OwnDeal | null {
  const { task: id, each, ...request } = dealing;
  const task = taskOf(id);
  const size = Math.min(EACH_AT_MOST, Math.max(1, each));
  const ask = (words: readonly string[] | undefined, avoid: readonly string[]) =>
    generate(task, stepOf(task, wish.step), material, { ...request, avoid, words, size, spares: OWN_SPARES });
  const items: Item[] = [];
  const spares: Item[] = [];
  const taken = new Set(used);
  const take = (item: Item, into: Item[], most: number): void => {
    const { words } = readKey(item.key);
    if (into.length >= most || words.some((w) => taken.has(w))) return;
    words.forEach((w) => taken.add(w));
    into.push(item);
  };
  // Words that hold what slips first; others where there are too few. What was said before is avoided, then let in.
  const avoid = [...(request.avoid ?? []), ...used];
  const tries = [...(wish.words ? [() => ask(wish.words, avoid)] : []), () => ask(undefined, avoid)];
  for (const attempt of tries) {
    if (items.length >= size && spares.length >= OWN_SPARES) break;
    const made = attempt();
    made.items.forEach((item) => take(item, items, size));
    for (const item of made.spares) {
      if (items.length < size) take(item, items, size);
      else take(item, spares, OWN_SPARES);
    }
  }
  if (!items.length) return null;
  taken.forEach((w) => used.add(w));
  const ordered = items.sort((a, b) => a.difficulty - b.difficulty || (a.key < b.key ? -1 : 1));
  return {
    childId: wish.childId,
    step: wish.step,
    items: ordered.map((i) => i.key),
    spares: spares.map((i) => i.key),
    ...(wish.why === undefined ? {} : { why: wish.why }),
  };
}
