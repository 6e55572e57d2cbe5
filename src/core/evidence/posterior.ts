/**
 * What is known of a child's own rate after so many answers: Bayes' rule with an even prior on the rate and guessing
 * taken out, so that a right answer comes with chance g + (1 − g) · rate. With g = 0 this is the Beta(1 + right, 1 +
 * wrong) distribution (any handbook of statistics; tested against one). Worked out on a grid, since with guessing no
 * closed form is at hand.
 */
export interface Tries {
  /** Answers, each with its weight: 1 for today's, less for older ones. */
  readonly right: number;
  readonly wrong: number;
  /** Chance of being right by luck. */
  readonly guess: number;
}

export interface Posterior {
  readonly mean: number;
  /** How likely the rate is that high or higher. */
  readonly above: (rate: number) => number;
  /** The rate that so much of the probability lies below. */
  readonly quantile: (share: number) => number;
}

/** Cells of the grid; edges fall on every hundredth. */
const CELLS = 100;
const middle = (cell: number): number => (cell + 0.5) / CELLS;

const logs = new Map<number, { readonly right: Float64Array; readonly wrong: Float64Array }>();
/** Logarithms of being right and wrong at each rate, for one chance of luck; made once. */
function logsOf(guess: number): { readonly right: Float64Array; readonly wrong: Float64Array } {
  const known = logs.get(guess);
  if (known) return known;
  const made = {
    right: Float64Array.from({ length: CELLS }, (_, i) => Math.log(guess + (1 - guess) * middle(i))),
    wrong: Float64Array.from({ length: CELLS }, (_, i) => Math.log((1 - guess) * (1 - middle(i)))),
  };
  logs.set(guess, made);
  return made;
}

/** @example posteriorOf([{ right: 6, wrong: 0, guess: 0 }]).above(0.65) // 1 − 0.65⁷, about 0.95 */
export function posteriorOf(tries: readonly Tries[]): Posterior {
  const density = new Float64Array(CELLS);
  for (const { right, wrong, guess } of tries) {
    const table = logsOf(guess);
    for (let i = 0; i < CELLS; i += 1) density[i] = density[i]! + right * table.right[i]! + wrong * table.wrong[i]!;
  }
  let top = -Infinity;
  for (let i = 0; i < CELLS; i += 1) if (density[i]! > top) top = density[i]!;
  let all = 0;
  let mean = 0;
  for (let i = 0; i < CELLS; i += 1) {
    density[i] = Math.exp(density[i]! - top);
    all += density[i]!;
    mean += density[i]! * middle(i);
  }
  return {
    mean: mean / all,
    above: (rate) => {
      const edge = Math.min(CELLS, Math.max(0, rate * CELLS));
      let sum = 0;
      for (let i = Math.ceil(edge - 1e-9); i < CELLS; i += 1) sum += density[i]!;
      // The part of a cell that an edge between two cuts off.
      const part = Math.ceil(edge - 1e-9) - edge;
      if (part > 1e-9) sum += part * density[Math.floor(edge)]!;
      return sum / all;
    },
    quantile: (share) => {
      let left = share * all;
      for (let i = 0; i < CELLS; i += 1) {
        if (left <= density[i]!) return (i + (density[i]! ? left / density[i]! : 0)) / CELLS;
        left -= density[i]!;
      }
      return 1;
    },
  };
}
