import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from '../phonology/accents';
import { material, oneBeats, word } from '../testing/bank';
import { times } from '../testing/deep';
import { generate } from './generate';
import { taskOf } from './index';
import { restOf, senseOfRest, type Sense } from './sense';

const SEEDS = times(200, 12);

/** What is left of a word without the sound at a place. */
const without = (name: string, at: number): Sense => {
  const segment = word(name).sounds[at]?.segment;
  return senseOfRest(word(name), (s) => s !== segment, material());
};

describe('word, silly word, or neither', () => {
  // Each was called “not a word we know” before; any dictionary has them. From memory.
  test.each([
    ['shark', 0, 'ark'],
    ['snip', 0, 'nip'],
    ['trot', 1, 'tot'],
    ['plug', 1, 'pug'],
    ['thumb', 0, 'um'],
    ['tail', 0, 'ale'],
  ])('%s without sound %i is a word: %s', (name, at) => expect(without(name, at)).toBe('word'));
  test('what no list has is silly', () => {
    expect([without('boot', 0), without('school', 1), without('spoon', 3)]).toEqual(['silly', 'silly', 'silly']);
  });
  test('a rare word or a name is neither; what is a word in another accent is never silly', () => {
    expect(without('stamp', 0)).toBe('neither');
    expect(without('fault', 3)).not.toBe('silly');
  });
  test('a silly word says what it is; of the rest nothing is claimed', () => {
    expect(restOf(['uː', 't'], 'silly', material()).expected).toBe('oot (made-up)');
    expect(restOf(['t', 'æ', 'm', 'p'], 'neither', material()).expected).toBe('tamp');
  });
});

// Over everything the two games can make, against the CMU Pronouncing Dictionary, names among it.
test.each(ACCENT_IDS)('nothing that is called made-up is a word or a name in any list (%s)', (accent) => {
  const made = material(accent);
  const words = ['leave-out', 'drop-beat'].flatMap((id) =>
    taskOf(id).steps.flatMap((step) =>
      Array.from({ length: SEEDS }, (_, seed) => generate(taskOf(id), step, made, { size: 8, seed: seed + 1 }).items)
        .flat()
        .filter((item) => item.expected.includes('made-up'))
        .flatMap(({ key, judged }) => {
          const sounds = judged.by === 'sounds' ? judged.sounds : [];
          return oneBeats.known(sounds, accent) || made.knownAs(sounds) ? [`${key}: ${sounds.join(' ')}`] : [];
        }),
    ),
  );
  expect(words).toEqual([]);
});
