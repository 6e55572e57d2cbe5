import { ageBand as say } from './text';

/** How old the children of a group are, as settings name it. */
export const AGE_BANDS = ['nursery', 'reception', 'year-1'] as const;
export type AgeBand = (typeof AGE_BANDS)[number];

/** The names of a country’s own settings. Common practice, no source. */
const NAMES: Readonly<Record<AgeBand, Readonly<Record<'gb' | 'us', string>>>> = {
  nursery: { gb: say.nurseryTo, us: say.preschoolTo },
  reception: { gb: say.receptionTo, us: say.preKTo },
  'year-1': { gb: say.yearTo, us: say.kindergartenTo },
};

/** Example: `bandName('reception', 'us') // 'Pre-K, 4 to 5'`. */
export const bandName = (band: AgeBand, country: 'gb' | 'us'): string => NAMES[band][country];
