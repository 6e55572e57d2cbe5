import { readFileSync } from 'node:fs';
import path from 'node:path';
import { format, isWeekend, set, subDays } from 'date-fns';
import { v7 } from 'uuid';
import { z } from 'zod';
import { ageBandSchema, taughtSchema, wordSetSchema } from '../../core/formats/schemas';
import { isTask, stepOf, taskOf } from '../../core/games';
import { makeItem } from '../../core/games/item';
import type { Material } from '../../core/games/material';
import { inCluster } from '../../core/lexicon/difficulty';
import type { Outcome } from '../../core/answers/outcome';
import { NO_OWN_WAY } from '../../core/answers/own-way';
import { ownWaySchema } from '../../core/answers/own-way-schema';
import { readTyped } from '../../core/letters/typed';
import { DEFAULT_ACCENT } from '../../core/phonology/accents';
import { PRESETS } from '../../core/phonology/conventions';
import { seeded, type Random } from '../../core/random';
import { whereIn } from '../../core/answers/spots';
import { pebbleWord, type PebbleWord } from '../../core/games/pebbles';
import type { AnswerEntry, Entry, PebbleMark } from '../../core/sessions/log';
import { replay, type SessionState } from '../../core/sessions/replay';
import { makeRound, planInParts, SHAPES, titleOf } from '../../core/sessions/shapes';
import { setSizeFor } from '../../core/sessions/turns';
import { storedRound, type StoredRound } from '../../core/sessions/stored-round';
import { putLog } from '../record/append-log';
import { lookup } from '../record/fault';
import { rebuildSoon } from '../record/rebuild-queue';
import { preparedBank } from '../words/bank';
import { bankSpellings } from '../words/letters';
import { database } from '../storage/database';
import type {
  ChildRow,
  GroupRow,
  PlanRow,
  PropRow,
  SessionRow,
  TaughtSoundRow,
  TaughtSpellingRow,
  TaughtWordRow,
  WordSetRow,
} from '../storage/models';
import { inTurns, otherTurns } from '../storage/other-turns';
import { replayPlan } from '../record/session-record';
import { givePlants } from '../../core/sessions/plants';
import { ANY_COMPANY, NO_GROUPS } from '../people/rows';
import { saveSettingName } from '../setting/settings';
import { sure } from '../../core/sure';
import { answerAs, type DemoAnswer, PROFILES, type ProfileId } from './profiles';
import { millisecondsInDay } from 'date-fns/constants';

const scenarioSchema = z.object({
  setting: z.string(),
  groups: z.array(
    z.object({
      name: z.string(),
      ageBand: ageBandSchema,
      children: z.array(
        z.object({
          name: z.string(),
          profile: z.enum(Object.keys(PROFILES) as [ProfileId, ...ProfileId[]]),
          awayToday: z.boolean().default(false),
          ownWay: ownWaySchema.partial().default({}),
          // What a pebble check shows: a sound they hear and cannot say, or one they say and do not hear yet.
          slips: z.enum(['speech', 'awareness']).optional(),
        }),
      ),
    }),
  ),
  sets: z.array(wordSetSchema),
  props: z.array(z.string()),
  taught: z.record(z.string(), taughtSchema),
  letters: z.record(
    z.string(),
    z.object({
      /** As somebody would type it in, long ago. */
      taught: z.string(),
      lately: z.array(z.object({ spelling: z.string(), keys: z.string(), daysAgo: z.int().min(0) })),
      words: z.array(z.string()),
    }),
  ),
  plan: z.array(
    z.object({
      schoolDaysAgo: z.int(),
      rounds: z.array(z.object({ task: z.string().refine(isTask), step: z.string() })).min(1),
    }),
  ),
  plans: z.array(
    z.object({
      group: z.string(),
      title: z.string(),
      shape: z.enum(SHAPES),
      task: z.string().refine(isTask),
      step: z.string(),
      count: z.int(),
      sound: z.string().optional(),
      minutes: z.int(),
    }),
  ),
});

