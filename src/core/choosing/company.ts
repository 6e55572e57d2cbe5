import type { CanPlay } from './group-game';

/** Weekdays, 1 for Monday to 5 for Friday. */
export const EVERY_DAY: readonly number[] = [1, 2, 3, 4, 5];

/** When a child comes, and with whom. */
export interface Company {
  /** Weekdays on which the child comes, 1 for Monday to 5 for Friday. */
  readonly days: readonly number[];
  /** The adult whose group the child is to be in; null for any. */
  readonly keyAdult: string | null;
  /** Ids of children to be in the same group, and of children never to be. */
  readonly together: readonly string[];
  readonly apart: readonly string[];
}

/** A child to be put in a group: what they can play, when they come, with whom. */
export interface Candidate extends CanPlay, Company {
  /** Not here on the first day. */
  readonly away: boolean;
  /** When the child last played, milliseconds since 1970; 0 for never. */
  readonly lastAt: number;
}

/** What is asked beside the children. */
export interface GroupAsk {
  /** Adults who can lead a group, each one group a day. */
  readonly adults: number;
  /** Weekdays of the days to come, the first one first. Example: `[4, 5, 1, 2, 3]`, from a Thursday. */
  readonly calendar: readonly number[];
}

/** Bits of the days on which a child comes. */
export const daysOf = ({ days }: Pick<Candidate, 'days'>, calendar: readonly number[]): number =>
  calendar.reduce((bits, day, i) => (days.includes(day) ? bits | (1 << i) : bits), 0);

/** Bits of the days on which all of some children come; not the first one where fewer than two are here today. */
export function commonDays(children: readonly Candidate[], calendar: readonly number[]): number {
  const all = children.reduce((bits, c) => bits & daysOf(c, calendar), (1 << calendar.length) - 1);
  const here = children.filter((c) => !c.away).length;
  const later = all & ~1;
  return here < Math.min(children.length, 2) && later ? later : all;
}

export const GROUP_SIZE = { least: 3, most: 6 } as const;

/** The first of some days, as a place; 0 where there is none. Example: `firstDay(0b100) // 2`. */
export const firstDay = (bits: number): number => (bits ? 31 - Math.clz32(bits & -bits) : 0);

/** True for two who are to be together, or apart, whoever of them it was set for. */
export const isTied = (a: Candidate, b: Candidate, kind: 'together' | 'apart'): boolean =>
  a[kind].includes(b.id) || b[kind].includes(a.id);
