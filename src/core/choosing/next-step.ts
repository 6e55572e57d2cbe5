import { findStep, taskOf } from '../games';
import { groupBy } from '../group-by';
import type { WordShape } from '../games/word-shape';
import { capital } from '../in-words';
import { sure } from '../sure';
import type { LadderEvidence, RungEvidence, StepRun } from '../evidence/evidence';
import { placeFound } from './finding';
import { guessOf } from '../evidence/guessing';
import { BEGIN_NEEDS, BEGIN_ORDER, carries, rungOf, type Ladder, type Rung, type RungRef } from '../evidence/ladders';
import type { UnitOrder } from '../evidence/unit-order';
import { knows, modelOf, worthOn, type Model } from './model';
import { inWords } from '../in-words';
import { millisecondsInDay } from 'date-fns/constants';

const secureSoNext = (name: string, harder: object | null, own: string, days: number) =>
  `“${capital(name)}” is secure${harder ? '' : ` (${own}, over ${days} days)`}, so on to the next step.`;

const EASY_FIRST = 'An easy first step.';

/**
 * What changes against what a child can do: nothing, one rung up, one back, the same again after a rest, a first step,
 * or words that hold what slips.
 */
type Move = 'stay' | 'up' | 'back' | 'again' | 'begin' | 'pattern';

export interface NextStep extends RungRef {
  readonly move: Move;
  readonly rungOf: Rung;
  /** One sentence, without its example words. */
  readonly reason: string;
  /** The pattern it is about. */
  readonly pattern?: string;
}

/** When a step is moved on from, and when it is left. Set on made-up children (docs/judgement.md); our own choice. */
const WHEN = {
  /** What is played is worth so much less after a day on which all of it came off. */
  allRight: 0.35,
  /** Tries on a rung before it is left for a harder one, and the share of them that came off. */
  up: { tries: 4, share: 0.55 },
  /** Known so seldom, after so many tries, a rung is left for an easier one. */
  back: { knows: 0.45, tries: 3 },
  /** Where every second answer may be luck, less is learned and less is seen. */
  lessForLuck: 0.5,
  /** A day is bad where so few came off, of so many, on a rung that went so well before. */
  badDay: { share: 1 / 3, tries: 3, before: 0.65, triesBefore: 6 },
  /** The ladder that was played last goes on unless another is worth so much more. */
  sameLadder: 0.15,
  /** Days after which a secure step is looked at again. */
  longAgoDays: 28,
  /** Right answers on the easier step before the harder one is offered again. Common practice, no source. */
  againAfter: 4,
} as const;

const triedOn = (r: RungEvidence): number => r.fresh.own + r.fresh.helped + r.fresh.notYet;
const isTried = (r: RungEvidence): boolean => triedOn(r) + r.fresh.noReply > 0;

/**
 * The rung a child stands before, for who wants to see where they are: the first that was tried and does not hold;
 * where all that was tried holds, the next one. Rungs nobody has asked about, below one that is being played, are
 * passed over. -1 where every rung holds.
 */
export function frontier(rungs: readonly RungEvidence[]): number {
  const tried = rungs.findIndex((r) => r.state !== 'secure' && isTried(r));
  if (tried >= 0) return tried;
  const top = highest(rungs);
  return top + 1 < rungs.length ? top + 1 : -1;
}

const ownInWords = (r: RungEvidence): string => `${r.fresh.own} of ${triedOn(r)} on their own`;

/** The highest rung that holds; -1 where none does. */
export const highest = (rungs: readonly RungEvidence[]): number => rungs.findLastIndex((r) => r.state === 'secure');

/** What is known when a step is chosen. */
export interface Choosing {
  /** Settled runs: all of them, in any order. */
  readonly runs: readonly StepRun[];
  readonly model: Model;
  /** Milliseconds since 1970. */
  readonly now: number;
  /** Words with two sounds together wait. */
  readonly clustersPause: boolean;
}

/** One ladder, and what was played on it. */
interface OnLadder extends Choosing {
  readonly ladder: Ladder;
  readonly rungs: readonly RungEvidence[];
  /** Fresh runs of this ladder, the oldest first. */
  readonly played: readonly StepRun[];
}

const stepAt = (of: OnLadder, r: RungEvidence, move: Move, reason: string): NextStep => ({
  ladder: of.ladder.id,
  rung: r.rung.id,
  rungOf: r.rung,
  move,
  reason,
});

const knowsOn = ({ model, ladder }: Pick<OnLadder, 'model' | 'ladder'>, r: RungEvidence): number =>
  knows(model, ladder.id, r.rung);

