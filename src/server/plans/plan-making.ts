import { planRequestSchema, type PlanChange, type PlanWish } from '../../core/formats/plan-file';
import { stepOf, taskOf } from '../../core/games';
import { generate } from '../../core/games/generate';
import { stepPoints } from '../../core/games/hardness';
import { makeItem, Unproved, type Item } from '../../core/games/item';
import type { Material } from '../../core/games/material';
import { keyOf, OWN_NAME, readKey } from '../../core/games/spec';
import type { Step, Task } from '../../core/games/task';
import { guessOf } from '../../core/progress/guessing';
import type { Word } from '../../core/lexicon/entry';
import { chanceOf, expectedInWords, groupChance, JUST_RIGHT, type Ability } from '../../core/progress/just-right';
import { findChain } from '../../core/lexicon/chains';
import { seeded } from '../../core/random';
import {
  ITEM_LIMIT,
  ROUND_LIMIT,
  TOGETHER_ITEMS,
  type Plan,
  type PlannedRound,
} from '../../core/sessions/running-order';
import { makeRound, planInParts, SPARES } from '../../core/sessions/shapes';
import { setSizeFor } from '../../core/sessions/turns';
import { preparedBank, type PreparedBank } from '../words/bank';
import type { Group } from '../people/groups';
import { pacesOf } from '../sessions/paces';
import { inTurns } from '../storage/other-turns';
import { Problem } from '../storage/problems';
import { ownedProps } from '../words/props';
import { getSettings } from '../setting/settings';
import { recentWords } from '../words/words';
import { sure } from '../../core/sure';

/** All that making a plan for a group asks of the setting. */
export interface Workshop {
  readonly bank: PreparedBank;
  readonly owned: ReadonlySet<string>;
  readonly recent: readonly string[];
  readonly confirmed: boolean;
  readonly children: number;
  readonly paceOf: (task: string) => number;
}

export async function workshopOf(group: Group): Promise<Workshop> {
  const { accent, conventions, confirmed } = await getSettings();
  const [bank, owned, recent, paceOf] = await Promise.all([
    preparedBank(accent, conventions),
    ownedProps(),
    recentWords(group.id),
    pacesOf(group.id),
  ]);
  return { bank, owned, recent, confirmed, children: group.children.filter((c) => !c.away).length, paceOf };
}

/** A complete running order for what was asked. Throws a Problem where the bank has nothing for it. */
export async function planFrom(wish: PlanWish, shop: Workshop): Promise<Plan> {
  const { bank, owned, recent, confirmed, children, paceOf } = shop;
  const read = planRequestSchema.parse(wish);
  const step = stepOf(taskOf(read.task), read.step).id;
  const request = { ...read, step, children, avoid: recent, contested: confirmed, owned, paceOf };
  const plan = await inTurns(planInParts(bank, request));
  if (!plan.rounds.length)
    throw new Problem('The word bank has no words for that. Choose another sound, or leave the sound open.');
  return plan;
}

const SIZE_MORE = 4;

/** What a round of the plan is made with, besides its own words. */
const requestOf = (
  plan: Plan,
  { recent, confirmed, owned }: Workshop,
  seed: number,
  avoid: readonly string[] = [],
) => ({
  seed,
  avoid: [...recent, ...avoid],
  pairs: plan.pairs,
  contested: confirmed,
  owned,
  sound: plan.sound ?? undefined,
});

const wordsOf = (keys: readonly string[]): string[] => keys.flatMap((key) => readKey(key).words);

interface Changed {
  readonly plan: Plan;
  /** What there is to say about the change. */
  readonly said?: string;
}

