import { findStep, taskOf } from '../games';
import type { WordShape } from '../games/word-shape';
import { groupBy } from '../group-by';
import { capital, inWords, listed } from '../in-words';
import { sure } from '../sure';
import type { AgeBand } from '../evidence/age-band';
import { isLucky, type LadderEvidence, type RungEvidence, type StepRun } from '../evidence/evidence';
import { placeFound } from './finding';
import { guessOf } from '../evidence/guessing';
import { isPointed } from '../evidence/pointed';
import { BEGIN_NEEDS, BEGIN_ORDER, carries, rungOf, type Ladder, type Rung, type RungRef } from '../evidence/ladders';
import { notExpected } from '../evidence/not-expected';
import type { UnitOrder } from '../evidence/unit-order';
import { knows, modelOf, worthOn, type Model } from './model';
import { format } from 'date-fns';
import { millisecondsInDay } from 'date-fns/constants';

/**
 * What changes against what a child can do: nothing, one rung up, one back, a look again after a rest, a first step,
 * words that hold what slips, a pebble check, or four turns played by two adults together.
 */
type Move = 'stay' | 'up' | 'back' | 'again' | 'begin' | 'pattern' | 'check' | 'together';

/** One act with its one name and one reason: what every screen and page says of a child. */
export interface NextStep extends RungRef {
  readonly move: Move;
  readonly rungOf: Rung;
  /** The game to play it by. */
  readonly game: readonly [task: string, step: string];
  /** Its name, as every screen says it. Example: `blend words like frog`. */
  readonly does: string;
  /** Why, in whole sentences that hold; without example words. */
  readonly reason: string;
  /** The pattern it is about. */
  readonly pattern?: string;
  /** The sound and place to be checked with pebbles. */
  readonly check?: string;
}

/** When a step is moved on from, and when it is left. Set on made-up children (docs/judgement.md); our own choice. */
export const WHEN = {
  /** What is played is worth so much less after a day on which all of it came off. */
  allRight: 0.35,
  /** Tries before a rung is left for a harder one; of the last day’s, where they are so many, this share came off. */
  up: { tries: 4, lastDay: 2, share: 0.55 },
  /** Known so seldom, after so many tries of which at most this share came off, a rung is left for an easier one. */
  back: { knows: 0.45, tries: 3, share: 0.6 },
  /** Where every second answer may be luck, less is learned and less is seen. */
  lessForLuck: 0.5,
  /** A day is bad where so few came off, of so many, on a rung that went so well before. */
  badDay: { share: 1 / 3, tries: 3, before: 0.65, triesBefore: 6 },
  /** The ladder that was played last goes on unless another is worth so much more. */
  sameLadder: 0.15,
  /** Another skill is a choice beside the first where it is worth so much. */
  other: 0.4,
  /** Days after which what held is looked at again, before anything harder. */
  longAgoDays: 21,
  /** Right answers on the easier step before the harder one is offered again. Common practice, no source. */
  againAfter: 4,
  /** So much of what nobody expects yet came off, of so many tries: it goes on. Common practice, no source. */
  goesWell: { tries: 4, share: 0.55 },
  /** Two adults differ: so many answers each, and shares so far apart. Our own choice. */
  adults: { answers: 4, apart: 0.5, days: 21 },
} as const;

const triedOn = (r: RungEvidence): number => r.fresh.own + r.fresh.helped + r.fresh.notYet;
const isTried = (r: RungEvidence): boolean => triedOn(r) + r.fresh.noReply + r.fresh.open > 0;
const ownInWords = (r: RungEvidence): string => `${r.fresh.own} of ${triedOn(r)} on their own`;

/** The highest rung that holds, as its evidence; none where none does. */
export const holdsIn = (rungs: readonly RungEvidence[]): RungEvidence | undefined =>
  rungs.findLast((r) => r.state === 'secure');

/** What is known when a step is chosen. */
export interface Choosing {
  /** Settled runs: all of them, in any order. */
  readonly runs: readonly StepRun[];
  readonly model: Model;
  /** Milliseconds since 1970. */
  readonly now: number;
  /** Words with two sounds together wait. */
  readonly clustersPause: boolean;
  /** How old the group is; null where nobody said. */
  readonly band?: AgeBand | null;
  /** The child answers by pointing. */
  readonly points?: boolean;
}

