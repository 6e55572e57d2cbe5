import { describe, expect, test } from 'vitest';
import { usual } from './usual';
import { makingOf } from '../phonology/sounds';

const sounded = (sounds: readonly string[]) => sounds.map((ipa) => ({ ipa, making: makingOf(ipa) }));

const FROG = ['f', 'r', 'ɒ', 'ɡ'];
const HAND = ['h', 'æ', 'n', 'd'];

// Treiman 1985 and McLeod et al. 2001, both from memory: sounds go from clusters before they go from the end of a word,
// and from there before they go from its start.
describe('what children usually say', () => {
  const lost = (at: number, sounds: readonly string[]): number =>
    usual({ slip: 'lost-sound', missed: [at] }, sounded(sounds));
  test('a sound is lost from a cluster most often, then at the end, then at the start', () => {
    expect(lost(1, FROG)).toBeGreaterThan(lost(3, FROG));
    expect(lost(2, HAND)).toBeGreaterThan(lost(0, HAND));
    expect(lost(3, FROG)).toBeGreaterThan(lost(0, HAND));
  });
  test('clusters and ends are kept together more often than a letter is named, or another sound said', () => {
    const of = (slip: 'cluster-kept' | 'rime-kept' | 'letter-name' | 'swapped-sound'): number =>
      usual({ slip, missed: [] }, sounded(FROG));
    expect(of('cluster-kept')).toBeGreaterThan(of('rime-kept'));
    expect(of('rime-kept')).toBeGreaterThan(of('letter-name'));
    expect(of('letter-name')).toBeGreaterThan(of('swapped-sound'));
  });
  test('every answer is somewhere between never and always', () => {
    for (const slip of ['unchanged', 'other-word', 'some-missed', null] as const) {
      const weight = usual({ slip, missed: [] }, sounded(FROG));
      expect(weight).toBeGreaterThan(0);
      expect(weight).toBeLessThanOrEqual(1);
    }
  });
});
