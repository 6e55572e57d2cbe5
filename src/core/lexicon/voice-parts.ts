import type { AccentId } from '../phonology/accents';
import { mayBegin, mayEnd } from '../phonology/clusters';
import { CONSONANT_IPA } from '../phonology/keys';
import { isVowel, labelOf } from '../phonology/sounds';
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
  /** False where letters spell a common word that is said otherwise. */
  readonly mayRead: (letters: string, sounds: readonly string[]) => boolean;
}

const said = (sounds: readonly string[]): string => sounds.join(' ');
const addTo = (map: Map<string, Map<string, number>>, key: string, value: string): void => {
  const spelt = map.get(key) ?? new Map<string, number>();
  map.set(key, spelt.set(value, (spelt.get(value) ?? 0) + 1));
};

/**
 * Reads the ends of words of one beat.
 * @param words every known word of the accent, those that are not put forward too
 * @param mayRead of the list of common words
 */
export function rimeSpellings(words: readonly Word[], mayRead: RimeSpellings['mayRead']): RimeSpellings {
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
  return { readAs, spelt, mayRead, wordOf: new Map(words.map((w) => [w.word, said(w.sounds.map((s) => s.ipa))])) };
}

/** Letters are read right where at least so many of the words that end in them are said so. */
const MOSTLY = 0.75;
/** The letters of other words are lent where so many words have them. */
const OFTEN = 2;
/** Read otherwise by most adults when nothing stands before them. */
const MISREAD: ReadonlySet<string> = new Set(
  'ind ough ould ive ome ove ie ye ew ue ief iece iend uise uit is as os uth'.split(' '),
);

/** True where most words that end in the letters have these sounds, or none ends in them. */
function mostlyRead(letters: string, sounds: string, { readAs }: RimeSpellings): boolean {
  const ways = readAs.get(letters);
  const all = [...(ways?.values() ?? [])].reduce((sum, n) => sum + n, 0);
  return (ways?.get(sounds) ?? 0) >= MOSTLY * all;
}

/** True where letters alone are read as these sounds. */
function readsAs(letters: string, sounds: string, { readAs, wordOf, mayRead }: RimeSpellings): boolean {
  if (!mayRead(letters, sounds.split(' '))) return false;
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
  ar: 'ar',
  or: 'or',
  ur: 'ur',
  air: 'air',
  oo: 'oo',
  igh: 'igh',
  ee: 'ee',
  ay: 'ay',
  oy: 'oy',
};
const CLOSED: ReadonlySet<string> = new Set(['a', 'e', 'i', 'o', 'u', 'ee', 'ay']);

/** The sounds themselves as letters, where those are read right: a vowel, and at most one sound after it. */
function byLabels(rime: readonly string[], accent: AccentId, spellings: RimeSpellings): string[] {
  const [vowel = '', ...coda] = rime;
  const { label, as } = labelOf(vowel, accent);
  // Only the long one of the two /oo/ ends a word.
  if (!coda.length) return OPEN[label] ? [OPEN[label]] : [];
  if (as || !CLOSED.has(label) || coda.length > 1 || coda.includes('ð')) return [];
  const letters = `${label}${coda.map((ipa) => labelOf(ipa, accent).label).join('')}`;
  const other = spellings.readAs.has(letters) || spellings.wordOf.has(letters) || !spellings.mayRead(letters, rime);
  return other ? [] : [letters];
}

/** The letters a vowel and what closes it may be read from: its own, those of another word, else the sounds. */
function restsFor(
  rime: readonly string[],
  { own, accent, spellings }: { own?: string; accent: AccentId; spellings: RimeSpellings },
): string[] {
  const sounds = said(rime);
  const labels = byLabels(rime, accent, spellings);
  const ofOthers = (spellings.spelt.get(sounds) ?? []).filter(
    (letters) => (spellings.readAs.get(letters)?.get(sounds) ?? 0) >= OFTEN,
  );
  // An open vowel alone is written in one way everywhere.
  const written = own === undefined && rime.length === 1 ? [] : [own ?? '', ...ofOthers];
  return [...written.filter((letters) => readsAs(letters, sounds, spellings)), ...labels];
}