/** One ladder, and what was played on it. */
interface OnLadder extends Choosing {
  readonly ladder: Ladder;
  /** The rungs that may be played with this child, easy to hard. */
  readonly rungs: readonly RungEvidence[];
  /** Fresh runs of this ladder, the oldest first. */
  readonly played: readonly StepRun[];
  /** When anything of it was last played, milliseconds since 1970. */
  readonly lastAt: number;
}

const stepAt = ({ ladder, points }: OnLadder, { rung }: RungEvidence, move: Move, reason: string): NextStep => ({
  ...plainStep(ladder.id, rung, move, reason),
  game: gameOn(rung, points === true),
});

/** A step of a ladder as something to do, chosen for another reason than what was seen. */
export const plainStep = (ladder: string, rung: Rung, move: Move, reason: string): NextStep => ({
  ladder,
  rung: rung.id,
  rungOf: rung,
  game: gameOn(rung, false),
  move,
  does: rung.does,
  reason,
});

/** The game to play a rung by: one to point in, for a child who points. */
export const gameOn = ({ steps }: Pick<Rung, 'steps'>, points: boolean): NextStep['game'] =>
  (points ? steps.find((s) => isPointed(...s)) : undefined) ?? sure(steps[0]);

const knowsOn = ({ model, ladder }: Pick<OnLadder, 'model' | 'ladder'>, r: RungEvidence): number =>
  knows(model, ladder.id, r.rung);

/** Fresh right answers on a rung after a time. */
const rightSince = ({ played }: OnLadder, rung: string, since: number): number =>
  played
    .filter((r) => r.at > since && rungOf(r.task, r.step)?.rung.id === rung)
    .reduce((sum, r) => sum + r.marks.split('1').length - 1, 0);

const triesOn = (runs: readonly StepRun[]): { readonly right: number; readonly of: number } => {
  const marks = runs
    .map((r) => r.marks)
    .join('')
    .replace(/[-u]/gu, '');
  return { right: marks.split('1').length - 1, of: marks.length };
};

const isOn = (rung: RungEvidence, { task, step }: StepRun): boolean => rungOf(task, step)?.rung === rung.rung;

/** The last day the rung was played: what came off, and the runs of the ladder before it. */
function lastDayOn(of: OnLadder, here: RungEvidence) {
  const last = of.played.findLast((r) => isOn(here, r));
  const isThen = (r: StepRun): boolean => r.day === last?.day && isOn(here, r);
  return { ...triesOn(of.played.filter(isThen)), last, before: of.played.filter((r) => last && r.day < last.day) };
}

/** Days since a time, whole ones. */
const daysSince = (now: number, then: number): number => Math.floor((now - then) / millisecondsInDay);

/** The last day on the rung went badly, and everything not long before it well: what went before, on this rung. */
function badDayOn(of: OnLadder, here: RungEvidence): (Pick<Went, 'right' | 'of'> & { readonly at: number }) | null {
  const { badDay } = WHEN;
  const { right, of: tried, last, before } = lastDayOn(of, here);
  if (!last || tried < badDay.tries || right > badDay.share * tried) return null;
  const then = before.filter((r) => isOn(here, r));
  // After a long rest there is no saying that it usually goes well.
  if (!then.some((r) => daysSince(last.at, r.at) < WHEN.longAgoDays)) return null;
  const onIt = triesOn(then);
  if (triesOn(before).of < badDay.triesBefore || onIt.of < badDay.tries) return null;
  if (onIt.right < badDay.before * onIt.of) return null;
  // What was seen on this ladder says it: other ladders are worth two answers at most.
  const model = modelOf(before, last.at, of.model.local, [of.ladder.id]);
  return knows(model, of.ladder.id, here.rung) >= badDay.before ? { ...onIt, at: last.at } : null;
}

/** Words with two sounds together: at either end, or in a word of one beat with more than four sounds. */
const CLUSTERED: ReadonlySet<string | undefined> = new Set<WordShape>(['4-end', '4-start', 'longer']);

/** Words with two sounds together stand on this rung. */
function isClustered({ steps }: Rung): boolean {
  const [task, id] = sure(steps[0]);
  const step = findStep(taskOf(task), id);
  return CLUSTERED.has(step?.shape) || step?.place === 'cluster' || step?.starts === 'cluster';
}

