import { CAUTIONS, type Caution } from './cautions';
import { ACCENT_IDS, accentOf, ownOf, type AccentId } from '../phonology/accents';
import { SAID_IN, type Country } from './country';
import { realiseSegments, type Sound } from '../phonology/realise';
import { contest, units, type Contest, type Conventions, type LetterPiece, type Unit } from '../phonology/conventions';
import { parseTranscription, type Segment } from '../phonology/transcription';

/** How well children know a word: 1 everyday, 2 known by most, 3 told in one line. */
type Band = 1 | 2 | 3;

/**
 * Why a word is kept out by default: another word is spelt alike and said otherwise (*tear*), or one accent says it in
 * two common ways (*scone*).
 */
const DOUBTS = ['homograph', 'two-ways'] as const;
export type Doubt = (typeof DOUBTS)[number];

/** Consonants of the spelling that few people say in a word (*sandpit*) and a careful speaker may. */
const CAREFUL = ['careful-d', 'careful-t'] as const;
const MARKS = [...DOUBTS, ...CAREFUL, 'beats'] as const;

export interface Entry {
  readonly word: string;
  /** The transcription line shared by the accents, and the lines of the accents that differ. */
  readonly line: string;
  readonly ownLines: Readonly<Partial<Record<AccentId, string>>>;
  readonly letters: readonly LetterPiece[];
  readonly band: Band;
  readonly meaning: string;
  readonly sentence: string;
  /** Code point of its picture in the OpenMoji set, where one truly shows it. */
  readonly picture: string | null;
  /** A thing a nursery can put in a basket. */
  readonly prop: boolean;
  readonly cautions: readonly Caution[];
  readonly doubt: Doubt | null;
  /** The letter whose sound only a careful speaker says here, left out of the sounds. */
  readonly careful: string | null;
  /** Some people say it with a beat fewer (*library*). */
  readonly beatsVary: boolean;
  /** The country that says it, where the other has another word. */
  readonly where: Country | null;
  /** Said in some places of that country only. */
  readonly local: boolean;
  /** How to show it with hands or face to a child who is new to English. */
  readonly show: string | null;
  /** A word this setting added. */
  readonly own?: true;
}

/**
 * Reads the letters column: pieces apart by `|`, `a_e` for a split spelling whose tail stands after the
 * next piece, `:2` for a piece that spells two keys.
 * @example parseLetters('c|a_e|k') // c, a (tail e), k
 */
export function parseLetters(column: string): LetterPiece[] {
  return column.split('|').map((piece) => {
    const [, body = '', keys = '1'] = /^([^:]*)(?::(\d{1,2}))?$/.exec(piece) ?? [];
    const [letters = '', tail = ''] = body.split('_');
    return { letters, tail, keys: Number(keys) };
  });
}

/** Puts the pieces back together. Example: `spell(parseLetters('c|a_e|k')) // 'cake'`. */
export function spell(pieces: readonly LetterPiece[]): string {
  let out = '';
  let waiting = '';
  for (const piece of pieces) {
    out += piece.letters + waiting;
    waiting = piece.tail;
  }
  return out + waiting;
}

/** What most entries have in the rarer columns. */
export const PLAIN_MARKS = { careful: null, beatsVary: false, where: null, local: false, show: null } as const;

const COLUMNS = [
  'word',
  'line',
  'letters',
  'band',
  'meaning',
  'sentence',
  'own',
  'picture',
  'prop',
  'cautions',
  'marks',
  'where',
  'show',
] as const;
type Columns = Readonly<Record<(typeof COLUMNS)[number], string>>;
type Fail = (what: string) => never;

const columnsOf = (row: string): Columns => {
  const cells = row.split('\t');
  return Object.fromEntries(COLUMNS.map((name, i) => [name, cells[i] ?? ''])) as Columns;
};

/** The lines an entry has for accents of its own: `id=line;id=line`. */
function ownLinesOf(own: string, fail: Fail): Partial<Record<AccentId, string>> {
  const lines: Partial<Record<AccentId, string>> = {};
  for (const part of own.split(';').filter(Boolean)) {
    const [id = '', line = ''] = part.split('=');
    const accent = ACCENT_IDS.find((known) => known === id) ?? fail(`no accent "${id}"`);
    lines[accent] = line;
  }
  return lines;
}

/** The names in a column, each one of those it may have. */
const among = <T extends string>(column: string, all: readonly T[], fail: Fail): T[] =>
  column
    .split(',')
    .filter(Boolean)
    .map((part) => all.find((known) => known === part) ?? fail(`"${part}" is not one of ${all.join(', ')}`));

/** Every line of an entry must have a key for each sound that its letters spell. */
function checkLines(lines: readonly string[], spelt: number, fail: Fail): void {
  for (const line of lines) {
    const segments = parseTranscription(line);
    if (segments.length !== spelt) fail(`${segments.length} keys but letters for ${spelt}`);
  }
}

