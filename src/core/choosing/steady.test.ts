import { describe, expect, test } from 'vitest';
import { evidenceOf, type StepRun } from '../evidence/evidence';
import { LADDERS, rungOf } from '../evidence/ladders';
import { roomsIn } from '../evidence/noisy-day';
import { seeded, type Random } from '../random';
import { sure } from '../sure';
import { randomChild } from '../testing/random-child';
import { GAPS, SPEECH } from '../testing/speakers';
import { proofOf } from '../testing/kept-proof';
import { spokenHistory, type Speaker } from '../testing/spoken';
import { NOW } from '../testing/seen';
import { VOICE_BARS } from '../testing/voice-bars';
import { adviseOn, type ChildAdvice } from './advice';

/** What is said stays as it is while nothing is seen, and nothing is taken for what it is not. */
const DAY = 86_400_000;
const PLAIN = { band: null, access: [], lowOnly: false } as const;

const advise = (runs: readonly StepRun[], now: number): ChildAdvice =>
  adviseOn({ runs, sessions: [], checks: [] }, { now, unitOrder: 'large-first', child: PLAIN });

describe('after a break of four to sixteen weeks', () => {
  const [least, most] = VOICE_BARS.breakWeeks;
  const children = Array.from({ length: 1_500 }, (_, i) => randomChild(i + 1)).filter(({ runs, now }) => {
    const { skills, replies } = advise(runs, now);
    const last = Math.max(...runs.map((r) => r.at));
    const held = skills.some((s) => s.holds && s.rungs.some((r) => r.lastAt !== null && last - r.lastAt < 10 * DAY));
    return held && replies !== 'hardly' && runs.every((r) => !r.open);
  });
  const after = (runs: readonly StepRun[], weeks: number): number =>
    Math.max(...runs.map((r) => r.at)) + weeks * 7 * DAY;

  test('what held is looked at again first, once; and nothing is lost by the time alone', () => {
    let [again, twice] = [0, 0];
    for (const [i, { runs }] of children.entries()) {
      const weeks = least + (i % (most - least + 1));
      const now = after(runs, weeks);
      const { next, skills } = advise(runs, now);
      const states = (a: ChildAdvice['skills']): string[] => a.flatMap((s) => s.rungs.map((r) => r.state));
      expect(states(skills)).toEqual(states(advise(runs, Math.max(...runs.map((r) => r.at))).skills));
      if (next?.move !== 'again') continue;
      again += 1;
      expect(skills.find((s) => s.ladder.id === next.ladder)?.rungs.some((r) => r.rung.id === next.rung)).toBe(true);
      const [task, step] = next.game;
      const day = Math.floor(now / DAY);
      const look: StepRun = { task, step, standing: 'fresh', at: now, day, marks: i % 3 ? '1111' : '0100', helps: {} };
      const then = advise([...runs, look], now + DAY).next;
      if (then?.move === 'again' && then.rung === next.rung && then.ladder === next.ladder) twice += 1;
    }
    expect(children.length).toBeGreaterThan(100);
    expect(again / children.length).toBeGreaterThanOrEqual(VOICE_BARS.lookedAgain);
    expect(twice).toBe(0);
  });
  test('nothing comes easily “now”, and nothing goes up, on a skill that has rested for three weeks', () => {
    for (const { runs } of children) {
      const now = after(runs, 3) + DAY;
      for (const { workingOn, rungs } of advise(runs, now).skills) {
        const last = Math.max(0, ...rungs.map((r) => r.lastAt ?? 0));
        if (!workingOn || !last) continue;
        expect(workingOn.reason).not.toMatch(/\bnow\b/u);
        expect(workingOn.move).not.toBe('up');
      }
    }
  });
});

describe('what time alone does', () => {
  test('states, and what is said, are the same on every day until the one that was named', () => {
    for (let seed = 1; seed <= 200; seed += 1) {
      const { runs, now } = randomChild(seed);
      const first = advise(runs, now);
      const last = Math.min(first.until - DAY, now + 40 * DAY);
      for (let at = now; at < last; at += 3 * DAY) expect(advise(runs, at).next).toEqual(first.next);
    }
  });
  test('answers on one skill change no state of another', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const { runs } = randomChild(seed);
      const ladder = sure(LADDERS[seed % LADDERS.length]);
      const others = runs.filter((r) => rungOf(r.task, r.step)?.ladder.id !== ladder.id);
      const states = (all: readonly StepRun[]): string[] =>
        evidenceOf(all).flatMap((l) => (l.ladder.id === ladder.id ? [] : l.rungs.map((r) => r.state)));
      expect(states(runs)).toEqual(states(others));
    }
  });
});

