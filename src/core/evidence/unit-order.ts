/**
 * Both orders of units that good practitioners use: which ladder must have reached which rung before another is begun.
 */
export const UNIT_ORDERS = ['large-first', 'sounds-first'] as const;
export type UnitOrder = (typeof UNIT_ORDERS)[number];
export const UNIT_ORDER_WORDS: Readonly<Record<UnitOrder, { readonly name: string; readonly what: string }>> = {
  'large-first': { name: 'Large to small', what: 'syllables and rhyme before single sounds' },
  'sounds-first': {
    name: 'Single sounds straight away',
    what: 'first sounds and blending straight away, with syllables and rhyme alongside',
  },
};
