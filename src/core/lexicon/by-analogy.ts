import { accentOf, type AccentId } from '../phonology/accents';
import { CONSONANT_IPA, type ConsonantKey, type VowelKey } from '../phonology/keys';
import type { Word } from './entry';
import { onsetAndRime, onsetAndRimeLetters } from './syllables';
import { traitsOf } from './traits';

/** What consonant letters of a made-up word are read as; two letters before one. */
const CONSONANT_LETTERS: readonly (readonly [string, readonly ConsonantKey[]])[] = [
  ['tch', ['ch']],
  ['sh', ['sh']],
  ['ch', ['ch']],
  ['th', ['th']],
  ['ph', ['f']],
  ['wh', ['hw']],
  ['qu', ['k', 'w']],
  ['kn', ['n']],
  ['wr', ['r']],
  ['ck', ['k']],
  ['ng', ['ng']],
  ['nk', ['ng', 'k']],
  ...(['b', 'd', 'f', 'g', 'k', 'l', 'm', 'n', 'p', 'r', 's', 't', 'z'] as const).map((c) => [c + c, [c]] as const),
  ...(['b', 'd', 'f', 'g', 'h', 'j', 'k', 'l', 'm', 'n', 'p', 'r', 's', 't', 'v', 'w', 'y', 'z'] as const).map(
    (c) => [c, [c]] as const,
  ),
  ['c', ['k']],
  ['x', ['k', 's']],
];

/** The sounds of consonant letters, or null where they cannot be read. */
function consonants(letters: string): string[] | null {
  const out: string[] = [];
  for (let rest = letters; rest;) {
    const found = CONSONANT_LETTERS.find(([start]) => rest.startsWith(start));
    if (!found) return null;
    out.push(...found[1].map((key) => CONSONANT_IPA[key]));
    rest = rest.slice(found[0].length);
  }
  return out;
}

/** Before e, i and y, c is soft; g is left hard, as in most short words (*get*, *give*, *girl*). */
function startOf(letters: string, rest: string): string[] | null {
  const soft = letters.endsWith('c') && /^[eiy]/.test(rest);
  const read = consonants(soft ? letters.slice(0, -1) : letters);
  return read && (soft ? [...read, 's'] : read);
}

/** A vowel letter closed by a consonant is short. */
const SHORT: Readonly<Record<string, VowelKey>> = { a: 'TRAP', e: 'DRESS', i: 'KIT', o: 'LOT', u: 'STRUT', y: 'KIT' };
/** An open one says its name. */
const LONG: Readonly<Record<string, VowelKey>> = {
  a: 'FACE',
  e: 'FLEECE',
  i: 'PRICE',
  o: 'GOAT',
  u: 'GOOSE',
  y: 'happY',
};
/** Vowels of two letters and more, as most words have them. */
const DIGRAPHS: readonly (readonly [string, VowelKey])[] = [
  ['eigh', 'FACE'],
  ['igh', 'PRICE'],
  ['eye', 'PRICE'],
  ['air', 'SQUARE'],
  ['ai', 'FACE'],
  ['ay', 'FACE'],
  ['au', 'THOUGHT'],
  ['aw', 'THOUGHT'],
  ['ah', 'PALM'],
  ['ar', 'START'],
  ['ee', 'FLEECE'],
  ['ea', 'FLEECE'],
  ['er', 'FERN'],
  ['ew', 'GOOSE'],
  ['ir', 'FIR'],
  ['oa', 'GOAT'],
  ['oe', 'GOAT'],
  ['oh', 'GOAT'],
  ['oi', 'CHOICE'],
  ['oo', 'GOOSE'],
  ['or', 'NORTH'],
  ['ou', 'MOUTH'],
  ['oy', 'CHOICE'],
  ['ue', 'GOOSE'],
  ['ur', 'FUR'],
];
/** Weak ends: *jeal-ous*, *mil-lion*, *spi-ders*. */
const WEAK: Readonly<Record<string, string>> = { ous: 'ə s', ion: 'j ə n', ers: 'ə z' };

