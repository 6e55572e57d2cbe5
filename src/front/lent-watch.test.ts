import { describe, expect, test } from 'vitest';
import { look, watchFrom, type Watched } from './lent-watch';

// When the way in closes by itself: the rules are this product's own.
const MINUTE = 60_000;
const STEP = 5_000;
const HERE = [
  { address: '192.0.2.2', name: 'wlan0' },
  { address: '198.51.100.7', name: 'eth0' },
];
const WITHOUT = HERE.slice(1);

/** Looks every five seconds from one time to another; what came of it, and when. */
function looking(from: Watched, until: number, here: typeof HERE): { came: Watched | string; at: number } {
  let [came, at]: [Watched | string, number] = [from, from.lookedAt];
  while (typeof came !== 'string' && at < until) {
    at += STEP;
    came = look(came, at, here);
  }
  return { came, at };
}

describe('the way in', () => {
  const open = watchFrom(0, '192.0.2.2', HERE);
  test('stays open for two hours, and no longer', () => {
    expect(looking(open, 120 * MINUTE, HERE).came).toMatchObject({ goneSince: null });
    expect(looking(open, 121 * MINUTE, HERE)).toEqual({ came: 'two-hours', at: 120 * MINUTE + STEP });
  });
  test('closes where nobody has looked for over a minute: the computer slept, or its clock was put', () => {
    expect(look(open, MINUTE, HERE)).toMatchObject({ lookedAt: MINUTE });
    expect(look(open, MINUTE + 1, HERE)).toBe('slept');
    expect(look(open, -MINUTE - 1, HERE)).toBe('slept');
  });
  test('waits five minutes for an address that is gone, and goes on where it comes back', () => {
    const gone = looking(open, 4 * MINUTE, WITHOUT).came as Watched;
    expect(gone.goneSince).toBe(STEP);
    expect(looking(gone, 9 * MINUTE, HERE).came).toMatchObject({ goneSince: null });
    expect(looking(gone, 9 * MINUTE, WITHOUT)).toEqual({ came: 'address-gone', at: 5 * MINUTE + 2 * STEP });
  });
  test('closes at once where its way has another address: that is another network', () => {
    expect(look(open, STEP, [{ address: '203.0.113.9', name: 'wlan0' }, ...WITHOUT])).toBe('address-gone');
  });
});
