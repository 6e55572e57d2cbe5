import { millisecondsInDay } from 'date-fns/constants';
import type { Transaction } from 'sequelize';
import { realise, type Entry as BankEntry } from '../../core/lexicon/entry';
import { OWN_NAME, readKey } from '../../core/games/spec';
import { roundOf, turnInRound, type Entry } from '../../core/sessions/log';
import { mostTurns } from '../../core/sessions/most-turns';
import { isStory, shippedEntry } from '../words/bank';
import { ownEntries } from '../words/own-entries';
import { database } from '../storage/database';
import { sessionLog, type OpenSession, type PlannedSession } from './session-record';

const notInBank = (word: string) => `“${word}” isn’t in the word bank.`;

/** The entry of a word: shipped, or the setting's own, removed or not: an answer is never lost for want of its word. */
export type Lookup = (word: string) => BankEntry | undefined;

export async function lookup(): Promise<Lookup> {
  const own = new Map((await ownEntries()).map((o) => [o.entry.word, o.entry]));
  return (word) => shippedEntry(word) ?? own.get(word);
}

/** The sounds of the word an item is about; of a handful or an echo, the sounds themselves; of a name, none. */
export function soundsOf(key: string, session: PlannedSession, find: Lookup): string {
  const { words, sounds = [] } = readKey(key);
  const entry = find(words[0] ?? '');
  return entry
    ? realise(entry, session.accent)
        .map((s) => s.ipa)
        .join(' ')
    : sounds.join(' ');
}

/**
 * True where an item can be read back: its first word is known, or it is made of sounds alone, or stands for a name or
 * a story.
 */
const readable = (key: string, find: Lookup): boolean => {
  const { words, sounds } = readKey(key);
  const [word] = words;
  if (word === undefined) return sounds !== undefined;
  return word === OWN_NAME || find(word) !== undefined || isStory(word);
};

/** What an entry is held against: the session, what its log has, the words, and who is there. */
export interface Surroundings {
  readonly session: OpenSession;
  /** Of the ids asked about, those in the log; what is taken in is added. */
  readonly known: Set<string>;
  readonly find: Lookup;
  /** Children of the session; who arrives is added. */
  readonly here: Set<string>;
  /** Children of its group, where somebody arrives. */
  readonly inGroup: ReadonlySet<string>;
  /** Those named who are in the file no more. */
  readonly erased: ReadonlySet<string>;
  /** What a session that is over may still be given; null where that is not asked. */
  readonly late: Late | null;
}

/** What a session that is over may still be given. */
interface Late {
  /** It ended so long ago that nothing more is taken. */
  readonly over: boolean;
  /** Turns of each round at most, as far as the log tells. */
  readonly turns: readonly number[];
}

/** Marks that come after the end are taken for two weeks: a device may have been away for that long. */
const LATE_MS = 14 * millisecondsInDay;

/** The children an entry speaks of. */
function namedIn(entry: Entry): string[] {
  const child = 'childId' in entry ? entry.childId : null;
  const partner = 'partnerId' in entry ? entry.partnerId : null;
  return [child, partner].filter((id): id is string => Boolean(id));
}

/** The children of the group, where one of the entries brings somebody late. */
async function whoMayCome(
  session: PlannedSession,
  entries: readonly Entry[],
  transaction: Transaction,
): Promise<ReadonlySet<string>> {
  if (!entries.some((e) => e.kind === 'arrive')) return new Set();
  const { models } = await database();
  const children = await models.children.findAll({
    where: { group_id: session.groupId },
    attributes: ['id'],
    transaction,
  });
  return new Set(children.map((c) => c.get().id));
}

/** Those of some children who are in the file no more. */
async function erasedOf(ids: readonly string[], transaction: Transaction): Promise<ReadonlySet<string>> {
  if (!ids.length) return new Set();
  const { models } = await database();
  const there = await models.children.findAll({ where: { id: [...ids] }, attributes: ['id'], transaction });
  const left = new Set(there.map((c) => c.get().id));
  return new Set(ids.filter((id) => !left.has(id)));
}

/** What a session that is over may still be given; null while it is being played. */
async function lateIn(
  session: OpenSession,
  entries: readonly Entry[],
  now: number,
  transaction: Transaction,
): Promise<Late | null> {
  if (session.finishedAt === null) return null;
  const log = [...(await sessionLog(session.id, transaction)), ...entries];
  return {
    over: now - session.finishedAt > LATE_MS,
    turns: session.rounds.map((round, i) => mostTurns(round, i, session.childIds.length, log)),
  };
}

/** All that entries are held against. `late`: the time, where they come from a device. */
export async function surroundings(
  session: OpenSession,
  { entries, find, late }: { entries: readonly Entry[]; find: Lookup; late: number | null },
  transaction: Transaction,
): Promise<Surroundings> {
  const here = new Set(session.childIds);
  const strangers = [...new Set(entries.flatMap(namedIn))].filter((id) => !here.has(id));
  return {
    session,
    known: session.known,
    find,
    here,
    inGroup: await whoMayCome(session, entries, transaction),
    erased: await erasedOf(strangers, transaction),
    late: late === null ? null : await lateIn(session, entries, late, transaction),
  };
}

/** Why an entry cannot be kept. */
interface Fault {
  /** A sentence for people. */
  readonly why: string;
  /** It speaks of a child who was erased. */
  readonly erased?: true;
}

/** What is wrong with whom an entry speaks of. */
function strangerIn(entry: Entry, { here, inGroup, erased }: Surroundings): Fault | undefined {
  const child = 'childId' in entry ? entry.childId : null;
  if (child && erased.has(child))
    return { why: 'That child has been erased, so nothing more is kept about them.', erased: true };
  const there = entry.kind === 'arrive' ? inGroup : here;
  const stranger = namedIn(entry).some((id) => !there.has(id) && !erased.has(id));
  return stranger ? { why: 'That child isn’t in this session any more.' } : undefined;
}

/** What is wrong with when an entry comes, and for which turn. */
function outOfTime(entry: Entry, { session, late }: Surroundings): string | undefined {
  if (late?.over) return 'This session ended more than two weeks ago, so nothing more can be added to it.';
  if (!('turn' in entry)) return undefined;
  const round = roundOf(entry.turn);
  if (!session.rounds[round]) return 'There’s no such round in this session.';
  return late && turnInRound(entry.turn) >= (late.turns[round] ?? 0)
    ? 'There’s no such turn in this session.'
    : undefined;
}

/** What is wrong with what an entry is about. */
function unknownIn(entry: Entry, { known, find }: Surroundings): string | undefined {
  if (entry.kind === 'undo' && !known.has(entry.answerId)) return 'The answer to undo isn’t in this session.';
  if (entry.kind === 'aside' && !find(entry.word)) return notInBank(entry.word);
  if (entry.kind !== 'answer') return undefined;
  if (!readable(entry.word, find)) return notInBank(entry.word);
  if (entry.supersedes && !known.has(entry.supersedes)) return 'The answer it corrects isn’t in this session.';
  return undefined;
}

/** Why an entry cannot be kept, or undefined where it can. */
export function fault(entry: Entry, around: Surroundings): Fault | undefined {
  if (around.session.elsewhere.has(entry.id)) return { why: 'That mark belongs to another session.' };
  const why = outOfTime(entry, around) ?? unknownIn(entry, around);
  return strangerIn(entry, around) ?? (why === undefined ? undefined : { why });
}
