import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { prepare } from '../lexicon/entry';
import { bank, word } from '../testing/bank';
import { ACCENT_IDS, type AccentId } from './accents';
import { CONVENTION_IDS, PRESETS, type ConventionId, type Conventions } from './conventions';

const only = (id: ConventionId): Conventions => ({ ...PRESETS.strict, [id]: true });
const count = (name: string, conventions: Conventions, accent: AccentId = 'southern-british'): number =>
  word(name, accent, conventions).count;

// What each switch does, word by word; the counts are those adults argue over (common practice, no source).
describe('one switch at a time', () => {
  test.each<[ConventionId, string, AccentId, number, number]>([
    ['vowelR', 'card', 'general-american', 4, 3],
    ['vowelR', 'door', 'general-american', 3, 2],
    ['vowelR', 'bear', 'general-american', 3, 2],
    ['x', 'box', 'southern-british', 4, 3],
    ['x', 'six', 'general-american', 4, 3],
    ['qu', 'queen', 'southern-british', 4, 3],
    ['qu', 'squash', 'southern-british', 5, 4],
    ['yoo', 'cube', 'southern-british', 4, 3],
    ['yoo', 'few', 'southern-british', 3, 2],
    ['syllabicEnd', 'apple', 'southern-british', 4, 3],
    ['syllabicEnd', 'kitten', 'general-american', 5, 4],
    ['syllabicEnd', 'bottom', 'southern-british', 5, 4],
    ['ing', 'ring', 'southern-british', 3, 2],
    ['nk', 'pink', 'southern-british', 4, 3],
    ['nk', 'drink', 'southern-british', 5, 4],
  ])('%s: %s (%s) goes from %i to %i', (...[id, name, accent, apart, fused]) => {
    expect(count(name, PRESETS.strict, accent)).toBe(apart);
    expect(count(name, only(id), accent)).toBe(fused);
  });
  test.each<[ConventionId, string, AccentId]>([
    // Southern British has no r to fuse; the r of hero begins the next beat; socks, you, finger and panda are spelt or
    // end otherwise.
    ['vowelR', 'card', 'southern-british'],
    ['vowelR', 'hero', 'general-american'],
    ['vowelR', 'bird', 'general-american'],
    ['x', 'socks', 'southern-british'],
    ['qu', 'twig', 'southern-british'],
    ['yoo', 'you', 'southern-british'],
    ['yoo', 'new', 'general-american'],
    ['syllabicEnd', 'lemon', 'southern-british'],
    ['syllabicEnd', 'panda', 'southern-british'],
    ['ing', 'finger', 'southern-british'],
    ['nk', 'finger', 'southern-british'],
  ])('%s leaves %s alone (%s)', (id, name, accent) => {
    expect(count(name, only(id), accent)).toBe(count(name, PRESETS.strict, accent));
  });
});

const anyConventions = fc.record(
  Object.fromEntries(CONVENTION_IDS.map((id) => [id, fc.boolean()])) as Record<ConventionId, fc.Arbitrary<boolean>>,
);

test('for every word and any switches: units are the sounds in order, and fusing more never counts more', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...bank),
      fc.constantFrom(...ACCENT_IDS),
      anyConventions,
      (entry, accent, conventions) => {
        const made = prepare(entry, accent, conventions);
        expect(made.units.flatMap((u) => u.sounds)).toEqual(made.sounds);
        for (const unit of made.units) expect(unit.sounds.length).toBe(unit.by ? 2 : 1);
        expect(made.shape).toHaveLength(made.count);
        const [strict, letters] = [
          prepare(entry, accent, PRESETS.strict).count,
          prepare(entry, accent, PRESETS.letters).count,
        ];
        expect(made.count).toBeLessThanOrEqual(strict);
        expect(made.count).toBeGreaterThanOrEqual(letters);
        if (!made.contest) expect(made.count).toBe(strict);
      },
    ),
    { numRuns: 2_000 },
  );
});

test('shapes are by ear: box is CVCC though three letters spell it, shed CVC though four do', () => {
  expect(word('box').shape).toBe('CVCC');
  expect(word('shed').shape).toBe('CVC');
  expect(word('straw').shape).toBe('CCCV');
  expect(word('card', 'general-american').shape).toBe('CVC');
});
