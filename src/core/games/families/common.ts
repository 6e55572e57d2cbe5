import { fairSwap } from '../../answers/fair';
import { ipaOf, type Word } from '../../lexicon/entry';
import { firstMaking, inCluster } from '../../lexicon/difficulty';
import { homophones, rhymes } from '../../lexicon/likeness';
import { traitsOf } from '../../lexicon/traits';
import { isPair, type SoundPair } from '../../phonology/articulation';
import { isVowelKey } from '../../phonology/keys';
import { byEar, hangsOnHigh, MERGED, NEVER_APART } from '../../phonology/by-ear';
import { accentOf } from '../../phonology/accents';
import { voiceRow } from '../../phonology/voice-label';
import { shuffle, type Random } from '../../random';
import type { FoilKind } from '../step';
import type { Building, Opening } from '../task';
import { slashed } from '../saying';
import { marksOf } from '../marks';
import type { Line, Mark } from '../view';
import { oneBeat, shelves, type Material } from '../material';
import { sure } from '../../sure';

export const firstOf = (word: Word): string => sure(word.sounds[0]).ipa;
export const lastOf = (word: Word): string => sure(word.sounds.at(-1)).ipa;

/** The last letters of a plural or a past tense, and what the word has without them: *wellies*, *welly*. */
const ENDINGS: readonly (readonly [letters: string, instead?: string])[] = [
  ['s'],
  ['es'],
  ['d'],
  ['ed'],
  ['ies', 'y'],
  ['ied', 'y'],
];

/**
 * The sound of a plural or a past tense: it has a step of its own, and is not added or left out elsewhere.
 * @param known tells the sounds of a word
 * @example isEnding(keys, 2, soundsOf) // true
 */
