import type { Making } from '../phonology/consonants';
import { FLAGS, hasSound, MAKINGS, type Flag, type SoundPlace, type WordIndex } from './word-index';

/** Numbers of sounds on offer; the last stands for itself and all above it. */
export const COUNTS = [2, 3, 4, 5, 6] as const;
type Count = (typeof COUNTS)[number];
export const MOST = COUNTS.at(-1)!;
export const FIRSTS = MAKINGS;
export const SYLLABLES = [1, 2, 3] as const;
type Syllables = (typeof SYLLABLES)[number];

/** Only words that …; each may be asked for beside the others. */
export const ONLY = [
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

export interface Found {
  /** Fitting words, as positions in the index. */
  readonly fitting: readonly number[];
  readonly facets: Facets;
}

/** The dimensions of a choice, one bit each: a word that fails just one counts towards that one's other choices. */
const FAILS = {
  count: 1,
  shape: 2,
  first: 4,
  sound: 8,
  syllables: 16,
  contested: 32,
  doubtful: 64,
  matches: 128,
} as const;
const ONLY_BIT = (at: number): number => 256 << at;
const ANY_ONLY = ONLY.reduce((mask, _, at) => mask | ONLY_BIT(at), 0);
const ADDS: readonly (readonly [Loosenable, number])[] = [
  ['shape', FAILS.shape],
  ['first', FAILS.first],
  ['sound', FAILS.sound],
  ['syllables', FAILS.syllables],
  ['contested', FAILS.contested],
  ['doubtful', FAILS.doubtful],
  ['matches', FAILS.matches],
];

/** What is asked for, as the index numbers it; -1 stands for "anything", or for what no word has. */
interface Asked {
  readonly filters: Filters;
  readonly shape: number;
  readonly first: number;
  readonly sound: number;
  readonly place: SoundPlace;
  /** Bits of FLAGS a word must have, with the bit that fails where it has not. */
  readonly only: readonly (readonly [flag: number, bit: number])[];
}

function asAsked(index: WordIndex, filters: Filters): Asked {
  const at = <T>(all: readonly T[], one: T | undefined): number => (one === undefined ? -1 : all.indexOf(one));
  return {
    filters,
    shape: at(index.shapeNames, filters.shape),
    first: at(MAKINGS, filters.first),
    sound: at(index.sounds, filters.sound),
    place: filters.place ?? 'any',
    only: (filters.only ?? []).map((name) => [FLAGS[name], ONLY_BIT(ONLY.indexOf(name))] as const),
  };
}

/** Words of three beats and more are one choice, as are those of `MOST` sounds and more. */
const countAt = ({ counts }: WordIndex, w: number): number => Math.min(counts[w]!, MOST);
const beatsAt = ({ syllables }: WordIndex, w: number): number => Math.min(syllables[w]!, 3);

/** Which of the things asked of its sounds keep a word out, one bit each. */
function failsBySound(index: WordIndex, { filters, shape, first, sound, place }: Asked, w: number): number {
  let fails = 0;
  if (filters.count !== undefined && countAt(index, w) !== filters.count) fails |= FAILS.count;
  if (filters.shape !== undefined && index.shapes[w] !== shape) fails |= FAILS.shape;
  if (first >= 0 && index.makings[w] !== first) fails |= FAILS.first;
  if (filters.sound !== undefined && !(sound >= 0 && hasSound(index, w, sound, place))) fails |= FAILS.sound;
  if (filters.syllables !== undefined && beatsAt(index, w) !== filters.syllables) fails |= FAILS.syllables;
  return fails;
}

/** Which of the other things asked keep it out. */
function failsByFlag(flag: number, { filters, only }: Asked): number {
  let fails = 0;
  if (flag & FLAGS.contested && !filters.contested) fails |= FAILS.contested;
  if (flag & FLAGS.doubtful && !filters.doubtful) fails |= FAILS.doubtful;
  for (const [wanted, bit] of only) if (!(flag & wanted)) fails |= bit;
  return fails;
}

/** How many words each choice would leave, counted up word by word. */
class Tally {
  readonly adds: Record<Loosenable, number> = {
    shape: 0,
    first: 0,
    sound: 0,
    syllables: 0,
    only: 0,
    contested: 0,
    doubtful: 0,
    matches: 0,
  };
  private readonly countOf = [0, 0, 0, 0, 0, 0, 0];
  private readonly firstOf = [0, 0, 0, 0];
  private readonly syllableOf = [0, 0, 0, 0];
  private readonly onlyOf = ONLY.map(() => 0);
  private readonly soundOf: Int32Array;
  private readonly shapeOf: Int32Array;
  /** The easiest word of each shape. */
  private readonly exampleOf: Int32Array;

  constructor(
    private readonly index: WordIndex,
    private readonly place: SoundPlace,
  ) {
    this.soundOf = new Int32Array(index.sounds.length);
    this.shapeOf = new Int32Array(index.shapeNames.length);
    this.exampleOf = new Int32Array(index.shapeNames.length).fill(-1);
  }

  /** Counts a word that at most one filter keeps out. */
  add(w: number, fails: number): void {
    const { index } = this;
    if ((fails & ~FAILS.count) === 0) this.countOf[countAt(index, w)]! += 1;
    if ((fails & ~FAILS.shape) === 0) this.addShape(w);
    if ((fails & ~FAILS.first) === 0) this.firstOf[index.makings[w]!]! += 1;
    if ((fails & ~FAILS.syllables) === 0) this.syllableOf[beatsAt(index, w)]! += 1;
    if ((fails & ~FAILS.sound) === 0) countSounds(index, w, this.place, this.soundOf);
    if (fails !== 0) for (const [filter, bit] of ADDS) if (fails === bit) this.adds[filter] += 1;
    const flag = index.flags[w]!;
    for (let o = 0; o < ONLY.length; o += 1) {
      if ((fails & ~ONLY_BIT(o)) === 0 && flag & FLAGS[ONLY[o]!]) this.onlyOf[o]! += 1;
    }
  }

  private addShape(w: number): void {
    const shape = this.index.shapes[w]!;
    const example = this.exampleOf[shape]!;
    this.shapeOf[shape]! += 1;
    if (example < 0 || easier(this.index, w, example)) this.exampleOf[shape] = w;
  }

  facets(total: number): Facets {
    const { countOf, firstOf, syllableOf, index } = this;
    return {
      total,
      adds: this.adds,
      counts: { 2: countOf[2]!, 3: countOf[3]!, 4: countOf[4]!, 5: countOf[5]!, 6: countOf[6]! },
      firsts: { hold: firstOf[0]!, clip: firstOf[1]!, light: firstOf[2]!, vowel: firstOf[3]! },
      syllables: { 1: syllableOf[1]!, 2: syllableOf[2]!, 3: syllableOf[3]! },
      sounds: Object.fromEntries(index.sounds.map((ipa, i) => [ipa, this.soundOf[i]!])),
      only: Object.fromEntries(ONLY.map((name, o) => [name, this.onlyOf[o]!])) as Record<Only, number>,
      shapes: index.shapeNames
        .flatMap((shape, s) => {
          const words = this.shapeOf[s]!;
          return words
            ? [{ shape, words, example: index.words[this.exampleOf[s]!]!.word, rank: index.shapeRanks[s]! }]
            : [];
        })
        .sort((a, b) => b.words - a.words || a.rank - b.rank)
        .map(({ shape, words, example }) => ({ shape, words, example })),
    };
  }
}

/**
 * The words that fit and, on every choice of every filter, how many words picking it would leave: one pass over the
 * index.
 * @example find(index, { count: 3, contested: false }).facets.counts[3]
 */
export function find(index: WordIndex, filters: Filters): Found {
  const asked = asAsked(index, filters);
  const tally = new Tally(index, asked.place);
  const fitting: number[] = [];
  for (let w = 0; w < index.words.length; w += 1) {
    let fails = failsBySound(index, asked, w) | failsByFlag(index.flags[w]!, asked);
    // A search is asked last: only of words that it could still count for.
    if (filters.matches && (fails & (fails - 1)) === 0 && !filters.matches(w)) fails |= FAILS.matches;
    if (fails === 0) fitting.push(w);
    else if ((fails & ~ANY_ONLY) === 0) tally.adds.only += 1;
    // Where more than one filter stands in the way, no single choice would let the word in.
    if ((fails & (fails - 1)) === 0) tally.add(w, fails);
  }
  return { fitting, facets: tally.facets(fitting.length) };
}

const easier = ({ difficulties, words }: WordIndex, a: number, b: number): boolean =>
  difficulties[a]! < difficulties[b]! || (difficulties[a] === difficulties[b] && words[a]!.word < words[b]!.word);

function countSounds({ firsts, lasts, middles }: WordIndex, w: number, place: SoundPlace, into: Int32Array): void {
  const [first, last] = [firsts[w]!, lasts[w]!];
  if (place === 'first' || place === 'any') into[first]! += 1;
  if (place === 'last' || (place === 'any' && last !== first)) into[last]! += 1;
  if (place === 'middle' || place === 'any') {
    for (const sound of middles[w]!) if (place === 'middle' || (sound !== first && sound !== last)) into[sound]! += 1;
  }
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
