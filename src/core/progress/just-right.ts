import { stepOf, taskOf } from '../games';
import { stepPoints } from '../games/hardness';
import type { Run } from './evidence';
import { guessOf } from './guessing';
import { justRight as say } from './text';

/**
 * How likely a child is to manage an item: a one-parameter logistic (Rasch 1960) whose ability is updated answer by
 * answer, as ratings are in chess (Elo 1978; for learning: Pelánek 2016, Applications of the Elo rating system in
 * adaptive educational systems; all from memory). Guessing is taken out. The points of games/hardness are the item's
 * difficulty.
 */
export interface Ability {
  /** Of all games, in logits. */
  readonly general: number;
  /** What a family of games adds or takes. */
  readonly family: Readonly<Partial<Record<string, number>>>;
}

/** Points of hardness that make one logit. Our own choice: a sound more is a little less than one. */
const POINTS_A_LOGIT = 12;
/** The item a child who is new has an even chance at: blending two sounds, near enough. */
const ANCHOR = 62;
const FIRST_STEP = 0.5;
const SLOWING = 0.06;

export const NEW_CHILD: Ability = { general: 0, family: {} };

/** Difficulty of points in logits. */
const logits = (points: number): number => (points - ANCHOR) / POINTS_A_LOGIT;
const sigmoid = (x: number): number => 1 / (1 + Math.exp(-x));

/** The chance that a child manages an item on their own. Example: `chanceOf(NEW_CHILD, 'blending', 62, 0) // 0.5`. */
export const chanceOf = ({ general, family }: Ability, of: string, points: number, guess: number): number =>
  guess + (1 - guess) * sigmoid(general + (family[of] ?? 0) - logits(points));

/** Ability after a child's fresh answers, oldest first. */
export function abilityOf(runs: readonly Run[]): Ability {
  let general = 0;
  const family: Partial<Record<string, number>> = {};
  let seen = 0;
  for (const run of [...runs].sort((a, b) => a.at - b.at || (a.task + a.step < b.task + b.step ? -1 : 1))) {
    if (run.standing !== 'fresh') continue;
    const task = taskOf(run.task);
    const points = stepPoints(task, stepOf(task, run.step));
    const guess = guessOf(run.task, run.step);
    for (const mark of run.marks) {
      if (mark === '-') continue;
      const p = chanceOf({ general, family }, task.family, points, guess);
      const known = sigmoid(general + (family[task.family] ?? 0) - logits(points));
      // The slope of the log-likelihood: with guessing a right answer says less.
      const step = FIRST_STEP / (1 + SLOWING * seen);
      const slope = mark === '1' ? ((1 - guess) * known * (1 - known)) / p : -known;
      general += step * slope * 0.7;
      family[task.family] = (family[task.family] ?? 0) + step * slope * 0.5;
      seen += 1;
    }
  }
  return { general, family };
}

/** What a round is aimed at: about eight in ten come off. Common practice, no source. */
export const JUST_RIGHT = 0.8;

/** The middle chance of a group at an item. */
export const groupChance = (abilities: readonly Ability[], of: string, points: number, guess: number): number =>
  abilities.length
    ? abilities.reduce((sum, a) => sum + chanceOf(a, of, points, guess), 0) / abilities.length
    : chanceOf(NEW_CHILD, of, points, guess);

/**
 * What is expected of a round, in words; never child by name.
 * @param chances of each child here, the mean of the round's items; none where nobody has answers
 * @example expectedInWords([0.62, 0.94]) // 'About 8 in 10 should come off alone; from child to child 6 to 9 in 10. A
 * guess from their answers so far.'
 */
export function expectedInWords(chances: readonly number[]): string {
  if (!chances.length) return say.nobodyAnswersYet;
  // Nothing is certain to come off, or not to.
  const tenths = (p: number): number => Math.min(9, Math.max(1, Math.round(p * 10)));
  const [least, most] = [tenths(Math.min(...chances)), tenths(Math.max(...chances))];
  const middle = tenths(chances.reduce((sum, p) => sum + p, 0) / chances.length);
  return say.aboutShouldCome(middle, least, most);
}
