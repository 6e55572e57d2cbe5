import { homophones, oneSoundApart } from '../lexicon/likeness';
import type { Word } from '../lexicon/entry';
import { traitsOf } from '../lexicon/traits';
import type { SoundPair } from '../phonology/articulation';
import { seeded, shuffle, type Random } from '../random';
import { sure } from '../sure';
import { toEnd } from '../to-end';
import { stepPoints } from './hardness';
import { tryBuild, tryMake, type Item } from './item';
import type { Material } from './material';
import { readKey, type Spec } from './spec';
import type { Step } from './step';
import type { Task, Wishes } from './task';

export interface GameRequest {
  readonly size: number;
  readonly seed: number;
  /** A sound (IPA) every item is about, or holds. */
  readonly sound?: string | undefined;
  /** Only these words may head an item. */
  readonly words?: readonly string[] | undefined;
  /** Words turned down or used lately; left alone while others are left. */
  readonly avoid?: readonly string[] | undefined;
  /** Items to keep, by key; the rest is made around them. */
  readonly keep?: readonly string[] | undefined;
  readonly pairs?: readonly SoundPair[] | undefined;
  readonly lowOnly?: boolean | undefined;
  readonly mixUps?: boolean | undefined;
  readonly start?: string | undefined;
  readonly target?: string | undefined;
  readonly contested?: boolean | undefined;
  /** Words the setting owns as things: preferred. */
  readonly owned?: ReadonlySet<string> | undefined;
  /** Items to swap in, beyond the set. */
  readonly spares?: number | undefined;
}

export interface Generated {
  /** Easy to hard (or in their own order, where they hang together). The last is the stretch. */
  readonly items: readonly Item[];
  /** One easy item for the adult to model with. */
  readonly model: Item | null;
  readonly spares: readonly Item[];
  /** Why there are fewer than asked for, in words. */
  readonly short: string | null;
}

/** What makes a word less welcome in a set; the cheaper is taken first. */
const COST = {
  band: 5,
  syllable: 1.5,
  unseen: 1,
  sameFirst: 4,
  sameVowel: 3,
  jitter: 3,
  avoided: 100,
  owned: -3,
} as const;
const SAMPLE = 36;
const TRIES = 14;
const LONGEST_RUN = 3;
/** Items before the last come from the easier part; the last is the stretch. */
const STRETCH = 0.8;

/**
 * Makes a set of a task at a step: proved items, easy to hard, answers balanced and never more than three alike in a
 * row, no word twice. The same request and material give the same set.
 * @example generate(taskOf('rhyme-pairs'), step, material, { size: 6, seed: 1 }).items.length // 6
 */
export function generate(task: Task, step: Step, material: Material, request: GameRequest): Generated {
  return toEnd(generateInParts(task, step, material, request));
}

/** The same, with a pause after each item that was looked for: a large set takes a second. */
export function* generateInParts(
  task: Task,
  step: Step,
  material: Material,
  request: GameRequest,
): Generator<undefined, Generated> {
  yield* headsInParts(task, step, material);
  return yield* new Making(task, step, material, request).all();
}

const headsKey = (task: Task, step: Step): string => `heads ${task.id} ${step.id}`;

/** Easiest first. */
const inOrder = (words: readonly Word[]): readonly Word[] =>
  [...words].sort((a, b) => traitsOf(a).difficulty - traitsOf(b).difficulty || (a.word < b.word ? -1 : 1));

/** Words that can head an item at a step, easiest first; worked out once. */
export const headsOf = (task: Task, step: Step, material: Material): readonly Word[] =>
  material.keep(headsKey(task, step), () => inOrder(task.heads(step, material)));

/** Words looked at between two pauses. */
const AT_ONCE = 40;

