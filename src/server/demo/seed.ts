import { readFileSync } from 'node:fs';
import path from 'node:path';
import { format, set } from 'date-fns';
import { v7 } from 'uuid';
import { z } from 'zod';
import { taughtSchema, wordSetSchema } from '../../core/formats/schemas';
import { gameOf, TASKS } from '../../core/games';
import { makeItem } from '../../core/games/item';
import { inCluster } from '../../core/lexicon/difficulty';
import { COUNTS } from '../../core/lexicon/find';
import { select } from '../../core/lexicon/select';
import { DEFAULT_ACCENT } from '../../core/phonology/accents';
import { PRESETS } from '../../core/phonology/conventions';
import { seeded, type Random } from '../../core/random';
import type { Entry } from '../../core/sessions/log';
import { replay } from '../../core/sessions/replay';
import { setSizeFor, turnsFor } from '../../core/sessions/turns';
import { appendLog } from '../append-log';
import { preparedBank } from '../bank';
import { database } from '../database';
import { answerAs, PROFILES, type ProfileId } from './profiles';

const scenarioSchema = z.object({
  groups: z.array(z.object({
    name: z.string(),
    children: z.array(z.object({
      name: z.string(), profile: z.enum(Object.keys(PROFILES) as [ProfileId, ...ProfileId[]]), awayToday: z.boolean().default(false),
    })),
  })),
  sets: z.array(wordSetSchema),
  props: z.array(z.string()),
  taught: z.record(z.string(), taughtSchema),
  plan: z.array(z.object({ daysAgo: z.int(), task: z.enum(TASKS), sounds: z.union(COUNTS.map((n) => z.literal(n))) })),
});

const DAY_MS = 86_400_000;

/** Carpet time of a day so many days before `now`; a weekend's session is played on the Friday before. */
function carpetTime(now: number, daysAgo: number, group: number): number {
  const day = set(now - daysAgo * DAY_MS, { hours: 9 + group, minutes: 40 - group * 25, seconds: 0, milliseconds: 0 });
  const weekend = { 6: 1, 0: 2 }[day.getDay()] ?? 0;
  return day.getTime() - weekend * DAY_MS + weekend * 2_400_000;
}

interface Ids { (at: number): string }

/** Ids as a device makes them, but from the seed: the same demo has the same ids. */
const idsFrom = (random: Random): Ids => (at) =>
  v7({ msecs: at, seq: Math.floor(random() * 0x7fffffff), random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)) });

/**
 * Fills an empty database with the allotment nursery: two groups and three weeks of sessions before `now`.
 * Does nothing where groups are there already. The same seed and time make the same data.
 */
export async function seedDemo(now: number, seed = 2026): Promise<boolean> {
  const { models, write } = await database();
  if (await models.groups.count()) return false;
  const scenario = scenarioSchema.parse(JSON.parse(readFileSync(path.join(process.cwd(), 'lexicon', 'demo.json'), 'utf8')));
  const random = seeded(seed);
  const newId = idsFrom(random);
  const start = now - 21 * DAY_MS;
  for (const [position, group] of scenario.groups.entries()) {
    const groupId = newId(start);
    const children = group.children.map((child) => ({ ...child, id: newId(start) }));
    await write(async (transaction) => {
      await models.groups.create({ id: groupId, name: group.name, position, created_at: start }, { transaction });
      await models.children.bulkCreate(children.map((c, i) => ({
        id: c.id, group_id: groupId, name: c.name, position: i, away_on: c.awayToday ? format(now, 'yyyy-MM-dd') : null, created_at: start,
      })), { transaction });
    });
    for (const [number, planned] of scenario.plan.entries()) {
      const at = carpetTime(now, planned.daysAgo, position);
      await playDemo({ groupId, children, ...planned, at, number, random, newId });
    }
  }
  await seedWords(scenario, start, newId);
  return true;
}

/** Saved sets, things on the shelf, and the sounds each group has been taught. */
async function seedWords({ sets, props, taught }: z.infer<typeof scenarioSchema>, at: number, newId: Ids): Promise<void> {
  const { models, write } = await database();
  await write(async (transaction) => {
    await models.wordSets.bulkCreate(sets.map(({ name, words }, i) => ({ id: newId(at + i), name, words: JSON.stringify(words), created_at: at + i, updated_at: at + i })), { transaction });
    await models.props.bulkCreate(props.map((word) => ({ word, owned_at: at })), { transaction });
    for (const group of await models.groups.findAll({ transaction })) {
      const { id, name } = group.get();
      await models.taughtSounds.bulkCreate((taught[name] ?? []).map((sound) => ({ group_id: id, sound })), { transaction });
    }
  });
}

interface DemoSession {
  readonly groupId: string;
  readonly children: readonly { readonly id: string; readonly profile: ProfileId }[];
  readonly task: (typeof TASKS)[number];
  readonly sounds: (typeof COUNTS)[number];
  readonly at: number;
  readonly number: number;
  readonly random: Random;
  readonly newId: Ids;
}

async function playDemo({ groupId, children, task, sounds, at, number, random, newId }: DemoSession): Promise<void> {
  const { models, write } = await database();
  const { index, byName, context } = await preparedBank(DEFAULT_ACCENT, PRESETS.default);
  // Now and then somebody is away.
  const here = children.filter(() => random() > 0.08);
  const { words, model, spares } = select(index, { count: sounds, contested: false, size: setSizeFor(here.length), seed: number * 31 + sounds });
  const names = words.map((w) => w.word);
  const id = newId(at);
  const turns = turnsFor(names.length, here.length);
  await write(async (transaction) => {
    await models.sessions.create({
      id, group_id: groupId, task, sounds, accent: DEFAULT_ACCENT, conventions: JSON.stringify(PRESETS.default), words: JSON.stringify(names),
      model: model?.word ?? null, spares: JSON.stringify(spares.map((w) => w.word)), turns, started_at: at, finished_at: null,
    }, { transaction });
    await models.sessionChildren.bulkCreate(here.map((c, position) => ({ session_id: id, child_id: c.id, position })), { transaction });
  });

  const plan = { words: names, children: here.map((c) => c.id), turns };
  const log: Entry[] = [{ kind: 'modelled', id: newId(at + 30_000), at: at + 30_000 }];
  let clock = at + 30_000;
  for (let state = replay(plan, log); state.phase === 'turn'; state = replay(plan, log)) {
    const child = here.find((c) => c.id === state.childId)!;
    const word = byName.get(state.word)!;
    const item = makeItem(gameOf(task), word, context);
    const cluster = word.sounds.some((_, i) => inCluster(word, i));
    const { outcome, likely, helps, thinkMs } = answerAs(child.profile, cluster, item.likely, random);
    clock += thinkMs + 6_000;
    log.push({
      kind: 'answer', id: newId(clock), at: clock, turn: state.turn, childId: child.id, word: word.word, outcome,
      slip: likely?.slip ?? null, said: likely?.said ?? null, missed: likely?.missed ?? [], helps, note: null, thinkMs, supersedes: null,
    });
  }
  log.push({ kind: 'finish', id: newId(clock + 5_000), at: clock + 5_000 });
  await appendLog(id, log);
}