/** The plan with a change made that needs the word bank. Throws a Problem that says why it cannot be made. */
export function changed(plan: Plan, change: PlanChange, shop: Workshop, abilities: readonly Ability[] = []): Changed {
  if (change.kind === 'show') return { plan };
  if (change.kind === 'add-round') return { plan: withRound(plan, change.task, change.step, shop) };
  const round = plan.rounds.find((r) => r.id === change.round);
  if (!round) throw new Problem('That round is not in the plan any more.', 404);
  const put = (next: PlannedRound): Changed => ({
    plan: { ...plan, rounds: plan.rounds.map((r) => (r.id === round.id ? next : r)) },
  });
  switch (change.kind) {
    case 'remake':
      return put(remade(plan, round, shop));
    case 'aim': {
      const { next, chances } = aimed(plan, round, shop, abilities);
      return {
        ...put(next),
        said: `${taskOf(next.task).name}, ${stepOf(taskOf(next.task), next.step).name}. ${expectedInWords(chances)}`,
      };
    }
    case 'set':
      return put(reset(plan, round, change, shop));
    case 'swap':
      return put(swapped(plan, round, change.key, shop));
    case 'more':
      return put(longer(plan, round, shop));
    case 'put':
      return put(withWord(plan, round, change.word, shop));
    case 'chain': {
      const [start, target] = [change.start, change.target].map((word) => word.trim().toLowerCase());
      const { next, said } = chained(round, sure(start), sure(target), shop);
      return { ...put(next), ...(said ? { said } : {}) };
    }
  }
}

/** Candidates an aimed round is chosen from. */
const AIM_FROM = 40;

/** The step of the same game, and the words, of which about eight in ten should come off for these children. */
function aimed(
  plan: Plan,
  round: PlannedRound,
  shop: Workshop,
  abilities: readonly Ability[],
): { next: PlannedRound; chances: number[] } {
  const task = taskOf(round.task);
  if (task.inOrder || task.together)
    throw new Problem('This game is played in a row or by everyone: there is no one chance to aim at.');
  const far = (points: number, step: Step): number =>
    Math.abs(groupChance(abilities, task.family, points, guessOf(task.id, step.id)) - JUST_RIGHT);
  const size = round.items.length || setSizeFor(shop.children);
  const made = task.steps.flatMap((step) => {
    const { items, model } = generate(task, step, shop.bank, { ...requestOf(plan, shop, round.seed), size: AIM_FROM });
    // A child's ability is known by steps, so an item counts as its step does, and by how it differs from the usual
    // item of it.
    const usual = [...items].sort((a, b) => a.difficulty - b.difficulty)[Math.floor(items.length / 2)]?.difficulty ?? 0;
    const pointsOf = (item: Item): number => stepPoints(task, step) + item.difficulty - usual;
    const off = (item: Item): number => far(pointsOf(item), step);
    const near = [...items].sort((a, b) => off(a) - off(b) || (a.key < b.key ? -1 : 1)).slice(0, size);
    return near.length >= Math.min(size, 3)
      ? [
          {
            step,
            near,
            model,
            spares: items.filter((i) => !near.includes(i)).slice(0, SPARES),
            off: near.reduce((sum, i) => sum + off(i), 0) / near.length,
            points: near.map(pointsOf),
          },
        ]
      : [];
  });
  const [best] = made.sort((a, b) => a.off - b.off);
  if (!best) throw new Problem('There are not enough words to aim with.');
  const guess = guessOf(task.id, best.step.id);
  const chances = abilities.map(
    (a) => best.points.reduce((sum, p) => sum + chanceOf(a, task.family, p, guess), 0) / best.points.length,
  );
  const next = {
    ...round,
    step: best.step.id,
    items: [...best.near].sort((a, b) => a.difficulty - b.difficulty).map(({ key }) => ({ key, locked: false })),
    model:
      (best.model && !best.near.some((i) => i.key === sure(best.model).key) ? best.model.key : round.model) ?? null,
    spares: best.spares.map((s) => s.key),
  };
  return { next, chances };
}

/** Other words in the places that are not locked. */
function remade(plan: Plan, round: PlannedRound, shop: Workshop): PlannedRound {
  const task = taskOf(round.task);
  const locked = task.inOrder ? [] : round.items.filter((i) => i.locked).map((i) => i.key);
  const seed = (round.seed + 7_919) % 0xfffffff;
  const before = wordsOf(round.items.map((i) => i.key));
  const made = generate(task, stepOf(task, round.step), shop.bank, {
    ...requestOf(plan, shop, seed, before),
    size: round.items.length || setSizeFor(shop.children),
    keep: locked,
    spares: SPARES,
  });
  if (!made.items.length) throw new Problem('There are no other words for this round.');
  return {
    ...round,
    seed,
    items: made.items.map(({ key }) => ({ key, locked: locked.includes(key) })),
    model: made.model?.key ?? null,
    spares: made.spares.map((s) => s.key),
  };
}

