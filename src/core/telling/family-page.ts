import { capital } from '../in-words';
import { familyOf } from '../games';
import { sure } from '../sure';
import type { LadderEvidence } from '../evidence/evidence';
import type { Rung } from '../evidence/ladders';
import { frontier, highest, type NextStep } from '../choosing/next-step';

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

/** @param figureOf the sentence of a rung with its numbers */
export function familyPage(
  ladders: readonly LadderEvidence[],
  next: NextStep | undefined,
  figureOf: (l: LadderEvidence['rungs'][number]) => string,
): FamilyPage {
  const begun = ladders.filter(({ rungs }) => rungs.some((r) => r.lastAt !== null));
  const here = begun.flatMap((l) =>
    frontier(l.rungs) < 0 ? [] : [{ ladder: l.ladder, rung: sure(l.rungs[frontier(l.rungs)]) }],
  );
  return {
    can: begun
      .filter((l) => highest(l.rungs) >= 0)
      .map((l) => `Can ${plainly(sure(l.rungs[highest(l.rungs)]).rung)}, without help.`),
    coming: here
      .filter(({ rung }) => rung.state === 'getting-there')
      .map(({ rung }) => `Can ${plainly(rung.rung)} ${inPart(rung)}.`),
    next: next ? `We’ll play games where you ${plainly(next.rungOf)}.` : null,
    home: [...new Set([...(next ? [next.ladder] : []), ...here.map(({ ladder }) => ladder.id)])]
      .slice(0, 3)
      .map((id) => familyOf(id).atHome.tries),
    figures: begun.flatMap((l) =>
      l.rungs.filter((r) => r.lastAt !== null).map((r) => `${capital(plainly(r.rung))}: ${figureOf(r)}`),
    ),
  };
}

/** What a child does on a rung, as a family would say it. */
const plainly = (rung: Pick<Rung, 'does' | 'plainly'>): string => rung.plainly ?? rung.does;

/** How far a rung comes off: mostly with help, or now and then alone. */
const inPart = ({ fresh }: LadderEvidence['rungs'][number]): string =>
  fresh.helped > fresh.own ? 'with a little help' : 'some of the time';
