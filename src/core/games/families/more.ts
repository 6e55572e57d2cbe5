import type { Family } from '../family';

/** Families that an installation adds to those that ship: an object in a file of its own, put in this list. */
export const MORE_FAMILIES: readonly Family[] = [];
