import { describe, expect, test } from 'vitest';
import { marksOf } from '../games/marks';
import { word } from '../testing/bank';
import type { AccentId } from '../phonology/accents';
import { analyse, type Analysis } from './analyse';
import { NO_OWN_WAY, type OwnWay } from './own-way';
import { chunksOf } from './said';

/**
 * Answers made by hand, one a line: the word, what was said (parts apart by spaces, sounds of one part joined by +),
 * the slip that is named, the sounds missed by number from 1. The words' sounds are those of the verified bank. What
 * children say when they lose, keep together, add or move sounds: common practice, no source, but where one is named.
 */
const APART = `
frog     | f r ɒ ɡ        | right        |
frog     | f ɒ ɡ          | lost-sound   | 2
frog     | r ɒ ɡ          | lost-sound   | 1
frog     | f r ɒ          | lost-sound   | 4
frog     | f+r ɒ ɡ        | cluster-kept | 1 2
frog     | f r ɒ+ɡ        | rime-kept    | 3 4
frog     | f+r ɒ+ɡ        | rime-kept    | 1 2 3 4
frog     | f+r+ɒ+ɡ        | whole-word   | 1 2 3 4
frog     | f+ə r ɒ ɡ      | added-uh     |
frog     | f+ə r+ə ɒ ɡ+ə  | added-uh     |
frog     | f+r+ə ɒ ɡ      | cluster-kept | 1 2
frog     | f+ə ɒ ɡ+ə      | lost-sound   | 2
frog     | ɡ              | last-only    | 1 2 3
frog     | f              | part-only    | 2 3 4
frog     | f+r            | part-only    | 1 2 3 4
frog     | ɒ+ɡ            | part-only    | 1 2 3 4
frog     | f w ɒ ɡ        | near-sound    | 2
frog     | f r ɒ d        | near-sound    | 4
frog     | f r æ ɡ        | swapped-sound | 3
frog     | r f ɒ ɡ        | reordered    | 1
frog     | f r ɡ ɒ        | reordered    | 3
frog     | f r ɒ ɡ s      | added-sound  |
frog     | m              | other-word   | 1 2 3 4
sun      | s ʌ n          | right        |
sun      | s+ʌ n          | cluster-kept | 1 2
sun      | s ʌ+n          | rime-kept    | 2 3
sun      | s+ʌ+n          | whole-word   | 1 2 3
sun      | s ʌ            | lost-sound   | 3
sun      | ʌ n            | lost-sound   | 1
sun      | s n            | lost-sound   | 2
sun      | s ʌ m          | near-sound    | 3
sun      | ʃ ʌ n          | near-sound    | 1
sun      | s+ə ʌ n+ə      | added-uh     |
sun      | n              | last-only    | 1 2
sat      | s æ t          | right        |
sat      | s æ+t          | rime-kept    | 2 3
sat      | s t            | lost-sound   | 2
sat      | t æ s          | reordered    | 1 3
sat      | s æ t ə        | added-uh     |
stick    | s t ɪ k        | right        |
stick    | s+t ɪ k        | cluster-kept | 1 2
stick    | t ɪ k          | lost-sound   | 1
stick    | s ɪ k          | lost-sound   | 2
stick    | s t ɪ          | lost-sound   | 4
stick    | s t ɪ+k        | rime-kept    | 3 4
stick    | s+ə t+ə ɪ k+ə  | added-uh     |
stick    | s t ɪ t        | near-sound    | 4
stick    | t s ɪ k        | reordered    | 1 2
drink    | d r ɪ ŋ k      | right        |
drink    | dʒ r ɪ ŋ k     | heard-closely |
drink    | d ɪ ŋ k        | lost-sound   | 2
drink    | d r ɪ k        | lost-sound   | 4
drink    | d r ɪ ŋ        | lost-sound   | 5
drink    | d r ɪ ŋ+k      | cluster-kept | 4 5
drink    | d+r ɪ ŋ+k      | cluster-kept | 1 2 4 5
drink    | d r ɪ+ŋ+k      | rime-kept    | 3 4 5
drink    | d r ɪ m k      | near-sound    | 4
train    | tʃ r eɪ n      | heard-closely |
train    | t r eɪ n       | right        |
train    | t eɪ n         | lost-sound   | 2
train    | tʃ eɪ n        | lost-sound   | 2
tree     | t r iː         | right        |
tree     | tʃ+ə r iː      | heard-closely |
tree     | t+r iː         | cluster-kept | 1 2
tree     | t iː           | lost-sound   | 2
spoon    | p uː n         | lost-sound   | 1
spoon    | s uː n         | lost-sound   | 2
spoon    | s p uː n       | right        |
spoon    | s+p uː+n       | rime-kept    | 1 2 3 4
spoon    | s p uː m       | near-sound    | 4
ship     | ʃ ɪ p          | right        |
ship     | s ɪ p          | near-sound    | 1
ship     | s h ɪ p        | several | 1
ship     | ʃ ɪ+p          | rime-kept    | 2 3
fish     | f ɪ ʃ          | right        |
fish     | f ɪ s          | near-sound    | 3
fish     | ʃ ɪ f          | reordered    | 1 3
box      | b ɒ k s        | right        |
box      | b ɒ k+s        | cluster-kept | 3 4
box      | b ɒ s          | lost-sound   | 3
box      | b ɒ k          | lost-sound   | 4
queen    | k w iː n       | right        |
queen    | k+w iː n       | cluster-kept | 1 2
queen    | k iː n         | lost-sound   | 2
hand     | h æ n d        | right        |
hand     | h æ d          | lost-sound   | 3
hand     | h æ n          | lost-sound   | 4
hand     | h æ n+d        | cluster-kept | 3 4
hand     | æ n d          | lost-sound   | 1
hand     | h æ+n+d        | rime-kept    | 2 3 4
milk     | m ɪ k          | lost-sound   | 3
milk     | m ɪ l          | lost-sound   | 4
milk     | m ɪ l k        | right        |
milk     | m ɪ k l        | reordered    | 3
splash   | s p l æ ʃ      | right        |
splash   | s+p+l æ ʃ      | cluster-kept | 1 2 3
splash   | p l æ ʃ        | lost-sound   | 1
splash   | s l æ ʃ        | lost-sound   | 2
splash   | s p æ ʃ        | lost-sound   | 3
splash   | s+p l æ+ʃ      | rime-kept    | 1 2 4 5
bee      | b iː           | right        |
bee      | b+iː           | whole-word   | 1 2
bee      | b+ə iː         | added-uh     |
bee      | iː             | last-only    | 1
egg      | e ɡ            | right        |
egg      | e+ɡ            | whole-word   | 1 2
egg      | ɡ              | last-only    | 1
pig      | p ɪ ɡ          | right        |
pig      | ɡ ɪ p          | reordered    | 1 3
pig      | b ɪ ɡ          | swapped-sound | 1
pig      | p+ə ɪ ɡ+ə      | added-uh     |
pig      | p ɪ k          | near-sound    | 3
`;

