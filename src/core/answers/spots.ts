import { CONSONANTS } from '../phonology/sounds';
import { sure } from '../sure';
import { whereOf, type AskedSound } from './analyse';

/**
 * Consonants side by side at the start or end of a word make a cluster; its key says which side, and after which kind
 * of sound. Example: the r of *frog* is `r opening after`, its g `ɡ last`.
 */
export function spotKey(sounds: readonly AskedSound[], at: number): string {
  const { place, cluster } = whereOf(sounds, at);
  return `${sure(sounds[at]).ipa} ${cluster ?? place}${cluster && sure(sounds[at]).close ? ' after' : ''}`;
}

/** The place of a key without its sound. Example: `whereIn('r opening after') // 'opening after'`. */
export const whereIn = (key: string): string => key.slice(key.indexOf(' ') + 1);

/** A key, read. */
export interface Spot {
  readonly ipa: string;
  /** Where in the word: `first`, `middle`, `last`, or a side of a cluster. */
  readonly side: string;
  /** It follows another consonant of its cluster. */
  readonly after: boolean;
}

const spots = new Map<string, Spot>();
/** Example: `spotOf('r opening after').side // 'opening'`. There are few of them: each is read once. */
export function spotOf(key: string): Spot {
  const known = spots.get(key);
  if (known) return known;
  const [ipa = '', side = '', after] = key.split(' ');
  const made = { ipa, side, after: after === 'after' };
  spots.set(key, made);
  return made;
}

const manner =
  (...wanted: string[]) =>
  ({ ipa }: Spot): boolean =>
    wanted.includes(CONSONANTS[ipa]?.manner ?? '');

/** What several sounds may share, the narrower first: which places a kind of slip is about, by its id. */
export const SPOT_KINDS: Readonly<Record<string, (spot: Spot) => boolean>> = {
  'last-stops': (c) => c.side === 'last' && manner('stop', 'affricate')(c),
  'last-held': (c) => c.side === 'last' && manner('fricative', 'nasal', 'lateral approximant')(c),
  'last-consonants': (c) => c.side === 'last' && CONSONANTS[c.ipa] !== undefined,
  'opening-r': (c) => c.side === 'opening' && c.after && c.ipa === 'r',
  'opening-l': (c) => c.side === 'opening' && c.after && c.ipa === 'l',
  'opening-s': (c) => c.side === 'opening' && !c.after && c.ipa === 's',
  'opening-second': (c) => c.side === 'opening' && c.after && manner('approximant', 'lateral approximant')(c),
  'closing-first': (c) => c.side === 'closing' && !c.after,
  'closing-last': (c) => c.side === 'closing' && c.after,
  back: (c) => CONSONANTS[c.ipa]?.place === 'velar',
  'middle-vowels': (c) => c.side === 'middle' && CONSONANTS[c.ipa] === undefined,
};

/** True where a place is one that a pattern is about: a kind of the table, or the key itself. */
export const isAbout = (pattern: string, key: string): boolean => SPOT_KINDS[pattern]?.(spotOf(key)) ?? pattern === key;
