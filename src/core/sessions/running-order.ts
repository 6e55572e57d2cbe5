import type { OwnDeal } from './own-step';
import type { SoundPair } from '../phonology/articulation';
import { sure } from '../sure';
import { turnsFor } from './turns';

/** What a round is for. */
export const ROUND_ROLES = ['warm-up', 'focus', 'stretch', 'close'] as const;
export type RoundRole = (typeof ROUND_ROLES)[number];
export const ROLE_WORDS: Readonly<Record<RoundRole, string>> = {
  'warm-up': 'Warm-up',
  focus: 'Focus',
  stretch: 'Stretch',
  close: 'Close',
};

/**
 * Who answers: one child after the other, everyone at once, who wants to, a child asked by a partner; or a check-in,
 * the same items for each.
 */
export const WAYS = ['individual', 'together', 'volunteers', 'pairs', 'check'] as const;
export type Way = (typeof WAYS)[number];
export const WAY_WORDS: Readonly<Record<Way, string>> = {
  individual: 'one turn each',
  together: 'everyone together',
  volunteers: 'whoever wants to',
  pairs: 'in pairs: one asks, one answers',
  check: 'check-in: the same for each child',
};

/** Each child their own step in a round: whether, and the steps that an adult chose, by child. */
export interface EachTheirOwn {
  readonly on: boolean;
  readonly steps: Readonly<Record<string, string>>;
  /** What was dealt to whom, kept with what it was dealt for: a plan that is printed later has the same words. */
  readonly dealt?: { readonly under: string; readonly deals: readonly OwnDeal[] } | undefined;
}

interface PlannedItem {
  readonly key: string;
  /** Stays when the others are made anew. */
  readonly locked: boolean;
}

export interface PlannedRound {
  readonly id: string;
  readonly role: RoundRole;
  readonly task: string;
  readonly step: string;
  readonly items: readonly PlannedItem[];
  /** Key of the item the adult models with. */
  readonly model: string | null;
  readonly spares: readonly string[];
  readonly way: Way;
  /** Seconds between sounds, 0.5 to 2. */
  readonly gap: number;
  readonly gesture: string;
  /** The story frame; text of its own where the adult changed it. */
  readonly frame: { readonly on: boolean; readonly opening: string | null; readonly ask: string | null };
  /** What to remember in this round. */
  readonly reminder: string;
  /** Begin with the children’s own names (syllables). */
  readonly names: boolean;
  readonly seed: number;
  /** Where nothing is said, it is the same for all. */
  readonly own?: EachTheirOwn | undefined;
}

/** A running order. */
export interface Plan {
  readonly title: string;
  /** Minutes there are. */
  readonly minutes: number;
  readonly letters: boolean;
  /** The sound it is about (IPA). */
  readonly sound: string | null;
  /** Sounds never set against each other. */
  readonly pairs: readonly SoundPair[];
  /** Sounds that many young children mix up may be told apart too. */
  readonly mixUps?: boolean | undefined;
  /** Games that were left out for lack of time when the plan was made, as `task/step`. */
  readonly dropped?: readonly string[] | undefined;
  readonly rounds: readonly PlannedRound[];
}

/** Seconds for the opening line and the model of a round. Common practice, no source. */
export const MODEL_SECONDS = 25;
/** Seconds of a check-in, where nobody shows how, helps or puts a word back together. Common practice, no source. */
const CHECK = { start: 10, turn: 15 } as const;
export const ITEM_LIMIT = 20;
export const ROUND_LIMIT = 8;
export const GAP_CHOICES = [0.5, 1, 1.5, 2] as const;

/** Turns a round has: whole rounds of the children, or one for each item. */
export function turnsOf({ items, way }: Pick<PlannedRound, 'items' | 'way'>, children: number): number {
  if (way === 'together') return items.length;
  return way === 'check' ? items.length * Math.max(1, children) : turnsFor(items.length, children);
}

/**
 * Seconds a round takes.
 * @param pace seconds a turn of this task takes: the group's own where it is known, else the starting value
 * @example roundSeconds({ items: six, way: 'individual' }, 6, 15) // 25 + 6 × 15
 */
export function roundSeconds(round: Pick<PlannedRound, 'items' | 'way'>, children: number, pace: number): number {
  if (!round.items.length) return 0;
  const turns = turnsOf(round, children);
  return round.way === 'check' ? CHECK.start + turns * Math.min(pace, CHECK.turn) : MODEL_SECONDS + turns * pace;
}

export type Advice =
  | {
      readonly kind: 'drop-items';
      readonly round: string;
      readonly keys: readonly string[];
      readonly saves: number;
    }
  | { readonly kind: 'together'; readonly round: string; readonly saves: number }
  | { readonly kind: 'drop-round'; readonly round: string; readonly saves: number };

export interface Fit {
  readonly seconds: number;
  readonly minutes: number;
  /** Seconds over what there is; 0 where it fits. */
  readonly over: number;
  /** Single changes, the gentlest first; each alone may not be enough. */
  readonly advice: readonly Advice[];
}

