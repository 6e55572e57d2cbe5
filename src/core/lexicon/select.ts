import { seeded, shuffle } from '../random';
import type { Making } from '../phonology/sounds';
import { syllableCount } from '../phonology/transcription';
import { difficulty, firstMaking } from './difficulty';
import type { Word } from './entry';
import { tooAlike } from './likeness';

export const COUNTS = [2, 3, 4, 5] as const;
export type Count = (typeof COUNTS)[number];
export const FIRSTS = ['hold', 'clip', 'light', 'vowel'] as const satisfies readonly Making[];

export interface Filters {
  readonly count: Count;
  readonly shape?: string | undefined;
  readonly first?: Making | undefined;
  /** Let in words whose count may be argued about; off until the setting has confirmed its conventions. */
  readonly contested: boolean;
}

export interface Facets {
  readonly counts: Readonly<Record<Count, number>>;
  /** Shapes of this count with the first-sound choice applied, most words first, with an example of each. */
  readonly shapes: readonly { readonly shape: string; readonly words: number; readonly example: string }[];
  readonly firsts: Readonly<Record<Making, number>>;
  readonly total: number;
}

const fits = (word: Word, filters: Filters, without?: 'shape' | 'first'): boolean =>
  word.count === filters.count &&
  (filters.contested || !word.contest) &&
  (without === 'shape' || !filters.shape || word.shape === filters.shape) &&
  (without === 'first' || !filters.first || firstMaking(word) === filters.first);

/**
 * How many words each choice would leave, before it is picked.
 * @example facets(words, { count: 3, contested: false }).counts[3]
 */
export function facets(words: readonly Word[], filters: Filters): Facets {
  const counts = { 2: 0, 3: 0, 4: 0, 5: 0 };
  const firsts: Record<Making, number> = { hold: 0, clip: 0, light: 0, vowel: 0 };
  const shapes = new Map<string, { words: number; best: Word }>();
  let total = 0;
  for (const word of words) {
    if ((filters.contested || !word.contest) && word.count in counts) counts[word.count as Count] += 1;
    if (fits(word, filters, 'first')) firsts[firstMaking(word)] += 1;
    if (fits(word, filters, 'shape')) {
      const row = shapes.get(word.shape);
      const best = row && difficulty(row.best) <= difficulty(word) ? row.best : word;
      shapes.set(word.shape, { words: (row?.words ?? 0) + 1, best });
    }
    if (fits(word, filters)) total += 1;
  }
  return {
    counts,
    firsts,
    total,
    shapes: [...shapes]
      .map(([shape, row]) => ({ shape, words: row.words, example: row.best.word }))
      .sort((a, b) => b.words - a.words || a.shape.localeCompare(b.shape)),
  };
}

export interface SetRequest extends Filters {
  /** How many words, 6 to 10. */
  readonly size: number;
  readonly seed: number;
  /** Words to keep, in their places (by word); the rest are proposed around them. */
  readonly keep?: readonly string[];
  /** Words turned down, or used with this group lately; used again only when nothing else is left. */
  readonly avoid?: readonly string[];
}

export interface WordSet {
  /** Easy to hard. The last is the stretch. */
  readonly words: readonly Word[];
  /** One easy word for the adult to model with, not in the set where the bank allows it. */
  readonly model: Word | null;
  /** Next best words, for swapping. */
  readonly spares: readonly Word[];
  /** Which filter to loosen, when fewer words were found than asked for. */
  readonly loosen: { readonly filter: 'shape' | 'first' | 'contested'; readonly words: number } | null;
}

const vowelsOf = (word: Word): string => word.sounds.filter((s) => s.vowel).map((s) => s.ipa).join(' ');
const firstOf = (word: Word): string => word.sounds[0]!.ipa;

/** Lower is better: a first sound or vowel already there, an unfamiliar word, a second syllable, a word to avoid. */
function cost(word: Word, chosen: readonly Word[], avoid: ReadonlySet<string>): number {
  const sameFirst = chosen.filter((other) => firstOf(other) === firstOf(word)).length;
  const sameVowel = chosen.filter((other) => vowelsOf(other) === vowelsOf(word)).length;
  return sameFirst * 4 + sameVowel * 3 + (word.entry.band - 1) * 2 + (syllableCount(word.segments) - 1) * 6 + (avoid.has(word.word) ? 100 : 0);
}

/** Takes the best words one by one; `relaxed` lets words that rhyme or nearly match meet when nothing else is left. */
function take(pool: readonly Word[], chosen: readonly Word[], size: number, avoid: ReadonlySet<string>): Word[] {
  const out = [...chosen];
  for (const relaxed of [false, true]) {
    while (out.length < size) {
      let best: Word | undefined;
      let least = Infinity;
      for (const word of pool) {
        if (out.includes(word) || (!relaxed && out.some((other) => tooAlike(word, other)))) continue;
        const price = cost(word, out, avoid);
        if (price < least) [best, least] = [word, price];
      }
      if (!best) break;
      out.push(best);
    }
  }
  return out;
}

const byDifficulty = (a: Word, b: Word): number => difficulty(a) - difficulty(b) || a.word.localeCompare(b.word);

/**
 * Proposes a word set: spread over first sounds and vowels, no two words rhyming or one sound apart while others
 * are left, easy to hard, one stretch at the end. The same request gives the same set.
 *
 * @example select(words, { count: 3, contested: false, size: 8, seed: 1 }).words.length // 8
 */
export function select(words: readonly Word[], request: SetRequest): WordSet {
  const random = seeded(request.seed);
  const avoid = new Set(request.avoid);
  const matching = words.filter((word) => fits(word, request));
  const pool = shuffle(matching, random);
  const keep = (request.keep ?? []).flatMap((name) => matching.find((w) => w.word === name) ?? []).slice(0, request.size);

  const sorted = [...matching].sort(byDifficulty);
  const hardest = new Set(sorted.slice(Math.floor(sorted.length * 0.8)));
  // The stretch comes first, so that the set is built around it.
  const stretch = keep.length ? [] : take(pool.filter((w) => hardest.has(w)), [], 1, avoid);
  const chosen = take(pool, [...keep, ...stretch], request.size, avoid).sort(byDifficulty);
  if (stretch[0]) chosen.push(...chosen.splice(chosen.indexOf(stretch[0]), 1));

  const rest = take(pool, chosen, chosen.length + 7, avoid).slice(chosen.length);
  const model = [...rest].sort(byDifficulty)[0] ?? chosen[0] ?? null;
  return { words: chosen, model, spares: rest.filter((w) => w !== model), loosen: loosen(words, request, chosen.length) };
}

function loosen(words: readonly Word[], request: SetRequest, found: number): WordSet['loosen'] {
  if (found >= request.size) return null;
  const options = [
    { filter: 'shape' as const, on: request.shape !== undefined, with: { ...request, shape: undefined } },
    { filter: 'first' as const, on: request.first !== undefined, with: { ...request, first: undefined } },
    { filter: 'contested' as const, on: !request.contested, with: { ...request, contested: true } },
  ];
  return options
    .filter((option) => option.on)
    .map((option) => ({ filter: option.filter, words: words.filter((w) => fits(w, option.with)).length }))
    .filter((option) => option.words > found)
    .sort((a, b) => b.words - a.words)[0] ?? null;
}
