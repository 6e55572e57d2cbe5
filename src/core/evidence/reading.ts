import type { Help, Standing } from '../answers/outcome';
import { shownStep } from '../games';
import { groupBy } from '../group-by';
import { sure } from '../sure';
import { addCells, cellsOf, markOf, openIn, type Answered, type Cells } from './cells';
import type { StepRun } from './evidence';

/** An answer that stands, as one session has it of one child. */
export interface Given extends Answered {
  /** The step that was played; what it leaves open, the word says. */
  readonly step: string;
  readonly standing: Standing;
  /** When the child was asked, milliseconds since 1970. */
  readonly at: number;
  /** Days since 1970 where the setting is. */
  readonly day: number;
  readonly helps: readonly Help[];
  /** Who marked it: initials. */
  readonly by: string | null;
}

/**
 * The marks of a run as they are kept, with what is open behind them. Example: `11u;r opening after`.
 */
export const keptMarks = ({ marks, open = [] }: Pick<StepRun, 'marks' | 'open'>): string => [marks, ...open].join(';');

/** The same, read back. */
export function marksKept(kept: string): Pick<StepRun, 'marks' | 'open'> {
  const [marks = '', ...open] = kept.split(';');
  return open.length ? { marks, open } : { marks };
}

/** Who marked most of them. */
function mostly(of: readonly Given[]): string | null {
  const times = new Map<string, number>();
  for (const { by } of of) if (by) times.set(by, (times.get(by) ?? 0) + 1);
  return [...times].sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}

function runOf(of: readonly Given[]): StepRun {
  const last = sure(of.at(-1));
  const helps: Partial<Record<Help, number>> = {};
  for (const answer of of)
    if (answer.outcome === 'with-help') for (const help of answer.helps) helps[help] = (helps[help] ?? 0) + 1;
  const open = of.map(openIn).filter((keys) => keys.length);
  return {
    task: last.task,
    step: last.step,
    standing: last.standing,
    at: last.at,
    day: last.day,
    marks: of.map((a) => markOf(a) ?? '').join(''),
    helps,
    by: mostly(of),
    ...(open.length ? { open: open.map((keys) => keys.join('|')) } : {}),
  };
}

/**
 * What the answers of one child in one session say, step by step.
 * @param given in the order they were asked; what does not count is left out
 * @example runsFrom(given)[0]?.marks // '110u'
 */
export function runsFrom(given: readonly Given[]): StepRun[] {
  const counted = given
    .filter((a) => markOf(a) !== null)
    .map((a) => ({ ...a, step: shownStep(a.task, a.step, a.sounds) }));
  return [...groupBy(counted, (a) => `${a.task} ${a.step} ${a.standing}`).values()].map(runOf);
}

/** How each sound fared in the answers of one child in one session; null where they say nothing of sounds. */
export function cellsFrom(given: readonly Given[]): Cells | null {
  const all = given.map(cellsOf).filter((cells) => cells !== null);
  return all.length ? addCells(all) : null;
}
