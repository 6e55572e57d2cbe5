/**
 * How far two adults mark alike beyond what chance alone would give: Cohen's kappa (Cohen 1960, A coefficient of
 * agreement for nominal scales) with its large-sample standard error (Fleiss, Cohen & Everitt 1969, the short form);
 * both from memory.
 */
export interface Agreement {
  readonly answers: number;
  /** Share marked alike, 0 to 1. */
  readonly alike: number;
  /** Null where both used one mark alone, and chance agreement is certain. */
  readonly kappa: number | null;
  /** Nineteen times in twenty. */
  readonly interval: readonly [number, number] | null;
}

/** @example agreement([['on-own', 'on-own'], ['not-yet', 'with-help']]).alike // 0.5 */
export function agreement(pairs: readonly (readonly [string, string])[]): Agreement {
  const n = pairs.length;
  if (!n) return { answers: 0, alike: 0, kappa: null, interval: null };
  const marks = [...new Set(pairs.flat())];
  const alike = pairs.filter(([a, b]) => a === b).length / n;
  const chance = marks.reduce(
    (sum, m) => sum + (pairs.filter(([a]) => a === m).length / n) * (pairs.filter(([, b]) => b === m).length / n),
    0,
  );
  if (chance >= 1 - 1e-12) return { answers: n, alike, kappa: null, interval: null };
  const kappa = (alike - chance) / (1 - chance);
  const error = Math.sqrt((alike * (1 - alike)) / (n * (1 - chance) ** 2));
  return {
    answers: n,
    alike,
    kappa,
    interval: [Math.max(-1, kappa - 1.96 * error), Math.min(1, kappa + 1.96 * error)],
  };
}

/** Kappa in a word; the bands of Landis & Koch (1977), from memory. */
export const kappaWord = (kappa: number): string => KAPPA_BANDS.find(([below]) => kappa < below)?.[1] ?? 'very good';

const KAPPA_BANDS: readonly (readonly [below: number, word: string])[] = [
  [0.2, 'slight'],
  [0.4, 'fair'],
  [0.6, 'moderate'],
  [0.8, 'good'],
];
