import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { makeStamps, timeOf } from './stamps';

const idOf = (msecs: number, seq: number): string => v7({ msecs, seq });
const HOUR = 3_600_000;
const NOON = Date.UTC(2026, 10, 2, 12);

describe('ids and times', () => {
  // RFC 9562, section 5.7: 48 bits of milliseconds, then the version.
  test('an id of version 7 carries its milliseconds', () => {
    const { id, at } = makeStamps(0, idOf).make(NOON);
    expect(timeOf(id)).toBe(NOON);
    expect(at).toBe(NOON);
    expect(id[14]).toBe('7');
  });
  test('whatever the clock does, later entries sort after earlier ones', () =>
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: NOON - 2 * HOUR, max: NOON + 2 * HOUR }), { minLength: 2, maxLength: 60 }),
        (clock) => {
          const stamps = makeStamps(0, idOf);
          const ids = clock.map((now) => stamps.make(now).id);
          expect([...ids].sort()).toEqual(ids);
          expect(new Set(ids).size).toBe(ids.length);
        },
      ),
    ));
  test('a device an hour fast stamps the server’s time once it has heard it', () => {
    const stamps = makeStamps(0, idOf);
    stamps.serverSaid(NOON, NOON + HOUR, NOON + HOUR + 40);
    expect(Math.abs(stamps.make(NOON + HOUR + 1_000).at - (NOON + 1_000))).toBeLessThan(100);
    expect(Math.abs(stamps.offset() + HOUR)).toBeLessThan(100);
  });
  test('a second of network is no wrong clock', () => {
    const stamps = makeStamps(0, idOf);
    stamps.serverSaid(NOON + 900, NOON, NOON + 1_000);
    expect(stamps.offset()).toBe(0);
  });
  test('of two devices, one an hour slow, the tap made later sorts later', () => {
    const [left, right] = [makeStamps(0, idOf), makeStamps(0, idOf)];
    right.serverSaid(NOON, NOON - HOUR, NOON - HOUR + 10);
    const first = left.make(NOON + 5_000).id;
    expect(right.make(NOON - HOUR + 6_000).id > first).toBe(true);
    // Even before it has heard the time, what it has seen it does not sort before.
    const slow = makeStamps(0, idOf);
    slow.seen(first, NOON - 60_000);
    expect(slow.make(NOON - 60_000).id > first).toBe(true);
  });
  test('a device years ahead is not followed by one whose clock is right', () => {
    const [wild, right] = [makeStamps(0, idOf), makeStamps(0, idOf)];
    right.seen(wild.make(NOON + 3 * 365 * 24 * HOUR).id, NOON);
    expect(right.make(NOON + 1_000).at).toBe(NOON + 1_000);
  });
});
