/** Where in a word a sound stands, as the map of sounds tells it. */
export const WORD_PLACES = ['first', 'middle', 'last', 'cluster'] as const;
export type WordPlace = (typeof WORD_PLACES)[number];
export const WORD_PLACE_NAMES: Readonly<Record<WordPlace, string>> = {
  first: 'at the start',
  middle: 'in the middle',
  last: 'at the end',
  cluster: 'in a cluster',
};
