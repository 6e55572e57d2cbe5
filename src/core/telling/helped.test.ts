import { jStat } from 'jstat';
import { describe, expect, test } from 'vitest';
import { spotKey } from '../answers/spots';
import { askedFor } from '../answers/analyse';
import { seeded, shuffle } from '../random';
import { sure } from '../sure';
import { words } from '../testing/bank';
import { times } from '../testing/deep';
import { cellsOf, type Cells } from '../evidence/cells';
import { helpedIn, helpedSentence, type Helped } from './helped';
import { atMostDrawn } from '../evidence/luck';
import { raisedIn } from '../evidence/patterns';
import type { SessionCells } from '../evidence/settle';
import { millisecondsInDay } from 'date-fns/constants';

const NASALS = new Set(['m', 'n', 'ŋ']);
const pool = words().filter((w) => w.entry.band < 3 && !w.entry.doubt && w.count >= 3 && w.count <= 5);
const sounds = pool.map((w) => w.sounds.map((s) => s.ipa));
const nasalAt = (of: readonly string[]): number =>
  of.findIndex((ipa, at) => NASALS.has(ipa) && spotKey(askedFor(of), at).includes('closing') && at === of.length - 2);
const holding = sounds.filter((of) => nasalAt(of) > 0);
const others = sounds.filter((of) => nasalAt(of) < 0);

/** What became of one word: with or without its first end sound. */
const word = (of: readonly string[], slips: boolean): Cells =>
  sure(
    cellsOf({
      task: 'segmenting',
      outcome: slips ? 'not-yet' : 'on-own',
      slip: slips ? 'swapped-sound' : null,
      said: null,
      missed: slips ? [nasalAt(of)] : [],
      sounds: of,
    }),
  );

/** A made-up child: how often such an ending slips on each day. No word is met twice. */
function child(slipsOn: readonly number[], each: number, seed: number) {
  const random = seeded(seed);
  const [held, rest] = [shuffle(holding, random), shuffle(others, random)];
  const heard: SessionCells[] = slipsOn.flatMap((rate, day) =>
    Array.from({ length: each }, (_, i) => ({
      at: day * millisecondsInDay,
      cells: word(sure(held[(day * each + i) % held.length]), random() < rate),
    })).concat({ at: day * millisecondsInDay, cells: word(sure(rest[day]), false) }),
  );
  return { heard, told: helpedIn(raisedIn(heard), heard) };
}
const about = (told: readonly Helped[]): Helped | undefined => told.find((t) => t.id === 'closing-first');

describe('the exact test for two by two', () => {
  test('eight cups, four of each, all told apart: one in seventy (Fisher 1935, from memory)', () => {
    expect(atMostDrawn(0, 4, 4, 8)).toBeCloseTo(1 / 70, 12);
  });
  test('agrees with a reference library (jStat) on every table up to fifteen', () => {
    for (let all = 2; all <= 15; all += 1)
      for (let drawn = 1; drawn < all; drawn += 1)
        for (let marked = 1; marked < all; marked += 1)
          // The library goes wrong where the count is below what must be drawn; no table has such a count.
          for (let x = Math.max(0, drawn + marked - all); x <= Math.min(drawn, marked); x += 1)
            expect(atMostDrawn(x, drawn, marked, all)).toBeCloseTo(jStat.hypgeom.cdf(x, all, marked, drawn), 9);
  });
});

describe('did it help', () => {
  test('a child for whom nothing changes is seldom said to have got on', () => {
    const many = times(3000, 300);
    const told = Array.from({ length: many }, (_, seed) => about(child(Array(12).fill(0.6), 4, seed + 1).told));
    const seen = told.filter((t) => t !== undefined && t.less !== null);
    expect(seen.length).toBeGreaterThan(many * 0.9);
    // Five in a hundred, and three standard errors of so many children.
    const most = 0.05 * seen.length + 3 * Math.sqrt(0.05 * 0.95 * seen.length);
    expect(seen.filter((t) => t?.less).length).toBeLessThan(most);
  });
  test('a child for whom it comes right is nearly always said to have got on', () => {
    const rates = [0.9, 0.9, 0.9, 0.9, 0.8, 0.8, 0.5, 0.3, 0.1, 0.05, 0.05, 0.05];
    const told = Array.from({ length: 100 }, (_, seed) => about(child(rates, 4, seed + 1).told));
    expect(told.filter((t) => t?.less).length).toBeGreaterThanOrEqual(90);
  });
  test('the answers that raised it are left out, the rest of their session with them', () => {
    const { heard, told } = child([1, 1, 1, 0, 0, 0, 0], 4, 3);
    const { at, earlier, latest } = sure(about(told));
    const after = heard.filter((h) => h.at > at);
    const chances = after.filter((h) => Object.keys(h.cells).some((k) => k.endsWith(' closing')));
    expect(earlier.of + latest.of).toBe(chances.length);
    expect(earlier.heard + latest.heard).toBeLessThan(12);
  });
  test('too few new words, and no word at all, are said so', () => {
    const raised = { id: 'closing-first', name: 'the first of two end sounds', at: 0 };
    const few = helpedIn([raised], [{ at: millisecondsInDay, cells: { 'n closing': [1, 1] } }]);
    expect(few[0]?.less).toBeNull();
    expect(helpedSentence(sure(few[0]), raised.name, '3 November')).toBe(
      'Misses the first of two end sounds. First noticed on 3 November. They’ve only met one new word like these ' +
        'since, so we can’t say yet whether practice is helping.',
    );
    expect(helpedSentence(sure(helpedIn([raised], [])[0]), raised.name, '3 November')).toContain(
      'They haven’t met a new word like these since',
    );
  });
  test('what is said is what was heard', () => {
    const { told } = child([1, 1, 1, 1, 1, 0, 0, 0], 4, 5);
    const one = sure(about(told));
    expect(one.less).toBe(true);
    const text = helpedSentence(one, 'the first of two end sounds', '3 November');
    expect(text).toMatch(/We heard it in \w+ of the first \w+ new words after that, and in \w+ of the latest \w+: it/u);
  });
});
