import { TriangleAlert } from 'lucide-react';
import { allergensOf, ALLERGENS, OWN_CAUTIONS, type Caution } from '@/core/lexicon/cautions';
import { listed } from '@/core/in-words';
import { cautions as say } from './text';

type Own = (typeof OWN_CAUTIONS)[number];

/** Short, in place. The size is that of the small parts cylinder of 16 CFR 1501.4 and EN 71-1. */
export const CAUTION_WORDS: Readonly<Record<Own, { short: string; long: string }>> = {
  small: {
    short: say.smallPart,
    long: say.chokingHazardUnder,
  },
  allergen: { short: say.foodAllergen, long: say.checkEveryChilds },
  sharp: { short: 'sharp', long: say.adultHoldsShow },
  hot: { short: 'hot', long: say.onlyColdEmpty },
  battery: { short: 'battery', long: say.checkBatteryCover },
  cord: { short: 'cord', long: say.keepLongCords },
  'not-eaten': {
    short: say.eaten,
    long: say.makeChildIll,
  },
};

const own = (cautions: readonly Caution[]): Own[] => OWN_CAUTIONS.filter((c) => cautions.includes(c));
const names = (cautions: readonly Caution[]): string => listed(allergensOf(cautions).map((id) => ALLERGENS[id].label));

/** What to watch for with one thing or several, a sentence each. */
export function cautionLines(cautions: readonly Caution[]): string[] {
  const allergens = names(cautions);
  const contains = allergens ? [say.mayCheckEvery(allergens)] : [];
  return [...own(cautions).map((c) => CAUTION_WORDS[c].long), ...contains];
}

export function CautionMark({ cautions }: { readonly cautions: readonly Caution[] }) {
  const allergens = names(cautions);
  const marks = [...own(cautions).map((c) => CAUTION_WORDS[c].short), ...(allergens ? [say.has(allergens)] : [])];
  if (!marks.length) return null;
  return (
    <span className="inline-flex items-center gap-1 text-red">
      <TriangleAlert aria-hidden="true" size={15} className="shrink-0" />
      {marks.join(', ')}
    </span>
  );
}
