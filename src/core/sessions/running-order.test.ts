import { describe, expect, test } from 'vitest';
import { TASKS, taskOf, stepOf } from '../games';
import { makeItem } from '../games/item';
import { readKey } from '../games/spec';
import { find, COUNTS } from '../lexicon/find';
import { indexWords } from '../lexicon/word-index';
import { material } from '../testing/bank';
import { times } from '../testing/deep';
import { seeded } from '../random';
import { MAIN_ACCENTS, type AccentId } from '../phonology/accents';
import { sure } from '../sure';
import {
  fitOf,
  learnedPace,
  MODEL_SECONDS,
  roundSeconds,
  takeAdvice,
  turnsOf,
  type Plan,
  type PlannedRound,
} from './running-order';
import { makePlan, makeRound, SHAPES, type PlanRequest } from './shapes';
import { PLAIN_ROUND } from '../testing/rounds';

const paceOf = (task: string): number => taskOf(task).secondsPerTurn;
const wish = (more: Partial<PlanRequest> = {}): PlanRequest => ({
  shape: 'focus',
  task: 'first-sound',
  step: 'hold',
  count: 3,
  minutes: 8,
  children: 6,
  seed: 1,
  paceOf,
  ...more,
});
const made = material();

/** Every item of a plan holds when it is made again from its key. */
const proved = (plan: Plan, of = made): void => {
  for (const round of plan.rounds) {
    const task = taskOf(round.task);
    for (const key of [...round.items.map((i) => i.key), ...round.spares, ...(round.model ? [round.model] : [])])
      expect(makeItem(task, stepOf(task, round.step), key, of).proof.length).toBeGreaterThan(0);
  }
};

describe('minutes', () => {
  const round = (items: number, way: PlannedRound['way'] = 'individual'): PlannedRound => ({
    ...PLAIN_ROUND,
    id: 'r1',
    task: 'blending',
    step: '3',
    items: Array.from({ length: items }, (_, i) => ({ key: `w${i}`, locked: false })),
    way,
    seed: 1,
  });
  // Starting paces: common practice, no source.
  test('the starting paces', () =>
    expect(['leave-out', 'blending', 'sort', 'segmenting'].map(paceOf)).toEqual([10, 15, 25, 40]));
  test('children × items × pace, and the model', () => {
    expect(roundSeconds(round(6), 6, 15)).toBe(MODEL_SECONDS + 6 * 15);
    expect(roundSeconds(round(12), 6, 15)).toBe(MODEL_SECONDS + 12 * 15);
    expect(roundSeconds(round(4), 6, 15)).toBe(MODEL_SECONDS + 6 * 15);
    expect(roundSeconds(round(4, 'together'), 6, 15)).toBe(MODEL_SECONDS + 4 * 15);
    expect(turnsOf(round(5), 0)).toBe(5);
    expect(roundSeconds(round(0), 6, 15)).toBe(0);
  });
  test('what does not fit is said, with what would help; taking the advice helps by what it says', () => {
    const plan: Plan = {
      title: 'x',
      minutes: 3,
      letters: false,
      sound: null,
      pairs: [],
      rounds: [round(12), { ...round(6), id: 'r2', role: 'close' }],
    };
    const fit = fitOf(plan, 6, () => 15);
    expect(fit.over).toBe(fit.seconds - 180);
    expect(fit.advice.map((a) => a.kind)).toEqual(expect.arrayContaining(['drop-items', 'together']));
    for (const advice of fit.advice) {
      const after = fitOf(takeAdvice(plan, advice), 6, () => 15);
      expect(fit.seconds - after.seconds, advice.kind).toBe(advice.saves);
    }
    expect(fitOf({ ...plan, minutes: 10 }, 6, () => 15)).toMatchObject({ over: 0, advice: [] });
  });
  test('advice never drops what is kept', () => {
    const locked = { ...round(12), items: round(12).items.map((i) => ({ ...i, locked: true })) };
    expect(fitOf({ minutes: 1, rounds: [locked] }, 6, () => 15).advice.some((a) => a.kind === 'drop-items')).toBe(
      false,
    );
  });
  test('a group’s own pace: the middle one, once there are eight, long pauses left out', () => {
    expect(learnedPace([14, 16, 15, 400, 15, 14, 17, 15, 16], 20)).toBe(15);
    expect(learnedPace([5, 5, 5], 20)).toBe(20);
  });
});

