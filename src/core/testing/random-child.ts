import type { Help } from '../answers/outcome';
import type { StepRun } from '../evidence/evidence';
import { LADDERS } from '../evidence/ladders';
import type { PebbleCheck } from '../evidence/pebbles';
import type { AdvisedChild } from '../choosing/advice';
import { seeded, type Random } from '../random';
import { sure } from '../sure';

/**
 * Made-up children of all kinds, answer by answer: quick and slow, silent, on a break, helped at once, marked by two
 * adults, slipping where nobody can tell why. What is said of them can then be held against each single answer.
 */
interface RawAnswer {
  readonly task: string;
  readonly step: string;
  /** As it is kept: `1`, `h`, `0`, `-`, or `u` with the sound and place that is open. */
  readonly mark: string;
  readonly key?: string;
  readonly help?: Help;
  readonly standing: StepRun['standing'];
  readonly at: number;
  readonly day: number;
  readonly by: string | null;
  readonly among: number;
}

export interface RandomChild {
  readonly answers: readonly RawAnswer[];
  readonly runs: readonly StepRun[];
  readonly checks: readonly PebbleCheck[];
  readonly child: AdvisedChild;
  readonly now: number;
}

const DAY = 86_400_000;
const TODAY = 20_000;
const OPEN_KEYS = ['r opening after', 'l opening after', 'n closing', 's opening'] as const;

const one = <T>(of: readonly T[], random: Random): T => sure(of[Math.floor(random() * of.length)]);

/** How a child is with one skill: where they stand, and how steep it gets. */
interface Way {
  readonly ladder: (typeof LADDERS)[number];
  readonly stands: number;
  /** The sound and place that slips most. */
  readonly slips: string;
}

interface Temper {
  readonly silent: number;
  readonly silentAlone: number;
  readonly helped: number;
  readonly open: number;
  readonly again: number;
  /** Rungs up and down that are played. */
  readonly wanders: number;
}

const TEMPERS: readonly Temper[] = [
  { silent: 0.02, silentAlone: 0.02, helped: 0.3, open: 0, again: 0.2, wanders: 3 },
  { silent: 0.02, silentAlone: 0.02, helped: 0.3, open: 0, again: 0.2, wanders: 1 },
  { silent: 0, silentAlone: 0, helped: 0.2, open: 0.05, again: 0.2, wanders: 1 },
  { silent: 0, silentAlone: 0, helped: 0, open: 0, again: 0, wanders: 4 },
  { silent: 0.02, silentAlone: 0.02, helped: 0.85, open: 0, again: 0.9, wanders: 2 },
  { silent: 0.75, silentAlone: 0.05, helped: 0.3, open: 0, again: 0.2, wanders: 2 },
  { silent: 0.75, silentAlone: 0.75, helped: 0.3, open: 0, again: 0.2, wanders: 2 },
  { silent: 0.05, silentAlone: 0.02, helped: 0.2, open: 0.5, again: 0.2, wanders: 2 },
];

const SAYS_WORDS = new Set(['blending', 'segmenting']);
const SPOKEN = LADDERS.filter((l) => SAYS_WORDS.has(l.id));

/** One session on one rung. */
interface Session {
  readonly way: Way;
  readonly temper: Temper;
  readonly day: number;
  /** Which of the child’s sessions it is. */
  readonly n: number;
}

/** Its answers. */
function session({ way, temper, day, n }: Session, random: Random): RawAnswer[] {
  const { rungs } = way.ladder;
  const at = day * DAY + 36_000_000 + n * 600_000;
  const rung = Math.min(
    rungs.length - 1,
    Math.max(0, Math.round(way.stands - 0.5 + (random() - 0.5) * temper.wanders)),
  );
  const [task, step] = one(sure(rungs[rung]).steps, random);
  const knows = 1 / (1 + Math.exp(3 * (rung - way.stands)));
  const among = random() < 0.3 ? 1 : 5;
  const by = one(['AB', 'AB', 'CD', ''] as const, random) || null;
  const unlike = by === 'CD' && random() < 0.4;
  const standing = random() < 0.06 ? one(['after-a-model', 'check-in', 'in-chorus'] as const, random) : 'fresh';
  return Array.from({ length: 2 + Math.floor(random() * 5) }, (_, i): RawAnswer => {
    const plain = { task, step, standing, at: at + i * 20_000, day, by, among } as const;
    if (random() < (among === 1 ? temper.silentAlone : temper.silent)) return { ...plain, mark: '-' };
    const right = unlike ? false : random() < knows;
    if (right) return { ...plain, mark: '1' };
    if (SAYS_WORDS.has(task) && random() < temper.open)
      return { ...plain, mark: 'u', key: random() < 0.8 ? way.slips : one(OPEN_KEYS, random) };
    if (random() >= temper.helped) return { ...plain, mark: '0' };
    return { ...plain, mark: 'h', help: random() < temper.again ? 'said-again' : 'slower' };
  });
}

/** Answers of one step in one session, put together as they are kept. */
function runOf(answers: readonly RawAnswer[]): StepRun {
  const last = sure(answers.at(-1));
  const helps: Partial<Record<Help, number>> = {};
  for (const { help } of answers) if (help) helps[help] = (helps[help] ?? 0) + 1;
  const { task, step, standing, at, day, by, among } = last;
  const open = answers.flatMap((a) => a.key ?? []);
  const marks = answers.map((a) => a.mark).join('');
  return { task, step, standing, at, day, by, among, marks, helps, ...(open.length ? { open } : {}) };
}