const JOINED = `
frog     | f+r+ɒ+ɡ        | right        |
frog     | f+ɒ+ɡ          | lost-sound   | 2
frog     | r+ɒ+ɡ          | lost-sound   | 1
frog     | f+r+ɒ          | lost-sound   | 4
frog     | f r ɒ ɡ        | not-joined   |
frog     | f r ɒ+ɡ        | not-joined   |
frog     | ɡ              | last-only    | 1 2 3
frog     | ɒ+ɡ            | part-only    | 1 2
frog     | f+l+ɒ+ɡ        | near-sound    | 2
frog     | f+w+ɒ+ɡ        | near-sound    | 2
frog     | b+l+uː         | other-word   | 1 2 3 4
frog     | d+ɒ+ɡ          | several   | 1 2
frog     | f+ə+r+ɒ+ɡ      | added-uh     |
drink    | d+ɪ+ŋ+k        | lost-sound   | 2
drink    | dʒ+r+ɪ+ŋ+k     | heard-closely |
drink    | d+r+ɪ+ŋ        | lost-sound   | 5
stick    | s+ɪ+k          | lost-sound   | 2
stick    | t+ɪ+k          | lost-sound   | 1
stick    | s+t            | part-only    | 3 4
stick    | s+t+ɪ+tʃ       | swapped-sound | 4
spoon    | p+uː+n         | lost-sound   | 1
spoon    | s+uː+n         | lost-sound   | 2
spoon    | s+p+uː+n+z     | added-sound  |
cat      | k+æ+t          | right        |
cat      | t+æ+t          | near-sound    | 1
cat      | k+æ+p          | near-sound    | 3
cat      | k+ɑː+t         | swapped-sound | 2
cat      | t+æ+k          | reordered    | 1 3
cat      | æ+k+t          | reordered    | 1
cat      | s+k+æ+t        | added-sound  |
cat      | d+ɒ+ɡ          | other-word   | 1 2 3
cat      | k æ t          | not-joined   |
cat      | k æ+t          | not-joined   |
ship     | tʃ+ɪ+p         | near-sound    | 1
ship     | ʃ+iː+p         | near-sound    | 2
hand     | h+æ+n          | lost-sound   | 4
hand     | h+æ+d          | lost-sound   | 3
hand     | æ+n+d          | lost-sound   | 1
milk     | m+ɪ+k          | lost-sound   | 3
queen    | k+iː+n         | lost-sound   | 2
queen    | t+w+iː+n       | near-sound    | 1
splash   | p+l+æ+ʃ        | lost-sound   | 1
splash   | s+p+l+æ+s      | near-sound    | 5
`;

