import type { Cells } from './cells';
import type { StepRun } from './evidence';
import { KEPT_DAYS, verdictOn, type PebbleCheck, type Verdict } from './pebbles';

/** All that was seen of a child, as it is kept. */
export interface ChildSeen {
  readonly runs: readonly StepRun[];
  /** What became of single sounds, a session each. */
  readonly sessions: readonly SessionCells[];
  readonly checks: readonly PebbleCheck[];
}

export interface SessionCells {
  /** When the session was, milliseconds since 1970. */
  readonly at: number;
  readonly cells: Cells;
}

/** A slip nobody can call awareness or speech yet. */
export interface OpenSlip {
  /** Sound and place. */
  readonly key: string;
  /** How often it came within the days a check is good for. */
  readonly times: number;
  /** Days on which it came. */
  readonly days: number;
  readonly lastAt: number;
  readonly verdict: Exclude<Verdict, 'speech' | 'awareness'>;
}

/** What was seen once every slip is called what it was; an answer that is open keeps its letter. */
export interface SettledSeen {
  readonly runs: readonly StepRun[];
  readonly sessions: readonly SessionCells[];
  /** The most often first. */
  readonly open: readonly OpenSlip[];
}

/** What an open answer counts as once the verdicts on its sounds are known; null where it stays open. */
function letterFor(verdicts: readonly Verdict[]): string | null {
  if (verdicts.includes('awareness')) return '0';
  return verdicts.every((v) => v === 'speech') ? '1' : null;
}

function settledRun(run: StepRun, checks: readonly PebbleCheck[]): StepRun {
  const { open: keys, ...rest } = run;
  if (!keys?.length) return run;
  const left = [...keys];
  const marks = [...run.marks]
    .map((m) => {
      if (m !== 'u') return m;
      const about = (left.shift() ?? '').split('|');
      return letterFor(about.map((key) => verdictOn(checks, key, run.at))) ?? m;
    })
    .join('');
  return { ...rest, marks };
}

/** The cells of a session with what is open credited, held against the child, or left out. */
function settledCells({ at, cells }: SessionCells, checks: readonly PebbleCheck[]): SessionCells {
  if (!Object.values(cells).some((c) => c[2])) return { at, cells };
  if (!Object.values(cells).some(([, , open]) => open)) return { at, cells };
  return {
    at,
    cells: Object.fromEntries(
      Object.entries(cells).flatMap(([key, [asked, held, open = 0]]): [string, Cells[string]][] => {
        if (!open) return [[key, [asked, held]]];
        const verdict = verdictOn(checks, key, at);
        if (verdict === 'speech') return [[key, [asked, held + open]]];
        if (verdict === 'awareness') return [[key, [asked, held]]];
        return asked > open ? [[key, [asked - open, held]]] : [];
      }),
    ),
  };
}

/** What most people leave out is nothing to settle: the d of *hand*. */
const ORDINARY = 'd closing after';

const isSettled = (verdict: Verdict): verdict is 'speech' | 'awareness' =>
  verdict === 'speech' || verdict === 'awareness';

/** The slips of the last weeks that are still open, the most often first. */
function openIn(runs: readonly StepRun[], checks: readonly PebbleCheck[], now: number): OpenSlip[] {
  const since = now - KEPT_DAYS * 86_400_000;
  const found = new Map<string, { times: number; on: Set<number>; lastAt: number }>();
  for (const { at, day, standing, open = [] } of runs)
    if (at >= since && standing !== 'room')
      for (const key of open.flatMap((keys) => keys.split('|'))) {
        if (isSettled(verdictOn(checks, key, at))) continue;
        const slip = found.get(key) ?? { times: 0, on: new Set<number>(), lastAt: 0 };
        found.set(key, { times: slip.times + 1, on: slip.on.add(day), lastAt: Math.max(slip.lastAt, at) });
      }
  return [...found]
    .flatMap(([key, { times, on, lastAt }]): OpenSlip[] => {
      const verdict = verdictOn(checks, key, lastAt);
      if (isSettled(verdict) || key === ORDINARY) return [];
      return [{ key, times, days: on.size, lastAt, verdict }];
    })
    .sort((a, b) => b.times - a.times || b.lastAt - a.lastAt || (a.key < b.key ? -1 : 1));
}

/**
 * Speech told from awareness: what a check has settled counts, as right or as missed; what it has not stays open, so
 * that nothing is called secure that may have been missed, nor not yet that may have been right.
 * @example settle({ runs, sessions, checks }, now).open[0]?.key // 'r opening after'
 */
export function settle({ runs, sessions, checks }: ChildSeen, now: number): SettledSeen {
  return {
    runs: runs.map((run) => settledRun(run, checks)),
    sessions: sessions.map((session) => settledCells(session, checks)),
    open: openIn(runs, checks, now),
  };
}
