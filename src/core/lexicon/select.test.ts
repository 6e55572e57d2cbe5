import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ACCENT_IDS } from '../phonology/accents';
import { PRESETS } from '../phonology/conventions';
import { difficulty, firstMaking, inCluster } from './difficulty';
import type { Word } from './entry';
import { COUNTS, find, FIRSTS, MOST, ONLY, SORTS, SYLLABLES, sortWords, type Filters } from './find';
import { homophones, oneSoundApart, rhymes, sameForEveryone, tooAlike } from './likeness';
import { matcher, readQuery } from './search';
import { select } from './select';
import { bank, word, words } from '../testing/bank';
import { sure } from '../sure';
import { traitsOf } from './traits';
import { inCircumstances, indexWords, PLACES } from './word-index';

const all = words();
const agreed = sameForEveryone(bank);
const readable = new Set(['sit', 'pin', 'frog']);
const index = inCircumstances(indexWords(all, agreed), {
  owned: new Set(['sock', 'spoon', 'cup']),
  taught: new Set(['s', 'KIT', 'n', 't', 'p', 'TRAP']),
  readable,
});
const taught = new Set(['s', 'KIT', 'n', 't', 'p', 'TRAP']);

/** What a filter may ask of each word, read once. */
const factsOf = (w: Word) => {
  const sounds = w.sounds.map((s) => s.ipa);
  return {
    w,
    places: { any: sounds, first: sounds.slice(0, 1), last: sounds.slice(-1), middle: sounds.slice(1, -1) },
    making: firstMaking(w),
    syllables: Math.min(traitsOf(w).syllables, 3),
    only: {
      agreed: agreed.has(w.word),
      taught: w.segments.every((s) => taught.has(s.key)),
      owned: ['sock', 'spoon', 'cup'].includes(w.word),
      prop: w.entry.prop,
      picture: w.entry.picture !== null,
      everyday: w.entry.band === 1,
      own: false,
      readable: readable.has(w.word),
    },
  };
};
const facts = new Map(all.map((w) => [w, factsOf(w)]));

/** Every filter once more, in plain words, one word at a time: what the fast pass is compared with. */
function plainly(w: Word, f: Filters): boolean {
  const { places, making, syllables, only } = sure(facts.get(w));
  const among: (readonly [asked: unknown, holds: boolean])[] = [
    [f.count, Math.min(w.count, MOST) === f.count],
    [f.shape, w.shape === f.shape],
    [f.first, making === f.first],
    [f.sound, places[f.place ?? 'any'].includes(f.sound ?? '')],
    [f.syllables, syllables === f.syllables],
  ];
  return (
    among.every(([asked, holds]) => asked === undefined || holds) &&
    (f.only ?? []).every((name) => only[name]) &&
    (f.contested || !w.contest) &&
    (f.doubtful === true || !w.entry.doubt)
  );
}
const plain = (f: Filters): Word[] => all.filter((w) => plainly(w, f));

const filters = fc.record({
  count: fc.option(fc.constantFrom(...COUNTS), { nil: undefined }),
  shape: fc.option(fc.constantFrom('CVC', 'CCVC', 'CVCC', 'CV'), { nil: undefined, freq: 3 }),
  first: fc.option(fc.constantFrom(...FIRSTS), { nil: undefined }),
  sound: fc.option(fc.constantFrom('s', 'm', 'iː', 'tʃ', 'ʒ'), { nil: undefined }),
  place: fc.constantFrom(...PLACES),
  syllables: fc.option(fc.constantFrom(...SYLLABLES), { nil: undefined, freq: 3 }),
  only: fc.subarray([...ONLY], { maxLength: 2 }),
  contested: fc.boolean(),
  doubtful: fc.boolean(),
});

