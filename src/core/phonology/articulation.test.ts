import { describe, expect, test } from 'vitest';
import { ACCENTS } from './accents';
import { FAR, NEAR, soundDistance, vowelPath } from './articulation';
import { CONSONANTS } from './sounds';
import { sure } from '../sure';

const vowels = [
  ...new Set(
    ACCENTS.flatMap((a) => [...Object.values(a.vowels), ...Object.values(a.beforeR)]).flatMap((v) => v.split(' ')),
  ),
].filter((ipa) => !CONSONANTS[ipa]);
const inventory = [...Object.keys(CONSONANTS), ...vowels];

describe('a metric over the whole inventory', () => {
  test('zero for the same sound and no other, the same both ways', () => {
    for (const a of inventory)
      for (const b of inventory) {
        expect(soundDistance(a, b) === 0, `${a} ${b}`).toBe(a === b);
        expect(soundDistance(a, b), `${a} ${b}`).toBe(soundDistance(b, a));
      }
  });
  test('never longer than by way of a third', () => {
    let longer = '';
    for (const a of inventory)
      for (const b of inventory)
        for (const c of inventory)
          if (soundDistance(a, c) > soundDistance(a, b) + soundDistance(b, c) + 1e-9) longer = `${a} ${b} ${c}`;
    expect(longer).toBe('');
  });
});

// Places and manners of the IPA chart (2020 revision): sounds of one cell differ in voice, of one row in place, of one
// column in manner.
describe('consonants against the chart', () => {
  const VOICE_PAIRS = ['p b', 't d', 'k ɡ', 'f v', 'θ ð', 's z', 'ʃ ʒ', 'tʃ dʒ'].map(
    (p) => p.split(' ') as [string, string],
  );
  test.each(VOICE_PAIRS)('/%s/ and /%s/ share a cell: voice alone parts them', (a, b) => {
    expect(soundDistance(a, b)).toBe(soundDistance('p', 'b'));
    expect(CONSONANTS[a]).toMatchObject({
      voiced: false,
      place: sure(CONSONANTS[b]).place,
      manner: sure(CONSONANTS[b]).manner,
    });
    expect(sure(CONSONANTS[b]).voiced).toBe(true);
  });
  test.each([
    ['p', 't', 'k'],
    ['b', 'd', 'ɡ'],
    ['m', 'n', 'ŋ'],
    ['f', 'θ', 'ʃ'],
    ['f', 's', 'x'],
    ['v', 'z', 'ʒ'],
  ])('along a row from the lips back, /%s/ is nearer to /%s/ than to /%s/', (a, b, c) => {
    expect(soundDistance(a, b)).toBeLessThan(soundDistance(a, c));
  });
  test.each([
    ['t', 's', 'n'],
    ['d', 'z', 'l'],
    ['b', 'v', 'm'],
    ['tʃ', 'ʃ', 'r'],
  ])('/%s/ is nearer to /%s/ than to /%s/', (a, b, c) => expect(soundDistance(a, b)).toBeLessThan(soundDistance(a, c)));
  test.each([
    ['s', 'ʃ'],
    ['s', 'z'],
    ['f', 'θ'],
    ['t', 'k'],
    ['r', 'w'],
    ['m', 'n'],
  ])('/%s/ and /%s/, which children mix up, are near', (a, b) => expect(soundDistance(a, b)).toBeLessThanOrEqual(NEAR));
  test.each([
    ['s', 'm'],
    ['m', 'k'],
    ['p', 'l'],
    ['f', 'n'],
    ['t', 'r'],
  ])('/%s/ and /%s/ are far', (a, b) => expect(soundDistance(a, b)).toBeGreaterThanOrEqual(FAR));
});

// The vowel chart of the IPA (2020): height from close to open, front to back, rounded or not.
describe('vowels against the chart', () => {
  test.each([
    ['ɪ', 'e', 'æ'],
    ['iː', 'ɪ', 'ɑː'],
    ['e', 'æ', 'ɒ'],
    ['ʊ', 'uː', 'æ'],
    ['ʌ', 'ɒ', 'iː'],
    ['ɔː', 'ɒ', 'iː'],
    ['ə', 'ɜː', 'iː'],
    ['aɪ', 'eɪ', 'uː'],
    ['əʊ', 'ʊ', 'iː'],
  ])('/%s/ is nearer to /%s/ than to /%s/', (a, b, c) => {
    expect(soundDistance(a, b)).toBeLessThan(soundDistance(a, c));
  });
  test.each([
    ['i', 0, 0, false],
    ['u', 0, 2, true],
    ['ʉ', 0, 1, true],
    ['ə', 3, 1, false],
    ['ɔ', 4, 2, true],
    ['ʌ', 4, 2, false],
    ['ɛ', 4, 0, false],
    ['a', 6, 0, false],
    ['ɑ', 6, 2, false],
    ['ɒ', 6, 2, true],
  ] as const)('/%s/ stands at height %d, %d back, rounded %s', (ipa, height, back, round) => {
    expect(vowelPath(ipa).from).toMatchObject({ height, back, round });
  });
  test('a diphthong goes from one place to another and is long', () => {
    expect(vowelPath('aɪ')).toMatchObject({ from: { height: 6, back: 0 }, to: { height: 1 }, long: true });
    expect(vowelPath('ɑː').long).toBe(true);
    expect(vowelPath('æ').long).toBe(false);
  });
  test('a vowel and a consonant are farther apart than any two vowels', () => {
    const most = Math.max(...vowels.flatMap((a) => vowels.map((b) => soundDistance(a, b))));
    expect(soundDistance('iː', 'j')).toBeGreaterThan(most);
  });
  test('a symbol of no accent here is refused', () =>
    expect(() => soundDistance('y', 'i')).toThrow('not in the inventory'));
});
