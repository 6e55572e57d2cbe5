import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { LikelyContext } from '../core/answers/likely';
import { parseBank, prepare, type Entry, type Word } from '../core/lexicon/entry';
import { guardFor } from '../core/lexicon/guard';
import { spellingsOf } from '../core/lexicon/likeness';
import type { AccentId } from '../core/phonology/accents';
import type { Conventions } from '../core/phonology/conventions';

const file = (name: string): string => readFileSync(path.join(process.cwd(), 'lexicon', name), 'utf8');

let entries: Entry[] | undefined;
let guardText: string | undefined;

/** Every entry of the word bank, read once. */
export const bank = (): Entry[] => (entries ??= parseBank(file('words.tsv')));

let byWord: Map<string, Entry> | undefined;

/** The entry of a word, or undefined where the bank has none. */
export const bankEntry = (word: string): Entry | undefined =>
  (byWord ??= new Map(bank().map((entry) => [entry.word, entry]))).get(word);

export interface PreparedBank {
  readonly words: readonly Word[];
  readonly byName: ReadonlyMap<string, Word>;
  readonly context: LikelyContext;
}

const prepared = new Map<string, PreparedBank>();

/** The bank as one accent and counting convention has it; made once for each pair. */
export function preparedBank(accent: AccentId, conventions: Conventions): PreparedBank {
  const key = `${accent} ${JSON.stringify(conventions)}`;
  const known = prepared.get(key);
  if (known) return known;
  const guard = guardFor((guardText ??= file('guard.tsv')), accent);
  const words = bank().map((entry) => prepare(entry, accent, conventions)).filter((w) => !guard(w.sounds.map((s) => s.ipa)));
  const spellings = spellingsOf(words);
  const made: PreparedBank = {
    words,
    byName: new Map(words.map((w) => [w.word, w])),
    context: { guard, spellingOf: (sounds) => spellings.get(sounds.join(' '))?.word },
  };
  prepared.set(key, made);
  return made;
}
