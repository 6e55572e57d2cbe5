import { readFileSync } from 'node:fs';
import path from 'node:path';
import { v7 } from 'uuid';
import { z } from 'zod';
import { explain, idSchema } from '../../core/formats/schemas';
import { canReadLine, parseLineWords, readLine, wordFinder, type Line } from '../../core/letters/lines';
import type { InPrint } from '../../core/letters/readable';
import { getSettings } from '../setting/settings';
import { database } from '../storage/database';
import { Problem } from '../storage/problems';
import { guardOf, preparedBank, type PreparedBank } from './bank';

const file = (name: string): string => readFileSync(path.join(process.cwd(), 'lexicon', name), 'utf8');
let shipped: { lines: readonly string[]; little: ReturnType<typeof parseLineWords> } | undefined;
const files = () =>
  (shipped ??= {
    lines: file('lines.txt').split('\n').filter(Boolean),
    little: parseLineWords(file('line-words.tsv')),
  });

/** True for a little word that lines have and games have not: *the*. */
export const isLineWord = (word: string): boolean => files().little.has(word);

const finders = new WeakMap<PreparedBank, ReturnType<typeof wordFinder>>();
function finderOf(bank: PreparedBank): ReturnType<typeof wordFinder> {
  const before = finders.get(bank);
  if (before) return before;
  const { accent, conventions, forms } = bank.source;
  const find = wordFinder({ accent, conventions, bank: bank.byName, forms, little: files().little });
  finders.set(bank, find);
  return find;
}

/** A line as a group may be shown it; its id where the setting wrote it. */
export interface OfferedLine extends Line {
  readonly own: string | null;
}

/** Every line a group may read: none has a word that was put aside or that nobody says here. Our own come first. */
export async function offeredLines(bank: PreparedBank): Promise<OfferedLine[]> {
  const { models } = await database();
  const rows = await models.ownLines.findAll({ order: [['created_at', 'DESC']] });
  const own = rows.map((row) => row.get());
  const find = finderOf(bank);
  const all = [...own.map(({ id, text }) => ({ id, text })), ...files().lines.map((text) => ({ id: null, text }))];
  return all.flatMap(({ id, text }) => {
    const line = readLine(text, find);
    if (line.unknown !== null || line.words.some(({ word }) => !isLineWord(word) && bank.whyWithheld(word))) return [];
    return [{ text: line.text, words: line.words, sentence: line.sentence, own: id }];
  });
}

/** The lines a group can read. */
export const readableLines = (lines: readonly OfferedLine[], print: InPrint): OfferedLine[] =>
  lines.filter((line) => canReadLine(line, print));

const lineSchema = z
  .string()
  .trim()
  .min(1, 'Type a line first.')
  .max(80, 'A line can have up to 80 letters.')
  .regex(/^[A-Za-z ,.!?]+$/, 'A line can have letters, spaces and these marks: , . ! ?')
  .transform((text) => text.replace(/\s+/g, ' '));

/**
 * Adds a line of the setting's own. Throws a Problem for one whose words are not known or would be rude aloud.
 * @example await addLine('The hen sat on my hat.')
 */
export async function addLine(text: unknown): Promise<void> {
  const read = lineSchema.safeParse(text);
  if (!read.success) throw new Problem(explain(read.error));
  const { accent, conventions } = await getSettings();
  const line = readLine(read.data, finderOf(await preparedBank(accent, conventions)));
  if (line.unknown !== null)
    throw new Problem(`We don’t know the word “${line.unknown}” yet. You can add it on Words.`);
  const guard = guardOf(accent);
  if (line.words.some((word) => guard(word.sounds.map(({ ipa }) => ipa))))
    throw new Problem('That line can’t be used.');
  const { models, write } = await database();
  await write(async (transaction) => {
    if (await models.ownLines.findOne({ where: { text: line.text }, transaction })) return;
    await models.ownLines.create({ id: v7(), text: line.text, created_at: Date.now() }, { transaction });
  });
}

/** Takes a line of the setting's own away; one that is gone already is none the worse. */
export async function removeLine(id: unknown): Promise<void> {
  const read = idSchema.safeParse(id);
  if (!read.success) throw new Problem('That line isn’t here any more.', 404);
  const { models, write } = await database();
  await write((transaction) => models.ownLines.destroy({ where: { id: read.data }, transaction }));
}
