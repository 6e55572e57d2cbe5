import { dictionary } from 'cmu-pronouncing-dictionary';
import { test } from 'vitest';
import { taskOf, TASKS } from '../src/core/games';
import { MIXED } from '../src/core/games/step';
import { generate } from '../src/core/games/generate';
import { CHANGE_PLACES, findChain } from '../src/core/lexicon/chains';
import { hunt } from '../src/core/lexicon/hunt';
import { huntable } from '../src/core/games/families/word-hunt';
import { seeded, shuffle } from '../src/core/random';
import { makePlan, SHAPES } from '../src/core/sessions/shapes';
import { makeItem } from '../src/core/games/item';
import { COUNTS, find, FIRSTS } from '../src/core/lexicon/find';
import { select } from '../src/core/lexicon/select';
import { sameForEveryone } from '../src/core/lexicon/likeness';
import { indexWords, PLACES, type WordIndex } from '../src/core/lexicon/word-index';
import { prepare, type Word } from '../src/core/lexicon/entry';
import { neighbourGraph, neighbourhood, rhymeClasses } from '../src/core/lexicon/neighbours';
import { PRESETS } from '../src/core/phonology/conventions';
import { bank, material, words } from '../src/core/testing/bank';
import { judge } from '../src/core/answers/judge';
import { NO_OWN_WAY, type OwnWay } from '../src/core/answers/own-way';
import { rank } from '../src/core/answers/rank';
import { chunksOf } from '../src/core/answers/said';
import { sure } from '../src/core/sure';
import { print, rowOf, timed, type Row } from './table';

const FRONTING: OwnWay = { ...NO_OWN_WAY, swaps: [{ asked: 'k', says: 't' }] };

test('the core', async () => {
  const all = words();
  const agreed = sameForEveryone(bank);
  const index = indexWords(all, agreed);
  const five = indexWords(Array.from({ length: 5 }, () => all).flat(), agreed);
  const pick =
    (of: WordIndex) =>
    (i: number): void => {
      const filters = {
        count: sure(COUNTS[i % 5]),
        first: i % 3 ? undefined : sure(FIRSTS[i % 2]),
        contested: i % 2 === 0,
        only: i % 4 ? [] : ['picture' as const],
        sound: i % 5 ? undefined : 's',
        place: sure(PLACES[i % 4]),
      };
      select(of, { ...filters, size: 6 + (i % 5), seed: i }, find(of, filters));
    };
  const all4 = material();
  const items = all4.words
    .filter((_, i) => i % 5 === 0)
    .flatMap((w) => [
      makeItem(taskOf('blending'), MIXED, w.word, all4),
      makeItem(taskOf('segmenting'), MIXED, w.word, all4),
    ]);
  const habits = { 'lost-sound': 6, 'lost-sound r': 4, 'rime-kept': 2 };
  print('Core', [
    rowOf(`word set with all facets, bank of ${all.length}`, await timed(600, pick(index)), 2),
    rowOf(`word set with all facets, ${five.words.length} entries`, await timed(300, pick(five))),
    rowOf(
      'a bank made ready for another accent (index and all)',
      await timed(20, () =>
        indexWords(
          bank.map((e) => prepare(e, 'scottish', PRESETS.default)),
          agreed,
        ),
      ),
    ),
    rowOf(
      'neighbour graph and rhyme classes of the bank',
      await timed(20, () => [neighbourhood(all), rhymeClasses(all)]),
    ),
    rowOf(
      'item with likely answers and proof, blending',
      await timed(600, (i) => makeItem(taskOf('blending'), MIXED, sure(all4.words[i % all4.words.length]).word, all4)),
      2,
    ),
    rowOf(
      'item with likely answers and proof, segmenting',
      await timed(600, (i) =>
        makeItem(taskOf('segmenting'), MIXED, sure(all4.words[i % all4.words.length]).word, all4),
      ),
      2,
    ),
    rowOf(
      'likely answers ranked for a child, each judged again',
      await timed(2_000, (i) => {
        const item = sure(items[i % items.length]);
        for (const { said } of rank(item.likely, item.marks, habits))
          if (said) judge({ judged: item.judged, marks: item.marks, ownWay: FRONTING }, chunksOf(said));
      }),
      2,
    ),
  ]);
  compare('a word set with all facets', pick(index), {
    with: 'a blending item with its proof',
    bar: 2.5,
    floor: (i) => makeItem(taskOf('blending'), MIXED, sure(all4.words[i % all4.words.length]).word, all4),
  });
});

/** The two in turn, so that the machine is as busy for one as for the other; the ratio of their p95. */
function compare(
  name: string,
  work: (i: number) => unknown,
  { with: other, floor, bar }: { with: string; floor: (i: number) => unknown; bar: number },
): void {
  const [own, floors]: [number[], number[]] = [[], []];
  for (let i = 0; i < 800; i += 1) {
    const start = performance.now();
    work(i);
    const between = performance.now();
    floor(i);
    // What is worked out at the first asking is no part of it.
    if (i < 200) continue;
    own.push(between - start);
    floors.push(performance.now() - between);
  }
  const [row, beside] = [rowOf(name, own), rowOf(other, floors)];
  console.log(
    `${name}: p95 ${row.p95.toFixed(2)} ms, ${(row.p95 / beside.p95).toFixed(2)} × ${other} ` +
      `(${beside.p95.toFixed(2)} ms; bar ${bar})`,
  );
}

