import { ENDINGS, formEntry, withTail, type Form } from '../lexicon/endings';
import { parseLetters, prepare, PLAIN_MARKS, type Entry, type Word } from '../lexicon/entry';
import type { AccentId } from '../phonology/accents';
import type { Conventions, LetterPiece } from '../phonology/conventions';
import { parseTranscription } from '../phonology/transcription';
import { sure } from '../sure';
import { untaught, canRead, type InPrint } from './readable';

/** A phrase or a sentence to read, with its words made ready in one accent. */
export interface Line {
  readonly text: string;
  readonly words: readonly Word[];
  /** It is a sentence: a capital at its start and a stop at its end. */
  readonly sentence: boolean;
}

/** What the words of lines are looked up in. */
export interface LineWords {
  readonly accent: AccentId;
  readonly conventions: Conventions;
  readonly bank: ReadonlyMap<string, Word>;
  readonly forms: readonly Form[];
  /** Little words that hold a sentence together, by name. */
  readonly little: ReadonlyMap<string, Entry>;
}

/**
 * Reads the little words of lines (word, sounds, letters, accents; first row is the header): they are no words to play
 * with, and have no meaning of their own.
 */
export const parseLineWords = (text: string): ReadonlyMap<string, Entry> =>
  new Map(
    text
      .split('\n')
      .slice(1)
      .filter(Boolean)
      .map((row): [string, Entry] => {
        const [word = '', line = '', letters = '', own = ''] = row.split('\t');
        const ownLines = Object.fromEntries(
          own
            .split(';')
            .filter(Boolean)
            .map((part) => part.split('=')),
        );
        const plain = {
          ownLines,
          band: 1,
          meaning: '',
          sentence: '',
          picture: null,
          prop: false,
          cautions: [],
        } as const;
        return [word, { word, line, letters: parseLetters(letters), doubt: null, ...plain, ...PLAIN_MARKS }];
      }),
  );

/** Ends of letters for an ending that is said like this: *-s* as one sound, *-ing* as two, *-ed* as one or two. */
const SPELT: Readonly<Record<(typeof ENDINGS)[number], Readonly<Record<number, string>>>> = {
  s: { 1: 's' },
  ing: { 2: 'i|ng' },
  ed: { 1: 'ed', 2: 'e|d' },
};

/**
 * The letters of a word with an ending, where the ending is written after the word or after its last letter doubled;
 * null for any other (*baking, tries*).
 * @example lettersWith({ form: 'running', base: 'run', ending: 'ing' }, run) // r|u|nn|i|ng
 */
export function lettersWith({ form, ending }: Form, { letters, line, word }: Entry): LetterPiece[] | null {
  const said = parseTranscription(withTail(line, ending)).length - parseTranscription(line).length;
  const end = SPELT[ending][said];
  if (end === undefined) return null;
  if (form === word + ending) return [...letters, ...parseLetters(end)];
  const last = sure(letters.at(-1));
  const doubled = { ...last, letters: last.letters + last.letters };
  return form === word + word.slice(-1) + ending && last.letters.length === 1
    ? [...letters.slice(0, -1), doubled, ...parseLetters(end)]
    : null;
}

/** The words of a text in small letters, in order. Example: `namesIn('Dad had ham.') // ['dad', 'had', 'ham']`. */
export const namesIn = (text: string): string[] => text.toLowerCase().match(/[a-z]+/g) ?? [];

/** A way from a name to its word: of the bank, a little word, or a word of the bank with an ending. */
export function wordFinder({ accent, conventions, bank, forms, little }: LineWords): (name: string) => Word | null {
  const byForm = new Map(forms.map((form) => [form.form, form]));
  const known = new Map<string, Word | null>();
  const look = (name: string): Word | null => {
    const small = little.get(name);
    if (small) return prepare(small, accent, conventions);
    const listed = bank.get(name);
    if (listed) return listed;
    const form = byForm.get(name);
    const base = form && bank.get(form.base);
    const letters = base && lettersWith(form, base.entry);
    return letters ? prepare({ ...formEntry(form, base.entry), letters }, accent, conventions) : null;
  };
  return (name) => {
    const before = known.get(name);
    if (before !== undefined) return before;
    const found = look(name);
    known.set(name, found);
    return found;
  };
}

/**
 * A line made ready, or the first of its words that is not known.
 * @example readLine('Dad had ham.', find).words?.length // 3
 */
export function readLine(
  text: string,
  find: (name: string) => Word | null,
): (Line & { readonly unknown: null }) | { readonly unknown: string } {
  const names = namesIn(text);
  const words = names.map(find);
  const at = words.indexOf(null);
  if (at >= 0 || !names.length) return { unknown: names[at] ?? text };
  return { text, words: words.flatMap((w) => w ?? []), sentence: /^\p{Lu}.*[.!?]$/u.test(text), unknown: null };
}

/** True where a group can read every word of a line. */
export const canReadLine = ({ words }: Line, taught: InPrint): boolean => words.every((word) => canRead(word, taught));

/** What a line still waits for: spellings with their sounds, by id. */
const waitsFor = ({ words }: Line, taught: InPrint): Set<string> =>
  new Set(words.filter((w) => !taught.words.has(w.word)).flatMap((w) => untaught(w, taught).map(({ id }) => id)));

/**
 * How many lines each spelling would open, were it next, by its id.
 * @example linesOpened(lines, taught).get('sh ʃ') // 4
 */
export function linesOpened(lines: readonly Line[], taught: InPrint): Map<string, number> {
  const found = new Map<string, number>();
  for (const line of lines) {
    const [only, more] = waitsFor(line, taught);
    if (only !== undefined && more === undefined) found.set(only, (found.get(only) ?? 0) + 1);
  }
  return found;
}
