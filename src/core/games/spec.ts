/**
 * What an item is made from, small enough to write down: its words, the sounds it is about, and a place. Its key is
 * kept with every answer, and the item can be made and proved anew from it, in any accent.
 */
export interface Spec {
  readonly words: readonly string[];
  /** Sounds (IPA) the item is about: the target of a sort, the handful of a hunt. */
  readonly sounds?: readonly string[];
  /** Index of a sound or a beat. */
  readonly at?: number;
}

export const KEY_LIMIT = 160;

/** A spec in one line. Example: `keyOf({ words: ['sock'], sounds: ['s'] }) // 'sock /s/'`. */
export const keyOf = ({ words, sounds = [], at }: Spec): string =>
  [...words, ...sounds.map((s) => `/${s}/`), ...(at === undefined ? [] : [`@${at}`])].join(' ');

/** Reads a key back. Example: `readKey('splash /ʃ/ @2') // { words: ['splash'], sounds: ['ʃ'], at: 2 }`. */
export function readKey(key: string): Spec {
  const parts = key.split(' ').filter(Boolean);
  const sounds = parts.filter((p) => /^\/.+\/$/.test(p)).map((p) => p.slice(1, -1));
  const place = parts.find((p) => /^@\d{1,2}$/.test(p));
  return {
    words: parts.filter((p) => !/^[/@]/.test(p)),
    ...(sounds.length ? { sounds } : {}),
    ...(place ? { at: Number(place.slice(1)) } : {}),
  };
}

/** True where an item has one of these words in it. Example: `hasWordOf('mop map', new Set(['map'])) // true`. */
export const hasWordOf = (key: string, words: ReadonlySet<string>): boolean =>
  words.size > 0 && readKey(key).words.some((word) => words.has(word));

/** A clap of the child's own name stands for the name: no name is ever written into a key. */
export const OWN_NAME = 'own-name';
