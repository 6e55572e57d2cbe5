import { isValid, parse } from 'date-fns';
import Papa from 'papaparse';
import type { Word } from '../lexicon/entry';
import type { AccentId } from '../phonology/accents';
import { partsOf, type SpelledPart } from './parts';
import type { TaughtSpelling } from './readable';
import { meantBy, saidAs, type Spelling } from './spellings';

/** A spelling as somebody typed it, read. */
interface ReadSpelling extends TaughtSpelling, SpelledPart {
  readonly examples: readonly string[];
  /** The spelling has other sounds too, and no sound was named: this one was taken. */
  readonly assumed: boolean;
}
interface UnreadSpelling {
  /** The whole row, so that nothing of it has to be typed again. */
  readonly typed: string;
  /** In a sentence. */
  readonly why: string;
}
export interface ReadList {
  readonly read: readonly ReadSpelling[];
  readonly unread: readonly UnreadSpelling[];
}

/** What typed lists are read against: the spellings and words of one accent. */
export interface Known {
  readonly accent: AccentId;
  readonly spellings: readonly Spelling[];
  readonly byName: ReadonlyMap<string, Word>;
}

export const LIST_LIMIT = { characters: 20_000, rows: 400 } as const;

/** A split spelling may be typed with an underscore, a dash or dots between. */
const plainSpelling = (typed: string): string =>
  typed
    .trim()
    .toLowerCase()
    .replace(/(?<=\p{L})\s*(?:_|-|–|…|\.{2,3})\s*(?=\p{L})/gu, '_');

/** The sounds of a spelling, as somebody may name one: in IPA, by its label, or by a word that has it. */
function named(typed: string, spelling: string, { accent, spellings, byName }: Known): Spelling | undefined {
  const plain = typed
    .trim()
    .replace(/^\/|\/$/g, '')
    .trim();
  const mine = spellings.filter((s) => s.spelling === spelling);
  const word = byName.get(plain.toLowerCase());
  const inWord = word && partsOf(word).find((part) => part.spelling === spelling);
  return (
    mine.find((s) => s.sounds === plain) ??
    mine.find((s) => inWord !== undefined && s.sounds === inWord.sounds) ??
    mine.find((s) => saidAs(s.sounds, accent) === plain.toLowerCase())
  );
}

/** Days as people write them here, the year last or first. */
const DAYS = ['yyyy-MM-dd', 'd/M/yyyy', 'd.M.yyyy', 'd-M-yyyy'] as const;
const AT = new Date(2000, 0, 1);

function dayOf(typed: string): string | null | undefined {
  const text = typed.trim();
  if (!text) return null;
  for (const form of DAYS) {
    const day = parse(text, form, AT);
    if (isValid(day) && day.getFullYear() >= 2000 && day.getFullYear() < 2100)
      return [day.getFullYear(), day.getMonth() + 1, day.getDate()].map((n) => String(n).padStart(2, '0')).join('-');
  }
  return undefined;
}

/** One line of a list as its cells: spelling, sound, day. */
type Row = readonly [spelling: string, sound: string, day: string];

/** Cells that are all spellings, where the second is no sound of the first. */
function isList(cells: readonly string[], known: Known): boolean {
  const spellings = cells.filter((cell) => cell.trim()).map(plainSpelling);
  const [first = '', second] = spellings;
  return (
    second !== undefined &&
    spellings.every((spelling) => known.spellings.some((s) => s.spelling === spelling)) &&
    (spellings.length > 3 || named(second, first, known) === undefined)
  );
}

/** Lines with commas, semicolons or tabs are rows; others are spellings with spaces between, a sound in slashes. */
function rowsOf(text: string, known: Known): Row[] {
  return text.split(/\r?\n/).flatMap((line): Row[] => {
    if (/[,;\t]/.test(line)) {
      const [cells = []] = Papa.parse<string[]>(line, { delimitersToGuess: [',', ';', '\t'] }).data;
      if (isList(cells, known)) return cells.filter((cell) => cell.trim()).map((cell): Row => [cell, '', '']);
      return [[cells[0] ?? '', cells[1] ?? '', cells[2] ?? '']];
    }
    return [...line.matchAll(/([^\s/]+)(?:\s*\/([^/]+)\/)?/gu)].map(([, spelling = '', sound = '']): Row => [
      spelling,
      sound,
      '',
    ]);
  });
}

const HEAD = /^\uFEFF?spelling$/i;

function readRow(row: Row, known: Known): ReadSpelling | UnreadSpelling {
  const [name, sound, day] = row;
  const spelling = plainSpelling(name);
  const typed = row
    .map((cell) => cell.trim())
    .join(', ')
    .replace(/[, ]+$/, '');
  const mine = known.spellings.filter((s) => s.spelling === spelling);
  if (!mine.length) return { typed, why: `We don’t know a word where “${name.trim()}” spells a sound.` };
  const on = dayOf(day);
  if (on === undefined) return { typed, why: `“${day.trim()}” isn’t a date we can read.` };
  const meant = sound.trim() ? named(sound, spelling, known) : meantBy(spelling, known.spellings);
  if (!meant) return { typed, why: `We don’t know a word where “${spelling}” has the sound of “${sound.trim()}”.` };
  const { id, keys, sounds, examples } = meant;
  const others = mine.some((s) => s !== meant && !s.odd);
  return { id, spelling, keys, sounds, examples, on, assumed: !sound.trim() && others };
}

/**
 * Reads what somebody typed or pasted: spellings with spaces between, or rows of spelling, sound and date, in their own
 * order. The sound may be IPA, a label or a word that has it; without one the usual sound is taken, and said.
 * @example readTyped('m o d t e h', known).read.length // 6
 * @example readTyped('ow, cow, 2026-11-20', known).read[0]?.sounds // 'aʊ'
 */
export function readTyped(text: string, known: Known): ReadList {
  const read = new Map<string, ReadSpelling>();
  const unread: UnreadSpelling[] = [];
  for (const row of rowsOf(text.slice(0, LIST_LIMIT.characters), known)) {
    if (!row[0].trim() || HEAD.test(row[0].trim())) continue;
    const found = readRow(row, known);
    if ('why' in found) unread.push(found);
    else read.set(found.id, found);
  }
  return { read: [...read.values()], unread };
}
