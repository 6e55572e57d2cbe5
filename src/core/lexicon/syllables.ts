import { spell, type Word } from './entry';
import { syllableCount } from '../phonology/transcription';
import { sure } from '../sure';

/** A beat of a word: its sounds, and its letters where the spelling can be cut there. */
export interface Beat {
  readonly ipa: readonly string[];
  readonly letters: string;
}

/**
 * The beats of a word. Where a cut falls is a matter of ear (*ra-bbit*, *rab-bit*): any cut into as many beats is
 * right.
 * @example beatsOf(rainbow).map((b) => b.letters) // ['rain', 'bow']
 */
export function beatsOf(word: Word): Beat[] {
  const count = syllableCount(word.segments);
  // Which syllable each piece of spelling begins in; a piece of two keys stays in one.
  let key = 0;
  const syllableOf = word.entry.letters.map((piece) => {
    const { syllable } = sure(word.segments[key]);
    key += piece.keys;
    return syllable;
  });
  return Array.from({ length: count }, (_, n) => ({
    ipa: word.sounds.filter((s) => s.syllable === n).map((s) => s.ipa),
    letters: spell(word.entry.letters.filter((_piece, i) => syllableOf[i] === n)),
  }));
}

/**
 * The two halves of a compound, as sounds, where a word begins inside it; null for any other word. Example: *rain*,
 * *bow*.
 */
export function halvesOf(word: Word): readonly [readonly string[], readonly string[]] | null {
  const at = word.segments.findIndex((s, i) => i > 0 && s.seam);
  if (at < 1) return null;
  const half = (from: number, to: number): string[] =>
    word.sounds.filter((s) => s.segment >= from && s.segment < to).map((s) => s.ipa);
  const [first, second] = [half(0, at), half(at, word.segments.length)];
  const voiced = (of: readonly string[]): boolean => word.sounds.some((s) => s.vowel && of.includes(s.ipa));
  return first.length && second.length && voiced(first) && voiced(second) ? [first, second] : null;
}

/** Onset and rime of a word of one beat. Example: *st* and *op*; an empty onset in *egg*. */
export function onsetAndRime(word: Word): {
  readonly onset: readonly string[];
  readonly vowel: string;
  readonly coda: readonly string[];
} {
  const at = word.sounds.findIndex((s) => s.vowel);
  const ipa = word.sounds.map((s) => s.ipa);
  return { onset: ipa.slice(0, at), vowel: sure(ipa[at]), coda: ipa.slice(at + 1) };
}

/** The letters of a word's onset and of its rime. Example: `st`, `op`. */
export function onsetAndRimeLetters(word: Word): readonly [string, string] {
  const vowel = sure(word.sounds.find((s) => s.vowel)).segment;
  let key = 0;
  let cut = 0;
  for (const [i, piece] of word.entry.letters.entries()) {
    if (key <= vowel) cut = i;
    key += piece.keys;
  }
  return [spell(word.entry.letters.slice(0, cut)), spell(word.entry.letters.slice(cut))];
}
