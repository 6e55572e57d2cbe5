import { LADDERS, ladderOf } from '../evidence/ladders';
import type { RungEvidence } from '../evidence/evidence';
import { sure } from '../sure';
import type { ChildAdvice, Skill } from './advice';
import type { Local } from './model';
import type { NextStep } from './next-step';

/**
 * Advice as text, to be kept beside the answers it rests on, and read back as it was. Whatever is the same for every
 * child (ladders, steps, what a setting shows together) is not in it.
 */

/** Grows with every change of how advice is worked out: what was kept before is then worked out anew. */
export const ADVICE_VERSION = 3;

type KeptStep = Omit<NextStep, 'rungOf'> | null;
type KeptRung = Omit<RungEvidence, 'rung' | 'at'> | 0;
/** A rung nobody has seen anything of. */
const UNSEEN: Omit<RungEvidence, 'rung' | 'at'> = {
  state: 'not-enough',
  fresh: { own: 0, helped: 0, notYet: 0, noReply: 0, open: 0 },
  days: 0,
  practised: 0,
  checked: null,
  helps: [],
  harder: null,
  luck: null,
  lastAt: null,
};
const UNSEEN_TEXT = JSON.stringify(UNSEEN);

interface KeptSkill {
  readonly rungs: readonly KeptRung[];
  readonly holds: number | null;
  readonly workingOn: KeptStep;
  readonly due: Skill['due'];
}

type KeptAdvice = Omit<ChildAdvice, 'skills' | 'model' | 'next' | 'other' | 'chosen' | 'until'> & {
  /** Null where nothing changes by time alone. */
  readonly until: number | null;
  readonly skills: readonly KeptSkill[];
  readonly abilities: readonly (readonly [ladder: string, shares: readonly number[]])[];
  readonly next: KeptStep;
  readonly other: KeptStep;
  readonly chosen: KeptStep;
};

const stepKept = (step: NextStep | null): KeptStep => {
  if (!step) return null;
  const { ladder, rung, game, move, does, reason, pattern, check } = step;
  return { ladder, rung, game, move, does, reason, ...(pattern ? { pattern } : {}), ...(check ? { check } : {}) };
};
const stepRead = (step: KeptStep): NextStep | null =>
  step && { ...step, rungOf: sure(ladderOf(step.ladder).rungs.find((r) => r.id === step.rung)) };

function rungKept(r: RungEvidence): KeptRung {
  const { state, fresh, days, practised, checked, helps, harder, luck, lastAt } = r;
  const kept = { state, fresh, days, practised, checked, helps, harder, luck, lastAt };
  return JSON.stringify(kept) === UNSEEN_TEXT ? 0 : kept;
}

/** Chances to six places: more says nothing. */
const shortened = (shares: Float64Array): number[] => Array.from(shares, (p) => Math.round(p * 1e6) / 1e6);

/** @example adviceRead(adviceKept(advice), advice.model.local).next // as advice.next */
export function adviceKept(advice: ChildAdvice): string {
  const { skills, model, next, other, chosen, until } = advice;
  const { seen, patterns, suspected, open, talk, points, replies, hearing, newWith, rooms } = advice;
  return JSON.stringify({
    ...{ seen, patterns, suspected, open, talk, points, replies, hearing, newWith, rooms },
    until: Number.isFinite(until) ? until : null,
    skills: skills.map(({ rungs, holds, workingOn, due }) => ({
      rungs: rungs.map(rungKept),
      holds: holds?.at ?? null,
      workingOn: stepKept(workingOn),
      due,
    })),
    abilities: [...model.abilities].map(([ladder, shares]) => [ladder, shortened(shares)] as const),
    next: stepKept(next),
    other: stepKept(other),
    chosen: stepKept(chosen),
  } satisfies KeptAdvice);
}

/**
 * Advice read back.
 * @param local what this setting’s own answers say: it is kept once for all
 */
export function adviceRead(text: string, local: Local): ChildAdvice {
  const { skills, abilities, next, other, chosen, until, ...rest } = JSON.parse(text) as KeptAdvice;
  return {
    ...rest,
    until: until ?? Infinity,
    model: { local, abilities: new Map(abilities.map(([ladder, shares]) => [ladder, Float64Array.from(shares)])) },
    skills: skills.map((kept, i) => {
      const ladder = sure(LADDERS[i]);
      const rungs = ladder.rungs.map((rung, at) => ({ ...(kept.rungs[at] || UNSEEN), rung, at }));
      return {
        ladder,
        rungs,
        begun: rungs.some((r) => r.lastAt !== null),
        holds: kept.holds === null ? null : sure(rungs[kept.holds]),
        workingOn: stepRead(kept.workingOn),
        due: kept.due,
      };
    }),
    next: stepRead(next),
    other: stepRead(other),
    chosen: stepRead(chosen),
  };
}
