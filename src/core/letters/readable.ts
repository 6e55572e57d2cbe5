import type { Word } from '../lexicon/entry';
import type { AccentId } from '../phonology/accents';
import type { Key } from '../phonology/keys';
import { consonantPad, vowelPad } from '../phonology/pad';
import { partIn, partsOf, type SpelledPart } from './parts';

/** A spelling that a group was taught, with the sound it was taught for. */
export interface TaughtSpelling extends Pick<SpelledPart, 'spelling' | 'keys'> {
  /** The day it was taught (yyyy-MM-dd); null where nobody said. */
  readonly on: string | null;
}

/** What a group has met in print, in one accent. */
export interface InPrint {
  /** Ids of the spellings taught, each with its sound. */
  readonly spellings: ReadonlySet<string>;
  /** Words with an odd part that were taught as they are. */
  readonly words: ReadonlySet<string>;
}

/**
 * What was taught up to a day, as an accent says it; what is planned for later is not taught yet.
 * @param today yyyy-MM-dd
 * @example inPrint([{ spelling: 'sh', keys: 'sh', on: null }], [], 'scottish', '2026-11-30').spellings // sh ʃ
 */
export const inPrint = (
  taught: readonly TaughtSpelling[],
  words: readonly string[],
  accent: AccentId,
  today: string,
): InPrint => ({
  spellings: new Set(
    taught
      .filter(({ on }) => on === null || on <= today)
      .map(({ spelling, keys }) => partIn(spelling, keys, accent).id),
  ),
  words: new Set(words),
});

/**
 * The keys of the sounds that were taught with their spellings up to a day: every key the accent says the same way.
 * @example soundsOfSpellings([{ spelling: 'u', keys: 'STRUT', on: null }], 'northern-english', day) // STRUT, FOOT
 */
export function soundsOfSpellings(taught: readonly TaughtSpelling[], accent: AccentId, today: string): Set<Key> {
  const pad = [...consonantPad(accent), ...vowelPad(accent)];
  const keys = new Set(taught.filter(({ on }) => on === null || on <= today).flatMap((s) => s.keys.split(' ')));
  return new Set(pad.filter((sound) => sound.keys.some((key) => keys.has(key))).flatMap((sound) => sound.keys));
}

/** The parts of a word that were not taught with the sound they have in it. */
export const untaught = (word: Word, { spellings }: InPrint): SpelledPart[] =>
  partsOf(word).filter((part) => !spellings.has(part.id));

/**
 * True where a group can read and spell a word: every spelling was taught with the sound it has there, or the word was
 * taught with its odd part.
 * @example canRead(ship, taught) // true where sh, i and p were taught with these sounds
 */
export const canRead = (word: Word, taught: InPrint): boolean =>
  taught.words.has(word.word) || partsOf(word).every(({ id }) => taught.spellings.has(id));

/** What a spelling would open: how many everyday words become readable if it were taught next, and the best. */
export interface Opens {
  readonly words: number;
  readonly best: readonly string[];
}
const BEST = 3;

/**
 * For each spelling that everyday words (bands 1 and 2) alone wait for: what it opens, by its id. It is a calculator
 * and no order: what opens nothing is not in it.
 * @example opens(words, taught).get('sh ʃ') // { words: 12, best: ['she', 'ship', 'shop'] }
 */
export function opens(words: readonly Word[], taught: InPrint): Map<string, Opens> {
  const found = new Map<string, Word[]>();
  for (const word of words) {
    if (word.entry.band === 3 || taught.words.has(word.word)) continue;
    const waiting = new Set(untaught(word, taught).map(({ id }) => id));
    const [only] = waiting;
    if (only === undefined || waiting.size > 1) continue;
    const before = found.get(only);
    if (before) before.push(word);
    else found.set(only, [word]);
  }
  const plainest = (a: Word, b: Word): number =>
    a.entry.band - b.entry.band || a.sounds.length - b.sounds.length || (a.word < b.word ? -1 : 1);
  return new Map(
    [...found].map(([id, all]) => [
      id,
      {
        words: all.length,
        best: all
          .sort(plainest)
          .slice(0, BEST)
          .map((w) => w.word),
      },
    ]),
  );
}
