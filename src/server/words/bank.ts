import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { traitsOf } from '../../core/lexicon/traits';
import { parseBank, prepare, type Entry, type Word } from '../../core/lexicon/entry';
import { guardFor, type Guard } from '../../core/lexicon/guard';
import { parseForms } from '../../core/lexicon/endings';
import { sameForEveryone } from '../../core/lexicon/likeness';
import { materialOf, parseLittleWords, type Material } from '../../core/games/material';
import { indexWords, type WordIndex } from '../../core/lexicon/word-index';
import { ACCENT_IDS, type AccentId } from '../../core/phonology/accents';
import type { Conventions } from '../../core/phonology/conventions';
import { otherTurns } from '../storage/other-turns';
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

/** Where the build keeps what it worked out of the bank (scripts/lib/pools.mjs). */
const POOLS = path.join(process.cwd(), '.next', 'pools.json');

/** Words whose count nobody would argue about: as the build worked them out, else worked out here. */
const agreedWords = once((): ReadonlySet<string> => {
  try {
    const { agreed, bank: of } = JSON.parse(readFileSync(POOLS, 'utf8')) as { agreed: string[]; bank: string };
    if (of === createHash('sha256').update(file('words.tsv')).digest('hex')) return new Set(agreed);
  } catch {
    // No build stands here, as in tests.
  }
  return sameForEveryone(bank());
});

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
  /** Worked out when it is first asked for. */
  readonly index: WordIndex;
}

interface Kept {
  /** The setting's own words it was made with. */
  readonly own: readonly unknown[];
  readonly bank: Promise<PreparedBank>;
}

/**
 * The banks of this process. The framework builds the server's start and its pages apart, each with modules of its own:
 * what is costly is kept in one place for both.
 */
const place = globalThis as typeof globalThis & { bouncyEchoBanks?: Map<string, Kept> };
const prepared = (place.bouncyEchoBanks ??= new Map<string, Kept>());

/**
 * The bank as one accent and counting convention has it, with the setting's own words that were confirmed in this
 * accent; made once for each pair, and again when an own word changes.
 */
export async function preparedBank(accent: AccentId, conventions: Conventions): Promise<PreparedBank> {
  const own = await ownEntries();
  const key = `${accent} ${JSON.stringify(conventions)}`;
  const known = prepared.get(key);
  if (known?.own === own) return known.bank;
  const ours = own.filter((o) => o.accent === accent && !o.removed).map((o) => o.entry);
  const made = prepareBank(accent, conventions, ours);
  prepared.set(key, { own, bank: made });
  // What could not be made is tried again at the next asking.
  made.catch(() => prepared.delete(key));
  return made;
}

/** Words made ready in one go before others get their turn: a few milliseconds. */
const SLICE = 150;

async function prepareBank(accent: AccentId, conventions: Conventions, ours: readonly Entry[]): Promise<PreparedBank> {
  const guard = guardOf(accent);
  const entries = [...bank(), ...ours];
  const words: Word[] = [];
  for (let from = 0; from < entries.length; from += SLICE) {
    for (const entry of entries.slice(from, from + SLICE)) {
      const word = prepare(entry, accent, conventions);
      if (!guard(word.sounds.map((s) => s.ipa))) words.push(word);
    }
    await otherTurns();
  }
  const material = materialOf({
    accent,
    conventions,
    words,
    guard,
    forms: forms(),
    littleWords: littleWords(),
    otherWords: otherWords(),
  });
  await wake(material);
  const index = once(() => indexWords(words, agreedWords()));
  return {
    ...material,
    get index() {
      return index();
    },
  };
}

/** Works out the dearer parts of a material one by one, so that the first game that asks does not hold everyone up. */
async function wake(material: Material): Promise<void> {
  for (let from = 0; from < material.words.length; from += SLICE * 4) {
    for (const word of material.words.slice(from, from + SLICE * 4)) traitsOf(word);
    await otherTurns();
  }
  const dear = [
    () => material.forms(),
    () => material.soundsOf(''),
    () => material.knownAs([]),
    () => material.rhymes(),
    () => material.neighbours(),
  ];
  for (const part of dear) {
    part();
    await otherTurns();
  }
}
