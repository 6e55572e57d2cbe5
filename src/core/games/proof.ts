import type { Word } from '../lexicon/entry';

/** An item that cannot be proved right is no item. */
export class Unproved extends Error {}

/** Throws Unproved where something an item needs is not there. */
export function need<T>(thing: T | null | undefined, what: string): T {
  if (thing === null || thing === undefined) throw new Unproved(what);
  return thing;
}

/** The word of a name, which must be in the bank. */
export const wordOf = ({ byName }: { byName: ReadonlyMap<string, Word> }, name: string | undefined): Word =>
  need(byName.get(name ?? ''), `“${name ?? ''}” isn’t in the word bank.`);
