import { HELPS, type Help, type Standing } from '../answers/outcome';
import { sure } from '../sure';
import { guessOf } from './guessing';
import { atLeastMixed } from './luck';
import { carries, LADDERS, rungOf, type Ladder, type Rung } from './ladders';
import { posteriorOf, type Tries } from './posterior';
import { PLAIN, RULE, type RuleId, type State } from './rule';
import { millisecondsInDay } from 'date-fns/constants';

/**
 * How an answer counts as evidence, one letter each: on own, with help, not yet, no reply. One that does not count is
 * none.
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
  /** Letters of MARKS; `u` for an answer that is open, because how the child speaks may be all that slipped. */
  readonly marks: string;
  /** For each `u` in order, the sounds and places that are open, with bars between. */
  readonly open?: readonly string[];
  /** Who marked most of them: initials. */
  readonly by?: string | null;
  /** How often each help was noted. */
  readonly helps: Partial<Record<Help, number>>;
}

interface Counts {
  readonly own: number;
  readonly helped: number;
  readonly notYet: number;
  readonly noReply: number;
}

export interface RungEvidence {
  readonly rung: Rung;
  readonly at: number;
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
  /** Right answers on harder rungs that were counted too; 0 where none were needed. */
  readonly harder: { readonly right: number; readonly of: number } | null;
  /**
   * The rate of answers on their own, guessing taken out: middle and nine tenths of the doubt. `null` where nothing
   * was seen or no detail was asked for.
   */
  readonly rate: { readonly mean: number; readonly low: number; readonly high: number } | null;
  /** How likely so many right would be by luck alone; null where luck has no part in it. */
  readonly luck: {
    readonly right: number;
    readonly of: number;
    readonly chance: number;
    readonly yesNo: boolean;
  } | null;
  readonly lastAt: number | null;
  /**
   * Turns it would take to know, going on like this: null where forty are not enough or it was not worked out, 0 where
   * it is known.
   */
  readonly more: number | null;
}

const weightAt = (at: number, now: number): number =>
  0.5 ** (Math.max(0, now - at) / millisecondsInDay / RULE.halfLifeDays);

/** What was seen on one rung, ready to be pooled. */
interface Seen {
  readonly fresh: readonly StepRun[];
  readonly counts: Counts;
  readonly days: ReadonlySet<number>;
  /** By chance of luck. */
  readonly alone: readonly Tries[];
  readonly managed: readonly Tries[];
}

const tallyMarks = (runs: readonly StepRun[]): Counts => {
  const times = { '1': 0, h: 0, '0': 0, '-': 0 };
  for (const { marks } of runs) for (let i = 0; i < marks.length; i += 1) times[marks[i] as keyof typeof times] += 1;
  return { own: times['1'], helped: times.h, notYet: times['0'], noReply: times['-'] };
};

function seenOn(runs: readonly StepRun[], now: number): Seen {
  const fresh = runs.filter((r) => r.standing === 'fresh');
  const by = new Map<number, { own: number; helped: number; notYet: number }>();
  const days = new Set<number>();
  for (const run of fresh) {
    const weight = weightAt(run.at, now);
    const guess = guessOf(run.task, run.step);
    const sums = by.get(guess) ?? { own: 0, helped: 0, notYet: 0 };
    const { own, helped, notYet } = tallyMarks([run]);
    sums.own += own * weight;
    sums.helped += helped * weight;
    sums.notYet += notYet * weight;
    if (own || notYet) days.add(run.day);
    by.set(guess, sums);
  }
  return {
    fresh,
    counts: tallyMarks(fresh),
    days,
    // Help begins after the child's own first try, so an answer with help is a try that did not come off alone.
    alone: [...by].map(([guess, s]) => ({ guess, right: s.own, wrong: s.helped + s.notYet })),
    managed: [...by].map(([guess, s]) => ({ guess, right: s.own + s.helped, wrong: s.notYet })),
  };
}

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

/**
 * The pool that speaks most clearly for a rung: its own answers, or those of harder rungs with them. What is managed
 * on a harder rung would be managed here, and what is missed there counts as missed too, so a pool can only be too
 * careful.
 */