/** What a plan of a shape is for. */
const HEART = {
  'one-sound': ['blending'],
  'blend-segment': ['blending', 'segmenting'],
  'check-in': [],
  pattern: ['twins'],
} as const;

describe('plans', () => {
  test('any skill and step comes out complete, fits its time where it says so, and says nothing twice', () => {
    for (const task of TASKS)
      for (const step of task.steps) {
        const plan = makePlan(made, wish({ task: task.id, step: step.id, minutes: 12 }));
        const where = `${task.id} ${step.id}`;
        expect(
          plan.rounds.some((r) => r.role === 'focus' && r.task === task.id && r.items.length >= 3),
          where,
        ).toBe(true);
        for (const r of plan.rounds) expect(r.model, `${where}: ${r.task} has a model`).not.toBeNull();
        const said = plan.rounds
          .filter((r) => !taskOf(r.task).inOrder)
          .flatMap((r) => r.items.flatMap((i) => readKey(i.key).words));
        expect(new Set(said).size, where).toBe(said.length);
        expect(plan.title.length).toBeLessThanOrEqual(44);
      }
  });
  test('minutes are kept by every shape: seeded wishes of every game, group and time', () => {
    const random = seeded(20_261);
    const pick = <T>(of: readonly T[]): T => sure(of[Math.floor(random() * of.length)]);
    const many = times(2_000, 200);
    let fitting = 0;
    let shorter = 0;
    for (let i = 0; i < many; i += 1) {
      const shape = sure(SHAPES[i % SHAPES.length]);
      const task = pick(TASKS);
      const asked = wish({
        shape,
        task: task.id,
        step: pick(task.steps).id,
        minutes: 5 + Math.floor(random() * 11),
        children: 1 + Math.floor(random() * 10),
        count: pick([2, 3, 4]),
        ...(shape === 'pattern' ? { pattern: pick(['closing-first', 'opening-second', 'last-stops']) } : {}),
        sound: shape === 'one-sound' ? pick(['s', 'm', 'p', 't', 'k', 'f', 'b', 'l', '']) || undefined : undefined,
        seed: i + 1,
      });
      const plan = makePlan(made, asked);
      if (fitOf(plan, asked.children, paceOf).seconds <= asked.minutes * 60 + 60) fitting += 1;
      if (plan.dropped) shorter += 1;
      const heart = shape === 'focus' || shape === 'quick-five' ? [task.id] : HEART[shape];
      for (const id of heart)
        expect(
          plan.rounds.map((r) => r.task),
          `${shape}: ${id} stays`,
        ).toContain(id);
    }
    expect(fitting / many).toBeGreaterThanOrEqual(0.95);
    expect(shorter / many).toBeLessThanOrEqual(0.1);
  });
  test('less time takes turns first, then the close and the warm-up, never the skill', () => {
    const plan = (minutes: number): Plan => makePlan(made, wish({ minutes, task: 'segmenting', step: '3-clip' }));
    expect(plan(20).rounds.map((r) => r.role)).toEqual(['warm-up', 'focus', 'stretch', 'close']);
    expect(plan(20).dropped).toBeUndefined();
    expect(plan(1).rounds.map((r) => r.task)).toEqual(['segmenting']);
    expect(plan(1).dropped?.slice(0, 2)).toEqual(['recall/4', 'echo-words/1']);
  });
  test('words children know come first: hardly one of the rare words where better known ones are left', () => {
    const words = Array.from({ length: 40 }, (_, i) =>
      makePlan(made, wish({ shape: 'one-sound', sound: 's', seed: i + 1 })).rounds.flatMap((r) =>
        r.items.flatMap((item) => readKey(item.key).words),
      ),
    ).flat();
    const rare = words.filter((w) => (made.byName.get(w)?.entry.band ?? 1) === 3);
    expect(rare.length / words.length).toBeLessThan(0.05);
  });
  test('the same wish gives the same plan', () => {
    for (const shape of SHAPES) expect(makePlan(made, wish({ shape }))).toEqual(makePlan(made, wish({ shape })));
  });
  test('avoided words stay away', () => {
    const first = makePlan(made, wish());
    const used = first.rounds.flatMap((r) => r.items.flatMap((i) => readKey(i.key).words));
    const again = makePlan(made, wish({ avoid: used })).rounds.flatMap((r) =>
      r.items.flatMap((i) => readKey(i.key).words),
    );
    expect(again.filter((w) => used.includes(w))).toEqual([]);
  });
});

