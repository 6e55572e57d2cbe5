import { parseLetters, PLAIN_MARKS, type Entry } from '../../core/lexicon/entry';
import { ACCENT_IDS, DEFAULT_ACCENT, type AccentId } from '../../core/phonology/accents';
import { database } from '../storage/database';
import type { OwnWordRow } from '../storage/models';

/** A word the setting added, and the accent its sounds were confirmed in. */
export interface OwnEntry {
  readonly id: string;
  readonly entry: Entry;
  readonly accent: AccentId;
  /** Removed words are kept out of every list, but sessions that used them can still be read and added to. */
  readonly removed: boolean;
}

/** In one place for all bundles of this process, as the banks made with it are (bank.ts). */
const place = globalThis as typeof globalThis & {
  bouncyEchoOwnWords?: { readonly file: string; readonly entries: readonly OwnEntry[] } | undefined;
  /** How often they have changed. */
  bouncyEchoOwnWordsChanges?: number;
};

const changes = (): number => place.bouncyEchoOwnWordsChanges ?? 0;

const entryOf = (row: OwnWordRow): OwnEntry => ({
  id: row.id,
  removed: row.removed_at !== null,
  accent: ACCENT_IDS.find((id) => id === row.accent) ?? DEFAULT_ACCENT,
  entry: {
    word: row.word,
    line: row.line,
    ownLines: {},
    letters: parseLetters(row.letters),
    band: 2,
    meaning: row.meaning,
    sentence: row.sentence,
    picture: null,
    prop: row.prop === 1,
    cautions: JSON.parse(row.cautions) as Entry['cautions'],
    doubt: null,
    ...PLAIN_MARKS,
    own: true,
  },
});

/** The setting's own words by name; the same list until one changes. */
export async function ownEntries(): Promise<readonly OwnEntry[]> {
  const { models, file } = await database();
  if (place.bouncyEchoOwnWords?.file === file) return place.bouncyEchoOwnWords.entries;
  const before = changes();
  const rows = await models.ownWords.findAll({ order: [['word', 'ASC']] });
  const entries = rows.map((r) => entryOf(r.get()));
  // One that was saved while these were read is in the next reading.
  if (changes() === before) place.bouncyEchoOwnWords = { file, entries };
  return entries;
}

/** Says that own words have changed. */
export const ownEntriesChanged = (): void => {
  place.bouncyEchoOwnWords = undefined;
  place.bouncyEchoOwnWordsChanges = changes() + 1;
};
