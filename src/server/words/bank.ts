import { readFileSync } from 'node:fs';
import path from 'node:path';
import { parseBank, prepare, type Entry } from '../../core/lexicon/entry';
import { guardFor, type Guard } from '../../core/lexicon/guard';
import { parseForms } from '../../core/lexicon/endings';
import { sameForEveryone } from '../../core/lexicon/likeness';
import { materialOf, parseLittleWords, type Material } from '../../core/games/material';
import { indexWords, type WordIndex } from '../../core/lexicon/word-index';
import { ACCENT_IDS, type AccentId } from '../../core/phonology/accents';
import type { Conventions } from '../../core/phonology/conventions';
import { ownEntries } from './own-entries';

const file = (name: string): string => readFileSync(path.join(process.cwd(), 'lexicon', name), 'utf8');
const once = <T>(make: () => T): (() => T) => {
  let made: { value: T } | undefined;
  return () => (made ??= { value: make() }).value;
};

/** Every entry of the shipped word bank, read once. */
const bank = once((): Entry[] => parseBank(file('words.tsv')));
const guardText = once(() => file('guard.tsv'));
const forms = once(() => parseForms(file('forms.tsv')));
const littleWords = once(() => parseLittleWords(file('little-words.tsv')));
const otherWords = once(() => parseLittleWords(file('other-words.tsv')));
const agreedWords = once(() => sameForEveryone(bank()));

/** The guard of an accent. */
export const guardOf = (accent: AccentId): Guard => guardFor(guardText(), accent);

/** True where the sounds would be rude in any accent that ships. */
export const rudeAnywhere = (entry: Entry, conventions: Conventions): boolean =>
  ACCENT_IDS.some((accent) => guardOf(accent)(prepare(entry, accent, conventions).sounds.map((s) => s.ipa)));

const shipped = once(() => new Map(bank().map((entry) => [entry.word, entry])));

/** The entry of a word, shipped or the setting's own; undefined where there is none (any more). */
export const bankEntry = async (word: string): Promise<Entry | undefined> =>
  shipped().get(word) ?? (await ownEntries()).find(({ entry, removed }) => entry.word === word && !removed)?.entry;

/** The shipped entry of a word; undefined where the bank has none. */
export const shippedEntry = (word: string): Entry | undefined => shipped().get(word);

export interface PreparedBank extends Material {
  readonly index: WordIndex;
}

const prepared = new Map<string, { own: readonly unknown[]; bank: PreparedBank }>();

/**
 * The bank as one accent and counting convention has it, with the setting's own words that were confirmed in this
 * accent; made once for each pair, and again when an own word changes.
 */
export async function preparedBank(accent: AccentId, conventions: Conventions): Promise<PreparedBank> {
  const own = await ownEntries();
  const key = `${accent} ${JSON.stringify(conventions)}`;
  const known = prepared.get(key);
  if (known?.own === own) return known.bank;
  const guard = guardOf(accent);
  const entries = [...bank(), ...own.filter((o) => o.accent === accent && !o.removed).map((o) => o.entry)];
  const words = entries
    .map((entry) => prepare(entry, accent, conventions))
    .filter((w) => !guard(w.sounds.map((s) => s.ipa)));
  const made: PreparedBank = {
    ...materialOf({
      accent,
      conventions,
      words,
      guard,
      forms: forms(),
      littleWords: littleWords(),
      otherWords: otherWords(),
    }),
    index: indexWords(words, agreedWords()),
  };
  prepared.set(key, { own, bank: made });
  return made;
}