// Every sound of every accent with words enough, and every number of sounds.
describe.each(MAIN_ACCENTS.map((a) => a.id as AccentId))('one sound, one set (%s)', (accent) => {
  const of = material(accent);
  const index = indexWords(of.words);
  const served = (count: (typeof COUNTS)[number]): string[] =>
    index.sounds
      .filter((sound) => find(index, { count, sound, contested: false }).fitting.length >= 8)
      // Every day each number of sounds takes its share of the sounds; before a change is called done, all of them.
      .filter((_, i) => (i + COUNTS.indexOf(count)) % times(1, 3) === 0);
  test('one sound through many tasks comes out for every sound and count the bank can serve', () => {
    let plans = 0;
    for (const count of COUNTS)
      for (const sound of served(count)) {
        const plan = makePlan(of, wish({ shape: 'one-sound', count, sound, minutes: 12 }));
        const where = `/${sound}/ ${count}, ${accent}`;
        plans += 1;
        expect(
          plan.rounds.map((r) => r.task),
          where,
        ).toEqual(expect.arrayContaining(['blending', 'segmenting']));
        expect(plan.rounds.length, where).toBeGreaterThanOrEqual(4);
        for (const round of plan.rounds)
          for (const { key } of round.items) {
            const item = makeItem(taskOf(round.task), stepOf(taskOf(round.task), round.step), key, of);
            const about = readKey(key).sounds?.[0];
            expect(
              about === sound || item.words.some((w) => w.marks.some((m) => m.ipa === sound)),
              `${where}: ${round.task} ${key}`,
            ).toBe(true);
          }
        for (const round of plan.rounds.filter((r) => r.task === 'blending' || r.task === 'segmenting'))
          expect(round.items.length, where).toBeGreaterThanOrEqual(3);
      }
    expect(plans).toBeGreaterThan(times(80, 26));
  });
  test('one set, blended then segmented: the same words, for every count and sound', () => {
    for (const count of COUNTS)
      for (const sound of [undefined, ...served(count)]) {
        const plan = makePlan(of, wish({ shape: 'blend-segment', count, sound, minutes: 10 }));
        const words = (task: string): string[] =>
          sure(plan.rounds.find((r) => r.task === task))
            .items.map((i) => i.key)
            .sort();
        expect(words('segmenting'), `${count} /${sound ?? ''}/ ${accent}`).toEqual(words('blending'));
        expect(words('blending').length).toBeGreaterThanOrEqual(3);
      }
  });
  test('plans hold when they are made again from their keys', () => {
    for (const shape of SHAPES) proved(makePlan(of, wish({ shape, seed: 5 })), of);
  });
});

test('a round that cannot be made is no round', () => {
  expect(
    makeRound(made, { role: 'focus', task: 'rhyme-odd', step: '3-far', size: 6, words: ['orange'] }, { seed: 1 }, 'r1'),
  ).toBeNull();
});
