import { capital } from '../in-words';
import { familyOf } from '../games';
import { sure } from '../sure';
import type { LadderEvidence } from './evidence';
import { frontier, highest, type NextStep } from './next-step';
import { familyPage as say } from './text';

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
      .map((l) => say.alone(capital(sure(l.rungs[highest(l.rungs)]).rung.does))),
    coming: here
      .filter(({ rung }) => rung.state === 'getting-there')
      .map(({ rung }) => say.soFar(capital(rung.rung.does), inPart(rung))),
    next: next ? `${capital(next.rungOf.does)}.` : null,
    home: [...new Set([...(next ? [next.ladder] : []), ...here.map(({ ladder }) => ladder.id)])]
      .slice(0, 3)
      .map((id) => familyOf(id).atHome.tries),
    figures: begun.flatMap((l) =>
      l.rungs.filter((r) => r.lastAt !== null).map((r) => `${capital(r.rung.does)}: ${figureOf(r)}`),
    ),
  };
}

/** How far a rung comes off: mostly with help, or now and then alone. */
const inPart = ({ fresh }: LadderEvidence['rungs'][number]): string =>
  fresh.helped > fresh.own ? say.littleHelp : say.someTime;
