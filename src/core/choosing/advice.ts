import { evidenceOf, type LadderEvidence, type StepRun } from '../evidence/evidence';
import { findTask, TASKS } from '../games';
import { ladderOf, type Rung } from '../evidence/ladders';
import type { UnitOrder } from '../evidence/unit-order';
import { modelOf, NOT_LOCAL, type Local, type Model } from './model';
import { nextSteps, onLadder, type NextStep } from './next-step';
import { patternsIn, raisedIn, suspectedIn, type Pattern, type Raised } from '../evidence/patterns';
import type { RuleId } from '../evidence/rule';
import { settle, type ChildSeen, type OpenSlip, type SessionCells } from '../evidence/settle';
import { sure } from '../sure';
import { millisecondsInDay } from 'date-fns/constants';

const oftenKeeps = (subject: string, missed: number, asked: number) => `Often ${subject}: ${missed} of ${asked}.`;

const oftenMisses = (subject: string, missed: number, asked: number) =>
  `Often misses ${subject}: ${missed} of ${asked}.`;

/** How a setting wants to be advised, and when. */
export interface Advising {
  /** Milliseconds since 1970. */
  readonly now: number;
  readonly rule: RuleId;
  readonly unitOrder: UnitOrder;
  readonly local?: Local;
  /** A step an adult chose: it comes before ours. */
  readonly chosen?: NextStep | null;
  /** Figures for the child's own page: rates, luck, turns still needed. */
  readonly detail?: boolean;
}

/** What is advised for one child: the one answer that every screen and page shows. */
export interface ChildAdvice {
  /** When it was worked out for, milliseconds since 1970. */
  readonly at: number;
  readonly ladders: readonly LadderEvidence[];
  readonly model: Model;
  /** Settled runs: what is open is not in them. */
  readonly runs: readonly StepRun[];
  /** What became of single sounds, settled, a session each. */
  readonly sessions: readonly SessionCells[];
  /** What to play next: an adult's choice, then a pattern, then steps; two at most beside the choice. */
  readonly next: readonly NextStep[];
  readonly chosen: NextStep | null;
  readonly patterns: readonly Pattern[];
  /** Patterns that were told at some time, for the child's own page; none without figures. */
  readonly raised: readonly Raised[];
  /** Ids of patterns worth dealing words for, before anything is said. */
  readonly suspected: readonly string[];
  /** Slips that a pebble check would settle, those that came most often first. */
  readonly open: readonly OpenSlip[];
  /** Speak with the family: two words could not be told apart on two days. */
  readonly talk: boolean;
  /** Hardly ever replies: pointing games say more. */
  readonly point: boolean;
  /** Answers of the last days that are left out of it, because everyone missed the same. */
  readonly rooms: readonly StepRun[];
}

/** Replies that are too few to go by: so many turns lately, and this share of them silent. */
const SILENT = { turns: 8, share: 0.6, days: 28 } as const;
/** Days for which it is told that a room was suspected. */
const ROOM_TOLD_DAYS = 14;

function isSilent(runs: readonly StepRun[], now: number): boolean {
  const marks = runs
    .filter((r) => r.standing === 'fresh' && now - r.at <= SILENT.days * millisecondsInDay)
    .map((r) => r.marks)
    .join('');
  return marks.length >= SILENT.turns && marks.split('-').length - 1 >= SILENT.share * marks.length;
}

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

const rungFor = (pattern: string): string =>
  PATTERN_RUNGS[pattern] ?? PATTERN_RUNGS[pattern.split(' ')[1] ?? ''] ?? ANY_RUNG;

/** Patterns as steps to play. What is kept together shows only where words are taken apart. */
function patternStep(pattern: Pattern, runs: readonly StepRun[], subjectOf: (p: Pattern) => string): NextStep {
  const keeps = pattern.id.startsWith('keeps-');
  const ladder = ladderOf(keeps ? wholeWordLadder('apart') : soundLadder(runs));
  const rung: Rung = sure(ladder.rungs.find((r) => r.id === rungFor(pattern.id)));
  const words = keeps ? oftenKeeps : oftenMisses;
  return {
    ladder: ladder.id,
    rung: rung.id,
    rungOf: rung,
    move: 'pattern',
    pattern: pattern.id,
    reason: words(subjectOf(pattern), pattern.missed, pattern.asked),
  };
}

/**
 * All that is advised for a child, from all that was seen of them. The one function behind Today, the board, plans, a
 * child's page and the page for a family; the same seen at the same moment gives the same advice everywhere.
 *
 * @param subjectOf a pattern in words, in the accent in force
 * @example adviseOn(seen, { now, rule: 'weighed', unitOrder: 'large-first' }).next[0]?.move // 'up'
 */
export function adviseOn(
  seen: ChildSeen,
  { now, rule, unitOrder, local = NOT_LOCAL, chosen = null, detail = false }: Advising,
  subjectOf: (p: Pattern) => string = (p) => p.name,
): ChildAdvice {
  const settled = settle(seen, now);
  const ladders = evidenceOf(settled.runs, now, rule, detail);
  const model = modelOf(settled.runs, now, local);
  const { patterns } = patternsIn(settled.sessions, now);
  const talk = settled.open.some((o) => o.verdict === 'talk');
  const steps = nextSteps(ladders, { runs: settled.runs, model, now, clustersPause: talk }, unitOrder);
  const [pattern] = talk ? [] : patterns;
  const ours = pattern ? [patternStep(pattern, settled.runs, subjectOf), ...steps.slice(0, 1)] : steps;
  return {
    at: now,
    ladders,
    model,
    runs: settled.runs,
    sessions: settled.sessions,
    next: chosen ? [chosen, ...ours] : ours,
    chosen,
    patterns,
    raised: detail ? raisedIn(settled.sessions) : [],
    suspected: talk ? [] : suspectedIn(settled.sessions, now),
    open: settled.open,
    talk,
    point: isSilent(settled.runs, now),
    rooms: settled.runs.filter((r) => r.standing === 'room' && now - r.at <= ROOM_TOLD_DAYS * millisecondsInDay),
  };
}

/**
 * The next step of a child on one ladder: an adult’s choice, then a pattern that is played there, then the step that
 * adviseOn would name for it. Null where every rung holds.
 * @example nextOn(advice, 'blending')?.rung // '3-clip'
 */
export function nextOn(advice: ChildAdvice, ladder: string): NextStep | null {
  const { at: now, ladders, runs, model, talk, next } = advice;
  const named = next.find((s) => s.ladder === ladder);
  const on = ladders.find((l) => l.ladder.id === ladder);
  return named ?? (on ? onLadder(on, { runs, model, now, clustersPause: talk }) : null);
}