describe('finding', () => {
  test(
    'any filters: the words found are those a word-by-word reading of the rules finds, and every facet is what ' +
      'picking it would leave',
    () => {
      fc.assert(
        fc.property(filters, (f) => {
          const { fitting, facets } = find(index, f);
          expect(fitting.map((w) => sure(index.words[w]).word)).toEqual(plain(f).map((w) => w.word));
          for (const count of COUNTS)
            expect(facets.counts[count], `count ${count}`).toBe(plain({ ...f, count }).length);
          for (const first of FIRSTS) expect(facets.firsts[first], first).toBe(plain({ ...f, first }).length);
          for (const syllables of SYLLABLES)
            expect(facets.syllables[syllables]).toBe(plain({ ...f, syllables }).length);
          for (const shape of ['CVC', 'CCVC'])
            expect(facets.shapes.find((s) => s.shape === shape)?.words ?? 0, shape).toBe(plain({ ...f, shape }).length);
          for (const sound of ['s', 'iː', 'ʒ']) expect(facets.sounds[sound], sound).toBe(plain({ ...f, sound }).length);
          for (const name of ONLY)
            expect(facets.only[name], name).toBe(plain({ ...f, only: [...new Set([...f.only, name])] }).length);
          if (!f.contested)
            expect(facets.adds.contested).toBe(plain({ ...f, contested: true }).length - fitting.length);
        }),
        { numRuns: 60 },
      );
    },
  );
  test('sorted in four ways', () => {
    const { fitting } = find(index, { count: 3, contested: false });
    for (const sort of SORTS) expect(new Set(sortWords(index, fitting, sort)).size).toBe(fitting.length);
    const names = sortWords(index, fitting, 'a-z').map((w) => sure(index.words[w]).word);
    expect(names).toEqual([...names].sort());
  });
});

describe('searching', () => {
  const found = (typed: string): string[] => {
    const query = sure(readQuery(typed, index.sounds, 'southern-british'));
    const fits = matcher(index, query);
    return index.words.filter((_, w) => fits(w)).map((w) => w.word);
  };
  test('by spelling', () => expect(found('sho')).toEqual(expect.arrayContaining(['shop', 'shoe'])));
  test('by sounds: _ a t', () => {
    expect(found('_ a t')).toEqual(expect.arrayContaining(['cat', 'hat', 'chat']));
    for (const name of found('_ a t'))
      expect(
        word(name)
          .sounds.slice(1)
          .map((s) => s.ipa),
      ).toEqual(['æ', 't']);
  });
  test('by sounds: s _ _, and written together', () => {
    expect(found('s _ _')).toEqual(expect.arrayContaining(['sun', 'sock', 'seal']));
    expect(found('s__')).toEqual(found('s _ _'));
    expect(found('sh ee _')).toContain('sheep');
    expect(found('k _ t')).toContain('cat');
  });
  test('a token that is no sound is said', () =>
    expect(readQuery('_ qq t', index.sounds, 'southern-british')).toMatchObject({ kind: 'unclear' }));
  test('anything typed is read without a fault', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 30 }), (typed) => {
        const query = readQuery(typed, index.sounds, 'southern-british');
        if (query) matcher(index, query)(0);
      }),
    );
  });
});

const request = fc.record({
  count: fc.constantFrom(...COUNTS),
  first: fc.option(fc.constantFrom(...FIRSTS), { nil: undefined }),
  contested: fc.boolean(),
  size: fc.integer({ min: 6, max: 10 }),
  seed: fc.integer({ min: 0, max: 100_000 }),
});

test('any set: every word fits, none twice, easy to hard before the stretch, the same again from the same seed', () => {
  fc.assert(
    fc.property(request, (asked) => {
      const { words: set, model, spares, loosen } = select(index, asked);
      expect(select(index, asked).words).toEqual(set);
      expect(set.length).toBe(Math.min(asked.size, find(index, asked).facets.total));
      expect(new Set(set).size).toBe(set.length);
      for (const w of set) expect(plainly(w, asked), w.word).toBe(true);
      const climb = set.slice(0, -1).map(difficulty);
      expect(climb).toEqual([...climb].sort((a, b) => a - b));
      for (const spare of spares) expect(set).not.toContain(spare);
      if (set.length === asked.size && find(index, asked).facets.total > asked.size) expect(set).not.toContain(model);
      expect(loosen === null || loosen.words > set.length).toBe(true);
    }),
    { numRuns: 200 },
  );
});

test('no two words of a set rhyme or are one sound apart while others are left', () => {
  for (let seed = 0; seed < 60; seed += 1) {
    for (const count of [3, 4, 5] as const) {
      const { words: set } = select(index, { count, contested: false, size: 8, seed });
      for (const a of set)
        for (const b of set) if (a !== b) expect(tooAlike(a, b), `${a.word} and ${b.word}, seed ${seed}`).toBe(false);
    }
  }
});

