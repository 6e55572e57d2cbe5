import { groupBy } from '../group-by';
import type { Word } from './entry';
import { traitsOf } from './traits';

/** What turns one word into its neighbour: a sound swapped, left out or added at a place (index of the sound). */
const SOUND_CHANGES = ['swap', 'leave-out', 'add'] as const;
export type Change = (typeof SOUND_CHANGES)[number];

export interface SoundStep {
  readonly change: Change;
  /** Index of the sound in the word left; for `add`, the index the new sound has in the word reached. */
  readonly at: number;
  /** Index of the sound string reached. */
  readonly to: number;
}

/**
 * The neighbour graph of distinct sound strings (one character a sound). Two are joined where one sound is swapped,
 * left out or added. Edges lie in flat arrays: those of node n from `offsets[n]` up to `offsets[n + 1]`.
 */
export interface NeighbourGraph {
  readonly said: readonly string[];
  readonly offsets: Uint32Array;
  readonly targets: Uint32Array;
  /** Change (0 swap, 1 leave out, 2 add) in the low two bits, place above them. */
  readonly kinds: Uint8Array;
}

/**
 * Builds the graph in time that grows with words, not with pairs: each string is filed once for every place under what
 * is left when that place is blanked, so neighbours meet in the same drawer.
 *
 * @param said distinct sound strings, one character a sound, at most 60 sounds each
 * @example neighbourGraph(['kat', 'kap', 'at']).targets.length // 4: kat–kap and kat–at, both ways
 */
export function neighbourGraph(said: readonly string[]): NeighbourGraph {
  const node = new Map(said.map((s, i) => [s, i]));
  const drawers = new Map<string, number>();
  // A drawer is a chain of items; an item is one string with one place blanked.
  const items = said.reduce((n, s) => n + s.length, 0);
  const next = new Int32Array(items).fill(-1);
  const owner = new Uint32Array(items);
  const pairs = new Pairs();
  let item = 0;
  for (let n = 0; n < said.length; n += 1) {
    const s = said[n]!;
    for (let at = 0; at < s.length; at += 1) {
      const drawer = `${s.slice(0, at)}_${s.slice(at + 1)}`;
      const head = drawers.get(drawer) ?? -1;
      for (let other = head; other >= 0; other = next[other]!) {
        pairs.add(n, owner[other]!, at << 2);
        pairs.add(owner[other]!, n, at << 2);
      }
      owner[item] = n;
      next[item] = head;
      drawers.set(drawer, item);
      item += 1;
      // Leaving out either of two like sounds gives the same word: the first place stands for both.
      if (at > 0 && s[at] === s[at - 1]) continue;
      const shorter = node.get(s.slice(0, at) + s.slice(at + 1));
      if (shorter !== undefined) {
        pairs.add(n, shorter, (at << 2) | 1);
        pairs.add(shorter, n, (at << 2) | 2);
      }
    }
  }
  return { said, ...pairs.byNode(said.length) };
}

/** A growing list of edges in flat arrays. */
class Pairs {
  private from = new Uint32Array(1 << 16);
  private to = new Uint32Array(1 << 16);
  private kind = new Uint8Array(1 << 16);
  private count = 0;

  add(from: number, to: number, kind: number): void {
    if (this.count === this.from.length) this.grow();
    this.from[this.count] = from;
    this.to[this.count] = to;
    this.kind[this.count] = kind;
    this.count += 1;
  }

  private grow(): void {
    const bigger = <T extends Uint32Array | Uint8Array>(old: T, made: T): T => {
      made.set(old);
      return made;
    };
    this.from = bigger(this.from, new Uint32Array(this.count * 2));
    this.to = bigger(this.to, new Uint32Array(this.count * 2));
    this.kind = bigger(this.kind, new Uint8Array(this.count * 2));
  }

  byNode(nodes: number): Pick<NeighbourGraph, 'offsets' | 'targets' | 'kinds'> {
    const offsets = new Uint32Array(nodes + 1);
    for (let i = 0; i < this.count; i += 1) offsets[this.from[i]! + 1]! += 1;
    for (let n = 0; n < nodes; n += 1) offsets[n + 1]! += offsets[n]!;
    const at = offsets.slice();
    const targets = new Uint32Array(this.count);
    const kinds = new Uint8Array(this.count);
    for (let i = 0; i < this.count; i += 1) {
      const slot = at[this.from[i]!]!++;
      targets[slot] = this.to[i]!;
      kinds[slot] = this.kind[i]!;
    }
    return { offsets, targets, kinds };
  }
}

/** The steps from one node, by place. Example: `stepsFrom(graph, 0).filter((s) => s.change === 'swap')`. */
export function stepsFrom(graph: NeighbourGraph, from: number): SoundStep[] {
  const steps: SoundStep[] = [];
  for (let e = graph.offsets[from]!; e < graph.offsets[from + 1]!; e += 1) {
    steps.push({ change: SOUND_CHANGES[graph.kinds[e]! & 3]!, at: graph.kinds[e]! >> 2, to: graph.targets[e]! });
  }
  return steps.sort((a, b) => a.change.localeCompare(b.change) || a.at - b.at || a.to - b.to);
}

/** A neighbour of a word: the word reached, and where. */
export interface Neighbour {
  readonly word: Word;
  readonly change: Change;
  readonly at: number;
}

export interface Neighbourhood {
  readonly graph: NeighbourGraph;
  /** Words that sound alike share a node; the one children know best stands first. */
  readonly wordsAt: readonly (readonly Word[])[];
  /** The neighbours of a word in this accent, by change and place. */
  of(word: Word): Neighbour[];
}

/** The neighbour graph of the words of one accent. */
export function neighbourhood(words: readonly Word[]): Neighbourhood {
  const groups = groupBy(words, (word) => traitsOf(word).said);
  for (const group of groups.values()) group.sort((a, b) => a.entry.band - b.entry.band);
  const graph = neighbourGraph([...groups.keys()]);
  const nodes = new Map(graph.said.map((said, i) => [said, i]));
  const wordsAt = [...groups.values()];
  return {
    graph,
    wordsAt,
    of: (word) => {
      const node = nodes.get(traitsOf(word).said);
      return node === undefined
        ? []
        : stepsFrom(graph, node).map(({ change, at, to }) => ({ change, at, word: wordsAt[to]![0]! }));
    },
  };
}

/** The rhyme classes of an accent: words alike from the last stressed vowel on, where at least two part before it. */
export function rhymeClasses(words: readonly Word[]): Map<string, Word[]> {
  const classes = groupBy(words, (word) => traitsOf(word).rhyme);
  return new Map([...classes].filter(([, members]) => new Set(members.map((w) => traitsOf(w).onset)).size > 1));
}