interface Row {
  readonly name: string;
  readonly said: string;
  readonly slip: string;
  readonly missed: number[];
}
const rowsOf = (text: string): Row[] =>
  text
    .trim()
    .split('\n')
    .map((line) => {
      const [name = '', said = '', slip = '', missed = ''] = line.split('|').map((cell) => cell.trim());
      return { name, said, slip, missed: missed ? missed.split(' ').map((n) => Number(n) - 1) : [] };
    });

const read = (
  name: string,
  said: string,
  apart: boolean,
  { ownWay = NO_OWN_WAY, accent = 'southern-british' }: { ownWay?: OwnWay; accent?: AccentId } = {},
): Analysis =>
  analyse(marksOf(word(name, accent)), chunksOf(said), { apart, ownWay, tapsT: accent.startsWith('general') });

describe('answers made by hand', () => {
  test.each(rowsOf(APART))('$name taken apart as “$said”: $slip', ({ name, said, slip, missed }) => {
    const { slip: named, missed: lost } = read(name, said, true);
    expect([named ?? 'right', lost]).toEqual([slip, missed]);
  });
  test.each(rowsOf(JOINED))('$name joined as “$said”: $slip', ({ name, said, slip, missed }) => {
    const { slip: named, missed: lost } = read(name, said, false);
    expect([named ?? 'right', lost]).toEqual([slip, missed]);
  });
  test('there are at least 150 of them', () =>
    expect(rowsOf(APART).length + rowsOf(JOINED).length).toBeGreaterThanOrEqual(150));
});

describe('a child’s own way of saying it comes before any slip', () => {
  const way = (...pairs: (readonly [string, string])[]): OwnWay => ({
    ...NO_OWN_WAY,
    swaps: pairs.map(([asked, says]) => ({ asked, says })),
  });
  test.each([
    ['cat', 't+æ+t', way(['k', 't'])],
    ['cat', 't æ t', way(['k', 't'])],
    ['goat', 'd əʊ t', way(['ɡ', 'd'])],
    ['thumb', 'f ʌ m', way(['θ', 'f'])],
    ['red', 'w+e+d', way(['r', 'w'])],
    ['frog', 'f w ɒ ɡ', way(['r', 'w'])],
    ['sun', 'θ ʌ n', way(['s', 'θ'])],
    ['ship', 's ɪ p', way(['ʃ', 's'])],
    ['cake', 't eɪ t', way(['k', 't'])],
  ])('%s said as “%s” is right and noted', (name, said, ownWay) => {
    const apart = said.includes(' ');
    expect(read(name, said, apart, { ownWay })).toMatchObject({
      right: true,
      slip: 'own-way',
      missed: [],
      ownWay: true,
    });
    // Without it the same answer slips.
    expect(read(name, said, apart)).toMatchObject({ right: false });
  });
  test('it goes one way only: who says /t/ for /k/ does not say /k/ for /t/', () => {
    expect(read('tap', 'k+æ+p', false, { ownWay: way(['k', 't']) }).right).toBe(false);
  });
  test('what else slipped is still seen', () => {
    expect(read('cat', 't+æ', false, { ownWay: way(['k', 't']) })).toMatchObject({
      right: false,
      slip: 'lost-sound',
      missed: [2],
    });
    expect(read('crab', 't æ b', true, { ownWay: way(['k', 't']) })).toMatchObject({ slip: 'lost-sound', missed: [1] });
  });
  test('a child who leaves /s/ out of clusters when talking says “poon”, and is right; “un” for sun is not', () => {
    const drops: OwnWay = { ...NO_OWN_WAY, drops: ['s'] };
    expect(read('spoon', 'p+uː+n', false, { ownWay: drops })).toMatchObject({ right: true, slip: 'own-way' });
    expect(read('sun', 'ʌ+n', false, { ownWay: drops })).toMatchObject({ right: false, slip: 'lost-sound' });
  });
});

