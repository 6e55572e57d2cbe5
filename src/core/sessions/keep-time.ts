import { fitOf, roundSeconds, TOGETHER_ITEMS, turnsOf, type PlannedRound, type RoundRole } from './running-order';
import { sure } from '../sure';

/** The time there is, and who is there. */
interface Time {
  readonly minutes: number;
  readonly children: number;
  readonly paceOf: (task: string) => number;
}

export interface Kept {
  readonly rounds: readonly PlannedRound[];
  /** The games that were left out for lack of time, as `task/step`, in the order they went. */
  readonly dropped: readonly string[];
}

/** Items of a round for everyone that are still worth the start. */
const LEAST_TOGETHER = 2;

/** A way to make a round shorter; null where it cannot be. */
type Shorten = (round: PlannedRound, children: number) => PlannedRound | null;

/** A round for everyone with one item less, the hardest. */
const oneLess: Shorten = (round) =>
  round.way === 'together' && round.items.length > LEAST_TOGETHER
    ? { ...round, items: round.items.slice(0, -1) }
    : null;

/** One turn less for each child. */
const oneTurnLess: Shorten = (round, children) => {
  if (round.way === 'together' || !children) return null;
  const each = round.way === 'check' ? round.items.length : Math.floor(round.items.length / children);
  if (each < 2) return null;
  return { ...round, items: round.items.slice(0, round.way === 'check' ? each - 1 : children * (each - 1)) };
};

/** Everyone together in place of one after the other, where that is shorter. */
const allAtOnce: Shorten = (round, children) => {
  if (round.way === 'together' || round.way === 'check') return null;
  const together = { ...round, way: 'together' as const, items: round.items.slice(0, TOGETHER_ITEMS) };
  return turnsOf(together, children) < turnsOf(round, children) ? together : null;
};

/** Gentlest first; each is tried as often as it helps before the next. What is at the heart of the plan comes last. */
const STAGES: readonly { readonly shorten: Shorten; readonly heart: boolean }[] = [
  { shorten: oneLess, heart: false },
  { shorten: oneTurnLess, heart: false },
  { shorten: oneTurnLess, heart: true },
  { shorten: allAtOnce, heart: false },
  { shorten: oneLess, heart: false },
];
const LAST_STAGES: typeof STAGES = [
  { shorten: allAtOnce, heart: true },
  { shorten: oneLess, heart: true },
];
/** What goes first where it still does not fit. */
const GOES: readonly RoundRole[] = ['close', 'warm-up', 'stretch', 'focus'];

/**
 * Rounds cut to the minutes there are: fewer items, fewer turns, everyone at once, and only then whole rounds; the
 * rounds at the heart of the plan stay.
 * @param heart ids of those rounds
 * @example keepTime(rounds, new Set(['r2']), { minutes: 8, children: 6, paceOf }).dropped // []
 */
export function keepTime(all: readonly PlannedRound[], heart: ReadonlySet<string>, time: Time): Kept {
  let rounds = [...all];
  const dropped: string[] = [];
  const over = (): boolean => fitOf({ minutes: time.minutes, rounds }, time.children, time.paceOf).over > 0;
  const seconds = (round: PlannedRound): number => roundSeconds(round, time.children, time.paceOf(round.task));
  const runStages = (stages: typeof STAGES): void => {
    for (const { shorten, heart: atHeart } of stages) {
      for (let more = true; more && over();) {
        // The round that saves most is shortened first.
        const [best] = rounds
          .flatMap((round, i) => {
            const shorter = heart.has(round.id) === atHeart ? shorten(round, time.children) : null;
            return shorter ? [{ i, shorter, saves: seconds(round) - seconds(shorter) }] : [];
          })
          .sort((a, b) => b.saves - a.saves);
        more = best !== undefined && best.saves > 0;
        if (more) rounds[sure(best).i] = sure(best).shorter;
      }
    }
  };
  runStages(STAGES);
  const alone = rounds.filter((r) => heart.has(r.id));
  // Where the heart alone is too long one after the other, everyone answers together before anything else goes.
  if (fitOf({ minutes: time.minutes, rounds: alone }, time.children, time.paceOf).over) runStages(LAST_STAGES);
  for (const role of GOES) {
    while (over() && rounds.length > 1) {
      const i = rounds.findLastIndex((r) => r.role === role && !heart.has(r.id));
      if (i < 0) break;
      const { task, step } = sure(rounds[i]);
      dropped.push(`${task}/${step}`);
      rounds = rounds.filter((_, j) => j !== i);
    }
  }
  if (over()) runStages(LAST_STAGES);
  return { rounds, dropped };
}
