import { seeded, shuffle } from '../random';
import type { Word } from './entry';
import { find, loosen, type Filters, type Found, type Loosenable } from './find';
import { oneSoundApart } from './likeness';
import { FLAGS, type WordIndex } from './word-index';

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
  readonly loosen: { readonly filter: Loosenable; readonly words: number } | null;
}

/** What each likeness to a word already chosen costs, and a word that cannot be shown; a dearer word is taken later. */
const COST = { sameFirst: 4, sameVowels: 3, band: 2, syllable: 6, unseen: 3, avoided: 100 } as const;

/** A set being chosen: every word of the pool with what it costs now, brought up to date as words are taken. */
class Choosing {
  readonly chosen: number[] = [];
  private readonly costs: Float64Array;
  private readonly taken: Uint8Array;
  /** Likeness is asked only of the word about to be taken; one that is barred stays barred, for the set only grows. */
  private readonly barred: Uint8Array;

  constructor(
    private readonly index: WordIndex,
    private readonly pool: readonly number[],
    avoid: ReadonlySet<number>,
  ) {
    const { bands, syllables, flags } = index;
    const seen = FLAGS.picture | FLAGS.prop;
    this.costs = Float64Array.from(
      pool,
      (w) =>
        (bands[w]! - 1) * COST.band +
        (syllables[w]! - 1) * COST.syllable +
        (flags[w]! & seen ? 0 : COST.unseen) +
        (avoid.has(w) ? COST.avoided : 0),
    );
    this.taken = new Uint8Array(pool.length);
    this.barred = new Uint8Array(pool.length);
  }

  take(word: number): void {
    const { firsts, vowels } = this.index;
    const [first, vowel] = [firsts[word]!, vowels[word]!];
    this.chosen.push(word);
    for (let i = 0; i < this.pool.length; i += 1) {
      const other = this.pool[i]!;
      if (other === word) this.taken[i] = 1;
      if (firsts[other] === first) this.costs[i]! += COST.sameFirst;
      if (vowels[other] === vowel) this.costs[i]! += COST.sameVowels;
    }
  }

  /** Words that sound alike, rhyme or are one sound apart would muddle each other in one set. */
  private muddles(word: number): boolean {
    const { strings, rhymes, words } = this.index;
    return this.chosen.some(
      (c) => strings[c] === strings[word] || rhymes[c] === rhymes[word] || oneSoundApart(words[c]!, words[word]!),
    );
  }

  /** The cheapest word not taken; one that rhymes or nearly matches only when `relaxed`. */
  cheapest(relaxed: boolean, least = -Infinity): number | undefined {
    const { difficulties } = this.index;
    for (;;) {
      let best = -1;
      for (let i = 0; i < this.pool.length; i += 1) {
        if (
          this.taken[i] ||
          (!relaxed && this.barred[i]) ||
          (best >= 0 && this.costs[i]! >= this.costs[best]!) ||
          difficulties[this.pool[i]!]! < least
        )
          continue;
        best = i;
      }
      if (best < 0 || relaxed || !this.muddles(this.pool[best]!)) return this.pool[best];
      this.barred[best] = 1;
    }
  }

  /** Takes words up to `size`; words that rhyme or nearly match meet only when nothing else is left. */
  fill(size: number): void {
    for (const relaxed of [false, true]) {
      while (this.chosen.length < size) {
        const next = this.cheapest(relaxed);
        if (next === undefined) break;
        this.take(next);
      }
    }
  }
}

/** Share of the fitting words, from the hardest down, that can be a stretch. */
const STRETCH_SHARE = 0.2;

/** Spare words kept for swapping, besides the one to model with. */
const SPARES = 6;

/**
 * Proposes a word set: spread over first sounds and vowels, no two words rhyming or one sound apart while others
 * are left, easy to hard, one stretch at the end. The same request gives the same set.
 *
 * @param found what `find` gave for the same filters, where it has been asked already
 * @example select(index, { count: 3, contested: false, size: 8, seed: 1 }).words.length // 8
 */
export function select(index: WordIndex, request: SetRequest, found: Found = find(index, request)): WordSet {
  const matching = found.fitting;
  const { words, difficulties, byName } = index;
  const numbers = (names: readonly string[]): number[] => names.flatMap((name) => byName.get(name) ?? []);
  const choosing = new Choosing(
    index,
    shuffle([...matching], seeded(request.seed)),
    new Set(numbers(request.avoid ?? [])),
  );
  const fits = new Set(request.keep?.length ? matching : []);
  const keep = numbers(request.keep ?? [])
    .filter((w) => fits.has(w))
    .slice(0, request.size);
  for (const word of keep) choosing.take(word);

  // The stretch comes first, so that the set is built around it.
  const sorted = Float64Array.from(matching, (w) => difficulties[w]!).sort();
  const hard = sorted[Math.floor(sorted.length * (1 - STRETCH_SHARE))] ?? 0;
  const stretch = keep.length ? undefined : choosing.cheapest(false, hard);
  if (stretch !== undefined) choosing.take(stretch);
  choosing.fill(request.size);
  const byDifficulty = (a: number, b: number): number =>
    difficulties[a]! - difficulties[b]! || (words[a]!.word < words[b]!.word ? -1 : 1);
  const chosen = [...choosing.chosen].sort(byDifficulty);
  if (stretch !== undefined) chosen.push(...chosen.splice(chosen.indexOf(stretch), 1));

  choosing.fill(chosen.length + 1 + SPARES);
  const rest = choosing.chosen.slice(chosen.length);
  const model = [...rest].sort(byDifficulty)[0] ?? chosen[0];
  return {
    words: chosen.map((w) => words[w]!),
    model: model === undefined ? null : words[model]!,
    spares: rest.filter((w) => w !== model).map((w) => words[w]!),
    loosen: chosen.length >= request.size ? null : loosen(found.facets),
  };
}
