import { HELPS, type Help, type Standing } from '../answers/outcome';
import { sure } from '../sure';
import { guessOf } from './guessing';
import { atLeastMixed } from './luck';
import { carries, LADDERS, rungOf, type Ladder, type Rung } from './ladders';
import { posteriorOf, type Tries } from './posterior';
import { RULE, type State } from './rule';
import { millisecondsInDay } from 'date-fns/constants';

/**
 * How an answer counts as evidence, one letter each: on own, with help, not yet, no reply. One that does not count is
 * none. A fifth letter, `u`, is an answer that is open: how the child speaks may be all that slipped.
 */
export const MARK_LETTERS = { 'on-own': '1', 'with-help': 'h', 'not-yet': '0', 'no-reply': '-' } as const;

/** The standing answers of one child to one step in one session, in order. */
export interface StepRun {
  readonly task: string;
  readonly step: string;
  /** How they stand as evidence; `room` where everyone missed it that day, so that it says nothing of one child. */
  readonly standing: Standing | 'room';
  /** Time of the last of them, milliseconds since 1970. */
  readonly at: number;
  /** Days since 1970 where the setting is. */
  readonly day: number;
  /** Letters of MARK_LETTERS; `u` for an answer that is open. */
  readonly marks: string;
  /** For each `u` in order, the sounds and places that are open, with bars between. */
  readonly open?: readonly string[];
  /** Who marked most of them: initials. */
  readonly by?: string | null;
  /** How many children answered in that session; absent where it is not known. */
  readonly among?: number;
  /** How often each help was noted. */
  readonly helps: Partial<Record<Help, number>>;
}

interface Counts {
  readonly own: number;
  readonly helped: number;
  readonly notYet: number;
  readonly noReply: number;
  /** Nobody can say yet whether these were missed. */
  readonly open: number;
}

export interface RungEvidence {
  readonly rung: Rung;
  readonly at: number;
  /** As it was at the last answer: no time that passes changes it. */
  readonly state: State;
  /** Fresh answers, alone: what the state is drawn from. */
  readonly fresh: Counts;
  /** Days with a fresh answer. */
  readonly days: number;
  /** Answers after a model or in chorus. */
  readonly practised: number;
  /** Answers in check-ins: right of how many. Shown apart. */
  readonly checked: { readonly right: number; readonly of: number; readonly lastAt: number } | null;
  /** Helps noted, most often first. */
  readonly helps: readonly Help[];
  /** Right answers on harder rungs that were counted too; null where none were needed. */
  readonly harder: { readonly right: number; readonly of: number } | null;
  /** How likely so many right would be by luck alone; null where luck has no part in it. */
  readonly luck: {
    readonly right: number;
    readonly of: number;
    readonly chance: number;
    readonly yesNo: boolean;
  } | null;
  readonly lastAt: number | null;
}

/** What was seen on one rung, ready to be pooled; weights are those of the day of its last answer. */
interface Seen {
  readonly fresh: readonly StepRun[];
  readonly counts: Counts;
  /** Days with an answer alone. */
  readonly days: ReadonlySet<number>;
  readonly lastAt: number;
  /** By chance of luck. */
  readonly alone: readonly Tries[];
  readonly managed: readonly Tries[];
}

const tallyMarks = (runs: readonly StepRun[]): Counts => {
  const times = { '1': 0, h: 0, '0': 0, '-': 0, u: 0 };
  for (const { marks } of runs) for (let i = 0; i < marks.length; i += 1) times[marks[i] as keyof typeof times] += 1;
  return { own: times['1'], helped: times.h, notYet: times['0'], noReply: times['-'], open: times.u };
};

/** How much an answer of then still weighs. */
const weightAfter = (then: number, now: number): number =>
  0.5 ** (Math.max(0, now - then) / millisecondsInDay / RULE.halfLifeDays);

