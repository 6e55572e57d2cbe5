import { listed } from '../../core/in-words';
import { whereIn } from '../../core/answers/spots';
import type { Material } from '../../core/games/material';
import { pebbleWords } from '../../core/games/pebbles';
import { examplesOf, reasonWith } from '../../core/choosing/examples';
import type { Heard } from '../../core/answers/heard';
import { HELP_WORDS, SLIP_WORDS, STANDING_WORDS, type Outcome } from '../../core/answers/outcome';
import { isPlain, type OwnWay } from '../../core/answers/own-way';
import { keyLabel } from '../../core/games/key-label';
import { taskOf } from '../../core/games';
import type { AccentId } from '../../core/phonology/accents';
import { chart, vowelPad } from '../../core/phonology/pad';
import { historyOf, type Week } from '../../core/evidence/history';
import type { LadderEvidence, StepRun } from '../../core/evidence/evidence';
import { findGames, firstToFind, type FindGame } from '../../core/choosing/finding';
import type { AgeBand } from '../../core/evidence/age-band';
import { NOT_EXPECTED, notExpected } from '../../core/evidence/not-expected';
import { bandOf } from '../people/groups';
import { rungOf } from '../../core/evidence/ladders';
import { frontier, highest, type NextStep } from '../../core/choosing/next-step';
import { reviewOf, type Review } from '../../core/choosing/review';
import type { RuleId } from '../../core/evidence/rule';
import { soundMap, type SoundMap } from '../../core/evidence/sound-map';
import { moreSentence, rungInWords, whySentence } from '../../core/telling/why';
import { helpedOf } from './helped';
import { wouldBeRight } from './own-way-effect';
import { advised, chosenOf, spotWords, type Advised, type Chosen } from './advised';
import { choicesOf } from './chosen-steps';
import { database } from '../storage/database';
import { answersThat, type KeptAnswer } from '../answers/answers';
import { hearingOfAny, type HeardAs } from '../answers/hearing';
import { Problem } from '../storage/problems';
import { checkId, readOwnWay } from '../record/session-record';
import { preparedBank } from '../words/bank';
import { sure } from '../../core/sure';

const slipped = (spot: string, times: number) => `${spot} slipped ${['', 'once', 'twice'][times] ?? `${times} times`}.`;

const workingTowards = (holds: number, list: string) => `${holds ? 'Working towards' : 'Is working towards'}: ${list}.`;

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
  readonly state: LadderEvidence['rungs'][number]['state'];
  readonly now: boolean;
  readonly why: string;
  readonly spoken: string;
}
export interface ShownLadder {
  readonly id: string;
  readonly name: string;
  readonly rungs: readonly ShownRung[];
  readonly more: string | null;
  readonly due: Review | null;
  readonly stale: boolean;
  /** The rung the child stands before. */
  readonly at: string | null;
  readonly played: boolean;
}

export interface ChildPage {
  readonly id: string;
  readonly name: string;
  readonly groupId: string;
  readonly groupName: string;
  /** Taken out of sight: kept, and on no list. */
  readonly outOfSight: boolean;
  readonly accent: AccentId;
  readonly rule: RuleId;
  readonly ownWay: OwnWay;
  /** With this way of speaking, so many answers marked as slips would count as right. */
  readonly ownWayEffect: readonly string[];
  /** Days on which they played. */
  readonly days: number;
  readonly since: number | null;
  readonly summary: string;
  readonly ladders: readonly ShownLadder[];
  /** What we would play next, an adult's choice apart. */
  readonly next: readonly ShownNext[];
  readonly chosen: (Chosen & { readonly shown: ShownNext }) | null;
  /** What to know before anything is played: speak with the family, a loud day, hardly any replies. */
  readonly notices: readonly string[];
  /** What nobody can tell yet, and the check that would settle it. */
  readonly open: readonly ShownOpen[];
  /** Earlier choices of adults, the newest first. */
  readonly choices: readonly { readonly does: string; readonly at: number; readonly by: string | null }[];
  /** How what slipped went on since it was noticed, in whole sentences. */
  readonly helped: readonly string[];
  readonly map: SoundMap;
  readonly chart: {
    readonly consonants: readonly {
      readonly name: string;
      readonly sounds: readonly { readonly ipa: string; readonly label: string }[];
    }[];
    readonly vowels: readonly { readonly ipa: string; readonly label: string }[];
  };
  readonly recent: readonly RecentAnswer[];
  readonly notes: readonly RecentAnswer[];
  readonly weeks: readonly Week[];
  /** Games in which it can be found where the child is, and the one to begin with. */
  readonly find: { readonly games: readonly FindGame[]; readonly first: string };
}

