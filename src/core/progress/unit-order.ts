import { ladders as say } from './text';

/**
 * Both orders of units that good practitioners use: which ladder must have reached which rung before another is begun.
 */
export const UNIT_ORDERS = ['large-first', 'sounds-first'] as const;
export type UnitOrder = (typeof UNIT_ORDERS)[number];
export const UNIT_ORDER_WORDS: Readonly<Record<UnitOrder, { readonly name: string; readonly what: string }>> = {
  'large-first': { name: say.largeToSmall, what: say.syllablesRhymeBefore },
  'sounds-first': {
    name: say.straightSingleSounds,
    what: say.firstSoundsBlending,
  },
};
