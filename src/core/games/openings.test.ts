import { expect, test } from 'vitest';
import { TASKS, openingOf } from '.';
import type { Task } from './task';

/**
 * What an opening speaks of, and the games it may open: whoever hears that words come in bits is to put them together.
 * Which figure goes with which game is ours; common practice, no source.
 */
const FIGURES: readonly (readonly [figure: RegExp, fits: (task: Task) => boolean])[] = [
  [/\bin bits\b/, ({ act }) => act === 'blend'],
  [/beat by beat|put the first one (back )?together/, ({ act }) => act === 'blend'],
  [/pot for each sound|taking words apart/, ({ act }) => act === 'segment'],
  [/snip a sound|leaving a sound out/, ({ act, unit }) => act === 'leave-out' && unit === 'sound'],
  [/keeps one back|leaving a beat out/, ({ act, unit }) => act === 'leave-out' && unit === 'syllable'],
  [/add a sound|adding a sound/, ({ act }) => act === 'add'],
  [/digging one sound out|changing one sound/, ({ act }) => act === 'swap'],
  [/dug up one sound|One sound changes/, ({ id }) => id === 'which-changed'],
  [/back to front|backwards/, ({ id }) => id === 'reorder'],
  [/\bbeats?\b/, ({ unit }) => unit === 'syllable'],
  [/[Rr]hyming/, ({ unit }) => unit === 'rhyme'],
  [/its own sound|listening for one sound/, ({ family, id }) => family === 'first-sounds' && !/last|middle/.test(id)],
  [/wrong row|different sound/, ({ id }) => id === 'sound-odd'],
  [/the last sound/, ({ id }) => /last/.test(id)],
  [/in the middle of a word|the middle sound/, ({ id }) => id === 'middle-sound'],
  [/anywhere in a word/, ({ id }) => id === 'anywhere' || id === 'where'],
  [/popping up|each time we hear it/, ({ id }) => id === 'catch' || id === 'story'],
  [/nearly the same/, ({ id }) => id === 'twins'],
  [/a clue/, ({ id }) => id === 'clue'],
  [/the hedge|your turn/, ({ family }) => family === 'echo'],
  [/basket|list that grows/, ({ grows }) => grows === true],
  [/words? we say|counting words/, ({ unit }) => unit === 'word'],
  [/make lots of words/, ({ id }) => id === 'hunt'],
];

test.each(TASKS.map((task) => [task.id, task] as const))('the opening of %s fits the game', (_id, task) => {
  for (const line of [openingOf(task).opening, openingOf(task).plain]) {
    const said = FIGURES.filter(([figure]) => figure.test(line));
    expect(said, `“${line}” speaks of what is played`).not.toEqual([]);
    expect(
      said.filter(([, fits]) => !fits(task)).map(([figure]) => String(figure)),
      line,
    ).toEqual([]);
  }
});

// The check can fail: a radio that says words in bits opens no listening game.
test('an opening of another game is told', () => {
  const radio = openingOf(TASKS.find(({ id }) => id === 'blending') as Task).opening;
  const twins = TASKS.find(({ id }) => id === 'twins') as Task;
  expect(FIGURES.filter(([figure, fits]) => figure.test(radio) && !fits(twins))).not.toEqual([]);
});
