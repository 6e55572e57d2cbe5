import { readFileSync } from 'node:fs';
import { dictionary } from 'cmu-pronouncing-dictionary';
import { realise, segmentsOf, spell, type Entry } from '../lexicon/entry';
import { readingsOf } from '../phonology/arpabet';
import type { VowelKey } from '../phonology/keys';
import { isReading, REFERENCES, type Reference } from './references';

/** A check of one entry: what is wrong with its sounds, or null. */
export type SoundCheck = (entry: Entry) => string | null;

/** The lines of a table beside this file, without what is said about it. */
const table = (name: string): string[][] =>
  readFileSync(`src/core/testing/${name}.tsv`, 'utf8')
    .split('\n')
    .filter((line) => line && !line.startsWith('#'))
    .map((line) => line.split('\t'));

/**
 * The BATH words: Wells, Accents of English (1982), section 2.2.7, with those of one family; from memory. It is closed:
 * whatever is not here has the vowel of *trap*.
 */
const BATH: ReadonlySet<string> = new Set(
  `staff giraffe calf half laugh laughter path bath lath brass class glass grass pass raft craft after daft shaft
  draught clasp grasp gasp rasp blast cast fast last past vast mast master plaster nasty ghastly disaster castle fasten
  basket casket rascal ask bask cask flask mask task dance advance chance glance prance lance trance answer grant
  slant plant chant aunt aunty can't shan't advantage branch demand command example sample moustache mustache rather
  raspberry afternoon banana vase`.split(/\s+/),
);

/** A word without the endings that leave its vowel as it is. */
function stemsOf(word: string): string[] {
  const bare = ['', 's', 'es', 'ed', 'd', 'er', 'r', 'ing', 'y'].flatMap((ending) =>
    word.endsWith(ending) ? [word.slice(0, word.length - ending.length)] : [],
  );
  return [...bare, ...bare.map((stem) => `${stem}e`)];
}

/** The parts of a word in letters, cut where two words meet, each with the keys of its sounds. */
function partsOf(entry: Entry): { letters: string; keys: string[] }[] {
  const segments = segmentsOf(entry, 'southern-british');
  const seams = segments.flatMap((s, i) => (i > 0 && s.seam ? [i] : []));
  const starts = [0, ...seams];
  return starts.map((from, n) => {
    const to = starts[n + 1] ?? segments.length;
    let key = 0;
    const pieces = entry.letters.filter(({ keys }) => {
      const inside = key >= from && key < to;
      key += keys;
      return inside;
    });
    return { letters: spell(pieces), keys: segments.slice(from, to).map((s) => s.key) };
  });
}

/** BATH in a word of the closed list, and in no other. */
const bathWords: SoundCheck = (entry) => {
  for (const { letters, keys } of [...partsOf(entry), { letters: entry.word, keys: [] }]) {
    const listed = stemsOf(letters).some((stem) => BATH.has(stem));
    if (keys.includes('BATH') && !listed && !stemsOf(entry.word).some((stem) => BATH.has(stem)))
      return `“${letters}” is none of the BATH words`;
    if (listed && !segmentsOf(entry, 'southern-british').some(({ key }) => key === 'BATH'))
      return `“${letters}” is one of the BATH words`;
  }
  return null;
};

const WITNESS = new Map(table('trap-or-bath').map(([word = '', vowel = '']) => [word, vowel]));
/** What the other dictionary has otherwise, each with its reason. */
const ITS_SLIPS: Readonly<Record<string, string>> = {
  answer: 'it has an American reading here; Wells (1982) lists it under BATH',
  bat: 'it has the first letters of another entry',
  slam: 'it has a foreign vowel; the voices and CMU have TRAP',
};
/** The vowel of *trap* or of *bath*, as a second British dictionary has it. */
const trapOrBath: SoundCheck = ({ word, line }) => {
  const vowel = WITNESS.get(word);
  if (!vowel || word in ITS_SLIPS) return null;
  const ours = line.includes('BATH') ? 'ɑː' : 'æ';
  return ours === vowel ? null : `FreeDict has ${vowel}`;
};

const READINGS = new Map(table('readings').map(([word = '', phones = '']) => [word, phones]));
/** Of two readings, the one of the sense given. */
const readingOfSense: SoundCheck = (entry) => {
  const phones = READINGS.get(entry.word);
  if (!phones) return entry.doubt === 'homograph' ? 'no reading is named for its sense' : null;
  if (!readingsOf(dictionary, entry.word).some((known) => known.join(' ') === phones))
    return 'the dictionary has no such reading';
  const sounds = realise(entry, 'general-american').map((s) => s.ipa);
  return isReading(sounds, phones) ? null : `in the sense given it is ${phones}`;
};

/** Every check of the sounds of an entry that needs no voice. */
export const SOUND_CHECKS: Readonly<Record<string, SoundCheck>> = { bathWords, trapOrBath, readingOfSense };

/**
 * Lexical sets that some accents say alike: where the other of a pair is written, fewer references can tell. Wells
 * (1982), chapter 3.
 */
const ALIKE: readonly (readonly [VowelKey, VowelKey])[] = [
  ['TRAP', 'BATH'],
  ['TRAP', 'PALM'],
  ['BATH', 'PALM'],
  ['BATH', 'START'],
  ['LOT', 'CLOTH'],
  ['LOT', 'PALM'],
  ['CLOTH', 'THOUGHT'],
  ['FOOT', 'STRUT'],
  ['FOOT', 'GOOSE'],
  ['CURE', 'FORCE'],
  ['NORTH', 'FORCE'],
  ['FERN', 'FIR'],
  ['FIR', 'FUR'],
  ['happY', 'KIT'],
];

/** A reading that no reference tells from the one we have. */
export interface LetPass {
  readonly word: string;
  readonly has: VowelKey;
  readonly other: VowelKey;
}

const swapped = (line: string, from: VowelKey, to: VowelKey): string =>
  line.replace(new RegExp(`(?<=^|[ '.,+])${from}(?=$| )`, 'g'), to);

/** The readings of some entries that every reference would let pass in place of ours. */
export async function letPass(entries: readonly Entry[]): Promise<LetPass[]> {
  const found: LetPass[] = [];
  for (const entry of entries) {
    for (const [a, b] of [...ALIKE, ...ALIKE.map(([x, y]) => [y, x] as const)]) {
      const line = swapped(entry.line, a, b);
      if (line === entry.line) continue;
      const told = await Promise.all(REFERENCES.map((reference) => tells(reference, entry, { ...entry, line })));
      if (!told.some(Boolean)) found.push({ word: entry.word, has: a, other: b });
    }
  }
  return found;
}

/** True where a reference agrees with the one entry and not with the other. */
async function tells(reference: Reference, entry: Entry, other: Entry): Promise<boolean> {
  const readings = await reference.read(entry.word);
  const agrees = (of: Entry): boolean =>
    readings.includes(reference.fold(realise(of, reference.accent).map((s) => s.ipa)));
  return agrees(entry) && !agrees(other);
}
