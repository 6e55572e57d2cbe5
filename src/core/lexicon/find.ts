import type { Making } from '../phonology/consonants';
import {
  addAll,
  bitsWhere,
  countCommon,
  countOnlyIn,
  hasBit,
  keepCommon,
  noBits,
  putBit,
  wordsIn,
  type Bits,
} from './bits';
import { FLAGS, MAKINGS, MOST_SOUNDS, type Flag, type SoundPlace, type WordIndex } from './word-index';

/** Numbers of sounds on offer; the last stands for itself and all above it. */
export const COUNTS = [2, 3, 4, 5, 6] as const;
type Count = (typeof COUNTS)[number];
export const MOST = MOST_SOUNDS;
export const FIRSTS = MAKINGS;
export const SYLLABLES = [1, 2, 3] as const;
type Syllables = (typeof SYLLABLES)[number];

/** Only words that …; each may be asked for beside the others. */
export const ONLY = [
  'readable',
  'agreed',
  'taught',
  'owned',
  'picture',
  'everyday',
  'prop',
  'own',
] as const satisfies readonly Flag[];
export type Only = (typeof ONLY)[number];

export interface Filters {
  readonly count?: Count | undefined;
  readonly shape?: string | undefined;
  readonly first?: Making | undefined;
  /** A sound (IPA) the word has, and where. */
  readonly sound?: string | undefined;
  readonly place?: SoundPlace | undefined;
  readonly syllables?: Syllables | undefined;
  readonly only?: readonly Only[] | undefined;
  /** Let in words whose count may be argued about; off until the setting has confirmed its conventions. */
  readonly contested: boolean;
  /** Let in homographs and words said in two ways. */
  readonly doubtful?: boolean | undefined;
  /** Anything else asked of a word, such as a search. */
  readonly matches?: ((word: number) => boolean) | undefined;
}

/** A filter that can be loosened by itself. */
const LOOSENABLE = ['shape', 'first', 'sound', 'syllables', 'only', 'contested', 'doubtful', 'matches'] as const;
export type Loosenable = (typeof LOOSENABLE)[number];

export interface ShapeFacet {
  readonly shape: string;
  readonly words: number;
  readonly example: string;
}

export interface Facets {
  readonly counts: Readonly<Record<Count, number>>;
  readonly shapes: readonly ShapeFacet[];
  readonly firsts: Readonly<Record<Making, number>>;
  /** How many words have each sound at the place asked for. */
  readonly sounds: Readonly<Record<string, number>>;
  readonly syllables: Readonly<Record<Syllables, number>>;
  readonly only: Readonly<Record<Only, number>>;
  /** Words that letting go of one filter would add; 0 where it is not set. */
  readonly adds: Readonly<Record<Loosenable, number>>;
  readonly total: number;
}

export interface FoundWords {
  /** Fitting words, as positions in the index. */
  readonly fitting: readonly number[];
  readonly facets: Facets;
}

/** One thing that is asked, and the words that have it. */
interface Condition {
  readonly filter: Loosenable | 'count';
  /** Which of the `only` filters it is. */
  readonly only?: Only;
  readonly passes: Bits;
}

/** The words of each flag, kept for as long as the flags are. */
const flagBits = new WeakMap<Uint16Array, Readonly<Record<Flag, Bits>>>();

function bitsOfFlags({ flags }: WordIndex): Readonly<Record<Flag, Bits>> {
  const before = flagBits.get(flags);
  if (before) return before;
  const flagged = (flag: number): Bits => bitsWhere(flags.length, (w) => (flags[w]! & flag) !== 0);
  const made = Object.fromEntries(Object.entries(FLAGS).map(([name, flag]) => [name, flagged(flag)])) as Record<
    Flag,
    Bits
  >;
  flagBits.set(flags, made);
  return made;
}

const notIn = (bits: Bits): Bits => bits.map((part) => ~part);

/** All that is asked of a word but the search, each with the words that have it. */
function conditionsOf(index: WordIndex, filters: Filters): Condition[] {
  const { bits, words } = index;
  const flags = bitsOfFlags(index);
  const nothing = noBits(words.length);
  const out: Condition[] = [];
  const ask = (filter: Condition['filter'], passes: Bits | undefined, only?: Only): void => {
    out.push({ filter, passes: passes ?? nothing, ...(only ? { only } : {}) });
  };
  const { count, shape, first, sound, syllables, place = 'any' } = filters;
  if (count !== undefined) ask('count', bits.counts[count]);
  if (shape !== undefined) ask('shape', bits.shapes[index.shapeNames.indexOf(shape)]);
  if (first !== undefined) ask('first', bits.makings[MAKINGS.indexOf(first)]);
  if (sound !== undefined) ask('sound', bits.sounds[place][index.sounds.indexOf(sound)]);
  if (syllables !== undefined) ask('syllables', bits.syllables[syllables]);
  for (const name of new Set(filters.only)) ask('only', flags[name], name);
  if (!filters.contested) ask('contested', notIn(flags.contested));
  if (!filters.doubtful) ask('doubtful', notIn(flags.doubtful));
  return out;
}

/** What fits, and what would fit if one condition, or none, were let go of. */
interface Sieve {
  readonly all: Bits;
  readonly but: (of: (condition: Condition) => boolean) => Bits;
}

