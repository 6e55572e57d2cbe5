import { sure } from '../sure';
import { commonDays, daysOf, firstDay, GROUP_SIZE, isTied, type Candidate, type GroupAsk } from './company';
import { CANNOT, gameFor, gamesFor, placeOf, reasonFor, weigh, type GameReason, type GroupGame } from './group-game';
import { scheduled } from './schedule';

/** Children who play together, on which of the days, what, and why that. */
interface Grouped {
  readonly children: readonly string[];
  /** Who belongs to it and is not here on its day. */
  readonly away: readonly string[];
  /** A place in the calendar: 0 for the first day. */
  readonly day: number;
  /** Who is to lead it; null for any adult. */
  readonly adult: string | null;
  readonly game: GroupGame;
  readonly reason: GameReason;
}

/** A child who fits nowhere, and has a turn alone. */
interface Alone {
  readonly id: string;
  readonly day: number;
}

export interface Grouping {
  readonly groups: readonly Grouped[];
  readonly alone: readonly Alone[];
  /** Days it takes until everyone has had a turn; 0 where there is nobody. */
  readonly days: number;
}

/** What it costs to part a pair, to join one that is to be apart, and to have somebody come on another day. */
const COST = { parted: 500, joined: 1_000, absent: 300, twoAdults: 1_000 } as const;

/** All that a search goes by, of children by their places. */
interface Search {
  readonly children: readonly Candidate[];
  /** What each game weighs for each child, child by child; games that fewer than two could play are left out. */
  readonly weights: Float64Array;
  readonly games: number;
  /** Days on which a child is here, as bits. */
  readonly days: Int32Array;
  readonly span: number;
  /** What a pair in one group costs, less what it costs to part it, child by child. */
  readonly pairs: Float64Array;
  /** Moves and swaps that may still be tried. */
  readonly budget: Budget;
}

interface Budget {
  left: number;
}
/** A class of thirty takes some thousand tries; a list of hundreds stops here, so that nobody waits for it. */
const TRIES = 30_000;

function pairCost(a: Candidate, b: Candidate): number {
  const twoAdults = a.keyAdult && b.keyAdult && a.keyAdult !== b.keyAdult ? COST.twoAdults : 0;
  const apart = isTied(a, b, 'apart') ? COST.joined : 0;
  return a === b ? 0 : twoAdults + apart - (isTied(a, b, 'together') ? COST.parted : 0);
}

function searchOf(children: readonly Candidate[], days: readonly number[], budget: Budget): Search {
  const all = gamesFor(children).map((game) => {
    const at = placeOf(game);
    return children.map((c) => weigh(c, game, at));
  });
  const games = all.filter((row) => row.filter((w) => w < CANNOT).length > 1);
  return {
    children,
    weights: Float64Array.from(children.flatMap((_, c) => games.map((row) => row[c] ?? CANNOT))),
    games: games.length,
    days: Int32Array.from(children, (c) => daysOf(c, days)),
    span: days.length,
    budget,
    pairs: Float64Array.from(children.flatMap((a) => children.map((b) => pairCost(a, b)))),
  };
}

/** A group while it is searched: its children, and for each game what it weighs for all of them. */
interface Trial {
  readonly group: readonly number[];
  readonly sums: Float64Array;
}

function trialOf({ weights, games }: Search, group: readonly number[]): Trial {
  const sums = new Float64Array(games);
  for (const c of group) for (let g = 0; g < games; g += 1) sums[g] = (sums[g] ?? 0) + (weights[c * games + g] ?? 0);
  return { group, sums };
}

/** How many of a group are not here on its best day. */
function absentIn({ days, span }: Search, group: readonly number[]): number {
  let most = 0;
  for (let d = 0; d < span && most < group.length; d += 1) {
    let here = 0;
    for (const c of group) here += ((days[c] ?? 0) >> d) & 1;
    most = Math.max(most, here);
  }
  return group.length - most;
}

/** What it costs beside its game: who does not come on its best day, and who must not be in it together. */
function companyCost(search: Search, group: readonly number[]): number {
  const { pairs, children } = search;
  let tied = 0;
  for (let i = 1; i < group.length; i += 1)
    for (let j = 0; j < i; j += 1) tied += pairs[(group[i] ?? 0) * children.length + (group[j] ?? 0)] ?? 0;
  return COST.absent * absentIn(search, group) + tied;
}

/** What a group costs once one child has left it and one has come: its best game and its company. Run very often. */
function costWith(
  search: Search,
  { group, sums }: Trial,
  [out, into]: readonly [number | null, number | null],
): number {
  const { weights, games } = search;
  const next = out === null ? [...group] : group.filter((c) => c !== out);
  if (into !== null) next.push(into);
  let least = CANNOT * next.length;
  const [from, to] = [(out ?? 0) * games, (into ?? 0) * games];
  for (let g = 0; g < games; g += 1) {
    const less = out === null ? 0 : (weights[from + g] ?? 0);
    const more = into === null ? 0 : (weights[to + g] ?? 0);
    least = Math.min(least, (sums[g] ?? 0) - less + more);
  }
  return least + companyCost(search, next);
}

