import type { Coming } from './model';

/** What was forecast of some tries, and what came of them. */
export interface Came {
  /** 0 to 1. */
  readonly chance: number;
  readonly right: number;
  readonly wrong: number;
}

/** How far slope and intercept may stray from one and nothing, as spreads; none where nothing holds them. */
interface Held {
  readonly slope: number;
  readonly intercept: number;
}
const FREE: Held = { slope: Infinity, intercept: Infinity };

const logit = (p: number): number => Math.log(p / (1 - p));
const within = (p: number): number => Math.min(0.999, Math.max(0.001, p));

/**
 * How forecasts come true: slope and intercept of a logistic regression of what came on the logit of what was said (Cox
 * 1958, Two further applications of a model for binary regression; from memory). Slope 1 is right, less is too sure,
 * more is too careful. Newton's method; a few steps are enough.
 * @example comingTrue([{ chance: 0.8, right: 8, wrong: 2 }, …]).slope // 1
 */
export function comingTrue(came: readonly Came[], held: Held = FREE): Coming {
  const [holdsA, holdsB] = [1 / held.intercept ** 2, 1 / held.slope ** 2];
  let [a, b] = [0, 1];
  for (let step = 0; step < 25; step += 1) {
    let [ga, gb] = [-a * holdsA, (1 - b) * holdsB];
    let [haa, hab, hbb] = [holdsA, 0, holdsB];
    for (const { chance, right, wrong } of came) {
      const x = logit(within(chance));
      const p = 1 / (1 + Math.exp(-(a + b * x)));
      const error = right - (right + wrong) * p;
      const weight = (right + wrong) * p * (1 - p);
      ga += error;
      gb += error * x;
      haa += weight;
      hab += weight * x;
      hbb += weight * x * x;
    }
    const det = haa * hbb - hab * hab;
    a += (hbb * ga - hab * gb) / det;
    b += (haa * gb - hab * ga) / det;
  }
  return { slope: b, intercept: a };
}
