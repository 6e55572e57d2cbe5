import type { AccentId } from '../phonology/accents';
import type { Access } from './access';

/**
 * A child's own way of saying sounds, set once on the child: says /t/ for /k/, /f/ for /θ/, or speaks another accent.
 * It is treated as equal before anything is called a slip: how a child pronounces is never marked as an error of sound
 * awareness.
 */
export interface OwnWay {
  readonly swaps: readonly { readonly asked: string; readonly says: string }[];
  /** Leaves a sound out of clusters when talking (*poon* for *spoon*): which sounds. */
  readonly drops: readonly string[];
  /** Speaks this accent, where it is not the setting's. */
  readonly accent: AccentId | null;
  /** What is always so for this child, and never a help. */
  readonly access: readonly Access[];
  /** Hears better without high sounds: none of them tells right from wrong in a group with this child. */
  readonly lowOnly: boolean;
  /** Languages spoken at home, as the adult wrote them; absent where nothing is known. */
  readonly languages?: string | undefined;
}

export const NO_OWN_WAY: OwnWay = { swaps: [], drops: [], accent: null, access: [], lowOnly: false };

/** Languages at home where another than English is among them, as they were written. */
export const otherLanguages = ({ languages }: Pick<OwnWay, 'languages'>): string | undefined =>
  languages && !/^\W*english\W*$/iu.test(languages) ? languages : undefined;

/** How a child speaks where nothing is set, as it is kept. */
export const PLAIN_TEXT = JSON.stringify(NO_OWN_WAY);

/** True where nothing is set about how the child says sounds. */
export const isPlain = (way: OwnWay): boolean => !way.swaps.length && !way.drops.length && way.accent === null;

/**
 * True where the child says the one for the other.
 * @example saysFor({ swaps: [{ asked: 'k', says: 't' }], … }, 'k', 't') // true
 */
export const saysFor = (way: OwnWay, asked: string, heard: string): boolean =>
  way.swaps.some((s) => s.asked === asked && s.says === heard);

/**
 * Ways many children have for a while. Names and examples: Grunwell, Clinical Phonology (2nd ed., 1987), from memory.
 */
export const COMMON_WAYS: readonly {
  readonly asked: string;
  readonly says: string;
  readonly example: readonly [string, string];
}[] = [
  { asked: 'k', says: 't', example: ['cat', 'tat'] },
  { asked: 'ɡ', says: 'd', example: ['goat', 'doat'] },
  { asked: 'θ', says: 'f', example: ['thumb', 'fum'] },
  { asked: 'ð', says: 'v', example: ['feather', 'fevver'] },
  { asked: 's', says: 'θ', example: ['sun', 'thun'] },
  { asked: 'r', says: 'w', example: ['red', 'wed'] },
  { asked: 'l', says: 'j', example: ['leg', 'yeg'] },
  { asked: 'ʃ', says: 's', example: ['shoe', 'soo'] },
  { asked: 'tʃ', says: 't', example: ['chair', 'tair'] },
  { asked: 'dʒ', says: 'd', example: ['jam', 'dam'] },
  { asked: 'f', says: 'p', example: ['fish', 'pish'] },
  { asked: 's', says: 't', example: ['sea', 'tea'] },
];
