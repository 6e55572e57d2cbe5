import { seeded, shuffle } from '../random';
import type { Making } from '../phonology/sounds';
import type { Word } from './entry';
import { tooAlike } from './likeness';
import { traitsOf } from './traits';

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
  (without === 'first' || !filters.first || traitsOf(word).making === filters.first);

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
    if (fits(word, filters, 'first')) firsts[traitsOf(word).making] += 1;
    if (fits(word, filters, 'shape')) {
      const row = shapes.get(word.shape);
      const best = row && byDifficulty(row.best, word) <= 0 ? row.best : word;
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

/** What each likeness to a word already chosen costs; a dearer word is taken later. */
const COST = { sameFirst: 4, sameVowels: 3, band: 2, syllable: 6, avoided: 100 } as const;

/** A set being chosen: every word of the pool with what it costs now, brought up to date as words are taken. */
class Choosing {
  readonly chosen: Word[] = [];
  private readonly costs: Float64Array;
  private readonly barred: Uint8Array;
  private readonly taken: Uint8Array;

  constructor(private readonly pool: readonly Word[], avoid: ReadonlySet<string>) {
    this.costs = Float64Array.from(pool, (w) =>
      (w.entry.band - 1) * COST.band + (traitsOf(w).syllables - 1) * COST.syllable + (avoid.has(w.word) ? COST.avoided : 0));
    this.barred = new Uint8Array(pool.length);
    this.taken = new Uint8Array(pool.length);
  }

  take(word: Word): void {
    const { said, vowels } = traitsOf(word);
    this.chosen.push(word);
    this.pool.forEach((other, i) => {
      if (other === word) this.taken[i] = 1;
      const traits = traitsOf(other);
      if (traits.said[0] === said[0]) this.costs[i]! += COST.sameFirst;
      if (traits.vowels === vowels) this.costs[i]! += COST.sameVowels;
      if (!this.barred[i] && tooAlike(word, other)) this.barred[i] = 1;
    });
  }

  /** The cheapest word not taken; one that rhymes or nearly matches only when `relaxed`. */
  cheapest(relaxed: boolean, fits: (word: Word) => boolean = () => true): Word | undefined {
    let best = -1;
    this.pool.forEach((word, i) => {
      if (this.taken[i] || (!relaxed && this.barred[i]) || (best >= 0 && this.costs[i]! >= this.costs[best]!) || !fits(word)) return;
      best = i;
    });
    return this.pool[best];
  }

  /** Takes words up to `size`; words that rhyme or nearly match meet only when nothing else is left. */
  fill(size: number): void {
    for (const relaxed of [false, true]) {
      while (this.chosen.length < size) {
        const next = this.cheapest(relaxed);
        if (!next) break;
        this.take(next);
      }
    }
  }
}

const byDifficulty = (a: Word, b: Word): number =>
  traitsOf(a).difficulty - traitsOf(b).difficulty || (a.word < b.word ? -1 : 1);

/** Share of the fitting words, from the hardest down, that can be a stretch. */
const STRETCH_SHARE = 0.2;

/** Spare words kept for swapping, besides the one to model with. */
const SPARES = 6;

/**
 * Proposes a word set: spread over first sounds and vowels, no two words rhyming or one sound apart while others
 * are left, easy to hard, one stretch at the end. The same request gives the same set.
 *
 * @example select(words, { count: 3, contested: false, size: 8, seed: 1 }).words.length // 8
 */
export function select(words: readonly Word[], request: SetRequest): WordSet {
  const random = seeded(request.seed);
  const matching = words.filter((word) => fits(word, request));
  const choosing = new Choosing(shuffle(matching, random), new Set(request.avoid));
  const keep = (request.keep ?? []).flatMap((name) => matching.find((w) => w.word === name) ?? []).slice(0, request.size);
  for (const word of keep) choosing.take(word);

  // The stretch comes first, so that the set is built around it.
  const sorted = Float64Array.from(matching, (w) => traitsOf(w).difficulty).sort();
  const hard = sorted[Math.floor(sorted.length * (1 - STRETCH_SHARE))] ?? 0;
  const stretch = keep.length ? undefined : choosing.cheapest(false, (w) => traitsOf(w).difficulty >= hard);
  if (stretch) choosing.take(stretch);
  choosing.fill(request.size);
  const chosen = [...choosing.chosen].sort(byDifficulty);
  if (stretch) chosen.push(...chosen.splice(chosen.indexOf(stretch), 1));

  choosing.fill(chosen.length + 1 + SPARES);
  const rest = choosing.chosen.slice(chosen.length);
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
