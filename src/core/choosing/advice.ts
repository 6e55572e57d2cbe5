import type { Access } from '../answers/access';
import { findTask, TASKS } from '../games';
import { hearAndSay } from '../games/pebbles';
import { whereIn } from '../answers/spots';
import type { AgeBand } from '../evidence/age-band';
import { evidenceOf, type LadderEvidence, type RungEvidence, type StepRun } from '../evidence/evidence';
import { hearingPointer } from '../evidence/hearing-pointer';
import { ladderOf, type Ladder, type Rung } from '../evidence/ladders';
import type { UnitOrder } from '../evidence/unit-order';
import { modelOf, NOT_LOCAL, type Local, type Model } from './model';
import { FOUND_DAYS } from './finding';
import { gameOn, holdsIn, nextSteps, onLadder, WHEN, withAge, type Choosing, type NextStep } from './next-step';
import { reviewOf, type Review } from './review';
import { KEPT_DAYS } from '../evidence/pebbles';
import { patternsIn, suspectedIn, type Pattern } from '../evidence/patterns';
import { settle, type ChildSeen, type OpenSlip } from '../evidence/settle';
import { repliesOf, type Replies } from '../evidence/replies';
import { sure } from '../sure';
import { millisecondsInDay } from 'date-fns/constants';

/** Words for what is no step: a pattern, and a sound in a place. */
export interface AdviceWords {
  /** The one plain name of a pattern. Example: `frog, not fog`. */
  readonly patternName: (id: string) => string;
  /** What slips, in words. */
  readonly subjectOf: (pattern: Pattern) => string;
  /** A sound and place in words. */
  readonly spotOf: (key: string) => string;
  /** Whether there are words to check a sound in a place with. */
  readonly canCheck: (key: string) => boolean;
}

/** A child as far as advice goes, beside what was seen of them. */
export interface AdvisedChild {
  readonly band: AgeBand | null;
  /** What is always so for this child. */
  readonly access: readonly Access[];
  /** Hears better without high sounds. */
  readonly lowOnly: boolean;
  /** Languages spoken at home. */
  readonly languages?: string | undefined;
}
const ANY_CHILD: AdvisedChild = { band: null, access: [], lowOnly: false };

/** How a setting wants to be advised, and when. */
export interface Advising {
  /** Milliseconds since 1970. */
  readonly now: number;
  readonly unitOrder: UnitOrder;
  readonly local?: Local;
  /** A step an adult chose: it comes before ours. */
  readonly chosen?: NextStep | null;
  readonly child?: AdvisedChild;
  readonly words?: AdviceWords;
}

/** Plain words, where no bank is at hand. */
const PLAIN_WORDS: AdviceWords = {
  patternName: (id) => id,
  subjectOf: ({ id, name }) => name || id,
  spotOf: (key) => key,
  canCheck: () => true,
};

/** Where a child is with one skill: what holds, and the one step to go on with. */
export interface Skill {
  readonly ladder: Ladder;
  readonly rungs: readonly RungEvidence[];
  /** Something of it was played. */
  readonly begun: boolean;
  /** The hardest step that holds; null where none does. */
  readonly holds: RungEvidence | null;
  /** The one step they are working on, or would begin with; null where nothing is left. */
  readonly workingOn: NextStep | null;
  /** When what holds should come again; null where nothing holds. */
  readonly due: Review | null;
}

