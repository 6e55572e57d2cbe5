import { describe, expect, test } from 'vitest';
import { difficulty } from '../lexicon/difficulty';
import { material, word } from '../testing/bank';
import { times } from '../testing/deep';
import { MAIN_ACCENTS, type AccentId } from '../phonology/accents';
import { stepOf, TASKS } from './index';
import { generate } from './generate';
import { hardnessOf, stepPoints } from './hardness';
import { makeItem, tryBuild, type Item } from './item';
import { seeded } from '../random';
import { huntFault, JUDGES } from '../testing/rejudge';
import { sure } from '../sure';
import type { Step } from './step';
import type { Task } from './task';

const ACCENTS = MAIN_ACCENTS.map((a) => a.id as AccentId);
test('the second judge catches what is wrong: answers turned round, foils that rhyme, absent sounds', () => {
  const made = material();
  const of = (task: string, step: string, key: string): [Item, Step] => {
    const t = sure(TASKS.find((x) => x.id === task));
    const s = sure(t.steps.find((x) => x.id === step));
    return [makeItem(t, s, key, made), s];
  };
  const [pair, far] = of('rhyme-pairs', 'far', 'hat cat');
  expect(sure(JUDGES['rhyme-pairs'])(pair, far, 'southern-british')).toBeNull();
  expect(
    sure(JUDGES['rhyme-pairs'])(
      { ...pair, judged: { by: 'choice', choices: ['yes', 'no'], right: 1 } },
      far,
      'southern-british',
    ),
  ).not.toBeNull();
  const [swap, first] = of('swap', 'first', 'top mop');
  expect(
    sure(JUDGES.swap)({ ...swap, judged: { by: 'sounds', sounds: ['m', 'æ', 'p'] } }, first, 'southern-british'),
  ).not.toBeNull();
  const [hunted] = of('hunt', '3-4', '/s/ /p/ /ɒ/ /t/');
  expect(huntFault(hunted, 'southern-british', made.guard)).toBeNull();
  const view = hunted.view as Extract<Item['view'], { kind: 'hunt' }>;
  expect(
    huntFault(
      { ...hunted, view: { ...view, words: view.words.filter((w) => w.word !== 'stop') } },
      'southern-british',
      made.guard,
    ),
  ).toContain('stop');
  expect(
    huntFault(
      { ...hunted, view: { ...view, words: [...view.words, { word: 'milk', count: 4 }] } },
      'southern-british',
      made.guard,
    ),
  ).toContain('milk');
});

test.each(ACCENTS)(
  'hunts list every word of the bank that the handful makes, and none that it does not (%s)',
  (accent) => {
    const made = material(accent);
    const hunt = sure(TASKS.find((t) => t.id === 'hunt'));
    for (const step of hunt.steps)
      for (let seed = 1; seed <= 6; seed += 1) {
        for (const item of generate(hunt, step, made, { size: 2, seed }).items)
          expect(huntFault(item, accent, made.guard), `${item.key}, seed ${seed}`).toBeNull();
      }
  },
  120_000,
);

describe('sets', () => {
  const made = material();
  const task = (id: string): Task => sure(TASKS.find((t) => t.id === id));
  test('the same request gives the same set, another seed another', () => {
    for (const t of TASKS) {
      const set = (seed: number): string =>
        generate(t, sure(t.steps[0]), made, { size: 5, seed, spares: 3 })
          .items.map((i) => i.key)
          .join();
      expect(set(3), t.id).toBe(set(3));
      expect(new Set([1, 2, 3, 4, 5].map(set)).size, t.id).toBeGreaterThan(1);
    }
  });
  test('words used lately stay away while others are left', () => {
    for (const id of ['blending', 'first-sound', 'rhyme-pairs', 'leave-out']) {
      const first = generate(task(id), sure(task(id).steps.at(-2)), made, { size: 6, seed: 1 }).items.map(
        (i) => i.word,
      );
      const again = generate(task(id), sure(task(id).steps.at(-2)), made, { size: 6, seed: 1, avoid: first }).items.map(
        (i) => i.word,
      );
      expect(
        again.filter((w) => first.includes(w)),
        id,
      ).toEqual([]);
    }
  });
  test('a pair of sounds a child says alike never tells right from wrong', () => {
    const pairs = [
      ['p', 't'],
      ['b', 'd'],
      ['m', 'n'],
    ] as const;
    const met = (a: string | undefined, b: string | undefined): boolean =>
      pairs.some(([x, y]) => (a === x && b === y) || (a === y && b === x));
    let near = 0;
    for (let seed = 1; seed <= 60; seed += 1) {
      for (const free of [false, true]) {
        const set = generate(task('same-first'), sure(task('same-first').steps[1]), made, {
          size: 6,
          seed,
          ...(free ? {} : { pairs }),
        });
        for (const {
          words: [a, b],
        } of set.items)
          if (met(sure(sure(a).marks[0]).ipa, sure(sure(b).marks[0]).ipa)) near += free ? 1 : 1_000;
      }
      for (const item of generate(task('sort'), sure(task('sort').steps[1]), made, { size: 6, seed, sound: 'p', pairs })
        .items)
        expect(met(sure(item.marks[0]).ipa, 'p'), `${item.key}, seed ${seed}`).toBe(false);
    }
    // Without the pair they do meet, so the check can fail; with it never.
    expect(near).toBeGreaterThan(0);
    expect(near).toBeLessThan(1_000);
  });
  test('kept items stay, and the set is made around them', () => {
    const set = generate(task('blending'), stepOf(task('blending'), '3'), made, {
      size: 6,
      seed: 9,
      keep: ['fish', 'map'],
    });
    expect(set.items.map((i) => i.key)).toEqual(expect.arrayContaining(['fish', 'map']));
    expect(set.items).toHaveLength(6);
  });
  test('contested words stay out of counting games until the setting has said how it counts', () => {
    for (let seed = 1; seed <= 60; seed += 1) {
      for (const step of task('segmenting').steps)
        expect(
          generate(task('segmenting'), step, made, { size: 6, seed }).items.every((i) => i.contested === null),
        ).toBe(true);
    }
  });
  test('what cannot be had is said', () => {
    const set = generate(task('rhyme-odd'), sure(task('rhyme-odd').steps[0]), made, {
      size: 6,
      seed: 1,
      words: ['orange'],
    });
    expect(set.items).toEqual([]);
    expect(set.short).toBe('We couldn’t make any from these words.');
  });
});

