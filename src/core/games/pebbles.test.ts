import { describe, expect, test } from 'vitest';
import { askedFor } from '../answers/analyse';
import { isOrdinaryLoss, oftenSaidFor } from '../answers/speech';
import { isAbout, spotKey } from '../answers/spots';
import { planRequestSchema } from '../formats/plan-file';
import { homophones } from '../lexicon/likeness';
import { ACCENT_IDS } from '../phonology/accents';
import { makePlan } from '../sessions/shapes';
import { material, word } from '../testing/bank';
import { sure } from '../sure';
import { holding, pebbleWord, pebbleWords, twinsOf } from './pebbles';
import { readKey } from './spec';

const ipa = (name: string): string[] => word(name).sounds.map((s) => s.ipa);
const PATTERNS = ['opening-second', 'opening-s', 'closing-first', 'closing-last', 'last-stops', 'last-consonants'];

describe.each(ACCENT_IDS)('in %s', (accent) => {
  const of = material(accent);
  test.each(PATTERNS)(
    '%s: ten real twins or more, a sound apart, that nobody hears as one, and none rude',
    (pattern) => {
      const all = twinsOf(pattern, [], of);
      expect(all.length).toBeGreaterThanOrEqual(10);
      for (const { word: long, twin } of all) {
        const [a, b] = [long, twin].map((w) => w.sounds.map((s) => s.ipa));
        const at = sure(a).findIndex(
          (_, i) => isAbout(pattern, spotKey(askedFor(sure(a)), i)) && !isOrdinaryLoss(sure(a), i),
        );
        expect(sure(a).toSpliced(at, 1), `${long.word}, ${twin.word}`).toEqual(b);
        expect(homophones(long, twin)).toBe(false);
        expect(of.guard(sure(b)), twin.word).toBe(false);
      }
    },
  );
});

describe('checks', () => {
  test('frog without its r is fog, four pebbles, the one for /r/', () =>
    expect(pebbleWord(word('frog'), 1, material())).toEqual({
      key: 'r opening after',
      word: 'frog',
      twin: 'fog',
      sound: '/r/',
      count: 4,
    }));
  test('no check of a vowel, nor of what most people leave out', () => {
    expect(pebbleWord(word('frog'), 2, material())).toBeNull();
    expect(pebbleWord(word('hand'), 3, material())).toBeNull();
  });
  test.each(['opening after', 'opening', 'closing', 'closing after', 'first', 'last'])(
    'there are words for %s, and nothing rude is shown of any',
    (place) => {
      const all = pebbleWords(place, material());
      expect(all.length).toBeGreaterThanOrEqual(6);
      for (const { word: name, twin } of all) expect(twin, name).not.toBe('');
    },
  );
});

// Cruttenden, Gimson's Pronunciation of English (2014), on elision; Grunwell, Clinical Phonology (1987): from memory.
describe('as people speak', () => {
  test.each([
    ['hand', 3, true],
    ['cold', 3, true],
    ['tent', 3, false],
    ['lamp', 3, false],
    ['pink', 3, false],
    ['bed', 2, false],
    ['frog', 1, false],
  ])('the sound of %s at %d may be left out by anyone: %s', (name, at, ordinary) =>
    expect(isOrdinaryLoss(ipa(name), at)).toBe(ordinary),
  );
  test('t for k, w for r, f for th; not k for t, nor m for k', () => {
    for (const [asked, said] of [
      ['k', 't'],
      ['r', 'w'],
      ['θ', 'f'],
      ['s', 'θ'],
      ['f', 'p'],
    ] as const)
      expect(oftenSaidFor(asked, said), `${said} for ${asked}`).toBe(true);
    for (const [asked, said] of [
      ['t', 'k'],
      ['k', 'm'],
      ['p', 'b'],
      ['æ', 'e'],
    ] as const)
      expect(oftenSaidFor(asked, said), `${said} for ${asked}`).toBe(false);
  });
});

describe('plans', () => {
  const wish = { task: 'blending', step: '4-end', count: 3, minutes: 10, children: 1, seed: 3, paceOf: () => 15 };
  test('a pattern: pointing, joining, taking apart, with words that hold it in every round', () => {
    const { rounds } = makePlan(material(), { ...wish, shape: 'pattern', pattern: 'closing-first', slipping: ['n'] });
    expect(rounds.map((r) => r.task)).toEqual(['twins', 'blending', 'segmenting']);
    const held = new Set(holding('closing-first', material()).map((w) => w.word));
    for (const { items } of rounds)
      expect(items.filter((i) => readKey(i.key).words.some((w) => held.has(w))).length).toBeGreaterThanOrEqual(4);
  });
  test('what is suspected is dealt in an ordinary round, where its step has such words', () => {
    const held = new Set(holding('closing-first', material()).map((w) => w.word));
    const focus = (step: string) =>
      sure(
        makePlan(material(), { ...wish, step, shape: 'focus', pattern: 'closing-first' }).rounds.find(
          (r) => r.role === 'focus',
        ),
      );
    expect(focus('4-end').items.every((i) => held.has(i.key))).toBe(true);
    expect(focus('3-held').items.length).toBeGreaterThanOrEqual(3);
  });
  test('a form sends the sounds as one line', () =>
    expect(planRequestSchema.parse({ shape: 'pattern', pattern: 'opening-r', slipping: 'r,l' }).slipping).toEqual([
      'r',
      'l',
    ]));
});
