/** Where in a word a sound stands, as the map of sounds tells it. */
export const SPOTS = ['first', 'middle', 'last', 'cluster'] as const;
export type Spot = (typeof SPOTS)[number];
export const SPOT_WORDS: Readonly<Record<Spot, string>> = {
  first: 'at the start',
  middle: 'in the middle',
  last: 'at the end',
  cluster: 'in a cluster',
};