/** What is advised for one child: the one answer that every screen and page shows. */
export interface ChildAdvice {
  /** The first moment at which time alone may change it, milliseconds since 1970. */
  readonly until: number;
  /** Something was seen of the child. */
  readonly seen: boolean;
  readonly skills: readonly Skill[];
  readonly model: Model;
  /** The one thing to do next: an adult's choice, a check, a pattern or a step; null where everything holds. */
  readonly next: NextStep | null;
  /** Beside an adult’s choice what we would have played; else another skill worth as much, where there is one. */
  readonly other: NextStep | null;
  readonly chosen: NextStep | null;
  readonly patterns: readonly Pattern[];
  /** Ids of patterns worth dealing words for, before anything is said. */
  readonly suspected: readonly string[];
  /** Slips that a pebble check would settle, those that came most often first. */
  readonly open: readonly OpenSlip[];
  /** Speak with the family: two words could not be told apart on two days. */
  readonly talk: boolean;
  /** Answers by pointing: always, or because hardly any reply comes. */
  readonly points: boolean;
  /** Whether the child replies at all, or only when alone with an adult. */
  readonly replies: Replies;
  /** Over weeks most right answers came after hearing it again, or with the face in sight. */
  readonly hearing: boolean;
  /** Languages at home of a child whose first months here these are; null for everyone else. */
  readonly newWith: string | null;
  /** Games of the last days whose answers are left out, because everyone missed the same. */
  readonly rooms: readonly string[];
}

/** Days for which it is told that a room was suspected. */
const ROOM_TOLD_DAYS = 14;
/** Open slips in one place, from which the check that settles them comes first. Our own choice. */
const CHECK_FROM = 5;
/** Days for which an open slip asks for its check. */
const CHECK_DAYS = KEPT_DAYS;

/** The rung whose words hold a pattern, on the ladders of single sounds. */
const PATTERN_RUNGS: Readonly<Record<string, string>> = {
  'opening-r': '4-start',
  'opening-l': '4-start',
  'opening-s': '4-start',
  'opening-second': '4-start',
  opening: '4-start',
  'closing-first': '4-end',
  'closing-last': '4-end',
  closing: '4-end',
  'keeps-cluster': '4-start',
  'keeps-rime': '3-held',
};
const ANY_RUNG = '3-clip';

/** The ladders on which an answer says what became of every sound: said as a word, or sound by sound. */
const wholeWordLadder = (how: 'joined' | 'apart'): string => sure(TASKS.find((t) => t.wholeWord === how)).family;

/** The one of them that a child was on last. */
function soundLadder(runs: readonly StepRun[]): string {
  const last = [...runs]
    .filter((r) => findTask(r.task)?.wholeWord)
    .sort((a, b) => a.at - b.at)
    .at(-1);
  return findTask(last?.task ?? '')?.family ?? wholeWordLadder('joined');
}

const rungFor = (about: string): string => PATTERN_RUNGS[about] ?? PATTERN_RUNGS[about.split(' ')[1] ?? ''] ?? ANY_RUNG;

const isKept = (pattern: string): boolean => pattern.startsWith('keeps-');

/** What is about a slip, on the rung whose words hold it. */
function slipStep(about: string, ladderId: string): Pick<NextStep, 'ladder' | 'rung' | 'rungOf' | 'game'> {
  const ladder = ladderOf(ladderId);
  const rung: Rung = sure(ladder.rungs.find((r) => r.id === rungFor(about)));
  return { ladder: ladder.id, rung: rung.id, rungOf: rung, game: gameOn(rung, false) };
}

/** A pattern as a step to play. What is kept together shows only where words are taken apart. */
function patternStep(pattern: Pattern, runs: readonly StepRun[], words: AdviceWords): NextStep {
  const { id, missed, asked } = pattern;
  const what = `${isKept(id) ? '' : 'misses '}${words.subjectOf(pattern)}`;
  return {
    ...slipStep(id, isKept(id) ? wholeWordLadder('apart') : soundLadder(runs)),
    move: 'pattern',
    pattern: id,
    does: hearAndSay(words.patternName(id)),
    reason: `Often ${what}: ${missed} of ${asked}.`,
  };
}

