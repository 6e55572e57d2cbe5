import type { Heard } from '../../core/answers/heard';
import { HELP_WORDS, SLIP_WORDS, STANDING_WORDS, type Outcome } from '../../core/answers/outcome';
import { isPlain, type OwnWay } from '../../core/answers/own-way';
import { keyLabel } from '../../core/games/key-label';
import { taskOf } from '../../core/games';
import type { AccentId } from '../../core/phonology/accents';
import { chart, vowelPad } from '../../core/phonology/pad';
import { historyOf, type Week } from '../../core/evidence/history';
import { findGames, firstToFind, type FindGame } from '../../core/choosing/finding';
import type { AgeBand } from '../../core/evidence/age-band';
import { NOT_EXPECTED, notExpected } from '../../core/evidence/not-expected';
import { bandOf } from '../people/groups';
import { lastSeen, type Skill } from '../../core/choosing/advice';
import type { NextStep } from '../../core/choosing/next-step';
import type { Review } from '../../core/choosing/review';
import type { State } from '../../core/evidence/rule';
import { settle, type SettledSeen } from '../../core/evidence/settle';
import { soundMap, type SoundMap } from '../../core/evidence/sound-map';
import { leadIn } from '../../core/lexicon/country';
import { noticesOf } from '../../core/telling/notices';
import { holdIn, type Hold } from '../people/hold';
import { summaryOf } from '../../core/telling/summary';
import { rungInWords, whySentence } from '../../core/telling/why';
import { wouldBeRight } from './own-way-effect';
import { advised, chosenOf, spotWords, type Advised } from './advised';
import { choicesOf } from './chosen-steps';
import { openShown, shownNext, type ShownNext, type ShownOpen } from './shown-next';
import { database } from '../storage/database';
import { answersThat, type KeptAnswer } from '../answers/answers';
import { hearingOfAny, type HeardAs } from '../answers/hearing';
import { seenOf } from '../answers/kept-evidence';
import type { Material } from '../../core/games/material';
import { Problem } from '../storage/problems';
import { checkId, readOwnWay } from '../record/session-record';
import { preparedBank } from '../words/bank';
import { sure } from '../../core/sure';
import { heldOf, type HeldOfChild } from '../people/held-of';

export interface RecentAnswer {
  readonly id: string;
  readonly sessionId: string;
  readonly label: string;
  readonly game: string;
  readonly outcome: Outcome;
  /** What was said; null where nothing is noted, or the answer was right. */
  readonly heard: Heard | null;
  /** What slipped, or how it stands, in a few words. */
  readonly gist: string;
  readonly note: string | null;
  readonly at: number;
}

export interface ShownRung {
  readonly id: string;
  readonly name: string;
  readonly does: string;
  readonly state: State;
  readonly now: boolean;
  readonly why: string;
  readonly spoken: string;
}
export interface ShownLadder {
  readonly id: string;
  readonly name: string;
  readonly rungs: readonly ShownRung[];
  readonly due: Review | null;
  readonly stale: boolean;
  /** The step they are working on; null where nothing is left. */
  readonly workingOn: string | null;
  readonly played: boolean;
}

/** Who it is, and since when they have played. */
interface WhoPart {
  readonly id: string;
  readonly name: string;
  readonly groupId: string;
  readonly groupName: string;
  /** Taken out of sight: kept, and on no list. */
  readonly outOfSight: boolean;
  /** Who put their record on hold, and when; null where nobody did. */
  readonly hold: Hold | null;
  readonly ownWay: OwnWay;
}

/** What comes next, and why: all of it from one advice. */
interface NextPart {
  readonly summary: string;
  readonly next: ShownNext | null;
  /** Beside an adult’s choice what we would have played; else another skill. */
  readonly other: ShownNext | null;
  /** Who chose what is next, and when. */
  readonly chosen: { readonly by: string | null; readonly at: number } | null;
  /** What to know before anything is played. */
  readonly notices: readonly string[];
  /** What nobody can tell yet, and the check that would settle it. */
  readonly open: readonly ShownOpen[];
  /** Games in which it can be found where the child is, and the one to begin with. */
  readonly find: { readonly games: readonly FindGame[]; readonly first: string };
}

/** What was seen. */
interface SeenPart {
  readonly ladders: readonly ShownLadder[];
  /** Days on which they played. */
  readonly days: number;
  readonly since: number | null;
  readonly map: SoundMap;
  readonly weeks: readonly Week[];
}

export interface ChildPage extends WhoPart, NextPart, SeenPart {
  readonly accent: AccentId;
  /** With this way of speaking, so many answers marked as slips would count as right. */
  readonly ownWayEffect: readonly string[];
  /** Earlier choices of adults, the newest first. */
  readonly choices: readonly { readonly does: string; readonly at: number; readonly by: string | null }[];
  readonly chart: {
    readonly consonants: readonly {
      readonly name: string;
      readonly sounds: readonly { readonly ipa: string; readonly label: string }[];
    }[];
    readonly vowels: readonly { readonly ipa: string; readonly label: string }[];
  };
  /** How much is held of them. */
  readonly held: HeldOfChild;
  readonly recent: readonly RecentAnswer[];
  readonly notes: readonly RecentAnswer[];
}

/** Notes a page holds, to be searched: more than anyone writes about a child in a year. */
const NOTES_SHOWN = 400;