/** What the rule of thumb gives where no known word ends so. */
function byRule(rest: string, accent: AccentId): string[] | null {
  const { vowels } = accentOf(accent);
  const weak = WEAK[rest];
  if (weak) return weak.split(' ');
  const long = LONG[rest];
  if (long) return vowels[long].split(' ');
  const two = DIGRAPHS.find(([letters]) => rest.startsWith(letters));
  const [letters, key] = two ?? [rest[0] ?? '', SHORT[rest[0] ?? '']];
  const coda = consonants(rest.slice(letters.length).replace(/(?<=[^aeiou])e$/, ''));
  return coda && key !== undefined ? [...vowels[key].split(' '), ...coda] : null;
}

/** One vowel letter and one consonant that leaves it short: the rule holds, whatever *son* and *bush* do. */
const PLAINLY_SHORT = /^([aeiou](b|d|ff?|gg?|m|nn?|p|t|tt|ck|sh|th|x)|y[mn])$/;

/** Endings with a weak vowel: *ca-ble*, *ket-tles*, *sta-tion*, *vi-sion*. */
function weakEnding(typed: string): string[] | null {
  const [, before = '', after = ''] = /^([bcdfgkpstz]+)le(s?)$/.exec(typed) ?? [];
  const read = before ? consonants(before) : null;
  if (read) return [...read, 'ə', 'l', ...(after === 's' ? ['z'] : [])];
  const said = /^(s|t|c|ss)ion(s?)$/.exec(typed);
  return said && [said[1] === 's' ? 'ʒ' : 'ʃ', 'ə', 'n', ...(said[2] ? ['z'] : [])];
}

interface KnownWords {
  readonly words: ReadonlyMap<string, Word>;
  /** How the letters of a rime are read, by how many words. */
  readonly rimes: ReadonlyMap<string, ReadonlyMap<string, number>>;
}

const kept = new WeakMap<readonly Word[], KnownWords>();
function knownIn(words: readonly Word[]): KnownWords {
  const before = kept.get(words);
  if (before) return before;
  const one = words.filter((w) => traitsOf(w).syllables === 1 && !w.entry.doubt);
  const rimes = new Map<string, Map<string, number>>();
  for (const word of one) {
    const { vowel, coda } = onsetAndRime(word);
    const letters = onsetAndRimeLetters(word)[1];
    const ways = rimes.get(letters) ?? new Map<string, number>();
    const sounds = [vowel, ...coda].join(' ');
    rimes.set(letters, ways.set(sounds, (ways.get(sounds) ?? 0) + 1));
  }
  const known = { rimes, words: new Map(one.map((w) => [w.word, w])) };
  kept.set(words, known);
  return known;
}

/**
 * The rime as most known words that end in these letters have it, else by the rule of thumb. One open letter says its
 * name, whatever the few short words have that end in it (*ski*, *spa*).
 */
function rimeOf(rest: string, { rimes }: KnownWords, accent: AccentId): string[] | null {
  const ruled = rest.length === 1 || rest === 'ou' || PLAINLY_SHORT.test(rest);
  const [most] = ruled ? [] : [...(rimes.get(rest) ?? [])].sort((a, b) => b[1] - a[1]);
  return most ? most[0].split(' ') : byRule(rest, accent);
}

/**
 * The sounds of letters of one beat that may be no word: a known word as it is said; else its end as most known words
 * that end in the same letters have it (*zat* as *cat*), or by the rule of thumb where none does. Undefined where they
 * cannot be read. Reading by analogy: Goswami & Bryant, Phonological Skills and Learning to Read (1990), from memory.
 * @example soundsByAnalogy('zat', words) // ['z', 'æ', 't']
 */
export function soundsByAnalogy(typed: string, words: readonly Word[]): string[] | undefined {
  const known = knownIn(words);
  const word = known.words.get(typed);
  const [first] = words;
  if (word || !first) return word?.sounds.map((s) => s.ipa);
  return weakEnding(typed) ?? byParts(typed, known, first.accent) ?? undefined;
}

/** Start and rest, each by itself; the open u of *mu-sic* begins with a y. */
function byParts(typed: string, known: KnownWords, accent: AccentId): string[] | null {
  const start = /^(squ|qu|y(?=[aeiou])|[^aeiouy]*)/.exec(typed)?.[0] ?? '';
  const rest = typed.slice(start.length);
  const yod = rest === 'u' && /[bcfhkmnpt]$/.test(start) ? ['j'] : [];
  const [read, rime] = [startOf(start, rest), rest ? rimeOf(rest, known, accent) : null];
  return read && rime && [...read, ...yod, ...rime];
}
