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

/** One adult on one day, with time for one group. */
interface Slot {
  readonly day: number;
  readonly adult: number;
}

/**
 * A day for each of some groups within a span; null where there is no such way. Slots are given out one group after the
 * other, and a group that is in the way moves where it can (augmenting paths: Kuhn 1955, from memory).
 */
function dayEach(order: readonly ToPlace[], span: number, { adults, turns }: DayRoom): Map<number, number> | null {
  const named = [...new Set(order.flatMap((g) => g.adult ?? []))];
  const slots = Array.from({ length: span * turns * adults }, (_, i): Slot => {
    return { day: Math.floor(i / (turns * adults)), adult: i % adults };
  });
  const taken = new Map<Slot, ToPlace>();
  const suits = ({ bits, adult }: ToPlace, slot: Slot): boolean =>
    ((bits >> slot.day) & 1) === 1 && (!adult || named.indexOf(adult) % adults === slot.adult);
  const place = (group: ToPlace, seen: Set<Slot>): boolean =>
    slots.some((slot) => {
      if (seen.has(slot) || !suits(group, slot)) return false;
      seen.add(slot);
      const there = taken.get(slot);
      if (there && !place(there, seen)) return false;
      taken.set(slot, group);
      return true;
    });
  if (!order.every((group) => place(group, new Set()))) return null;
  return new Map([...taken].map(([slot, group]) => [group.at, slot.day]));
}

/** When half of a group had played, milliseconds since 1970. */
const waitOf = (group: readonly Candidate[]): number =>
  [...group].map((c) => c.lastAt).sort((a, b) => a - b)[Math.floor(group.length / 2)] ?? 0;