/** The pebble check, where it has to come before anything else can be said; null where it need not. */
function checkStep({ open, runs }: Pick<Slips, 'open' | 'runs'>, now: number, words: AdviceWords): NextStep | null {
  const isNew = (o: OpenSlip): boolean => now - o.lastAt <= CHECK_DAYS * millisecondsInDay;
  const asks = open.filter((o) => o.verdict === 'open' && isNew(o) && words.canCheck(o.key));
  const times = (place: string): number =>
    asks.filter((o) => whereIn(o.key) === place).reduce((sum, o) => sum + o.times, 0);
  const first = asks.find((o) => times(whereIn(o.key)) >= CHECK_FROM);
  if (!first) return null;
  return {
    ...slipStep(whereIn(first.key), soundLadder(runs)),
    move: 'check',
    check: first.key,
    does: `play the pebble check for ${words.spotOf(first.key)}`,
    reason:
      `${times(whereIn(first.key))} of their answers may just be the way they speak. ` +
      'A minute with pebbles will show whether they can hear it.',
  };
}

/** Sounds that are hard to hear for who hears high ones badly. */
const HIGH: ReadonlySet<string> = new Set(['s', 'z', 'f', 'v', 'θ', 'ð', 'ʃ', 'ʒ', 'tʃ', 'dʒ']);

/** What a child does not hear well is no pattern to practise with them. */
const isHeard = ({ lowOnly }: AdvisedChild, { sounds }: Pattern): boolean =>
  !lowOnly || sounds.some((s) => !HIGH.has(s));

/** What is known of a child’s slips. */
interface Slips {
  readonly open: readonly OpenSlip[];
  readonly patterns: readonly Pattern[];
  readonly runs: readonly StepRun[];
  readonly talk: boolean;
}

/** What comes before any step: a check, or what slips again and again; null where neither does. */
function slipsFirst(slips: Slips, { now, child = ANY_CHILD, words = PLAIN_WORDS }: Advising): NextStep | null {
  if (slips.talk) return null;
  const check = checkStep(slips, now, words);
  const [pattern] = slips.patterns.filter((p) => isHeard(child, p));
  return check ?? (pattern ? withAge(patternStep(pattern, slips.runs, words), child.band) : null);
}

/** Where the child is with each skill: a step that is named for the child is the one they are working on. */
const skillsOf = (
  ladders: readonly LadderEvidence[],
  choosing: Choosing,
  named: readonly (NextStep | null)[],
): Skill[] =>
  ladders.map(({ ladder, rungs }) => {
    const holds = holdsIn(rungs) ?? null;
    const own = named.find((s) => s?.ladder === ladder.id && s.move !== 'check');
    return {
      ladder,
      rungs,
      begun: rungs.some((r) => r.lastAt !== null),
      holds,
      workingOn: own ?? onLadder({ ladder, rungs }, choosing),
      due: holds && reviewOf(choosing.runs, ladder.id, holds.at),
    };
  });

/** The first of some moments that is still to come. */
const firstAfter = (now: number, moments: readonly number[]): number =>
  Math.min(...moments.filter((at) => at > now), Infinity);

/** When time alone may change what is said: a rest grows long, a check or a check-in old, a week more has passed. */
function changesAt(
  ladders: readonly LadderEvidence[],
  { open, runs }: Pick<Slips, 'open' | 'runs'>,
  now: number,
): number {
  const after = (at: number, days: number): number => at + days * millisecondsInDay;
  const played = ladders.flatMap(({ rungs }) => rungs.flatMap((r) => r.lastAt ?? []));
  const lasts = ladders.map(({ rungs }) => Math.max(0, ...rungs.map((r) => r.lastAt ?? 0))).filter((at) => at > 0);
  // The day on which one week more is said.
  const weekMore = (at: number): number => {
    const weeks = Math.round(Math.floor((now - at) / millisecondsInDay) / 7);
    return after(at, Math.ceil(7 * (weeks + 0.5)));
  };
  return firstAfter(now, [
    ...played.map((at) => after(at, WHEN.longAgoDays)),
    ...lasts.filter((at) => now >= after(at, WHEN.longAgoDays)).map(weekMore),
    ...open.map((o) => after(o.lastAt, CHECK_DAYS)),
    ...runs.flatMap((r) => (r.standing === 'room' ? after(r.at, ROOM_TOLD_DAYS) : [])),
    ...runs.flatMap((r) => (r.standing === 'check-in' ? after(r.at, FOUND_DAYS) : [])),
  ]);
}