describe('faithful hearing is right', () => {
  // Read, C. (1971), Pre-school children's knowledge of English phonology: tr and dr heard as ch and j. From memory.
  test.each([
    ['tree', 'tʃ r iː'],
    ['drum', 'dʒ r ʌ m'],
    ['train', 'tʃ+ə r eɪ n'],
  ])('%s as “%s”', (name, said) => {
    expect(read(name, said, true)).toMatchObject({ right: true, slip: 'heard-closely' });
  });
  test('but /tʃ/ for a /t/ with no /r/ after it is not', () => expect(read('tap', 'tʃ æ p', true).right).toBe(false));
  test('a tapped middle /t/ is right in American speech and nowhere else', () => {
    expect(read('water', 'w ɔ d ɚ', true, { ownWay: NO_OWN_WAY, accent: 'general-american' })).toMatchObject({
      right: true,
      slip: 'heard-closely',
    });
    expect(read('water', 'w ɔː d ə', true)).toMatchObject({ right: false });
  });
});

describe('units the convention counts as one may stay together', () => {
  test('the vowel and its r in American “card”', () => {
    const marks = marksOf(word('card', 'general-american'));
    expect(marks.map((m) => m.fused)).toEqual([false, false, true, false]);
    expect(analyse(marks, chunksOf('k ɑ+r d'), { apart: true })).toMatchObject({ right: true, missed: [] });
    expect(analyse(marks, chunksOf('k ɑ+r+d'), { apart: true })).toMatchObject({ right: false, slip: 'rime-kept' });
  });
  test('the end of tiger is no “uh” of breath: “guh” keeps two sounds together', () => {
    expect(read('tiger', 't aɪ ɡ+ə', true)).toMatchObject({ right: false, missed: [2, 3] });
    expect(read('tiger', 't aɪ ɡ ə', true)).toMatchObject({ right: true, slip: null });
  });
});

test('credit sound by sound: f-o-g for frog is three of four', () => {
  const { credit } = read('frog', 'f ɒ ɡ', true);
  expect(credit.reduce<number>((a, b) => a + b, 0)).toBe(3);
  expect(credit).toEqual([1, 0, 1, 1]);
});

test('where in the word, and where in a cluster', () => {
  expect(read('frog', 'f ɒ ɡ', true).faults).toMatchObject([{ kind: 'omitted', place: 'middle', cluster: 'opening' }]);
  expect(read('hand', 'h æ n', true).faults).toMatchObject([{ kind: 'omitted', place: 'last', cluster: 'closing' }]);
  expect(read('milk', 'm ɪ k', true).faults).toMatchObject([{ kind: 'omitted', place: 'middle', cluster: 'closing' }]);
  expect(read('stick', 't ɪ k', true).faults).toMatchObject([{ kind: 'omitted', place: 'first', cluster: 'opening' }]);
  expect(read('sun', 's ʌ m', true).faults).toMatchObject([
    { kind: 'swapped', heard: 'm', place: 'last', cluster: null },
  ]);
});
