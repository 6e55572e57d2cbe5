import { writeFileSync } from 'node:fs';
import { test } from 'vitest';
import { brier, calibration } from '../src/core/testing/calibration';
import { anyStep, forecastsIn, gained, learnedFrom, ours } from '../src/core/testing/held';
import { ANYHOW, FIXED, KNOWS, ONE_UP_ONE_BACK, TEACHINGS } from '../src/core/testing/practice';
import { WORLDS } from '../src/core/testing/worlds';
import { tableOf } from './table';

/** Groups of eight a world, and children a law of teaching. */
const GROUPS = Number(process.env.WORLD_GROUPS ?? 125);
const CHILDREN = Number(process.env.CHILDREN ?? 150);

const INTRO = `# How forecasts and advice hold on made-up children

Worlds that are not the model (core/testing/worlds.ts, practice.ts): other curves, lapses, learning, adults of four
kinds. \`npm run bench\` prints these tables; \`BOUNCY_ECHO_DOCS=1 WORLD_GROUPS=500 npm run bench\` writes this
page. Nothing here is a claim about real children.
`;

test('forecasts of the last session, and what advice comes to', () => {
  const forecasts = WORLDS.map((world) => {
    const { ours: all, percent, step } = forecastsIn(world, GROUPS);
    const scores = [all, percent, step].map((f) => brier(f).toFixed(4));
    const plain = forecastsIn(world, GROUPS, false).ours;
    return [world.name, calibration(all).slope.toFixed(2), calibration(plain).slope.toFixed(2), ...scores];
  });
  const advice = TEACHINGS.map((teaching) => {
    const [known = 0, ...others] = [KNOWS, ONE_UP_ONE_BACK, FIXED, ANYHOW].map((p) => gained(teaching, p, CHILDREN));
    const local = learnedFrom(teaching);
    const [mine = 0, free = 0] = [ours, anyStep].map((p) => gained(teaching, p(local), CHILDREN));
    const best = Math.max(...others);
    const closed = (of: number): string =>
      known - best > 0.01 ? `${((100 * (of - best)) / (known - best)).toFixed(0)} %` : '–';
    return [teaching.name, ...[mine, ...others, known].map((g) => g.toFixed(2)), closed(mine), closed(free)];
  });
  const tables = [
    `The last session of ${GROUPS * 8} children a world, forecast from what came before it: calibration slope, ` +
      'with what the children of a setting show together and without it (a setting of fewer than fifty has none), ' +
      'and Brier’s score of our forecast, of percent right so far and of the step alone (less is better).',
    tableOf(['world', 'slope', 'slope without', 'ours', 'percent right', 'the step alone'], forecasts),
    `What a hundred turns add to true ability, in logits (${CHILDREN} children a row), and how much of the way from ` +
      'the best of the others to the one who knows the truth ours goes; and how much the same model would go if it ' +
      'were free to take any step, not one at a time: who is not told which turns teach goes no further than that.',
    tableOf(
      ['what teaches', 'ours', 'one up, one back', 'fixed', 'anyhow', 'knows the truth', 'of the way', 'any step'],
      advice,
    ),
  ].join('\n\n');
  console.log(`\n${tables}`);
  if (process.env.BOUNCY_ECHO_DOCS) writeFileSync('docs/judgement.md', `${INTRO}\n${tables}\n`);
}, 900_000);