/** A step with a reason and words to try now. */
export interface ShownNext {
  readonly ladder: string;
  readonly rung: string;
  readonly pattern: string | null;
  readonly does: string;
  readonly reason: string;
  readonly words: readonly string[];
  readonly twins: readonly string[];
}

/** A slip that is open. */
interface ShownOpen {
  readonly key: string;
  readonly text: string;
  /** False where it was played: words the child can say are better. */
  readonly play: boolean;
}

function shownStep(step: NextStep, { patterns }: Advised, material: Material): ShownNext {
  const examples = examplesOf(step, patterns, material);
  const { ladder, rung, rungOf: of, pattern = null } = step;
  return { ladder, rung, pattern, does: of.does, reason: reasonWith(step, examples), ...examples };
}

/** What to know first, in whole sentences; none of them names a condition. */
const noticesFor = ({ talk, point, rooms, open }: Advised, accent: AccentId): string[] => [
  ...(talk
    ? [
        'On two days they couldn’t tell words apart by ' +
          `${listed(open.filter((o) => o.verdict === 'talk').map((o) => spotWords(o.key, accent)))}. Speak with ` +
          'the family and your special-needs lead: a hearing check is wise. Words with two sounds together can ' +
          'wait.',
      ]
    : []),
  ...(point ? ['Often gives no reply, which doesn’t tell us what they know. Try pairs, pictures or pointing.'] : []),
  ...(rooms.length
    ? [
        `Everyone found ${listed([...new Set(rooms.map((r) => taskOf(r.task).name.toLowerCase()))])} hard that ` +
          'day, so we think it was the room: those answers don’t count for anyone.',
      ]
    : []),
];

/** Notes a page holds, to be searched: more than anyone writes about a child in a year. */
const NOTES_SHOWN = 400;

/** Slips shown at once. */
const OPEN_SHOWN = 3;

const openFor = ({ open }: Advised, accent: AccentId, material: Material): ShownOpen[] =>
  open
    .filter((o) => o.verdict !== 'talk')
    .slice(0, OPEN_SHOWN)
    .map(({ key, times, verdict }) => ({
      key,
      text:
        verdict === 'own-words'
          ? `They hear ${spotWords(key, accent)} but can’t say it yet. Play words they can say.`
          : slipped(spotWords(key, accent), times),
      play: verdict === 'open' && pebbleWords(whereIn(key), material).some((w) => w.key === key),
    }));

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

const FOUR_WEEKS_MS = 28 * 86_400_000;

/** What a child can do, in two sentences at most: no figures. */
export function summaryOf(ladders: readonly LadderEvidence[]): string {
  const holds = ladders.flatMap(({ rungs }) => {
    const top = highest(rungs);
    return top >= 0 ? [sure(rungs[top]).rung.does] : [];
  });
  const coming = ladders.flatMap(({ rungs }) =>
    rungs
      .filter((r) => r.state === 'getting-there')
      .slice(0, 1)
      .map((r) => (r.fresh.helped > r.fresh.own ? `${r.rung.does} with help` : r.rung.does)),
  );
  const parts = [
    holds.length ? `On their own, can ${listed(holds.slice(-3))}.` : '',
    coming.length ? workingTowards(holds.length, listed(coming.slice(-2))) : '',
  ].filter(Boolean);
  return parts.join(' ') || 'We haven’t seen enough yet to say where this child is.';
}

/** Fresh answers a week on one ladder, over the last four weeks. */
function paceOn(ladder: string, runs: readonly StepRun[], now: number): number {
  const lately = runs.filter(
    (r) => now - r.at < FOUR_WEEKS_MS && r.standing === 'fresh' && rungOf(r.task, r.step)?.ladder.id === ladder,
  );
  return lately.reduce((sum, r) => sum + r.marks.length, 0) / 4;
}