/** The same, with pauses where it takes long to tell of each word. */
export function* headsInParts(task: Task, step: Step, material: Material): Generator<undefined, readonly Word[]> {
  const { lookedAt } = task;
  if (!lookedAt || material.has(headsKey(task, step))) return headsOf(task, step, material);
  const all = lookedAt.all(step, material);
  const heads: Word[] = [];
  for (let from = 0; from < all.length; from += AT_ONCE) {
    heads.push(...all.slice(from, from + AT_ONCE).filter((word) => lookedAt.may(word, step, material)));
    yield;
  }
  return material.keep(headsKey(task, step), () => inOrder(heads));
}

/** Part of the list of eligible words, from an index to before another. */
type Stretch = readonly [from: number, to: number];

class Making {
  private readonly random: Random;
  private readonly wishes: Wishes;
  private readonly theme: string | null;
  private readonly eligible: readonly Word[];
  private readonly items: Item[] = [];
  private readonly spares: Item[] = [];
  private readonly used = new Set<string>();
  private readonly kinds: number;

  constructor(
    private readonly task: Task,
    private readonly step: Step,
    private readonly material: Material,
    private readonly request: GameRequest,
  ) {
    this.random = seeded(request.seed);
    this.wishes = {
      sound: request.sound,
      words: request.words ? new Set(request.words) : undefined,
      pairs: request.pairs,
      lowOnly: request.lowOnly,
      mixUps: request.mixUps,
      start: request.start,
      target: request.target,
      size: request.size,
      avoid: new Set(request.avoid ?? []),
      contested: request.contested ?? false,
    };
    const kept = (request.keep ?? []).map(readKey);
    this.theme = task.theme ? (kept[0]?.sounds?.[0] ?? task.theme(step, material, this.random, this.wishes)) : null;
    this.eligible = headsOf(task, step, material).filter((w) => this.mayHead(w));
    this.kinds = task.kinds?.(step) ?? 1;
  }

  private mayHead(word: Word): boolean {
    const { wishes, task } = this;
    if (task.counts && word.contest && !wishes.contested) return false;
    if (wishes.words && !wishes.words.has(word.word)) return false;
    // Where the set has a theme, the theme is the sound; elsewhere each word holds it.
    return wishes.sound === undefined || this.theme !== null || word.sounds.some((s) => s.ipa === wishes.sound);
  }

  *all(): Generator<undefined, Generated> {
    if (this.task.sequence) return this.sequence();
    for (const key of this.request.keep ?? []) this.take(this.tryMake(readKey(key)));
    yield* this.fill();
    const items = this.ordered();
    yield* this.fillSpares();
    const model = this.spares.find((s) => s.kind === 0) ?? this.spares[0] ?? null;
    const spares = this.spares.filter((s) => s !== model);
    return { items, model: model ?? items[0] ?? null, spares, short: this.short(items.length) };
  }

  private short(made: number): string | null {
    if (made >= this.request.size) return null;
    const from = this.wishes.words ? 'from these words' : 'in this accent';
    const why = this.wishes.sound === undefined ? from : 'with that sound';
    return made ? `We could only make ${made} ${why}.` : `We couldn’t make any ${why}.`;
  }

  /** A set that hangs together is made in one go, and keeps its order. */
  private sequence(): Generated {
    const { task, step, material, random, wishes, theme } = this;
    const specs = this.request.keep?.length
      ? this.request.keep.map(readKey)
      : sure(task.sequence)({ step, material, random, theme, wishes });
    const items = specs.flatMap((spec) => this.tryMake(spec) ?? []);
    const words = new Set(items.flatMap((i) => readKey(i.key).words));
    const heads = this.eligible.filter((w) => !words.has(w.word));
    const model = heads.length ? this.build(sure(heads[Math.floor(random() * Math.min(heads.length, 20))]), 0) : null;
    return { items, model: model ?? items[0] ?? null, spares: [], short: this.short(items.length) };
  }

  private tryMake(spec: Spec): Item | null {
    return tryMake(this.task, this.step, spec, this.material).item;
  }