test('the stretch is among the hardest fifth of what fits', () => {
  for (let seed = 0; seed < 40; seed += 1) {
    const { words: set } = select(index, { count: 4, contested: false, size: 8, seed });
    const fitting = plain({ count: 4, contested: false })
      .map(difficulty)
      .sort((a, b) => a - b);
    expect(difficulty(sure(set.at(-1)))).toBeGreaterThanOrEqual(sure(fitting[Math.floor(fitting.length * 0.8)]));
  }
});

test('words to avoid come only when nothing else is left', () => {
  const first = select(index, { count: 3, contested: false, size: 8, seed: 1 });
  const second = select(index, { count: 3, contested: false, size: 8, seed: 1, avoid: first.words.map((w) => w.word) });
  expect(second.words.filter((w) => first.words.includes(w))).toEqual([]);
});

test('too few words: says which single filter to loosen and how many words that gives', () => {
  const asked: Filters = { count: 3, contested: true, shape: 'CCV', sound: 'ʃ', place: 'last' };
  const set = select(index, { ...asked, size: 8, seed: 1 });
  expect(set.words.length).toBe(0);
  expect(set.loosen).toEqual({ filter: 'sound', words: plain({ ...asked, sound: undefined }).length });
  expect(sure(set.loosen).words).toBeGreaterThan(plain({ ...asked, shape: undefined }).length);
});

test('same count for everyone: the count is one in every accent and under every convention', () => {
  for (const name of ['sun', 'frog', 'ship', 'milk']) expect(agreed.has(name), name).toBe(true);
  for (const name of ['box', 'card', 'new', 'apple', 'fire', 'queen', 'scone', 'door'])
    expect(agreed.has(name), name).toBe(false);
  for (const name of [...agreed].filter((_, i) => i % 9 === 0)) {
    const counts = ACCENT_IDS.flatMap((accent) =>
      Object.values(PRESETS).map((preset) => word(name, accent, preset).count),
    );
    expect(new Set(counts).size, name).toBe(1);
  }
});

// Rhyme and likeness in Southern British; examples common practice, no source.
describe('likeness', () => {
  test.each([
    ['saw', 'draw'],
    ['saw', 'door'],
    ['fox', 'box'],
    ['sheep', 'sleep'],
    ['jelly', 'teddy'],
  ])('%s and %s', (a, b) => {
    expect(rhymes(word(a), word(b))).toBe(a !== 'jelly');
  });
  test('yawn and yarn do not rhyme; in General American saw and door do not', () => {
    expect(rhymes(word('yawn'), word('yarn'))).toBe(false);
    expect(rhymes(word('saw', 'general-american'), word('door', 'general-american'))).toBe(false);
  });
  test.each([
    ['cup', 'cap', true],
    ['frog', 'fog', true],
    ['go', 'goat', true],
    ['cat', 'dog', false],
    ['cat', 'cat', false],
    ['pots', 'stop', false],
  ])('%s and %s are one sound apart: %s', (a, b, apart) => {
    expect(oneSoundApart(word(a as string), word(b as string))).toBe(apart);
    expect(oneSoundApart(word(b as string), word(a as string))).toBe(apart);
  });
  test('homophones are heard, not read', () => {
    expect(homophones(word('saw'), word('saw'))).toBe(true);
    expect(homophones(word('ring'), word('king'))).toBe(false);
  });
});

// Ladders of difficulty: shape CV → CVC → CVCC → CCVCC, held before clipped. Common practice, no source.
test.each([
  ['bee', 'sun'],
  ['sun', 'hand'],
  ['hand', 'plant'],
  ['sun', 'cup'],
  ['sun', 'fin'],
  ['milk', 'stamp'],
])('%s is easier than %s', (a, b) => {
  expect(difficulty(word(a))).toBeLessThan(difficulty(word(b)));
});
test('a cluster does not reach over a syllable', () => {
  expect(inCluster(word('window'), 2)).toBe(false);
  expect(inCluster(word('frog'), 1)).toBe(true);
});
