import { comingTrue } from '../choosing/coming-true';
import type { Coming } from '../choosing/model';

/** How well forecasts hold, as any handbook of prediction models has it (Steyerberg 2009, from memory). */
export interface Forecasted {
  /** Forecast chance, 0 to 1. */
  readonly chance: number;
  readonly right: boolean;
}

/** Mean squared error of the forecasts (Brier 1950). Example: 0.25 for always saying one half. */
export const brier = (all: readonly Forecasted[]): number =>
  all.reduce((sum, { chance, right }) => sum + (chance - Number(right)) ** 2, 0) / all.length;

/** Slope and intercept of what came on what was forecast, with nothing to hold them. */
export const calibration = (all: readonly Forecasted[]): Coming =>
  comingTrue(all.map(({ chance, right }) => ({ chance, right: Number(right), wrong: Number(!right) })));