/** What a ladder is shown for. */
interface LadderFocus {
  readonly target: { readonly ladder: string; readonly rung: string } | undefined;
  readonly band: AgeBand | null;
  readonly now: number;
}

function shownLadder(
  { ladder, rungs }: LadderEvidence,
  runs: readonly StepRun[],
  { target, band, now }: LadderFocus,
): ShownLadder {
  const at = frontier(rungs);
  const here = sure(rungs[at < 0 ? rungs.length - 1 : at]);
  const top = highest(rungs);
  const due = top >= 0 ? reviewOf(runs, ladder.id, top) : null;
  return {
    id: ladder.id,
    name: ladder.name,
    at: at < 0 ? null : sure(rungs[at]).rung.id,
    played: rungs.some((r) => r.lastAt !== null),
    due,
    stale: due !== null && due.dueAt <= now,
    more: here.lastAt === null ? null : moreSentence(here, paceOn(ladder.id, runs, now)),
    rungs: rungs.map((r) => ({
      id: r.rung.id,
      name: r.rung.name,
      does: r.rung.does,
      state: r.state,
      now: target?.ladder === ladder.id && target.rung === r.rung.id,
      why: `${whySentence(r)}${notExpected(band, r.rung) ? ` ${NOT_EXPECTED}` : ''}`,
      spoken: rungInWords(r),
    })),
  };
}

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

/** All that the page of a child shows. Throws a Problem (404) where there is no such child. */
export async function childPage(childId: string, now = Date.now()): Promise<ChildPage> {
  const { models } = await database();
  const child = (await models.children.findByPk(checkId(childId)))?.get();
  if (!child) throw new Problem('That child isn’t in the list any more.', 404);
  const [group, heardAs, all, choices, rows, noted] = await Promise.all([
    models.groups.findByPk(child.group_id),
    hearingOfAny(),
    advised([childId], now, true),
    choicesOf(childId),
    answersThat({ children: [childId], limit: 60 }),
    answersThat({ children: [childId], noted: true, limit: NOTES_SHOWN }),
  ]);
  const advice = sure(all.of.get(childId));
  const { accent, conventions } = all.speech;
  const material = await preparedBank(accent, conventions);
  const { ladders, runs } = advice;
  const ownWay = readOwnWay(child.own_way);
  const target = advice.next[0];
  return {
    id: childId,
    name: child.name,
    groupId: child.group_id,
    groupName: group?.get().name ?? '',
    outOfSight: child.archived_at !== null,
    accent,
    rule: all.settings.rule,
    ownWay,
    ownWayEffect: isPlain(ownWay) ? [] : wouldBeRight(rows, ownWay, heardAs),
    days: new Set(runs.map((r) => r.day)).size,
    since: runs.length ? Math.min(...runs.map((r) => r.at)) : null,
    summary: summaryOf(ladders),
    ladders: ladders.map((ladder) =>
      shownLadder(ladder, runs, { target, band: bandOf(group?.get().age_band ?? null), now }),
    ),
    next: advice.next.filter((s) => s !== advice.chosen).map((s) => shownStep(s, advice, material)),
    chosen: advice.choice && { ...advice.choice, shown: shownStep(advice.choice.step, advice, material) },
    notices: noticesFor(advice, accent),
    open: openFor(advice, accent, material),
    choices: choices.flatMap((c) => {
      const chosen = chosenOf({ ladder: c.ladder, rung: c.rung, at: c.at, by: c.chosen_by });
      return chosen ? [{ does: chosen.step.rungOf.does, at: c.at, by: c.chosen_by }] : [];
    }),
    helped: await helpedOf(childId, advice, accent, now),
    map: soundMap({ sessions: advice.sessions, open: advice.open }, now),
    chart: chartOf(accent),
    recent: rows.slice(0, 8).map((a) => recentOf(a, heardAs)),
    notes: noted.map((a) => recentOf(a, heardAs)),
    weeks: historyOf(runs, now),
    find: {
      games: findGames(),
      first: firstToFind(
        advice.next.map((s) => s.ladder),
        advice.point,
      ),
    },
  };
}
