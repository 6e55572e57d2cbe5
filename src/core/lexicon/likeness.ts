import type { Word } from './entry';

const ipa = (word: Pick<Word, 'sounds'>): string[] => word.sounds.map((s) => s.ipa);

/** The sounds from the last stressed vowel (main or second) to the end. Example: *crawl* → `ɔː l`. */
export function rhymeOf(word: Pick<Word, 'sounds' | 'segments'>): string {
  const from = word.sounds.findLastIndex((s) => s.vowel && word.segments[s.segment]!.stress !== 'none');
  return ipa(word).slice(Math.max(from, 0)).join(' ');
}

/** True where two words sound the same. Example: *see* and *sea*. */
export const homophones = (a: Word, b: Word): boolean => ipa(a).join(' ') === ipa(b).join(' ');

/** True where two words rhyme: alike from the last stressed vowel on, unlike before it. */
export const rhymes = (a: Word, b: Word): boolean => rhymeOf(a) === rhymeOf(b) && !homophones(a, b);

/** True where one sound swapped, left out or added makes one word into the other. Example: *cup* and *cap*. */
export function oneSoundApart(a: Word, b: Word): boolean {
  const [long, short] = a.sounds.length >= b.sounds.length ? [ipa(a), ipa(b)] : [ipa(b), ipa(a)];
  if (long.length - short.length > 1) return false;
  let at = 0;
  while (at < short.length && long[at] === short[at]) at += 1;
  const rest = long.slice(at + 1).join(' ');
  return long.length === short.length
    ? at < long.length && rest === short.slice(at + 1).join(' ')
    : rest === short.slice(at).join(' ');
}

/** Words that would muddle each other in one set. */
export const tooAlike = (a: Word, b: Word): boolean => homophones(a, b) || rhymes(a, b) || oneSoundApart(a, b);
