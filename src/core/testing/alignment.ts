import { sure } from '../sure';

/**
 * An alignment of letters and sounds learned from a pronouncing dictionary alone: runs of one to four letters stand for
 * one or two sounds, their shares learned by expectation and maximisation. Jiampojamarn, Kondrak & Sherif, Applying
 * Many-to-Many Alignments (NAACL 2007), section 2; without empty letters. Used by tests: it knows nothing of our table.
 */
const LETTERS = 4;
const SOUNDS = 2;

/** A word as the aligner reads it. */
export interface Pronounced {
  readonly letters: string;
  readonly sounds: readonly string[];
}

/** The runs a word may be cut into: where each begins, what it takes, and its number in the table. */
interface Arc {
  readonly from: number;
  readonly to: number;
  readonly run: number;
  /** What the run pays for its length: else a few long runs would swallow what stands beside them. */
  readonly toll: number;
}

class Runs {
  readonly ids = new Map<string, number>();
  id(run: string, grow: boolean): number {
    const known = this.ids.get(run);
    if (known !== undefined || !grow) return known ?? -1;
    this.ids.set(run, this.ids.size);
    return this.ids.size - 1;
  }
}

/** A place in a word is so many letters and so many sounds, as one number. */
const arcsOf = ({ letters, sounds }: Pronounced, runs: Runs, grow: boolean): Arc[] => {
  const wide = sounds.length + 1;
  const arcs: Arc[] = [];
  for (let l = 0; l < letters.length; l += 1)
    for (let s = 0; s < sounds.length; s += 1)
      for (let dl = 1; dl <= LETTERS && l + dl <= letters.length; dl += 1)
        for (let ds = 1; ds <= SOUNDS && s + ds <= sounds.length; ds += 1) {
          // Two sounds are written with one letter (*x*) or with one each: more would leave their border open.
          if (dl > 1 && ds > 1) continue;
          const run = runs.id(`${letters.slice(l, l + dl)}>${sounds.slice(s, s + ds).join(' ')}`, grow);
          arcs.push({
            from: l * wide + s,
            to: (l + dl) * wide + s + ds,
            run,
            toll: TOLLS.letter ** (dl - 1) * TOLLS.sound ** (ds - 1),
          });
        }
  return arcs;
};

const TOLLS = { letter: 0.3, sound: 0.005 } as const;
const UNSEEN = 1e-9;

/** What the aligner learned. */
export interface Aligner {
  /**
   * The likeliest cut of a word: for each run, how many letters and how many sounds stand before it; null where there
   * is none.
   */
  cut(word: Pronounced): readonly (readonly [letters: number, sounds: number])[] | null;
}

/**
 * Learns from a dictionary.
 * @param rounds how often the shares are learned anew
 * @example learn(dictionaryWords, 6).cut({ letters: 'ship', sounds: ['ʃ', 'ɪ', 'p'] }) // [[0, 0], [2, 1], [3, 2]]
 */
export function learn(words: readonly Pronounced[], rounds: number): Aligner {
  const runs = new Runs();
  const all = words.map((word) => ({
    arcs: arcsOf(word, runs, true),
    end: word.letters.length * (word.sounds.length + 1) + word.sounds.length,
  }));
  let shares = new Float64Array(runs.ids.size).fill(1 / runs.ids.size);
  for (let round = 0; round < rounds; round += 1) {
    const counts = new Float64Array(runs.ids.size);
    for (const { arcs, end } of all) expect(arcs, end, shares, counts);
    const total = counts.reduce((sum, n) => sum + n, 0);
    shares = counts.map((n) => n / total);
  }
  return { cut: (word) => likeliest(word, arcsOf(word, runs, false), shares) };
}

/** Adds to the counts how much of each run is expected in one word. Arcs are in the order of where they begin. */
function expect(arcs: readonly Arc[], end: number, shares: Float64Array, counts: Float64Array): void {
  const ahead = new Float64Array(end + 1);
  const behind = new Float64Array(end + 1);
  ahead[0] = 1;
  for (const { from, to, run, toll } of arcs) ahead[to]! += ahead[from]! * shares[run]! * toll;
  if (!ahead[end]) return;
  behind[end] = 1;
  for (let i = arcs.length - 1; i >= 0; i -= 1) {
    const { from, to, run, toll } = arcs[i]!;
    behind[from]! += behind[to]! * shares[run]! * toll;
  }
  for (const { from, to, run, toll } of arcs)
    counts[run]! += (ahead[from]! * shares[run]! * toll * behind[to]!) / ahead[end];
}

function likeliest({ letters, sounds }: Pronounced, arcs: readonly Arc[], shares: Float64Array) {
  const wide = sounds.length + 1;
  const end = letters.length * wide + sounds.length;
  const best = new Float64Array(end + 1).fill(-Infinity);
  const by = new Int32Array(end + 1).fill(-1);
  best[0] = 0;
  for (const { from, to, run, toll } of arcs) {
    const value = best[from]! + Math.log(Math.max(run < 0 ? 0 : shares[run]!, UNSEEN) * toll);
    if (value > best[to]!) {
      best[to] = value;
      by[to] = from;
    }
  }
  if (best[end] === -Infinity) return null;
  const cuts: (readonly [number, number])[] = [];
  for (let at = end; at > 0; at = sure(by[at])) {
    const from = sure(by[at]);
    cuts.unshift([Math.floor(from / wide), from % wide]);
  }
  return cuts;
}