/** Carpet time of a day so many school days before `now`. */
function carpetTime(now: number, schoolDaysAgo: number, group: number): number {
  let day = set(now, { hours: 9 + group, minutes: 40 - group * 25, seconds: 0, milliseconds: 0 });
  for (let left = schoolDaysAgo; left > 0;) {
    day = subDays(day, 1);
    if (!isWeekend(day)) left -= 1;
  }
  return day.getTime();
}

interface Ids {
  (at: number): string;
}

/** Ids as a device makes them, but from the seed: the same demo has the same ids. */
const idsFrom =
  (random: Random): Ids =>
  (at) =>
    v7({
      msecs: at,
      seq: Math.floor(random() * 0x7fffffff),
      random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)),
    });

/** A session of the demo, ready to be written. */
interface SeedPlay {
  readonly row: SessionRow;
  readonly childIds: readonly string[];
  readonly log: readonly Entry[];
}

/** All that the demo puts into an empty file. */
interface SeedMade {
  readonly groups: readonly GroupRow[];
  readonly children: readonly ChildRow[];
  readonly sessions: readonly SeedPlay[];
  readonly sets: readonly WordSetRow[];
  readonly props: readonly PropRow[];
  readonly taught: readonly TaughtSoundRow[];
  readonly spellings: readonly TaughtSpellingRow[];
  readonly oddWords: readonly TaughtWordRow[];
  readonly plans: readonly PlanRow[];
}

type Scenario = z.infer<typeof scenarioSchema>;
type ChildIn = Scenario['groups'][number]['children'][number] & { readonly id: string };

/** Works the whole demo out, and writes nothing. */
async function made(scenario: Scenario, now: number, seed: number): Promise<SeedMade> {
  const random = seeded(seed);
  const newId = idsFrom(random);
  const start = now - 24 * millisecondsInDay;
  const groups: GroupRow[] = [];
  const children: ChildRow[] = [];
  const sessions: SeedPlay[] = [];
  for (const [position, { name, ageBand, ...group }] of scenario.groups.entries()) {
    const groupId = newId(start);
    const inIt = group.children.map((child) => ({ ...child, id: newId(start) }));
    groups.push({
      id: groupId,
      name,
      position,
      created_at: start,
      age_band: ageBand,
      ...NO_GROUPS,
      letters: Number(name in scenario.letters),
    });
    children.push(...childRows(groupId, inIt, { start, now }));
    const checked = new Map<string, Set<string>>();
    for (const [number, planned] of scenario.plan.entries()) {
      const at = carpetTime(now, planned.schoolDaysAgo, position);
      sessions.push(await playDemo({ groupId, children: inIt, ...planned, at, number, random, newId, checked }));
    }
  }
  const words = wordRows(scenario, groups, start, newId);
  const inPrint = await lettersRows(scenario, groups, now);
  const plans = await planRows(scenario, groups, start, newId);
  return { groups, children, sessions, ...words, ...inPrint, plans };
}

const childRows = (group: string, children: readonly ChildIn[], at: { start: number; now: number }): ChildRow[] => {
  const plants = givePlants(children.map(() => null));
  return children.map((c, i) => ({
    id: c.id,
    group_id: group,
    name: c.name,
    position: i,
    away_on: c.awayToday ? format(at.now, 'yyyy-MM-dd') : null,
    created_at: at.start,
    own_way: JSON.stringify({ ...NO_OWN_WAY, ...c.ownWay }),
    plant: plants[i] ?? null,
    archived_at: null,
    held_by: null,
    held_at: null,
    own_id: null,
    ...ANY_COMPANY,
  }));
};

/**
 * Fills an empty database with the allotment nursery: two groups and three weeks of sessions before `now`, all of it or
 * nothing. Does nothing where groups are there already. The same seed and time make the same data.
 */