export function isEnding(word: Word, at: number, known: (word: string) => readonly string[] | undefined): boolean {
  const { segments, sounds } = word;
  if (segments[sure(sounds[at]).segment]?.seam === true) return true;
  if (at !== sounds.length - 1) return false;
  const without = ipaOf(word).slice(0, -1).join(' ');
  return ENDINGS.some(
    ([letters, instead = '']) =>
      word.word.endsWith(letters) && known(`${word.word.slice(0, -letters.length)}${instead}`)?.join(' ') === without,
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

/** Words that a row takes. */
interface Only {
  readonly only?: ((word: Word) => boolean) | undefined;
}

/** A foil for a rhyme: of the kind asked for, rhyming with none of the others, never one that a child says alike. */
export function rhymeFoil(
  word: Word,
  kind: FoilKind,
  others: readonly Word[],
  { material, random, wishes, only = () => true }: Pick<Building, 'material' | 'random' | 'wishes'> & Only,
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
    only(other) &&
    foilKind(word, other, material) === kind &&
    !heardAlike(word, other, kind, { material, wishes }) &&
    !wishes.avoid.has(other.word) &&
    others.every((o) => o !== other && !homophones(o, other) && traitsOf(o).rhyme !== traitsOf(other).rhyme);
  return bestOf((pools[kind]() ?? []).filter(only), random, fits, kind === 'same-ends' ? 60 : 40);
}

/**
 * True where two words that do not rhyme may be heard to: *thief* and *leaf* by a child who says f for th; *cap* and
 * *cab* where voice at the end is not heard; *pen* and *pin*, whose vowels many adults do not tell apart in noise.
 */
function heardAlike(
  a: Word,
  b: Word,
  kind: FoilKind,
  { material, wishes }: Pick<Building, 'material' | 'wishes'>,
): boolean {
  const [x, y] = [shelves(material).of(a), shelves(material).of(b)];
  if (kind === 'same-ends') return byEar(x.vowel, y.vowel) === 'near';
  return (
    x.vowel === y.vowel &&
    x.coda.length === y.coda.length &&
    x.coda.every((ipa, i) => ipa === y.coda[i] || neverApart(ipa, sure(y.coda[i]), wishes))
  );
}

/** Words of one beat that rhyme with this one; a word that sounds the same or only repeats it does not. */
export const rhymesOf = (word: Word, material: Material): readonly Word[] =>
  (material.rhymes().get(traitsOf(word).rhyme) ?? []).filter(
    (other) => !other.entry.doubt && traitsOf(other).syllables === 1 && rhymes(word, other),
  );

/** The end of a word from its vowel on, in lexical sets: the same in every accent, save where one has its own way. */
const endInSets = ({ segments }: Word): string =>
  segments
    .slice(segments.findIndex((s) => isVowelKey(s.key)))
    .map((s) => s.key)
    .join(' ');

/** Those of them that rhyme in every shipped accent: *door* and *paw* do only where the r is not said. */
export function steadyRhymesOf(word: Word, material: Material): readonly Word[] {
  const own = (w: Word): boolean => Object.keys(w.entry.ownLines).length > 0;
  if (own(word)) return [];
  return rhymesOf(word, material).filter((w) => !own(w) && endInSets(w) === endInSets(word));
}

/** How often a word has a sound: one that is asked for by its name must be there once. */
export const times = (word: Word, ipa: string): number => word.sounds.filter((s) => s.ipa === ipa).length;

/** Words of things that can be seen or held, so that a child can point to them. */
export const isThing = ({ entry }: Word): boolean => entry.picture !== null || entry.prop;

/** How a game is opened that is about the end of words. */
export const LAST_OPENING: Opening = {
  opening:
    'We’re waiting for the last sound, like the last drop from the watering can. Listen while I do the first one.',
  plain: 'We’re listening for the last sound. Listen while I do the first one.',
};

/** Things that begin with one consonant, for rows in which the start alone decides. */
export const thingsByStart = (material: Material): readonly Word[] =>
  material.keep('things by start', () =>
    oneBeat(material).filter(
      (w) => isThing(w) && w.count <= 4 && w.entry.band < 3 && firstMaking(w) !== 'vowel' && !inCluster(w, 0),
    ),
  );

/** Words that stand in the questions themselves: none of them can be the answer. */
export const WORDS_OF_ASKING: ReadonlySet<string> = new Set(
  'start end change add leave out after put say now what'.split(' '),
);

/** What a set may not set against each other, and what is let in. */
export interface Ears {
  /** Sounds a child says alike. */
  readonly pairs?: readonly SoundPair[] | undefined;
  /** Somebody here hears better without high sounds. */
  readonly lowOnly?: boolean | undefined;
  /** Sounds that many young children mix up may be told apart too. */
  readonly mixUps?: boolean | undefined;
}

/** True where two sounds never tell right from wrong here. The two th never do. */
export const neverApart = (a: string, b: string, { pairs = [], lowOnly = false }: Ears): boolean =>
  isPair([...NEVER_APART, ...pairs], a, b) || (lowOnly && hangsOnHigh(a, b));

/**
 * True where two sounds are as far apart by ear as the step wants, and no pair that a child here, or many children, say
 * or hear alike.
 */
export function soundFoil(
  target: string,
  other: string,
  kind: FoilKind | undefined,
  ears: Ears & { readonly place?: 'first' | 'last' } = {},
): boolean {
  if (target === other || neverApart(target, other, ears)) return false;
  const heard = byEar(target, other, ears.place);
  return kind === 'near'
    ? heard === 'near' && (ears.mixUps === true || !isPair(MERGED, target, other))
    : heard === 'far';
}

/** True where any two sounds that part right from wrong are told apart by anyone: not the two th. */
export const isFoil = (a: string, b: string): boolean => a !== b && !isPair(NEVER_APART, a, b);

/** True where a fair ear may hear a sound at a place of a word: /n/ in *donkey*, /ch/ at the start of *train*. */
export const mayHear = (word: Word, at: number, ipa: string): boolean =>
  word.sounds[at]?.ipa !== ipa &&
  fairSwap({ asked: marksOf(word), tapsT: accentOf(word.accent).tapsT, mixed: false, alone: true }, at, ipa) !== null;

/** The same anywhere in a word. */
export const mayHearIn = (word: Word, ipa: string): boolean => word.sounds.some((_, at) => mayHear(word, at, ipa));

/** A vowel that two words have in one accent and, being written alike or of one set, in every accent. */
const sameVowel = (a: Mark | undefined, b: Mark | undefined): boolean =>
  a?.set === undefined || a.set === b?.set || (a.letters !== undefined && a.letters === b?.letters);

/**
 * True where the vowels that stay are those of one lexical set or one spelling: *goat* and *coat*, not *tall* and
 * *tore*, which are a riddle anywhere but in one accent.
 * @param at index of the sound that is swapped, or that the longer one has more
 */
export function staysAlike(a: Word, b: Word, at: number): boolean {
  const [long, short] = a.sounds.length >= b.sounds.length ? [marksOf(a), marksOf(b)] : [marksOf(b), marksOf(a)];
  const shift = long.length - short.length;
  return short.every((mark, i) => (shift === 0 && i === at) || sameVowel(mark, long[i >= at ? i + shift : i]));
}

/** The same of the vowels of two words of one beat, whatever stands before them. */
export const rimesAlike = (a: Word, b: Word): boolean => {
  const vowel = (word: Word): Mark | undefined => marksOf(word).find((mark) => mark.set !== undefined);
  return sameVowel(vowel(a), vowel(b));
};

/** The choices of a two-choice game, right or not. */
export const YES_NO = ['yes', 'no'] as const;
