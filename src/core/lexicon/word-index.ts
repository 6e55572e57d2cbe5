import type { Making } from '../phonology/consonants';
import { sure } from '../sure';
import { bitsByKind, noBits, putBit, type Bits } from './bits';
import type { Word } from './entry';
import { traitsOf } from './traits';

/** Where in a word a sound stands. */
export const PLACES = ['any', 'first', 'middle', 'last'] as const;
export type SoundPlace = (typeof PLACES)[number];

/** What changes with the setting's shelf and the group. */
export interface Circumstances {
  /** Words the setting owns as things. */
  readonly owned: ReadonlySet<string>;
  /** Keys of the sounds the group has been taught. */
  readonly taught: ReadonlySet<string>;
  /** Words whose letters the group can read; none where it does not work with letters. */
  readonly readable?: ReadonlySet<string>;
}

/**
 * The words of one accent and convention with all that choosing asks of them as numbers in flat arrays, so that a
 * choice over the whole bank takes well under a millisecond.
 */
export interface WordIndex {
  readonly words: readonly Word[];
  readonly byName: ReadonlyMap<string, number>;
  readonly counts: Uint8Array;
  readonly shapes: Uint16Array;
  readonly shapeNames: readonly string[];
  /** Places of the shapes in the order of the alphabet. */
  readonly shapeRanks: Uint16Array;
  readonly makings: Uint8Array;
  readonly syllables: Uint8Array;
  readonly flags: Uint16Array;
  readonly bands: Uint8Array;
  /** Ids of the sounds, by place; a sound's id is its position in `sounds`. */
  readonly sounds: readonly string[];
  readonly firsts: Uint8Array;
  readonly lasts: Uint8Array;
  readonly middles: readonly Uint8Array[];
  /** The words of each choice as a set. */
  readonly bits: ChoiceBits;
  readonly difficulties: Float64Array;
  /** Positions of the words, the easiest first. */
  readonly easyFirst: Uint16Array;
  /** The same for the words of each shape. */
  readonly easiest: readonly (readonly number[])[];
  readonly rhymes: Uint16Array;
  readonly vowels: Uint16Array;
  /** Ids of sound strings: words that sound alike share one. */
  readonly strings: Uint16Array;
}

/** Sets of words, by what can be chosen. */
interface ChoiceBits {
  /** By number of sounds; the last for itself and above. */
  readonly counts: readonly Bits[];
  readonly shapes: readonly Bits[];
  readonly makings: readonly Bits[];
  /** By beats; the last for itself and above. */
  readonly syllables: readonly Bits[];
  /** By place, then by sound. */
  readonly sounds: Readonly<Record<SoundPlace, readonly Bits[]>>;
}

/** Numbers of sounds and of beats from which on words are one choice. */
export const MOST_SOUNDS = 6;
const MOST_BEATS = 3;

export const FLAGS = {
  contested: 1,
  doubtful: 2,
  agreed: 4,
  picture: 8,
  prop: 16,
  owned: 32,
  taught: 64,
  everyday: 128,
  own: 256,
  readable: 512,
} as const;
export type Flag = keyof typeof FLAGS;

export const MAKINGS = ['hold', 'clip', 'light', 'vowel'] as const satisfies readonly Making[];

/** Gives each new thing the next number. */
class Numbers<T> {
  readonly all: T[] = [];
  private readonly known = new Map<T, number>();
  of(thing: T): number {
    const before = this.known.get(thing);
    if (before !== undefined) return before;
    this.known.set(thing, this.all.length);
    return this.all.push(thing) - 1;
  }
}

/**
 * Makes the index.
 * @param agreed words whose count nobody would argue about, in any accent
 * @example indexWords(words('scottish')).counts[0]
 */
