import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { traitsOf } from '../../core/lexicon/traits';
import { parseBank, prepare, type Entry, type Word } from '../../core/lexicon/entry';
import { guardFor, type Guard } from '../../core/lexicon/guard';
import { parseForms } from '../../core/lexicon/endings';
import { sameForEveryone } from '../../core/lexicon/likeness';
import {
  materialOf,
  partWords,
  parseCounting,
  parseLittleWords,
  type Material,
  type MaterialSource,
} from '../../core/games/material';
import { parseStories } from '../../core/games/stories';
import { withheld } from '../../core/lexicon/country';
import { oneBeatList } from '../../core/lexicon/one-beat-list';
import { indexWords, type WordIndex } from '../../core/lexicon/word-index';
import { ACCENT_IDS, accentOf, type AccentId } from '../../core/phonology/accents';
import type { Conventions } from '../../core/phonology/conventions';
import { getSettings } from '../setting/settings';
import { otherTurns } from '../storage/other-turns';
import { ownEntries } from './own-entries';

const file = (name: string): string => readFileSync(path.join(process.cwd(), 'lexicon', name), 'utf8');
const once = <T>(make: () => T): (() => T) => {
  let made: { value: T } | undefined;
  return () => (made ??= { value: make() }).value;
};

/** Every entry of the shipped word bank, read once. */
const bank = once((): Entry[] => parseBank(file('words.tsv')));
/** Entries that left the bank: never put forward, and still read where something that was kept names them. */
const former = once((): Entry[] => parseBank(file('former-words.tsv')));
const guardText = once(() => file('guard.tsv'));
const forms = once(() => parseForms(file('forms.tsv')));
const counting = once(() => parseCounting(file('counting.tsv')));
const littleWords = once(() => parseLittleWords(file('little-words.tsv')));
const stories = once(() => [...parseStories(file('stories.txt')), ...parseStories(file('former-stories.txt'), true)]);
/** True for the id of a story. */
export const isStory = (id: string): boolean => stories().some((story) => story.id === id);
const storyWords = once(() => parseLittleWords(file('story-words.tsv')));
const oneBeats = once(() => oneBeatList(file('one-beat.tsv')));

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

const shipped = once(() => new Map([...former(), ...bank()].map((entry) => [entry.word, entry])));
const formerEntries = once((): ReadonlySet<Entry> => new Set(former()));

/** The entry of a word, shipped or the setting's own; undefined where there is none (any more). */
export const bankEntry = async (word: string): Promise<Entry | undefined> =>
  shipped().get(word) ?? (await ownEntries()).find(({ entry, removed }) => entry.word === word && !removed)?.entry;

/** The shipped entry of a word, of the bank or one that left it; undefined where there was never one. */
export const shippedEntry = (word: string): Entry | undefined => shipped().get(word);

/** True where the bank has a word today. */
export function inBank(word: string): boolean {
  const entry = shipped().get(word);
  return entry !== undefined && !formerEntries().has(entry);
}

export interface PreparedBank extends Material {
  /** Worked out when it is first asked for. */
  readonly index: WordIndex;
  /** What it was made of. */
  readonly source: MaterialSource;
}

interface KeptBank {
  /** The setting's own words it was made with. */
  readonly own: readonly unknown[];
  readonly bank: Promise<PreparedBank>;
}

/**
 * The banks of this process. The framework builds the server's start and its pages apart, each with modules of its own:
 * what is costly is kept in one place for both.
 */
const place = globalThis as typeof globalThis & { bouncyEchoBanks?: Map<string, KeptBank> };
const prepared = (place.bouncyEchoBanks ??= new Map<string, KeptBank>());

/** Banks kept at once, of everyone and of groups that keep words out; the one asked for longest ago goes. */
const MOST = 4;
const isNarrowed = (key: string): boolean => key.includes(NARROWED);
const NARROWED = ' without ';

/** Made once for a key, and again when an own word changes. */
function keptBank(key: string, own: readonly unknown[], make: () => Promise<PreparedBank>): Promise<PreparedBank> {
  const known = prepared.get(key);
  const bank = known?.own === own ? known.bank : make();
  prepared.delete(key);
  prepared.set(key, { own, bank });
  // What could not be made is tried again at the next asking.
  bank.catch(() => prepared.delete(key));
  const alike = [...prepared.keys()].filter((k) => isNarrowed(k) === isNarrowed(key));
  for (const old of alike.slice(0, -MOST)) prepared.delete(old);
  return bank;
}

/**
 * The bank as one accent and counting convention has it, with the setting's own words that were confirmed in this
 * accent. Words of the other country and words put aside are known in it and never put forward.
 *
 * @param aside words that a group has put aside
 */
export async function preparedBank(
  accent: AccentId,
  conventions: Conventions,
  aside: readonly string[] = [],
): Promise<PreparedBank> {
  const [own, { letIn }] = await Promise.all([ownEntries(), getSettings()]);
  const key = `${accent} ${letIn ? 'all words' : 'words people use here'} ${JSON.stringify(conventions)}`;
  const whole = keptBank(key, own, () => {
    const ours = own.filter((o) => o.accent === accent && !o.removed).map((o) => o.entry);
    return prepareBank({ accent, conventions, ours, letIn });
  });
  if (!aside.length) return whole;
  const names = [...new Set(aside)].sort();
  return keptBank(`${key}${NARROWED}${names.join(' ')}`, own, async () => narrow(await whole, names));
}

/** Words made ready in one go before others get their turn: a few milliseconds. */
const SLICE = 150;

interface Wanted {
  readonly accent: AccentId;
  readonly conventions: Conventions;
  readonly ours: readonly Entry[];
  readonly letIn: boolean;
}

async function prepareBank({ accent, conventions, ours, letIn }: Wanted): Promise<PreparedBank> {
  const guard = guardOf(accent);
  const hearing = { country: accentOf(accent).country, letIn };
  const entries = [...former(), ...bank(), ...ours];
  const known: Word[] = [];
  for (let from = 0; from < entries.length; from += SLICE) {
    for (const entry of entries.slice(from, from + SLICE)) {
      const word = prepare(entry, accent, conventions);
      if (!guard(word.sounds.map((s) => s.ipa))) known.push(word);
    }
    await otherTurns();
  }
  return madeReady({
    accent,
    conventions,
    ...partWords(known, (entry) => (formerEntries().has(entry) ? 'former' : withheld(entry, hearing))),
    guard,
    forms: forms(),
    counting: counting(),
    littleWords: littleWords(),
    stories: stories(),
    storyWords: storyWords(),
    oneBeats: oneBeats(),
  });
}

/** The same bank with some of its words withheld. */
function narrow(whole: PreparedBank, aside: readonly string[]): Promise<PreparedBank> {
  const out = new Set(aside);
  const here = partWords(whole.words, ({ word }) => (out.has(word) ? 'put-aside' : undefined));
  return madeReady({ ...whole.source, words: here.words, further: [...(whole.source.further ?? []), ...here.further] });
}

async function madeReady(source: MaterialSource): Promise<PreparedBank> {
  const material = materialOf(source);
  await wake(material);
  const index = once(() => indexWords(source.words, agreedWords()));
  return {
    ...material,
    source,
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
