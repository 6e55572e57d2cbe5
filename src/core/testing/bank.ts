import { readFileSync } from 'node:fs';
import type { LikelyContext } from '../answers/likely';
import type { AccentId } from '../phonology/accents';
import { PRESETS, type Conventions } from '../phonology/conventions';
import { parseBank, prepare, type Entry, type Word } from '../lexicon/entry';
import { guardFor } from '../lexicon/guard';
import { parseForms } from '../lexicon/endings';
import { oneBeatList } from '../lexicon/one-beat-list';
import { accentOf } from '../phonology/accents';
import { withheld } from '../lexicon/country';
import { materialOf, parseCounting, parseLittleWords, partWords, type Material } from '../games/material';
import { parseStories } from '../games/stories';

/** The shipped bank and guard, for tests. */
export const bank: readonly Entry[] = parseBank(readFileSync('lexicon/words.tsv', 'utf8'));
/** Entries that left the bank. */
export const formerBank: readonly Entry[] = parseBank(readFileSync('lexicon/former-words.tsv', 'utf8'));
/** Words and names of one beat that a pronouncing dictionary has. */
export const oneBeats = oneBeatList(readFileSync('lexicon/one-beat.tsv', 'utf8'));
export const guardText: string = readFileSync('lexicon/guard.tsv', 'utf8');

const kept = new Map<string, unknown>();

/** Made once for each accent and convention: tests go over the whole bank many times. */
function once<T>(key: string, make: () => T): T {
  if (!kept.has(key)) kept.set(key, make());
  return kept.get(key) as T;
}

export const words = (accent: AccentId = 'southern-british', conventions: Conventions = PRESETS.default): Word[] =>
  once(`words ${accent} ${JSON.stringify(conventions)}`, () =>
    bank.map((entry) => prepare(entry, accent, conventions)),
  );

export function word(
  name: string,
  accent: AccentId = 'southern-british',
  conventions: Conventions = PRESETS.default,
): Word {
  const made = words(accent, conventions).find((w) => w.word === name);
  if (!made) throw new Error(`"${name}" is not in the bank`);
  return made;
}

export const ipa = (made: Word): string => made.sounds.map((s) => s.ipa).join(' ');

/** Everything games are made from, as the server has it: the words that pass the guard. */
export const material = (accent: AccentId = 'southern-british', conventions: Conventions = PRESETS.default): Material =>
  once(`material ${accent} ${JSON.stringify(conventions)}`, () => {
    const guard = guardFor(guardText, accent);
    const hearing = { country: accentOf(accent).country, letIn: false };
    const former = new Set(formerBank);
    const known = [...words(accent, conventions), ...formerBank.map((e) => prepare(e, accent, conventions))];
    return materialOf({
      accent,
      conventions,
      guard,
      ...partWords(
        known.filter((w) => !guard(w.sounds.map((s) => s.ipa))),
        (entry) => (former.has(entry) ? 'former' : withheld(entry, hearing)),
      ),
      forms: parseForms(readFileSync('lexicon/forms.tsv', 'utf8')),
      counting: parseCounting(readFileSync('lexicon/counting.tsv', 'utf8')),
      littleWords: parseLittleWords(readFileSync('lexicon/little-words.tsv', 'utf8')),
      stories: [
        ...parseStories(readFileSync('lexicon/stories.txt', 'utf8')),
        ...parseStories(readFileSync('lexicon/former-stories.txt', 'utf8'), true),
      ],
      storyWords: parseLittleWords(readFileSync('lexicon/story-words.tsv', 'utf8')),
      oneBeats,
    });
  });

export const context = (accent: AccentId = 'southern-british'): LikelyContext => material(accent).context;
