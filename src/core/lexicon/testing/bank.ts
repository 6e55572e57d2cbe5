import { readFileSync } from 'node:fs';
import type { LikelyContext } from '../../answers/likely';
import type { AccentId } from '../../phonology/accents';
import { PRESETS, type Conventions } from '../../phonology/conventions';
import { parseBank, prepare, type Entry, type Word } from '../entry';
import { guardFor } from '../guard';

/** The shipped bank and guard, for tests. */
export const bank: readonly Entry[] = parseBank(readFileSync('lexicon/words.tsv', 'utf8'));
export const guardText: string = readFileSync('lexicon/guard.tsv', 'utf8');

export const words = (accent: AccentId = 'southern-british', conventions: Conventions = PRESETS.default): Word[] =>
  bank.map((entry) => prepare(entry, accent, conventions));

export function word(name: string, accent: AccentId = 'southern-british', conventions: Conventions = PRESETS.default): Word {
  const entry = bank.find((e) => e.word === name);
  if (!entry) throw new Error(`"${name}" is not in the bank`);
  return prepare(entry, accent, conventions);
}

export const ipa = (made: Word): string => made.sounds.map((s) => s.ipa).join(' ');

export function context(accent: AccentId = 'southern-british'): LikelyContext {
  const spellings = new Map(words(accent).map((w) => [ipa(w), w.word]));
  return { guard: guardFor(guardText, accent), spellingOf: (sounds) => spellings.get(sounds.join(' ')) };
}
