import type { NextStep } from './next-step';
import { ladderOf, LADDERS } from '../evidence/ladders';
import { sure } from '../sure';

/** A child and what is next for them. */
export interface Candidate {
  readonly id: string;
  readonly next: NextStep | null;
  /** Another skill, worth as much. */
  readonly other: NextStep | null;
}

interface Grouped {
  readonly step: NextStep;
  readonly children: readonly string[];
  /** Who plays something beside their own next step, and what that would have been. */
  readonly gave: readonly {
    readonly id: string;
    readonly own: NextStep | null;
    readonly why: 'second' | 'neighbour' | 'other' | 'new';
  }[];
}

export interface Grouping {
  readonly groups: readonly Grouped[];
  /** More groups than adults: they play one after the other. */
  readonly afterEachOther: boolean;
}

export const GROUP_SIZE = { least: 3, most: 6 } as const;

const COST = { own: 0, second: 1, neighbour: 1.5, other: 5, new: 2 } as const;
const A_GROUP_MORE = 20;
const A_GROUP = 0.4;
const TOO_FEW = 50;

/** Where a step stands in the order of all rungs. */
const rungIndex = (s: NextStep): number =>
  LADDERS.findIndex((l) => l.id === s.ladder) * 100 + ladderOf(s.ladder).rungs.findIndex((r) => r.id === s.rung);

function fitOf({ next, other }: Candidate, step: NextStep): keyof typeof COST {
  if (!next) return 'new';
  if (rungIndex(next) === rungIndex(step)) return 'own';
  if (other && rungIndex(other) === rungIndex(step)) return 'second';
  return next.ladder === step.ladder && Math.abs(rungIndex(next) - rungIndex(step)) === 1 ? 'neighbour' : 'other';
}

interface Part {
  readonly cost: number;
  readonly step: NextStep;
}

/** The step that asks least of these children together. */
function bestFor(of: readonly Candidate[]): Part | null {
  const steps = new Map(of.flatMap((c) => [c.next, c.other].flatMap((n) => (n ? [[rungIndex(n), n] as const] : []))));
  let best: Part | null = null;
  for (const [, step] of [...steps].sort(([a], [b]) => a - b)) {
    const cost = of.reduce((sum, c) => sum + COST[fitOf(c, step)], 0);
    if (!best || cost < best.cost) best = { cost, step };
  }
  return best;
}

/**
 * Groups of 3 to 6 who need the same or a neighbouring step. Children are laid in the order of their next steps, and
 * the best cut into groups is found exactly (dynamic programming). The same children give the same groups, in whatever
 * order they come.
 *
 * @param staff adults who can lead a group
 * @param beginning what a child of whom nothing is known plays where nobody says otherwise
 */
export function groupsFor(candidates: readonly Candidate[], staff: number, beginning: NextStep): Grouping {
  const known = (c: Candidate): number => (c.next ? rungIndex(c.next) : Infinity);
  const row = [...candidates].sort(
    (a, b) =>
      known(a) - known(b) ||
      (a.other ? rungIndex(a.other) : 0) - (b.other ? rungIndex(b.other) : 0) ||
      (a.id < b.id ? -1 : 1),
  );
  const n = row.length;
  if (!n) return { groups: [], afterEachOther: false };
  const adults = Math.max(1, staff);
  const most = Math.ceil(n / GROUP_SIZE.least);
  const part = new Map<string, Part>();
  const partOf = (from: number, to: number): Part => {
    const key = `${from} ${to}`;
    const made = part.get(key) ?? bestFor(row.slice(from, to)) ?? { cost: 0, step: beginning };
    part.set(key, made);
    return made;
  };
  // cost[g][i]: the first i children in g groups.
  const cost = Array.from({ length: most + 1 }, () => new Array<number>(n + 1).fill(Infinity));
  const cut = Array.from({ length: most + 1 }, () => new Array<number>(n + 1).fill(-1));
  sure(cost[0])[0] = 0;
  for (let g = 1; g <= most; g += 1) {
    for (let i = 1; i <= n; i += 1) {
      for (let size = 1; size <= Math.min(GROUP_SIZE.most, i); size += 1) {
        const before = sure(sure(cost[g - 1])[i - size]);
        if (before === Infinity) continue;
        const c =
          before +
          partOf(i - size, i).cost +
          A_GROUP +
          (size < GROUP_SIZE.least ? TOO_FEW * (GROUP_SIZE.least - size) : 0) +
          (g > adults ? A_GROUP_MORE : 0);
        if (c < sure(sure(cost[g])[i]) - 1e-9) {
          sure(cost[g])[i] = c;
          sure(cut[g])[i] = i - size;
        }
      }
    }
  }
  let g = 1;
  for (let k = 2; k <= most; k += 1) if (sure(sure(cost[k])[n]) < sure(sure(cost[g])[n]) - 1e-9) g = k;
  const groups: Grouped[] = [];
  for (let i = n; i > 0 && g > 0; g -= 1) {
    const from = sure(sure(cut[g])[i]);
    const together = row.slice(from, i);
    const { step } = partOf(from, i);
    groups.unshift({
      step,
      children: together.map((c) => c.id),
      gave: together.flatMap((c) => {
        const fit = fitOf(c, step);
        return fit === 'own' ? [] : [{ id: c.id, own: c.next, why: fit }];
      }),
    });
    i = from;
  }
  return { groups, afterEachOther: groups.length > adults };
}