export function indexWords(words: readonly Word[], agreed: ReadonlySet<string> = new Set()): WordIndex {
  const [shapes, sounds, rhymes, vowels, strings] = [
    new Numbers<string>(),
    new Numbers<string>(),
    new Numbers<string>(),
    new Numbers<string>(),
    new Numbers<string>(),
  ];
  const flagsOf = ({ entry, contest, word }: Word): number =>
    (contest ? FLAGS.contested : 0) |
    (entry.doubt ? FLAGS.doubtful : 0) |
    (agreed.has(word) ? FLAGS.agreed : 0) |
    (entry.picture ? FLAGS.picture : 0) |
    (entry.prop ? FLAGS.prop : 0) |
    (entry.band === 1 ? FLAGS.everyday : 0) |
    (entry.own ? FLAGS.own : 0);
  const difficulties = Float64Array.from(words, (w) => traitsOf(w).difficulty);
  const ids = words.map((w) => w.sounds.map((s) => sounds.of(s.ipa)));
  const shapeIds = Uint16Array.from(words, (w) => shapes.of(w.shape));
  const easyFirst = Uint16Array.from(words.keys()).sort(
    (a, b) => sure(difficulties[a]) - sure(difficulties[b]) || (sure(words[a]).word < sure(words[b]).word ? -1 : 1),
  );
  const inAlphabet = [...shapes.all].sort((a, b) => a.localeCompare(b));
  const counts = Uint8Array.from(words, (w) => w.count);
  const makings = Uint8Array.from(words, (w) => MAKINGS.indexOf(traitsOf(w).making));
  const syllables = Uint8Array.from(words, (w) => traitsOf(w).syllables);
  return {
    words,
    byName: new Map(words.map((w, i) => [w.word, i])),
    counts,
    bits: {
      counts: bitsByKind(
        counts.map((n) => Math.min(n, MOST_SOUNDS)),
        MOST_SOUNDS + 1,
      ),
      shapes: bitsByKind(shapeIds, shapes.all.length),
      makings: bitsByKind(makings, MAKINGS.length),
      syllables: bitsByKind(
        syllables.map((n) => Math.min(n, MOST_BEATS)),
        MOST_BEATS + 1,
      ),
      sounds: soundBits(ids, sounds.all.length),
    },
    shapes: shapeIds,
    shapeNames: shapes.all,
    shapeRanks: Uint16Array.from(shapes.all, (shape) => inAlphabet.indexOf(shape)),
    makings,
    syllables,
    flags: Uint16Array.from(words, flagsOf),
    bands: Uint8Array.from(words, (w) => w.entry.band),
    sounds: sounds.all,
    firsts: Uint8Array.from(ids, (sounds) => sure(sounds[0])),
    lasts: Uint8Array.from(ids, (sounds) => sure(sounds.at(-1))),
    middles: ids.map((sounds) => Uint8Array.from(new Set(sounds.slice(1, -1)))),
    difficulties,
    easyFirst,
    easiest: shapes.all.map((_, shape) => [...easyFirst].filter((w) => shapeIds[w] === shape)),
    rhymes: Uint16Array.from(words, (w) => rhymes.of(traitsOf(w).rhyme)),
    vowels: Uint16Array.from(words, (w) => vowels.of(traitsOf(w).vowels)),
    strings: Uint16Array.from(words, (w) => strings.of(traitsOf(w).said)),
  };
}

/** The words that have each sound, by where they have it. */
function soundBits(ids: readonly (readonly number[])[], sounds: number): ChoiceBits['sounds'] {
  const sets = (): Bits[] => Array.from({ length: sounds }, () => noBits(ids.length));
  const bits = { any: sets(), first: sets(), middle: sets(), last: sets() };
  ids.forEach((of, word) =>
    of.forEach((sound, at) => {
      putBit(sure(bits.any[sound]), word);
      if (at === 0) putBit(sure(bits.first[sound]), word);
      if (at === of.length - 1) putBit(sure(bits.last[sound]), word);
      if (at > 0 && at < of.length - 1) putBit(sure(bits.middle[sound]), word);
    }),
  );
  return bits;
}

/** The same index, told what the setting owns, and what the group has been taught and can read. */
export function inCircumstances(index: WordIndex, { owned, taught, readable }: Circumstances): WordIndex {
  const flags = index.flags.map((flag, w) => {
    const { word, segments } = sure(index.words[w]);
    return (
      flag |
      (owned.has(word) ? FLAGS.owned : 0) |
      (readable?.has(word) ? FLAGS.readable : 0) |
      (taught.size && segments.every((s) => taught.has(s.key)) ? FLAGS.taught : 0)
    );
  });
  return { ...index, flags };
}