describe('a helping adult, and a loud room', () => {
  const STEP = { task: 'blending', step: '3-clip', standing: 'fresh', helps: {} } as const;
  const marksOf = (random: Random, rate: number, helps: number, many = 4): string =>
    Array.from({ length: many }, () => {
      if (random() < rate) return '1';
      return random() < helps ? 'h' : '0';
    }).join('');
  /** Six children who could do it, and one more session. */
  const session = (random: Random, rate: number, helps: number) => {
    const ids = Array.from({ length: 6 }, (_, i) => `c${i}`);
    const run = (day: number, marks: string): StepRun => ({ ...STEP, marks, day, at: day * DAY, by: 'AB' });
    const before = new Map(
      ids.map((id) => [id, [run(1, marksOf(random, 0.85, 0.3)), run(3, marksOf(random, 0.85, 0.3))]]),
    );
    const then = new Map(ids.map((id) => [id, [run(6, marksOf(random, rate, helps))]]));
    return { before, then };
  };
  /** As it was reckoned before: every answer that was not right alone counted as missed. */
  const asBefore = ({ before, then }: ReturnType<typeof session>): boolean => {
    const share = (runs: readonly StepRun[] = []): number => {
      const marks = runs.map((r) => r.marks).join('');
      return (marks.split('1').length - 1) / marks.length;
    };
    const well = [...before.values()].filter((runs) => share(runs) >= 0.6).length;
    return share([...then.values()].flat()) <= 0.25 && well * 5 >= before.size * 4;
  };
  test.each([0.7, 0.85, 1])('an adult who helps at once, %d of the time: hardly ever the room', (share) => {
    const random = seeded(share * 100);
    let taken = 0;
    for (let i = 0; i < 1_000; i += 1) {
      // Helped before they have tried: few come off alone.
      const { before, then } = session(random, 0.85 * (1 - share), 0.97);
      if (roomsIn(then, before).size) taken += 1;
    }
    expect(taken / 1_000).toBeLessThanOrEqual(VOICE_BARS.helperTakenForRoom);
  });
  test('truly loud rooms are found as often as before', () => {
    const random = seeded(5);
    let [found, foundBefore] = [0, 0];
    for (let i = 0; i < 1_000; i += 1) {
      const { before, then } = session(random, 0.15, 0.25);
      if (roomsIn(then, before).size) found += 1;
      if (asBefore({ before, then })) foundBefore += 1;
    }
    expect(found).toBeGreaterThanOrEqual(0.97 * foundBefore);
  });
});

/** Gaps in words with two sounds together, and the rung whose words hold each. */
const CLUSTER_GAPS: Readonly<Record<string, string>> = {
  'second of a start': '4-start',
  's of a start': '4-start',
  'l of a start': '4-start',
  'first of an end': '4-end',
  'last of an end': '4-end',
};
const MANY = 60;
const SAYS_WORDS: ReadonlySet<string> = new Set(['blending', 'segmenting']);

/** How often, of so many children of each kind. */
interface Checked {
  /** A step is secure that is seldom truly right, by gap. */
  readonly secure: Readonly<Record<string, number>>;
  /** Speech taken for awareness, by way of speaking. */
  readonly speech: Readonly<Record<string, number>>;
  /** The gap is next within forty turns, of all of them. */
  readonly found: number;
}

function withChecks(checked: number): Checked {
  const share = (kind: Omit<Speaker, 'lapse'>, sessions: number, of: (a: ChildAdvice) => boolean): number => {
    const all = Array.from({ length: MANY }, (_, i) =>
      spokenHistory({ ...kind, lapse: 0.02 }, i + 1, { checked, sessions }),
    );
    return all.filter((seen) => of(adviseOn(seen, { now: NOW, unitOrder: 'sounds-first' }))).length / MANY;
  };
  const isSecure = ({ skills }: ChildAdvice, rung: string): boolean =>
    skills.some((s) => SAYS_WORDS.has(s.ladder.id) && s.rungs.some((r) => r.rung.id === rung && r.state === 'secure'));
  const gaps = Object.entries(CLUSTER_GAPS);
  const found = gaps.map(([gap]) =>
    share({ speech: null, gap }, 8, ({ next }) => sure(GAPS[gap]).named.includes(next?.pattern ?? '')),
  );
  return {
    secure: Object.fromEntries(
      gaps.map(([gap, rung]) => [gap, share({ speech: null, gap }, 16, (a) => isSecure(a, rung))]),
    ),
    speech: Object.fromEntries(
      Object.keys(SPEECH).map((speech) => [
        speech,
        share({ speech, gap: null }, 16, ({ next }) => next?.pattern !== undefined || next?.move === 'back'),
      ]),
    ),
    found: found.reduce((a, b) => a + b, 0) / found.length,
  };
}

const SHARES = [0, 0.2, 1] as const;
const proof = proofOf<Checked>('src/core/choosing/steady.test.ts', {
  name: 'checks-played',
  parts: SHARES.map(String),
  prove: (share) => withChecks(Number(share)),
});

describe.each(SHARES)('pebble checks played: %d of those offered', (checked) => {
  const { falselySecure, speechAdvised, gapsFound } = VOICE_BARS;
  test('no step is secure that is seldom truly right; speech is not taken for awareness; gaps are found', async () => {
    const { secure, speech, found } = await proof.of(String(checked));
    for (const [gap, share] of Object.entries(secure)) expect(share, gap).toBeLessThanOrEqual(falselySecure);
    for (const [way, share] of Object.entries(speech)) expect(share, way).toBeLessThanOrEqual(speechAdvised);
    if (checked > 0) expect(found).toBeGreaterThanOrEqual(gapsFound);
  });
});

test('a pattern of a group of three-year-olds says that it is early, as a step does', () => {
  const seen = spokenHistory({ speech: null, gap: 'first of an end', lapse: 0 }, 1);
  const of = (band: 'nursery' | 'reception'): ChildAdvice =>
    adviseOn(seen, { now: NOW, unitOrder: 'sounds-first', child: { ...PLAIN, band } });
  expect(of('nursery').next?.pattern).toBe('closing-first');
  expect(of('nursery').next?.reason).toMatch(/early for their age/u);
  expect(of('reception').next?.reason).not.toMatch(/early/u);
});
