import type { Random } from '../random';
import { shuffle } from '../random';
import { sure } from '../sure';
import { inCluster } from './difficulty';
import type { Word } from './entry';
import type { Neighbour, Neighbourhood } from './neighbours';
import { traitsOf } from './traits';

/** Where a change is heard. A sound inside a cluster is its own kind: it is harder to find. */
export const CHANGE_PLACES = ['first', 'middle', 'last', 'cluster'] as const;
export type ChangePlace = (typeof CHANGE_PLACES)[number];

/** Where the sound at an index of a word stands. Example: the /l/ of *slip*: `cluster`. */
export function changePlace(word: Pick<Word, 'sounds'>, at: number): ChangePlace {
  if (inCluster(word, at)) return 'cluster';
  if (at === 0) return 'first';
  return at === word.sounds.length - 1 ? 'last' : 'middle';
}

/** One step of a chain: the word reached, and what changed to get there. */
export interface ChainLink {
  readonly from: Word;
  readonly to: Word;
  readonly change: Neighbour['change'];
  readonly at: number;
  readonly place: ChangePlace;
  /** The sound that goes, where one does. */
  readonly old: string | null;
  /** The sound that comes, where one does. */
  readonly new: string | null;
  /** Where the change is heard: a swap inside a cluster is heard in both words (*slip* to *skip*). */
  readonly heard: ChangePlace;
  /** A class of sound is kept: a vowel is swapped for a vowel. */
  readonly alike: boolean;
}

export interface ChainRequest {
  readonly start: Word;
  /** Words in the chain, start and end counted: 3 to 10. */
  readonly length: number;
  readonly places: readonly ChangePlace[];
  /** Adding and leaving out allowed beside swapping. */
  readonly grow: boolean;
  readonly target?: Word | undefined;
  /** Words that may be used. */
  readonly allowed: (word: Word) => boolean;
  /** Steps that may be taken; all of them where nothing is said. */
  readonly fits?: (link: ChainLink) => boolean;
}

export interface Chain {
  readonly words: readonly Word[];
  readonly links: readonly ChainLink[];
  /** Other ways to go from each word but the last, best first. */
  readonly others: readonly (readonly Word[])[];
  /** True where the request could be met in full; else this is the nearest possible chain. */
  readonly whole: boolean;
}

/** What changed between two neighbours. */
export function linkOf(from: Word, { word: to, change, at }: Neighbour): ChainLink {
  const old = change === 'add' ? null : sure(from.sounds[at]).ipa;
  const made = change === 'leave-out' ? null : sure(to.sounds[at]).ipa;
  const place = changePlace(change === 'add' ? to : from, at);
  return {
    from,
    to,
    change,
    at,
    place,
    old,
    new: made,
    heard: change === 'swap' && changePlace(to, at) === 'cluster' ? 'cluster' : place,
    alike: change !== 'swap' || sure(from.sounds[at]).vowel === sure(to.sounds[at]).vowel,
  };
}

/** Every link of a neighbourhood, by the word it begins at: worked out when a word is first asked for. */
const knownLinks = new WeakMap<Neighbourhood, Map<Word, readonly ChainLink[]>>();

function allLinks(word: Word, neighbours: Neighbourhood): readonly ChainLink[] {
  const links = knownLinks.get(neighbours) ?? new Map<Word, readonly ChainLink[]>();
  knownLinks.set(neighbours, links);
  const before = links.get(word);
  if (before) return before;
  const made = neighbours.of(word).map((n) => linkOf(word, n));
  links.set(word, made);
  return made;
}

/** The steps a request allows from a word. */
export const linksFrom = (
  word: Word,
  {
    neighbours,
    places,
    grow,
    allowed,
  }: Pick<ChainRequest, 'places' | 'grow' | 'allowed'> & { neighbours: Neighbourhood },
): ChainLink[] =>
  allLinks(word, neighbours).filter(
    (link) => (grow || link.change === 'swap') && places.includes(link.heard) && link.alike && allowed(link.to),
  );

/** Looks into this many words before it says that it found no more: keeps the answer immediate. */
const BUDGET = 1_500;

/** Fewest changes from every word to the target, as far as `most` steps. */
function distances(target: Word, most: number, next: (word: Word) => readonly ChainLink[]): Map<string, number> {
  const far = new Map([[traitsOf(target).said, 0]]);
  let edge = [target];
  for (let d = 1; d <= most && edge.length; d += 1) {
    const found: Word[] = [];
    for (const word of edge) {
      for (const { to } of next(word)) {
        const { said } = traitsOf(to);
        if (far.has(said)) continue;
        far.set(said, d);
        found.push(to);
      }
    }
    edge = found;
  }
  return far;
}

/**
 * A chain of words, each one change from the next, no word twice, the place of the change varied, everyday words
 * first. Where the whole request cannot be met, the nearest possible chain is given and `whole` is false: the longest
 * from that start, or one that ends as near the target as can be.
 * @example findChain(neighbours, { start: top, length: 4, places: ['first', 'middle', 'last'], grow: false, allowed:
 * () => true }, seeded(1))
 */
