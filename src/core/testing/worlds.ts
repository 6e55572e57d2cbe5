import { stepOf, taskOf } from '../games';
import { stepPoints } from '../games/hardness';
import type { StepRun } from '../evidence/evidence';
import { guessOf } from '../evidence/guessing';
import { ladderOf } from '../evidence/ladders';
import { seeded, type Random } from '../random';
import { sure } from '../sure';

/**
 * Made-up groups whose true abilities are known, in worlds that are not the model: other curves, lapses, learning
 * within and between sessions, adults who mark in their own way, and children who are asked because they know. Every
 * number here is invented; nothing of it reaches the product.
 */
export interface World {
  readonly name: string;
  /** From ability less difficulty to the chance of knowing, 0 to 1. */
  readonly curve: Curve;
  /** How steep: 1 is a logit a logit. */
  readonly slope: number;
  /** Chance that a child who knows slips all the same. */
  readonly lapse: number;
  /** Logits gained from one session to the next. */
  readonly between: number;
  /** Logits gained from the first answer of a session to its last, and lost again by the next. */
  readonly within: number;
  /** Spread of good and bad days, in logits. */
  readonly days: number;
  readonly adult: Adult;
  /** Who is asked: each in turn, or mostly those who know. */
  readonly asked: 'in-turn' | 'who-knows';
}

type Curve = 'logistic' | 'cauchit' | 'cloglog';
/** Four kinds of adults: fair, generous, severe, and quick to help. */
export type Adult = 'fair' | 'lenient' | 'strict' | 'helper';

/** Link functions as any handbook of generalised linear models has them (McCullagh & Nelder 1989, from memory). */
const CURVES: Readonly<Record<Curve, (x: number) => number>> = {
  logistic: (x) => 1 / (1 + Math.exp(-x)),
  cauchit: (x) => 0.5 + Math.atan(x) / Math.PI,
  cloglog: (x) => 1 - Math.exp(-Math.exp(x)),
};

const PLAIN: Omit<World, 'name'> = {
  curve: 'logistic',
  slope: 1,
  lapse: 0.02,
  between: 0,
  within: 0,
  days: 0,
  adult: 'fair',
  asked: 'in-turn',
};

export const WORLDS: readonly World[] = [
  { name: 'plain', ...PLAIN },
  { name: 'a gentle slope', ...PLAIN, slope: 0.65 },
  { name: 'a steep slope', ...PLAIN, slope: 1.6 },
  { name: 'heavy tails', ...PLAIN, curve: 'cauchit' },
  { name: 'a lopsided curve', ...PLAIN, curve: 'cloglog' },
  { name: 'no lapses', ...PLAIN, lapse: 0 },
  { name: 'lapses, one in twenty', ...PLAIN, lapse: 0.05 },
  { name: 'lapses, one in ten', ...PLAIN, lapse: 0.1 },
  { name: 'learning between sessions', ...PLAIN, between: 0.08 },
  { name: 'learning within sessions', ...PLAIN, within: 0.8 },
  { name: 'good and bad days', ...PLAIN, days: 0.6 },
  { name: 'a generous adult', ...PLAIN, adult: 'lenient' },
  { name: 'a severe adult', ...PLAIN, adult: 'strict' },
  { name: 'an adult who helps at once', ...PLAIN, adult: 'helper' },
  { name: 'those who know are asked', ...PLAIN, asked: 'who-knows' },
  {
    name: 'all at once',
    curve: 'cauchit',
    slope: 1.3,
    lapse: 0.06,
    between: 0.05,
    within: 0.5,
    days: 0.4,
    adult: 'lenient',
    asked: 'who-knows',
  },
];

/** How an adult marks what a child did. */
const MARKING: Readonly<Record<Adult, (right: boolean, random: Random) => string>> = {
  fair: (right, random) => (right ? '1' : missed(random, 0.3)),
  lenient: (right, random) => (right || random() < 0.12 ? '1' : missed(random, 0.3)),
  strict: (right, random) => {
    if (right) return random() < 0.1 ? 'h' : '1';
    return missed(random, 0.2);
  },
  helper: (right, random) => {
    if (right) return random() < 0.08 ? 'h' : '1';
    return missed(random, 0.85);
  },
};
const missed = (random: Random, helped: number): string => (random() < helped ? 'h' : '0');
export const markBy = (adult: Adult, right: boolean, random: Random): string => MARKING[adult](right, random);

/** A number from the normal distribution (Box & Muller 1958). */
export const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** A child of a world: what they can do on each ladder, in logits. */
interface TrueChild {
  readonly ability: Readonly<Record<string, number>>;
}

const PLAYED = ['blending', 'segmenting', 'rhyme', 'first-sounds'] as const;
type Game = readonly [task: string, step: string];

/** The first game of every rung of a ladder. */
const gamesOf = (ladder: string): readonly Game[] => ladderOf(ladder).rungs.map((r) => sure(r.steps[0]));

