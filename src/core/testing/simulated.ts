import type { Help, Standing } from '../answers/outcome';
import { seeded, type Random } from '../random';
import { ladderEvidence, type StepRun } from '../evidence/evidence';
import { guessOf } from '../evidence/guessing';
import { ladderOf } from '../evidence/ladders';
import type { State } from '../evidence/rule';
import { sure } from '../sure';

/** A made-up child whose true rate is known, on one rung, day by day. */
export interface Simulated {
  /** Chance of knowing an item without any help, at the first answer. */
  readonly rate: number;
  /** What is added to the rate with every week: learning. */
  readonly aWeek?: number;
  /** Good and bad spells of five days, so much better and worse. */
  readonly spells?: number;
  /** How far an answer leans towards the one before it: 0 is independent. */
  readonly streaks?: number;
  /** Spread of the adult’s generosity, in the rate, from child to child. */
  readonly generosity?: number;
  /** Chance that a miss is turned into an answer with help. */
  readonly helpable?: number;
  readonly ladder: string;
  /** Games the answers come from, in turn. */
  readonly mix: readonly (readonly [task: string, step: string])[];
  /** Answers on a harder rung, one for so many; and the rate there. */
  readonly harder?: { readonly every: number; readonly game: readonly [string, string]; readonly rate: number };
}

const DAY = 86_400_000;
/** Answers a day, and days between sessions: a small group that plays twice or three times a week. */
const A_DAY = 2;
const GAP_DAYS = [2, 2, 3] as const;
/** Days of play that a good or a bad spell lasts. */
const SPELL_DAYS = 5;

/** The answers of one child, one after the other, as runs of one letter. */
export function answersOf(child: Simulated, answers: number, seed: number): StepRun[] {
  const random: Random = seeded(seed);
  const out: StepRun[] = [];
  let day = 20_000;
  const unsteady = unsteadyOf(child, random);
  for (let i = 0; i < answers; i += 1) {
    if (i && i % A_DAY === 0) day += sure(GAP_DAYS[(i / A_DAY) % GAP_DAYS.length]);
    const hard = child.harder && i % child.harder.every === child.harder.every - 1;
    const [task, step] = hard ? sure(child.harder).game : sure(child.mix[i % child.mix.length]);
    const usual = (hard ? sure(child.harder).rate : child.rate) + ((child.aWeek ?? 0) * (day - 20_000)) / 7;
    const rate = Math.min(0.99, unsteady(usual, i, out.at(-1)));
    const guess = guessOf(task, step);
    const right = random() < guess + (1 - guess) * rate;
    const helped = random() < (child.helpable ?? 0);
    const missed = helped ? 'h' : '0';
    out.push({
      task,
      step,
      standing: 'fresh' satisfies Standing,
      at: day * DAY + i * 1000,
      day,
      marks: right ? '1' : missed,
      helps: {} satisfies Partial<Record<Help, number>>,
    });
  }
  return out;
}

/** The rate of one answer where a child, or the adult, is not always alike. */
function unsteadyOf({ spells = 0, streaks = 0, generosity = 0 }: Simulated, random: Random) {
  if (!spells && !streaks && !generosity) return (usual: number) => usual;
  const generous = generosity * (random() - 0.5);
  const good = random() < 0.5 ? 1 : 0;
  return (usual: number, i: number, before: StepRun | undefined): number => {
    const spell = Math.floor(i / A_DAY / SPELL_DAYS) % 2 === good ? 1 : -1;
    const rate = usual + generous + spell * spells;
    return before ? rate + streaks * (Number(before.marks === '1') - rate) : rate;
  };
}

/** States of the first game's rung after every answer, as someone who looks each time would see them. */
export function statesOf(child: Simulated, runs: readonly StepRun[], rung: number): State[] {
  const ladder = ladderOf(child.ladder);
  return runs.map((_, i) => sure(ladderEvidence(ladder, runs.slice(0, i + 1))[rung]).state);
}
