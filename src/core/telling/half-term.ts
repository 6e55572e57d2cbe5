import { capital, inWords, listed } from '../in-words';
import { evidenceOf, type RungEvidence, type StepRun } from '../evidence/evidence';
import { rungOf, type Ladder } from '../evidence/ladders';
import type { Skill } from '../choosing/advice';
import { holdsIn } from '../choosing/next-step';
import { STATES, type State } from '../evidence/rule';
import { millisecondsInDay } from 'date-fns/constants';

const onDays = (n: number): string => (n === 1 ? 'one day' : `${inWords(n)} days`);

const people = (n: number): string => (n === 1 ? 'one child' : `${inWords(n)} children`);

const turnsInSixWeeks = (days: number, turns: number) =>
  `The children played on ${onDays(days)} in the last six weeks and had ${turns} turn${turns === 1 ? '' : 's'} ` +
  'between them.';

const ladderPlayed = (name: string, children: number, days: number) =>
  `We played ${name} on ${onDays(days)}, with ${people(children)}.`;

const CHILDREN_AT = {
  secure: (n: number) => `${people(n)} ${n === 1 ? 'is' : 'are'} secure at one step or more`,
  'getting-there': (n: number) => `${people(n)} ${n === 1 ? 'is' : 'are'} getting there`,
  'not-yet': (n: number) => `${people(n)} ${n === 1 ? 'isn’t' : 'aren’t'} there yet`,
  'not-enough': (n: number) => `we haven’t seen enough of ${people(n)}`,
} as const;

/** A child, as far as a page on the group goes. */
export interface HalfTermChild {
  readonly name: string;
  /** Settled runs. */
  readonly runs: readonly StepRun[];
  readonly skills: readonly Pick<Skill, 'ladder' | 'rungs' | 'holds'>[];
}

/** How many children are at which state of a step. */
interface HalfTermRow {
  readonly ladder: string;
  readonly step: string;
  readonly states: Readonly<Record<State, number>>;
}

/** A page on a group: whole sentences, and the counts behind them. Numbers of children, never a ranking. */
export interface HalfTerm {
  readonly played: readonly string[];
  readonly where: readonly string[];
  readonly tooLittle: readonly string[];
  readonly rows: readonly HalfTermRow[];
  readonly change: readonly SkillChange[];
}

/** How many children held some step of a skill six weeks ago, and hold one now, of those who have played it. */
export interface SkillChange {
  readonly name: string;
  readonly before: number;
  readonly now: number;
  readonly of: number;
}

/** Half a term, and so few answers in it that nothing should be made of them. Common practice, no source. */
const HALF_TERM = { days: 42, few: 10 } as const;

/** Turns in runs: no reply is a turn too. */
const turnsIn = (runs: readonly StepRun[]): number => runs.reduce((sum, r) => sum + r.marks.length, 0);
const daysIn = (runs: readonly StepRun[]): number => new Set(runs.map((r) => r.day)).size;

/** The state a child has reached on a ladder, the best of its steps first; null where none was tried. */
function reached({ rungs, holds }: Pick<Skill, 'rungs' | 'holds'>): State | null {
  const tried = rungs.filter((r) => r.lastAt !== null).map((r) => r.state);
  if (!tried.length) return null;
  return holds ? 'secure' : (STATES.find((s) => tried.includes(s)) ?? null);
}

/**
 * How a group has been doing over half a term.
 * @param now milliseconds since 1970
 * @example halfTermOf(children, now).played[0] // 'The children played on 14 days in the last six weeks.'
 */
export function halfTermOf(children: readonly HalfTermChild[], now: number): HalfTerm {
  const since = now - HALF_TERM.days * millisecondsInDay;
  const lately = children.map((c) => ({ ...c, runs: c.runs.filter((r) => r.at > since && r.at <= now) }));
  const all = lately.flatMap((c) => c.runs);
  const ladders = children[0]?.skills.map((s) => s.ladder) ?? [];
  const on = (runs: readonly StepRun[], id: string): StepRun[] =>
    runs.filter((r) => rungOf(r.task, r.step)?.ladder.id === id);
  const playedOn = ladders.filter((l) => on(all, l.id).length);
  const not = ladders.filter((l) => !playedOn.includes(l));
  const few = lately.filter((c) => turnsIn(c.runs) < HALF_TERM.few).map((c) => c.name);
  return {
    played: all.length
      ? [
          turnsInSixWeeks(daysIn(all), turnsIn(all)),
          ...playedOn.map(({ id, name }) =>
            ladderPlayed(name.toLowerCase(), lately.filter((c) => on(c.runs, id).length).length, daysIn(on(all, id))),
          ),
          ...(not.length
            ? [`We haven’t played these in that time: ${listed(not.map((l) => l.name.toLowerCase()))}.`]
            : []),
        ]
      : ['Nothing has been played in the last six weeks.'],
    where: playedOn.flatMap(({ id, name }) => {
      const states = children.flatMap((c) => reachedOn(c, id) ?? []);
      const countAt = (state: State): number => states.filter((s) => s === state).length;
      const parts = STATES.flatMap((state) => (countAt(state) ? [CHILDREN_AT[state](countAt(state))] : []));
      return parts.length ? [`In ${name.toLowerCase()}, ${listed(parts)}.`] : [];
    }),
    tooLittle: few.length
      ? [`We’ve seen fewer than ten turns from ${listed(few)} in this time, so this says little of them.`]
      : [],
    rows: halfTermRows(children),
    change: playedOn.map((ladder) => changeOn(ladder, children, since)),
  };
}

/** What held then, from what had been seen until then. */
function changeOn({ id, name }: Ladder, children: readonly HalfTermChild[], since: number): SkillChange {
  const holdsOne = (rungs: readonly RungEvidence[]): boolean => holdsIn(rungs) !== undefined;
  const have = children.filter((c) => reachedOn(c, id) !== null);
  const then = have.filter(({ runs }) =>
    evidenceOf(runs.filter((r) => r.at <= since)).some((l) => l.ladder.id === id && holdsOne(l.rungs)),
  );
  return { name, before: then.length, now: have.filter((c) => reachedOn(c, id) === 'secure').length, of: have.length };
}

const reachedOn = ({ skills }: HalfTermChild, id: string): State | null => {
  const on = skills.find((s) => s.ladder.id === id);
  return on ? reached(on) : null;
};

/** Every step that somebody has tried, with how many children are at which state of it. */
function halfTermRows(children: readonly HalfTermChild[]): HalfTermRow[] {
  const steps =
    children[0]?.skills.flatMap(({ ladder }) => ladder.rungs.map((rung, at) => ({ ladder, rung, at }))) ?? [];
  return steps.flatMap(({ ladder, rung, at }) => {
    const tried = children.flatMap((c) => {
      const rung = c.skills.find((s) => s.ladder.id === ladder.id)?.rungs[at];
      return rung && rung.lastAt !== null ? [rung.state] : [];
    });
    if (!tried.length) return [];
    const countAt = (state: State): number => tried.filter((s) => s === state).length;
    const states = Object.fromEntries(STATES.map((s) => [s, countAt(s)])) as Record<State, number>;
    return [{ ladder: ladder.name, step: capital(rung.does), states }];
  });
}
