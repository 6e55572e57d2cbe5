import type { LikelyAnswer } from './likely';
import type { Slip } from './outcome';
import { sure } from '../sure';
import { usual, type Sounded } from './usual';

/** Chips shown at once. */
export const SHOWN = 4;

/** What a child has said before: how often each slip, and each slip of each sound. */
export type Habits = Readonly<Record<string, number>>;

export const NO_HABITS: Habits = {};

interface PastAnswer {
  readonly slip: Slip | null;
  /** The sounds of the item’s word. */
  readonly sounds: readonly string[];
  readonly missed: readonly number[];
}

/** Names under which a slip is counted: the slip, and the slip of that sound. */
const keysOf = (slip: Slip, sounds: readonly string[], missed: readonly number[]): string[] => [
  slip,
  ...(missed.length === 1 && sounds[sure(missed[0])] ? [`${slip} ${sounds[sure(missed[0])]}`] : []),
];

/**
 * Counts what was said.
 * @example habitsOf([{ slip: 'lost-sound', sounds: ['f', 'r', 'ɒ', 'ɡ'], missed: [1] }])['lost-sound r'] // 1
 */
export function habitsOf(answers: readonly PastAnswer[]): Habits {
  const times: Record<string, number> = {};
  for (const { slip, sounds, missed } of answers) {
    if (slip) for (const key of keysOf(slip, sounds, missed)) times[key] = (times[key] ?? 0) + 1;
  }
  return times;
}

export const addHabits = (a: Habits, b: Habits): Habits =>
  Object.fromEntries(
    [...new Set([...Object.keys(a), ...Object.keys(b)])].map((key) => [key, (a[key] ?? 0) + (b[key] ?? 0)]),
  );

/** Times a child must have said a thing before it comes before what children usually say. */
const SLOW_TO_LEARN = 4;

/** Choices and numbers keep their places, so that the thumb finds them. */
const fixed = (candidates: readonly LikelyAnswer[]): boolean =>
  candidates.every((c) => c.slip === null || c.slip === 'wrong-choice' || c.slip === 'other-count');

/**
 * The few answers this child is likeliest to give: what children usually say, drawn towards what this one has said
 * before. Right answers stay in front. Same habits in, same order out.
 *
 * @param sounds the sounds of the item's word
 * @example rank(item.likely, item.marks, NO_HABITS).map((a) => a.note)
 */
export function rank(candidates: readonly LikelyAnswer[], sounds: readonly Sounded[], habits: Habits): LikelyAnswer[] {
  const ipa = sounds.map((s) => s.ipa);
  if (fixed(candidates)) return candidates.slice(0, SHOWN);
  const score = (candidate: LikelyAnswer): number => {
    const { slip } = candidate;
    if (slip === null) return Infinity;
    return (
      usual(candidate, sounds) * SLOW_TO_LEARN +
      keysOf(slip, ipa, candidate.missed).reduce((sum, key) => sum + (habits[key] ?? 0), 0)
    );
  };
  return candidates
    .map((c, i) => ({ c, at: i, score: score(c) }))
    .sort((a, b) => (a.score === b.score ? a.at - b.at : b.score - a.score))
    .slice(0, SHOWN)
    .map(({ c }) => c);
}
