import type { AccentId } from '../phonology/accents';
import { labelOf } from '../phonology/sounds';
import { sure } from '../sure';
import type { Word } from './entry';
import { onsetAndRime, onsetAndRimeLetters } from './syllables';
import { traitsOf } from './traits';

/** How the ends of known words are written, and how those letters are read. */
export interface RimeSpellings {
  /** The sounds that letters stand for at the end of words, by how many words, and in a word of their own. */
  readonly readAs: ReadonlyMap<string, ReadonlyMap<string, number>>;
  readonly wordOf: ReadonlyMap<string, string>;
  /** Spellings of a string of sounds, the commonest first. */
  readonly spelt: ReadonlyMap<string, readonly string[]>;
}

const said = (sounds: readonly string[]): string => sounds.join(' ');
const addTo = (map: Map<string, Map<string, number>>, key: string, value: string): void => {
  const of = map.get(key) ?? new Map<string, number>();
  map.set(key, of.set(value, (of.get(value) ?? 0) + 1));
};

/**
 * Reads the ends of words of one beat.
 * @param words every known word of the accent, those that are not put forward too
 */
export function rimeSpellings(words: readonly Word[]): RimeSpellings {
  const readAs = new Map<string, Map<string, number>>();
  const counts = new Map<string, Map<string, number>>();
  for (const word of words) {
    if (traitsOf(word).syllables !== 1) continue;
    const { vowel, coda } = onsetAndRime(word);
    const letters = onsetAndRimeLetters(word)[1];
    const sounds = said([vowel, ...coda]);
    addTo(readAs, letters, sounds);
    addTo(counts, sounds, letters);
  }
  const spelt = new Map(
    [...counts].map(([sounds, of]) => [sounds, [...of].sort((a, b) => b[1] - a[1]).map(([letters]) => letters)]),
  );
  return { readAs, spelt, wordOf: new Map(words.map((w) => [w.word, said(w.sounds.map((s) => s.ipa))])) };
}

/** Letters are read right where at least so many of the words that end in them are said so. */
const MOSTLY = 0.75;
/** Read otherwise by most adults when nothing stands before them. */
const MISREAD: ReadonlySet<string> = new Set(['ind', 'ough', 'ould', 'ive', 'ome', 'ove', 'ie', 'ye', 'ew']);

/** True where letters alone are read as these sounds. */
function readsAs(letters: string, sounds: string, { readAs, wordOf }: RimeSpellings): boolean {
  const word = wordOf.get(letters);
  if (word !== undefined && letters.length > 1) return word === sounds;
  const ways = readAs.get(letters);
  const all = [...(ways?.values() ?? [])].reduce((sum, n) => sum + n, 0);
  return letters.length > 1 && !MISREAD.has(letters) && (ways?.get(sounds) ?? 0) >= MOSTLY * Math.max(1, all);
}

/** Clusters whose own letters are read right: *cl* of *clap*, *squ* of *square*. */
const OWN_STARTS: ReadonlySet<string> = new Set(['cl', 'cr', 'sc', 'scr', 'qu', 'squ']);
const START_LETTERS: Readonly<Record<string, string>> = { 'k w': 'qu', 's k w': 'squ' };

/** A start as letters that are read as it sounds; null where none are: the *th* of *this*, the *cy* of *cute*. */
function startFor(onset: readonly string[], own: string, accent: AccentId): string | null {
  if (onset.includes('ð') || (onset.length > 1 && onset.includes('j'))) return null;
  const letters = START_LETTERS[said(onset)];
  if (letters) return letters;
  return OWN_STARTS.has(own) ? own : onset.map((ipa) => labelOf(ipa, accent).label).join('');
}

/** Vowels that end a part and are read right without a word around them. */
const OPEN: Readonly<Record<string, string>> = {
  oa: 'oh',
  aw: 'aw',

  igh: 'igh',
  ee: 'ee',
  ay: 'ay',
  oy: 'oy',
};
const CLOSED: ReadonlySet<string> = new Set(['a', 'e', 'i', 'o', 'u', 'ee', 'ay']);

/** The rest of a word as letters that are read as it sounds: its own, those of another word, else the sounds. */
function restFor(word: Word, spellings: RimeSpellings): string | null {
  const { vowel, coda } = onsetAndRime(word);
  const sounds = said([vowel, ...coda]);
  const own = onsetAndRimeLetters(word)[1];
  const written = [own, ...(spellings.spelt.get(sounds) ?? [])].find((letters) => readsAs(letters, sounds, spellings));
  if (written) return written;
  const { label, as } = labelOf(vowel, word.accent);
  if (as) return null;
  if (!coda.length) return OPEN[label] ?? null;
  if (!CLOSED.has(label) || coda.includes('ð')) return null;
  const letters = `${label}${coda.map((ipa) => labelOf(ipa, word.accent).label).join('')}`;
  return spellings.readAs.has(letters) || spellings.wordOf.has(letters) ? null : letters;
}

/**
 * The start and the rest of a word of one beat, written so that each is read right by itself: *n · ot* for *knot*,
 * *j · em* for *gem*, *gr · oh* for *grow*. Null where letters would mislead; then only the line with its labels will
 * do.
 * @example voiceParts(knot, spellings) // ['n', 'ot']
 */
export function voiceParts(word: Word, spellings: RimeSpellings): readonly [start: string, rest: string] | null {
  const start = startFor(onsetAndRime(word).onset, sure(onsetAndRimeLetters(word)[0]), word.accent);
  const rest = restFor(word, spellings);
  return start === null || rest === null ? null : [start, rest];
}
