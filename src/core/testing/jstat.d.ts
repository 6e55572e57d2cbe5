// The little of jStat that the tests use as a reference.
declare module 'jstat' {
  interface Distribution {
    cdf(x: number, ...parameters: number[]): number;
    inv(p: number, ...parameters: number[]): number;
  }
  export const jStat: {
    readonly beta: Distribution;
    readonly binomial: Pick<Distribution, 'cdf'>;
    /** Of so many drawn out of N with m marked: cdf(x, N, m, drawn). */
    readonly hypgeom: Pick<Distribution, 'cdf'>;
    readonly normal: Distribution;
    readonly cauchy: Pick<Distribution, 'cdf'>;
  };
}
