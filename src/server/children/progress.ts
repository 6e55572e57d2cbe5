import { inGroup } from '../../core/choosing/advice';
import { groupsFor, type Grouping } from '../../core/choosing/grouping';
import { BEGIN_ORDER, ladderOf } from '../../core/evidence/ladders';
import { EASY_FIRST, plainStep, type NextStep } from '../../core/choosing/next-step';
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

async function read(group: Group, now: number): Promise<Read> {
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
  (await read(group, now)).children;

export interface DueRung {
  readonly ladder: string;
  readonly rung: string;
  readonly does: string;
  /** Ids of those whose time has come. */
  readonly children: readonly string[];
  /** Days since it was last seen, of the child it is longest ago for. */
  readonly days: number;
}

export interface Tomorrow {
  readonly grouping: Grouping;
  readonly names: Readonly<Record<string, string>>;
  readonly staff: number;
  readonly due: readonly DueRung[];
}

/** The first step of all, for a child of whom nothing is known. */
function beginningOf(unitOrder: Read['settings']['unitOrder']): NextStep {
  const first = ladderOf(sure(BEGIN_ORDER[unitOrder][0]));
  const rung = sure(first.rungs[0]);
  return plainStep(first.id, rung, 'begin', EASY_FIRST);
}

/** Groups for those who are here, and what is due to come again. */
export async function tomorrowFor(group: Group, now = Date.now()): Promise<Tomorrow> {
  const {
    children,
    settings: { unitOrder, staff },
  } = await read(group, now);
  const here = children.filter((c) => !c.away);
  return {
    grouping: groupsFor(
      here.map((c) => ({ id: c.id, next: inGroup(c), other: c.other })),
      staff,
      beginningOf(unitOrder),
    ),
    staff,
    names: Object.fromEntries(children.map((c) => [c.id, c.name])),
    due: dueIn(here, now),
  };
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