/** Another game or step in the same place of the plan. */
function reset(
  plan: Plan,
  round: PlannedRound,
  to: { readonly task: string; readonly step: string },
  shop: Workshop,
): PlannedRound {
  const task = taskOf(to.task);
  const step = stepOf(task, to.step);
  const same = task.id === round.task;
  const asMany = (same && round.items.length) || setSizeFor(shop.children);
  const size = task.together ? Math.min(round.items.length || TOGETHER_ITEMS, TOGETHER_ITEMS) : asMany;
  const made = makeRound(
    shop.bank,
    {
      role: round.role,
      task: task.id,
      step: step.id,
      size,
      sound: plan.sound ?? undefined,
      ...(round.way === 'together' || task.together ? { way: 'together' as const } : {}),
    },
    requestOf(plan, shop, round.seed),
    round.id,
  );
  if (!made)
    throw new Problem(
      `The word bank has nothing for “${task.name}, ${step.name}”${plan.sound ? ' with this sound' : ''}. ` +
        'The round was left as it was.',
    );
  return same
    ? {
        ...made,
        gap: round.gap,
        gesture: round.gesture,
        frame: round.frame,
        reminder: round.reminder,
        names: round.names,
      }
    : made;
}

/** Another item in the place of one; in a chain, another way to go from there. */
function swapped(plan: Plan, round: PlannedRound, key: string, shop: Workshop): PlannedRound {
  const at = round.items.findIndex((i) => i.key === key);
  if (at < 0) throw new Problem('That item is not in the round any more.', 404);
  const task = taskOf(round.task);
  const step = stepOf(task, round.step);
  if (task.inOrder) {
    if (!task.id.startsWith('chain')) return remade(plan, round, shop);
    const before = round.items.slice(0, at);
    const [from, to] = readKey(key).words;
    const onward = generate(task, step, shop.bank, {
      ...requestOf(plan, shop, round.seed + at + 1),
      size: round.items.length - at,
      start: from,
      keep: [],
      avoid: [to ?? '', ...wordsOf(before.map((i) => i.key))],
    });
    const links = onward.items.filter((item) => readKey(item.key).words[1] !== to || onward.items.length === 1);
    if (!links.length || sure(links[0]).key === key) throw new Problem(`There is no other way to go from “${from}”.`);
    return {
      ...round,
      seed: round.seed + 1,
      items: [...before, ...links.map((item) => ({ key: item.key, locked: false }))],
    };
  }
  const old = itemOrNull(task, round, key, shop.bank);
  const others = round.spares.map((k) => itemOrNull(task, round, k, shop.bank)).filter((i): i is Item => i !== null);
  const spare = others.find((i) => i.kind === old?.kind) ?? others[0];
  if (!spare) {
    const more = generate(task, step, shop.bank, {
      ...requestOf(plan, shop, round.seed + 31, wordsOf(round.items.map((i) => i.key))),
      size: SPARES,
      spares: 0,
    });
    const item = more.items.find((i) => !round.items.some((o) => o.key === i.key));
    if (!item) throw new Problem('There is no other word for this step.');
    return { ...round, items: round.items.map((i) => (i.key === key ? { key: item.key, locked: false } : i)) };
  }
  // The new one stands where the old one stood; the old one may come back later.
  return {
    ...round,
    items: round.items.map((i) => (i.key === key ? { key: spare.key, locked: false } : i)),
    spares: [...round.spares.filter((k) => k !== spare.key), key],
  };
}

const itemOrNull = (task: Task, round: Pick<PlannedRound, 'step'>, key: string, material: Material): Item | null => {
  try {
    return makeItem(task, stepOf(task, round.step), key, material);
  } catch (error) {
    if (error instanceof Unproved) return null;
    throw error;
  }
};

