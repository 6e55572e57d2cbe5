import { forecast, modelOf, type Model } from './model';

const expectedRight = (middle: number, least: number, most: number) =>
  `They should get about ${middle} in 10 on their ` +
  `own${least === most ? '' : ` (${least} to ${most}, depending on the child)`}. It’s our best guess from their ` +
  'answers so far.';

/** What a round is aimed at: about eight in ten come off. Common practice, no source. */
export const JUST_RIGHT = 0.8;

/** A child of whom nothing is known. */
const NEW_CHILD = modelOf([], 0);

type ForecastQuestion = Parameters<typeof forecast>[1];

/**
 * The middle chance of a group at an item; of a child who is new where nobody has answers.
 * @example groupForecast(models, { task: 'blending', step: '3-clip' }) // 0.72
 */
export const groupForecast = (models: readonly Model[], item: ForecastQuestion): number =>
  models.length
    ? models.reduce((sum, m) => sum + forecast(m, item).chance, 0) / models.length
    : forecast(NEW_CHILD, item).chance;

/**
 * What is expected of a round, in words; never child by name.
 * @param chances of each child here, the mean of the round's items; none where nobody has answers
 * @example expectedInWords([0.62, 0.94]) // 'They should get about 8 in 10 on their own (6 to 9, …'
 */
export function expectedInWords(chances: readonly number[]): string {
  if (!chances.length) return 'No one here has any answers yet, so this is aimed at a child who is new to it.';
  // Nothing is certain to come off, or not to.
  const tenths = (p: number): number => Math.min(9, Math.max(1, Math.round(p * 10)));
  const [least, most] = [tenths(Math.min(...chances)), tenths(Math.max(...chances))];
  const middle = tenths(chances.reduce((sum, p) => sum + p, 0) / chances.length);
  return expectedRight(middle, least, most);
}