describe('how hard an item is', () => {
  test('each task’s ladder only rises', () => {
    for (const task of TASKS) {
      const points = task.steps.map((step) => stepPoints(task, step));
      // A cluster at the one end is no harder than at the other, and a second beat is another thing again.
      const beside = (i: number): boolean => ['4-start', 'two-beats'].includes(sure(task.steps[i]).shape ?? '');
      points.forEach(
        (p, i) =>
          i > 0 &&
          expect(p, `${task.id}: ${sure(task.steps[i]).id} after ${sure(task.steps[i - 1]).id}`).toBeGreaterThan(
            sure(points[i - 1]) - Number(beside(i)),
          ),
      );
    }
  });
  // Order of tasks and units: Adams, Beginning to Read (1990), and Anthony & Lonigan (2004), Journal of Educational
  // Psychology 96; both from memory.
  test('tasks on sounds: notice, match, first sound, last, middle, blend, segment, leave out, add, swap', () => {
    const order = [
      'same-first',
      'sound-odd',
      'first-sound',
      'last-sound',
      'middle-sound',
      'blending',
      'segmenting',
      'leave-out',
      'add',
      'swap',
    ];
    const points = order.map((id) => {
      const task = sure(TASKS.find((t) => t.id === id));
      const step = task.steps.find((s) => s.count === 3) ?? sure(task.steps[0]);
      return stepPoints(task, { ...step, count: 0 });
    });
    points.forEach(
      (p, i) => i > 0 && expect(p, `${order[i]} after ${order[i - 1]}`).toBeGreaterThan(sure(points[i - 1])),
    );
  });
  test('units: words, syllables, rhyme, onset and rime, sounds', () => {
    const points = (['word', 'syllable', 'rhyme', 'onset-rime', 'sound'] as const).map((unit) =>
      stepPoints({ act: 'notice', unit }, { id: 'x', name: 'x' }),
    );
    expect(points).toEqual([...points].sort((a, b) => a - b));
    expect(new Set(points).size).toBe(5);
  });
  test('in the word: more sounds, clusters, beats, a clipped start, a less known word', () => {
    const rises = (...names: string[]): void =>
      names.forEach(
        (n, i) =>
          i > 0 &&
          expect(difficulty(word(n)), `${names[i - 1]} < ${n}`).toBeGreaterThan(difficulty(word(sure(names[i - 1])))),
      );
    rises('bee', 'sun', 'milk', 'splash');
    rises('sun', 'top');
    rises('sock', 'carrot');
    const { reasons } = hardnessOf(
      sure(TASKS.find((t) => t.id === 'blending')),
      { id: '4', name: '4 sounds', count: 4 },
      word('frog'),
    );
    expect(reasons).toEqual(
      expect.arrayContaining(['4 sounds', 'two sounds together', 'starts with a sound you can hold']),
    );
  });
  test('generated sets rise with the ladder', () => {
    const made = material();
    for (const task of TASKS.filter((t) => !t.inOrder && t.act !== 'echo')) {
      const mean = (step: Step): number => {
        const items = Array.from(
          { length: times(12, 6) },
          (_, seed) => generate(task, step, made, { size: 6, seed }).items,
        ).flat();
        return items.reduce((sum, i) => sum + i.difficulty, 0) / items.length;
      };
      // Words of one step may be easier than those of the step before; the whole ladder still goes up.
      expect(mean(sure(task.steps.at(-1))), task.id).toBeGreaterThanOrEqual(mean(sure(task.steps[0])) - 2);
    }
  });
});

test('any word of the bank may be named for any game: there is an item around it, or a reason why not', () => {
  const made = material();
  const some = made.words.filter((_, i) => i % times(40, 240) === 0);
  let whole = 0;
  for (const task of TASKS)
    for (const step of task.steps)
      for (const head of some) {
        const { item, why } = tryBuild(task, {
          head,
          step,
          material: made,
          random: seeded(head.word.length),
          kind: 0,
          theme: task.theme ? sure(head.sounds[0]).ipa : null,
          wishes: { size: 1, avoid: new Set(), contested: true },
        });
        expect(item === null ? why : item.key, `${task.id} ${step.id} ${head.word}`).toBeTruthy();
        if (item) whole += 1;
      }
  expect(whole).toBeGreaterThan(some.length);
});

// Common practice, no source: after three like answers in a row a child guesses the fourth.
test.each(TASKS.filter((t) => t.kinds).map((t) => [t.id, t] as const))(
  '%s: of twelve in a row, no more than three have the same answer one after the other',
  (_, task) => {
    for (const step of task.steps)
      for (let seed = 1; seed <= times(100, 10); seed += 1) {
        const { items } = generate(task, step, material(), { size: 12, seed });
        const run = items.findIndex((item, i) => i >= 3 && items.slice(i - 3, i).every((o) => o.kind === item.kind));
        if ((task.kinds?.(step) ?? 1) > 1) expect(run, `${step.id}, seed ${seed}`).toBe(-1);
      }
  },
);