/** The rung that was answered last, alone; where nothing was answered, the one that was asked last. */
function hereOf({ rungs, played }: OnLadder): RungEvidence | undefined {
  const last = played.findLast((r) => triesOn([r]).of > 0) ?? played.at(-1);
  const place = last && rungOf(last.task, last.step);
  return place && rungs[place.at];
}

/** Fresh right answers on a rung after a time. */
const rightSince = ({ played }: OnLadder, rung: string, since: number): number =>
  played
    .filter((r) => r.at > since && rungOf(r.task, r.step)?.rung.id === rung)
    .reduce((sum, r) => sum + r.marks.split('1').length - 1, 0);

const triesOn = (runs: readonly StepRun[]): { readonly right: number; readonly of: number } => {
  const marks = runs
    .map((r) => r.marks)
    .join('')
    .replaceAll('-', '');
  return { right: marks.split('1').length - 1, of: marks.length };
};

const isOn = (rung: RungEvidence, { task, step }: StepRun): boolean => rungOf(task, step)?.rung === rung.rung;

/** The last day the rung was played: what came off, and the runs of the ladder before it. */
function lastDayOn(of: OnLadder, here: RungEvidence) {
  const last = of.played.findLast((r) => isOn(here, r));
  const isThen = (r: StepRun): boolean => r.day === last?.day && isOn(here, r);
  return { ...triesOn(of.played.filter(isThen)), last, before: of.played.filter((r) => last && r.day < last.day) };
}

/** The last day on the rung went badly, and everything before it well. */
function hadABadDay(of: OnLadder, here: RungEvidence): boolean {
  const { badDay } = WHEN;
  const { right, of: tried, last, before } = lastDayOn(of, here);
  if (!last || tried < badDay.tries || right > badDay.share * tried) return false;
  const onIt = triesOn(before.filter((r) => isOn(here, r)));
  if (triesOn(before).of < badDay.triesBefore || onIt.of < badDay.tries) return false;
  // What was seen on this ladder says it: other ladders are worth two answers at most.
  return knows(modelOf(before, last.at, of.model.local, [of.ladder.id]), of.ladder.id, here.rung) >= badDay.before;
}

/** Words with two sounds together: at either end, or in a word of one beat with more than four sounds. */
const CLUSTERED: ReadonlySet<string | undefined> = new Set<WordShape>(['4-end', '4-start', 'longer']);

/** A rung of words with two sounds together, while those wait. */
const isPaused = ({ clustersPause }: Choosing, { steps }: Rung): boolean => {
  if (!clustersPause) return false;
  const [task, id] = sure(steps[0]);
  const step = findStep(taskOf(task), id);
  return CLUSTERED.has(step?.shape) || step?.place === 'cluster' || step?.starts === 'cluster';
};

/** The rungs easier than one, that hold where it does; the nearest first. */
const easierThan = ({ ladder, rungs }: OnLadder, than: number): RungEvidence[] =>
  rungs.filter((_, easier) => carries(ladder, than, easier)).reverse();

function stepBack(of: OnLadder, here: RungEvidence): NextStep {
  const easier = easierThan(of, here.at);
  const [nearest] = easier;
  if (!nearest)
    return stepAt(of, here, 'stay', `${ownInWords(here)} so far. Start with the first step and help them along.`);
  // One rung beyond what was seen to come off, at most.
  const top = Math.max(-1, ...easier.filter((r) => r.state === 'secure' || isTried(r)).map((r) => r.at));
  const near = top < 0 ? easier : easier.filter((r) => r.at <= top + 1);
  const to = [...near].sort((a, b) => worthOf(of, b) - worthOf(of, a))[0] ?? nearest;
  return stepAt(of, to, 'back', backReason(here, to));
}

/** Why a harder rung is left for an easier one. */
const backReason = (harder: RungEvidence, to: RungEvidence): string =>
  `“${capital(harder.rung.name)}” isn’t there yet (${ownInWords(harder)}), ` +
  (to.state === 'secure' ? 'but this step is secure: finish on a success.' : 'so try an easier step first.');

/** What playing a rung next is worth; less where luck has a part in the answers. */
const worthOf = ({ model, ladder }: OnLadder, r: RungEvidence): number =>
  worthOn(model, ladder.id, r.rung) * (1 - WHEN.lessForLuck * guessOf(...sure(r.rung.steps[0])));

/** Enough of a rung came off, on its last day, to leave it for a harder one. */
function isDoneWith(of: OnLadder, here: RungEvidence): boolean {
  const last = lastDayOn(of, here);
  return here.state === 'secure' || (triedOn(here) >= WHEN.up.tries && last.right >= WHEN.up.share * last.of);
}

