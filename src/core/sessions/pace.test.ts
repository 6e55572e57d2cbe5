import { describe, expect, test } from 'vitest';
import { brief, initialsOf } from './initials';
import { makeStopwatch, saidIn } from './pace';

describe('time to mark', () => {
  test('begins when the adult has done speaking, and is never below nought', () => {
    const watch = makeStopwatch();
    watch.begin(1_000, 2_000);
    expect(watch.read(2_000)).toBe(0);
    expect(watch.read(6_000)).toBe(3_000);
  });
  test('a pause does not count, nor a second one', () => {
    const watch = makeStopwatch();
    watch.begin(0, 1_000);
    watch.hold(3_000);
    watch.hold(4_000);
    expect(watch.read(9_000)).toBe(2_000);
    watch.go(63_000);
    watch.go(64_000);
    expect(watch.read(64_000)).toBe(3_000);
  });
  test('beaten out again, it begins again; a turn that begins in a pause waits for its end', () => {
    const watch = makeStopwatch();
    watch.begin(0, 1_000);
    watch.said(8_000);
    expect(watch.read(9_500)).toBe(1_500);
    watch.hold(10_000);
    watch.begin(20_000, 1_000);
    watch.go(50_000);
    expect(watch.read(52_000)).toBe(1_000);
  });
  test('a longer line takes longer, gaps count as chosen', () => {
    expect(saidIn('s … u … n', 2) - saidIn('s … u … n', 1)).toBe(2_000);
    expect(saidIn('Listen: frog. Now say its sounds.', 1)).toBeGreaterThan(saidIn('frog', 1));
    expect(saidIn('', 1)).toBe(0);
  });
});

describe('initials', () => {
  test.each<[string[], string[]]>([
    [
      ['Wren', 'Kofi'],
      ['W', 'K'],
    ],
    [
      ['Wren', 'Kofi', 'Kai'],
      ['W', 'Ko', 'Ka'],
    ],
    [
      ['Ann', 'Anna'],
      ['Ann', 'Anna'],
    ],
    [
      ['Wren', 'wren'],
      ['Wren', 'wren 2'],
    ],
    [
      ['小明', '小红'],
      ['小明', '小红'],
    ],
    [['🌻 Sunny'], ['🌻']],
    [[], []],
  ])('%j stand as %j', (names, short) => expect(initialsOf(names)).toEqual(short));
});

describe('names on small buttons', () => {
  test.each([
    ['Wren', 'Wren'],
    ['Maria da Conceição', 'Maria da Conceição'],
    ['Wilhelmina Persephone Montgomery', 'Wilhelmina'],
    ['Wilhelmina-Anastasia Persephone', 'Wilhelmina-Anasta…'],
  ])('%s stands as %s', (name, short) => expect(brief(name)).toBe(short));
});