/** Why a rung is not played with this child, for now. */
const BARS = ['pause', 'pointing', 'early'] as const;
type Bar = (typeof BARS)[number];

/** What goes well goes on, whatever is expected. */
const goesWell = (r: RungEvidence): boolean =>
  triedOn(r) >= WHEN.goesWell.tries && r.fresh.own >= WHEN.goesWell.share * triedOn(r);

/** Tells of each rung of a ladder what bars it. */
function barsOn(
  { clustersPause, points, band }: Pick<Choosing, 'clustersPause' | 'points' | 'band'>,
  rungs: readonly RungEvidence[],
) {
  const early = (r: RungEvidence): boolean => notExpected(band ?? null, r.rung);
  const sureOfIt = rungs.some((r) => early(r) && goesWell(r));
  return (r: RungEvidence): Bar | null => {
    if (clustersPause && isClustered(r.rung)) return 'pause';
    if (points === true && !r.rung.steps.some((s) => isPointed(...s))) return 'pointing';
    return early(r) && !sureOfIt ? 'early' : null;
  };
}

/** Whether a rung is not for a child, for now. */
export const isBarred = (
  child: Pick<Choosing, 'clustersPause' | 'points' | 'band'>,
  rungs: readonly RungEvidence[],
  rung: RungEvidence,
): boolean => barsOn(child, rungs)(rung) !== null;

/** The rungs easier than one, that hold where it does; the nearest first. */
const easierThan = ({ ladder, rungs }: OnLadder, than: number): RungEvidence[] =>
  rungs.filter((r) => carries(ladder, than, r.at)).reverse();

function stepBack(of: OnLadder, here: RungEvidence): NextStep {
  const easier = easierThan(of, here.at);
  const [nearest] = easier;
  if (!nearest)
    return stepAt(
      of,
      here,
      'stay',
      `${capital(ownInWords(here))} so far. Start with the first step and help them along.`,
    );
  // One rung beyond what was seen to come off, at most.
  const top = Math.max(-1, ...easier.filter((r) => r.state === 'secure' || isTried(r)).map((r) => r.at));
  const near = top < 0 ? easier : easier.filter((r) => r.at <= top + 1);
  const to = [...near].sort((a, b) => worthOf(of, b) - worthOf(of, a))[0] ?? nearest;
  return stepAt(of, to, 'back', backReason(here, to));
}

/** Why a harder rung is left for an easier one. */
const backReason = (harder: RungEvidence, to: RungEvidence): string =>
  `They can’t ${harder.rung.does} yet (${ownInWords(harder)}), ` +
  (to.state === 'secure' ? 'but they can do this: finish on a success.' : 'so try something easier first.');

/** What playing a rung next is worth; less where luck has a part in the answers. */
const worthOf = ({ model, ladder }: OnLadder, r: RungEvidence): number =>
  worthOn(model, ladder.id, r.rung) * (1 - WHEN.lessForLuck * guessOf(...sure(r.rung.steps[0])));

/** How a rung went: on its last day, or in all, where that day had too few tries. */
interface Went {
  readonly right: number;
  readonly of: number;
  /** A day by its name and date, or “so far”. */
  readonly when: string;
}

/** A day as it is said. Example: `on Thursday 26 November`. */
const onDay = (at: number): string => `on ${format(at, 'EEEE d MMMM')}`;

function wentOn(of: OnLadder, here: RungEvidence): Went {
  const last = lastDayOn(of, here);
  return last.last && last.of >= WHEN.up.lastDay
    ? { right: last.right, of: last.of, when: onDay(last.last.at) }
    : { right: here.fresh.own, of: triedOn(here), when: 'so far' };
}

/** Enough of a rung came off, to leave it for a harder one. */
function isDoneWith(of: OnLadder, here: RungEvidence): boolean {
  const went = wentOn(of, here);
  return here.state === 'secure' || (triedOn(here) >= WHEN.up.tries && went.right >= WHEN.up.share * went.of);
}

/** The next rung that does not hold, once enough of this one came off: one changed thing at a time. */
const above = (of: OnLadder, here: RungEvidence): RungEvidence | undefined =>
  isDoneWith(of, here) ? of.rungs.find((r) => r.at > here.at && r.state !== 'secure') : undefined;