function bestPool(
  ladder: Ladder,
  seen: readonly Seen[],
  at: number,
): { readonly secure: boolean; readonly to: number } {
  const tries: Tries[] = [];
  let answers = 0;
  const days = new Set<number>();
  for (let to = at; to < seen.length; to += 1) {
    const here = sure(seen[to]);
    if (!here.fresh.length || (to > at && !carries(ladder, to, at))) continue;
    tries.push(...here.alone);
    answers += here.counts.own + here.counts.notYet;
    for (const day of here.days) days.add(day);
    if (isSecure(tries, answers, days.size)) return { secure: true, to };
  }
  return { secure: false, to: at };
}

/** Letters of the fresh answers in order, no reply left out. */
const lettersOf = (seen: Seen): string =>
  seen.fresh
    .map((r) => r.marks)
    .join('')
    .replaceAll('-', '');

function plainState(seen: Seen): State {
  const letters = lettersOf(seen);
  const last = letters.slice(-PLAIN.of);
  const right = last.split('1').length - 1;
  if (last.length === PLAIN.of && right >= PLAIN.right && seen.days.size >= PLAIN.days) return 'secure';
  if (last.length === PLAIN.of && right <= PLAIN.of - PLAIN.right) return 'not-yet';
  return letters.length >= RULE.fewest ? 'getting-there' : 'not-enough';
}

