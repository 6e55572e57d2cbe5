import Papa from 'papaparse';
import { z } from 'zod';
import { contestWords } from '../games/contested';
import { prepare, type Entry } from '../lexicon/entry';
import { canRead } from '../letters/readable';
import { spellingsOf } from '../letters/spellings';
import { LIST_LIMIT, readTyped } from '../letters/typed';
import { ACCENT_IDS, DEFAULT_ACCENT } from '../phonology/accents';
import { PRESETS } from '../phonology/conventions';
import { seeded, shuffle } from '../random';
import { syllableCount } from '../phonology/transcription';

const PRESET_IDS = Object.keys(PRESETS) as (keyof typeof PRESETS)[];

/** What the words command is asked for. */
export const wordsListSchema = z.strictObject({
  accent: z.enum(ACCENT_IDS, `--accent is one of ${ACCENT_IDS.join(', ')}`).default(DEFAULT_ACCENT),
  convention: z.enum(PRESET_IDS, `--convention is one of ${PRESET_IDS.join(', ')}`).default('default'),
  format: z.enum(['json', 'csv'], '--format is json or csv').default('json'),
  /** Spellings that were taught, as one types them: only words that can be read with them. */
  taught: z.string().max(LIST_LIMIT.characters, '--taught is too long').optional(),
  /** How many entries to draw, to be read as a stranger would. */
  sample: z.coerce
    .number('--sample is a number of entries')
    .int('--sample is a whole number')
    .min(1, '--sample is at least 1')
    .max(10_000, '--sample is at most 10,000')
    .optional(),
  /** Which draw: hexadecimal digits, such as the first eight of a commit. */
  seed: z
    .string()
    .regex(/^[0-9a-f]{1,8}$/i, '--seed is one to eight hexadecimal digits, such as 1f6a90c3')
    .transform((digits) => parseInt(digits, 16))
    .default(1),
});
export type WordsListRequest = z.infer<typeof wordsListSchema>;

export interface WordsListRow {
  readonly word: string;
  /** IPA, one string a sound. */
  readonly sounds: readonly string[];
  /** How many units the convention counts. */
  readonly units: number;
  /** The units themselves: the sounds of each, written together. */
  readonly unit_sounds: readonly string[];
  /** C or V for each unit. */
  readonly shape: string;
  readonly syllables: number;
  readonly contested: boolean;
  /** Why, in words; empty where it is not. */
  readonly contested_why: string;
  /** homograph or two-ways for a word kept out by default; empty for the rest. */
  readonly doubt: string;
}

/**
 * Every entry as one accent says and one convention counts it.
 * @example listWords(bank, request)[0].sounds // ['ɡ', 'əʊ']
 */
export const listWords = (entries: readonly Entry[], { accent, convention }: WordsListRequest): WordsListRow[] =>
  entries.map((entry) => {
    const made = prepare(entry, accent, PRESETS[convention]);
    return {
      word: made.word,
      sounds: made.sounds.map((s) => s.ipa),
      units: made.count,
      unit_sounds: made.units.map((u) => u.sounds.map((s) => s.ipa).join('')),
      shape: made.shape,
      syllables: syllableCount(made.segments),
      contested: made.contest !== null,
      contested_why: contestWords(made) ?? '',
      doubt: entry.doubt ?? '',
    };
  });

/**
 * The words that can be read with the spellings that were typed, and what of them could not be read.
 * @example readableOf(bank, { ...request, taught: 's a t p i n' }).entries.length
 */
export function readableOf(
  entries: readonly Entry[],
  { accent, convention, taught }: WordsListRequest,
): { readonly entries: readonly Entry[]; readonly unread: readonly string[] } {
  if (taught === undefined) return { entries, unread: [] };
  const words = entries.map((entry) => prepare(entry, accent, PRESETS[convention]));
  const byName = new Map(words.map((word) => [word.word, word]));
  const { read, unread } = readTyped(taught, { accent, spellings: spellingsOf(words), byName });
  const spellings = new Set(read.map(({ id }) => id));
  const readable = words.filter((word) => canRead(word, { spellings, words: new Set() }));
  return { entries: readable.map(({ entry }) => entry), unread: unread.map(({ why }) => why) };
}

/** Rows as text: JSON, one a line, or CSV. */
const writeRows = (rows: readonly object[], format: WordsListRequest['format']): string =>
  format === 'json'
    ? `[\n${rows.map((row) => JSON.stringify(row)).join(',\n')}\n]\n`
    : `${Papa.unparse([...rows], { newline: '\r\n' })}\r\n`;

/** The list as text; in CSV lists are apart by spaces. */
export const writeList = (rows: readonly WordsListRow[], format: WordsListRequest['format']): string =>
  writeRows(
    format === 'json'
      ? rows
      : rows.map((row) => ({ ...row, sounds: row.sounds.join(' '), unit_sounds: row.unit_sounds.join(' ') })),
    format,
  );

/** What a reader of the words looks at. */
interface ReadingRow {
  readonly word: string;
  readonly band: number;
  readonly where: string;
  readonly sounds: string;
  readonly meaning: string;
  readonly sentence: string;
  readonly cautions: string;
  readonly prop: string;
  readonly picture: string;
  readonly show: string;
}

/**
 * Entries drawn by lot, with all that stands around each word: the same seed draws the same.
 * @example drawWords(bank, { ...request, sample: 250, seed: 0x1f6a90c3 }).length // 250
 */
export const drawWords = (
  entries: readonly Entry[],
  { accent, convention, sample = entries.length, seed }: WordsListRequest,
): ReadingRow[] =>
  shuffle(entries, seeded(seed))
    .slice(0, sample)
    .map((entry) => ({
      word: entry.word,
      band: entry.band,
      where: entry.local ? 'local' : (entry.where ?? ''),
      sounds: prepare(entry, accent, PRESETS[convention])
        .sounds.map((s) => s.ipa)
        .join(' '),
      meaning: entry.meaning,
      sentence: entry.sentence,
      cautions: entry.cautions.join(' '),
      prop: entry.prop ? 'prop' : '',
      picture: entry.picture ?? '',
      show: entry.show ?? '',
    }));

/** A draw as text. */
export const writeDraw = (rows: readonly ReadingRow[], format: WordsListRequest['format']): string =>
  writeRows(rows, format);
