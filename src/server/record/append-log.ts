import { realise, type Entry as BankEntry } from '../../core/lexicon/entry';
import { OWN_NAME, readKey } from '../../core/games/spec';
import { standingOf } from '../../core/sessions/standing';
import { roundOf, type AnswerEntry, type Entry } from '../../core/sessions/log';
import { shippedEntry } from '../words/bank';
import { database } from '../storage/database';
import type { AnswerRow, LogRow } from '../storage/models';
import { ownEntries } from '../words/own-entries';
import { sure } from '../../core/sure';
import { logged, sessionLog, sessionPlan, type PlannedSession } from './session-record';

export interface Appended {
  /** The whole log after saving, what other devices added with it; or what is new, for a device that had the rest. */
  readonly log: readonly Entry[];
  /** Entries in the whole log. */
  readonly total: number;
  /** Entries that could not be kept, each with why; the device is told and nothing is dropped in silence. */
  readonly refused: readonly { readonly id: string; readonly why: string }[];
}

/** The entry of a word: shipped, or the setting's own, removed or not: an answer is never lost for want of its word. */
type Lookup = (word: string) => BankEntry | undefined;

/** The sounds of the word an item is about; of a handful or an echo, the sounds themselves; of a name, none. */
function soundsOf(key: string, session: PlannedSession, lookup: Lookup): string {
  const { words, sounds = [] } = readKey(key);
  const entry = lookup(words[0] ?? '');
  return entry
    ? realise(entry, session.accent)
        .map((s) => s.ipa)
        .join(' ')
    : sounds.join(' ');
}

/**
 * True where an item can be read back: its first word is known, or it is made of sounds alone, or stands for a name.
 */
const readable = (key: string, lookup: Lookup): boolean => {
  const { words, sounds } = readKey(key);
  return words.length ? words[0] === OWN_NAME || lookup(sure(words[0])) !== undefined : sounds !== undefined;
};

/** Children of the session, late ones with them, and of its group. */
interface People {
  readonly here: Set<string>;
  readonly inGroup: ReadonlySet<string>;
}

/** Why an entry cannot be kept, or undefined where it can. */
function fault(
  entry: Entry,
  session: PlannedSession,
  known: ReadonlySet<string>,
  lookup: Lookup,
  { here, inGroup }: People,
): string | undefined {
  const child = 'childId' in entry ? entry.childId : null;
  const others = 'partnerId' in entry && entry.partnerId ? [entry.partnerId] : [];
  if ([...(child ? [child] : []), ...others].some((id) => !(entry.kind === 'arrive' ? inGroup : here).has(id)))
    return 'That child is not in this session any more.';
  if ('turn' in entry && !session.rounds[roundOf(entry.turn)]) return 'There is no such round in this session.';
  if (entry.kind === 'answer' && !readable(entry.word, lookup)) return `“${entry.word}” is not in the word bank.`;
  if (entry.kind === 'answer' && entry.supersedes && !known.has(entry.supersedes))
    return 'The answer it corrects is not in this session.';
  if (entry.kind === 'undo' && !known.has(entry.answerId)) return 'The answer to undo is not in this session.';
  return undefined;
}

/**
 * Adds entries to a session's log, all in one transaction. An id that is there already is left as it is, so sending
 * twice changes nothing. A device that says it `has` all that was there gets only what is new back.
 */
export async function appendLog(sessionId: string, entries: readonly Entry[], has?: number): Promise<Appended> {
  const session = await sessionPlan(sessionId);
  const { models, write } = await database();
  const own = new Map((await ownEntries()).map((o) => [o.entry.word, o.entry]));
  const lookup: Lookup = (word) => shippedEntry(word) ?? own.get(word);
  return write(async (transaction) => {
    const { ids: known, models: shown } = await logged(sessionId, transaction);
    const upToDate = has === known.size;
    const added: Entry[] = [];
    const arriving = entries.some((e) => e.kind === 'arrive');
    const people: People = {
      here: new Set(session.childIds),
      inGroup: arriving
        ? new Set(
            (
              await models.children.findAll({ where: { group_id: session.groupId }, attributes: ['id'], transaction })
            ).map((c) => c.get().id),
          )
        : new Set(),
    };
    const refused: { id: string; why: string }[] = [];
    for (const entry of entries) {
      if (known.has(entry.id)) continue;
      const why = fault(entry, session, known, lookup, people);
      if (why) {
        refused.push({ id: entry.id, why });
      } else {
        known.add(entry.id);
        added.push(entry);
        if (entry.kind === 'arrive') people.here.add(entry.childId);
      }
    }
    const before = [...shown, ...added];
    const answers = added.flatMap((entry) =>
      entry.kind === 'answer' ? [answerRow(entry, session, soundsOf(entry.word, session, lookup), before)] : [],
    );
    const steps = added.flatMap((entry) => (entry.kind === 'answer' ? [] : [logRow(entry, sessionId)]));
    if (answers.length) await models.answers.bulkCreate(answers, { transaction });
    if (steps.length) await models.logRows.bulkCreate(steps, { transaction });
    if (!session.stale && added.some((e) => e.kind === 'answer' || e.kind === 'undo'))
      await models.sessions.update({ stale: 1 }, { where: { id: sessionId }, transaction });
    const late = added.flatMap((e) =>
      e.kind === 'arrive' && !session.childIds.includes(e.childId) ? [e.childId] : [],
    );
    if (late.length)
      await models.sessionChildren.bulkCreate(
        [...new Set(late)].map((child, i) => ({
          session_id: sessionId,
          child_id: child,
          position: session.childIds.length + i,
        })),
        { transaction },
      );
    const finish = added.find((entry) => entry.kind === 'finish');
    if (finish && !session.finishedAt)
      await models.sessions.update({ finished_at: finish.at }, { where: { id: sessionId }, transaction });
    return { log: upToDate ? added : await sessionLog(sessionId, transaction), total: known.size, refused };
  });
}

const answerRow = (
  entry: AnswerEntry,
  session: PlannedSession,
  sounds: string,
  before: readonly Entry[],
): AnswerRow => ({
  id: entry.id,
  session_id: session.id,
  child_id: entry.childId,
  turn: entry.turn,
  word: entry.word,
  task: sure(session.rounds[roundOf(entry.turn)]).task,
  step: sure(session.rounds[roundOf(entry.turn)]).step,
  sounds,
  outcome: entry.outcome,
  standing: standingOf(entry, session.rounds[roundOf(entry.turn)], before),
  slip: entry.slip,
  said: entry.said,
  missed: JSON.stringify(entry.missed),
  helps: JSON.stringify(entry.helps),
  note: entry.note,
  think_ms: entry.thinkMs,
  supersedes: entry.supersedes,
  at: entry.at,
  received_at: Date.now(),
  self_corrected: entry.selfCorrected ? 1 : 0,
  shown: entry.shown ? 1 : 0,
  marked_by: entry.by?.trim() || null,
  why: entry.why ?? null,
  partner_id: entry.partnerId ?? null,
  differs: entry.differs ? 1 : 0,
  second: entry.second ? 1 : 0,
});

function logRow(entry: Exclude<Entry, { kind: 'answer' }>, sessionId: string): LogRow {
  const { id, kind, at, ...detail } = entry;
  return {
    id,
    session_id: sessionId,
    kind,
    child_id: 'childId' in entry ? entry.childId : null,
    detail: JSON.stringify(detail),
    at,
    received_at: Date.now(),
  };
}
