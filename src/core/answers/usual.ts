import type { LikelyAnswer } from './likely';
import type { Slip } from './outcome';
import type { Mark } from '../games/view';

/**
 * How usual an answer is among children of three to six, from 0 to 1, the most usual first. The order rests on, all
 * from memory: Treiman, Onsets and rimes as units of spoken syllables (1985), for clusters that are kept whole and
 * sounds lost out of them; McLeod, van Doorn & Reed, Normal acquisition of consonant clusters (2001), for the second of
 * two that goes; Stuart-Hamilton and Treiman on letter names for sounds (1998); the rest is common practice, no source.
 * The numbers between are our own choice.
 */
const USUAL: Partial<Record<Slip, number>> = {
  'cluster-kept': 0.95,
  'rime-kept': 0.85,
  unchanged: 0.8,
  'not-joined': 0.8,
  'whole-word': 0.7,
  'part-only': 0.6,
  'added-uh': 0.55,
  'in-cluster': 0.55,
  'last-only': 0.5,
  'same-start': 0.5,
  'other-sound': 0.5,
  'heard-closely': 0.5,
  'letter-name': 0.4,
  'swapped-sound': 0.35,
  'near-sound': 0.35,
  'wrong-place': 0.3,
};

/** A sound that was lost: out of a cluster beside the vowel or at its edge, at the end, at the start. */
const LOST = { inner: 1, outer: 0.65, end: 0.6, start: 0.3 } as const;
const ANYTHING_ELSE = 0.2;

/** A sound, and whether it is a vowel. */
export type Sounded = Pick<Mark, 'ipa' | 'making'>;

/** Where a lost sound stood. */
function lostAt(sounds: readonly Sounded[], at: number): keyof typeof LOST {
  const vowel = sounds.findIndex((s) => s.making === 'vowel');
  const consonant = (i: number): boolean => sounds[i] !== undefined && sounds[i].making !== 'vowel';
  if (consonant(at) && (consonant(at - 1) || consonant(at + 1)))
    return consonant(at - 1) === consonant(at + 1) || (consonant(at - 1) ? at < vowel : at > vowel) ? 'inner' : 'outer';
  return at === sounds.length - 1 ? 'end' : 'start';
}

/**
 * How usual a likely answer is.
 * @param sounds of the item's word
 * @example usual({ slip: 'lost-sound', missed: [1] }, item.marks) // 1 for *frog* without its r
 */
export function usual({ slip, missed }: Pick<LikelyAnswer, 'slip' | 'missed'>, sounds: readonly Sounded[]): number {
  const [at] = missed;
  if (slip === 'lost-sound' && at !== undefined && at < sounds.length) return LOST[lostAt(sounds, at)];
  return slip === null ? 1 : (USUAL[slip] ?? ANYTHING_ELSE);
}