/**
 * Reads one row of the word bank. Throws an Error that names the word and what is wrong.
 * Columns: word, sounds, letters, band, meaning, sentence, accents (`id=line;id=line`), picture, prop, cautions, marks,
 * where (gb, us, local or nothing), show.
 */
export function parseRow(row: string): Entry {
  const { word, line, band, meaning, sentence, picture, ...columns } = columnsOf(row);
  const fail: Fail = (what) => {
    throw new Error(`Word bank, "${word}": ${what}`);
  };
  if (!word || !meaning || !sentence) fail('a column is empty');
  if (!['1', '2', '3'].includes(band)) fail(`band "${band}" is not 1, 2 or 3`);
  const letters = parseLetters(columns.letters);
  if (spell(letters) !== word) fail(`the letters spell "${spell(letters)}"`);
  const ownLines = ownLinesOf(columns.own, fail);
  const marks = among(columns.marks, MARKS, fail);
  const [said] = among(columns.where, SAID_IN, fail);
  const spelt = letters.reduce((sum, piece) => sum + piece.keys, 0);
  checkLines([line, ...Object.values(ownLines)], spelt, fail);
  return {
    word,
    line,
    ownLines,
    letters,
    band: Number(band) as Band,
    meaning,
    sentence,
    picture: picture || null,
    prop: among(columns.prop, ['prop'], fail).length > 0,
    cautions: among(columns.cautions, CAUTIONS, fail),
    doubt: DOUBTS.find((doubt) => marks.includes(doubt)) ?? null,
    careful: CAREFUL.find((mark) => marks.includes(mark))?.slice(-1) ?? null,
    beatsVary: marks.includes('beats'),
    where: said === 'local' ? 'gb' : (said ?? null),
    local: said === 'local',
    show: columns.show || null,
  };
}

/** Reads the whole bank (first row is the header). Throws on a word listed twice. */
export function parseBank(text: string): Entry[] {
  const entries = text.split('\n').slice(1).filter(Boolean).map(parseRow);
  const seen = new Set<string>();
  for (const { word } of entries) {
    if (seen.has(word)) throw new Error(`Word bank: "${word}" is listed twice`);
    seen.add(word);
  }
  return entries;
}

/** The segments of an entry in an accent (its own line where it has one). */
export const segmentsOf = (entry: Entry, accent: AccentId): Segment[] => parseTranscription(lineOf(entry, accent));

/** The line that holds in an accent: its own, that of the accent it is a variant of, or the shared one. */
const lineOf = (entry: Pick<Entry, 'line' | 'ownLines'>, accent: AccentId): string =>
  ownOf(entry.ownLines, accent) ?? entry.line;

/** The sounds of an entry in an accent. Example: `realise(shark, 'general-american').map((s) => s.ipa) // ʃ ɑ r k`. */
export const realise = (entry: Entry, accent: AccentId): Sound[] =>
  realiseSegments(segmentsOf(entry, accent), accentOf(accent));

/** An entry made ready for one accent and counting convention. */
export interface Word {
  readonly entry: Entry;
  readonly accent: AccentId;
  readonly word: string;
  readonly segments: readonly Segment[];
  readonly sounds: readonly Sound[];
  readonly units: readonly Unit[];
  readonly count: number;
  /** C and V for each sound, by ear: box is CVCC. */
  readonly shape: string;
  readonly contest: Contest | null;
}

/** A word's sounds as symbols. Example: `ipaOf(sun) // ['s', 'ʌ', 'n']`. */
export const ipaOf = ({ sounds }: Pick<Word, 'sounds'>): string[] => sounds.map((s) => s.ipa);

/** Realises, counts and shapes an entry. Example: `prepare(box, 'southern-british', PRESETS.default).count // 4`. */
export function prepare(entry: Entry, accent: AccentId, conventions: Conventions): Word {
  const segments = segmentsOf(entry, accent);
  const sounds = realiseSegments(segments, accentOf(accent));
  const spelling = { segments, letters: entry.letters };
  const counted = units(spelling, sounds, conventions);
  return {
    entry,
    accent,
    word: entry.word,
    segments,
    sounds,
    units: counted,
    count: counted.length,
    shape: shapeOf(counted),
    contest: withSpeakers(contest(spelling, sounds), sounds.length, entry),
  };
}

/** What is known of a word alone makes its count vary too: a beat that some leave out, a sound few say. */
function withSpeakers(of: Contest | null, strict: number, { beatsVary, careful }: Entry): Contest | null {
  const more = [...(beatsVary ? (['beats'] as const) : []), ...(careful ? (['careful'] as const) : [])];
  if (!more.length) return of;
  return { strict, by: of?.by ?? [], speaker: [...(of?.speaker ?? []), ...more] };
}

/** V where a unit holds a vowel, else C: the shape agrees with the count in force. */
const shapeOf = (counted: readonly Unit[]): string =>
  counted.map((unit) => (unit.sounds.some((s) => s.vowel) ? 'V' : 'C')).join('');