export function findChain(neighbours: Neighbourhood, request: ChainRequest, random: Random): Chain {
  const { start, target } = request;
  const cache = new Map<string, readonly ChainLink[]>();
  const next = (word: Word): readonly ChainLink[] => {
    const known = cache.get(word.word);
    if (known) return known;
    const { fits = () => true } = request;
    const made = shuffle(linksFrom(word, { ...request, neighbours }).filter(fits), random);
    cache.set(word.word, made);
    return made;
  };
  const far = target ? distances(target, request.length - 1, next) : null;
  const toGo = (word: Word): number => far?.get(traitsOf(word).said) ?? Infinity;

  let best: ChainLink[] = [];
  let bestScore = -Infinity;
  let looks = 0;
  const path: ChainLink[] = [];
  const used = new Set([traitsOf(start).said]);
  const score = (): number => {
    const end = path.at(-1)?.to ?? start;
    return target ? -unlike(end, target) * 100 + path.length : path.length;
  };
  /**
   * Everyday words and a place that was not just used come first; with a target, only steps that can still reach it.
   */
  const ordered = (word: Word): ChainLink[] => {
    const [before, earlier] = [path.at(-1), path.at(-2)];
    const cost = (link: ChainLink): number =>
      (link.to.entry.band - 1) * 2 +
      (before?.heard === link.heard ? 3 : 0) +
      (earlier?.heard === link.heard ? 1 : 0) +
      (link.to.entry.picture ? 0 : 0.5);
    return next(word)
      .filter((link) => !used.has(traitsOf(link.to).said))
      .map((link) => ({ link, cost: cost(link) }))
      .sort((a, b) => a.cost - b.cost)
      .map(({ link }) => link);
  };
  const search = (word: Word): boolean => {
    looks += 1;
    const made = path.length + 1;
    const here = score();
    if (here > bestScore) [best, bestScore] = [[...path], here];
    if (made === request.length) return !target || traitsOf(word).said === traitsOf(target).said;
    if (looks > BUDGET) return false;
    const left = request.length - made;
    for (const link of ordered(word)) {
      // The target itself comes last and not before.
      if (target && (toGo(link.to) > left - 1 || (toGo(link.to) === 0 && left > 1))) continue;
      path.push(link);
      used.add(traitsOf(link.to).said);
      if (search(link.to)) return true;
      used.delete(traitsOf(link.to).said);
      path.pop();
      if (looks > BUDGET) return false;
    }
    return false;
  };
  const whole = search(start);
  let links = whole ? [...path] : best;
  if (!whole && target && far)
    links =
      shortest(start, target, toGo, next) ?? (links.length ? links : nearest(start, target, request.length, next));
  return {
    links,
    whole,
    words: [start, ...links.map((l) => l.to)],
    others: otherWays(start, links, next),
  };
}

/** Other words each step could go to, those first from which the chain could go on as it does. */
function otherWays(start: Word, links: readonly ChainLink[], next: (word: Word) => readonly ChainLink[]): Word[][] {
  const taken = new Set([start, ...links.map((l) => l.to)].map((w) => traitsOf(w).said));
  return links.map((link, i) => {
    const onwards = links[i + 1]?.to;
    const free = next(link.from).filter((l) => !taken.has(traitsOf(l.to).said));
    const goesOn = (l: ChainLink): boolean =>
      !onwards || next(l.to).some((n) => traitsOf(n.to).said === traitsOf(onwards).said);
    return [...new Set([...free.filter(goesOn), ...free].map((l) => l.to))].slice(0, 6);
  });
}

/** A target nearer than asked is reached in fewer words. */
function shortest(
  start: Word,
  target: Word,
  toGo: (word: Word) => number,
  next: (word: Word) => readonly ChainLink[],
): ChainLink[] | null {
  if (!Number.isFinite(toGo(start))) return null;
  const out: ChainLink[] = [];
  for (let word = start; traitsOf(word).said !== traitsOf(target).said;) {
    const link = next(word).find((l) => toGo(l.to) === toGo(word) - 1);
    if (!link) return null;
    out.push(link);
    word = link.to;
  }
  return out;
}

/** Goes nearer to the target at each step, as far as that is possible. */
function nearest(start: Word, target: Word, length: number, next: (word: Word) => readonly ChainLink[]): ChainLink[] {
  const out: ChainLink[] = [];
  const used = new Set([traitsOf(start).said]);
  for (let word = start; out.length < length - 1;) {
    const link = [...next(word)]
      .filter((l) => !used.has(traitsOf(l.to).said))
      .sort((a, b) => unlike(a.to, target) - unlike(b.to, target))[0];
    if (!link || unlike(link.to, target) >= unlike(word, target)) break;
    used.add(traitsOf(link.to).said);
    out.push(link);
    word = link.to;
  }
  return out;
}

/** Changes that would still be needed (Levenshtein, 1966), over sounds. */
export function unlike(a: Word, b: Word): number {
  const [x, y] = [traitsOf(a).said, traitsOf(b).said];
  let row = Array.from({ length: y.length + 1 }, (_, j) => j);
  for (let i = 1; i <= x.length; i += 1) {
    const here = [i];
    for (let j = 1; j <= y.length; j += 1)
      here[j] = Math.min(sure(row[j]) + 1, sure(here[j - 1]) + 1, sure(row[j - 1]) + (x[i - 1] === y[j - 1] ? 0 : 1));
    row = here;
  }
  return sure(row[y.length]);
}