function seenOn(runs: readonly StepRun[]): Seen {
  const fresh = runs.filter((r) => r.standing === 'fresh');
  const lastAt = fresh.at(-1)?.at ?? 0;
  const by = new Map<number, Record<'own' | 'helped' | 'notYet' | 'open', number>>();
  const days = new Set<number>();
  for (const run of fresh) {
    const weight = weightAfter(run.at, lastAt);
    const guess = guessOf(run.task, run.step);
    const sums = by.get(guess) ?? { own: 0, helped: 0, notYet: 0, open: 0 };
    const { own, helped, notYet, open } = tallyMarks([run]);
    sums.own += own * weight;
    sums.helped += helped * weight;
    sums.notYet += notYet * weight;
    sums.open += open * weight;
    if (own || notYet) days.add(run.day);
    by.set(guess, sums);
  }
  return {
    fresh,
    counts: tallyMarks(fresh),
    days,
    lastAt,
    // Help begins after the child's own first try, so an answer with help is a try that did not come off alone. What
    // is open may be a miss where something is to hold, and may be right where something is to be missing.
    alone: [...by].map(([guess, s]) => ({ guess, right: s.own, wrong: s.helped + s.notYet + s.open })),
    managed: [...by].map(([guess, s]) => ({ guess, right: s.own + s.helped + s.open, wrong: s.notYet })),
  };
}

/** The same tries, so much later. */
const asOf = ({ alone, lastAt }: Seen, now: number): Tries[] => {
  const weight = weightAfter(lastAt, now);
  return alone.map(({ guess, right, wrong }) => ({ guess, right: right * weight, wrong: wrong * weight }));
};

const tried = ({ own, helped, notYet }: Counts): number => own + helped + notYet;
/**
 * Right answers beyond what a child with just this rate would give: below none, nobody can be sure of a higher one,
 * and above none of a lower.
 */
const beyond = (tries: readonly Tries[], rate: number): number =>
  tries.reduce((sum, { right, wrong, guess }) => sum + right - (right + wrong) * (guess + (1 - guess) * rate), 0);
const isSecure = (tries: readonly Tries[], answers: number, days: number): boolean =>
  answers >= RULE.secure.answers &&
  days >= RULE.secure.days &&
  beyond(tries, RULE.secure.rate) > 0 &&
  posteriorOf(tries).above(RULE.secure.rate) >= RULE.secure.sure;
const isNotYet = (managed: readonly Tries[], answers: number): boolean =>
  answers >= RULE.notYet.answers &&
  beyond(managed, RULE.notYet.rate) < 0 &&
  1 - posteriorOf(managed).above(RULE.notYet.rate) >= RULE.notYet.sure;

interface Pool {
  readonly secure: boolean;
  /** The hardest rung that was counted. */
  readonly to: number;
}

/**
 * The pool that speaks most clearly for a rung: its own answers, or those of harder rungs with them. What is managed
 * on a harder rung would be managed here, and what is missed there counts as missed too, so a pool can only be too
 * careful.
 */
function bestPool(ladder: Ladder, seen: readonly Seen[], at: number): Pool {
  const pooled: Seen[] = [];
  let answers = 0;
  const days = new Set<number>();
  for (let to = at; to < seen.length; to += 1) {
    const here = sure(seen[to]);
    if (!here.fresh.length || (to > at && !carries(ladder, to, at))) continue;
    pooled.push(here);
    answers += here.counts.own + here.counts.notYet;
    for (const day of here.days) days.add(day);
    const last = Math.max(...pooled.map((s) => s.lastAt));
    if (
      isSecure(
        pooled.flatMap((s) => asOf(s, last)),
        answers,
        days.size,
      )
    )
      return { secure: true, to };
  }
  return { secure: false, to: at };
}

const luckIn = (seen: Seen): RungEvidence['luck'] => {
  const shares = seen.fresh.flatMap((r) =>
    [...r.marks].filter((m) => m === '1' || m === '0').map(() => guessOf(r.task, r.step)),
  );
  if (!shares.some((s) => s > 0)) return null;
  return {
    right: seen.counts.own,
    of: shares.length,
    chance: atLeastMixed(seen.counts.own, shares),
    yesNo: shares.every((s) => s === 0.5),
  };
};

/** Luck worth telling: most came off, and guessing explains it well enough to matter. */
const LUCKY = { chance: 0.05, answers: 3 } as const;
export const isLucky = ({ luck }: Pick<RungEvidence, 'luck'>): boolean =>
  luck !== null && luck.of >= LUCKY.answers && luck.right * 2 >= luck.of && luck.chance >= LUCKY.chance;

const helpsIn = (runs: readonly StepRun[]): Help[] => {
  const times = (help: Help): number => runs.reduce((sum, r) => sum + (r.helps[help] ?? 0), 0);
  return HELPS.filter((h) => times(h) > 0).sort((a, b) => times(b) - times(a));
};

/**
 * Where a child is on one ladder, from the runs of that child. Pure: the same runs in any order give the same states,
 * whenever it is asked.
 *
 * @example ladderEvidence(ladderOf('blending'), runs)[2].state // 'secure'
 */