function sieveOf(size: number, conditions: readonly Condition[]): Sieve {
  const every = new Uint32Array(noBits(size).length).fill(0xffffffff);
  // The bits beyond the last word are no words.
  if (size & 31) every[every.length - 1] = (1 << (size & 31)) - 1;
  const passing = (asked: readonly Condition[]): Bits => {
    const bits = every.slice();
    for (const { passes } of asked) keepCommon(bits, passes);
    return bits;
  };
  const all = passing(conditions);
  return {
    all,
    but: (of) => (conditions.some(of) ? passing(conditions.filter((c) => !of(c))) : all),
  };
}

/** The search, asked last: only of words that fit but for one other thing. */
function searched(index: WordIndex, conditions: readonly Condition[], matches: (word: number) => boolean): Condition {
  const { all, but } = sieveOf(index.words.length, conditions);
  const asked = all.slice();
  // A filter of several parts (`only`) may be let go of as a whole.
  for (const { filter } of conditions)
    addAll(
      asked,
      but((c) => c.filter === filter),
    );
  const passes = noBits(index.words.length);
  for (const word of wordsIn(asked)) if (matches(word)) putBit(passes, word);
  return { filter: 'matches', passes };
}

const countedChoices = <K extends string | number>(choices: readonly K[], of: (choice: K, at: number) => number) =>
  Object.fromEntries(choices.map((choice, at) => [choice, of(choice, at)])) as Record<K, number>;

/** Shapes that have words, the most first, each with its easiest word. */
function shapeFacets({ bits, shapeNames, shapeRanks, easiest, words }: WordIndex, among: Bits): ShapeFacet[] {
  return shapeNames
    .flatMap((shape, s) => {
      const many = countCommon(among, bits.shapes[s]!);
      if (!many) return [];
      const example = easiest[s]!.find((word) => hasBit(among, word))!;
      return [{ rank: shapeRanks[s]!, facet: { shape, words: many, example: words[example]!.word } }];
    })
    .sort((a, b) => b.facet.words - a.facet.words || a.rank - b.rank)
    .map(({ facet }) => facet);
}

/**
 * The words that fit and, on every choice of every filter, how many words picking it would leave: sets as bits.
 * @example find(index, { count: 3, contested: false }).facets.counts[3]
 */
export function find(index: WordIndex, filters: Filters): FoundWords {
  const asked = conditionsOf(index, filters);
  const conditions = filters.matches ? [...asked, searched(index, asked, filters.matches)] : asked;
  const { all, but } = sieveOf(index.words.length, conditions);
  const butFor = (filter: Condition['filter']): Bits => but((c) => c.filter === filter);
  const adds = countedChoices(LOOSENABLE, (filter) => countOnlyIn(butFor(filter), all));
  const { bits } = index;
  const flags = bitsOfFlags(index);
  const [count, first, syllables, sound] = [butFor('count'), butFor('first'), butFor('syllables'), butFor('sound')];
  const fitting = wordsIn(all);
  return {
    fitting,
    facets: {
      total: fitting.length,
      adds,
      counts: countedChoices(COUNTS, (n) => countCommon(count, bits.counts[n]!)),
      firsts: countedChoices(FIRSTS, (_, at) => countCommon(first, bits.makings[at]!)),
      syllables: countedChoices(SYLLABLES, (n) => countCommon(syllables, bits.syllables[n]!)),
      sounds: countedChoices(index.sounds, (_, at) => countCommon(sound, bits.sounds[filters.place ?? 'any'][at]!)),
      only: countedChoices(ONLY, (name) =>
        countCommon(
          but((c) => c.only === name),
          flags[name],
        ),
      ),
      shapes: shapeFacets(index, butFor('shape')),
    },
  };
}

/**
 * Which single filter to let go of when too few words fit, and how many there would be; null where none helps.
 * @example loosen(find(index, { count: 4, shape: 'CCCV', contested: false }).facets) // { filter: 'shape', words: 900 }
 */
export function loosen({ adds, total }: Facets): { filter: Loosenable; words: number } | null {
  const best = [...LOOSENABLE].sort((a, b) => adds[b] - adds[a])[0]!;
  return adds[best] ? { filter: best, words: total + adds[best] } : null;
}

export const SORTS = ['easy', 'a-z', 'first-sound', 'known'] as const;
export type Sort = (typeof SORTS)[number];

/** Puts found words in order. Example: `sortWords(index, found.fitting, 'easy')`. */
export function sortWords(index: WordIndex, found: readonly number[], sort: Sort): number[] {
  const { words, difficulties, bands, firsts, sounds } = index;
  const byName = (a: number, b: number): number => (words[a]!.word < words[b]!.word ? -1 : 1);
  const orders: Record<Sort, (a: number, b: number) => number> = {
    easy: (a, b) => difficulties[a]! - difficulties[b]! || byName(a, b),
    'a-z': byName,
    'first-sound': (a, b) =>
      sounds[firsts[a]!]!.localeCompare(sounds[firsts[b]!]!) || difficulties[a]! - difficulties[b]! || byName(a, b),
    known: (a, b) => bands[a]! - bands[b]! || difficulties[a]! - difficulties[b]! || byName(a, b),
  };
  return [...found].sort(orders[sort]);
}
