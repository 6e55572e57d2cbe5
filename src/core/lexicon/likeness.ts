import { ACCENT_IDS } from '../phonology/accents';
import { PRESETS } from '../phonology/conventions';
import { sure } from '../sure';
import { prepare, type Entry, type Word } from './entry';
import { traitsOf } from './traits';

/** True where two words sound the same. Example: *see* and *sea*. */
export const homophones = (a: Word, b: Word): boolean => traitsOf(a).said === traitsOf(b).said;

const sameEnd = (a: Word, b: Word): boolean => traitsOf(a).rhyme === traitsOf(b).rhyme;

/**
 * True where two words rhyme: alike from the last stressed vowel on, unlike before it; *frog* and *leapfrog* do not.
 */
export const rhymes = (a: Word, b: Word): boolean => sameEnd(a, b) && traitsOf(a).onset !== traitsOf(b).onset;

/** True where one sound swapped, left out or added makes one word into the other. Example: *cup* and *cap*. */
export function oneSoundApart(a: Word, b: Word): boolean {
  const [x, y] = [traitsOf(a).said, traitsOf(b).said];
  const [long, short] = x.length >= y.length ? [x, y] : [y, x];
  if (long.length - short.length > 1) return false;
  let at = 0;
  while (at < short.length && long[at] === short[at]) at += 1;
  if (at === long.length) return false;
  return long.slice(at + 1) === (long.length === short.length ? short.slice(at + 1) : short.slice(at));
}

/** Words that would muddle each other in one set. */
export const tooAlike = (a: Word, b: Word): boolean => homophones(a, b) || sameEnd(a, b) || oneSoundApart(a, b);

/** The word for each string of sounds; of words that sound alike, the one children know best. */
export function spellingsOf(words: readonly Word[]): ReadonlyMap<string, Word> {
  const best = new Map<string, Word>();
  for (const word of words) {
    const said = word.sounds.map((s) => s.ipa).join(' ');
    const other = best.get(said);
    if (!other || word.entry.band < other.entry.band) best.set(said, word);
  }
  return best;
}

/**
 * Words whose number of sounds nobody would argue about: the same in every accent, under every convention and for every
 * speaker, and said in one way.
 */
export function sameForEveryone(entries: readonly Entry[]): Set<string> {
  const agreed = entries.filter((entry) => {
    if (entry.doubt) return false;
    const said = ACCENT_IDS.map((accent) => prepare(entry, accent, PRESETS.strict));
    return said.every((w) => !w.contest && w.count === sure(said[0]).count);
  });
  return new Set(agreed.map((e) => e.word));
}