export async function seedDemo(now: number, seed = 2026): Promise<boolean> {
  const { models, write } = await database();
  if (await models.groups.count()) return false;
  const scenario = scenarioSchema.parse(
    JSON.parse(readFileSync(path.join(process.cwd(), 'lexicon', 'demo.json'), 'utf8')),
  );
  const demo = await made(scenario, now, seed);
  const find = await lookup();
  await write(async (transaction) => {
    const all = { transaction };
    await models.groups.bulkCreate([...demo.groups], all);
    await models.children.bulkCreate([...demo.children], all);
    for (const { row, childIds, log } of demo.sessions) {
      await models.sessions.create(row, all);
      await models.sessionChildren.bulkCreate(
        childIds.map((child, position) => ({ session_id: row.id, child_id: child, position })),
        all,
      );
      await putLog(row.id, log, find, transaction);
    }
    await models.wordSets.bulkCreate([...demo.sets], all);
    await models.props.bulkCreate([...demo.props], all);
    await models.taughtSounds.bulkCreate([...demo.taught], all);
    await models.taughtSpellings.bulkCreate([...demo.spellings], all);
    await models.taughtWords.bulkCreate([...demo.oddWords], all);
    await models.plans.bulkCreate([...demo.plans], all);
  });
  await saveSettingName(scenario.setting);
  for (const { row } of demo.sessions) await rebuildSoon(row.id);
  return true;
}

/** Saved sets, things on the shelf, and the sounds each group has been taught. */
const wordRows = (
  { sets, props, taught }: Scenario,
  groups: readonly GroupRow[],
  at: number,
  newId: Ids,
): Pick<SeedMade, 'sets' | 'props' | 'taught'> => ({
  sets: sets.map(({ name, words }, i) => ({
    id: newId(at + i),
    name,
    words: JSON.stringify(words),
    created_at: at + i,
    updated_at: at + i,
  })),
  props: props.map((word) => ({ word, owned_at: at })),
  taught: groups.flatMap(({ id, name }) => (taught[name] ?? []).map((sound) => ({ group_id: id, sound }))),
});

/** The spellings and the words with an odd part that each group was taught. */
async function lettersRows(
  { letters }: Scenario,
  groups: readonly GroupRow[],
  now: number,
): Promise<Pick<SeedMade, 'spellings' | 'oddWords'>> {
  const bank = await preparedBank(DEFAULT_ACCENT, PRESETS.default);
  const known = { accent: DEFAULT_ACCENT, spellings: bankSpellings(bank), byName: bank.byName };
  const spellings: TaughtSpellingRow[] = [];
  const oddWords: TaughtWordRow[] = [];
  for (const { id, name } of groups) {
    const { taught = '', lately = [], words = [] } = letters[name] ?? {};
    const before = readTyped(taught, known).read.map(({ spelling, keys }) => ({
      spelling,
      sound: keys,
      taught_on: null,
    }));
    const after = lately.map(({ spelling, keys, daysAgo }) => ({
      spelling,
      sound: keys,
      taught_on: format(subDays(now, daysAgo), 'yyyy-MM-dd'),
    }));
    spellings.push(...[...before, ...after].map((row, place) => ({ group_id: id, ...row, place })));
    oddWords.push(...words.map((word) => ({ group_id: id, word })));
  }
  return { spellings, oddWords };
}

/** Plans kept for later, for each group. */
async function planRows({ plans }: Scenario, groups: readonly GroupRow[], at: number, newId: Ids): Promise<PlanRow[]> {
  const material = await preparedBank(DEFAULT_ACCENT, PRESETS.default);
  const idOf = new Map(groups.map((g) => [g.name, g.id]));
  const rows: PlanRow[] = [];
  for (const [i, { group, title, ...wish }] of plans.entries()) {
    const paceOf = (task: string): number => taskOf(task).secondsPerTurn;
    const plan = await inTurns(planInParts(material, { ...wish, children: 5, seed: i + 1, paceOf }));
    rows.push({
      id: newId(at + i),
      group_id: sure(idOf.get(group)),
      title,
      body: JSON.stringify({ ...plan, title }),
      kept: 1,
      planned_for: null,
      created_at: at + i,
      updated_at: at + i,
    });
  }
  return rows;
}

