import type { Word } from '../../lexicon/entry';
import { homophones, rhymes } from '../../lexicon/likeness';
import { traitsOf } from '../../lexicon/traits';
import { isPair, type SoundPair } from '../../phonology/articulation';
import { byEar, MERGED, TWO_TH } from '../../phonology/by-ear';
import { voiceRow } from '../../phonology/voice-label';
import { shuffle, type Random } from '../../random';
import type { FoilKind } from '../step';
import { slashed } from '../saying';
import type { Line } from '../view';
import { oneBeat, shelves, type Material } from '../material';
import { sure } from '../../sure';

export const ipaOf = (word: Word): string[] => word.sounds.map((s) => s.ipa);
export const firstOf = (word: Word): string => sure(word.sounds[0]).ipa;
export const lastOf = (word: Word): string => sure(word.sounds.at(-1)).ipa;

/** The last letters of a plural or a past tense. */
const ENDINGS = ['s', 'es', 'd', 'ed'] as const;

/**
 * The sound of a plural or a past tense: it has a step of its own, and is not added or left out elsewhere. `known` tells
 * the sounds of a word.
 * @example isEnding(keys, 2, soundsOf) // true
 */
export function isEnding(word: Word, at: number, known: (word: string) => readonly string[] | undefined): boolean {
  const { segments, sounds } = word;
  if (segments[sure(sounds[at]).segment]?.seam === true) return true;
  if (at !== sounds.length - 1) return false;
  const without = ipaOf(word).slice(0, -1).join(' ');
  return ENDINGS.some(
    (letters) => word.word.endsWith(letters) && known(word.word.slice(0, -letters.length))?.join(' ') === without,
  );
}

/** Sounds as labels, apart. Example: `s … u … n`. */
export const apart = (sounds: readonly string[], { accent }: Pick<Material, 'accent'>, between = ' … '): string =>
  voiceRow(sounds, accent, between);

export const slash = (ipa: string, { accent }: Pick<Material, 'accent'>): string => slashed(ipa, accent);

/** What follows the adult’s line, each with who says it. */
export const script = (children: string, together?: string): Line[] => [
  { role: 'children', text: children },
  ...(together ? [{ role: 'together' as const, text: together }] : []),
];

/** Some of a list in a random order: enough to try, without shuffling thousands. */
export function some<T>(all: readonly T[], random: Random, most = 30): T[] {
  if (all.length <= most) return shuffle(all, random);
  const out = new Set<T>();
  for (let i = 0; i < most * 3 && out.size < most; i += 1) out.add(sure(all[Math.floor(random() * all.length)]));
  return [...out];
}

/** Of a few picked at random, the one children know best that will do. */
export function bestOf(
  all: readonly Word[],
  random: Random,
  fits: (word: Word) => boolean,
  tries = 30,
): Word | undefined {
  return some(all, random, tries)
    .filter(fits)
    .sort((a, b) => a.entry.band - b.entry.band)[0];
}

/** No sound of the one within reach of the other: nothing shared at the start, in the vowel, or at the end. */
function nothingShared(a: Word, b: Word, material: Material): boolean {
  const [x, y] = [shelves(material).of(a), shelves(material).of(b)];
  return firstOf(a) !== firstOf(b) && x.vowel !== y.vowel && lastOf(a) !== lastOf(b);
}

/**
 * What a word shares with another that does not rhyme with it, or null where they rhyme or share something else.
 * @example foilKind(yawn, yarn, material) // 'same-ends'
 */
export function foilKind(a: Word, b: Word, material: Material): FoilKind | null {
  if (traitsOf(a).rhyme === traitsOf(b).rhyme || homophones(a, b)) return null;
  const [x, y] = [shelves(material).of(a), shelves(material).of(b)];
  const [onset, coda] = [x.onset.join(' ') === y.onset.join(' '), x.coda.join(' ') === y.coda.join(' ')];
  const [vowel, start] = [x.vowel === y.vowel, firstOf(a) === firstOf(b)];
  if (vowel && !start) return 'same-vowel';
  if (!vowel && onset && coda && x.coda.length) return 'same-ends';
  if (!vowel && start && !coda) return 'same-start';
  return nothingShared(a, b, material) ? 'far' : null;
}

/** A foil for a rhyme: of the kind asked for, rhyming with none of the others, never one that a child says alike. */
export function rhymeFoil(
  word: Word,
  kind: FoilKind,
  others: readonly Word[],
  {
    material,
    random,
    pairs = [],
    avoid,
  }: {
    material: Material;
    random: Random;
    pairs?: readonly SoundPair[] | undefined;
    avoid?: ReadonlySet<string>;
  },
): Word | undefined {
  const shelf = shelves(material);
  const parts = shelf.of(word);
  const pools: Readonly<Record<FoilKind, () => readonly Word[] | undefined>> = {
    'same-ends': () => shelf.byEnds.get(`${parts.onset.join(' ')}|${parts.coda.join(' ')}`),
    'same-vowel': () => shelf.byVowel.get(parts.vowel),
    'same-start': () => shelf.byFirst.get(firstOf(word)),
    far: () => oneBeat(material),
    near: () => oneBeat(material),
  };
  const fits = (other: Word): boolean =>
    foilKind(word, other, material) === kind &&
    !saidAlike(word, other, material, pairs) &&
    !avoid?.has(other.word) &&
    others.every((o) => o !== other && !homophones(o, other) && traitsOf(o).rhyme !== traitsOf(other).rhyme);
  return bestOf(pools[kind]() ?? [], random, fits, kind === 'same-ends' ? 60 : 40);
}

/**
 * True where a child who says a pair of sounds alike would hear the two words rhyme: *thief* and *leaf* do; *bath* and
 * *calf* might.
 */
function saidAlike(a: Word, b: Word, material: Material, pairs: readonly SoundPair[]): boolean {
  if (!pairs.length) return false;
  const [x, y] = [shelves(material).of(a), shelves(material).of(b)];
  return (
    x.vowel === y.vowel &&
    x.coda.length === y.coda.length &&
    x.coda.every((ipa, i) => ipa === y.coda[i] || isPair(pairs, ipa, sure(y.coda[i])))
  );
}

/** Words of one beat that rhyme with this one; a word that sounds the same or only repeats it does not. */
export const rhymesOf = (word: Word, material: Material): readonly Word[] =>
  (material.rhymes().get(traitsOf(word).rhyme) ?? []).filter(
    (other) => !other.entry.doubt && traitsOf(other).syllables === 1 && rhymes(word, other),
  );

/**
 * True where two sounds are as far apart by ear as the step wants, and no pair that this child, or many children, say
 * alike. The two th are never foils for each other.
 */
export function soundFoil(
  target: string,
  other: string,
  kind: FoilKind | undefined,
  pairs: readonly SoundPair[] = [],
): boolean {
  if (target === other || isPair([TWO_TH, ...pairs], target, other)) return false;
  return kind === 'near'
    ? byEar(target, other) === 'near' && !isPair(MERGED, target, other)
    : byEar(target, other) === 'far';
}

/** The choices of a two-choice game, right or not. */
export const YES_NO = ['yes', 'no'] as const;
