/** A source of numbers in [0, 1) that always runs the same from the same seed. */
export type Random = () => number;

/**
 * Seeded generator (mulberry32, public domain, Tommy Ettinger 2017), so that every proposal can be made again.
 * @example const next = seeded(7); next() // the same first number each time
 */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A shuffled copy (Fisher and Yates, as given by Durstenfeld 1964). */
export function shuffle<T>(items: readonly T[], random: Random): T[] {
  const out = [...items];
  for (let i = out.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    const here = out[i] as T;
    out[i] = out[j] as T;
    out[j] = here;
  }
  return out;
}
