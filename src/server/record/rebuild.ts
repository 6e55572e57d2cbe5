import type { Transaction } from 'sequelize';
import type { Help } from '../../core/answers/outcome';
import { shownStep } from '../../core/games';
import { groupBy } from '../../core/group-by';
import { MARKS } from '../../core/progress/evidence';
import { addCells, cellsOf } from '../../core/progress/sound-map';
import { roundOf } from '../../core/sessions/log';
import { readAnswers, type AnswerRead } from '../../core/sessions/standing';
import type { StoredRound } from '../../core/sessions/stored-round';
import { sure } from '../../core/sure';
import { database } from '../storage/database';
import type { EvidenceRow, ReadingRow } from '../storage/models';
import { insertRows, rows } from '../storage/rows';
import { sessionLog } from './session-record';

const DAY_MS = 86_400_000;
/** Days since 1970 by the clock on the wall. Example: two answers of one evening share a day. */
const dayOf = (at: number): number => Math.floor((at - new Date(at).getTimezoneOffset() * 60_000) / DAY_MS);

const readingRow = ({ answer, fate, standing, askedAt }: AnswerRead, sessionId: string): ReadingRow => ({
  answer_id: answer.id,
  session_id: sessionId,
  child_id: answer.childId,
  fate,
  standing,
  asked_at: askedAt,
  slipped: answer.slip === null ? 0 : 1,
  noted: answer.note === null ? 0 : 1,
});

interface Session {
  readonly id: string;
  readonly rounds: readonly StoredRound[];
}

/** The sounds of the word an answer was given for, by the answer’s id (IPA); none where it was about no word. */
type SoundsOf = (answer: string) => readonly string[];

/** An answer that counts, with the step it was given to. */
interface Counted extends AnswerRead {
  readonly task: string;
  readonly step: string;
  readonly childId: string;
}

/** The answers that stand and count, in the order in which the children were asked. */
function countedIn({ rounds }: Session, all: readonly AnswerRead[]): Counted[] {
  return all
    .flatMap((a): Counted[] => {
      const { childId, outcome, turn } = a.answer;
      if (a.fate !== 'stands' || childId === null || outcome === 'does-not-count') return [];
      const { task, step } = sure(rounds[roundOf(turn)]);
      return [{ ...a, task, step, childId }];
    })
    .sort((a, b) => a.askedAt - b.askedAt || (a.answer.id < b.answer.id ? -1 : 1));
}

/** What the answers of one session say of each child, step by step; what a step leaves open, the word says. */
function runsIn({ id }: Session, all: readonly Counted[], soundsOf: SoundsOf): EvidenceRow[] {
  const counted = all.map((a) => ({ ...a, step: shownStep(a.task, a.step, soundsOf(a.answer.id)) }));
  return [...groupBy(counted, (a) => `${a.childId} ${a.task} ${a.step} ${a.standing}`).values()].map((of) => {
    const last = sure(of.at(-1));
    const helps: Partial<Record<Help, number>> = {};
    for (const { answer } of of)
      if (answer.outcome === 'with-help') for (const help of answer.helps) helps[help] = (helps[help] ?? 0) + 1;
    return {
      child_id: last.childId,
      session_id: id,
      task: last.task,
      step: last.step,
      standing: last.standing,
      at: last.askedAt,
      day: dayOf(last.askedAt),
      marks: of.map(({ answer }) => MARKS[answer.outcome as keyof typeof MARKS]).join(''),
      helps: JSON.stringify(helps),
    };
  });
}

/** How each sound fared for each child of one session. */
function heardIn({ id }: Session, counted: readonly Counted[], soundsOf: SoundsOf) {
  return [...groupBy(counted, (a) => a.childId)].flatMap(([child, of]) => {
    const cells = of.flatMap(({ task, answer: { id: answer, outcome, slip, missed } }) => {
      const one = cellsOf({ task, outcome, slip, missed, sounds: soundsOf(answer) });
      return one ? [one] : [];
    });
    return cells.length ? [{ child_id: child, session_id: id, cells: JSON.stringify(addCells(cells)) }] : [];
  });
}

/** Reads one session anew: what stands, in what standing, and what that says of each child. */
export async function rebuild(sessionId: string, transaction: Transaction): Promise<void> {
  const { models } = await database();
  const of = { where: { session_id: sessionId }, transaction };
  const row = await models.sessions.findByPk(sessionId, { attributes: ['rounds'], transaction });
  if (!row) return;
  const session = { id: sessionId, rounds: JSON.parse(row.get().rounds) as StoredRound[] };
  const log = await sessionLog(sessionId, transaction);
  const sounds = await rows<{ id: string; sounds: string }>(
    'SELECT id, sounds FROM answers WHERE session_id = :id',
    { id: sessionId },
    transaction,
  );
  const read = readAnswers(log, session.rounds);
  const counted = countedIn(session, read);
  const kept = new Map(sounds.map((s) => [s.id, s.sounds]));
  const soundsOf: SoundsOf = (answer) => (kept.get(answer) ?? '').split(' ').filter(Boolean);
  const heard = heardIn(session, counted, soundsOf);
  const runs = runsIn(session, counted, soundsOf);
  await models.readings.destroy(of);
  await models.evidence.destroy(of);
  await models.heardSounds.destroy(of);
  await insertRows(
    'readings',
    read.map((a) => readingRow(a, sessionId)),
    transaction,
  );
  await insertRows('evidence', runs, transaction);
  await insertRows('heard_sounds', heard, transaction);
  await models.sessions.update({ stale: 0 }, { where: { id: sessionId }, transaction });
}
