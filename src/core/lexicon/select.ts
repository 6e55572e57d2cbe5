import { seeded, shuffle } from '../random';
import type { Word } from './entry';
import { find, loosen, type Filters, type FoundWords, type Loosenable } from './find';
import { oneSoundApart } from './likeness';
import { NumberHeap } from './number-heap';
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
const COST = { sameFirst: 4, sameVowels: 3, band: 5, syllable: 6, unseen: 3, avoided: 100 } as const;

const knownPicks = new WeakMap<Uint8Array, Uint8Array>();

/** What each word costs of itself, kept with its index. */
function pricesOf({ bands, syllables, flags }: WordIndex): Uint8Array {
  const before = knownPicks.get(bands);
  if (before) return before;
  const seen = FLAGS.picture | FLAGS.prop;
  const made = bands.map(
    (band, w) => (band - 1) * COST.band + (syllables[w]! - 1) * COST.syllable + (flags[w]! & seen ? 0 : COST.unseen),
  );
  knownPicks.set(bands, made);
  return made;
}

/** Positions of a pool are less than this: a cost and a position make one number. */
const POSITIONS = 65_536;

/**
 * A set being chosen. What a word costs now is worked out only when it comes up: taking a word makes those like it
 * dearer, and never anything cheaper, so that a word whose cost is still what it was put down with is the cheapest.
 */
class Choosing {
  readonly chosen: number[] = [];
  private readonly queue: NumberHeap;
  /** Words that would muddle the set; they come back when nothing else is left. */
  private aside: number[] = [];
  private readonly taken: Uint8Array;
  /** One that muddles goes on muddling, for the set only grows. */
  private readonly barred: Uint8Array;
  private readonly fixed: Uint16Array;
  private readonly timesFirst: Uint8Array;
  private readonly timesVowels: Uint8Array;

  constructor(
    private readonly index: WordIndex,
    private readonly pool: readonly number[],
    avoid: ReadonlySet<number>,
  ) {
    const { sounds, words } = index;
    const prices = pricesOf(index);
    this.fixed = new Uint16Array(pool.length);
    const keys = new Float64Array(pool.length);
    for (let at = 0; at < pool.length; at += 1) {
      const word = pool[at]!;
      const cost = prices[word]! + (avoid.has(word) ? COST.avoided : 0);
      this.fixed[at] = cost;
      keys[at] = cost * POSITIONS + at;
    }
    this.taken = new Uint8Array(words.length);
    this.barred = new Uint8Array(words.length);
    this.timesFirst = new Uint8Array(sounds.length);
    this.timesVowels = new Uint8Array(words.length);
    this.queue = new NumberHeap(keys);
  }

  take(word: number): void {
    this.chosen.push(word);
    this.taken[word] = 1;
    this.timesFirst[this.index.firsts[word]!]! += 1;
    this.timesVowels[this.index.vowels[word]!]! += 1;
  }

  /** Words that sound alike, rhyme or are one sound apart would muddle each other in one set. */
  private muddles(word: number): boolean {
    const { strings, rhymes, words } = this.index;
    return this.chosen.some(
      (c) => strings[c] === strings[word] || rhymes[c] === rhymes[word] || oneSoundApart(words[c]!, words[word]!),
    );
  }

  /** Cost and position of a word of the pool as one number: of two that cost the same, the earlier is taken. */
  private keyNow(at: number): number {
    const word = this.pool[at]!;
    const { firsts, vowels } = this.index;
    const like = this.timesFirst[firsts[word]!]! * COST.sameFirst + this.timesVowels[vowels[word]!]! * COST.sameVowels;
    return (this.fixed[at]! + like) * POSITIONS + at;
  }

  /** The cheapest word not taken; one that rhymes or nearly matches only when `relaxed`. */
  cheapest(relaxed: boolean, least = -Infinity): number | undefined {
    const { queue, pool } = this;
    const { difficulties } = this.index;
    const easy: number[] = [];
    if (relaxed) for (const at of this.aside.splice(0)) queue.push(this.keyNow(at));
    let found: number | undefined;
    while (found === undefined && queue.size) {
      const key = queue.pop();
      const at = key % POSITIONS;
      const word = pool[at]!;
      if (this.taken[word]) continue;
      const now = this.keyNow(at);
      if (now !== key) queue.push(now);
      else if (difficulties[word]! < least) easy.push(key);
      else if (!relaxed && (this.barred[word] ||= Number(this.muddles(word)))) this.aside.push(at);
      else {
        found = word;
        queue.push(key);
      }
    }
    for (const key of easy) queue.push(key);
    return found;
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

/** The difficulty of the word that stands at a place when the words are put from easy to hard; 0 where none does. */
function difficultyAt(
  { words, easyFirst, difficulties }: WordIndex,
  matching: readonly number[],
  place: number,
): number {
  const among = new Uint8Array(words.length);
  for (const word of matching) among[word] = 1;
  let left = place;
  for (const word of easyFirst) if (among[word] && left-- === 0) return difficulties[word]!;
  return 0;
}

/** Spare words kept for swapping, besides the one to model with. */
const SPARES = 6;

/**
 * Proposes a word set: spread over first sounds and vowels, no two words rhyming or one sound apart while others
 * are left, easy to hard, one stretch at the end. The same request gives the same set.
 *
 * @param found what `find` gave for the same filters, where it has been asked already
 * @example select(index, { count: 3, contested: false, size: 8, seed: 1 }).words.length // 8
 */
export function select(index: WordIndex, request: SetRequest, found: FoundWords = find(index, request)): WordSet {
  const matching = found.fitting;
  const { words, difficulties, byName } = index;
  const numbers = (names: readonly string[]): number[] => names.flatMap((name) => byName.get(name) ?? []);
  const choosing = new Choosing(index, shuffle(matching, seeded(request.seed)), new Set(numbers(request.avoid ?? [])));
  const fits = new Set(request.keep?.length ? matching : []);
  const keep = numbers(request.keep ?? [])
    .filter((w) => fits.has(w))
    .slice(0, request.size);
  for (const word of keep) choosing.take(word);

  // The stretch comes first, so that the set is built around it.
  const hard = difficultyAt(index, matching, Math.floor(matching.length * (1 - STRETCH_SHARE)));
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
