import { soundDistance } from '../phonology/articulation';

/**
 * What was said laid beside what was asked, by dynamic programming (Needleman & Wunsch 1970; as an edit distance
 * Wagner & Fischer 1974, from memory). A sound left out or put in costs 1; one for another costs by how differently it
 * is made, so /f/ for /θ/ is cheap and /m/ for /k/ is dear. With costs that are a metric on sounds, the whole is a
 * metric on words.
 */
export type Edit =
  | {
      readonly op: 'same' | 'swap';
      /** Index of the sound asked for, and of the one said. */
      readonly at: number;
      readonly heard: number;
      readonly cost: number;
    }
  | { readonly op: 'omit'; readonly at: number; readonly cost: number }
  | {
      readonly op: 'add';
      /** Index of the sound asked for that it comes before. */
      readonly at: number;
      readonly heard: number;
      readonly cost: number;
    };

export interface Alignment {
  readonly cost: number;
  /** In order. */
  readonly edits: readonly Edit[];
}

export const OMIT_OR_ADD = 1;
/** A vowel for a consonant costs as much as losing the one and putting in the other: it is never called a swap. */
const SCALE = 0.5;

/** What it costs to say one sound for another. Example: `swapCost('θ', 'f') < swapCost('k', 'm') // true`. */
export const swapCost = (asked: string, heard: string): number => SCALE * soundDistance(asked, heard);

/**
 * The cheapest way from the sounds asked for to the sounds said. Where two are as cheap, sounds are kept as early as
 * they can be, and lost or added after.
 *
 * @param cost of one sound for another; 0 where a child's own way of saying it makes them the same
 * @example align(['f', 'r', 'ɒ', 'ɡ'], ['f', 'ɒ', 'ɡ']).edits.map((s) => s.op) // ['same', 'omit', 'same', 'same']
 */
export function align(asked: readonly string[], said: readonly string[], cost: Cost = swapCost): Alignment {
  const best = cheapest(asked, said, cost);
  return { cost: best[0]![0]!, edits: walk(best, asked, said, cost) };
}

type Cost = (asked: string, heard: string, at: number) => number;

/** best[i][j]: the cheapest way from asked[i…] to said[j…]; walking it forward keeps sounds early. */
function cheapest(asked: readonly string[], said: readonly string[], cost: Cost): Float64Array[] {
  const [rows, columns] = [asked.length, said.length];
  const best = Array.from({ length: rows + 1 }, () => new Float64Array(columns + 1));
  for (let i = rows; i >= 0; i -= 1) {
    for (let j = columns; j >= 0; j -= 1) {
      if (i === rows) best[i]![j] = (columns - j) * OMIT_OR_ADD;
      else if (j === columns) best[i]![j] = (rows - i) * OMIT_OR_ADD;
      else {
        best[i]![j] = Math.min(
          best[i + 1]![j + 1]! + cost(asked[i]!, said[j]!, i),
          best[i + 1]![j]! + OMIT_OR_ADD,
          best[i]![j + 1]! + OMIT_OR_ADD,
        );
      }
    }
  }
  return best;
}

/** So little is as good as nothing: it only lets the very sound come first. */
export const AS_GOOD = 0.001;

const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-9;

/** The edits of the cheapest way, from the start. */
function walk(best: readonly Float64Array[], asked: readonly string[], said: readonly string[], cost: Cost): Edit[] {
  const [rows, columns] = [asked.length, said.length];
  const edits: Edit[] = [];
  let [i, j] = [0, 0];
  while (i < rows || j < columns) {
    const here = best[i]![j]!;
    const swap = i < rows && j < columns ? cost(asked[i]!, said[j]!, i) : Infinity;
    const omits = i < rows && near(here, best[i + 1]![j]! + OMIT_OR_ADD);
    const adds = j < columns && near(here, best[i]![j + 1]! + OMIT_OR_ADD);
    if (swap <= AS_GOOD && near(here, best[i + 1]![j + 1]! + swap)) {
      edits.push({ op: 'same', at: i++, heard: j++, cost: 0 });
    } else if (omits) {
      edits.push({ op: 'omit', at: i++, cost: OMIT_OR_ADD });
    } else if (adds) {
      edits.push({ op: 'add', at: i, heard: j++, cost: OMIT_OR_ADD });
    } else {
      edits.push({ op: 'swap', at: i++, heard: j++, cost: swap });
    }
  }
  return edits;
}
