import type { Outcome, Slip } from './outcome';

/** How an item's answer is judged; plain data, so that the screen can say it and the core can do it. */
export type Judged =
  /** These sounds, in this order. */
  | { readonly by: 'sounds'; readonly sounds: readonly string[] }
  /** Anything that ends alike from the vowel on and begins otherwise, word or not. */
  | { readonly by: 'rhyme'; readonly rime: readonly string[]; readonly onset: readonly string[] }
  /** Anything that begins with the sound; whether it fits the clue is heard by the adult. */
  | { readonly by: 'begins'; readonly sound: string }
  /** One of the choices. */
  | { readonly by: 'choice'; readonly choices: readonly string[]; readonly right: number }
  /** A number of beats, sounds or words. */
  | { readonly by: 'number'; readonly right: number }
  /** Parts, wherever the cuts fall, as long as there are so many. */
  | { readonly by: 'parts'; readonly count: number }
  /** Each entry of a list, in order. */
  | { readonly by: 'list'; readonly entries: readonly string[] }
  /** Any word of the hunt's list. */
  | { readonly by: 'words' };

export interface Judgement {
  readonly outcome: Extract<Outcome, 'on-own' | 'not-yet'>;
  readonly slip: Slip | null;
  /** Why, in words for the adult. */
  readonly why: string;
}

const same = (a: readonly string[], b: readonly string[]): boolean => a.length === b.length && a.every((x, i) => x === b[i]);
const right = (why: string): Judgement => ({ outcome: 'on-own', slip: null, why });
const slip = (kind: Slip, why: string): Judgement => ({ outcome: 'not-yet', slip: kind, why });

/** The sounds before the last strong vowel, and from it on; `strong` counts vowels from the start. */
function cutAtVowel(sounds: readonly string[], isVowel: (ipa: string) => boolean, from: number): readonly [readonly string[], readonly string[]] {
  const at = sounds.findIndex((ipa, i) => i >= from && isVowel(ipa));
  return at < 0 ? [sounds, []] : [sounds.slice(0, at), sounds.slice(at)];
}

/**
 * Judges what was said, as sounds of the accent in force.
 * @param asked the sounds of the word the item is about
 * @param isVowel tells the accent's vowels
 * @example judge({ by: 'sounds', sounds: ['m', 'æ', 'p'] }, ['m', 'æ', 'p'], ['m', 'ɒ', 'p'], isVowel).outcome // 'on-own'
 */
export function judge(judged: Judged, said: readonly string[], asked: readonly string[], isVowel: (ipa: string) => boolean): Judgement {
  if (!said.length) return slip('other-word', 'Nothing to judge.');
  switch (judged.by) {
    case 'sounds':
      if (same(said, judged.sounds)) return right('Just that.');
      if (same(said, asked)) return slip('unchanged', 'The word as it was.');
      return slip('other-word', 'Not that word.');
    case 'rhyme': {
      if (same(said, asked)) return slip('unchanged', 'The same word again.');
      // The rhyme may stand at the end of a longer word: cat, acrobat.
      const tail = said.slice(-judged.rime.length);
      const before = said.slice(0, -judged.rime.length);
      const cut = before.findLastIndex(isVowel) + 1;
      if (same(tail, judged.rime) && !same(before.slice(cut), judged.onset)) return right('It rhymes.');
      if (same(tail, judged.rime)) return slip('unchanged', 'The same from its start on: no rhyme.');
      const [, rime] = cutAtVowel(said, isVowel, 0);
      if (said[0] === asked[0]) return slip('same-start', 'It has the same first sound, and does not rhyme.');
      return slip('other-word', rime[0] === judged.rime[0] ? 'It shares the vowel only.' : 'It does not rhyme.');
    }
    case 'begins':
      return said[0] === judged.sound ? right('It begins so. Does it fit the clue?') : slip('other-sound', 'It begins with another sound.');
    default:
      return slip('other-word', 'This one is judged by ear.');
  }
}

/** How an item is judged, in words. */
export const JUDGED_WORDS: Readonly<Record<Judged['by'], string>> = {
  sounds: 'right where these are the sounds said', rhyme: 'any word or made-up word that ends alike and begins otherwise is right',
  begins: 'any answer that begins so and fits the clue is right', choice: 'one of the choices is right', number: 'the number is right',
  parts: 'any cut into so many parts is right', list: 'every entry, in order', words: 'any word the sounds can make is right',
};

/** The chance of being right by luck alone, 0 where the answer is open. Example: one half for yes or no. */
export const luckOf = (judged: Judged): number => (judged.by === 'choice' ? 1 / judged.choices.length : 0);
