import { beforeEach, describe, expect, test } from 'vitest';
import { sure } from '../core/sure';
import { Lending } from './lending';

// NIST SP 800-63B, 5.1.3.2 asks for 20 bits of a secret that is tried online, with a limit of tries (from memory);
// twelve letters hold 54, the key 256. What is checked here: a code is good once, for ten minutes, for one tablet.
const MINUTE = 60_000;
let lending: Lending;
beforeEach(() => {
  lending = new Lending();
});

describe('a code', () => {
  test('holds 256 bits, and no two are alike', () => {
    const secrets = Array.from({ length: 8 }, () => sure(lending.offer(0)).secret);
    for (const secret of secrets) expect(Buffer.from(secret, 'base64url')).toHaveLength(32);
    expect(new Set(secrets).size).toBe(8);
  });
  test('lets one tablet in, once', () => {
    const { secret } = sure(lending.offer(0));
    const key = sure(lending.exchange(secret, 1));
    expect(lending.tabletOf(key)).toBe('green');
    expect(lending.exchange(secret, 2)).toBeNull();
    expect(lending.tabletOf(secret)).toBeNull();
    expect(lending.tabletOf(undefined)).toBeNull();
    expect(lending.tabletOf('')).toBeNull();
  });
  test('is over after ten minutes', () => {
    const { secret, letters, until } = sure(lending.offer(0));
    expect(until).toBe(10 * MINUTE);
    expect(lending.exchange(secret, 10 * MINUTE)).toBeNull();
    expect(lending.exchange(letters, 10 * MINUTE)).toBeNull();
  });
  test('by letters: small or large, with spaces or without', () => {
    const { letters } = sure(lending.offer(0));
    expect(letters).toMatch(/^(\w{3} ){3}\w{3}$/);
    expect(letters).not.toMatch(/[COISV01258]/);
    expect(lending.exchange(letters.toLowerCase().replaceAll(' ', ''), 1)).not.toBeNull();
  });
  test('five wrong ones, and no letters are taken any more; a new code has five again', () => {
    const { letters, secret } = sure(lending.offer(0));
    for (let i = 0; i < 5; i += 1) expect(lending.exchange('ABD EFG HJK LMN', 1)).toBeNull();
    expect(lending.exchange(letters, 1)).toBeNull();
    // What a camera reads cannot be guessed: that still holds.
    expect(lending.exchange(secret, 1)).not.toBeNull();
    const next = sure(lending.offer(2));
    for (let i = 0; i < 4; i += 1) expect(lending.exchange('ABD EFG HJK LMN', 3)).toBeNull();
    expect(lending.exchange(next.letters, 3)).not.toBeNull();
  });
});

describe('tablets', () => {
  test('have colours, each one of its own, eight at most', () => {
    const offers = Array.from({ length: 8 }, () => sure(lending.offer(0)));
    expect(new Set(offers.map((o) => o.colour)).size).toBe(8);
    expect(lending.offer(0)).toBeNull();
  });
  test('are listed once they came in, with what came from them', () => {
    const [green, blue] = [sure(lending.offer(0)), sure(lending.offer(0))];
    expect(lending.tablets()).toEqual([]);
    lending.exchange(blue.secret, 5);
    lending.exchange(green.secret, 6);
    lending.hear('blue', 3, 9);
    lending.hear('blue', 1, 12);
    // One that never came in is heard by nobody.
    lending.hear('red', 1, 12);
    expect(lending.tablets()).toEqual([
      { colour: 'blue', heardAt: 12, marks: 4 },
      { colour: 'green', heardAt: 6, marks: 0 },
    ]);
  });
});
