import { format } from 'date-fns';
import { z } from 'zod';
import { csv } from '../../core/formats/csv';
import { explain, idSchema } from '../../core/formats/schemas';
import { partIn } from '../../core/letters/parts';
import { canRead, inPrint, type InPrint, type TaughtSpelling } from '../../core/letters/readable';
import { spellingsOf, type Spelling } from '../../core/letters/spellings';
import { LIST_LIMIT, readTyped, type Known, type ReadList } from '../../core/letters/typed';
import type { AccentId } from '../../core/phonology/accents';
import { isConsonantKey, isVowelKey } from '../../core/phonology/keys';
import type { Transaction } from 'sequelize';
import { getSettings } from '../setting/settings';
import type { Models } from '../storage/models';
import { database } from '../storage/database';
import { groupGone, Problem } from '../storage/problems';
import { bankEntry, preparedBank, type PreparedBank } from './bank';
import { isLineWord } from './lines';

/** What a group was taught in print. */
export interface TaughtLetters {
  /** The group works with letters. */
  readonly on: boolean;
  readonly spellings: readonly TaughtSpelling[];
  /** Words with an odd part that were taught as they are. */
  readonly words: readonly string[];
}

/** The day of today (yyyy-MM-dd), as the clock of the place says. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd');

/** What a group was taught in print, in its own order; nothing for a group that is not there. */
export async function taughtLetters(groupId: string): Promise<TaughtLetters> {
  const { models } = await database();
  const where = { group_id: groupId };
  const [group, spellings, words] = await Promise.all([
    models.groups.findByPk(groupId),
    models.taughtSpellings.findAll({ where, order: [['place', 'ASC']] }),
    models.taughtWords.findAll({ where, order: [['word', 'ASC']] }),
  ]);
  return {
    on: group?.get().letters === 1,
    spellings: spellings.map((row) => row.get()).map((r) => ({ spelling: r.spelling, keys: r.sound, on: r.taught_on })),
    words: words.map((row) => row.get().word),
  };
}

/** What a group can read with; null where it does not work with letters. */
export async function inPrintOf(groupId: string, accent: AccentId): Promise<InPrint | null> {
  const { on, spellings, words } = await taughtLetters(groupId);
  return on ? inPrint(spellings, words, accent, today()) : null;
}

/** The spellings of a bank, made once for as long as it is kept. */
const made = new WeakMap<PreparedBank, readonly Spelling[]>();
export function bankSpellings(bank: PreparedBank): readonly Spelling[] {
  const before = made.get(bank);
  if (before) return before;
  const spellings = spellingsOf(bank.words);
  made.set(bank, spellings);
  return spellings;
}

/** The words of a bank that can be read with what was taught. */
export const readableIn = ({ words }: PreparedBank, print: InPrint): Set<string> =>
  new Set(words.filter((word) => canRead(word, print)).map(({ word }) => word));

async function known(): Promise<Known> {
  const { accent, conventions } = await getSettings();
  const bank = await preparedBank(accent, conventions);
  return { accent, spellings: bankSpellings(bank), byName: bank.byName };
}

/** Does something to a group that is there. Throws a Problem for one that is not. */
async function inGroup(
  groupId: unknown,
  work: (group: string, models: Models, transaction: Transaction) => Promise<unknown>,
): Promise<void> {
  const id = idSchema.safeParse(groupId);
  if (!id.success) throw groupGone();
  const { models, write } = await database();
  await write(async (transaction) => {
    if (!(await models.groups.findByPk(id.data, { transaction }))) throw groupGone('Nothing was changed.');
    await work(id.data, models, transaction);
  });
}

/** Says whether a group works with letters; what it was taught stays. */
export const switchLetters = (groupId: unknown, on: unknown): Promise<void> =>
  inGroup(groupId, (id, models, transaction) =>
    models.groups.update({ letters: z.boolean().parse(on) ? 1 : 0 }, { where: { id }, transaction }),
  );

const isKey = (key: string): boolean => isConsonantKey(key) || isVowelKey(key);
const daySchema = z.iso.date('That isn’t a date.').nullable();
const spellingSchema = z.strictObject({
  spelling: z.string().regex(/^\p{Ll}{1,6}(_\p{Ll}{1,2})?$/u, 'That isn’t a spelling.'),
  keys: z.string().refine((keys) => keys.length < 40 && keys.split(' ').every(isKey), 'That isn’t a sound.'),
});
const tickSchema = z.strictObject({
  of: z.array(spellingSchema.extend({ on: daySchema })).max(LIST_LIMIT.rows, 'That’s too many at a time.'),
  taught: z.boolean(),
});