/** Why on to a harder rung, from what was seen on this one. */
function upReason(of: OnLadder, here: RungEvidence, next: RungEvidence): string {
  if (here.state === 'secure' && !here.harder)
    return `They can ${here.rung.does} (${ownInWords(here)}, over ${here.days} days), so on to the next step.`;
  if (here.state === 'secure') return `They can ${here.rung.does}, as harder steps show, so on to the next one.`;
  const leavesLess = guessOf(...sure(here.rung.steps[0])) > guessOf(...sure(next.rung.steps[0]));
  if (leavesLess && isLucky(here))
    return `They got ${ownInWords(here)}, but guessing could explain it. The next step leaves less to luck.`;
  const { right, of: tried, when } = wentOn(of, here);
  return `${capital(when)} they could ${here.rung.does} (${right} of ${tried} on their own), so try the next step.`;
}

/** On to a rung above; where it came to nothing before, only after the easier one came off again. */
function stepUp(of: OnLadder, here: RungEvidence, next: RungEvidence): NextStep {
  if (!isTried(next)) return stepAt(of, next, 'up', upReason(of, here, next));
  const since = rightSince(of, here.rung.id, next.lastAt ?? 0);
  if (next.state !== 'not-yet') return stepAt(of, next, 'stay', stayReason(next));
  if (since >= WHEN.againAfter)
    return stepAt(
      of,
      next,
      'up',
      `${capital(inWords(since))} right since then on “${here.rung.does}”, so it’s time to try this again.`,
    );
  return stepAt(of, here, 'back', backReason(next, here));
}

function stayReason(here: RungEvidence): string {
  const { own: alone, helped, noReply } = here.fresh;
  if (!triedOn(here)) {
    if (here.fresh.open) return 'They’ve tried it, and what they missed may only be how they speak. Play it again.';
    return noReply ? 'No reply so far, which doesn’t tell us what they know.' : EASY_FIRST;
  }
  if (here.state === 'not-enough') return `Just started (${ownInWords(here)}): a few more turns will show.`;
  return helped > alone
    ? `They can do it with help (${ownInWords(here)}), so play it again with a little less help.`
    : `${capital(ownInWords(here))}. Play the same step with new words.`;
}

const EASY_FIRST = 'An easy first step.';

const isSeldom = (of: OnLadder, here: RungEvidence): boolean =>
  triedOn(here) >= WHEN.back.tries &&
  here.fresh.own <= WHEN.back.share * triedOn(here) &&
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
 * What to do next on one ladder; null where nothing is left on it for this child, for now.
 * @example onLadder(ladders[0], { runs, model, now, clustersPause: false })?.move // 'begin'
 */
export function onLadder({ ladder, rungs }: LadderEvidence, choosing: Choosing): NextStep | null {
  const barOf = barsOn(choosing, rungs);
  const played = playedIn(choosing.runs).get(ladder.id) ?? [];
  const of: OnLadder = {
    ...choosing,
    ladder,
    rungs: rungs.filter((r) => !barOf(r)),
    played,
    lastAt: lastPlayed({ rungs }),
  };
  const here = hereOf(rungs, played);
  const bar = here && barOf(here);
  const step = bar ? insteadOf(of, here, bar) : fromHere(of, here);
  return step && withAge(step, choosing.band ?? null);
}

/** What is not expected at the age of the group says so. */
export const withAge = (step: NextStep, band: AgeBand | null): NextStep =>
  notExpected(band, step.rungOf)
    ? { ...step, reason: `${step.reason} It’s early for their age: go on while they enjoy it.` }
    : step;

const INSTEAD: Readonly<Record<Bar, string>> = {
  pause: 'Words with two sounds together can wait until you’ve talked with the family.',
  pointing: 'They can answer this by pointing.',
  early: 'Single sounds can wait at their age, so play this first.',
};

/** An easier rung, where the one that was played last is not for this child now; null where there is none to play. */
function insteadOf(of: OnLadder, here: RungEvidence, bar: Bar): NextStep | null {
  const easier = easierThan(of, here.at);
  const to = easier.find((r) => r.state !== 'secure') ?? (bar === 'pause' ? easier[0] : undefined);
  return to ? stepAt(of, to, 'stay', INSTEAD[bar]) : null;
}

