import Papa from 'papaparse';
import { z } from 'zod';
import { nameSchema, ownWordSchema, reason, SET_LIMIT, spellingSchema, type OwnWordInput } from './schemas';
import { sure } from '../sure';

/** One word of a set as a file carries it: its name, and all that makes it where it is the setting's own. */
interface FileWord {
  readonly word: string;
  readonly own: OwnWordInput | null;
}

export interface SetFile {
  readonly name: string;
  readonly words: readonly FileWord[];
}

const WORD_SET_FORMAT = 'bouncy-echo-word-set';
const HEAD = { format: WORD_SET_FORMAT, version: 1 } as const;

const fileSchema = z.object({
  format: z.literal(WORD_SET_FORMAT),
  version: z.literal(1),
  name: z.unknown(),
  words: z.array(z.unknown()),
});

/** A set as JSON. Example: `JSON.parse(setToJson(set)).format // 'bouncy-echo-word-set'`. */
export const setToJson = ({ name, words }: SetFile): string =>
  `${JSON.stringify({ ...HEAD, name, words: words.map(({ word, own }) => own ?? { word }) }, null, 2)}\n`;

const COLUMNS = ['word', 'sounds', 'letters', 'meaning', 'sentence', 'prop', 'cautions'] as const;

/** A set as CSV (RFC 4180), own words with all that makes them; the set's name is the file's name. */
export const setToCsv = ({ words }: SetFile): string => {
  const rows = words.map(({ word, own }) => [
    word,
    own?.line ?? '',
    own?.letters ?? '',
    own?.meaning ?? '',
    own?.sentence ?? '',
    own?.prop ? 'yes' : '',
    own?.cautions.join(' ') ?? '',
  ]);
  return `\uFEFF${Papa.unparse({ fields: [...COLUMNS], data: rows }, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
};

/** A row of a file that is being read: a word, or why it is none. */
interface ReadRow {
  /** Counted from 1 as a person would: the first word of a CSV file stands in row 2. */
  readonly row: number;
  readonly text: string;
  readonly word: FileWord | null;
  readonly why: string | null;
}

export interface ReadSet {
  readonly name: string;
  readonly rows: readonly ReadRow[];
  /** Why the file as a whole cannot be read. */
  readonly fault: string | null;
}

const FILE_LIMIT = 200_000;
const ROW_LIMIT = 500;

/** Reads one word of a file. */
function readWord(row: number, raw: Record<string, unknown>): ReadRow {
  const text = String(raw.word ?? '').slice(0, 60);
  const spelt = spellingSchema.safeParse(String(raw.word ?? ''));
  if (!spelt.success) return { row, text, word: null, why: reason(spelt.error) };
  if (!raw.line) return { row, text, word: { word: spelt.data, own: null }, why: null };
  const own = ownWordSchema.safeParse({ ...raw, word: spelt.data });
  return own.success
    ? { row, text, word: { word: spelt.data, own: own.data }, why: null }
    : { row, text, word: null, why: reason(own.error) };
}

/** An apostrophe put before a formula on the way out is taken off on the way in. */
const bare = (cell: string | undefined): string => (cell ?? '').trim().replace(/^'(?=[=+\-@\t\r'])/, '');

function readCsv(text: string, name: string): ReadSet {
  const { data } = Papa.parse<Record<string, string>>(text, {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (h) => h.trim().toLowerCase(),
  });
  if (!data.length || !('word' in sure(data[0])))
    return { name, rows: [], fault: 'The first row of a CSV file names its columns. One of them must be “word”.' };
  return {
    name,
    fault: null,
    rows: data.slice(0, ROW_LIMIT).map((row, i) =>
      readWord(i + 2, {
        word: bare(row.word),
        line: (row.sounds ?? '').trim(),
        letters: bare(row.letters),
        meaning: bare(row.meaning),
        sentence: bare(row.sentence),
        prop: /^(yes|true|1)$/i.test(bare(row.prop)),
        cautions: bare(row.cautions)
          .split(/[\s,]+/)
          .filter(Boolean),
      }),
    ),
  };
}

function readJson(text: string, fallback: string): ReadSet {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return { name: fallback, rows: [], fault: 'We can’t read this JSON. Save the set again, or use CSV.' };
  }
  const file = fileSchema.safeParse(raw);
  if (!file.success)
    return {
      name: fallback,
      rows: [],
      fault: `This JSON is not a word set: it should have format “${WORD_SET_FORMAT}”, version 1, a name and words.`,
    };
  const name = nameSchema.safeParse(file.data.name);
  const rows = file.data.words.slice(0, ROW_LIMIT).map((word, i) =>
    typeof word === 'object' && word !== null
      ? readWord(i + 1, word as Record<string, unknown>)
      : {
          row: i + 1,
          text: String(word).slice(0, 60),
          word: null,
          why: 'Each word is an object with a “word” in it.',
        },
  );
  return { name: name.success ? name.data : fallback, rows, fault: null };
}

/**
 * Reads a word set from a file's text, row by row; never throws and never guesses. JSON where it begins with a brace,
 * else CSV. A word given twice is kept once.
 * @example readSetFile('word\nsun\nmoon\n', 'My set.csv').rows.length // 2
 */
export function readSetFile(text: string, fileName: string): ReadSet {
  const named = nameSchema.safeParse(fileName.replace(/\.(csv|json)$/i, ''));
  const fallback = named.success ? named.data : 'Imported set';
  if (text.length > FILE_LIMIT) return { name: fallback, rows: [], fault: 'This file is too large for a word set.' };
  const body = text.replace(/^\uFEFF/, '');
  if (!body.trim()) return { name: fallback, rows: [], fault: 'The file is empty.' };
  const read = /^\s*[{[]/.test(body) ? readJson(body, fallback) : readCsv(body, fallback);
  const seen = new Set<string>();
  let kept = 0;
  const rows = read.rows.map((row): ReadRow => {
    if (!row.word) return row;
    if (seen.has(row.word.word)) return { ...row, word: null, why: 'This word is in the file already.' };
    seen.add(row.word.word);
    kept += 1;
    return kept > SET_LIMIT ? { ...row, word: null, why: `A word set can have ${SET_LIMIT} words.` } : row;
  });
  return read.fault === null && !rows.length
    ? { ...read, fault: 'There are no words in the file.' }
    : { ...read, rows };
}
