import { v7 } from 'uuid';
import { explain, idSchema, wordSetSchema, type OwnWordInput } from '../../core/formats/schemas';
import { readSetFile, setToCsv, setToJson, type SetFile } from '../../core/formats/word-set';
import { bankEntry, inBank } from './bank';
import { database } from '../storage/database';
import { ownWordFault, ownWordInput, saveOwnWord } from './own-words';
import { Problem } from '../storage/problems';

export interface SavedSet {
  readonly id: string;
  readonly name: string;
  readonly words: readonly string[];
  readonly updatedAt: number;
}

const GONE = 'That word set isn’t here any more.';

/** Every saved word set, the latest first. */
export async function listSets(): Promise<SavedSet[]> {
  const { models } = await database();
  const rows = await models.wordSets.findAll({
    order: [
      ['updated_at', 'DESC'],
      ['id', 'DESC'],
    ],
  });
  return rows
    .map((r) => r.get())
    .map((r) => ({ id: r.id, name: r.name, words: JSON.parse(r.words) as string[], updatedAt: r.updated_at }));
}

/** One saved set. Throws a Problem (404) where there is none. */
export async function savedSet(id: string): Promise<SavedSet> {
  const set = idSchema.safeParse(id).success ? (await listSets()).find((s) => s.id === id) : undefined;
  if (!set) throw new Problem(GONE, 404);
  return set;
}

/** Keeps a set, new or changed, and gives its id. Throws a Problem for a name or a word that cannot be used. */
export async function saveSet(input: { name: string; words: readonly string[] }, id?: string): Promise<string> {
  const read = wordSetSchema.safeParse(input);
  if (!read.success) throw new Problem(explain(read.error));
  for (const word of read.data.words)
    if (!(await bankEntry(word))) throw new Problem(`“${word}” isn’t in the word bank. We haven’t changed the set.`);
  const { models, write } = await database();
  const now = Date.now();
  const values = { name: read.data.name, words: JSON.stringify([...new Set(read.data.words)]), updated_at: now };
  return write(async (transaction) => {
    if (id === undefined) {
      const made = v7();
      await models.wordSets.create({ id: made, created_at: now, ...values }, { transaction });
      return made;
    }
    const [rows] = await models.wordSets.update(values, { where: { id }, transaction });
    if (!rows) throw new Problem(`${GONE} Save it as a new one.`, 404);
    return id;
  });
}

/** Copies a set under a name of its own and gives the new id. */
export async function copySet(id: string): Promise<string> {
  const [set, all] = [await savedSet(id), await listSets()];
  const taken = new Set(all.map((s) => s.name));
  let n = 2;
  while (taken.has(`${set.name} ${n}`)) n += 1;
  return saveSet({ name: `${set.name} ${n}`, words: set.words });
}

export async function eraseSet(id: string): Promise<void> {
  await savedSet(id);
  const { models, write } = await database();
  await write((transaction) => models.wordSets.destroy({ where: { id }, transaction }));
}

const fileWord = async (word: string): Promise<SetFile['words'][number]> => ({ word, own: await ownWordInput(word) });

/** A set as a file: text and name. */
export async function exportSet(id: string, format: 'csv' | 'json'): Promise<{ text: string; name: string }> {
  const set = await savedSet(id);
  const file: SetFile = { name: set.name, words: await Promise.all(set.words.map(fileWord)) };
  return {
    text: format === 'csv' ? setToCsv(file) : setToJson(file),
    name: `${set.name.replace(/[^\p{L}\p{N} _-]/gu, '').trim() || 'word set'}.${format}`,
  };
}

interface ImportRow {
  readonly row: number;
  readonly text: string;
  readonly state: 'known' | 'new' | 'refused';
  readonly why: string | null;
}

export interface ImportReport {
  readonly name: string;
  readonly fault: string | null;
  readonly rows: readonly ImportRow[];
  /** Words that would be in the set. */
  readonly words: readonly string[];
}

interface Checked {
  readonly report: ImportReport;
  readonly own: readonly OwnWordInput[];
}

/** Why a word the bank does not have cannot be taken in, or null where it can. */
const newFault = (own: OwnWordInput | null | undefined): string | null =>
  own
    ? ownWordFault(own)
    : 'It isn’t in the word bank, and the file doesn’t give its sounds. Add it on the Words screen first.';

async function checkSet(text: string, fileName: string): Promise<Checked> {
  const read = readSetFile(text, fileName);
  const own: OwnWordInput[] = [];
  const rows: ImportRow[] = [];
  const words: string[] = [];
  for (const { row, text: typed, word, why } of read.rows) {
    if (!word) {
      rows.push({ row, text: typed, state: 'refused', why });
      continue;
    }
    const known = await bankEntry(word.word);
    const fault = known ? null : newFault(word.own);
    if (fault) rows.push({ row, text: word.word, state: 'refused', why: fault });
    else {
      rows.push({
        row,
        text: word.word,
        state: known ? 'known' : 'new',
        why:
          known && word.own && inBank(word.word)
            ? 'This word is already in the word bank, so we use the sounds from there.'
            : null,
      });
      words.push(word.word);
      if (!known && word.own) own.push(word.own);
    }
  }
  return { report: { name: read.name, fault: read.fault, rows, words }, own };
}

/** What a file holds, row by row. Keeps nothing. */
export const reportOnFile = async (text: string, fileName: string): Promise<ImportReport> =>
  (await checkSet(text, fileName)).report;

/** Keeps the good rows of a file, once a person has seen the report; gives the new set's id. */
export async function importSet(text: string, fileName: string): Promise<string> {
  const { report, own } = await checkSet(text, fileName);
  if (report.fault || !report.words.length)
    throw new Problem(report.fault ?? 'None of the rows in this file can be used. Nothing was imported.');
  for (const word of own) await saveOwnWord(word);
  return saveSet({ name: report.name, words: report.words });
}
