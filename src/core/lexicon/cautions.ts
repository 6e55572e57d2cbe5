/** What to watch for when the thing itself is handed round. */
const HAZARDS = ['small', 'sharp', 'hot', 'battery', 'cord', 'not-eaten'] as const;

/** One thing in food or craft materials that the law of a country names. */
interface NamedAllergen {
  readonly label: string;
  /** Its place among the 14 of the United Kingdom. */
  readonly uk: string;
  /** Its place among the 9 of the United States, where it has one. */
  readonly us?: string;
}

/**
 * The 14 of the Food Information Regulations 2014 (annex II of EU 1169/2011, as kept in UK law) and the 9 of the US
 * Food Allergen Labeling and Consumer Protection Act 2004 with the FASTER Act 2021; from memory. Wheat stands apart
 * from the other cereals with gluten, since US law names wheat alone.
 */
export const ALLERGENS = {
  wheat: { label: 'wheat', uk: 'cereals containing gluten', us: 'wheat' },
  gluten: { label: 'gluten', uk: 'cereals containing gluten' },
  egg: { label: 'egg', uk: 'eggs', us: 'eggs' },
  milk: { label: 'milk', uk: 'milk', us: 'milk' },
  fish: { label: 'fish', uk: 'fish', us: 'fish' },
  crustaceans: { label: 'crustaceans', uk: 'crustaceans', us: 'crustacean shellfish' },
  molluscs: { label: 'molluscs', uk: 'molluscs' },
  nuts: { label: 'nuts', uk: 'nuts', us: 'tree nuts' },
  peanuts: { label: 'peanuts', uk: 'peanuts', us: 'peanuts' },
  sesame: { label: 'sesame', uk: 'sesame seeds', us: 'sesame' },
  soya: { label: 'soya', uk: 'soybeans', us: 'soybeans' },
  celery: { label: 'celery', uk: 'celery' },
  mustard: { label: 'mustard', uk: 'mustard' },
  lupin: { label: 'lupin', uk: 'lupin' },
  sulphites: { label: 'sulphites', uk: 'sulphur dioxide and sulphites' },
} as const satisfies Readonly<Record<string, NamedAllergen>>;
export type Allergen = keyof typeof ALLERGENS;
export const ALLERGEN_IDS = Object.keys(ALLERGENS) as readonly Allergen[];

/** What a setting can say of a word of its own: it knows its food by name. */
export const OWN_CAUTIONS = [...HAZARDS, 'allergen'] as const;

export const CAUTIONS = [...OWN_CAUTIONS, ...ALLERGEN_IDS] as const;
export type Caution = (typeof CAUTIONS)[number];

/** The allergens among cautions. Example: `allergensOf(['small', 'milk']) // ['milk']`. */
export const allergensOf = (cautions: readonly Caution[]): Allergen[] =>
  ALLERGEN_IDS.filter((id) => cautions.includes(id));

/** True where a thing is never put forward to be handed round: it is sharp, or makes ill. */
export const neverHandedRound = (cautions: readonly Caution[]): boolean =>
  cautions.includes('sharp') || cautions.includes('not-eaten');
