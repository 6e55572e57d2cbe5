import type { Group } from '../people/groups';
import { advised, type Advised } from './advised';
import { sure } from '../../core/sure';
import { millisecondsInDay } from 'date-fns/constants';

export interface ChildProgress extends Advised {
  readonly id: string;
  readonly name: string;
  readonly away: boolean;
}

interface Read {
  readonly settings: Awaited<ReturnType<typeof advised>>['settings'];
  readonly children: readonly ChildProgress[];
}

/** Every child of a group on every ladder, and how the setting wants it. */
export async function boardWith(group: Group, now: number): Promise<Read> {
  const { settings, of } = await advised(
    group.children.map((c) => c.id),
    now,
  );
  return {
    settings,
    children: group.children.map(({ id, name, away }) => ({ id, name, away, ...sure(of.get(id)) })),
  };
}

/** Every child of a group on every ladder. */
export const boardOf = async (group: Group, now = Date.now()): Promise<readonly ChildProgress[]> =>
  (await boardWith(group, now)).children;

export interface DueRung {
  readonly ladder: string;
  readonly rung: string;
  readonly does: string;
  /** Ids of those whose time has come. */
  readonly children: readonly string[];
  /** Days since it was last seen, of the child it is longest ago for. */
  readonly days: number;
}

/**
 * The highest rung that holds on each ladder of each child, where its time has come; by rung, the longest wait first.
 */
export function dueIn(children: readonly ChildProgress[], now: number): DueRung[] {
  const due = new Map<
    string,
    {
      ladder: string;
      rung: string;
      does: string;
      children: string[];
      days: number;
    }
  >();
  for (const child of children) {
    for (const { ladder, holds, due: review } of child.skills) {
      if (!review || !holds || review.dueAt > now) continue;
      const { rung } = holds;
      const row = due.get(`${ladder.id} ${rung.id}`) ?? {
        ladder: ladder.id,
        rung: rung.id,
        does: rung.does,
        children: [],
        days: 0,
      };
      row.children.push(child.id);
      row.days = Math.max(row.days, Math.floor((now - review.lastAt) / millisecondsInDay));
      due.set(`${ladder.id} ${rung.id}`, row);
    }
  }
  return [...due.values()].sort((a, b) => b.days - a.days || (a.does < b.does ? -1 : 1));
}
