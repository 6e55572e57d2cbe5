import type { Word } from '../lexicon/entry';
import { accentOf, type AccentId } from '../phonology/accents';
import type { LetterPiece } from '../phonology/conventions';
import { realiseSegments } from '../phonology/realise';
import { parseTranscription } from '../phonology/transcription';
import { sure } from '../sure';

/** A part of a word as it is written and said: the letters, and the sound or sounds they stand for there. */
export interface SpelledPart {
  /** `sh`; a split spelling has its tail after an underscore: `a_e`. */
  readonly spelling: string;
  /** Keys of the transcription that are said for it, apart by spaces: they can be said in any accent. */
  readonly keys: string;
  /** What the accent makes of them: IPA, apart by spaces. */
  readonly sounds: string;
  /** Spelling and sounds: two parts with one id are the same thing to a reader. */
  readonly id: string;
}

interface Piece {
  readonly pieces: readonly LetterPiece[];
  readonly keys: readonly string[];
  readonly sounds: readonly string[];
}

/** Every piece of the spelling with the keys it spells and the sounds that come of them; some come to none. */
function piecesOf({ entry, segments, sounds }: Word): Piece[] {
  let from = 0;
  return entry.letters.map((piece) => {
    const to = from + piece.keys;
    const mine = sounds.filter(({ segment }) => segment >= from && segment < to).map(({ ipa }) => ipa);
    // A sound that this accent leaves out (*new* without its y) is none that the letters stand for here.
    const saying = new Set(sounds.map(({ segment }) => segment));
    const keys = segments.flatMap(({ key }, at) => (at >= from && at < to && saying.has(at) ? [key] : []));
    from = to;
    return { pieces: [piece], keys, sounds: mine };
  });
}

/**
 * A written r after a vowel that has it already (*fairy*, where r is said wherever it is written) says that r itself;
 * any other piece that comes to no sound is written with the one before (*idea*, said in one).
 */
function withoutSilence(pieces: readonly Piece[]): Piece[] {
  const out: Piece[] = [];
  for (const piece of pieces) {
    const before = out.at(-1);
    if (piece.sounds.length || !before) {
      out.push(piece);
    } else if (
      sure(piece.pieces[0]).letters.startsWith('r') &&
      before.sounds.length > 1 &&
      before.sounds.at(-1) === 'r'
    ) {
      out[out.length - 1] = { ...before, sounds: before.sounds.slice(0, -1) };
      out.push({ ...piece, keys: ['r'], sounds: ['r'] });
    } else {
      out[out.length - 1] = joined(before, piece);
    }
  }
  return out;
}

const joined = (a: Piece, b: Piece): Piece => ({
  pieces: [...a.pieces, ...b.pieces],
  keys: [...a.keys, ...b.keys],
  sounds: [...a.sounds, ...b.sounds],
});

/** Pieces whose sounds the setting counts as one are one spelling: *nk*, where it is a chunk. */
function asCounted(pieces: readonly Piece[], { units }: Word): Piece[] {
  const ends = new Set<number>();
  let end = 0;
  for (const unit of units) ends.add((end += unit.sounds.length));
  const out: Piece[] = [];
  let said = 0;
  let open = false;
  for (const piece of pieces) {
    if (open) out[out.length - 1] = joined(sure(out.at(-1)), piece);
    else out.push(piece);
    said += piece.sounds.length;
    open = !ends.has(said);
  }
  return out;
}

/** Letters in a row; the tail of a split spelling stands after an underscore. */
const written = (pieces: readonly LetterPiece[]): string => {
  const tail = pieces.map((piece) => piece.tail).join('');
  return pieces.map(({ letters }) => letters).join('') + (tail && `_${tail}`);
};

const partOf = (spelling: string, keys: string, sounds: string): SpelledPart => ({
  spelling,
  keys,
  sounds,
  id: `${spelling} ${sounds}`,
});

const parts = new WeakMap<Word, readonly SpelledPart[]>();

/**
 * The parts of a word, in order: which letters stand for which sounds, in its accent and as its setting counts.
 * @example partsOf(ship).map((p) => p.spelling) // ['sh', 'i', 'p']
 */
export function partsOf(word: Word): readonly SpelledPart[] {
  const before = parts.get(word);
  if (before) return before;
  const made = asCounted(withoutSilence(piecesOf(word)), word).map(({ pieces, keys, sounds }) =>
    partOf(written(pieces), keys.join(' '), sounds.join(' ')),
  );
  parts.set(word, made);
  return made;
}

/**
 * What an accent makes of a part’s keys by themselves.
 * @example soundsOfKeys('START', 'general-american') // 'ɑ r'
 */
export const soundsOfKeys = (keys: string, accent: AccentId): string =>
  realiseSegments(parseTranscription(keys), accentOf(accent))
    .map(({ ipa }) => ipa)
    .join(' ');

/** A spelling with the sound of its keys in an accent. Example: `partIn('ar', 'START', 'scottish').id // 'ar a r'`. */
export const partIn = (spelling: string, keys: string, accent: AccentId): SpelledPart =>
  partOf(spelling, keys, soundsOfKeys(keys, accent));
