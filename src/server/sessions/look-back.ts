import { nameNow } from '../../core/answers/name-now';
import type { SessionExport, ExportRow } from '../../core/formats/session-export';
import { stepOf, taskOf } from '../../core/games';
import { heardText, type Heard } from '../../core/answers/heard';
import { ACCEPTED } from '../../core/answers/outcome';
import type { z } from 'zod';
import type { correctionSchema } from '../../core/formats/schemas';
import { keyLabel, sayingAll } from '../../core/games/key-label';
import { roundOf, type AnswerEntry, type Entry, type PebbleMark } from '../../core/sessions/log';
import { replay } from '../../core/sessions/replay';
import { dealtKeys, playedAs } from '../../core/sessions/own-step';
import { markedTwice } from '../../core/sessions/marked-twice';
import { readAnswers } from '../../core/sessions/standing';
import { groupBy } from '../../core/group-by';
import type { AccentId } from '../../core/phonology/accents';
import { tally, type Tally } from '../../core/sessions/summary';
import type { StoredRound } from '../../core/sessions/stored-round';
import { outcomesThat } from '../answers/answers';
import { hearing } from '../answers/hearing';
import { database } from '../storage/database';
import { rows } from '../storage/rows';
import { canReopen } from './reopen';
import { tabletsOf, type FromTablet } from './tablets';
import { replayPlan, sessionLog, sessionRecord, type SessionRecord } from '../record/session-record';
import { sure } from '../../core/sure';
import { pick } from '../../core/pick';

export interface LookBackAnswer extends ExportRow {
  readonly childId: string | null;
  readonly partnerId: string | null;
  /** The item in words. */
  readonly label: string;
  /** What was said, as it is shown. */
  readonly heardAs: Heard | null;
  /** Words of a pebble check that was played because of it. */
  readonly pebbles: readonly PebbleMark[];
}

export interface LookBack {
  readonly session: SessionRecord;
  /** The rounds by name, in order. */
  readonly rounds: readonly { readonly name: string; readonly step: string }[];
  /** Whose step was whose and why, where each had their own. */
  readonly own: readonly OwnStepTold[];
  /** Marked but undone; they stay in the log. */
  readonly undone: number;
  /** Turns marked on two devices: the later mark counts, the other can be chosen instead. */
  readonly twice: readonly MarkedOnTwo[];
  /** The tablets that marked in it, each with how many of its marks count. */
  readonly tablets: readonly FromTablet[];
  /** It ended a moment ago, and can be gone on with. */
  readonly reopens: boolean;
  /** The answers that stand, in the order of their turns; those of children who differed from the others after them. */
  readonly answers: readonly LookBackAnswer[];
}

/** A turn that two devices marked, in words. */
interface MarkedOnTwo {
  /** The answer that counts. */
  readonly answerId: string;
  readonly label: string;
  readonly counts: MarkOfOne;
  readonly other: MarkOfOne;
}

interface MarkOfOne {
  readonly childId: string | null;
  readonly child: string | null;
  readonly outcome: AnswerEntry['outcome'];
  readonly by: string | null;
}

/** What one child had, in a round of their own steps. */
interface OwnStepTold {
  readonly round: string;
  readonly childId: string;
  readonly step: string;
  readonly why: string;
}

const ownTold = ({ rounds, children }: SessionRecord): OwnStepTold[] =>
  rounds.flatMap((round) =>
    (round.own ?? [])
      .filter((o) => children.some((c) => c.id === o.childId))
      .map(({ childId, step, why }) => ({
        round: taskOf(round.task).name,
        childId,
        step: stepOf(taskOf(round.task), step).name,
        why: why ?? '',
      })),
  );

/** The answer and what it replaced, oldest first. */
function history(answer: AnswerEntry, byId: ReadonlyMap<string, AnswerEntry>): AnswerEntry[] {
  const older = answer.supersedes ? byId.get(answer.supersedes) : undefined;
  return older ? [...history(older, byId), answer] : [answer];
}

/** A round by name; its step where one step is for all. */
export const roundName = ({ task, step, own }: StoredRound): { name: string; step: string } => ({
  name: taskOf(task).name,
  step: own?.length ? 'each their own step' : stepOf(taskOf(task), step).name,
});

const stepOfAnswer = (round: StoredRound | undefined, key: string): string => (round ? playedAs(round, key).step : '');

const answersOf = (log: readonly Entry[]): AnswerEntry[] => log.filter((e): e is AnswerEntry => e.kind === 'answer');

