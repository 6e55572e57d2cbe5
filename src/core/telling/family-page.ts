import { capital } from '../in-words';
import { familyOf } from '../games';
import type { RungEvidence } from '../evidence/evidence';
import type { Rung } from '../evidence/ladders';
import type { ChildAdvice, Skill } from '../choosing/advice';
import { whySentence } from './why';

/**
 * A page on one child for a family or a meeting: words first, no percentages; figures only where they are asked for.
 */
export interface FamilyPage {
  readonly can: readonly string[];
  readonly coming: readonly string[];
  readonly next: string | null;
  readonly home: readonly string[];
  /** The figures behind it, line by line. */
  readonly figures: readonly string[];
}

/** @example familyPage(advice).can // ['Can clap words of 1 or 2 beats, without help.'] */
export function familyPage({ skills, next }: Pick<ChildAdvice, 'skills' | 'next'>): FamilyPage {
  const begun = skills.filter(isBegun);
  return {
    can: begun.flatMap(({ holds }) => (holds ? [`Can ${plainly(holds.rung)}, without help.`] : [])),
    coming: begun.flatMap(({ rungs, workingOn }) => {
      const r = rungs.find((r) => r.rung.id === workingOn?.rung);
      const part = r && r.state === 'getting-there' ? inPart(r) : null;
      return r && part ? [`Can ${plainly(r.rung)} ${part}.`] : [];
    }),
    next: next ? `We’ll play games where you ${plainly(next.rungOf)}.` : null,
    home: [...new Set([...(next ? [next.ladder] : []), ...begun.map((s) => s.ladder.id)])]
      .slice(0, 3)
      .map((id) => familyOf(id).atHome.tries),
    figures: begun.flatMap(({ rungs }) =>
      rungs.filter((r) => r.lastAt !== null).map((r) => `${capital(plainly(r.rung))}: ${whySentence(r)}`),
    ),
  };
}

const isBegun = ({ rungs }: Skill): boolean => rungs.some((r) => r.lastAt !== null);

/** What a child does on a rung, as a family would say it. */
export const plainly = (rung: Pick<Rung, 'does' | 'plainly'>): string => rung.plainly ?? rung.does;

/** So much of it comes off. Our own choice. */
const PART = { most: 0.75, some: 0.25, helped: 0.5 } as const;

/** How far a rung comes off; null where little of it does. */
function inPart({ fresh: { own, helped, notYet } }: RungEvidence): string | null {
  const tried = own + helped + notYet;
  if (own >= PART.most * tried) return 'most of the time';
  if (helped > own && own + helped >= PART.helped * tried) return 'with a little help';
  return own >= PART.some * tried ? 'some of the time' : null;
}