/** The session with two adults, by its place in the plan. */
const SECOND_EARS = 12;
const OTHERWISE: Readonly<Record<Outcome, Outcome>> = {
  'on-own': 'with-help',
  'with-help': 'on-own',
  'not-yet': 'with-help',
  'no-reply': 'not-yet',
  'does-not-count': 'not-yet',
};

interface DemoSession {
  readonly groupId: string;
  readonly children: readonly {
    readonly id: string;
    readonly profile: ProfileId;
    readonly slips?: 'speech' | 'awareness' | undefined;
  }[];
  /** Words checked with pebbles so far, by child and place. */
  readonly checked: Map<string, Set<string>>;
  readonly rounds: readonly { readonly task: string; readonly step: string }[];
  readonly at: number;
  readonly number: number;
  readonly random: Random;
  readonly newId: Ids;
}

/** The session itself, without an answer yet. */
function sessionRow(
  { groupId, rounds: wished, at }: DemoSession,
  id: string,
  rounds: readonly StoredRound[],
  material: Material,
): SessionRow {
  const { task, step } = sure(wished[0]);
  return {
    id,
    group_id: groupId,
    title: titleOf({ shape: 'focus', task, step, count: 3, sound: undefined }, material),
    letters: 0,
    rounds: JSON.stringify(rounds),
    accent: DEFAULT_ACCENT,
    conventions: JSON.stringify(PRESETS.default),
    started_at: at,
    finished_at: null,
    stale: 0,
    paper: null,
  };
}

type Stamp = (seconds: number) => { id: string; at: number };

/** The entries of one turn: the mark, what is added to it, and what a second pair of ears heard. */
function turnOf(
  { number, random }: DemoSession,
  marked: Omit<AnswerEntry, 'id' | 'at'>,
  after: DemoAnswer['after'],
  stamp: Stamp,
): Entry[] {
  const first: AnswerEntry = { ...marked, ...stamp(sure(marked.thinkMs) / 1000 + 6) };
  const out: Entry[] = [first];
  if (after) out.push({ ...first, ...after, supersedes: first.id, why: 'detail', ...stamp(1) });
  // In one session of each group a colleague listens along, and hears it otherwise now and then.
  if (number === SECOND_EARS) {
    const outcome = random() < 0.85 ? first.outcome : OTHERWISE[first.outcome];
    const nothing = { slip: null, missed: [], helps: [], said: null };
    out.push({ ...first, ...nothing, outcome, second: true, by: 'KM', ...stamp(1) });
  }
  return out;
}

type SeedChild = DemoSession['children'][number];

/** Of so many turns, one has a note. */
const NOTED = 29;

const NOTES: Record<Outcome, readonly string[]> = {
  'on-own': ['Whispered it to the scarecrow first.', 'So pleased with this one!'],
  'with-help': ['Needed to hear it twice today.', 'Watched my face closely.'],
  'not-yet': ['It was loud by the door.', 'Still a bit sleepy.'],
  'no-reply': ['Very quiet this morning.', 'Was looking at the robin.'],
  'does-not-count': ['The watering can fell over.'],
};

/** What is jotted down beside an answer: now and then, never by chance, so that the answers stay as they are. */
function seedNote(outcome: Outcome, session: number, turn: number): string | null {
  const at = session * 5 + turn;
  const kinds = NOTES[outcome];
  return at % NOTED === 4 ? (kinds[session % kinds.length] ?? null) : null;
}

/** What was heard, as a mark notes it. */
const seedHeard = (likely: DemoAnswer['likely']): Pick<AnswerEntry, 'slip' | 'said' | 'missed'> =>
  likely
    ? { slip: likely.slip, said: likely.said || null, missed: likely.missed }
    : { slip: null, said: null, missed: [] };

/** Words of one place that are checked with a child before it is settled. */
const CHECKED = { speech: 1, awareness: 3 } as const;