/** Groups of places, made better as long as one child moved, or two swapped, makes them better. */
function improved(search: Search, start: readonly (readonly number[])[]): { groups: number[][]; cost: number } {
  const trials = start.map((g) => trialOf(search, g));
  const costs = trials.map((t) => costWith(search, t, [null, null]));
  const { least, most } = GROUP_SIZE;
  /** One child out of the first group into the second, and one the other way; true where that is better. */
  const put = (a: number, b: number, [c, d]: readonly [number, number | null]): boolean => {
    search.budget.left -= 1;
    const [first, second] = [sure(trials[a]), sure(trials[b])];
    const bound = sure(costs[a]) + sure(costs[b]) - 1e-9;
    const costA = costWith(search, first, [c, d]);
    const costB = costWith(search, second, [d, c]);
    if (costA + costB >= bound) return false;
    const changed = (group: readonly number[], out: number | null, into: number | null): number[] => [
      ...group.filter((x) => x !== out),
      ...(into === null ? [] : [into]),
    ];
    trials[a] = trialOf(search, changed(first.group, c, d));
    trials[b] = trialOf(search, changed(second.group, d, c));
    [costs[a], costs[b]] = [costA, costB];
    return true;
  };
  const tryPair = (a: number, b: number): boolean => {
    const [from, to] = [sure(trials[a]).group, sure(trials[b]).group];
    for (const c of from) {
      if (from.length > least && to.length < most && put(a, b, [c, null])) return true;
      // Each swap is tried once: from the group that stands first.
      if (a < b) for (const d of to) if (put(a, b, [c, d])) return true;
    }
    return false;
  };
  for (let better = true; better && search.budget.left > 0;) {
    better = false;
    for (let a = 0; a < trials.length; a += 1)
      for (let b = 0; b < trials.length; b += 1) if (a !== b && search.budget.left > 0 && tryPair(a, b)) better = true;
  }
  return { groups: trials.map((t) => [...t.group]), cost: costs.reduce((sum, c) => sum + c, 0) };
}

/** As even as can be: 28 in five are 6, 6, 6, 5, 5. */
const dealtIn = (row: readonly number[], count: number): number[][] =>
  Array.from({ length: count }, (_, g) => {
    const [from, to] = [g, g + 1].map((i) => Math.round((i * row.length) / count));
    return row.slice(from, to);
  });

/** How many groups: of at most six, as many as there are adults, where each still has three. */
const countFor = (children: number, adults: number): number =>
  Math.max(1, Math.ceil(children / GROUP_SIZE.most), Math.min(adults, Math.floor(children / GROUP_SIZE.least)));

const nextKey = ({ next }: Candidate): string => (next ? `${next.ladder} ${next.rung} ${next.pattern ?? ''}` : '');

/** Children in groups, by their places; from another start too, where the first leaves somebody out. */
function parted(search: Search, count: number): number[][] {
  const { children, days } = search;
  const startBy = (key: (c: Candidate, place: number) => string): number[][] => {
    const keys = children.map(key);
    const row = keys
      .map((_, i) => i)
      .sort((a, b) => (sure(keys[a]) < sure(keys[b]) ? -1 : Number(keys[a] !== keys[b])));
    return dealtIn(row, count);
  };
  const first = improved(search, startBy(nextKey));
  if (first.cost < CANNOT) return first.groups;
  const second = improved(
    search,
    startBy((c, i) => `${String(days[i])} ${nextKey(c)}`),
  );
  return second.cost < first.cost - 1e-9 ? second.groups : first.groups;
}

/**
 * Groups for some children. Three to six in each; nobody above what they can do, nobody more than one step from the
 * group’s game unless it is each their own; pairs together and apart, key adults and part-time days as they are set.
 * Who fits nowhere has a turn alone. In no order of skill: as the children come in the list. The same children on the
 * same day give the same groups.
 *
 * @param list children in the order of their list
 */