/** The rung that was answered last, alone; where nothing was answered, the one that was asked last. */
function hereOf(rungs: readonly RungEvidence[], played: readonly StepRun[]): RungEvidence | undefined {
  const last = played.findLast((r) => triesOn([r]).of > 0) ?? played.at(-1);
  const place = last && rungOf(last.task, last.step);
  return place && rungs[place.at];
}

/** Where a check-in found the child, until something is played there. */
function asFound(of: OnLadder): NextStep | null {
  const found = placeFound(of.runs, of.ladder, of.now);
  const rung = found && of.rungs.find((r) => r.at === found.at);
  if (!found || !rung || rung.state === 'secure' || of.played.some((r) => r.at > found.when)) return null;
  return stepAt(of, rung, 'begin', found.words);
}

function fromHere(of: OnLadder, here: RungEvidence | undefined): NextStep | null {
  const found = asFound(of);
  if (found) return found;
  if (!here) {
    const first = of.rungs.find((r) => r.state !== 'secure');
    return first ? stepAt(of, first, 'begin', EASY_FIRST) : null;
  }
  if (!triedOn(here)) return stepAt(of, here, 'stay', stayReason(here));
  const apart = adultsApart(of, here);
  if (apart) return stepAt(of, here, 'together', apart);
  const rested = lookAgain(of, here);
  if (rested) return rested;
  const bad = badDayOn(of, here);
  if (bad)
    return stepAt(
      of,
      here,
      'again',
      `This went well before (${bad.right} of ${bad.of}), but not ${onDay(bad.at)}. ` +
        'Start with two easy ones, then look again.',
    );
  return isSeldom(of, here) ? stepBack(of, here) : onwards(of, here);
}

/**
 * After a rest from a skill what held is looked at again, or what nearly did, before anything harder; null where there
 * was none.
 */
function lookAgain(of: OnLadder, here: RungEvidence): NextStep | null {
  const days = daysSince(of.now, of.lastAt);
  if (days < WHEN.longAgoDays) return null;
  const held = here.state === 'secure' ? here : holdsIn(of.rungs.filter((r) => r.at <= here.at));
  const to = held ?? (isDoneWith(of, here) ? here : undefined);
  if (!to) return null;
  const went = wentOn(of, to);
  const could = held ? 'They could do this before' : `They got ${went.right} of ${went.of} on their own ${went.when}`;
  const weeks = inWords(Math.round(days / 7));
  return stepAt(
    of,
    to,
    'again',
    `${could}, but they haven’t played ${of.ladder.name.toLowerCase()} for ${weeks} weeks. Start with two easy ones, ` +
      'then look again.',
  );
}

/** Two adults who marked the same step far apart, in a sentence; null where they did not. */
function adultsApart(of: OnLadder, here: RungEvidence): string | null {
  const { answers, apart, days } = WHEN.adults;
  const onIt = of.played.filter((r) => isOn(here, r) && triesOn([r]).of > 0);
  const lately = onIt.filter((r) => r.by && sure(onIt.at(-1)).day - r.day <= days);
  const shares = [...groupBy(lately, (r) => r.by ?? '')]
    .map(([by, runs]) => ({ by, ...triesOn(runs) }))
    .filter((s) => s.of >= answers)
    .sort((a, b) => b.right / b.of - a.right / a.of);
  const [most, least] = [shares[0], shares.at(-1)];
  if (!most || !least || most.right / most.of - least.right / least.of < apart) return null;
  return (
    `${most.by} marked ${most.right} of ${most.of} right, ${least.by} ${least.right} of ${least.of}. ` +
    'Mark four turns together before anything changes.'
  );
}

const lastPlayed = ({ rungs }: Pick<LadderEvidence, 'rungs'>): number =>
  Math.max(0, ...rungs.map((r) => r.lastAt ?? 0));

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

/**
 * The step of each ladder that was begun, the one worth most first; the ladder played last goes on where it can. After
 * a rest from everything what held comes first, the last played before the others.
 */