/** Minutes as a person would say them: at least one where there is anything. Example: `wholeMinutes(95) // 2`. */
export const wholeMinutes = (seconds: number): number => (seconds > 0 ? Math.max(1, Math.round(seconds / 60)) : 0);

/** Items dropped from the hard end, by as many as take one turn off each child; null where none can be spared. */
function fewerItems({ id, items, way }: PlannedRound, children: number, pace: number): Advice | null {
  if (way === 'check') return null;
  const free = items.filter((item) => !item.locked).map((item) => item.key);
  if (way === 'together') {
    const excess = Math.min(2, items.length - 2);
    if (excess <= 0 || excess > free.length) return null;
    return { kind: 'drop-items', round: id, keys: free.slice(-excess), saves: excess * pace };
  }
  const eachHas = Math.floor(items.length / Math.max(1, children));
  const excess = items.length - children * (eachHas - 1);
  if (children === 0 || eachHas < 2 || excess > free.length) return null;
  return { kind: 'drop-items', round: id, keys: free.slice(-excess), saves: children * pace };
}

/** Everyone asked at once instead of one after the other; null where that would save nothing. */
function askedTogether(round: PlannedRound, children: number, pace: number): Advice | null {
  if (round.way === 'together' || round.way === 'check') return null;
  const turns = turnsOf(round, children);
  const items = Math.min(turns, round.items.length);
  const left = turns > items ? items : TOGETHER_ITEMS;
  return turns > left ? { kind: 'together', round: round.id, saves: (turns - left) * pace } : null;
}

/** Half a minute over is nobody's trouble. */
const GRACE = 30;

/** Whether the rounds fit the time and, where they do not, what would help. */
export function fitOf(plan: Pick<Plan, 'minutes' | 'rounds'>, children: number, paceOf: (task: string) => number): Fit {
  const each = plan.rounds.map((r) => roundSeconds(r, children, paceOf(r.task)));
  const seconds = each.reduce((a, b) => a + b, 0);
  const over = seconds - plan.minutes * 60 > GRACE ? seconds - plan.minutes * 60 : 0;
  if (!over) return { seconds, minutes: wholeMinutes(seconds), over, advice: [] };
  const advice: Advice[] = plan.rounds.flatMap((round, i): Advice[] => {
    const shorter = [
      fewerItems(round, children, paceOf(round.task)),
      askedTogether(round, children, paceOf(round.task)),
    ];
    const goes = plan.rounds.length > 1 && round.role !== 'focus';
    const without: Advice[] = goes ? [{ kind: 'drop-round', round: round.id, saves: sure(each[i]) }] : [];
    return [...shorter.filter((a) => a !== null), ...without];
  });
  return {
    seconds,
    minutes: wholeMinutes(seconds),
    over,
    advice: GENTLEST.flatMap(
      (kind) =>
        bestAdvice(
          advice.filter((a) => a.kind === kind),
          over,
        ) ?? [],
    ),
  };
}

const GENTLEST: readonly Advice['kind'][] = ['drop-items', 'together', 'drop-round'];

/** The smallest change that is enough; where none is, the one that saves most. */
const bestAdvice = (advice: readonly Advice[], over: number): Advice | undefined => {
  const bySaving = [...advice].sort((a, b) => a.saves - b.saves);
  return bySaving.find((a) => a.saves >= over) ?? bySaving.at(-1);
};
/** Items kept when a round of single turns becomes one for everyone. */
export const TOGETHER_ITEMS = 3;

/** A plan with one piece of advice taken. */
export function takeAdvice(plan: Plan, advice: Advice): Plan {
  const change = (round: PlannedRound): PlannedRound[] => {
    if (round.id !== advice.round) return [round];
    if (advice.kind === 'drop-round') return [];
    if (advice.kind === 'drop-items')
      return [{ ...round, items: round.items.filter((item) => !advice.keys.includes(item.key)) }];
    const locked = round.items.filter((item) => item.locked);
    const kept = new Set(
      [...locked, ...round.items.filter((item) => !item.locked)].slice(0, Math.max(TOGETHER_ITEMS, locked.length)),
    );
    return [{ ...round, way: 'together', items: round.items.filter((item) => kept.has(item)) }];
  };
  return { ...plan, rounds: plan.rounds.flatMap(change) };
}

/** Turns a group needs before its own pace counts. */
const PACE_TURNS = 8;

/**
 * Seconds a turn takes in this group, from the gaps between its answers; the starting value until enough are known.
 * Long pauses are other business and are left out; the middle one counts.
 * @example learnedPace([14, 16, 15, 400, 15, 14, 17, 15, 16], 20) // 15
 */
export function learnedPace(gaps: readonly number[], starting: number): number {
  const usual = gaps.filter((s) => s > 0 && s <= 120).sort((a, b) => a - b);
  return usual.length < PACE_TURNS ? starting : Math.round(sure(usual[Math.floor(usual.length / 2)]));
}