  private build(head: Word, kind: number): Item | null {
    const { step, material, random, theme } = this;
    const avoid = this.used.size ? new Set([...this.wishes.avoid, ...this.used]) : this.wishes.avoid;
    return tryBuild(this.task, { head, step, material, random, kind, theme, wishes: { ...this.wishes, avoid } }).item;
  }

  private take(item: Item | null, into: Item[] = this.items): boolean {
    if (!item) return false;
    const names = readKey(item.key).words;
    if (
      names.length
        ? names.some((w) => this.used.has(w))
        : [...this.items, ...this.spares].some((i) => i.key === item.key)
    )
      return false;
    // Words that sound alike do not meet, whoever heads the item.
    if (names.some((n) => [...this.used].some((u) => this.soundsLike(n, u)))) return false;
    names.forEach((w) => this.used.add(w));
    into.push(item);
    return true;
  }

  private soundsLike(a: string, b: string): boolean {
    const [x, y] = [this.material.byName.get(a), this.material.byName.get(b)];
    return x !== undefined && y !== undefined && homophones(x, y);
  }

  /** Words that rhyme or are one sound apart muddle a set, unless the set is about a sound. */
  private muddles(word: Word): boolean {
    const loose = this.wishes.sound !== undefined || this.theme !== null;
    return this.items.some((i) => {
      const other = this.material.byName.get(i.word);
      return (
        other !== undefined &&
        (homophones(other, word) ||
          (!loose && (traitsOf(other).rhyme === traitsOf(word).rhyme || oneSoundApart(other, word))))
      );
    });
  }

  private cost(word: Word): number {
    const { entry } = word;
    let cost =
      (entry.band - 1) * COST.band +
      (traitsOf(word).syllables - 1) * COST.syllable +
      (entry.picture || entry.prop ? 0 : COST.unseen) +
      this.random() * COST.jitter;
    if (this.wishes.avoid.has(word.word)) cost += COST.avoided;
    if (this.request.owned?.has(word.word)) cost += COST.owned;
    for (const { word: name } of this.items) {
      const other = this.material.byName.get(name);
      if (!other) continue;
      if (sure(other.sounds[0]).ipa === sure(word.sounds[0]).ipa) cost += COST.sameFirst;
      if (traitsOf(other).vowels === traitsOf(word).vowels) cost += COST.sameVowel;
    }
    return cost;
  }

  /** Some free words of a stretch of the list that can have this answer, from a random place on, scattered. */
  private sample(from: number, to: number, kind: number): Word[] {
    const span = to - from;
    const start = Math.floor(this.random() * span);
    // A stride that shares no factor with the span meets every word once.
    const stride = span % 7 ? 7 : 1;
    const out: Word[] = [];
    for (let i = 0; i < span && out.length < SAMPLE; i += 1) {
      const word = sure(this.eligible[from + ((start + i * stride) % span)]);
      if (!this.used.has(word.word) && (this.task.fits?.(word, kind, this.theme, this.step) ?? true)) out.push(word);
    }
    return out;
  }

  /** Takes the first of the cheapest words of a stretch of the list that can be built and does not muddle the set. */
  private pick([from, to]: Stretch, kind: number, relaxed: boolean, into: Item[] = this.items): boolean {
    const pool = this.sample(from, to, kind);
    const tried = pool
      .map((word) => ({ word, cost: this.cost(word) }))
      .sort((a, b) => a.cost - b.cost)
      .filter(({ word }) => relaxed || !this.muddles(word))
      .slice(0, TRIES);
    return tried.some(({ word }) => this.take(this.build(word, kind), into));
  }