/**
 * The start and the rest of a word of one beat, written so that each is read right by itself: *n · ot* for *knot*,
 * *j · em* for *gem*, *gr · oh* for *grow*. Null where letters would mislead; then only the line with its labels will
 * do.
 * @example voiceParts(knot, spellings) // ['n', 'ot']
 */
export function voiceParts(word: Word, spellings: RimeSpellings): readonly [start: string, rest: string] | null {
  const [ownStart, ownRest] = onsetAndRimeLetters(word);
  const { onset, vowel, coda } = onsetAndRime(word);
  const start = startFor(onset, ownStart, word.accent);
  const [rest] = restsFor([vowel, ...coda], { own: ownRest, accent: word.accent, spellings });
  return start === null || rest === undefined ? null : [start, rest];
}

/** The start of a word alone: *skw* is written *squ*; null where letters would mislead. */
export const voiceStart = (onset: readonly string[], accent: AccentId): string | null => startFor(onset, '', accent);

/** What a respelling is held against. */
export interface VoiceSource {
  readonly accent: AccentId;
  readonly spellings: RimeSpellings;
}

/** Respellings that are read as a rude or an angry word, whatever was meant: the *ars* of *stars*. */
const NOT_PRINTED: ReadonlySet<string> = new Set(['ars', 'arse', 'jeeze', 'jeez', 'jees', 'jeese', 'cor', 'gor']);

/** The last of each sound stands: the keys that an accent may say as k and w come after these. */
const KEY_OF = new Map<string, string>(
  Object.entries(CONSONANT_IPA)
    .reverse()
    .map(([key, ipa]) => [ipa, key]),
);
const keysOf = (sounds: readonly string[]): string[] => sounds.map((ipa) => KEY_OF.get(ipa) ?? '');

/** True where a word of one beat may begin and end so: not *srong*, which nobody can say. */
const isSayable = (sounds: readonly string[], at: number): boolean =>
  mayBegin(keysOf(sounds.slice(0, at))) && mayEnd(keysOf(sounds.slice(at + 1)));

/** Letters read otherwise beside each other than apart: *ge* as in *gem*, *wa* as in *swan*, *wor* as in *word*. */
const MISLEADS = /^g[eiy]|(w|qu)(a(?![ivwy])|or|ar)|^c|[^lr]ue$/;

/** True where letters that are read right apart are read otherwise in one word. */
function misleads(written: string, sounds: readonly string[], at: number): boolean {
  const [before, last] = sounds.slice(-2);
  const closed = sounds.length - at > 1;
  // *limbed* is read as *limb*; the s of *thangs* as in *things*.
  const ending = closed && /[^aeiu]ed$/.test(written) && !/^[eɛ]$/.test(sounds[at] ?? '');
  const voiced = closed && last === 's' && /[bdglmnrvw]s$/.test(written) && before !== undefined;
  return MISLEADS.test(written) || ending || voiced;
}

/**
 * A made-up word of one beat, written so that it is read right by itself. Null where letters might be read otherwise,
 * or are the spelling of a word that sounds otherwise; then only the line with its labels will do.
 * @example voiceWord(['v', 'ɒ', 'b'], source) // 'vob'
 */
export function voiceWord(sounds: readonly string[], { accent, spellings }: VoiceSource): string | null {
  const at = sounds.findIndex(isVowel);
  if (at < 0 || sounds.slice(at + 1).some(isVowel) || !isSayable(sounds, at)) return null;
  const start = at ? voiceStart(sounds.slice(0, at), accent) : '';
  if (start === null) return null;
  const sure = (rest: string): boolean => at === 0 || mostlyRead(rest, said(sounds.slice(at)), spellings);
  const fits = (written: string): boolean =>
    !misleads(written, sounds, at) &&
    !NOT_PRINTED.has(written) &&
    sure(written.slice(start.length)) &&
    (spellings.wordOf.get(written) ?? said(sounds)) === said(sounds) &&
    spellings.mayRead(written, sounds);
  return (
    restsFor(sounds.slice(at), { accent, spellings })
      .map((rest) => start + rest)
      .find(fits) ?? null
  );
}
