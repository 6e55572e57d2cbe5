import { describe, expect, test } from 'vitest';
import { generate } from '../games/generate';
import { stepOf, taskOf } from '../games';
import { readKey } from '../games/spec';
import { material } from '../testing/bank';
import { times } from '../testing/deep';
import { sure } from '../sure';
import { isPair } from './articulation';
import { byEar, EARS, MERGED, TWO_TH } from './by-ear';
import { ACCENT_IDS } from './accents';

describe('how sounds are told apart by ear', () => {
  // Miller & Nicely 1955, tables of confusions at +6 and 0 dB, from memory: the pairs most often taken for each other
  // share voice, nasality and friction.
  test.each([
    ['p', 'k'],
    ['p', 't'],
    ['t', 'k'],
    ['f', 'θ'],
    ['v', 'ð'],
    ['m', 'n'],
    ['d', 'ɡ'],
    ['b', 'd'],
  ])('/%s/ and /%s/ are near', (a, b) => expect(byEar(a, b)).toBe('near'));
  // Hardly ever taken for each other there: voice or nasality differ, and the manner.
  test.each([
    ['s', 'm'],
    ['f', 'b'],
    ['p', 'm'],
    ['t', 'z'],
    ['k', 'v'],
    ['ʃ', 'n'],
    ['s', 'b'],
    ['θ', 'ɡ'],
  ])('/%s/ and /%s/ are far', (a, b) => expect(byEar(a, b)).toBe('far'));
  test.each([
    ['p', 'b'],
    ['t', 's'],
    ['m', 'b'],
    ['f', 'v'],
  ])('/%s/ and /%s/ are between: voice, friction or nasality alone', (a, b) => expect(byEar(a, b)).toBe('between'));
  test('what was far on the chart of places and is near by ear, and the other way about', () => {
    expect([byEar('k', 'p'), byEar('ɡ', 'b'), byEar('h', 'f')]).toEqual(['near', 'near', 'near']);
    expect([byEar('t', 'f'), byEar('tʃ', 'f'), byEar('dʒ', 'v')]).not.toContain('near');
  });
  test('it is the same both ways, and nothing is far from itself', () => {
    for (const a of EARS) {
      expect(byEar(a, a), a).toBe('near');
      for (const b of EARS) expect(byEar(a, b), `${a} ${b}`).toBe(byEar(b, a));
    }
  });
  test('every sound that begins words has some that are far from it', () => {
    for (const a of EARS.filter((ipa) => !['ŋ', 'ʒ', 'x', 'ʍ'].includes(ipa)))
      expect(EARS.filter((b) => byEar(a, b) === 'far').length, a).toBeGreaterThanOrEqual(5);
  });
});

const SEEDS = times(200, 12);
const NEAR_STEPS = [
  ['same-first', 'near'],
  ['sound-odd', '4-near'],
  ['sort', 'near'],
] as const;

test.each(ACCENT_IDS)('no near foil hangs on a pair that many children merge, none on the two th (%s)', (accent) => {
  const made = material(accent);
  const first = (word: string): string => sure(sure(made.byName.get(word)).sounds[0]).ipa;
  for (const [task, step] of NEAR_STEPS) {
    for (let seed = 1; seed <= SEEDS; seed += 1) {
      const set = generate(taskOf(task), stepOf(taskOf(task), step), made, { size: 6, seed });
      for (const { key } of set.items) {
        const { words, sounds = [] } = readKey(key);
        const heard = [...new Set([...words.map(first), ...sounds])];
        for (const a of heard)
          for (const b of heard) expect(isPair([...MERGED, TWO_TH], a, b), `${task} ${key}: ${a} ${b}`).toBe(false);
      }
    }
  }
});