  private *fill(): Generator<undefined, void> {
    const { size } = this.request;
    const n = this.eligible.length;
    if (!n) return;
    const kinds = balanced(size, this.kinds, this.random);
    for (const i of this.items.keys()) kinds.splice(kinds.indexOf(sure(this.items[i]).kind), 1);
    const bound = (share: number): number => Math.min(n - 1, Math.floor(n * share));
    for (const [i, kind] of kinds.entries()) {
      const last = i === kinds.length - 1 && kinds.length > 2;
      const steps = Math.max(1, kinds.length - 1);
      const from = last ? bound(STRETCH) : bound((i / steps) * STRETCH);
      const to = last ? n : Math.max(from + 1, bound(((i + 1) / steps) * STRETCH));
      // Its own stretch of the list first; then anywhere; then with words that are alike.
      const found = this.pick([from, to], kind, false) || this.pick([0, n], kind, false);
      if (!found) this.pick([0, n], kind, true);
      yield;
    }
    for (let tries = 0; this.items.length < size && tries < size * 2; tries += 1) {
      const kind = rarest(this.items, this.kinds, tries);
      this.pick([0, n], kind, tries >= this.kinds);
      yield;
    }
  }

  /** Easy to hard; where that puts more than three like answers in a row, one of them is left out. */
  private ordered(): Item[] {
    const sorted = [...this.items].sort((a, b) => a.difficulty - b.difficulty || (a.key < b.key ? -1 : 1));
    if (this.kinds < 2) return sorted;
    return this.withoutRuns(sorted);
  }

  private withoutRuns(sorted: Item[]): Item[] {
    const out = [...sorted];
    for (let guard = 0; guard < 40; guard += 1) {
      const at = out.findIndex(
        (_, i) => i >= LONGEST_RUN && out.slice(i - LONGEST_RUN, i).every((o) => o.kind === sure(out[i]).kind),
      );
      if (at < 0) return out;
      // Another item as hard, with another answer, breaks the run; else the run is cut short.
      const [low, high] = [sure(out[at - 1]).difficulty, sure(out[at]).difficulty];
      const from = this.eligible.findIndex((w) => traitsOf(w).difficulty + this.base >= low);
      const to = this.eligible.findLastIndex((w) => traitsOf(w).difficulty + this.base <= high) + 1;
      const made: Item[] = [];
      const others = Array.from({ length: this.kinds }, (_, k) => k).filter((k) => k !== sure(out[at]).kind);
      const found =
        from >= 0 && to > from && shuffle(others, this.random).some((kind) => this.pick([from, to], kind, true, made));
      if (found) {
        out.splice(at, 1, ...made);
        out.sort((a, b) => a.difficulty - b.difficulty || (a.key < b.key ? -1 : 1));
      } else {
        out.splice(at, 1);
      }
    }
    return out;
  }

  private get base(): number {
    return stepPoints(this.task, this.step);
  }

  private *fillSpares(): Generator<undefined, void> {
    const n = this.eligible.length;
    const wanted = (this.request.spares ?? 0) + 1;
    for (let tries = 0; n && this.spares.length < wanted && tries < wanted * 2; tries += 1) {
      // The first stands as the model: an easy one.
      // The first, which may become the model, is an easy one.
      const to = this.spares.length ? n : Math.max(1, Math.floor(n / 3));
      this.pick([0, to], tries % this.kinds, tries > wanted, this.spares);
      yield;
    }
  }
}

/** The answer that the set has fewest of. */
function rarest(items: readonly Item[], kinds: number, turn: number): number {
  const counts = Array.from({ length: kinds }, (_, k) => items.filter((i) => i.kind === k).length);
  const least = Math.min(...counts);
  const those = counts.flatMap((c, k) => (c === least ? [k] : []));
  return sure(those[turn % those.length]);
}

/**
 * Kinds of answer for a set, as even as the size allows, in a random order with no more than three alike in a row.
 * @example balanced(6, 2, seeded(1)).filter((k) => k === 0).length // 3
 */
function balanced(size: number, kinds: number, random: Random): number[] {
  const even = Array.from({ length: size }, (_, i) => i % kinds);
  if (kinds < 2) return even;
  for (let tries = 0; tries < 60; tries += 1) {
    const mixed = shuffle(even, random);
    if (mixed.every((k, i) => i < LONGEST_RUN || mixed.slice(i - LONGEST_RUN, i).some((o) => o !== k))) return mixed;
  }
  return even;
}
