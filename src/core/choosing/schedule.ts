import { sure } from '../sure';
import { commonDays, type Candidate, type GroupAsk } from './company';

/** The day of each group, and how many days that takes. */
export interface Scheduled {
  readonly days: number;
  readonly of: readonly number[];
}

/**
 * A day for each group: all of it comes then, each adult takes one group a day, the longest since they played come
 * first, in the fewest days. Where the days at hand do not do, adults take two groups, one after the other.
 * @example scheduled([four, five], { adults: 1, calendar: [1, 2, 3, 4, 5] }) // { days: 2, of: [0, 1] }
 */
export function scheduled(groups: readonly (readonly Candidate[])[], { adults, calendar }: GroupAsk): Scheduled {
  const order = groups
    .map((g, at) => ({
      at,
      bits: commonDays(g, calendar),
      wait: waitOf(g),
      adult: g.find((c) => c.keyAdult)?.keyAdult,
    }))
    .sort((a, b) => a.wait - b.wait || a.at - b.at);
  for (let turns = 1; turns <= Math.max(1, groups.length); turns += 1)
    for (let span = 1; span <= calendar.length; span += 1) {
      const of = dayEach(order, span, { adults: Math.max(1, adults), turns });
      if (of) return { days: Math.max(-1, ...of.values()) + 1, of: groups.map((_, i) => sure(of.get(i))) };
    }
  throw new Error('A group has no day on which all of it comes.');
}

/** How much can be played on a day. */
interface DayRoom {
  readonly adults: number;
  /** Groups that an adult takes, one after the other. */
  readonly turns: number;
}

interface ToPlace {
  readonly at: number;
  /** The days on which all of the group come, as bits. */
  readonly bits: number;
  readonly adult: string | null | undefined;
}

/** A day for each of some groups within a span; null where there is no such way. */
function dayEach(order: readonly ToPlace[], span: number, { adults, turns }: DayRoom): Map<number, number> | null {
  if (order.length > span * adults * turns) return null;
  const of = new Map<number, number>();
  const on = Array.from({ length: span }, (): ToPlace[] => []);
  // Whoever has fewest days is placed first; the day is then the first one that has room.
  const count = (bits: number): number => on.filter((_, d) => (bits >> d) & 1).length;
  const rows = [...order].sort((a, b) => count(a.bits) - count(b.bits));
  const place = (i: number): boolean => {
    const group = rows[i];
    if (!group) return true;
    for (const [d, there] of on.entries()) {
      const taken = there.filter((g) => g.adult && g.adult === group.adult).length;
      const isFree = there.length < adults * turns && taken < turns;
      if (!((group.bits >> d) & 1) || !isFree) continue;
      there.push(group);
      of.set(group.at, d);
      if (place(i + 1)) return true;
      there.pop();
    }
    return false;
  };
  return place(0) ? of : null;
}

/** When half of a group had played, milliseconds since 1970. */
const waitOf = (group: readonly Candidate[]): number =>
  [...group].map((c) => c.lastAt).sort((a, b) => a - b)[Math.floor(group.length / 2)] ?? 0;
