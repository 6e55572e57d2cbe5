import { TriangleAlert } from 'lucide-react';
import type { Caution } from '@/core/lexicon/entry';

/** Short, in place. The size is that of the small parts cylinder of 16 CFR 1501.4 and EN 71-1. */
export const CAUTION_WORDS: Readonly<Record<Caution, { short: string; long: string }>> = {
  small: {
    short: 'small part',
    long:
      'A choking hazard under 3 years: it may fit in a cylinder 31.7 mm across. ' +
      'Keep it from children who mouth things.',
  },
  allergen: { short: 'food allergen', long: 'Check every child’s plan before this food comes out.' },
  sharp: { short: 'sharp', long: 'An adult holds it, or show a picture.' },
  hot: { short: 'hot', long: 'Only cold and empty, or show a picture.' },
  battery: { short: 'battery', long: 'Check that the battery cover is screwed down.' },
  cord: { short: 'cord', long: 'Keep long cords away from necks; use it with an adult beside.' },
};

export const CautionMark = ({ cautions }: { cautions: readonly Caution[] }) =>
  cautions.length ? (
    <span className="inline-flex items-center gap-1 text-red">
      <TriangleAlert aria-hidden="true" size={15} />
      {cautions.map((c) => CAUTION_WORDS[c].short).join(', ')}
    </span>
  ) : null;