export const ladderEvidence = (ladder: Ladder, runs: readonly StepRun[]): RungEvidence[] =>
  rungsOf(ladder, placed(runs).get(ladder.id) ?? ladder.rungs.map(() => []));

/** Runs by ladder and rung, each in the order of time; those too old beside the last ones are left out. */
function placed(runs: readonly StepRun[]): Map<string, StepRun[][]> {
  const out = new Map<string, StepRun[][]>();
  for (const run of runs) {
    const place = rungOf(run.task, run.step);
    if (!place) continue;
    let rungs = out.get(place.ladder.id);
    if (!rungs) out.set(place.ladder.id, (rungs = place.ladder.rungs.map(() => [])));
    sure(rungs[place.at]).push(run);
  }
  for (const rungs of out.values())
    for (const [at, runs] of rungs.entries()) {
      runs.sort((a, b) => a.at - b.at || (a.task + a.step < b.task + b.step ? -1 : 1));
      const since = (runs.at(-1)?.at ?? 0) - RULE.oldestDays * millisecondsInDay;
      if (runs[0] && runs[0].at < since) rungs[at] = runs.filter((r) => r.at >= since);
    }
  return out;
}

/** The state of a rung by itself, before a harder one carries it. */
function ownState({ managed, counts }: Seen, { secure }: Pool): State {
  if (secure) return 'secure';
  if (isNotYet(managed, tried(counts) + counts.open)) return 'not-yet';
  return tried(counts) >= RULE.fewest ? 'getting-there' : 'not-enough';
}

const latest = (runs: readonly StepRun[]): number => Math.max(...runs.map((r) => r.at));

/** Answers of a check-in, which are told apart; null where there was none. */
function checkedIn(runs: readonly StepRun[]): RungEvidence['checked'] {
  const checks = runs.filter((r) => r.standing === 'check-in');
  if (!checks.length) return null;
  const counts = tallyMarks(checks);
  return { right: counts.own, of: tried(counts), lastAt: latest(checks) };
}

const PRACTISED: ReadonlySet<StepRun['standing']> = new Set(['after-a-model', 'in-chorus']);
const answersIn = (runs: readonly StepRun[]): number => runs.reduce((sum, r) => sum + r.marks.length, 0);
const daysIn = (runs: readonly StepRun[]): number =>
  new Set(runs.filter((r) => /[1h0u]/u.test(r.marks)).map((r) => r.day)).size;

function rungsOf(ladder: Ladder, byRung: readonly (readonly StepRun[])[]): RungEvidence[] {
  const seen = byRung.map(seenOn);
  const pools = seen.map((_, at) => bestPool(ladder, seen, at));
  const own = seen.map((s, at) => ownState(s, sure(pools[at])));
  return ladder.rungs.map((rung, at) => {
    const [runs, s] = [sure(byRung[at]), sure(seen[at])];
    // A harder rung that holds carries the easier ones, unless what was seen here says no.
    const carrier = own.findIndex((state, j) => state === 'secure' && carries(ladder, j, at));
    const carried = own[at] !== 'secure' && own[at] !== 'not-yet' && carrier >= 0;
    const to = carried ? Math.max(carrier, sure(pools[carrier]).to) : sure(pools[at]).to;
    const counted = seen.filter((_, j) => j <= to && carries(ladder, j, at));
    const harder = to > at ? tallyMarks(counted.flatMap((above) => above.fresh)) : null;
    return {
      rung,
      at,
      state: carried ? 'secure' : sure(own[at]),
      fresh: s.counts,
      days: daysIn(s.fresh),
      helps: helpsIn(s.fresh),
      harder: harder ? { right: harder.own, of: tried(harder) } : null,
      practised: answersIn(runs.filter((r) => PRACTISED.has(r.standing))),
      checked: checkedIn(runs),
      luck: luckIn(s),
      lastAt: runs.length ? latest(runs) : null,
    };
  });
}

export interface LadderEvidence {
  readonly ladder: Ladder;
  readonly rungs: readonly RungEvidence[];
}

/** Every ladder of a child, as it was at the last answer. */
export function evidenceOf(runs: readonly StepRun[]): LadderEvidence[] {
  const by = placed(runs);
  return LADDERS.map((ladder) => ({ ladder, rungs: rungsOf(ladder, by.get(ladder.id) ?? ladder.rungs.map(() => [])) }));
}
