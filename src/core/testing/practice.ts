import type { StepRun } from '../evidence/evidence';
import { guessOf } from '../evidence/guessing';
import { ladderOf, type RungRef } from '../evidence/ladders';
import { seeded, type Random } from '../random';
import { sure } from '../sure';
import { markBy, normal, trueChance, trueDifficulty, WORLDS, type World } from './worlds';

/**
 * What becomes of a child who is played with as somebody advises: a hundred turns on two ladders, in worlds that say
 * differently which turns teach. True ability counts at the end, never a state. Invented throughout; it is not a claim
 * about children, and no number of it is shown to anyone.
 */
export interface Teaching {
  readonly name: string;
  readonly world: World;
  /** Logits that one turn teaches, from the chance of being right and whether it was. */
  readonly gain: (chance: number, right: boolean) => number;
  /** Practice at the edge of what a child can do teaches most here. */
  readonly atTheEdge: boolean;
}

const world = (name: string): World => sure(WORLDS.find((w) => w.name === name));
const hump = (p: number, top: number, width: number): number => Math.max(0, 1 - ((p - top) / width) ** 2);
const A_TURN = 0.04;

export const TEACHINGS: readonly Teaching[] = [
  {
    name: 'three in four right teaches most',
    world: world('plain'),
    gain: (p) => A_TURN * hump(p, 0.75, 0.35),
    atTheEdge: true,
  },
  {
    name: 'three in five right teaches most',
    world: world('plain'),
    gain: (p) => A_TURN * hump(p, 0.6, 0.4),
    atTheEdge: true,
  },
  {
    name: 'three in four, with lapses',
    world: world('lapses, one in ten'),
    gain: (p) => A_TURN * hump(p, 0.72, 0.35),
    atTheEdge: true,
  },
  {
    name: 'three in four, heavy tails, a generous adult',
    world: { ...world('heavy tails'), adult: 'lenient' },
    gain: (p) => A_TURN * hump(p, 0.75, 0.35),
    atTheEdge: true,
  },
  {
    name: 'three in four, a severe adult, bad days',
    world: { ...world('good and bad days'), adult: 'strict' },
    gain: (p) => A_TURN * hump(p, 0.75, 0.35),
    atTheEdge: true,
  },
  {
    name: 'only what comes off teaches',
    world: world('plain'),
    gain: (p, right) => (right ? A_TURN * 2.2 * Math.sqrt(1 - p) : 0),
    atTheEdge: true,
  },
  { name: 'every turn teaches alike', world: world('plain'), gain: () => A_TURN * 0.5, atTheEdge: false },
];

/** The ladders that are played in this world. */
const LADDERS_PLAYED = ['blending', 'segmenting'] as const;
/** What is learned on one ladder helps on the other. */
const CARRIED_OVER = 0.35;
const SESSIONS = 20;
const TURNS = 5;
const DAY = 86_400_000;

/** What a child has shown so far, for whoever advises. */
interface Shown {
  readonly runs: readonly StepRun[];
  /** Milliseconds since 1970. */
  readonly now: number;
  readonly session: number;
  readonly random: Random;
  /** True chance at a step: for the one who knows the truth, and nobody else. */
  readonly truth: (rung: RungRef) => number;
  readonly teaching: Teaching;
}
export type Policy = (shown: Shown) => RungRef;

const gameOf = ({ ladder, rung }: RungRef): readonly [string, string] =>
  sure(sure(ladderOf(ladder).rungs.find((r) => r.id === rung)).steps[0]);

/** Rungs that a session may be played on, easy to hard. Choosing from pictures and guessing a number are left out. */
export const PRACTISED: readonly RungRef[] = LADDERS_PLAYED.flatMap((ladder) =>
  ladderOf(ladder)
    .rungs.filter((r) => guessOf(...sure(r.steps[0])) === 0)
    .map((r) => ({ ladder, rung: r.id })),
);

/** True ability of a child, in logits, before and after twenty sessions of five turns under a policy. */
export function practised(teaching: Teaching, policy: Policy, seed: number): { before: number; after: number } {
  const random = seeded(seed * 104_729 + 7);
  const difficultyOf = trueDifficulty(11);
  const general = 0.3 + 0.9 * normal(random);
  const ability: Record<string, number> = Object.fromEntries(
    LADDERS_PLAYED.map((l) => [l, general + 0.5 * normal(random)]),
  );
  const mean = (): number => LADDERS_PLAYED.reduce((sum, l) => sum + sure(ability[l]), 0) / LADDERS_PLAYED.length;
  const before = mean();
  const truth = (rung: RungRef): number =>
    trueChance(teaching.world, sure(ability[rung.ladder]), difficultyOf(gameOf(rung)), 0);
  const runs: StepRun[] = [];
  let day = 20_000;
  for (let session = 0; session < SESSIONS; session += 1) {
    const rung = policy({ runs, now: day * DAY, session, random, truth, teaching });
    const game = gameOf(rung);
    const loud = teaching.world.days * normal(random);
    let marks = '';
    for (let turn = 0; turn < TURNS; turn += 1) {
      const chance = trueChance(teaching.world, sure(ability[rung.ladder]) + loud, difficultyOf(game), 0);
      const right = random() < chance;
      marks += markBy(teaching.world.adult, right, random);
      const gained = teaching.gain(chance, right);
      for (const l of LADDERS_PLAYED) ability[l] = sure(ability[l]) + gained * (l === rung.ladder ? 1 : CARRIED_OVER);
    }
    runs.push({ task: game[0], step: game[1], standing: 'fresh', at: day * DAY, day, marks, helps: {} });
    day += session % 3 === 2 ? 3 : 2;
  }
  return { before, after: mean() };
}

const onLadder = (ladder: string): readonly RungRef[] => PRACTISED.filter((r) => r.ladder === ladder);

/** Knows the truth, and plays what teaches most. */
export const KNOWS: Policy = ({ truth, teaching }) => {
  const worth = (r: RungRef): number => {
    const p = truth(r);
    return p * teaching.gain(p, true) + (1 - p) * teaching.gain(p, false);
  };
  return PRACTISED.reduce((best, r) => (worth(r) > worth(best) ? r : best));
};

/** One step after another, so many sessions each, whatever comes of it. */
export const FIXED: Policy = ({ session }) => sure(PRACTISED[Math.floor((session * PRACTISED.length) / SESSIONS)]);

export const ANYHOW: Policy = ({ random }) => sure(PRACTISED[Math.floor(random() * PRACTISED.length)]);

/**
 * The rule that went before: on from the last time the game was played, one up where eight in ten came off, one back
 * where fewer than 35 in a hundred did; not the same game twice running.
 */
export const ONE_UP_ONE_BACK: Policy = ({ runs, session }) => {
  const ladder = sure(LADDERS_PLAYED[session % LADDERS_PLAYED.length]);
  const rungs = onLadder(ladder);
  const last = runs.findLast((r) => r.task === ladder);
  if (!last) return sure(rungs[0]);
  const at = rungs.findIndex((r) => gameOf(r)[1] === last.step);
  const alone = last.marks.split('1').length - 1;
  const share = alone / last.marks.length;
  const near = share < 0.35 ? at - 1 : at;
  return sure(rungs[Math.min(rungs.length - 1, Math.max(0, share >= 0.8 ? at + 1 : near))]);
};
