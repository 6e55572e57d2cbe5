import { describe, expect, test } from 'vitest';
import { generate } from '../games/generate';
import { stepOf, taskOf } from '../games';
import type { Item } from '../games/item';
import { readKey } from '../games/spec';
import { material } from '../testing/bank';
import { times } from '../testing/deep';
import { sure } from '../sure';
import { isPair } from './articulation';
import { byEar, EARS, hangsOnHigh, MERGED, NEVER_APART } from './by-ear';
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
  // Peterson & Barney 1952, from memory: the vowels of American English that listeners most often took for each other.
  test.each([
    ['ɪ', 'ɛ'],
    ['ɛ', 'æ'],
    ['ɑ', 'ɔ'],
    ['ʌ', 'ɑ'],
  ])('the vowels /%s/ and /%s/ are near', (a, b) => expect(byEar(a, b)).toBe('near'));
  test.each([
    ['iː', 'ɑː'],
    ['uː', 'æ'],
    ['aɪ', 'uː'],
  ])('the vowels /%s/ and /%s/ are not', (a, b) => expect(byEar(a, b)).not.toBe('near'));
  test('at the end of a word voice alone parts nothing', () => {
    expect([byEar('k', 'ɡ'), byEar('k', 'ɡ', 'last'), byEar('s', 'z', 'last')]).toEqual(['between', 'near', 'near']);
    expect(byEar('s', 'm', 'last')).toBe('far');
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
          for (const b of heard)
            expect(isPair([...MERGED, ...NEVER_APART], a, b), `${task} ${key}: ${a} ${b}`).toBe(false);
      }
    }
  }
});

describe('where somebody hears better without high sounds', () => {
  const made = material();
  const games = [
    ['same-first', 'far'],
    ['same-first', 'near'],
    ['sort', 'far'],
    ['sound-odd', '3-far'],
    ['anywhere', 'far'],
    ['hear-first', '3-far'],
    ['hear-last', '3-far'],
    ['swap', 'first'],
    ['which-changed', 'ends'],
    ['catch', '6'],
  ] as const;
  const contrasts = (task: string, step: string, seed: number, lowOnly: boolean): [string, string][] =>
    generate(taskOf(task), stepOf(taskOf(task), step), made, { size: 4, seed, lowOnly }).items.flatMap((item) =>
      contrastsIn(item),
    );
  test.each(games)('no %s (%s) hangs on a high sound or on voice alone', (task, step) => {
    let items = 0;
    for (let seed = 1; seed <= SEEDS; seed += 1)
      for (const [a, b] of contrasts(task, step, seed, true)) {
        items += 1;
        expect(hangsOnHigh(a, b), `${task} seed ${seed}: ${a} ${b}`).toBe(false);
      }
    expect(items).toBeGreaterThan(SEEDS);
  });
  test.each(games)('%s (%s) still has items, and both answers where there are two', (task, step) => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const { items } = generate(taskOf(task), stepOf(taskOf(task), step), made, { size: 4, seed, lowOnly: true });
      expect(items.length, `seed ${seed}`).toBeGreaterThan(1);
      if (task === 'sort' || task === 'same-first')
        expect(new Set(items.map((i) => i.kind)).size, `seed ${seed}`).toBe(2);
    }
  });
  test('elsewhere they do, so the check can fail', () => {
    for (const [task, step] of games)
      expect(
        Array.from({ length: 12 }, (_, seed) => contrasts(task, step, seed, false))
          .flat()
          .some(([a, b]) => hangsOnHigh(a, b)),
        task,
      ).toBe(true);
  });
});

test('sounds that many children mix up are told apart where they are let in', () => {
  const merged = (mixUps: boolean): number =>
    Array.from(
      { length: 20 },
      (_, seed) =>
        generate(taskOf('same-first'), stepOf(taskOf('same-first'), 'near'), material(), { size: 6, seed, mixUps })
          .items,
    )
      .flat()
      .filter((item) => contrastsIn(item).some(([a, b]) => isPair(MERGED, a, b))).length;
  expect(merged(false)).toBe(0);
  expect(merged(true)).toBeGreaterThan(5);
});

/** The sounds that tell right from wrong in an item. */
function contrastsIn(item: Item): [string, string][] {
  const { words, sounds = [] } = readKey(item.key);
  const at = (word: string, i: number): string => sure(sure(material().byName.get(word)).sounds.at(i)).ipa;
  const pairs = (all: readonly string[]): [string, string][] =>
    all.flatMap((a, i) => all.slice(i + 1).flatMap((b): [string, string][] => (a === b ? [] : [[a, b]])));
  const target = sounds[0];
  const against = (others: readonly string[]): [string, string][] =>
    others.flatMap((o): [string, string][] => (target === undefined || o === target ? [] : [[target, o]]));
  if (item.view.kind === 'change') {
    const [from, to] = [item.view.from, item.view.to].map((marks) => marks.map((m) => m.ipa));
    return sure(from).flatMap((a, i): [string, string][] => (a === to?.[i] ? [] : [[a, sure(to?.[i])]]));
  }
  if (item.task === 'hear-last') return against(words.map((w) => at(w, -1)));
  if (item.task === 'anywhere') return item.kind === 0 ? [] : against(item.marks.map((m) => m.ipa));
  return target === undefined ? pairs(words.map((w) => at(w, 0))) : against(words.map((w) => at(w, 0)));
}
