import { easilyTaken } from '../phonology/by-ear';
import type { SpelledPart } from './parts';

/** Letters that young children take for each other when they see them. Common practice, no source. */
const LOOK_ALIKE: readonly string[] = [
  'bd',
  'bp',
  'dq',
  'pq',
  'pd',
  'bq',
  'gq',
  'mn',
  'nh',
  'nu',
  'nr',
  'mw',
  'vw',
  'vy',
  'il',
  'ij',
  'ft',
  'ao',
  'ce',
];
const pairs = new Set(LOOK_ALIKE.flatMap((pair) => [pair, [...pair].reverse().join('')]));

/** True for two spellings of one letter each that are easily taken for each other by eye. */
const lookAlike = (a: string, b: string): boolean => pairs.has(a + b);

/** True for two spellings whose sounds are easily taken for each other by ear. */
const soundAlike = (a: Pick<SpelledPart, 'sounds'>, b: Pick<SpelledPart, 'sounds'>): boolean =>
  a.sounds !== b.sounds && !/ /u.test(a.sounds + b.sounds) && easilyTaken(a.sounds, b.sounds);

/** How one spelling is like another: to the eye, to the ear, or both. */
export type Alike = 'look' | 'sound' | 'both';

/**
 * How two spellings are easily mixed up. *b* and *d* are one matter: alike to eye and ear.
 * @example alike({ spelling: 'b', sounds: 'b' }, { spelling: 'd', sounds: 'd' }) // 'both'
 */
export function alike(
  a: Pick<SpelledPart, 'spelling' | 'sounds'>,
  b: Pick<SpelledPart, 'spelling' | 'sounds'>,
): Alike | null {
  const [look, sound] = [lookAlike(a.spelling, b.spelling), soundAlike(a, b)];
  if (look && sound) return 'both';
  if (look) return 'look';
  return sound ? 'sound' : null;
}
