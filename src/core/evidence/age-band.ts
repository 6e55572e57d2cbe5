/** How old the children of a group are, as settings name it. */
export const AGE_BANDS = ['nursery', 'reception', 'year-1'] as const;
export type AgeBand = (typeof AGE_BANDS)[number];

/** The names of a country’s own settings. Common practice, no source. */
const NAMES: Readonly<Record<AgeBand, Readonly<Record<'gb' | 'us', string>>>> = {
  nursery: { gb: 'Nursery, 3 to 4', us: 'Preschool, 3 to 4' },
  reception: { gb: 'Reception, 4 to 5', us: 'Pre-K, 4 to 5' },
  'year-1': { gb: 'Year 1, 5 to 6', us: 'Kindergarten, 5 to 6' },
};

/** Example: `bandName('reception', 'us') // 'Pre-K, 4 to 5'`. */
export const bandName = (band: AgeBand, country: 'gb' | 'us'): string => NAMES[band][country];
