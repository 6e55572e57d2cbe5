import { createHash } from 'node:crypto';
import { canJudge } from '../../core/answers/can-judge';
import { judge } from '../../core/answers/judge';
import { chunksOf, saidOf } from '../../core/answers/said';
import type { PlanChange } from '../../core/formats/plan-file';
import { planRequestSchema } from '../../core/formats/plan-file';
import { TASKS, taskOf } from '../../core/games';
import { generate } from '../../core/games/generate';
import type { Item } from '../../core/games/item';
import { keyLabel } from '../../core/games/key-label';
import { routineOf } from '../../core/games/routine';
import type { Step } from '../../core/games/step';
import type { Task } from '../../core/games/task';
import { accentOf, ACCENTS, type AccentId } from '../../core/phonology/accents';
import { cellsOf } from '../../core/evidence/cells';
import { guessOf } from '../../core/evidence/guessing';
import { modelOf } from '../../core/choosing/model';
import { rungOf } from '../../core/evidence/ladders';
import type { Plan } from '../../core/sessions/running-order';
import { makePlan, SHAPES } from '../../core/sessions/shapes';
import { material } from '../../core/testing/bank';
import { changed } from '../plans/changes';
import type { Workshop } from '../plans/workshop';

/**
 * What everything seeded comes to, as hashes: items of every task and step in every accent with their proofs and
 * judged answers, and plans of every shape with every change made to them. Two commits that give the same rows make
 * the same games.
 */
export interface GoldenRow {
  /** Accent, task and step, or accent, shape and game of a plan. */
  readonly name: string;
  readonly count: number;
  readonly hash: string;
}

const SEEDS = [1, 2, 3, 4, 5];
const SIZE = 8;

/** What is only drawn or read beside an item, and is written anew more often than games are. */
const BESIDE = new Set(['pictures', 'tags', 'listed', 'sentence', 'meaning', 'picture', 'prop', 'cautions']);

const hashOf = (value: unknown): string =>
  createHash('sha256')
    .update(JSON.stringify(value, (key, part: unknown) => (BESIDE.has(key) ? undefined : part)))
    .digest('hex')
    .slice(0, 16);

/** Answers like those a child gives: the likely ones, and each with a sound lost, doubled and turned round. */
function answersOf(item: Item): string[] {
  const likely = item.likely.flatMap(({ said }) => (said ? [said] : []));
  const spoilt = likely.flatMap((said) => {
    const sounds = chunksOf(said).flat();
    return [sounds.slice(1), [...sounds, ...sounds.slice(-1)], [...sounds].reverse()].map((s) => saidOf([s]));
  });
  return [...new Set([...likely, ...spoilt])].filter(Boolean);
}

function judgedOf(item: Item, tapsT: boolean): unknown[] {
  if (!canJudge(item.judged)) return [];
  return answersOf(item).map((said) =>
    judge({ judged: item.judged, marks: item.marks, ...(tapsT ? { tapsT } : {}) }, chunksOf(said)),
  );
}

const evidenceOf = (item: Item): unknown =>
  cellsOf({
    task: item.task,
    outcome: 'not-yet',
    slip: 'lost-sound',
    said: null,
    missed: [0],
    sounds: item.marks.map((m) => m.ipa),
  });

function itemsRow(task: Task, step: Step, accent: AccentId): GoldenRow {
  let count = 0;
  const { tapsT } = accentOf(accent);
  const sets = SEEDS.map((seed) => {
    const made = generate(task, step, material(accent), {
      size: SIZE,
      seed,
      spares: 3,
      contested: seed % 2 === 0,
      ...(seed === 3 ? { sound: 's' } : {}),
      ...(seed === 4 ? { pairs: [['f', 'θ']] as const } : {}),
    });
    count += made.items.length;
    return {
      made,
      judged: made.items.map((item) => judgedOf(item, tapsT)),
      cells: made.items.map(evidenceOf),
      labels: made.items.map((item) => keyLabel(item.key, task.id, accent)),
    };
  });
  const known = {
    luck: guessOf(task.id, step.id),
    rung: rungOf(task.id, step.id)?.rung.id ?? null,
    routines: [routineOf(task.id, false), routineOf(task.id, true)],
  };
  return { name: `${accent} ${task.id} ${step.id}`, count, hash: hashOf({ sets, known }) };
}

/** Everything a practitioner may change in a round, one after the other; what cannot be done leaves it as it was. */
function changesOf(plan: Plan, shop: Workshop): unknown[] {
  const out: unknown[] = [];
  let now = plan;
  const make = (change: PlanChange): void => {
    try {
      const { plan: next, said } = changed(now, change, shop, [modelOf([], 0)]);
      out.push([next, said ?? null]);
      now = next;
    } catch {
      out.push('refused');
    }
  };
  for (const { id, items, task } of plan.rounds) {
    const key = items[Math.floor(items.length / 2)]?.key ?? '';
    make({ kind: 'swap', round: id, key });
    make({ kind: 'more', round: id });
    for (const word of ['sock', 'frog', 'sun, moon', 'own-name', 'zzz']) make({ kind: 'put', round: id, word });
    make({ kind: 'remake', round: id });
    make({ kind: 'aim', round: id });
    const steps = taskOf(task).steps;
    make({ kind: 'set', round: id, task, step: steps.at(-1)?.id ?? '' });
    if (!taskOf(task).leadsOn) continue;
    make({ kind: 'chain', round: id, start: 'pan', target: '' });
    make({ kind: 'chain', round: id, start: 'cat', target: 'dog' });
  }
  make({ kind: 'add-round', task: 'blending', step: '3' });
  return out;
}

function planRow(shape: (typeof SHAPES)[number], task: Task, accent: AccentId): GoldenRow {
  const shop: Workshop = {
    bank: material(accent) as Workshop['bank'],
    owned: new Set(['sock']),
    recent: ['sun', 'map'],
    confirmed: true,
    lowOnly: false,
    children: 5,
    childIds: [],
    paceOf: () => 20,
  };
  const wish = planRequestSchema.parse({ shape, task: task.id, step: task.steps[0]?.id, minutes: 15, seed: 7 });
  const plan = makePlan(shop.bank, { ...wish, children: 5, avoid: shop.recent, contested: true, paceOf: shop.paceOf });
  return {
    name: `${accent} ${shape} ${task.id}`,
    count: plan.rounds.length,
    hash: hashOf([plan, changesOf(plan, shop)]),
  };
}

/**
 * Every row, or one in `stride` of them.
 * @example goldenRows(1).filter((row) => row.name.startsWith('scottish blending')).length
 */
export function goldenRows(stride: number): GoldenRow[] {
  const makers = ACCENTS.flatMap(({ id }) => {
    const accent = id as AccentId;
    return [
      ...TASKS.flatMap((task) => task.steps.map((step) => () => itemsRow(task, step, accent))),
      ...TASKS.map((task) => () => planRow('focus', task, accent)),
      ...SHAPES.filter((shape) => shape !== 'focus').map((shape) => () => planRow(shape, taskOf('blending'), accent)),
    ];
  });
  return makers.filter((_, at) => at % stride === 0).map((make) => make());
}