export function goingOn(all: readonly LadderEvidence[], choosing: Choosing, order: UnitOrder): Weighed[] {
  const begun = all.filter((l) => lastPlayed(l) > 0);
  const latest = Math.max(...begun.map(lastPlayed));
  const rested = daysSince(choosing.now, latest) >= WHEN.longAgoDays;
  const rank = (l: LadderEvidence): number => BEGIN_ORDER[order].indexOf(l.ladder.id);
  return [...begun]
    .sort((a, b) => lastPlayed(b) - lastPlayed(a) || rank(a) - rank(b))
    .flatMap((l) => {
      const step = onLadder(l, choosing);
      const more = lastPlayed(l) === latest ? WHEN.sameLadder : 0;
      const first = rested && step?.move === 'again' ? 1 : 0;
      return step ? [{ step, worth: first + more + worthOn(choosing.model, step.ladder, step.rungOf) }] : [];
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

/** What is next for a child by steps alone. */
export interface Chosen {
  readonly next: NextStep | null;
  /** Another skill, where the model says that it would be worth playing too. */
  readonly other: NextStep | null;
}

/**
 * The step to do next with its reason, and another skill beside it where that is worth as much. Never more than one
 * rung above one that holds or is being played; the same answers give the same step. The rung is chosen by the model,
 * where the next ten minutes are worth most: neither easy already nor out of reach. What is not expected at the child’s
 * age, or asks a child who points to speak, comes only where nothing else is left, and says so.
 *
 * @example nextSteps(evidenceOf(runs), { runs, model, now, clustersPause: false }, 'large-first').next?.move // 'up'
 */
export function nextSteps(all: readonly LadderEvidence[], choosing: Choosing, order: UnitOrder): Chosen {
  const going = goingOn(all, choosing, order);
  const fresh = beginnings(all, choosing, order);
  const next = going[0]?.step ?? somethingNew(all, choosing, fresh[0]) ?? atLast(all, choosing, order);
  if (!next) return { next: null, other: null };
  const worth = (s: NextStep): number => worthOn(choosing.model, s.ladder, s.rungOf);
  // A new skill only where what leads to it was shown: nobody is offered an easy first step for want of another.
  const led = fresh.filter((s) => BEGIN_NEEDS[order][s.ladder]?.length && mayBegin(s.ladder, all, order));
  const others = [...going.map((w) => w.step), ...led]
    .filter((s) => s.ladder !== next.ladder && worth(s) >= WHEN.other)
    .sort((a, b) => worth(b) - worth(a));
  return { next, other: others[0] ?? null };
}

/** Why what was begun does not go on, so that something new is begun. */
const NOT_ON: Readonly<Record<Bar | 'held', (skills: string) => string>> = {
  pause: (skills) =>
    `What comes next in ${skills} can wait until you’ve talked with the family, so here’s something new.`,
  pointing: (skills) => `In ${skills} they’d have to speak. Here they can point.`,
  early: (skills) => `What comes next in ${skills} can wait at their age, so here’s something new.`,
  held: (skills) => `They’re at the top of ${skills}, so here’s something new.`,
};

/** A first step of another skill, where nothing is left of those that were begun: with why. */
function somethingNew(
  all: readonly LadderEvidence[],
  choosing: Choosing,
  first: NextStep | undefined,
): NextStep | undefined {
  const begun = all.filter((l) => lastPlayed(l) > 0);
  if (!first || !begun.length) return first;
  const barredBy = (bar: Bar): LadderEvidence[] =>
    begun.filter(({ rungs }) => {
      const barOf = barsOn(choosing, rungs);
      return rungs.some((r) => r.state !== 'secure' && barOf(r) === bar);
    });
  const bar = BARS.find((b) => barredBy(b).length);
  const named = bar ? barredBy(bar) : begun;
  return { ...first, reason: NOT_ON[bar ?? 'held'](listed(named.map((l) => l.ladder.name.toLowerCase()))) };
}

/** What is left where everything else waits: named with what speaks against it. */
function atLast(all: readonly LadderEvidence[], choosing: Choosing, order: UnitOrder): NextStep | null {
  const { band, points } = choosing;
  if (!points && !band) return null;
  const { next } = nextSteps(all, { ...choosing, band: null, points: false }, order);
  if (!next) return null;
  const against = [
    ...(band && notExpected(band, next.rungOf)
      ? ['Most children do this later, but this child has done what comes before it.']
      : []),
    ...(points ? ['Let them answer with a nod or a tap.'] : []),
  ];
  return { ...next, reason: [next.reason, ...against].join(' ') };
}