/** A session as it was played: the answers that stand, with what was marked before. */
export async function lookBack(id: string): Promise<LookBack> {
  const session = await sessionRecord(id);
  const { models } = await database();
  const log = await sessionLog(id);
  const marked = await models.answers.findAll({ where: { session_id: id }, attributes: ['id', 'sounds'] });
  const soundsOf = new Map(marked.map((r) => [r.get().id, r.get().sounds]));
  const standing = new Map(readAnswers(log, session.rounds).map((a) => [a.answer.id, a.standing]));
  const heardAs = await hearing(session.accent);
  const names = new Map(session.children.map((c) => [c.id, c.name]));
  const byId = new Map(answersOf(log).map((a) => [a.id, a]));
  const { answers, differing } = replay(replayPlan(session), log);
  const called = (a: AnswerEntry): AnswerEntry => {
    const task = session.rounds[roundOf(a.turn)]?.task ?? '';
    return { ...a, slip: nameNow({ ...a, task, sounds: (soundsOf.get(a.id) ?? '').split(' ') }) };
  };
  const nameOf = (childId: string | null | undefined): string | null => (childId ? (names.get(childId) ?? '') : null);
  const markOfOne = (a: AnswerEntry): MarkOfOne => ({
    childId: a.childId,
    child: nameOf(a.childId),
    outcome: a.outcome,
    by: a.by ?? null,
  });
  return {
    session,
    rounds: session.rounds.map(roundName),
    own: ownTold(session),
    twice: markedTwice(log).map(({ counts, other }) => ({
      answerId: counts.id,
      label: keyLabel(counts.word, session.rounds[roundOf(counts.turn)]?.task ?? '', session.accent),
      counts: markOfOne(counts),
      other: markOfOne(other),
    })),
    tablets: await tabletsOf(id, log),
    reopens: session.paper === null && canReopen(session.finishedAt),
    undone: log.filter((e) => e.kind === 'undo').length,
    answers: [...answers, ...differing].map(called).map((a) => ({
      id: a.id,
      turn: a.turn,
      task: session.rounds[roundOf(a.turn)]?.task ?? '',
      step: stepOfAnswer(session.rounds[roundOf(a.turn)], a.word),
      childId: a.childId,
      child: nameOf(a.childId),
      word: a.word,
      label: keyLabel(a.word, session.rounds[roundOf(a.turn)]?.task ?? '', session.accent),
      sounds: (soundsOf.get(a.id) ?? '').split(' '),
      standing: sure(standing.get(a.id)),
      outcome: a.outcome,
      slip: a.slip,
      said: a.said,
      ...heardBoth(heardAs({ ...a, sounds: (soundsOf.get(a.id) ?? '').split(' ') })),
      missed: a.missed,
      helps: a.helps,
      note: a.note,
      thinkMs: a.thinkMs,
      selfCorrected: a.selfCorrected === true,
      shown: a.shown === true,
      markedBy: a.by ?? null,
      partnerId: a.partnerId ?? null,
      partner: nameOf(a.partnerId),
      differs: a.differs === true,
      pebbles: a.pebbles ?? [],
      at: new Date(a.at).toISOString(),
      before: withReasons(history(a, byId)),
    })),
  };
}

/** What was said, for screens and for files. */
const heardBoth = (heardAs: Heard | null): Pick<LookBackAnswer, 'heard' | 'heardAs'> => ({
  heardAs,
  heard: heardAs && heardText(heardAs),
});

/** What an answer was before, each with why the next took its place. */
const withReasons = (all: readonly AnswerEntry[]): LookBackAnswer['before'] =>
  all.slice(0, -1).map((b, i) => ({
    id: b.id,
    outcome: b.outcome,
    at: new Date(b.at).toISOString(),
    why: sure(all[i + 1]).why ?? null,
  }));

/** What a file says of an answer, in this order. */
const EXPORTED = [
  'id',
  'turn',
  'task',
  'step',
  'child',
  'word',
  'sounds',
  'outcome',
  'slip',
  'said',
  'heard',
  'missed',
  'helps',
  'note',
  'thinkMs',
  'standing',
  'selfCorrected',
  'shown',
  'markedBy',
  'partner',
  'differs',
  'at',
  'before',
] as const satisfies readonly (keyof ExportRow)[];

/** The session in its open file form. */
export function exportOf({ session, answers }: LookBack): SessionExport {
  return {
    format: 'bouncy-echo-session',
    version: 4,
    session: {
      id: session.id,
      group: session.groupName,
      title: session.title,
      rounds: session.rounds.map((r) => ({ task: r.task, step: r.step, items: dealtKeys(r, session.childIds) })),
      accent: session.accent,
      paper: session.paper,
      startedAt: new Date(session.startedAt).toISOString(),
      finishedAt: session.finishedAt === null ? null : new Date(session.finishedAt).toISOString(),
    },
    answers: answers.map((answer) => pick(answer, EXPORTED)),
  };
}

type Correction = z.infer<typeof correctionSchema>;

/**
 * Corrects an answer: a new row that supersedes it, under an id made on the device, with the reason. The old one
 * stays.
 */