/** Items from easy to hard again, after one came or went. */
function inOrder(
  round: PlannedRound,
  items: PlannedRound['items'],
  spares: readonly string[],
  material: Material,
): PlannedRound {
  const task = taskOf(round.task);
  const points = new Map(items.map((i) => [i.key, itemOrNull(task, round, i.key, material)?.difficulty ?? 0]));
  return {
    ...round,
    spares,
    items: task.inOrder ? items : [...items].sort((a, b) => sure(points.get(a.key)) - sure(points.get(b.key))),
  };
}

/** One item more. */
function longer(plan: Plan, round: PlannedRound, shop: Workshop): PlannedRound {
  if (round.items.length >= ITEM_LIMIT) throw new Problem(`A round can have ${ITEM_LIMIT} items.`);
  const task = taskOf(round.task);
  const step = stepOf(task, round.step);
  if (task.inOrder) {
    const made = generate(task, step, shop.bank, {
      ...requestOf(plan, shop, round.seed),
      size: round.items.length + 1,
      start: readKey(round.items[0]?.key ?? '').words[0],
    });
    if (made.items.length <= round.items.length) throw new Problem('This is as long as it goes from here.');
    return { ...round, items: made.items.map(({ key }) => ({ key, locked: false })) };
  }
  const spare = round.spares.find((k) => itemOrNull(task, round, k, shop.bank));
  if (spare)
    return inOrder(
      round,
      [...round.items, { key: spare, locked: false }],
      round.spares.filter((k) => k !== spare),
      shop.bank,
    );
  const made = generate(task, step, shop.bank, {
    ...requestOf(plan, shop, round.seed + 97, wordsOf(round.items.map((i) => i.key))),
    size: SIZE_MORE,
    spares: 0,
  });
  const item = made.items.find((i) => !round.items.some((o) => o.key === i.key));
  if (!item) throw new Problem('There is no other word for this step.');
  return inOrder(round, [...round.items, { key: item.key, locked: false }], round.spares, shop.bank);
}

const TRIES = 12;

/** An item around a word the adult named; a Problem says why it does not fit. */
function withWord(plan: Plan, round: PlannedRound, typed: string, shop: Workshop): PlannedRound {
  const name = typed.trim().toLowerCase();
  const task = taskOf(round.task);
  const step = stepOf(task, round.step);
  if (round.items.length >= ITEM_LIMIT) throw new Problem(`A round can have ${ITEM_LIMIT} items.`);
  const put = (key: string): PlannedRound => {
    if (round.items.some((i) => i.key === key)) throw new Problem(`“${typed.trim()}” is in this round already.`);
    return inOrder(round, [...round.items, { key, locked: true }], round.spares, shop.bank);
  };
  if (task.id === 'clap' && name === OWN_NAME) return put(OWN_NAME);
  const heads = name
    .split(/[\s,]+/)
    .filter(Boolean)
    .map((n) => shop.bank.byName.get(n));
  const head = heads[0];
  if (!head || heads.some((w) => !w))
    throw new Problem(`“${typed.trim()}” is not in the word bank. Add it on the Words screen first.`);
  if (task.id === 'hunt') return put(huntKey(typed, heads, round, shop));
  const key = keyAround(head, plan, round, shop);
  if (key !== null) return put(key);
  throw new Problem(
    `“${head.word}” does not fit “${task.name}, ${step.name}”: ` +
      `it has ${head.count} sounds (${head.sounds.map((s) => s.ipa).join(' ')}).`,
  );
}

/** The handful of sounds that some words have, as a key. */
function huntKey(typed: string, heads: readonly (Word | undefined)[], round: PlannedRound, shop: Workshop): string {
  const task = taskOf(round.task);
  const sounds = [...new Set(heads.flatMap((w) => sure(w).sounds.map((s) => s.ipa)))];
  const key = sounds.map((s) => `/${s}/`).join(' ');
  if (itemOrNull(task, round, key, shop.bank)) return key;
  throw new Problem(
    `“${typed.trim()}” gives ${sounds.length} sounds; this step has ${stepOf(task, round.step).name}, ` +
      'and needs a few words to find.',
  );
}