/** The pebble check after a slip, as the adult plays it with this child; none where it is settled. */
function pebblesOf(
  child: SeedChild | undefined,
  checked: DemoSession['checked'],
  word: PebbleWord | null,
): PebbleMark[] {
  if (!child?.slips || !word) return [];
  const place = `${child.id} ${child.slips === 'speech' ? word.key : whereIn(word.key)}`;
  const before = checked.get(place) ?? new Set();
  if (before.size >= CHECKED[child.slips] || before.has(word.word)) return [];
  checked.set(place, before.add(word.word));
  const says = child.slips === 'speech' ? 'slip' : 'word';
  return [{ key: word.key, word: word.word, says, pebbles: child.slips === 'speech', told: null }];
}

/** What a child does with the item of a turn, as the adult marks it. */
function marksAs(
  child: SeedChild | undefined,
  round: Pick<StoredRound, 'task' | 'step'>,
  { word: key, turn }: Pick<SessionState, 'word' | 'turn'>,
  {
    material,
    random,
    checked,
    number,
  }: Pick<DemoSession, 'random' | 'checked' | 'number'> & { readonly material: Material },
): { marked: Omit<AnswerEntry, 'id' | 'at'>; after: DemoAnswer['after'] } {
  const task = taskOf(round.task);
  const item = makeItem(task, stepOf(task, round.step), key, material);
  const word = material.byName.get(item.word);
  const cluster = word?.sounds.some((_, spot) => inCluster(word, spot)) ?? false;
  const { likely, after, ...answer } = answerAs(child?.profile ?? 'steady', cluster, item.likely, random);
  const slipped = word && likely ? pebbleWord(word, likely.missed[0] ?? -1, material) : null;
  const pebbles = pebblesOf(child, checked, slipped);
  const marked = {
    kind: 'answer' as const,
    turn,
    childId: child?.id ?? null,
    word: item.key,
    ...answer,
    ...seedHeard(likely),
    note: seedNote(answer.outcome, number, turn),
    supersedes: null,
    by: 'HB',
    ...(pebbles.length ? { pebbles } : {}),
  };
  return { marked, after };
}

/** Plays a session from its first word to its last, each child as their profile does. */
async function playDemo(session: DemoSession): Promise<SeedPlay> {
  const { children, rounds: wished, at, number, random, newId } = session;
  const material = await preparedBank(DEFAULT_ACCENT, PRESETS.default);
  // Now and then somebody is away.
  const here = children.filter(() => random() > 0.08);
  const size = setSizeFor(here.length);
  const rounds: StoredRound[] = [];
  for (const [i, { task, step }] of wished.entries()) {
    await otherTurns();
    const made = makeRound(material, { role: 'focus', task, step, size }, { seed: number * 31 + i }, 'r');
    if (made) rounds.push(storedRound(made, here.length));
  }
  const id = newId(at);
  const childIds = here.map((c) => c.id);
  const plan = replayPlan({ rounds, childIds });
  const log: Entry[] = [];
  let clock = at;
  const stamp: Stamp = (seconds) => {
    clock += seconds * 1000;
    return { id: newId(clock), at: clock };
  };
  for (const [i, round] of rounds.entries()) {
    if (i) log.push({ kind: 'round', round: i, ...stamp(10) });
    log.push({ kind: 'modelled', round: i, ...stamp(30) });
    // Four times round, so that each child meets four words.
    const settled = Math.max(0, 4 * here.length - round.turns);
    if (settled) log.push({ kind: 'more', round: i, turns: settled, ...stamp(1) });
    for (let state = replay(plan, log); state.phase === 'turn'; state = replay(plan, log)) {
      await otherTurns();
      const child = here.find((c) => c.id === state.childId);
      const { marked, after } = marksAs(child, round, state, { ...session, material });
      log.push(...turnOf(session, marked, after, stamp));
    }
  }
  log.push({ kind: 'finish', ...stamp(5) });
  return { row: sessionRow(session, id, rounds, material), childIds, log };
}
