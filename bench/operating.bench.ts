import { test } from 'vitest';
import { tableOf, writePart } from './table';
import { answersOf, statesOf, type Simulated } from '../src/core/testing/simulated';
import { atLeast } from '../src/core/evidence/luck';
import type { StepRun } from '../src/core/evidence/evidence';
import { ladderOf } from '../src/core/evidence/ladders';
import { sure } from '../src/core/sure';

const CHILDREN = Number(process.env.CHILDREN ?? 1_000);
const OPEN: Omit<Simulated, 'rate'> = { ladder: 'blending', mix: [['blending', '3-clip']] };
const PAIRS: Omit<Simulated, 'rate'> = { ladder: 'rhyme', mix: [['rhyme-pairs', 'far']] };
/** The rung each ladder is watched at. */
const WATCHED: Readonly<Record<string, string>> = { blending: '3-clip', rhyme: 'same', swapping: 'last' };
const rungOn = (ladder: string): number => ladderOf(ladder).rungs.findIndex((r) => r.id === WATCHED[ladder]);

interface Case {
  readonly name: string;
  readonly child: Simulated;
  readonly answers: number;
}
const at = (name: string, of: Omit<Simulated, 'rate'>, rates: readonly number[], answers: number): Case[] =>
  rates.map((rate) => ({ name: `${name}, ${rate}`, child: { ...of, rate }, answers }));
const RATES = [0.4, 0.6, 0.7, 0.8, 0.85, 0.95];
const CASES: readonly Case[] = [
  ...at('open answers', OPEN, RATES, 20),
  ...at('open answers, misses mostly helped', { ...OPEN, helpable: 0.8 }, [0.3, 0.6, 0.7, 0.85], 20),
  ...at(
    'open, every third answer a step harder (rate 0.2 lower)',
    { ...OPEN, harder: { every: 3, game: ['blending', '4-end'], rate: 0 } },
    [0.6, 0.7, 0.8, 0.85, 0.95],
    20,
  ).map((c) => ({ ...c, child: { ...c.child, harder: { ...sure(c.child.harder), rate: c.child.rate - 0.2 } } })),
  ...at(
    'swapping with “which sound changed?” every other time',
    {
      ladder: 'swapping',
      mix: [
        ['swap', 'last'],
        ['which-changed', 'ends'],
      ],
    },
    [0.6, 0.7, 0.8, 0.85, 0.95],
    20,
  ),
  ...at(
    'swapping with “which sound changed?” every other time',
    {
      ladder: 'swapping',
      mix: [
        ['swap', 'last'],
        ['which-changed', 'ends'],
      ],
    },
    [0.6, 0.7, 0.85, 0.95],
    32,
  ),
  ...at('open, good and bad spells of five days (0.15 better, 0.15 worse)', { ...OPEN, spells: 0.15 }, [0.6, 0.7], 20),
  ...at('open, streaks (an answer leans 0.3 towards the one before)', { ...OPEN, streaks: 0.3 }, [0.6, 0.7], 20),
  ...at(
    'open, adults differ in what they let pass (0.3 from one to the other)',
    { ...OPEN, generosity: 0.3 },
    [0.6, 0.7],
    20,
  ),
  ...at('yes/no alone', PAIRS, RATES, 20),
  ...at('yes/no alone', PAIRS, [0.6, 0.7, 0.8, 0.85, 0.95], 50),
  ...at('learning, from 0.5 by 0.08 a week, up to 0.95 in six weeks', { ...OPEN, aWeek: 0.08 }, [0.5], 30),
];

const INTRO = `Simulated children whose true rate is known (core/testing/simulated.ts): two answers a day, every
second or third day, guessing and help as they come, and each rule looked at after *every* answer, as in real use.
\`npm run bench\` prints this table; \`BOUNCY_ECHO_DOCS=1 CHILDREN=1500 npm run bench\` writes this part. *80 % right*
is percent right from five answers on.

Held against our bars: falsely secure at 0.6 at most 5, and at most 10 where answers come in spells and streaks; found
within 20 answers at least 50 at 0.85 and 92 at 0.95; falsely *not yet* at 0.8 at most 5. Open answers meet them all.
Yes/no answers alone cannot within 20 (last line); they do within 50. Where every third answer is on a harder step, or
every second one a guess, only 13 or 10 of the 20 answers speak plainly for the step, and more are needed. A child who
learns is called secure when they have become so, or a little before: the last row grows from 0.5 to 0.95.
`;

const percentRight = (runs: readonly StepRun[]): boolean =>
  runs.length >= 5 && runs.filter((r) => r.marks === '1').length / runs.length >= 0.8;

test('how often each rule is right, looked at after every answer', () => {
  const share = (n: number): string => `${((100 * n) / CHILDREN).toFixed(1)}`;
  const lines = CASES.map(({ name, child, answers }, c) => {
    const ever = { ours: 0, percent: 0, notYet: 0 };
    const when: number[] = [];
    for (let i = 0; i < CHILDREN; i += 1) {
      const runs = answersOf(child, answers, 1 + i + c * 10_007);
      const rung = rungOn(child.ladder);
      const ours = statesOf(child, runs, rung);
      const first = ours.indexOf('secure');
      if (first >= 0) {
        ever.ours += 1;
        when.push(first + 1);
      }
      if (ours.includes('not-yet')) ever.notYet += 1;
      if (runs.some((_, k) => percentRight(runs.slice(0, k + 1)))) ever.percent += 1;
    }
    when.sort((a, b) => a - b);
    return [
      name,
      String(answers),
      share(ever.ours),
      when.length ? String(when[Math.floor(when.length / 2)]) : '–',
      share(ever.percent),
      share(ever.notYet),
    ];
  });
  // The best that any rule could do with 20 yes/no answers, at most 5 in 100 falsely secure at 0.6: the most powerful
  // test there is (Neyman & Pearson 1933, from memory) calls secure from so many right on, and sometimes at one fewer.
  const bestAt = (rate: number, n: number): number => {
    const [low, high] = [0.5 + 0.5 * 0.6, 0.5 + 0.5 * rate];
    let k = n;
    while (atLeast(k, n, low) <= 0.05) k -= 1;
    const [inside, edge] = [atLeast(k + 1, n, low), atLeast(k, n, low)];
    const part = (0.05 - inside) / (edge - inside);
    return atLeast(k + 1, n, high) + part * (atLeast(k, n, high) - atLeast(k + 1, n, high));
  };
  const bound =
    'With 20 yes/no answers no rule whatever that is falsely sure of at most 5 in 100 at 0.6 finds more than ' +
    `${(100 * bestAt(0.85, 20)).toFixed(0)} in 100 at 0.85, or ${(100 * bestAt(0.95, 20)).toFixed(0)} at 0.95.`;
  const head = ['child (true rate)', 'answers', 'ever secure', 'in the middle after', '80 % right', 'ever not yet'];
  const table = tableOf(head, lines);
  console.log(`\nOf 100 children (${CHILDREN} simulated)\n${table}\n${bound}`);
  writePart(
    'docs/operating.md',
    '# How often the rules are right',
    `${INTRO}\nOf 100 children (${CHILDREN} simulated a row):\n\n${table}\n\n${bound}`,
  );
}, 600_000);
