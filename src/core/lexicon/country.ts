import { accentOf, type AccentId } from '../phonology/accents';
import type { Accent } from '../phonology/accent';

/** Countries whose everyday words differ: *lorry* and *truck*, *nappy* and *diaper*. */
export type Country = Accent['country'];

/** What the bank says of where a word is said; `local` is a word of some places in Britain. */
export const SAID_IN = ['gb', 'us', 'local'] as const;

interface CountryWords {
  readonly country: string;
  readonly word: string;
  /** Who leads on special needs in a setting. */
  readonly lead: string;
}

export const COUNTRY_WORDS: Readonly<Record<Country, CountryWords>> = {
  gb: { country: 'Britain', word: 'British', lead: 'SENCO' },
  us: { country: 'the United States', word: 'American', lead: 'special education team' },
};

/**
 * Whom to ask about a worry, in the words of the country.
 * @example leadIn('scottish') // 'SENCO'
 */
export const leadIn = (accent: AccentId): string => COUNTRY_WORDS[accentOf(accent).country].lead;

/** Why a word that is known is not put forward. */
export type Withheld = 'former' | 'other-country' | 'local' | 'put-aside';

/** Why a word is not put forward, in a few words beside it. */
export const WITHHELD_WORDS: Readonly<Record<Withheld, string>> = {
  former: 'not in the word bank any more',
  'other-country': 'said in another country',
  local: 'said in some places only',
  'put-aside': 'put aside for this group',
};

/** Which words a setting hears. */
export interface CountryHearing {
  readonly country: Country;
  /** The other country's words and local ones are let in. */
  readonly letIn: boolean;
}

/**
 * Why a word is not put forward to a setting, or undefined where it may be.
 * @example withheld({ where: 'us', local: false }, { country: 'gb', letIn: false }) // 'other-country'
 */
export function withheld(
  { where, local }: { readonly where: Country | null; readonly local: boolean },
  { country, letIn }: CountryHearing,
): Withheld | undefined {
  if (letIn || where === null) return undefined;
  if (where !== country) return 'other-country';
  return local ? 'local' : undefined;
}
