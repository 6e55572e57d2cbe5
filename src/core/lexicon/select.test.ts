import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { difficulty, firstMaking, inCluster } from './difficulty';
import { homophones, oneSoundApart, rhymes, tooAlike } from './likeness';
import { COUNTS, facets, FIRSTS, select, type Filters } from './select';
import { word, words } from './testing/bank';

const all = words();

describe('facets', () => {
  test('every count equals what a filter of the whole bank finds', () => {
    for (const count of COUNTS) {
      const filters: Filters = { count, contested: false };
      const found = facets(all, filters);
      const plain = all.filter((w) => w.count === count && !w.contest);
      expect(found.counts[count]).toBe(plain.length);
      expect(found.total).toBe(plain.length);
      for (const first of FIRSTS) expect(found.firsts[first]).toBe(plain.filter((w) => firstMaking(w) === first).length);
      for (const { shape, words: left } of found.shapes) expect(left).toBe(plain.filter((w) => w.shape === shape).length);
    }
  });
  test('each choice shows what picking it would leave', () => {
    for (const { shape, words: left } of facets(all, { count: 4, contested: false, first: 'hold' }).shapes) {
      expect(facets(all, { count: 4, contested: false, first: 'hold', shape }).total).toBe(left);
    }
  });
});

const request = fc.record({
  count: fc.constantFrom(...COUNTS), first: fc.option(fc.constantFrom(...FIRSTS), { nil: undefined }), contested: fc.boolean(),
  size: fc.integer({ min: 6, max: 10 }), seed: fc.integer({ min: 0, max: 100_000 }),
});

test('any set: every word fits, none twice, easy to hard before the stretch, the same again from the same seed', () => {
  fc.assert(fc.property(request, (asked) => {
    const { words: set, model, spares, loosen } = select(all, asked);
    expect(select(all, asked).words).toEqual(set);
    expect(set.length).toBe(Math.min(asked.size, facets(all, asked).total));
    expect(new Set(set).size).toBe(set.length);
    for (const w of set) {
      expect(w.count).toBe(asked.count);
      if (!asked.contested) expect(w.contest).toBeNull();
      if (asked.first) expect(firstMaking(w)).toBe(asked.first);
    }
    const climb = set.slice(0, -1).map(difficulty);
    expect(climb).toEqual([...climb].sort((a, b) => a - b));
    for (const spare of spares) expect(set).not.toContain(spare);
    if (set.length === asked.size && facets(all, asked).total > asked.size) expect(set).not.toContain(model);
    expect(loosen === null || loosen.words > set.length).toBe(true);
  }), { numRuns: 200 });
});

test('no two words of a set rhyme or are one sound apart while others are left', () => {
  for (let seed = 0; seed < 60; seed += 1) {
    for (const count of [3, 4, 5] as const) {
      const { words: set } = select(all, { count, contested: false, size: 8, seed });
      for (const a of set) for (const b of set) if (a !== b) expect(tooAlike(a, b), `${a.word} and ${b.word}, seed ${seed}`).toBe(false);
    }
  }
});

test('the stretch is among the hardest fifth of what fits', () => {
  for (let seed = 0; seed < 40; seed += 1) {
    const { words: set } = select(all, { count: 4, contested: false, size: 8, seed });
    const fitting = all.filter((w) => w.count === 4 && !w.contest).map(difficulty).sort((a, b) => a - b);
    expect(difficulty(set.at(-1)!)).toBeGreaterThanOrEqual(fitting[Math.floor(fitting.length * 0.8)]!);
  }
});

test('words to avoid come only when nothing else is left', () => {
  const first = select(all, { count: 3, contested: false, size: 8, seed: 1 });
  const second = select(all, { count: 3, contested: false, size: 8, seed: 1, avoid: first.words.map((w) => w.word) });
  expect(second.words.filter((w) => first.words.includes(w))).toEqual([]);
});

test('too few words: says which filter to loosen and how many words that gives', () => {
  const set = select(all, { count: 4, contested: false, shape: 'CCCV', first: 'hold', size: 8, seed: 1 });
  expect(set.words.length).toBeLessThan(8);
  expect(set.loosen?.filter).toBe('shape');
  expect(set.loosen?.words).toBe(facets(all, { count: 4, contested: false, first: 'hold' }).total);
});

// Rhyme and likeness in Southern British; examples common practice, no source.
describe('likeness', () => {
  test.each([['saw', 'draw'], ['saw', 'door'], ['fox', 'box'], ['sheep', 'sleep'], ['jelly', 'teddy']])('%s and %s', (a, b) => {
    expect(rhymes(word(a), word(b))).toBe(a !== 'jelly');
  });
  test('yawn and yarn do not rhyme; in General American saw and door do not', () => {
    expect(rhymes(word('yawn'), word('yarn'))).toBe(false);
    expect(rhymes(word('saw', 'general-american'), word('door', 'general-american'))).toBe(false);
  });
  test.each([['cup', 'cap', true], ['frog', 'fog', true], ['go', 'goat', true], ['cat', 'dog', false], ['cat', 'cat', false], ['pots', 'stop', false]])('%s and %s are one sound apart: %s', (a, b, apart) => {
    expect(oneSoundApart(word(a as string), word(b as string))).toBe(apart);
    expect(oneSoundApart(word(b as string), word(a as string))).toBe(apart);
  });
  test('homophones are heard, not read', () => {
    expect(homophones(word('saw'), word('saw'))).toBe(true);
    expect(homophones(word('ring'), word('king'))).toBe(false);
  });
});

// Ladders of difficulty: shape CV → CVC → CVCC → CCVCC, held before clipped. Common practice, no source.
test.each([['bee', 'sun'], ['sun', 'hand'], ['hand', 'plant'], ['sun', 'cup'], ['sun', 'fin'], ['milk', 'stamp']])('%s is easier than %s', (a, b) => {
  expect(difficulty(word(a))).toBeLessThan(difficulty(word(b)));
});
test('a cluster does not reach over a syllable', () => {
  expect(inCluster(word('window'), 2)).toBe(false);
  expect(inCluster(word('frog'), 1)).toBe(true);
});
