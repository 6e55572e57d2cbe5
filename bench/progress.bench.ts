import { mkdtempSync, rmSync, statSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { test } from 'vitest';
import { v7 } from 'uuid';
import { seeded } from '../src/core/random';
import { groupsFor } from '../src/core/choosing/grouping';
import { LADDERS } from '../src/core/evidence/ladders';
import { randomClass } from '../src/core/testing/random-class';
import { keepAdvice } from '../src/server/children/advised';
import { boardRows } from '../src/server/children/board';
import { childFile } from '../src/server/children/child-file';
import { childPage } from '../src/server/children/child-page';
import { appendLog } from '../src/server/record/append-log';
import { database } from '../src/server/storage/database';
import { caughtUp } from '../src/server/record/rebuild-queue';
import { keepReady } from '../src/server/whole/keep-ready';
import { eraseChild, listGroups, type Group } from '../src/server/people/groups';
import { readySessions } from '../src/server/plans/today';
import { whoWithWhom } from '../src/server/children/who-with-whom';
import { sure } from '../src/core/sure';
import type { AnswerEntry } from '../src/core/sessions/log';
import { print, rowOf, timed, type Row as Measured } from './table';
import { answered } from '../src/core/testing/answers';

const CHILDREN = 300;
const GROUP = 30;
const DAYS = 190;
const ANSWERS = Number(process.env.ANSWERS ?? 1_000_000);
const DAY = 86_400_000;
const OUTCOMES = ['on-own', 'on-own', 'on-own', 'with-help', 'not-yet', 'no-reply'] as const;

type Cell = string | number | null;
type Row = Cell[];

const literal = (cell: Cell): string => {
  if (cell === null) return 'NULL';
  return typeof cell === 'number' ? String(cell) : `'${cell}'`;
};

async function insert(table: string, rows: Row[], transaction: object): Promise<void> {
  const { sequelize } = await database();
  for (let i = 0; i < rows.length; i += 400)
    await sequelize.query(
      `INSERT INTO ${table} VALUES ${rows
        .slice(i, i + 400)
        .map((r) => `(${r.map((v) => literal(v)).join(',')})`)
        .join(',')}`,
      { transaction } as never,
    );
}

interface Made {
  readonly id: string;
  readonly session: string;
  readonly child: string;
  readonly turn: number;
  readonly task: string;
  readonly step: string;
  readonly outcome: string;
  readonly supersedes: string | null;
  /** Milliseconds since 1970. */
  readonly when: number;
}

/** An answer in the order of `ANSWER_COLUMNS`. */
function answerRow({ id, session, child, turn, task, step, outcome, supersedes, when }: Made): Row {
  const slipped = outcome === 'not-yet';
  const said = [outcome, slipped ? 'lost-sound' : null, null, slipped ? '[1]' : '[]', '[]', null];
  const marked = [4000, supersedes, when, when, 0, 0, 'HB', null, null, 0, 0];
  return [id, session, child, turn, 'frog', task, step, 'f r ɒ ɡ', ...said, ...marked];
}

const ANSWER_COLUMNS =
  'id, session_id, child_id, turn, word, task, step, sounds, outcome, slip, said, missed, helps, note, ' +
  'think_ms, supersedes, at, received_at, self_corrected, shown, marked_by, why, partner_id, differs, second';

interface Played {
  readonly id: string;
  readonly group: { readonly id: string; readonly children: readonly string[] };
  readonly task: string;
  readonly step: string;
  readonly at: number;
  readonly rows: Row[];
}

async function keepSession({ id, group, task, step, at, rows }: Played): Promise<void> {
  const { write } = await database();
  const round = { task, step, items: ['frog'], turns: rows.length, model: null, spares: [], way: 'individual' };
  const when = Math.floor(at);
  await write(async (transaction) => {
    await insert(
      'sessions (id, group_id, title, letters, rounds, accent, conventions, started_at, finished_at)',
      [[id, group.id, 'x', 0, JSON.stringify([round]), 'southern-british', '{}', when, when]],
      transaction,
    );
    const here = group.children.map((c, i): Row => [id, c, i]);
    await insert('session_children (session_id, child_id, position)', here, transaction);
    await insert(`answers (${ANSWER_COLUMNS})`, rows, transaction);
  });
}

/** A school year of play in a real file: corrected answers among them. */
async function fill(): Promise<number> {
  const { write } = await database();
  const random = seeded(1);
  const now = Date.now();
  const games = LADDERS.flatMap((l) => l.rungs.slice(0, 4).map((r) => sure(r.steps[0])));
  const id = (at: number): string => v7({ msecs: at, seq: Math.floor(random() * 0x7fffffff) });
  const each = Math.ceil(ANSWERS / (CHILDREN * DAYS));
  let made = 0;
  const groups = Array.from({ length: CHILDREN / GROUP }, (_, g) => ({
    id: id(now - 300 * DAY + g),
    children: Array.from({ length: GROUP }, (_, c) => id(now - 300 * DAY + c)),
  }));
  for (const [g, group] of groups.entries()) {
    await write(async (transaction) => {
      await insert('groups (id, name, position, created_at)', [[group.id, `Group ${g}`, g, 0]], transaction);
      await insert(
        'children (id, group_id, name, position, created_at)',
        group.children.map((c, i) => [c, group.id, `Child ${i}`, i, 0]),
        transaction,
      );
    });
    for (let d = 0; d < DAYS && made < (ANSWERS * (g + 1)) / groups.length; d += 1) {
      const at = now - (DAYS - d) * DAY * 1.4;
      const session = id(at);
      const [task, step] = sure(games[(d + g) % games.length]);
      const rows: Row[] = [];
      const row = (turn: number, child: string, outcome: string, supersedes: string | null): Row => {
        const when = Math.floor(at + turn * 9_000);
        return answerRow({ id: id(when), session, child, turn, task, step, outcome, supersedes, when });
      };
      for (let turn = 0; turn < GROUP * each && made < ANSWERS; turn += 1) {
        const child = sure(group.children[turn % GROUP]);
        const first = row(turn, child, sure(OUTCOMES[Math.floor(random() * OUTCOMES.length)]), null);
        rows.push(first);
        made += 1;
        if (made % 50 === 0) {
          rows.push(row(turn, child, 'on-own', String(first[0])));
          made += 1;
        }
      }
      await keepSession({ id: session, group, task, step, at, rows });
    }
  }
  return made;
}

/** Waits until every session of the file is read: many go on in the background. */
async function allRead(): Promise<void> {
  await caughtUp();
  const { models } = await database();
  while (await models.sessions.count({ where: { stale: 1 } })) await new Promise((resolve) => setTimeout(resolve, 50));
}

const answerOf = (childId: string, turn: number): AnswerEntry => ({
  ...answered(turn, childId, 'frog'),
  id: v7(),
  at: Date.now(),
});

/** What a first Today costs in CPU, milliseconds: nothing is in mind, what was advised is kept in the file. */
async function firstOfDay(known: readonly Group[]): Promise<Measured[]> {
  let groups = known;
  const { remembered } = await database();
  const ids = (group: Group): string[] => group.children.map((c) => c.id);
  const today = async (i: number, now: number): Promise<number> => {
    const group = sure(groups[i % groups.length]);
    remembered.letGo(ids(group));
    const begun = process.cpuUsage();
    await readySessions(group, now);
    await whoWithWhom(group, now);
    const { user, system } = process.cpuUsage(begun);
    return (user + system) / 1000;
  };
  const cpu = async (now: number): Promise<number[]> => {
    const all: number[] = [];
    for (let i = 0; i < 40; i += 1) all.push(await today(i, now));
    return all;
  };
  const anew = await cpu(Date.now());
  await keepReady();
  // Small groups are kept with the list.
  groups = (await listGroups()).filter((g) => g.children.length > 0);
  const restarted = await cpu(Date.now());
  await keepAdvice(groups.flatMap(ids), Date.now() + DAY);
  for (const group of groups) await readySessions(group, Date.now() + DAY);
  const nextDay = await cpu(Date.now() + DAY);
  return [
    rowOf('first Today of a group of 30 (CPU), nothing kept', anew),
    rowOf('first Today after a restart (CPU)', restarted, 60),
    rowOf('first Today of a day (CPU)', nextDay, 60),
  ];
}

/** One child’s file, and one child erased: as it is, and without the indexes by child. */
async function fileOfOne(children: readonly { readonly id: string }[]): Promise<Measured[]> {
  const { sequelize } = await database();
  let at = 0;
  const next = (): string => sure(children[(at += 13) % children.length]).id;
  const both = async (how: string): Promise<Measured[]> => [
    rowOf(`the file of one child${how}`, await timed(5, () => childFile(next()))),
    rowOf(`one child erased${how}`, await timed(5, () => eraseChild(next()))),
  ];
  const indexed = await both('');
  for (const index of ['steps_by_child', 'session_children_by_child', 'readings_of_child'])
    await sequelize.query(`DROP INDEX ${index}`);
  return [...indexed, ...(await both(', without indexes by child'))];
}

test('children: pages, board and groups', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-bench-'));
  process.env.BOUNCY_ECHO_DB = path.join(folder, 'bench.sqlite');
  const made = await fill();
  const start = performance.now();
  await allRead();
  const rebuilt = performance.now() - start;
  // A year's answers came in over a year: the server has been started since, and its journal is empty.
  await (await database()).close();
  delete (globalThis as { bouncyEcho?: unknown }).bouncyEcho;
  const groups = await listGroups();
  const children = groups.flatMap((g) => g.children);
  const { sequelize } = await database();
  const [[session]] = (await sequelize.query(
    'SELECT id FROM sessions ORDER BY started_at DESC LIMIT 1',
  )) as unknown as [[{ id: string }]];
  const last = sure(groups.find((g) => g.children.length));
  let turn = 500;
  const classes = Array.from({ length: 200 }, (_, i) => randomClass(i + 1, GROUP));
  const rows = [
    rowOf('the page of a child', await timed(120, (i) => childPage(sure(children[(i * 7) % children.length]).id)), 50),
    rowOf('the board of 30 children', await timed(40, (i) => boardRows(sure(groups[i % groups.length]))), 150),
    rowOf('Today of a group of 30', await timed(40, (i) => readySessions(sure(groups[i % groups.length]))), 150),
    rowOf(
      'small groups and what is due, 30 children',
      await timed(40, (i) => whoWithWhom(sure(groups[i % groups.length]))),
    ),
    ...(await firstOfDay(groups)),
    rowOf(
      'the board right after an answer was put right',
      await timed(20, async () => {
        const {
          children: [child],
        } = sure(groups.at(-1));
        turn += 1;
        await appendLog(sure(session).id, [answerOf(sure(child).id, turn)]);
        return boardRows(last);
      }),
    ),
  ];
  rows.push(
    rowOf(
      'small groups of 30 children, the arithmetic alone',
      await timed(200, (i) => {
        const { list, ask } = sure(classes[i]);
        return groupsFor(list, ask);
      }),
      50,
    ),
  );
  rows.push(...(await fileOfOne(children)));
  print(
    `Children (${made.toLocaleString('en')} answers of ${children.length} children, ` +
      `${(statSync(process.env.BOUNCY_ECHO_DB).size / 2 ** 20).toFixed(0)} MB; all evidence worked out anew in ` +
      `${(rebuilt / 1000).toFixed(0)} s)`,
    rows,
  );
  await (await database()).close();
  rmSync(folder, { recursive: true, force: true });
}, 900_000);