/** What seldom comes of itself, one row a session: place on the ladder, marks, days ago, and how it was played. */
type Row = readonly [rung: number, marks: string, daysAgo: number, standing?: RawAnswer['standing']];
interface Rare {
  readonly ladder: string;
  readonly rows: (some: (from: number, to: number) => number) => readonly Row[];
  /** Days on which the two words could not be told apart. */
  readonly cannotTell?: readonly number[];
}

const right = (times: number): string => '1'.repeat(times);
const RARE: readonly Rare[] = [
  // Held on harder words, and last seen on easier ones.
  {
    ladder: 'blending',
    rows: (n) => [
      [7, right(n(6, 8)), 12],
      [7, right(n(5, 8)), 8],
      [5, n(0, 1) ? '1' : '10', n(1, 3)],
    ],
  },
  // As many right as luck alone might give.
  {
    ladder: 'rhyme',
    rows: (n) => [
      [1, `${right(n(3, 4))}0`, 4],
      [1, right(n(1, 2)), n(1, 2)],
    ],
  },
  // A harder step came to nothing, and the easier one came off since.
  {
    ladder: 'segmenting',
    rows: (n) => [
      [3, right(6), 15],
      [3, right(5), 12],
      [4, '0000', 8],
      [3, right(n(4, 7)), n(1, 4)],
    ],
  },
  // Found by a check-in, and nothing played since.
  {
    ladder: 'blending',
    rows: (n) => [
      [n(4, 5), '11', 5, 'check-in'],
      [n(6, 7), n(0, 1) ? '10' : '00', 5, 'check-in'],
    ],
  },
  // All that was asked of one step may be speech.
  { ladder: 'segmenting', rows: (n) => [[n(5, 6), 'u'.repeat(n(2, 4)), n(1, 9)]] },
  // Cannot tell two words apart, on two days.
  {
    ladder: 'blending',
    rows: (n) => [
      [6, `1${'u'.repeat(n(3, 5))}`, 9],
      [n(4, 7), `11${'u'.repeat(n(1, 3))}`, 6],
    ],
    cannotTell: [8, 5],
  },
];

function rareChild(random: Random): RandomChild {
  const { ladder, rows, cannotTell = [] } = one(RARE, random);
  const { rungs } = sure(LADDERS.find((l) => l.id === ladder));
  const key = one(OPEN_KEYS, random);
  const some = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const kept = rows(some).map(([rung, marks, daysAgo, standing = 'fresh'], n): RawAnswer[] => {
    const [task, step] = sure(sure(rungs[rung]).steps[0]);
    const day = TODAY - daysAgo;
    const plain = { task, step, standing, day, by: 'AB', among: 5 } as const;
    return [...marks].map((mark, i) => ({
      ...plain,
      at: day * DAY + 36_000_000 + n * 600_000 + i * 20_000,
      mark,
      ...(mark === 'u' ? { key } : {}),
    }));
  });
  const checks = cannotTell.map((ago): PebbleCheck => ({
    key,
    word: 'frog',
    says: 'slip',
    pebbles: false,
    told: 3,
    at: (TODAY - ago) * DAY,
    day: TODAY - ago,
  }));
  const child = { band: one(['', 'reception'] as const, random) || null, access: [], lowOnly: false };
  return { answers: kept.flat(), runs: kept.map(runOf), checks, child, now: TODAY * DAY + DAY - 1 };
}

/** Of so many children one is of a seldom kind. */
const ONE_RARE_IN = 10;

/** A child from a seed. */
export function randomChild(seed: number): RandomChild {
  const random = seeded(seed * 97 + 5);
  if (seed % ONE_RARE_IN === 0) return rareChild(random);
  const temper = one(TEMPERS, random);
  const slips = one(OPEN_KEYS, random);
  const ways = Array.from({ length: 1 + Math.floor(random() ** 2 * 4) }, (): Way => {
    const ladder = temper.open > 0.3 ? one(SPOKEN, random) : one(LADDERS, random);
    return { ladder, stands: random() * ladder.rungs.length - 0.5, slips };
  });
  const sessions = 1 + Math.floor(random() * 18);
  const rest = random() < 0.3 ? 15 + Math.floor(random() * 120) : Math.floor(random() * 4);
  const learns = random() * 0.15;
  let day = TODAY - rest - sessions * 4;
  const kept = Array.from({ length: sessions }, (_, n) => {
    day += random() < 0.08 ? 25 : 1 + Math.floor(random() * 4);
    const way = one(ways, random);
    return session({ way: { ...way, stands: way.stands + learns * n }, temper, day: Math.min(day, TODAY), n }, random);
  });
  const now = Math.max(TODAY, day) * DAY + DAY - 1;
  const checks = random() < 0.3 ? checksFrom(kept.flat(), random) : [];
  return {
    answers: kept.flat(),
    runs: kept.map(runOf),
    checks,
    child: {
      band: one(['', 'nursery', 'reception', 'year-1'] as const, random) || null,
      access: random() < 0.12 ? [one(['points', 'aid', 'said-twice', 'face'] as const, random)] : [],
      lowOnly: random() < 0.04,
      languages: random() < 0.1 ? 'Polish and English' : undefined,
    },
    now,
  };
}

/** Some of what is open was checked with pebbles a day later. */
const checksFrom = (answers: readonly RawAnswer[], random: Random): PebbleCheck[] =>
  answers.flatMap(({ key, at, day }): PebbleCheck[] => {
    if (!key || random() < 0.6) return [];
    const pebbles = random() < 0.5;
    const says = one(['word', 'slip'] as const, random);
    const told = says === 'slip' && !pebbles ? one([3, 6], random) : null;
    return [
      { key, word: one(['frog', 'plan', 'went', 'stop'], random), says, pebbles, told, at: at + DAY, day: day + 1 },
    ];
  });