/** What happened, in a few words: the slip, the help, or what came before it. */
function gistOf({ outcome, slip, helps, standing }: KeptAnswer): string {
  if (slip) return SLIP_WORDS[slip];
  if (outcome === 'with-help' && helps.length) return HELP_WORDS[sure(helps.at(-1))];
  return standing === 'fresh' ? '' : STANDING_WORDS[standing];
}

const recentOf = (answer: KeptAnswer, heardAs: HeardAs): RecentAnswer => ({
  id: answer.id,
  sessionId: answer.sessionId,
  label: keyLabel(answer.key, answer.task, answer.accent),
  game: taskOf(answer.task).name,
  outcome: answer.outcome,
  heard: answer.outcome === 'on-own' ? null : heardAs(answer),
  gist: gistOf(answer),
  note: answer.note,
  at: answer.askedAt,
});

/** What a ladder is shown for. */
interface LadderFocus {
  readonly target: NextStep | null;
  readonly band: AgeBand | null;
  readonly now: number;
}

const shownLadder = (
  { ladder, rungs, begun, workingOn, due }: Skill,
  { target, band, now }: LadderFocus,
): ShownLadder => ({
  id: ladder.id,
  name: ladder.name,
  workingOn: workingOn?.rung ?? null,
  played: begun,
  due,
  stale: due !== null && due.dueAt <= now,
  rungs: rungs.map((r) => ({
    id: r.rung.id,
    name: r.rung.name,
    does: r.rung.does,
    state: r.state,
    now: target?.ladder === ladder.id && target.rung === r.rung.id,
    why: `${whySentence(r)}${notExpected(band, r.rung) ? ` ${NOT_EXPECTED}` : ''}`,
    spoken: rungInWords(r),
  })),
});

/** Every sound of the accent, for the map. */
const chartOf = (accent: AccentId): ChildPage['chart'] => ({
  consonants: chart(accent).map((row) => ({
    name: row.manner,
    sounds: row.cells.flatMap((c) => c.sounds.map(({ ipa, label }) => ({ ipa, label }))),
  })),
  vowels: vowelPad(accent)
    .filter((v) => !v.ipa.includes(' '))
    .map(({ ipa, label }) => ({ ipa, label })),
});

function nextPart(advice: Advised, accent: AccentId, material: Material): NextPart {
  const { next, other, choice, skills, points } = advice;
  const shown = (step: NextStep | null): ShownNext | null => step && shownNext(step, advice, material);
  const ladders = [next, other].flatMap((s) => s?.ladder ?? []);
  return {
    summary: summaryOf({ skills }),
    next: shown(next),
    other: shown(other),
    chosen: choice && { by: choice.by, at: choice.at },
    notices: noticesOf(advice, (key) => spotWords(key, accent), leadIn(accent)),
    open: openShown(advice, accent, material),
    find: { games: findGames(), first: firstToFind(ladders, points) },
  };
}

function seenPart(
  { skills, next, open }: Advised,
  { runs, sessions }: SettledSeen,
  focus: Omit<LadderFocus, 'target'>,
): SeenPart {
  return {
    ladders: skills.map((skill) => shownLadder(skill, { ...focus, target: next })),
    days: new Set(runs.map((r) => r.day)).size,
    since: runs.length ? Math.min(...runs.map((r) => r.at)) : null,
    map: soundMap({ sessions, open }, focus.now),
    weeks: historyOf(runs, focus.now),
  };
}

/** All that the page of a child shows. Throws a Problem (404) where there is no such child. */
export async function childPage(childId: string, now = Date.now()): Promise<ChildPage> {
  const { models } = await database();
  const child = (await models.children.findByPk(checkId(childId)))?.get();
  if (!child) throw new Problem('That child isn’t in the list any more.', 404);
  const [group, heardAs, all, choices, rows, noted, seen, held] = await Promise.all([
    models.groups.findByPk(child.group_id),
    hearingOfAny(),
    advised([childId], now),
    choicesOf(childId),
    answersThat({ children: [childId], limit: 60 }),
    answersThat({ children: [childId], noted: true, limit: NOTES_SHOWN }),
    seenOf([childId], now),
    heldOf(childId),
  ]);
  const advice = sure(all.of.get(childId));
  const { accent, conventions } = all.speech;
  const material = await preparedBank(accent, conventions);
  const ownWay = readOwnWay(child.own_way);
  const theirs = sure(seen.get(childId));
  return {
    id: childId,
    name: child.name,
    groupId: child.group_id,
    groupName: group?.get().name ?? '',
    outOfSight: child.archived_at !== null,
    hold: holdIn(child),
    ownWay,
    ...nextPart(advice, accent, material),
    ...seenPart(advice, settle(theirs, lastSeen(theirs, now)), { band: bandOf(group?.get().age_band ?? null), now }),
    accent,
    ownWayEffect: isPlain(ownWay) ? [] : wouldBeRight(rows, ownWay, heardAs),
    choices: choices.flatMap((c) => {
      const chosen = chosenOf({ ladder: c.ladder, rung: c.rung, at: c.at, by: c.chosen_by });
      return chosen ? [{ does: chosen.step.does, at: c.at, by: c.chosen_by }] : [];
    }),
    chart: chartOf(accent),
    held,
    recent: rows.slice(0, 8).map((a) => recentOf(a, heardAs)),
    notes: noted.map((a) => recentOf(a, heardAs)),
  };
}
