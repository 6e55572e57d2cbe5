import Papa from 'papaparse';
import { z } from 'zod';
import { contestWords } from '../games/contested';
import { prepare, type Entry } from '../lexicon/entry';
import { ACCENT_IDS, DEFAULT_ACCENT } from '../phonology/accents';
import { PRESETS } from '../phonology/conventions';
import { syllableCount } from '../phonology/transcription';

const PRESET_IDS = Object.keys(PRESETS) as (keyof typeof PRESETS)[];

/** What the words command is asked for. */
export const wordsListSchema = z.strictObject({
  accent: z.enum(ACCENT_IDS, `--accent is one of ${ACCENT_IDS.join(', ')}`).default(DEFAULT_ACCENT),
  convention: z.enum(PRESET_IDS, `--convention is one of ${PRESET_IDS.join(', ')}`).default('default'),
  format: z.enum(['json', 'csv'], '--format is json or csv').default('json'),
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

/** The list as text: JSON, one entry a line, or CSV with lists apart by spaces. */
export const writeList = (rows: readonly WordsListRow[], format: WordsListRequest['format']): string =>
  format === 'json'
    ? `[\n${rows.map((row) => JSON.stringify(row)).join(',\n')}\n]\n`
    : `${Papa.unparse(
        rows.map((row) => ({ ...row, sounds: row.sounds.join(' '), unit_sounds: row.unit_sounds.join(' ') })),
        { newline: '\r\n' },
      )}\r\n`;