/** How hard a step is in truth: near what the app takes it for, and never just that. In logits. */
export function trueDifficulty(worldSeed: number): (game: Game) => number {
  const known = new Map<string, number>();
  return ([task, step]) => {
    const key = `${task} ${step}`;
    const kept = known.get(key);
    if (kept !== undefined) return kept;
    const hash = [...key].reduce((sum, c) => (Math.imul(sum, 31) + c.charCodeAt(0)) >>> 0, worldSeed);
    const own = (stepPoints(taskOf(task), stepOf(taskOf(task), step)) - 62) / 12 + 0.45 * normal(seeded(hash));
    known.set(key, own);
    return own;
  };
}

/** The chance that an item is right without help. */
export function trueChance(world: World, ability: number, difficulty: number, guess: number): number {
  const known = CURVES[world.curve](world.slope * (ability - difficulty));
  return (1 - world.lapse) * (guess + (1 - guess) * known);
}

/** The children of a group, all from one seed. */
function childrenOf(many: number, random: Random): TrueChild[] {
  return Array.from({ length: many }, () => {
    const general = 0.4 + 1.1 * normal(random);
    // Rhyme and first sounds are met long before single sounds are taken apart.
    const ahead: Readonly<Record<string, number>> = { rhyme: -3, 'first-sounds': -2.4 };
    return {
      ability: Object.fromEntries(PLAYED.map((l) => [l, general + (ahead[l] ?? 0) + 0.8 * normal(random)])),
    };
  });
}

export interface WorldHistory {
  /** Runs before the last session. */
  readonly before: readonly StepRun[];
  /** The answers of the last session, one by one, in order. */
  readonly last: readonly { readonly task: string; readonly step: string; readonly right: boolean }[];
  /** When the last session began. */
  readonly now: number;
}

const DAY = 86_400_000;
const SESSIONS = 15;
const ROUNDS = 3;
const TURNS_EACH = 2;
/** An adult's idea of what suits the group is about right. */
const AIM = 0.72;
const SILENT = 0.03;

interface Asking {
  readonly world: World;
  readonly game: Game;
  readonly difficulty: number;
  readonly random: Random;
}

/** What the adult plays: a step of the ladder near what suits most of the group. */
function gameFor(world: World, ladder: string, abilities: readonly number[], random: Random): Game {
  const difficultyOf = trueDifficulty(7);
  const chances = gamesOf(ladder).map((game) => {
    const d = difficultyOf(game);
    const mean = abilities.reduce((sum, a) => sum + trueChance(world, a, d, guessOf(...game)), 0) / abilities.length;
    return Math.abs(mean - AIM) + 0.12 * random();
  });
  return sure(gamesOf(ladder)[chances.indexOf(Math.min(...chances))]);
}

/** Who has each turn of a round, as places in the group. */
function turnsOfRound({ world, difficulty, game, random }: Asking, abilities: readonly number[]): number[] {
  const turns = abilities.length * TURNS_EACH;
  if (world.asked === 'in-turn') return Array.from({ length: turns }, (_, i) => i % abilities.length);
  const weights = abilities.map((a) => 0.05 + trueChance(world, a, difficulty, guessOf(...game)) ** 2);
  const all = weights.reduce((a, b) => a + b, 0);
  return Array.from({ length: turns }, () => {
    let left = random() * all;
    return Math.max(
      0,
      weights.findIndex((w) => (left -= w) < 0),
    );
  });
}

/** What a group of children does over a term, in a world; the last session apart. */
export function groupIn(world: World, seed: number, many = 8): WorldHistory[] {
  const random = seeded(seed * 7919 + 13);
  const children = childrenOf(many, random);
  const difficultyOf = trueDifficulty(7);
  const runs: StepRun[][] = children.map(() => []);
  const last: WorldHistory['last'][number][][] = children.map(() => []);
  let day = 20_000;
  for (let session = 0; session < SESSIONS; session += 1) {
    const loud = world.days * normal(random);
    for (let round = 0; round < ROUNDS; round += 1) {
      const ladder = sure(PLAYED[(session + round + seed) % PLAYED.length]);
      const abilities = children.map((c) => sure(c.ability[ladder]) + world.between * session);
      const game = gameFor(world, ladder, abilities, random);
      const asking: Asking = { world, game, difficulty: difficultyOf(game), random };
      const marks = children.map(() => '');
      for (const [turn, who] of turnsOfRound(asking, abilities).entries()) {
        const along = (round + turn / (many * TURNS_EACH)) / ROUNDS - 0.5;
        const ability = sure(abilities[who]) + loud + world.within * along;
        const right = random() < trueChance(world, ability, asking.difficulty, guessOf(...game));
        const mark = random() < SILENT ? '-' : markBy(world.adult, right, random);
        marks[who] += mark;
        if (session === SESSIONS - 1 && mark !== '-')
          sure(last[who]).push({ task: game[0], step: game[1], right: mark === '1' });
      }
      if (session === SESSIONS - 1) continue;
      for (const [who, letters] of marks.entries())
        if (letters)
          sure(runs[who]).push({
            task: game[0],
            step: game[1],
            standing: 'fresh',
            at: day * DAY + round * 240_000,
            day,
            marks: letters,
            helps: {},
          });
    }
    if (session < SESSIONS - 1) day += session % 3 === 2 ? 3 : 2;
  }
  return children.map((_, who) => ({ before: sure(runs[who]), last: sure(last[who]), now: day * DAY }));
}
