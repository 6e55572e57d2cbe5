import { evidenceOf, type LadderEvidence, type Run } from '../../core/progress/evidence';
import { groupsFor, type Grouping } from '../../core/progress/grouping';
import { BEGIN_ORDER, ladderOf, rungNow } from '../../core/progress/ladders';
import { highest, nextSteps, type NextStep } from '../../core/progress/next-step';
import { reviewOf } from '../../core/progress/review';
import { chosenSteps, type ChosenStep } from './chosen-steps';
import { runsOf } from '../answers/kept-evidence';
import type { Group } from '../people/groups';
import { getProgressSettings, type ProgressSettings } from '../setting/settings';
import { sure } from '../../core/sure';
import { progress as say } from './text';

export interface Chosen extends ChosenStep {
  readonly step: NextStep;
}

export interface ChildProgress {
  readonly id: string;
  readonly name: string;
  readonly away: boolean;
  readonly ladders: readonly LadderEvidence[];
  readonly next: readonly NextStep[];
  /** What an adult chose in place of it. */
  readonly chosen: Chosen | null;
}

/** A chosen step with its words. */
export function chosenOf(choice: ChosenStep | undefined): Chosen | null {
  const rung = choice && rungNow(choice.ladder, choice.rung);
  return choice && rung
    ? {
        ...choice,
        step: {
          ladder: ladderOf(choice.ladder).id,
          rung: rung.id,
          rungOf: rung,
          move: 'stay',
          reason: say.chosenBy(choice.by),
        },
      }
    : null;
}

interface Read {
  readonly settings: ProgressSettings;
  readonly children: readonly ChildProgress[];
  readonly runs: ReadonlyMap<string, readonly Run[]>;
}

async function read(group: Group, now: number): Promise<Read> {
  const ids = group.children.map((c) => c.id);
  const [settings, runs, chosen] = await Promise.all([getProgressSettings(), runsOf(ids), chosenSteps(ids)]);
  const { rule, unitOrder } = settings;
  return {
    settings,
    runs,
    children: group.children.map(({ id, name, away }) => {
      const own = sure(runs.get(id));
      const ladders = evidenceOf(own, now, rule, false);
      return { id, name, away, ladders, next: nextSteps(ladders, own, unitOrder), chosen: chosenOf(chosen.get(id)) };
    }),
  };
}

/** Every child of a group on every ladder. */
export const boardOf = async (group: Group, now = Date.now()): Promise<readonly ChildProgress[]> =>
  (await read(group, now)).children;

interface DueRung {
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

const DAY_MS = 86_400_000;

/** Groups for those who are here, and what is due to come again. */
export async function tomorrowFor(group: Group, now = Date.now()): Promise<Tomorrow> {
  const {
    children,
    runs,
    settings: { unitOrder, staff },
  } = await read(group, now);
  const first = ladderOf(sure(BEGIN_ORDER[unitOrder][0]));
  const beginning: NextStep = {
    ladder: first.id,
    rung: sure(first.rungs[0]).id,
    rungOf: sure(first.rungs[0]),
    move: 'begin',
    reason: say.easyFirstStep,
  };
  const here = children.filter((c) => !c.away);
  const grouping = groupsFor(
    here.map((c) => ({ id: c.id, next: c.chosen ? [c.chosen.step, ...c.next] : c.next })),
    staff,
    beginning,
  );
  return {
    grouping,
    staff,
    names: Object.fromEntries(children.map((c) => [c.id, c.name])),
    due: dueIn(here, runs, now),
  };
}

/**
 * The highest rung that holds on each ladder of each child, where its time has come; by rung, the longest wait first.
 */
function dueIn(children: readonly ChildProgress[], runs: Read['runs'], now: number): DueRung[] {
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
    for (const { ladder, rungs } of child.ladders) {
      const top = highest(rungs);
      const review = top >= 0 ? reviewOf(sure(runs.get(child.id)), ladder.id, top) : null;
      if (!review || review.dueAt > now) continue;
      const rung = sure(rungs[top]).rung;
      const row = due.get(`${ladder.id} ${rung.id}`) ?? {
        ladder: ladder.id,
        rung: rung.id,
        does: rung.does,
        children: [],
        days: 0,
      };
      row.children.push(child.id);
      row.days = Math.max(row.days, Math.floor((now - review.lastAt) / DAY_MS));
      due.set(`${ladder.id} ${rung.id}`, row);
    }
  }
  return [...due.values()].sort((a, b) => b.days - a.days || (a.does < b.does ? -1 : 1));
}
