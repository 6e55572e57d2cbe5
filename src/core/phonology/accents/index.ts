import type { Accent } from '../accent';
import { GENERAL_AMERICAN, GENERAL_AMERICAN_MERGED } from './general-american';
import { MORE_ACCENTS } from './more';
import { NORTHERN_ENGLISH } from './northern-english';
import { SCOTTISH } from './scottish';
import { SOUTHERN_BRITISH } from './southern-british';

/** The accents that ship. Adding one means a file of its own and a line here. */
const SHIPPED = [SOUTHERN_BRITISH, NORTHERN_ENGLISH, SCOTTISH, GENERAL_AMERICAN, GENERAL_AMERICAN_MERGED] as const;

export type AccentId = (typeof SHIPPED)[number]['id'];
export const DEFAULT_ACCENT: AccentId = SOUTHERN_BRITISH.id;

/** Every accent, in the order of the settings. */
export const ACCENTS: readonly Accent[] = [...SHIPPED, ...MORE_ACCENTS];
export const ACCENT_IDS = ACCENTS.map((a) => a.id as AccentId);

/** The accents a setting chooses between; variants are a further choice inside one. */
export const MAIN_ACCENTS = ACCENTS.filter((a) => !a.variant);

/** The accent's object. Throws for an unknown id. Example: `accentOf('southern-british').rhotic // false`. */
export function accentOf(id: AccentId): Accent {
  const accent = ACCENTS.find((a) => a.id === id);
  if (!accent) throw new Error(`There is no accent "${id}".`);
  return accent;
}

/**
 * What an accent has of something written down by accent: its own, else that of the accent it varies.
 * @example ownOf({ 'general-american': 'a line' }, 'general-american-merged') // 'a line'
 */
export const ownOf = <T>(of: Readonly<Partial<Record<string, T>>>, id: AccentId): T | undefined =>
  of[id] ?? of[accentOf(id).variant?.of ?? ''];
