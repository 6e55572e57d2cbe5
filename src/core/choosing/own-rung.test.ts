import { describe, expect, test } from 'vitest';
import { taskOf } from '../games';
import { seeded } from '../random';
import { sure } from '../sure';
import { adviseOn, nextOn, type ChildAdvice } from './advice';
import type { StepRun } from '../evidence/evidence';
import { ladderOf, rungOf } from '../evidence/ladders';
import { areFarApart, ownStep } from './own-rung';
import { LADDERS } from '../evidence/ladders';
import { plainStep, type NextStep } from './next-step';

/** Children are invented; the cases are the design’s own (common practice, no source). */
const DAY = 86_400_000;
const NOW = 20_000 * DAY;
const run = (task: string, step: string, marks: string, daysAgo: number): StepRun => ({
  task,
  step,
  standing: 'fresh',
  at: NOW - daysAgo * DAY,
  day: 20_000 - daysAgo,
  marks,
  helps: {},
});
const advice = (runs: readonly StepRun[], chosen: NextStep | null = null): ChildAdvice =>
  adviseOn({ runs, checks: [], sessions: [] }, { now: NOW, unitOrder: 'sounds-first', chosen });

const blending = taskOf('blending');
const asked = { task: blending, step: '3-held' };
/** Ottilie blends five sounds, Idris two. */
const ottilie = advice([
  run('blending', '3-held', '11111111', 12),
  run('blending', '4-start', '1111111', 8),
  run('blending', 'longer', '1101', 3),
]);
const IDRIS = [
  run('blending', 'syllables', '11111', 9),
  run('blending', 'stretched', '1011', 5),
  run('blending', '2', '0100', 2),
];
const idris = advice(IDRIS);

describe('whose step in a game', () => {
  test('five sounds and two: one game, each their own step, and one step for all does not fit', () => {
    const [of, other] = [sure(ownStep(ottilie, asked)), sure(ownStep(idris, asked))];
    const at = (step: string): number =>
      ladderOf('blending').rungs.findIndex((r) => r.steps.some(([t, s]) => t === 'blending' && s === step));
    expect(at(of.step)).toBeGreaterThan(at('3-held'));
    expect(at(other.step)).toBeLessThan(at('3-held'));
    expect(areFarApart([ottilie, idris], asked)).toBe(true);
  });

  test('children alike share a step', () => {
    expect(areFarApart([ottilie, ottilie], asked)).toBe(false);
    expect(areFarApart([idris], asked)).toBe(false);
    expect(areFarApart([advice([]), advice([])], asked)).toBe(false);
  });

  test('a skill that waits for a child gives nothing harder than what holds, and says that it waits', () => {
    const segmenting = { task: taskOf('segmenting'), step: '4-start' };
    const points = { band: null, access: ['points' as const], lowOnly: false };
    const own = (runs: readonly StepRun[]) =>
      ownStep(
        adviseOn({ runs, checks: [], sessions: [] }, { now: NOW, unitOrder: 'sounds-first', child: points }),
        segmenting,
      );
    // Every answer of segmenting is spoken: for who points, nothing of it is worked on.
    const first = sure(ladderOf('segmenting').rungs[0]?.steps.find(([task]) => task === 'segmenting'));
    expect(own([run('segmenting', '3-held', '0-0', 3)])).toMatchObject({
      step: first[1],
      why: 'Segmenting can wait for now, so this is the easiest step.',
    });
    const held = own([run('segmenting', '2', '11111111', 9), run('segmenting', '2', '1111', 3)]);
    expect(held).toMatchObject({ step: '2', why: 'The rest of segmenting can wait for now.' });
  });

  test('of a child of whom nothing is seen, no harder than the round, and said to be unseen', () => {
    const step = sure(ownStep(advice([]), asked));
    expect(step.unseen).toBe(true);
    const rungs = ladderOf('blending').rungs;
    const at = (id: string): number => rungs.findIndex((r) => r.steps.some(([t, s]) => t === 'blending' && s === id));
    expect(at(step.step)).toBeLessThanOrEqual(at('3-held'));
  });

  test('an adult’s choice on this ladder is the child’s step; one on another ladder is not', () => {
    const rung = sure(ladderOf('blending').rungs.find((r) => r.id === '4-start'));
    const chosen = plainStep('blending', rung, 'stay', '');
    expect(ownStep(advice(IDRIS, chosen), asked)?.step).toBe('4-start');
    expect(ownStep(advice([], chosen), asked)).toMatchObject({ step: '4-start', unseen: false });
    const rhyme = sure(ladderOf('rhyme').rungs[0]);
    const other = plainStep('rhyme', rhyme, 'stay', '');
    expect(ownStep(advice(IDRIS, other), asked)).toEqual(ownStep(idris, asked));
  });

  test('it is the step that is advised on that ladder, or the nearest easier one the game has, for any answers', () => {
    const random = seeded(11);
    for (let i = 0; i < 60; i += 1) {
      const runs = Array.from({ length: 1 + Math.floor(random() * 8) }, (_, k) => {
        const steps = blending.steps.filter((s) => rungOf('blending', s.id)?.ladder.id === 'blending');
        const marks = Array.from({ length: 4 }, () => (random() < 0.6 ? '1' : '0')).join('');
        return run('blending', sure(steps[Math.floor(random() * steps.length)]).id, marks, 20 - k * 2);
      });
      const known = advice(runs);
      const next = nextOn(known, 'blending');
      const own = sure(ownStep(known, asked));
      const rungs = ladderOf('blending').rungs;
      const at = next ? rungs.findIndex((r) => r.id === next.rung) : rungs.length - 1;
      const got = rungs.findIndex((r) => r.steps.some(([t, s]) => t === 'blending' && s === own.step));
      expect(own.unseen).toBe(false);
      if (sure(rungs[at]).steps.some(([t]) => t === 'blending')) expect(got).toBe(at);
      else expect(got).toBeLessThanOrEqual(Math.max(at, 1));
      const first = [known.next, known.other].find((s) => s?.ladder === 'blending' && s.move !== 'check');
      if (first) expect(next).toEqual(first);
    }
  });

  test('in a round of beats, who blends sounds already is dealt sounds', () => {
    const beats = { task: blending, step: 'syllables' };
    expect(ownStep(ottilie, beats)).toEqual(ownStep(ottilie, asked));
  });

  test('a game on no ladder gives nobody a step', () => {
    expect(ownStep(ottilie, { task: taskOf('hunt'), step: '3-4' })).toBeNull();
    expect(LADDERS.some((l) => l.id === 'hunt')).toBe(false);
  });
});
