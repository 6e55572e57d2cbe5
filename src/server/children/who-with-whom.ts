import type { Group } from '../people/groups';
import { boardWith, dueIn, type DueRung } from './progress';
import { smallGroups, type SmallGroups } from './small-groups';

/** Who plays with whom, what is due to come again, and everyone’s name. */
export interface WhoWithWhom extends SmallGroups {
  readonly names: Readonly<Record<string, string>>;
  readonly due: readonly DueRung[];
  /** Ids of those who are here and whom nobody has played with yet, where that is not most of them. */
  readonly fresh: readonly string[];
  /** What a child who plays alone would play; none where every step holds. */
  readonly steps: Readonly<Record<string, PlayAlone>>;
}

interface PlayAlone {
  readonly ladder: string;
  readonly rung: string;
  readonly pattern?: string | undefined;
  readonly check?: string | undefined;
  readonly does: string;
  /** Nobody has played with the child yet. */
  readonly isNew: boolean;
}

/** Small groups of a list, and what is due to come again for those who are here. */
export async function whoWithWhom(group: Group, now = Date.now()): Promise<WhoWithWhom> {
  const { settings, children } = await boardWith(group, now);
  const made = smallGroups(group, settings, children, now);
  const here = children.filter((c) => !c.away);
  const fresh = here.filter((c) => !c.seen).map((c) => c.id);
  const alone = new Set(made.grouping.alone.map((a) => a.id));
  return {
    ...made,
    names: Object.fromEntries(children.map((c) => [c.id, c.name])),
    due: dueIn(here, now),
    fresh: 2 * fresh.length < here.length ? fresh : [],
    steps: Object.fromEntries(
      children.flatMap(({ id, next, seen }) => {
        if (!alone.has(id) || !next) return [];
        const { ladder, rung, pattern, check, does } = next;
        return [[id, { ladder, rung, pattern, check, does, isNew: !seen }]];
      }),
    ),
  };
}
