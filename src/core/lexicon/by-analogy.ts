import { CONSONANT_IPA, type ConsonantKey } from '../phonology/keys';
import type { Word } from './entry';
import { onsetAndRime, onsetAndRimeLetters } from './syllables';
import { traitsOf } from './traits';

/** What consonant letters at the start of a made-up word are read as; two letters before one. */
const STARTS: readonly (readonly [string, readonly ConsonantKey[]])[] = [
  ['sh', ['sh']],
  ['ch', ['ch']],
  ['th', ['th']],
  ['ph', ['f']],
  ['wh', ['hw']],
  ['qu', ['k', 'w']],
  ['kn', ['n']],
  ['wr', ['r']],
  ...(['b', 'd', 'f', 'g', 'h', 'j', 'k', 'l', 'm', 'n', 'p', 'r', 's', 't', 'v', 'w', 'y', 'z'] as const).map(
    (c) => [c, [c]] as const,
  ),
  ['c', ['k']],
];

/** The sounds of the consonant letters a word begins with, or null where they cannot be read. */
function startOf(letters: string): ConsonantKey[] | null {
  const out: ConsonantKey[] = [];
  for (let rest = letters; rest;) {
    const found = STARTS.find(([start]) => rest.startsWith(start));
    if (!found) return null;
    out.push(...found[1]);
    rest = rest.slice(found[0].length);
  }
  return out;
}

/**
 * The sounds of a made-up word of one beat, read as a known word that ends in the same letters: *zat* as *cat*.
 * Undefined where no word ends so. Reading by analogy: Goswami & Bryant, Phonological Skills and Learning to Read
 * (1990), from memory.
 * @example soundsByAnalogy('zat', words) // ['z', 'æ', 't']
 */
export function soundsByAnalogy(typed: string, words: readonly Word[]): string[] | undefined {
  const start = /^(qu|[^aeiouy]*|y(?=[aeiou]))/.exec(typed)?.[0] ?? '';
  const rest = typed.slice(start.length);
  const read = startOf(start);
  const like =
    read && rest
      ? words.find((w) => traitsOf(w).syllables === 1 && !w.entry.doubt && onsetAndRimeLetters(w)[1] === rest)
      : undefined;
  if (!read || !like) return undefined;
  const { vowel, coda } = onsetAndRime(like);
  return [...read.map((key) => CONSONANT_IPA[key]), vowel, ...coda];
}
