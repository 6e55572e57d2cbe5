import { nameNow } from '../../core/answers/name-now';
import type { Help, Outcome, Slip, Standing } from '../../core/answers/outcome';
import type { AccentId } from '../../core/phonology/accents';
import type { Fate } from '../../core/sessions/standing';
import { caughtUp } from '../record/rebuild-queue';
import { rows } from '../storage/rows';

/** An answer as every screen reads it. */
export interface KeptAnswer {
  readonly id: string;
  readonly sessionId: string;
  readonly accent: AccentId;
  readonly turn: number;
  /** `null` where everyone answered together. */
  readonly childId: string | null;
  readonly task: string;
  readonly step: string;
  /** The key of the item. */
  readonly key: string;
  /** The sounds of the word the item is about (IPA). */
  readonly sounds: readonly string[];
  readonly outcome: Outcome;
  readonly fate: Fate;
  readonly standing: Standing;
  readonly slip: Slip | null;
  readonly said: string | null;
  /** Indices of the sounds that slipped. */
  readonly missed: readonly number[];
  readonly helps: readonly Help[];
  readonly note: string | null;
  readonly markedBy: string | null;
  /** Answered otherwise than everyone did together. */
  readonly differs: boolean;
  /** When the child was asked, milliseconds since 1970. */
  readonly askedAt: number;
}

/** Which answers are asked for; what is left out does not matter. */
export interface Which {
  readonly sessions?: readonly string[];
  readonly children?: readonly string[];
  /** What became of them: those that stand, where nothing else is said. */
  readonly fates?: readonly Fate[];
  /** The key of the item. */
  readonly key?: string;
  readonly noted?: true;
  readonly slipped?: true;
  /** Check-ins are kept apart from play. */
  readonly play?: true;
  /** Without those who differed from everyone: they had no turn of their own. */
  readonly turns?: true;
  /** At most so many, the latest asked first. */
  readonly limit?: number;
}

interface Row {
  readonly id: string;
  readonly session_id: string;
  readonly accent: string;
  readonly turn: number;
  readonly child_id: string | null;
  readonly task: string;
  readonly step: string;
  readonly word: string;
  readonly sounds: string;
  readonly outcome: string;
  readonly fate: string;
  readonly standing: string;
  readonly slip: string | null;
  readonly said: string | null;
  readonly missed: string;
  readonly helps: string;
  readonly note: string | null;
  readonly marked_by: string | null;
  readonly differs: 0 | 1;
  readonly asked_at: number;
}

const list = (text: string): string[] => (text === '[]' ? [] : (JSON.parse(text) as string[]));

/** An answer as it was kept, with its slip as it is called today. */
function keptOf(row: Row): KeptAnswer {
  const kept = asKept(row);
  return { ...kept, slip: nameNow(kept) };
}

const asKept = (row: Row): KeptAnswer => ({
  id: row.id,
  sessionId: row.session_id,
  accent: row.accent as AccentId,
  turn: row.turn,
  childId: row.child_id,
  task: row.task,
  step: row.step,
  key: row.word,
  sounds: row.sounds ? row.sounds.split(' ') : [],
  outcome: row.outcome as Outcome,
  fate: row.fate as Fate,
  standing: row.standing as Standing,
  slip: row.slip as Slip | null,
  said: row.said,
  missed: list(row.missed) as unknown as number[],
  helps: list(row.helps) as Help[],
  note: row.note,
  markedBy: row.marked_by,
  differs: row.differs === 1,
  askedAt: row.asked_at,
});

const FROM = 'FROM readings r JOIN answers a ON a.id = r.answer_id';

/** What each wish asks of a reading `r`. */
function conditions({ sessions, children, fates, key, noted, slipped, play, turns }: Which): string[] {
  return [
    fates ? 'r.fate IN (:fates)' : `r.fate = 'stands'`,
    sessions ? 'r.session_id IN (:sessions)' : '',
    children ? 'r.child_id IN (:children)' : '',
    key === undefined ? '' : 'a.word = :key',
    noted ? 'r.noted = 1' : '',
    slipped ? 'r.slipped = 1' : '',
    play ? `r.standing <> 'check-in'` : '',
    turns ? 'a.differs = 0' : '',
  ].filter(Boolean);
}

/** Asks the file, once all that was appended is read; of nobody and of no session there is nothing to ask. */
async function ask<T extends object>(which: Which, sql: string): Promise<T[]> {
  if (which.sessions?.length === 0 || which.children?.length === 0) return [];
  await caughtUp();
  return rows<T>(sql, { ...which });
}

/**
 * The answers asked for, the latest asked first. The one read of answers: Today, habits, paces, a child's page and
 * file, Look back and whose turn comes first all go through it, so that none counts what was undone, put right or
 * marked beside.
 * @example await answersThat({ children: [id], noted: true, limit: 12 })
 */
export async function answersThat(which: Which): Promise<KeptAnswer[]> {
  const kept = await ask<Row>(
    which,
    `SELECT a.id, a.session_id, s.accent, a.turn, a.child_id, a.task, a.step, a.word, a.sounds, a.outcome, r.fate,
       r.standing, a.slip, a.said, a.missed, a.helps, a.note, a.marked_by, a.differs, r.asked_at
     ${FROM} JOIN sessions s ON s.id = r.session_id
     WHERE ${conditions(which).join(' AND ')}
     ORDER BY r.asked_at DESC, a.id DESC ${which.limit === undefined ? '' : 'LIMIT :limit'}`,
  );
  return kept.map(keptOf);
}

/** How often something came of a step in one session. */
export interface Outcomes {
  readonly sessionId: string;
  readonly task: string;
  readonly step: string;
  readonly outcome: Outcome;
  readonly times: number;
  /** When it was last asked, milliseconds since 1970. */
  readonly lastAt: number;
}

/** The answers asked for, counted by session, step and outcome: how it went, for who need not know what was said. */
export async function outcomesThat(which: Which): Promise<Outcomes[]> {
  return ask<Outcomes>(
    which,
    `SELECT a.session_id AS sessionId, a.task, a.step, a.outcome, COUNT(*) AS times, MAX(r.asked_at) AS lastAt
     ${FROM} WHERE ${conditions(which).join(' AND ')} GROUP BY a.session_id, a.task, a.step, a.outcome`,
  );
}

/** When each turn was asked for. */
export interface AnswersWanted {
  readonly sessionId: string;
  readonly turn: number;
  readonly task: string;
  readonly askedAt: number;
}

/** When the answers asked for were asked, the first first. */
export async function askedThat(which: Which): Promise<AnswersWanted[]> {
  return ask<AnswersWanted>(
    which,
    `SELECT a.session_id AS sessionId, a.turn, a.task, r.asked_at AS askedAt
     ${FROM} WHERE ${conditions(which).join(' AND ')} ORDER BY r.asked_at, a.id`,
  );
}

/** The latest sessions of a group, by id, the latest first. */
export async function latestSessions(groupId: string, many: number): Promise<string[]> {
  const kept = await rows<{ id: string }>(
    'SELECT id FROM sessions WHERE group_id = :groupId ORDER BY started_at DESC LIMIT :many',
    { groupId, many },
  );
  return kept.map((s) => s.id);
}

/** The sessions of a group in which a second adult marked too, by id. */
export async function sessionsHeardTwice(groupId: string): Promise<string[]> {
  await caughtUp();
  const kept = await rows<{ id: string }>(
    `SELECT DISTINCT s.id FROM sessions s JOIN readings r ON r.session_id = s.id AND r.fate = 'beside'
     WHERE s.group_id = :groupId`,
    { groupId },
  );
  return kept.map((s) => s.id);
}