/**
 * All that is advised for a child, from all that was seen of them, as it was at the last answer: time alone changes
 * only that something was not seen for so long. The one function behind Today, the board, plans, a child's page and the
 * page for a family; the same seen on the same day gives the same advice everywhere.
 *
 * @example adviseOn(seen, { now, unitOrder: 'large-first' }).next?.move // 'up'
 */
export function adviseOn(seen: ChildSeen, advising: Advising): ChildAdvice {
  const { now, unitOrder, local = NOT_LOCAL, chosen = null, child = ANY_CHILD } = advising;
  const asOf = lastSeen(seen, now);
  const { runs, sessions, open } = settle(seen, asOf);
  const ladders = evidenceOf(runs);
  const replies = repliesOf(runs);
  const { patterns } = patternsIn(sessions, asOf);
  const slips = { open, patterns, runs, talk: open.some((o) => o.verdict === 'talk') };
  const choosing: Choosing = {
    runs,
    model: modelOf(runs, asOf, local),
    now,
    clustersPause: slips.talk,
    band: child.band,
    points: child.access.includes('points') || replies === 'hardly',
  };
  const steps = nextSteps(ladders, choosing, unitOrder);
  const first = slipsFirst(slips, advising);
  const ours = first ?? steps.next;
  const beside = first ? null : steps.other;
  return {
    until: changesAt(ladders, slips, now),
    seen: runs.length > 0,
    skills: skillsOf(ladders, choosing, [chosen, ours, beside]),
    model: choosing.model,
    next: chosen ?? ours,
    other: chosen ? ours : beside,
    chosen,
    patterns,
    suspected: slips.talk ? [] : suspectedIn(sessions, asOf),
    open,
    talk: slips.talk,
    points: choosing.points === true,
    replies,
    hearing: hearingPointer(runs, child),
    newWith: child.languages && isNewHere(runs) ? child.languages : null,
    rooms: [...new Set(runs.filter((r) => isToldRoom(r, now)).map((r) => r.task))],
  };
}

/** The first months, in which much may be words a child does not know yet. Common practice, no source. */
const FIRST_DAYS = 90;
function isNewHere(runs: readonly StepRun[]): boolean {
  const days = runs.map((r) => r.day);
  return days.length > 0 && Math.max(...days) - Math.min(...days) < FIRST_DAYS;
}

const isToldRoom = ({ standing, at }: StepRun, now: number): boolean =>
  standing === 'room' && now - at <= ROOM_TOLD_DAYS * millisecondsInDay;

/** When something was last seen of a child; now, where nothing was. */
export const lastSeen = ({ runs }: Pick<ChildSeen, 'runs'>, now: number): number =>
  runs.length ? Math.max(...runs.map((r) => r.at)) : now;

/**
 * The next step of a child on one ladder: what is named for the child, where that is on it, then the step that goes on
 * from what was seen. Null where nothing is left on it.
 * @example nextOn(advice, 'blending')?.rung // '3-clip'
 */
export const nextOn = ({ skills }: Pick<ChildAdvice, 'skills'>, ladder: string): NextStep | null =>
  skills.find((s) => s.ladder.id === ladder)?.workingOn ?? null;

/**
 * What a child plays in a group: what is next, or, while that is a check for this child alone, the step they are
 * working on beside it.
 */
export const inGroup = ({ next, skills }: Pick<ChildAdvice, 'next' | 'skills'>): NextStep | null =>
  next?.check ? (nextOn({ skills }, next.ladder) ?? next) : next;