export function groupsFor(list: readonly Candidate[], ask: GroupAsk): Grouping {
  const children = [...list].sort((a, b) => (a.id < b.id ? -1 : 1));
  if (!children.length) return { groups: [], alone: [], days: 0 };
  const least = countFor(children.length, ask.adults);
  const most = Math.max(least, Math.min(least + MORE_GROUPS, Math.floor(children.length / GROUP_SIZE.least)));
  const budget = { left: TRIES };
  let best: Grouping | null = null;
  for (let count = least; count <= most; count += 1)
    for (const span of spansFrom(children, ask, count)) {
      const search = searchOf(children, ask.calendar.slice(0, span), budget);
      const made = parted(search, count).map((g) => g.map((c) => sure(children[c])));
      const grouping = arranged(list, made, ask);
      if (!best || grouping.alone.length < best.alone.length) best = grouping;
      if (!best.alone.length || budget.left <= 0) return best;
    }
  return sure(best);
}
/** So many more groups are tried where somebody would have to play alone. */
const MORE_GROUPS = 2;

/** Numbers of days to try: the fewest in which all who come can be had, and a week. */
function spansFrom(children: readonly Candidate[], { adults, calendar }: GroupAsk, count: number): number[] {
  const reach = children.map((c) => {
    const bits = daysOf(c, calendar);
    return bits ? 32 - Math.clz32(bits & -bits) : 1;
  });
  const least = Math.min(calendar.length, Math.max(Math.ceil(count / Math.max(1, adults)), ...reach));
  return [...new Set([least, Math.min(calendar.length, Math.max(least, 5))])];
}

/**
 * Groups as they are kept, for today: who cannot play along, or comes on other days, has a turn alone; each group has
 * its game and its day. Children who are in no group are alone too.
 */
export function arranged(
  list: readonly Candidate[],
  groups: readonly (readonly Candidate[])[],
  ask: GroupAsk,
): Grouping {
  const place = new Map(list.map((c, i) => [c.id, i]));
  const inOrder = (of: readonly Candidate[]): Candidate[] =>
    [...of].sort((a, b) => sure(place.get(a.id)) - sure(place.get(b.id)));
  const fitted = groups.map((g) => fitting(g, ask)).filter((g) => g.length > 0);
  // Two make a group where there are only two.
  const kept = list.length < GROUP_SIZE.least ? fitted : rehomed(fitted, ask);
  const { days, of } = scheduled(kept, ask);
  const made = kept.flatMap((children, i): Grouped[] => {
    const day = sure(of[i]);
    const row = inOrder(children).filter((c) => day > 0 || !c.away);
    const suited = gameFor(row);
    if (!suited) return [];
    return [
      {
        children: row.map((c) => c.id),
        away: children.filter((c) => !row.includes(c)).map((c) => c.id),
        day,
        adult: children.find((c) => c.keyAdult)?.keyAdult ?? null,
        game: suited.game,
        reason: reasonFor(row, suited.game),
      },
    ];
  });
  const placed = new Set(made.flatMap((g) => [...g.children, ...g.away]));
  const alone = list
    .filter((c) => !placed.has(c.id))
    .map((c) => ({ id: c.id, day: firstDay(daysOf(c, ask.calendar) & (c.away ? ~1 : ~0)) }));
  return {
    groups: made.sort(
      (a, b) => a.day - b.day || sure(place.get(sure(a.children[0]))) - sure(place.get(sure(b.children[0]))),
    ),
    alone,
    days: Math.max(days, ...alone.map((a) => a.day + 1)),
  };
}

/** Those of a group who can play its game, on one day, with one key adult, none of them to be apart. */
function fitting(group: readonly Candidate[], { calendar }: GroupAsk): Candidate[] {
  const out = [...group];
  const first = out.find((c) => c.keyAdult)?.keyAdult;
  const stays = (c: Candidate, i: number): boolean =>
    !(first && c.keyAdult && c.keyAdult !== first) && !out.slice(0, i).some((b) => isTied(b, c, 'apart'));
  const company = out.filter(stays);
  const day = calendar
    .map((_, d) => company.filter((c) => (daysOf(c, calendar) >> d) & 1))
    .reduce((a, b) => (b.length > a.length ? b : a), []);
  const cannot = new Set(gameFor(day)?.cannot ?? []);
  return day.filter((c) => !cannot.has(c.id));
}

/** Who is left of a group of fewer than three joins another that has room and suits. */
function rehomed(groups: readonly Candidate[][], ask: GroupAsk): Candidate[][] {
  const out = groups.map((g) => [...g]);
  const small = out.filter((g) => g.length < GROUP_SIZE.least);
  for (const group of small)
    for (const child of [...group]) {
      const home = out.find(
        (g) =>
          g !== group &&
          g.length >= GROUP_SIZE.least &&
          g.length < GROUP_SIZE.most &&
          !g.some(
            (c) => isTied(c, child, 'apart') || (c.keyAdult && child.keyAdult && c.keyAdult !== child.keyAdult),
          ) &&
          gameFor([...g, child])?.cannot.length === 0 &&
          commonDays([...g, child], ask.calendar) > 0,
      );
      home?.push(child);
      group.splice(group.indexOf(child), 1);
    }
  return out.filter((g) => g.length > 0);
}
