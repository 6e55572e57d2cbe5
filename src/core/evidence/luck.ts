import { sure } from '../sure';
/**
 * Chance, exactly.
 * The binomial distribution; worked values in any handbook table (0.5 to the sixth is 1/64).
 */

/**
 * How likely so many or more of n would come by chance alone.
 * @param share chance of each, 0 to 1
 * @example atLeast(5, 6, 0.5) // 7/64, about 0.11
 */
export function atLeast(times: number, n: number, share: number): number {
  if (times <= 0) return 1;
  if (times > n || share <= 0) return 0;
  if (share >= 1) return 1;
  let sum = 0;
  // Terms from the logarithm of the first, so that long runs do not underflow.
  let term = 0;
  for (let k = 0; k < times; k += 1) term += Math.log(n - k) - Math.log(k + 1);
  term += times * Math.log(share) + (n - times) * Math.log1p(-share);
  for (let k = times; k <= n; k += 1) {
    sum += Math.exp(term);
    term += Math.log(n - k || 1) - Math.log(k + 1) + Math.log(share) - Math.log1p(-share);
  }
  return Math.min(1, sum);
}

/**
 * The same where the chances differ from try to try (the Poisson binomial distribution, by adding one try after the
 * other).
 * @param shares chance of each try
 * @example atLeastMixed(1, [0.5, 0.5]) // 0.75
 */
export function atLeastMixed(times: number, shares: readonly number[]): number {
  if (shares.every((share) => share === shares[0])) return atLeast(times, shares.length, shares[0] ?? 0);
  const ways = new Float64Array(shares.length + 1);
  ways[0] = 1;
  shares.forEach((share, n) => {
    for (let k = n + 1; k >= 0; k -= 1) ways[k] = sure(ways[k]) * (1 - share) + (k ? sure(ways[k - 1]) * share : 0);
  });
  return Math.min(
    1,
    ways.slice(Math.max(0, times)).reduce((sum, p) => sum + p, 0),
  );
}
