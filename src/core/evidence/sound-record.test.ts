import { describe, expect, test } from 'vitest';
import { marksOf } from '../games/marks';
import { words } from '../testing/bank';
import { makingOf } from '../phonology/sounds';
import { seeded, shuffle, type Random } from '../random';
import { sure } from '../sure';
import { atLeast } from './luck';
import { habitsIn, heardEvents, soundRows, type Habit, type HeardAnswer } from './sound-record';

// Handbook values: powers of one half; the tail of five or more of six coins is 7/64. Pascal's triangle.
describe('luck', () => {
  test.each([
    [6, 6, 0.5, 1 / 64],
    [5, 6, 0.5, 7 / 64],
    [0, 9, 0.3, 1],
    [4, 4, 0.25, 1 / 256],
    [1, 3, 1 / 3, 1 - 8 / 27],
    [2, 2, 1, 1],
    [3, 2, 0.5, 0],
    [8, 10, 0.5, 56 / 1024],
  ])('%d or more of %d at %d is %d', (k, n, share, chance) => {
    expect(atLeast(k, n, share)).toBeCloseTo(chance, 12);
  });
  test('the tails of a long run fall evenly and stay between 0 and 1', () => {
    for (let k = 1; k <= 200; k += 1) {
      expect(atLeast(k, 200, 0.12)).toBeLessThanOrEqual(atLeast(k - 1, 200, 0.12) + 1e-12);
      expect(atLeast(k, 200, 0.12)).toBeGreaterThanOrEqual(0);
    }
  });
});

/**
 * What a made-up child does to a word it takes apart, sound by sound: chunks of IPA. Each habit comes with a chance.
 */
interface Child {
  readonly swap?: readonly [string, string];
  readonly opening?: true;
  readonly rime?: true;
  readonly uh?: true;
  readonly last?: true;
  readonly habit: number;
  readonly accident: number;
}

const pool = words().filter(
  (w) =>
    w.count >= 3 &&
    w.count <= 4 &&
    w.sounds.length === w.count &&
    w.entry.band < 3 &&
    !w.entry.doubt &&
    w.segments.every((s) => s.syllable === 0),
);

function sitting(child: Child, seed: number, answers = 40): HeardAnswer[] {
  const random: Random = seeded(seed);
  const does = (): boolean => random() < child.habit;
  const { swap, opening } = child;
  const opens = opening ? pool.filter((w) => sure(marksOf(w)[1]).close) : [];
  const about = swap ? pool.filter((w) => w.sounds.some((s) => s.ipa === swap[0])) : opens;
  // An adult who plays for a sound, or for clusters, takes words that have it, one in three.
  const set = [...shuffle(about, random).slice(0, 14), ...shuffle(pool, random)].slice(0, answers);
  return set.map((word) => {
    const asked = marksOf(word);
    let chunks = asked.map((a) => [a.ipa]);
    const drop = (at: number): void => {
      chunks = chunks.filter((_, i) => i !== at);
    };
    if (child.swap) chunks = chunks.map((c) => (c[0] === sure(child.swap)[0] && does() ? [sure(child.swap)[1]] : c));
    if (child.uh && does()) chunks = chunks.map((c) => (makingOf(sure(c[0])) === 'vowel' ? c : [...c, 'ə']));
    if (child.rime && does()) chunks = [...chunks.slice(0, -2), chunks.slice(-2).flat()];
    if (child.last && makingOf(sure(asked.at(-1)).ipa) !== 'vowel' && !sure(asked.at(-1)).close && does())
      drop(chunks.length - 1);
    const opening = asked.findIndex((a, i) => a.close && i === 1);
    if (child.opening && opening > 0 && does()) drop(opening);
    if (random() < child.accident) drop(Math.floor(random() * chunks.length));
    return heardEvents(asked, chunks, { apart: true });
  });
}

const SEEDS = Array.from({ length: 20 }, (_, i) => i + 1);
const told = (habits: readonly Habit[]): string[] =>
  habits.map((h) => [h.kind, h.sound, h.says].filter(Boolean).join(' '));

describe('habits of a made-up child, after 40 answers', () => {
  test.each<[string, Child, string]>([
    ['says /t/ for /k/', { swap: ['k', 't'], habit: 0.85, accident: 0.05 }, 'swaps k t'],
    ['says /f/ for /s/', { swap: ['s', 'f'], habit: 0.85, accident: 0.05 }, 'swaps s f'],
    ['loses the second of an opening cluster', { opening: true, habit: 0.8, accident: 0.05 }, 'loses-from-opening'],
    ['keeps the end whole', { rime: true, habit: 0.6, accident: 0.05 }, 'keeps-rime'],
    ['adds “uh”', { uh: true, habit: 0.6, accident: 0.05 }, 'adds-uh'],
    ['loses the last sound', { last: true, habit: 0.6, accident: 0.05 }, 'loses-last'],
  ])('%s: found in at least 19 of 20 seeds', (_, child, habit) => {
    const found = SEEDS.filter((seed) => told(habitsIn(sitting(child, seed))).includes(habit));
    expect(found.length, `seeds ${found.join(' ')}`).toBeGreaterThanOrEqual(19);
  });
  test('two habits at once are both found', () => {
    const found = SEEDS.filter((seed) => {
      const habits = told(habitsIn(sitting({ swap: ['k', 't'], uh: true, habit: 0.85, accident: 0.05 }, seed)));
      return habits.includes('swaps k t') && habits.includes('adds-uh');
    });
    expect(found.length).toBeGreaterThanOrEqual(19);
  });
  test.each([0, 0.05, 0.1])('none is found where there is none, with accidents in %d of the answers', (accident) => {
    const wrong = SEEDS.flatMap((seed) =>
      told(habitsIn(sitting({ habit: 0, accident }, seed))).map((h) => `${seed}: ${h}`),
    );
    expect(wrong).toEqual([]);
  });
  test('a habit does not bring others with it', () => {
    const others = SEEDS.flatMap((seed) =>
      told(habitsIn(sitting({ uh: true, habit: 0.8, accident: 0.05 }, seed))).filter((h) => h !== 'adds-uh'),
    );
    expect(others).toEqual([]);
  });
  test('three answers show no habit, whatever they look like', () => {
    expect(habitsIn(sitting({ opening: true, habit: 1, accident: 0 }, 3, 3))).toEqual([]);
  });
});

test('which sounds hold, by place: the r of frog and drum, lost both times', () => {
  const byWord = new Map(words().map((w) => [w.word, marksOf(w)]));
  const rows = soundRows([
    heardEvents(sure(byWord.get('frog')), [['f'], ['ɒ'], ['ɡ']], { apart: true }),
    heardEvents(sure(byWord.get('drum')), [['d'], ['ʌ'], ['m']], { apart: true }),
    heardEvents(sure(byWord.get('red')), [['r'], ['e'], ['d']], { apart: true }),
  ]);
  expect(rows.filter((r) => r.ipa === 'r')).toEqual([
    { ipa: 'r', place: 'middle', cluster: 'opening', asked: 2, held: 0 },
    { ipa: 'r', place: 'first', cluster: null, asked: 1, held: 1 },
  ]);
});
