import { isVowel } from '../phonology/sounds';

/**
 * What young children say for a sound while they are learning to speak: fronting, stopping, gliding, f for th, a lisp.
 * Names and examples: Grunwell, Clinical Phonology (2nd ed., 1987), and lists of phonological
 * processes in handbooks of speech and language therapy; from memory. It says nothing about what a child hears.
 */
const SAID_FOR: Readonly<Record<string, string>> = {
  k: 't',
  ɡ: 'd',
  ŋ: 'n',
  f: 'p b',
  v: 'b',
  θ: 'f t s',
  ð: 'v d z',
  s: 'θ t d',
  z: 'ð d s',
  ʃ: 's t',
  ʒ: 'z d',
  tʃ: 't ʃ s',
  dʒ: 'd z ʒ',
  r: 'w l j',
  l: 'w j',
};

/** True where young speakers often say the one for the other. Example: `oftenSaidFor('k', 't') // true`. */
export const oftenSaidFor = (asked: string, said: string): boolean =>
  (SAID_FOR[asked]?.split(' ') ?? []).includes(said);

const AT_THE_END: Readonly<Record<string, string>> = { d: 'n l', t: 's f k p n l ʃ tʃ', z: 'n l d' };

/**
 * True where most people leave a sound out when they talk: the d of *hand*, the t of *postman*. Nothing follows from a
 * child who does so too. Cruttenden, Gimson's Pronunciation of English (2014), on elision; from memory.
 *
 * @example isOrdinaryLoss(['h', 'æ', 'n', 'd'], 3) // true
 */
export function isOrdinaryLoss(sounds: readonly string[], at: number): boolean {
  const [before, here, after] = [sounds[at - 1] ?? '', sounds[at] ?? '', sounds[at + 1]];
  if (after === undefined) return here === 'd' && 'n l'.split(' ').includes(before);
  return !isVowel(after) && (AT_THE_END[here]?.split(' ').includes(before) ?? false) && after !== 's' && after !== 'r';
}
