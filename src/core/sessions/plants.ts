/** Plants of the allotment, each with a drawing of its own (`public/plants`). */
export const PLANTS = [
  'carrot',
  'radish',
  'beetroot',
  'turnip',
  'leek',
  'onion',
  'pea',
  'bean',
  'tomato',
  'pumpkin',
  'courgette',
  'aubergine',
  'sweetcorn',
  'lettuce',
  'cabbage',
  'mushroom',
  'sunflower',
  'tulip',
  'daisy',
  'strawberry',
  'apple',
  'pear',
  'cherry',
  'raspberry',
] as const;
export type PlantId = (typeof PLANTS)[number];

/** A plant that is kept; null where nothing, or nothing known, stands there. */
export const plantOf = (kept: string | null): PlantId | null => PLANTS.find((plant) => plant === kept) ?? null;

/**
 * A plant for each who has none: one that nobody else has, as long as there are such.
 * @param plants what each has now, in the order of the list
 * @example givePlants(['carrot', null, null]) // ['carrot', 'radish', 'beetroot']
 */
export function givePlants(plants: readonly (PlantId | null)[]): (PlantId | null)[] {
  const free = PLANTS.filter((plant) => !plants.includes(plant));
  return plants.map((plant) => plant ?? free.shift() ?? null);
}
