import { makingOf } from '../phonology/sounds';
import type { Making } from '../phonology/consonants';
import { syllableCount } from '../phonology/transcription';
import { sure } from '../sure';
import type { Word } from './entry';

/** Points a word earns; a higher sum is harder. Order of the rungs: common practice, no source. */
const POINTS = {
  sound: 10,
  clusterSound: 4,
  syllable: 6,
  band: 3,
  first: { hold: 0, vowel: 1, light: 2, clip: 3 } satisfies Record<Making, number>,
};

/** How the first sound is made. Example: `firstMaking(sun) // 'hold'`. */
export const firstMaking = (word: Word): Making => makingOf(sure(word.sounds[0]).ipa);

/** True where the sound and the one before it are consonants of one syllable. Example: the r of *frog*. */
export function followsInCluster({ sounds }: Pick<Word, 'sounds'>, at: number): boolean {
  const [before, here] = [sounds[at - 1], sounds[at]];
  return (
    before !== undefined && here !== undefined && !before.vowel && !here.vowel && before.syllable === here.syllable
  );
}

/** True where the sound stands next to another consonant of its syllable. Example: the f and the r of *frog*. */
export const inCluster = (word: Pick<Word, 'sounds'>, at: number): boolean =>
  followsInCluster(word, at) || followsInCluster(word, at + 1);

/**
 * How hard a word is to blend or segment: more sounds, clusters, syllables, a clipped start and a less
 * familiar word add up.
 * @example difficulty(sun) < difficulty(frog) // true
 */
export function difficulty(word: Word): number {
  const clusters = word.sounds.filter((_, at) => inCluster(word, at)).length;
  return (
    word.count * POINTS.sound +
    clusters * POINTS.clusterSound +
    (syllableCount(word.segments) - 1) * POINTS.syllable +
    (word.entry.band - 1) * POINTS.band +
    POINTS.first[firstMaking(word)]
  );
}