/** The next rung that does not hold, once enough of this one came off: one changed thing at a time. */
const above = (of: OnLadder, here: RungEvidence): RungEvidence | undefined =>
  isDoneWith(of, here) ? of.rungs.find((r) => r.at > here.at && r.state !== 'secure') : undefined;

const upReason = (here: RungEvidence): string => {
  if (here.state === 'secure') return secureSoNext(here.rung.name, here.harder, ownInWords(here), here.days);
  return guessOf(...sure(here.rung.steps[0])) >= WHEN.lessForLuck
    ? `Right most of the time (${ownInWords(here)}), but guessing could explain some of it. ` +
        'The next step leaves less to luck.'
    : `“${capital(here.rung.name)}” comes easily now (${ownInWords(here)}), so try the next step.`;
};

/** On to a rung above; where it came to nothing before, only after the easier one came off again. */
function stepUp(of: OnLadder, here: RungEvidence, next: RungEvidence): NextStep {
  if (!isTried(next)) return stepAt(of, next, 'up', upReason(here));
  const since = rightSince(of, here.rung.id, next.lastAt ?? 0);
  if (next.state !== 'not-yet') return stepAt(of, next, 'stay', stayReason(next));
  if (since >= WHEN.againAfter)
    return stepAt(
      of,
      next,
      'again',
      `${since} right on “${here.rung.name}” since then, so it’s time to try this again.`,
    );
  return stepAt(of, here, 'back', backReason(next, here));
}

function stayReason(here: RungEvidence): string {
  const { own: alone, helped, noReply } = here.fresh;
  if (!triedOn(here))
    return noReply
      ? 'No reply so far, which doesn’t tell us what they know. Try it in pairs, with pictures, or let them point.'
      : EASY_FIRST;
  if (here.state === 'not-enough') return `Just started (${ownInWords(here)}): a few more turns will show.`;
  return helped > alone
    ? `They can do it with help (${ownInWords(here)}), so play it again with a little less help.`
    : `${capital(ownInWords(here))}. Play the same step with new words.`;
}

const isSeldom = (of: OnLadder, here: RungEvidence): boolean =>
  triedOn(here) >= WHEN.back.tries &&
  (here.state === 'not-yet' || (knowsOn(of, here) < WHEN.back.knows && here.fresh.helped <= here.fresh.notYet));

/** Up, or the same again, whichever is worth more; null where all that is left holds. */
function onwards(of: OnLadder, here: RungEvidence): NextStep | null {
  const { right, of: tried } = lastDayOn(of, here);
  const bored = tried >= WHEN.up.tries && right === tried ? WHEN.allRight : 0;
  const stay = here.state === 'secure' ? -1 : worthOf(of, here) - bored;
  const next = above(of, here);
  if (next && worthOf(of, next) > stay) return stepUp(of, here, next);
  return here.state === 'secure' ? null : stepAt(of, here, 'stay', stayReason(here));
}

interface PlayedStep {
  readonly of: number;
  readonly by: ReadonlyMap<string, readonly StepRun[]>;
}

const played = new WeakMap<readonly StepRun[], PlayedStep>();
/** Fresh runs by ladder, the oldest first; sorted once, and again where the list has grown. */
function playedIn(runs: readonly StepRun[]): PlayedStep['by'] {
  const known = played.get(runs);
  if (known?.of === runs.length) return known.by;
  const inOrder = runs
    .filter((r) => r.standing === 'fresh')
    .sort((a, b) => a.at - b.at || (a.task + a.step < b.task + b.step ? -1 : 1));
  const by = groupBy(inOrder, (r) => rungOf(r.task, r.step)?.ladder.id ?? '');
  played.set(runs, { of: runs.length, by });
  return by;
}

/**
 * What to do next on one ladder; null where every rung from here on holds.
 * @example onLadder(ladders[0], { runs, model, now, clustersPause: false })?.move // 'begin'
 */
export function onLadder({ ladder, rungs }: LadderEvidence, choosing: Choosing): NextStep | null {
  const played = playedIn(choosing.runs).get(ladder.id) ?? [];
  const of: OnLadder = { ...choosing, ladder, rungs, played };
  const step = fromHere(of);
  return step && isPaused(of, step.rungOf) ? beforeThePause(of, step) : step;
}

/** Where a check-in found the child, until something is played there. */
function asFound(of: OnLadder): NextStep | null {
  const found = placeFound(of.runs, of.ladder, of.now);
  const rung = found && of.rungs[found.at];
  if (!found || !rung || rung.state === 'secure' || of.played.some((r) => r.at > found.when)) return null;
  return stepAt(of, rung, 'begin', found.words);
}