/**
 * Says of some spellings that they were taught, on a day or at some time, or that they were not. Said again of one that
 * was taught, its day changes and its place stays. Throws a Problem for what is no spelling.
 * @example await tickSpellings(group.id, { of: [{ spelling: 'sh', keys: 'sh', on: '2026-11-30' }], taught: true })
 */
export async function tickSpellings(groupId: unknown, asked: unknown): Promise<void> {
  const read = tickSchema.safeParse(asked);
  if (!read.success) throw new Problem(explain(read.error));
  const { of, taught } = read.data;
  await inGroup(groupId, async (group_id, models, transaction) => {
    const next = Number((await models.taughtSpellings.max('place', { where: { group_id }, transaction })) ?? -1) + 1;
    for (const [i, { spelling, keys, on }] of of.entries()) {
      const where = { group_id, spelling, sound: keys };
      if (!taught) await models.taughtSpellings.destroy({ where, transaction });
      else if (await models.taughtSpellings.findOne({ where, transaction }))
        await models.taughtSpellings.update({ taught_on: on }, { where, transaction });
      else await models.taughtSpellings.create({ ...where, taught_on: on, place: next + i }, { transaction });
    }
  });
}

/** What became of a list that was typed or pasted. */
export interface AddedSpellings extends ReadList {
  /** Those that were not taught before: what one undo takes out again. */
  readonly added: readonly TaughtSpelling[];
}

/**
 * Reads a list that was typed or pasted and says that its spellings were taught, in its order. Throws a Problem where
 * nothing in it can be read.
 * @example (await addTyped(group.id, 'm o d t e h')).read.length // 6
 */
export async function addTyped(groupId: unknown, text: unknown): Promise<AddedSpellings> {
  const typed = z.string().max(LIST_LIMIT.characters, 'That’s too long for a list of spellings.').safeParse(text);
  if (!typed.success) throw new Problem(explain(typed.error));
  const list = readTyped(typed.data, await known());
  if (!list.read.length) throw new Problem(list.unread[0]?.why ?? 'There are no spellings in this list yet.');
  const id = idSchema.safeParse(groupId);
  const before = id.success ? (await taughtLetters(id.data)).spellings : [];
  const has = (s: TaughtSpelling): boolean => before.some((b) => b.spelling === s.spelling && b.keys === s.keys);
  const of = list.read.map(({ spelling, keys, on }) => ({ spelling, keys, on }));
  await tickSpellings(groupId, { of: of.filter((s) => s.on !== null || !has(s)), taught: true });
  return { ...list, added: of.filter((s) => !has(s)) };
}

/** Says that a group was taught a word as it is, or was not. Throws a Problem for a word that is not there. */
export async function tickWord(groupId: unknown, word: unknown, taught: unknown): Promise<void> {
  const name = z.string().trim().toLowerCase().max(40).parse(word);
  if (taught === true && !isLineWord(name) && !(await bankEntry(name)))
    throw new Problem(`“${name}” isn’t in the word bank.`, 404);
  await inGroup(groupId, async (group_id, models, transaction) => {
    const row = { group_id, word: name };
    if (taught === true) await models.taughtWords.bulkCreate([row], { transaction, ignoreDuplicates: true });
    else await models.taughtWords.destroy({ where: row, transaction });
  });
}

/** What a group was taught, as it can be typed in again: spelling, sound, date. */
export async function lettersCsv(groupId: string): Promise<{ text: string; name: string }> {
  const { models } = await database();
  const group = idSchema.safeParse(groupId).success ? await models.groups.findByPk(groupId) : null;
  if (!group) throw groupGone();
  const { accent } = await getSettings();
  const { spellings } = await taughtLetters(groupId);
  const rows = spellings.map(({ spelling, keys, on }) => [
    spelling,
    `/${partIn(spelling, keys, accent).sounds}/`,
    on ?? '',
  ]);
  return { text: csv(['spelling', 'sound', 'date'], rows), name: `${group.get().name} - spellings taught.csv` };
}
