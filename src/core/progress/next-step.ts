import { capital } from '../in-words';
import { sure } from '../sure';
import type { LadderEvidence, RungEvidence, Run } from './evidence';
import {
  BEGIN_NEEDS,
  BEGIN_ORDER,
  carries,
  rungOf,
  type Ladder,
  type Rung,
  type RungRef,
  type UnitOrder,
} from './ladders';
import { nextStep as say } from './text';

/**
 * What changes against what a child can do: nothing, one rung up, one back, the same again after a rest, or a first
 * step.
 */
type Move = 'stay' | 'up' | 'back' | 'again' | 'begin';

export interface NextStep extends RungRef {
  readonly move: Move;
  readonly rungOf: Rung;
  /** One sentence. */
  readonly reason: string;
}

/** Right answers on the easier step before the harder one is offered again. Common practice, no source. */
const AGAIN_AFTER = 4;

const triedOn = (r: RungEvidence): number => r.fresh.own + r.fresh.helped + r.fresh.notYet;

/**
 * The rung a child stands before: the first that was tried and does not hold; where all that was tried holds, the next
 * one. Rungs nobody has asked about, below one that is being played, are passed over. -1 where every rung holds.
 */
export function frontier(rungs: readonly RungEvidence[]): number {
  const tried = rungs.findIndex((r) => r.state !== 'secure' && triedOn(r) + r.fresh.noReply > 0);
  if (tried >= 0) return tried;
  const top = highest(rungs);
  return top + 1 < rungs.length ? top + 1 : -1;
}

const own = (r: RungEvidence): string => say.own(r.fresh.own, r.fresh.own + r.fresh.helped + r.fresh.notYet);

/** Fresh right answers on a rung after a time. */
const rightSince = (runs: readonly Run[], ladder: string, rung: string, since: number): number =>
  runs
    .filter(
      (r) =>
        r.standing === 'fresh' &&
        r.at > since &&
        rungOf(r.task, r.step)?.ladder.id === ladder &&
        rungOf(r.task, r.step)?.rung.id === rung,
    )
    .reduce((sum, r) => sum + r.marks.split('1').length - 1, 0);

/** The highest rung that holds; -1 where none does. */
export const highest = (rungs: readonly RungEvidence[]): number => rungs.findLastIndex((r) => r.state === 'secure');

/** The nearest rung that is easier than one: it holds where that one does. */
const easierThan = (ladder: Ladder, rungs: readonly RungEvidence[], at: number): RungEvidence | undefined =>
  rungs.findLast((_, easier) => carries(ladder, at, easier));

/** What to do next on one ladder; null where every rung holds. */
function onLadder({ ladder, rungs }: LadderEvidence, runs: readonly Run[]): NextStep | null {
  const at = frontier(rungs);
  if (at < 0) return null;
  const here = sure(rungs[at]);
  const below = easierThan(ladder, rungs, at);
  const step = (r: RungEvidence, move: Move, reason: string): NextStep => ({
    ladder: ladder.id,
    rung: r.rung.id,
    rungOf: r.rung,
    move,
    reason,
  });
  if (here.state === 'not-yet') {
    if (!below) return step(here, 'stay', say.farFirstStep(own(here)));
    const since = rightSince(runs, ladder.id, below.rung.id, here.lastAt ?? 0);
    if (below.state !== 'secure') return step(below, 'back', say.yetEasierStep(here.rung.name, own(here)));
    return since >= AGAIN_AFTER
      ? step(here, 'again', say.rightSinceTime(since, below.rung.name))
      : step(below, 'back', say.yetHoldsEnd(here.rung.name, own(here)));
  }
  if (here.state === 'getting-there')
    return step(
      here,
      'stay',
      here.fresh.helped > here.fresh.own ? say.comesHelpSame(own(here)) : say.sameStepOther(capital(own(here))),
    );
  const seen = triedOn(here);
  if (seen) return step(here, 'stay', say.begunFewMore(own(here)));
  if (here.fresh.noReply) return step(here, 'stay', say.noReplyFar);
  const before = rungs[at - 1];
  if (before?.state === 'secure')
    return step(here, 'up', say.secureTimeNext(before.rung.name, before.harder, own(before), before.days));
  return step(here, 'begin', say.easyFirstStep);
}

const lastPlayed = ({ rungs }: LadderEvidence): number => Math.max(0, ...rungs.map((r) => r.lastAt ?? 0));

/** Whether what a ladder needs before its first rung holds. */
function mayBegin(ladder: string, all: readonly LadderEvidence[], order: UnitOrder): boolean {
  return (BEGIN_NEEDS[order][ladder] ?? []).every(
    (need) =>
      all.find((l) => l.ladder.id === need.ladder)?.rungs.find((r) => r.rung.id === need.rung)?.state === 'secure',
  );
}

/**
 * Two things to do next, with a reason each: where the child was last, and what else would carry. Never more than one
 * rung above one that holds; one changed thing at a time; the same answers give the same advice.
 *
 * @example nextSteps(evidenceOf(runs, now, 'weighed'), runs, 'large-first')[0].rungOf.does // 'segment 3 sounds'
 */
export function nextSteps(all: readonly LadderEvidence[], runs: readonly Run[], order: UnitOrder): NextStep[] {
  const begun = all.filter((l) => lastPlayed(l) > 0);
  const rank = (l: LadderEvidence): number => BEGIN_ORDER[order].indexOf(l.ladder.id);
  const going = [...begun]
    .sort((a, b) => lastPlayed(b) - lastPlayed(a) || rank(a) - rank(b))
    .flatMap((l) => onLadder(l, runs) ?? []);
  // What leads to a ladder comes before it, and keeps nobody from it.
  const early = (l: LadderEvidence): number => Number(!mayBegin(l.ladder.id, all, order));
  const beginning = all
    .filter((l) => lastPlayed(l) === 0)
    .sort((a, b) => early(a) - early(b) || rank(a) - rank(b))
    .flatMap((l) => onLadder(l, runs) ?? []);
  const [first] = going.length ? going : beginning;
  if (!first) return [];
  // Beside it, the next in the order that is not the same ladder: begun ones by their place in the order, then a new
  // one.
  const place = (s: NextStep): number => BEGIN_ORDER[order].indexOf(s.ladder);
  const [second] = [...[...going].sort((a, b) => place(a) - place(b)), ...beginning].filter(
    (s) => s.ladder !== first.ladder,
  );
  return second ? [first, second] : [first];
}
