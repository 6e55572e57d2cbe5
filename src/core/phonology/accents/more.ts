import type { Accent } from '../accent';

/** Accents that an installation adds to those that ship: an object in a file of its own, put in this list. */
export const MORE_ACCENTS: readonly Accent[] = [];