/** Turns still needed, if answers go on coming as they have. */
function turnsToKnow(seen: Seen, guess: number): number | null {
  const alone = posteriorOf(seen.alone).mean;
  const managed = posteriorOf(seen.managed).mean;
  const asSeen = (rate: number): number => guess + (1 - guess) * rate;
  for (let more = 1; more <= RULE.mostTurns; more += 1) {
    const own = Math.round(more * asSeen(alone));
    const withHelp = Math.round(more * asSeen(managed));
    const answers = seen.counts.own + seen.counts.notYet + more;
    if (
      isSecure(
        [...seen.alone, { guess, right: own, wrong: more - own }],
        answers,
        Math.max(RULE.secure.days, seen.days.size),
      )
    )
      return more;
    if (isNotYet([...seen.managed, { guess, right: withHelp, wrong: more - withHelp }], tried(seen.counts) + more))
      return more;
  }
  return null;
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

const helpsIn = (runs: readonly StepRun[]): Help[] => {
  const times = (help: Help): number => runs.reduce((sum, r) => sum + (r.helps[help] ?? 0), 0);
  return HELPS.filter((h) => times(h) > 0).sort((a, b) => times(b) - times(a));
};

/**
 * Where a child is on one ladder, from the runs of that child. Pure: the same runs in any order give the same states.
 *
 * @example ladderEvidence(ladderOf('blending'), runs, { now, rule: 'weighed', detail: false })[2].state // 'secure'
 */
export const ladderEvidence = (ladder: Ladder, runs: readonly StepRun[], how: Weighing): RungEvidence[] =>
  rungsOf(ladder, placed(runs, how.now).get(ladder.id) ?? ladder.rungs.map(() => []), how);

/** How answers are weighed. */
export interface Weighing {
  /** Milliseconds since 1970: older answers weigh less. */
  readonly now: number;
  readonly rule: RuleId;
  /**
   * Whether to work out more than the state: the rate, the luck in it, and how many turns are still needed on the first
   * rung that was tried and does not hold.
   */
  readonly detail: boolean;
}

/** Runs by ladder and rung, each in the order of time; too old ones are left out. */
function placed(runs: readonly StepRun[], now: number): Map<string, StepRun[][]> {
  const out = new Map<string, StepRun[][]>();
  for (const run of runs) {
    const place = now - run.at <= RULE.oldestDays * millisecondsInDay ? rungOf(run.task, run.step) : undefined;
    if (!place) continue;
    let rungs = out.get(place.ladder.id);
    if (!rungs) out.set(place.ladder.id, (rungs = place.ladder.rungs.map(() => [])));
    sure(rungs[place.at]).push(run);
  }
  for (const rungs of out.values())
    for (const runs of rungs) runs.sort((a, b) => a.at - b.at || (a.task + a.step < b.task + b.step ? -1 : 1));
  return out;
}

/** The state of each rung by itself, before a harder one carries it. */
function ownStates(seen: readonly Seen[], pools: readonly { readonly secure: boolean }[], rule: RuleId): State[] {
  return seen.map((s, at): State => {
    if (sure(pools[at]).secure) return 'secure';
    if (rule === 'plain') return plainState(s);
    if (isNotYet(s.managed, tried(s.counts))) return 'not-yet';
    return tried(s.counts) >= RULE.fewest ? 'getting-there' : 'not-enough';
  });
}

const latest = (runs: readonly StepRun[]): number => Math.max(...runs.map((r) => r.at));

/** Answers of a check-in, which are told apart; null where there was none. */
function checkedIn(runs: readonly StepRun[]): RungEvidence['checked'] {
  const checks = runs.filter((r) => r.standing === 'check-in');
  if (!checks.length) return null;
  const counts = tallyMarks(checks);
  return { right: counts.own, of: tried(counts), lastAt: latest(checks) };
}

function rateOf(seen: Seen): RungEvidence['rate'] {
  if (!tried(seen.counts)) return null;
  const posterior = posteriorOf(seen.alone);
  return { mean: posterior.mean, low: posterior.quantile(0.05), high: posterior.quantile(0.95) };
}

const PRACTISED: ReadonlySet<StepRun['standing']> = new Set(['after-a-model', 'in-chorus']);

function rungsOf(
  ladder: Ladder,
  byRung: readonly (readonly StepRun[])[],
  { now, rule, detail }: Weighing,
): RungEvidence[] {
  const seen = byRung.map((runs) => seenOn(runs, now));
  const pools = seen.map((s, at) =>
    rule === 'weighed' ? bestPool(ladder, seen, at) : { secure: plainState(s) === 'secure', to: at },
  );
  const own = ownStates(seen, pools, rule);
  const open = own.findIndex((state, at) => state !== 'secure' && tried(sure(seen[at]).counts) > 0);
  /** Turns it would take to know. */
  const moreTurns = (rung: Ladder['rungs'][number], at: number, state: State): number | null => {
    if (state === 'secure' || state === 'not-yet') return 0;
    if (!detail || at !== open || rule !== 'weighed') return null;
    const [task, step] = sure(rung.steps[0]);
    return turnsToKnow(sure(seen[at]), guessOf(task, step));
  };
  return ladder.rungs.map((rung, at) => {
    const [runs, s] = [sure(byRung[at]), sure(seen[at])];
    // A harder rung that holds carries the easier ones, unless what was seen here says no.
    const carrier = own.findIndex((state, j) => state === 'secure' && carries(ladder, j, at));
    const carried = own[at] !== 'secure' && own[at] !== 'not-yet' && carrier >= 0;
    const state: State = carried ? 'secure' : sure(own[at]);
    const to = carried ? Math.max(carrier, sure(pools[carrier]).to) : sure(pools[at]).to;
    const counted = seen.filter((_, j) => j <= to && carries(ladder, j, at));
    const harder = to > at ? tallyMarks(counted.flatMap((above) => above.fresh)) : null;
    return {
      rung,
      at,
      state,
      fresh: s.counts,
      days: s.days.size,
      helps: helpsIn(s.fresh),
      harder: harder ? { right: harder.own, of: tried(harder) } : null,
      practised: tallyMarksTotal(runs.filter((r) => PRACTISED.has(r.standing))),
      checked: checkedIn(runs),
      rate: detail ? rateOf(s) : null,
      luck: detail ? luckIn(s) : null,
      lastAt: runs.length ? latest(runs) : null,
      more: moreTurns(rung, at, state),
    };
  });
}

const tallyMarksTotal = (runs: readonly StepRun[]): number => runs.reduce((sum, r) => sum + r.marks.length, 0);

export interface LadderEvidence {
  readonly ladder: Ladder;
  readonly rungs: readonly RungEvidence[];
}

/** Every ladder of a child. */
export function evidenceOf(runs: readonly StepRun[], now: number, rule: RuleId, detail = true): LadderEvidence[] {
  const by = placed(runs, now);
  return LADDERS.map((ladder) => ({
    ladder,
    rungs: rungsOf(ladder, by.get(ladder.id) ?? ladder.rungs.map(() => []), { now, rule, detail }),
  }));
}