/** The key of an item around a word, or null where none can be made. */
function keyAround(head: Word, plan: Plan, round: PlannedRound, shop: Workshop): string | null {
  const task = taskOf(round.task);
  const step = stepOf(task, round.step);
  const avoid = new Set(wordsOf(round.items.map((i) => i.key)));
  const theme = readKey(round.items[0]?.key ?? '').sounds?.[0] ?? plan.sound;
  const random = seeded(round.seed + head.word.length);
  for (let tries = 0; tries < TRIES; tries += 1) {
    const spec = task.build({
      head,
      step,
      material: shop.bank,
      random,
      kind: tries % (task.kinds?.(step) ?? 1),
      theme,
      wishes: { size: 1, avoid, contested: true, pairs: plan.pairs },
    });
    const item = spec && itemOrNull(task, round, keyOf(spec), shop.bank);
    if (item) return item.key;
  }
  return null;
}

/** A chain from a word, or between two; where that cannot be, the nearest that can, said so. */
function chained(
  round: PlannedRound,
  start: string,
  target: string,
  shop: Workshop,
): { readonly next: PlannedRound; readonly said?: string } {
  const task = taskOf(round.task);
  const step = stepOf(task, round.step);
  const from = shop.bank.byName.get(start);
  const to = target ? shop.bank.byName.get(target) : undefined;
  if (!from) throw new Problem(start ? `“${start}” is not in the word bank.` : 'Say which word the chain begins with.');
  if (target && !to) throw new Problem(`“${target}” is not in the word bank.`);
  const made = generate(task, step, shop.bank, {
    seed: round.seed,
    size: Math.max(round.items.length, 3),
    start,
    target: to?.word,
    contested: true,
  });
  const last = made.items.at(-1);
  if (!last) throw new Problem(`No chain begins with “${start}” at this step. ${beginnings(from.word, step, shop)}`);
  const end = sure(readKey(last.key).words[1]);
  const reached = !to || end === to.word;
  const next = { ...round, items: made.items.map(({ key }) => ({ key, locked: false })) };
  return reached
    ? { next }
    : {
        next,
        said: `“${start}” does not lead to “${target}” at this step. This chain gets as close as it can: “${end}”.`,
      };
}

/** Words like the one asked for that a chain can begin with. */
function beginnings(word: string, step: ReturnType<typeof stepOf>, { bank }: Workshop): string {
  const near = bank
    .neighbours()
    .of(sure(bank.byName.get(word)))
    .map((n) => n.word)
    .filter(
      (w) =>
        findChain(
          bank.neighbours(),
          {
            start: w,
            length: 3,
            places: ['first', 'last', 'middle'],
            grow: step.grow === true,
            allowed: (o) => !o.entry.doubt,
          },
          seeded(1),
        ).links.length >= 2,
    );
  return near.length
    ? `Nearest that can: ${near
        .slice(0, 3)
        .map((w) => w.word)
        .join(', ')}.`
    : '';
}

/** A new round at the end. */
function withRound(plan: Plan, taskId: string, stepId: string, shop: Workshop): Plan {
  if (plan.rounds.length >= ROUND_LIMIT) throw new Problem(`A plan can have ${ROUND_LIMIT} rounds.`);
  const task = taskOf(taskId);
  const ids = new Set(plan.rounds.map((r) => r.id));
  let n = plan.rounds.length + 1;
  while (ids.has(`r${n}`)) n += 1;
  const wish = {
    role: 'focus' as const,
    task: taskId,
    step: stepOf(task, stepId).id,
    size: task.together ? 3 : setSizeFor(shop.children),
    sound: plan.sound ?? undefined,
  };
  const request = requestOf(plan, shop, n * 131, wordsOf(plan.rounds.flatMap((r) => r.items.map((i) => i.key))));
  const made =
    makeRound(shop.bank, wish, request, `r${n}`) ??
    makeRound(shop.bank, { ...wish, sound: undefined }, { ...request }, `r${n}`);
  if (!made) throw new Problem(`The word bank has nothing for “${task.name}”.`);
  return { ...plan, rounds: [...plan.rounds, made] };
}