/** Chains from every word, and between two. */
async function chainRows(made: ReturnType<typeof material>): Promise<Row[]> {
  const neighbours = made.neighbours();
  const starts = made.words.filter((w) => !w.entry.doubt);
  const free = { places: CHANGE_PLACES, allowed: (w: Word) => !w.entry.doubt };
  return [
    rowOf(
      `a chain of 6 from each of ${starts.length} starts`,
      await timed(starts.length, (i) =>
        findChain(
          neighbours,
          {
            start: sure(starts[i]),
            length: 6,
            ...free,
            grow: false,
          },
          seeded(i),
        ),
      ),
      20,
    ),
    rowOf(
      'a chain of 6 between two words',
      await timed(300, (i) =>
        findChain(
          neighbours,
          {
            start: sure(starts[(i * 37) % starts.length]),
            target: sure(starts[(i * 91) % starts.length]),
            length: 6,
            ...free,
            grow: true,
          },
          seeded(i),
        ),
      ),
      20,
    ),
  ];
}

test('games and plans', async () => {
  const made = material();
  const paceOf = (task: string): number => taskOf(task).secondsPerTurn;
  const sounds = [...new Set(made.words.flatMap((w) => w.sounds.map((s) => s.ipa)))];
  const all = huntable(made);
  // Everything once before the clock runs: heads are worked out at the first asking, and stay.
  const first = performance.now();
  for (const task of TASKS) for (const step of task.steps) generate(task, step, made, { size: 4, seed: 1 });
  console.log(`every task and step once, from nothing: ${(performance.now() - first).toFixed(0)} ms`);
  const steps = TASKS.flatMap((task) => task.steps.map((step) => ({ task, step })));
  print('Games', [
    rowOf(
      'a set of 8 of any task and step, with spares',
      await timed(600, (i) =>
        generate(sure(steps[i % steps.length]).task, sure(steps[i % steps.length]).step, made, {
          size: 8,
          seed: i,
          spares: 5,
        }),
      ),
    ),
    rowOf(
      'a plan of 4 rounds, any skill and step',
      await timed(400, (i) => {
        const { task, step } = sure(steps[(i * 7) % steps.length]);
        makePlan(made, {
          shape: 'focus',
          task: task.id,
          step: step.id,
          count: 3,
          minutes: 30,
          children: 6,
          seed: i,
          paceOf,
        });
      }),
      50,
    ),
    rowOf(
      'a plan of any shape, with a sound',
      await timed(200, (i) =>
        makePlan(made, {
          shape: sure(SHAPES[i % SHAPES.length]),
          task: 'blending',
          step: '3-clip',
          count: 2 + (i % 5),
          sound: sounds[i % sounds.length],
          minutes: 12,
          children: 6,
          seed: i,
          paceOf,
        }),
      ),
      50,
    ),
    ...(await chainRows(made)),
    rowOf(
      'every word of 8 sounds (hunt)',
      await timed(400, (i) => hunt(all, shuffle(sounds, seeded(i)).slice(0, 8))),
      10,
    ),
  ]);
});

// One character a phone, stress left out; words said alike are one node.
function pronouncingDictionary(): string[] {
  const letters = new Map<string, string>();
  const letter = (phone: string): string => {
    const bare = phone.replace(/\d/, '');
    if (!letters.has(bare)) letters.set(bare, String.fromCharCode(65 + letters.size));
    return sure(letters.get(bare));
  };
  return [
    ...new Set(
      Object.values(dictionary).map((line) => sure(line.split('#')[0]).trim().split(' ').map(letter).join('')),
    ),
  ];
}

const apart = (x: string, y: string): boolean => {
  const [long, short] = x.length >= y.length ? [x, y] : [y, x];
  if (long.length - short.length > 1) return false;
  let at = 0;
  while (at < short.length && long[at] === short[at]) at += 1;
  return (
    at < long.length && long.slice(at + 1) === (long.length === short.length ? short.slice(at + 1) : short.slice(at))
  );
};

test('neighbour graph over the pronouncing dictionary', async () => {
  const said = pronouncingDictionary();
  const entries = Object.keys(dictionary).length;
  // Every k-th string of the whole, so that each size has the same mix of lengths.
  const sizes = [0.125, 0.25, 0.5, 1].map((share) =>
    said.filter((_, i) => Math.floor(i * share) !== Math.floor((i - 1) * share)),
  );
  const rows = [];
  for (const part of sizes) {
    const runs = await timed(3, () => neighbourGraph(part));
    rows.push({ words: part.length, ms: Math.min(...runs), edges: neighbourGraph(part).targets.length });
  }
  const whole = sure(rows.at(-1));
  const worst = rowOf(
    `graph of ${whole.words} sound strings (${entries} readings)`,
    await timed(5, () => neighbourGraph(said)),
    2_000,
  );
  print('Neighbours', [worst]);
  console.log(
    [
      'words      ms     µs a word    edges',
      ...rows.map(
        (r) =>
          String(r.words).padEnd(8) +
          r.ms.toFixed(0).padStart(5) +
          ((1000 * r.ms) / r.words).toFixed(2).padStart(12) +
          String(r.edges).padStart(11),
      ),
    ].join('\n'),
  );
  // All pairs: a sample of strings is compared with every other, and the time taken for all by simple proportion.
  const sample = said.filter((_, i) => i % Math.floor(said.length / 150) === 0);
  const start = performance.now();
  let met = 0;
  for (const one of sample) for (const other of said) if (apart(one, other)) met += 1;
  const took = performance.now() - start;
  const pairs = ((took / sample.length) * said.length) / 2;
  console.log(
    `all pairs: ${sample.length} strings against all ${said.length} took ${took.toFixed(0)} ms (${met} ` +
      `neighbours); each pair once, by proportion: ${(pairs / 1000).toFixed(0)} s; the graph is ` +
      `${(pairs / whole.ms).toFixed(0)} times faster (bar 50)`,
  );
}, 300_000);
