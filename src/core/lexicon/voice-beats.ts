import { isVowelKey, type Key } from '../phonology/keys';
import type { Word } from './entry';
import { sure } from '../sure';
import { OWN_CUTS } from './voice-cuts';

/** Vowels that are not read as themselves where a beat ends in their letter: *te* is no *ted*. */
const SHORT: ReadonlySet<Key> = new Set<Key>(['KIT', 'DRESS', 'TRAP', 'LOT', 'STRUT', 'FOOT', 'BATH', 'CLOTH']);

/** Spellings of /sh/ and /zh/ that are read at sight only with what follows them: *vi-sion*, *mu-si-cian*. */
const WITH_WHAT_FOLLOWS: ReadonlySet<string> = new Set(['si', 'ti', 'ci', 'ssi', 'sci']);

/** Letters with what they spell: the first key, the beat, and whether a word begins there. */
interface Atom {
  readonly text: string;
  readonly key: Key;
  readonly beat: number;
  readonly seam: boolean;
  readonly stressed: boolean;
}

/** The letters of a word in their order, a split spelling (*a…e*) with its tail where it is written. */
function atomsOf({ entry: { letters }, segments }: Word): Atom[] {
  const atoms: Atom[] = [];
  let key = 0;
  let waiting = '';
  for (const piece of letters) {
    const segment = sure(segments[key]);
    atoms.push({
      text: piece.letters + waiting,
      key: segment.key,
      beat: segment.syllable,
      seam: segment.seam,
      stressed: segment.stress !== 'none',
    });
    waiting = piece.tail;
    key += piece.keys;
  }
  return atoms;
}

const DOUBLED = /^([bcdfglmnprstvz])\1/;

/** A consonant with a vowel letter that nobody says: *cam(e)ra*, *om(e)lette*; not before another word. */
function withoutSilent(atoms: readonly Atom[]): Atom[] {
  return atoms.map((atom, i) => {
    const [before, after] = [atoms[i - 1], atoms[i + 1]];
    const silent = !isVowelKey(atom.key) && /^([bdfhklmnprstv]+|c(?=o))(e|o|ou)$/.exec(atom.text);
    const read = before && SHORT.has(before.key) && after && !after.seam;
    return silent && read ? { ...atom, text: sure(silent[1]) } : atom;
  });
}

/** *ow* as in *cow* before a vowel is read as in *flow*: it is written *ou*. */
const flouer = (atoms: readonly Atom[]): Atom[] =>
  atoms.map((atom, i) =>
    atom.key === 'MOUTH' && atom.text === 'ow' && isVowelKey(atoms[i + 1]?.key ?? 'p') ? { ...atom, text: 'ou' } : atom,
  );

const goesOn = ({ text, key }: Atom): boolean => (key === 'sh' || key === 'zh') && WITH_WHAT_FOLLOWS.has(text);

/** Vowels before an r that is written apart: *fair-y*, *stor-y*, not *fai-ry*. */
const WITH_R: ReadonlySet<Key> = new Set<Key>(['SQUARE', 'NORTH', 'FORCE']);

/** *cloud-y*, not *clou-dy*; *fair-y*, not *fai-ry*: the vowel is read right only with what closes it. */
const closes = (last: Atom, first: Atom): boolean =>
  (last.key === 'MOUTH' && last.stressed && !isVowelKey(first.key)) ||
  (first.text === 'r' && WITH_R.has(last.key) && /(ai|o)$/.test(last.text));

/** How many letters of the consonant that begins a beat go to the beat before. */
function lettersTaken(last: Atom, first: Atom): number {
  const { text } = first;
  const short = SHORT.has(last.key);
  if (text === 'll' && last.stressed && !short) return 2;
  if (closes(last, first)) return text.length;
  if (DOUBLED.test(text) || ((text === 'st' || text === 'sc') && first.key === 's')) return 1;
  if (/^(mb|ck|tch|dg)/.test(text)) return text.length;
  return last.stressed && short && !goesOn(first) ? text.length : 0;
}

/** How many letters of the consonant that ends a beat go to the beat after: *run-ning*, *televi-sion*. */
function lettersGiven(last: Atom, first: Atom): number {
  if (first.seam && !isVowelKey(first.key)) return 0;
  if (goesOn(last) && isVowelKey(first.key)) return last.text.length;
  const parts = isVowelKey(first.key) || first.key === 'l' || first.key === 'r';
  return parts && DOUBLED.test(last.text) && last.text.length === 2 ? 1 : 0;
}

/** A consonant after a vowel, inside one word. */
const joinsOn = (before: Atom, atom: Atom): boolean => !atom.seam && !isVowelKey(atom.key) && isVowelKey(before.key);

/** The k of *tick-kle* is written twice: *le* alone is read as *lee*. */
const saidTwice = ({ text }: Atom, after: Atom | undefined): string =>
  text === 'ck' && after?.key === 'EL' ? 'k' : '';

/**
 * The beats of a word as an adult reads them aloud at sight: no stressed beat ends in a short vowel, and none begins
 * with a doubled consonant. It is a cut of the letters, kept beside the cut of the sounds (syllables.ts): where a beat
 * ends is a matter of ear, and only how many there are is counted.
 *
 * @example voiceBeats(teddy) // ['ted', 'dy']
 * @example voiceBeats(lily) // ['lil', 'ly']
 */
export const voiceBeats = (word: Word): readonly string[] =>
  (OWN_CUTS.get(word.word) ?? cut(word)).map((beat, i, all) => (beat === 'y' ? saidWhole(all[i - 1] ?? '') : beat));

/** The end of *lily* alone is no *y*: it takes the consonant before it again, *lil-ly*; after a vowel it is *ee*. */
function saidWhole(before: string): string {
  const consonant = /(ck|th|ch|sh|[bdfgklmnprstvz])$/.exec(before)?.[0] ?? '';
  if (!consonant) return 'ee';
  return consonant === 'ck' ? 'ky' : `${consonant}y`;
}

/** The same by rule. */
function cut(word: Word): string[] {
  const beats: string[] = [];
  const add = (beat: number, text: string): void => void (beats[beat] = (beats[beat] ?? '') + text);
  const atoms = flouer(withoutSilent(atomsOf(word)));
  let carried = '';
  atoms.forEach((atom, i) => {
    const [before, after] = [atoms[i - 1], atoms[i + 1]];
    const begins = before !== undefined && before.beat !== atom.beat;
    const taken = begins && joinsOn(before, atom) ? lettersTaken(before, atom) : 0;
    if (begins) add(before.beat, atom.text.slice(0, taken));
    const rest = carried + (begins ? saidTwice(atom, after) : '') + atom.text.slice(taken);
    const ends = after !== undefined && after.beat !== atom.beat && !isVowelKey(atom.key);
    const given = ends ? lettersGiven(atom, after) : 0;
    add(atom.beat, rest.slice(0, rest.length - given));
    carried = given ? rest.slice(-given) : '';
  });
  return beats;
}
