import type { Transaction } from 'sequelize';
import { realise, type Entry as BankEntry } from '../../core/lexicon/entry';
import { OWN_NAME, readKey } from '../../core/games/spec';
import { roundOf, type Entry } from '../../core/sessions/log';
import { isStory, shippedEntry } from '../words/bank';
import { ownEntries } from '../words/own-entries';
import { database } from '../storage/database';
import type { PlannedSession } from './session-record';
import { fault as say } from './text';

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
  readonly session: PlannedSession;
  /** Ids of the log; what is taken in is added. */
  readonly known: Set<string>;
  readonly find: Lookup;
  /** Children of the session; who arrives is added. */
  readonly here: Set<string>;
  /** Children of its group, where somebody arrives. */
  readonly inGroup: ReadonlySet<string>;
}

/** The children of the group, where one of the entries brings somebody late. */
export async function whoMayCome(
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

/** The children an entry speaks of. */
function namedIn(entry: Entry): string[] {
  const child = 'childId' in entry ? entry.childId : null;
  const partner = 'partnerId' in entry ? entry.partnerId : null;
  return [child, partner].filter((id): id is string => Boolean(id));
}

/** Why an entry cannot be kept, or undefined where it can. */
export function fault(entry: Entry, { session, known, find, here, inGroup }: Surroundings): string | undefined {
  const there = entry.kind === 'arrive' ? inGroup : here;
  if (namedIn(entry).some((id) => !there.has(id))) return say.childSessionMore;
  if ('turn' in entry && !session.rounds[roundOf(entry.turn)]) return say.noSuchRound;
  if (entry.kind === 'undo' && !known.has(entry.answerId)) return say.answerUndoSession;
  if (entry.kind === 'aside' && !find(entry.word)) return say.wordBank(entry.word);
  if (entry.kind !== 'answer') return undefined;
  if (!readable(entry.word, find)) return say.wordBank(entry.word);
  if (entry.supersedes && !known.has(entry.supersedes)) return say.answerCorrectsSession;
  return undefined;
}
