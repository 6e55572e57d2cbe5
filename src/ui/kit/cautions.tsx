import { TriangleAlert } from 'lucide-react';
import { allergensOf, ALLERGENS, OWN_CAUTIONS, type Caution } from '@/core/lexicon/cautions';
import { capital, listed } from '@/core/in-words';

type Own = (typeof OWN_CAUTIONS)[number];

/** Short, in place. The size is that of the small parts cylinder of 16 CFR 1501.4 and EN 71-1. */
export const CAUTION_WORDS: Readonly<Record<Own, { short: string; long: string }>> = {
  small: {
    short: 'small part',
    long:
      'A choking hazard for under-3s: it may fit in a cylinder 31.7 mm across. Keep it away from children who put ' +
      'things in their mouths.',
  },
  allergen: { short: 'food allergen', long: 'Check every child’s allergy plan before you bring this food out.' },
  sharp: { short: 'sharp', long: 'An adult holds it, or you show a picture.' },
  hot: { short: 'hot', long: 'Use it cold and empty, or show a picture.' },
  battery: { short: 'battery', long: 'Check the battery cover is screwed down.' },
  cord: { short: 'cord', long: 'Keep long cords away from necks, and stay beside the child.' },
  'not-eaten': {
    short: 'not to be eaten',
    long: 'It can make a child ill if they eat it. Look at it where it grows, and wash hands afterwards.',
  },
};

const ownCautions = (cautions: readonly Caution[]): Own[] => OWN_CAUTIONS.filter((c) => cautions.includes(c));
const names = (cautions: readonly Caution[]): string => listed(allergensOf(cautions).map((id) => ALLERGENS[id].label));

/** What to watch for with one thing or several, a sentence each. */
export function cautionLines(cautions: readonly Caution[]): string[] {
  const allergens = names(cautions);
  const contains = allergens
    ? [`${capital(allergens)}: check every child’s allergy plan before you bring it out.`]
    : [];
  return [...ownCautions(cautions).map((c) => CAUTION_WORDS[c].long), ...contains];
}

export function CautionMark({ cautions }: { readonly cautions: readonly Caution[] }) {
  const allergens = names(cautions);
  const marks = [
    ...ownCautions(cautions).map((c) => CAUTION_WORDS[c].short),
    ...(allergens ? [`allergen: ${allergens}`] : []),
  ];
  if (!marks.length) return null;
  return (
    <span className="inline-flex items-center gap-1 text-red">
      <TriangleAlert aria-hidden="true" size={15} className="shrink-0" />
      {marks.join(', ')}
    </span>
  );
}
