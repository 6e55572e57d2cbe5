import { describe, expect, test } from 'vitest';
import { atLeast } from './luck';
import { anotherWord, KEPT_DAYS, nextPart, TELLINGS, verdictOn, type PebbleCheck } from './pebbles';
import { settle, type ChildSeen } from './settle';

const DAY = 86_400_000;
const NOW = 20_000 * DAY;
const FROG = 'r opening after';

const check = (word: string, more: Partial<PebbleCheck> = {}, daysAgo = 1): PebbleCheck => ({
  key: FROG,
  word,
  says: 'slip',
  pebbles: false,
  told: null,
  at: NOW - daysAgo * DAY,
  day: 20_000 - daysAgo,
  ...more,
});
const saysIt = (word: string, more: Partial<PebbleCheck> = {}, daysAgo = 1): PebbleCheck =>
  check(word, { says: 'word', ...more }, daysAgo);

// What each row says is common practice, no source; the chance of six of six by luck is 1 in 64.
describe('what a check says', () => {
  test('six of six is luck one time in 64', () => expect(atLeast(TELLINGS, TELLINGS, 0.5)).toBeCloseTo(1 / 64, 12));
  test.each<[string, PebbleCheck[], string]>([
    ['nothing played', [], 'open'],
    ['says fog, all pebbles', [check('frog', { pebbles: true })], 'speech'],
    ['cannot tell how they say it, all pebbles', [check('frog', { says: 'unsure', pebbles: true })], 'speech'],
    ['says fog, no pebbles, not asked on', [check('frog')], 'open'],
    ['says fog, no pebbles, six of six', [check('frog', { told: 6 })], 'own-words'],
    ['says fog, no pebbles, five of six, one day', [check('frog', { told: 5 }), check('drip', { told: 3 })], 'open'],
    ['the same on two days', [check('frog', { told: 5 }), check('drip', { told: 3 }, 4)], 'talk'],
    ['says two words well, misses their pebbles', [saysIt('frog'), saysIt('drip')], 'open'],
    ['says three well, misses their pebbles', [saysIt('frog'), saysIt('drip'), saysIt('bread')], 'awareness'],
    ['the same word three times is one word', [saysIt('frog'), saysIt('frog'), saysIt('frog')], 'open'],
    [
      'three of one place, other sounds',
      [saysIt('frog'), saysIt('clap', { key: 'l opening after' }), saysIt('swing', { key: 'w opening after' })],
      'awareness',
    ],
    ['three of another place', ['went', 'lamp', 'belt'].map((w) => saysIt(w, { key: 'n closing' })), 'open'],
    ['says it well, all pebbles', [saysIt('frog', { pebbles: true })], 'speech'],
  ])('%s', (_, checks, verdict) => expect(verdictOn(checks, FROG, NOW - DAY)).toBe(verdict));
  test('good for thirty days, and no longer', () => {
    const heard = [check('frog', { pebbles: true }, KEPT_DAYS)];
    expect(verdictOn(heard, FROG, NOW)).toBe('speech');
    expect(verdictOn(heard, FROG, NOW + DAY)).toBe('open');
  });
  test('who says it well and slips again on a later day is asked again', () => {
    const heard = [saysIt('frog', { pebbles: true }, 3)];
    expect(verdictOn(heard, FROG, NOW - 3 * DAY + 600_000)).toBe('speech');
    expect(verdictOn(heard, FROG, NOW)).toBe('open');
  });
  test('one part after the other; a word more only where it says more', () => {
    expect(nextPart({ says: null, pebbles: null, told: null })).toBe('say');
    expect(nextPart({ says: 'word', pebbles: null, told: null })).toBe('pebbles');
    expect(nextPart({ says: 'slip', pebbles: false, told: null })).toBe('tell');
    expect(nextPart({ says: 'slip', pebbles: true, told: null })).toBe('done');
    expect(nextPart({ says: 'word', pebbles: false, told: null })).toBe('done');
    expect(anotherWord([saysIt('frog')], FROG, NOW)).toBe(true);
    expect(anotherWord([saysIt('frog', { pebbles: true })], FROG, NOW)).toBe(false);
    expect(anotherWord([check('frog', { told: 6 })], FROG, NOW)).toBe(false);
    expect(anotherWord([saysIt('frog'), saysIt('drip'), saysIt('bread')], FROG, NOW)).toBe(false);
  });
});

describe('what is settled', () => {
  const seen = (checks: readonly PebbleCheck[]): ChildSeen => ({
    runs: [
      {
        task: 'blending',
        step: '4-start',
        standing: 'fresh',
        at: NOW - DAY,
        day: 19_999,
        marks: '1u0',
        open: [FROG],
        helps: {},
      },
    ],
    sessions: [{ at: NOW - DAY, cells: { [FROG]: [3, 1, 1], 'f opening': [3, 3] } }],
    checks,
  });
  const marks = (checks: readonly PebbleCheck[]): string => settle(seen(checks), NOW).runs[0]?.marks ?? '';
  const cell = (checks: readonly PebbleCheck[]) => settle(seen(checks), NOW).sessions[0]?.cells[FROG];
  test('open: told as open, and in no count', () => {
    expect([marks([]), cell([])]).toEqual(['1u0', [2, 1]]);
    expect(settle(seen([]), NOW).open).toMatchObject([{ key: FROG, times: 1, verdict: 'open' }]);
  });
  test('speech: right in both, and nothing is open', () => {
    const heard = [check('frog', { pebbles: true })];
    expect([marks(heard), cell(heard), settle(seen(heard), NOW).open]).toEqual(['110', [3, 2], []]);
  });
  test('awareness: missed in both', () => {
    const missed = [saysIt('frog'), saysIt('drip'), saysIt('bread')];
    expect([marks(missed), cell(missed), settle(seen(missed), NOW).open]).toEqual(['100', [3, 1], []]);
  });
});
