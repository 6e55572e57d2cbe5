import { followsInCluster } from '../lexicon/difficulty';
import type { Word } from '../lexicon/entry';
import type { AccentId } from '../phonology/accents';
import { labelOf, makingOf } from '../phonology/sounds';
import { isVowelKey } from '../phonology/keys';
import type { Sound } from '../phonology/realise';
import { sure } from '../sure';
import type { Mark, Shown } from './view';

/** The marks of a word's bounce line. */
export function marksOf(word: Word): Mark[] {
  const seconds = new Set(word.units.flatMap((unit) => unit.sounds.slice(1)));
  const letters = lettersBySegment(word);
  return word.sounds.map((sound, at) => ({
    ipa: sound.ipa,
    ...labelOf(sound.ipa, word.accent, word.sounds[at + 1]?.ipa),
    ...(letters[sound.segment] ? { letters: sure(letters[sound.segment]) } : {}),
    making: makingOf(sound.ipa),
    close: followsInCluster(word, at),
    fused: seconds.has(sound),
    ...vowelFacts(word, sound),
  }));
}

/** What is known of a vowel: its set, and whether its beat has no stress. */
function vowelFacts({ segments }: Word, { key, segment, vowel }: Sound): Pick<Mark, 'set' | 'weak'> {
  if (!vowel || !isVowelKey(key)) return {};
  return { set: key, ...(segments[segment]?.stress === 'none' ? { weak: true } : {}) };
}

/** The letters of each segment; none where one piece spells several keys. */
function lettersBySegment({ entry }: Word): (string | undefined)[] {
  const lettersOf = ({ keys, letters, tail }: (typeof entry.letters)[number]): string | undefined => {
    if (keys > 1) return undefined;
    return tail ? `${letters}‑${tail}` : letters;
  };
  return entry.letters.flatMap((piece) => Array.from({ length: piece.keys }, () => lettersOf(piece)));
}

/** A mark for a sound that stands alone. */
export const soundMark = (ipa: string, accent: AccentId): Mark => ({
  ipa,
  ...labelOf(ipa, accent),
  making: makingOf(ipa),
  close: false,
  fused: false,
});

export const shownOf = (word: Word): Shown => ({
  word: word.word,
  marks: marksOf(word),
  count: word.count,
  meaning: word.entry.meaning,
  picture: word.entry.picture,
  prop: word.entry.prop,
  cautions: word.entry.cautions,
});