export function correctionOf(
  answers: readonly LookBackAnswer[],
  change: Correction,
  now = Date.now(),
): AnswerEntry | undefined {
  const old = answers.find((a) => a.id === change.answerId);
  if (!old) return undefined;
  return {
    kind: 'answer',
    id: change.newId,
    at: now,
    turn: old.turn,
    childId: change.childId === undefined ? old.childId : change.childId,
    word: old.word,
    outcome: change.outcome,
    ...heardInSession(old, change.outcome),
    // A note that was emptied is gone; one that nobody spoke of stays.
    note: change.note === undefined ? old.note : change.note.trim() || null,
    thinkMs: old.thinkMs,
    supersedes: old.id,
    why: change.why ?? 'other',
    by: change.by?.trim() || old.markedBy,
    ...(old.differs ? { differs: true } : {}),
    ...(old.pebbles.length ? { pebbles: old.pebbles } : {}),
    ...(old.partnerId && old.partnerId !== change.childId ? { partnerId: old.partnerId } : {}),
  };
}

/** What was heard stands, unless the new outcome says that nothing slipped. */
function heardInSession(
  old: LookBackAnswer,
  outcome: AnswerEntry['outcome'],
): Pick<AnswerEntry, 'slip' | 'said' | 'missed' | 'helps' | 'selfCorrected' | 'shown'> {
  const nothingSlipped = outcome === 'on-own';
  return {
    slip: nothingSlipped && !(old.slip && ACCEPTED.has(old.slip)) ? null : old.slip,
    said: old.said,
    missed: nothingSlipped ? [] : old.missed,
    helps: old.helps,
    ...(old.selfCorrected ? { selfCorrected: true } : {}),
    ...(old.shown ? { shown: true } : {}),
  };
}

export interface SessionLine {
  readonly id: string;
  readonly title: string;
  readonly rounds: readonly StoredRound[];
  readonly startedAt: number;
  readonly finished: boolean;
  /** What was said to somebody; until then, what is dealt. */
  readonly words: readonly string[];
  /** The number of the paper it was typed in from. */
  readonly paper: number | null;
  readonly tally: Tally;
}

/** A session begun this recently is listed though nothing was marked in it yet. */
const JUST_BEGUN_MS = 6 * 3_600_000;

/** An item of a session, by its key. */
interface SaidItem {
  readonly task: string;
  readonly word: string;
}

/** What was said in each of some sessions, in its order; sessions without an answer are not there. */
async function saidIn(sessions: readonly string[]): Promise<ReadonlyMap<string, readonly SaidItem[]>> {
  if (!sessions.length) return new Map();
  const said = await rows<SaidItem & { session: string }>(
    `SELECT session_id AS session, task, word, MIN(turn) AS turn FROM answers WHERE session_id IN (:sessions)
     GROUP BY session_id, task, word ORDER BY turn`,
    { sessions: [...sessions] },
  );
  return groupBy(said, (s) => s.session);
}

const dealtIn = (rounds: readonly StoredRound[], children: readonly string[]): SaidItem[] =>
  rounds.flatMap((r) => sayingAll(r.task, dealtKeys(r, children)).map((word) => ({ task: r.task, word })));

/**
 * A group's sessions, newest first, each with how it went. One query for the sessions, one for all their answers.
 * A session that was begun and left without an answer is passed over once it is a few hours old.
 */
export async function listSessions(groupId: string, limit = 50, now = Date.now()): Promise<SessionLine[]> {
  const { models } = await database();
  const sessions = (
    await models.sessions.findAll({ where: { group_id: groupId }, order: [['started_at', 'DESC']], limit })
  ).map((s) => s.get());
  const outcomes = await outcomesThat({ sessions: sessions.map((s) => s.id), turns: true });
  const bySession = groupBy(outcomes, (o) => o.sessionId);
  const seats = await models.sessionChildren.findAll({ where: { session_id: sessions.map((s) => s.id) } });
  const playing = new Map(
    [...groupBy(seats, (c) => c.get().session_id)].map(([id, of]) => [id, of.map((c) => c.get().child_id)]),
  );
  const said = await saidIn(sessions.map((s) => s.id));
  return sessions
    .map((s) => {
      const rounds = JSON.parse(s.rounds) as StoredRound[];
      return {
        id: s.id,
        title: s.title,
        rounds,
        startedAt: s.started_at,
        finished: s.finished_at !== null,
        paper: s.paper,
        tally: tally(bySession.get(s.id) ?? []),
        words: (said.get(s.id) ?? dealtIn(rounds, playing.get(s.id) ?? [])).map(({ task, word }) =>
          keyLabel(word, task, s.accent as AccentId),
        ),
      };
    })
    .filter(
      (line) => Object.values(line.tally).some(Boolean) || (!line.finished && now - line.startedAt < JUST_BEGUN_MS),
    );
}