function fromHere(of: OnLadder): NextStep | null {
  const found = asFound(of);
  if (found) return found;
  const here = hereOf(of);
  if (!here) {
    const first = of.rungs.find((r) => r.state !== 'secure');
    return first ? stepAt(of, first, 'begin', EASY_FIRST) : null;
  }
  if (!triedOn(here)) return stepAt(of, here, 'stay', stayReason(here));
  if (hadABadDay(of, here))
    return stepAt(
      of,
      here,
      'again',
      `“${here.rung.name}” usually goes well, but it didn’t last time. Start with two easy ones, then look again.`,
    );
  const weeks = Math.round((of.now - (here.lastAt ?? of.now)) / millisecondsInDay / 7);
  if (here.state === 'secure' && weeks * 7 >= WHEN.longAgoDays)
    return stepAt(
      of,
      here,
      'again',
      `“${capital(here.rung.name)}” was secure, but we haven’t seen it for ${inWords(weeks)} weeks. Start with ` +
        'two easy ones, then look again.',
    );
  return isSeldom(of, here) ? stepBack(of, here) : onwards(of, here);
}

/** An easier rung while words with two sounds together wait; null where there is none. */
function beforeThePause(of: OnLadder, step: NextStep): NextStep | null {
  const place = of.rungs.findIndex((r) => r.rung.id === step.rung);
  const easier = easierThan(of, place).find((r) => !isPaused(of, r.rung));
  return easier
    ? stepAt(of, easier, 'stay', 'Words with two sounds together can wait until you’ve talked with the family.')
    : null;
}

const lastPlayed = ({ rungs }: LadderEvidence): number => Math.max(0, ...rungs.map((r) => r.lastAt ?? 0));

/** Whether what a ladder needs before its first rung holds. */
function mayBegin(ladder: string, all: readonly LadderEvidence[], order: UnitOrder): boolean {
  return (BEGIN_NEEDS[order][ladder] ?? []).every(
    (need) =>
      all.find((l) => l.ladder.id === need.ladder)?.rungs.find((r) => r.rung.id === need.rung)?.state === 'secure',
  );
}

/** A step on a ladder, and what playing it next is worth. */
export interface Weighed {
  readonly step: NextStep;
  readonly worth: number;
}

/** The step of each ladder that was begun, the one worth most first; the ladder played last goes on where it can. */
export function goingOn(all: readonly LadderEvidence[], choosing: Choosing, order: UnitOrder): Weighed[] {
  const begun = all.filter((l) => lastPlayed(l) > 0);
  const latest = Math.max(...begun.map(lastPlayed));
  const rank = (l: LadderEvidence): number => BEGIN_ORDER[order].indexOf(l.ladder.id);
  return [...begun]
    .sort((a, b) => lastPlayed(b) - lastPlayed(a) || rank(a) - rank(b))
    .flatMap((l) => {
      const step = onLadder(l, choosing);
      const more = lastPlayed(l) === latest ? WHEN.sameLadder : 0;
      return step ? [{ step, worth: worthOn(choosing.model, step.ladder, step.rungOf) + more }] : [];
    })
    .sort((a, b) => b.worth - a.worth);
}

/** The first step of each ladder that nobody has played yet: what leads to a ladder comes before it. */
function beginnings(all: readonly LadderEvidence[], choosing: Choosing, order: UnitOrder): NextStep[] {
  const rank = (l: LadderEvidence): number => BEGIN_ORDER[order].indexOf(l.ladder.id);
  const early = (l: LadderEvidence): number => Number(!mayBegin(l.ladder.id, all, order));
  return all
    .filter((l) => lastPlayed(l) === 0)
    .sort((a, b) => early(a) - early(b) || rank(a) - rank(b))
    .flatMap((l) => onLadder(l, choosing) ?? []);
}

/**
 * Two steps to do next, with a reason each: where the child was last, and what else would carry. Never more than one
 * rung above one that holds or is being played; the same answers give the same steps. The rung is chosen by the model,
 * where the next ten minutes are worth most: neither easy already nor out of reach.
 *
 * @example nextSteps(evidenceOf(runs, now, 'weighed'), { runs, model, now, clustersPause: false }, 'large-first')[0]
 */
export function nextSteps(all: readonly LadderEvidence[], choosing: Choosing, order: UnitOrder): NextStep[] {
  const going = goingOn(all, choosing, order).map(({ step }) => step);
  const beginning = beginnings(all, choosing, order);
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
