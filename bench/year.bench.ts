import { mkdirSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { seeded } from '../src/core/random';
import { sure } from '../src/core/sure';
import { answered } from '../src/core/testing/answers';
import { backUp } from '../src/file/copy';
import { copiesIn, KEPT_COPIES } from '../src/file/folder';
import { newKeys } from '../src/file/keys';
import { boardRows } from '../src/server/children/board';
import { childPage } from '../src/server/children/child-page';
import { addChildren, addGroup, eraseChild, groupOf, listGroups } from '../src/server/people/groups';
import { eraseDue, saveKeepYears } from '../src/server/people/kept-long-enough';
import { moveChild } from '../src/server/people/moves';
import { beginYear } from '../src/server/people/new-year';
import { appendLog } from '../src/server/record/append-log';
import { caughtUp } from '../src/server/record/rebuild-queue';
import { startWords } from '../src/server/sessions/start-session';
import { database } from '../src/server/storage/database';
import { keepKey, planBackups } from '../src/server/whole/backups';
import { lookInto, putBack } from '../src/server/whole/restore';
import { print, rowOf, tableOf, writePart, type Row } from './table';

// A whole year of a large setting: what the laws of the data are at its end, and how it grows.

const GROUPS = 10;
const CHILDREN = 20;
/** School days by month, from September: 190 in all (common practice in England, no source). */
const DAYS = [20, 17, 21, 15, 19, 15, 19, 13, 18, 21, 12];
const MONTHS = [
  'September',
  'October',
  'November',
  'December',
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
];
/** An adult for each group, by initials. */
const ADULTS = ['MB', 'RK', 'JO', 'TA', 'SE', 'PL', 'DN', 'HW', 'CI', 'VF'];
const DAY = 86_400_000;
const WORDS = ['sun', 'map', 'leg', 'pot', 'fish', 'duck', 'hat', 'log'];
const OUTCOMES = ['on-own', 'on-own', 'with-help', 'not-yet'] as const;

const inMs = ({ p50, p95 }: Row): string => `${p50.toFixed(0)}, ${p95.toFixed(0)}`;

const INTRO = `A seeded year of a large setting (\`bench/year.bench.ts\`; \`BOUNCY_ECHO_DOCS=1\` writes this part):
${GROUPS} groups of ${CHILDREN}, an adult for each, ${DAYS.reduce((a, b) => a + b)} school days, a session a group a
day and a backup at its end; each month a child moves and one is erased. Then a new school year begins, the last backup
is put back, and leavers, who are kept for a year, go.`;

const random = seeded(20260901);
const any = <T>(of: readonly T[]): T => sure(of[Math.floor(random() * of.length)]);
/** The answers that must be there, each with its child. */
const made = new Map<string, string>();

/** A group, its adult and the hour of its session. */
async function play(groupId: string, by: string, at: number): Promise<void> {
  const { children } = await groupOf(groupId);
  if (!children.length) return;
  const words = [any(WORDS), any(WORDS)];
  const session = await startWords({ groupId, task: 'blending', words, model: 'net' });
  const entries = children.slice(0, 20).map((child, turn) => ({
    ...answered(turn, child.id, any(words)),
    outcome: any(OUTCOMES),
    id: v7(),
    at: at + turn * 15_000,
    by,
  }));
  const { refused } = await appendLog(session, entries);
  expect(refused).toEqual([]);
  for (const e of entries) made.set(e.id, sure(e.childId));
}

/** A child moves and one leaves for good, as happens. */
async function comings(groups: readonly string[]): Promise<void> {
  await moveChild(sure(any((await groupOf(any(groups))).children)).id, any(groups));
  const gone = any((await groupOf(any(groups))).children).id;
  await eraseChild(gone);
  for (const [id, child] of made) if (child === gone) made.delete(id);
}

/** So many milliseconds each of these took. */
async function took(runs: readonly (() => Promise<unknown>)[]): Promise<number[]> {
  const times: number[] = [];
  for (const run of runs) {
    const begun = performance.now();
    await run();
    times.push(performance.now() - begun);
  }
  return times;
}

/** Every answer in the file. */
const answersKept = async (): Promise<string[]> =>
  (await (await database()).models.answers.findAll({ attributes: ['id'] })).map((row) => row.get().id);

/** Leavers are kept a year: on their day they go with every answer, and nobody else's does; not a day before. */
async function leaversGo(staying: string): Promise<number> {
  const { models } = await database();
  await saveKeepYears(1);
  const left = (await models.children.findAll()).map((c) => c.get()).filter((c) => c.archived_at !== null);
  const going = new Set(left.map((c) => c.id));
  const stays = [...made].filter(([, child]) => !going.has(child)).map(([id]) => id);
  const day = Date.now() + 3 * 365 * DAY;
  // Somebody plays on that day: where nobody has for two months the clock may be wrong, and nobody goes.
  const session = await startWords({ groupId: staying, task: 'blending', words: ['sun'], model: 'net' });
  await models.sessions.update({ started_at: day }, { where: { id: session } });
  expect(await eraseDue(Date.now() + DAY)).toBe(0);
  expect(await eraseDue(day)).toBe(left.length);
  expect((await answersKept()).sort()).toEqual(stays.sort());
  return left.length;
}

test('a simulated year: 200 children, 190 school days, moves, erasures, backups, a roll-over, leavers', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-year-'));
  process.env.BOUNCY_ECHO_DB = path.join(folder, 'year.sqlite');
  const stick = path.join(folder, 'stick');
  mkdirSync(stick);
  const groups: string[] = [];
  for (let g = 0; g < GROUPS; g += 1) {
    const { id } = await addGroup(`Bed ${g + 1}`);
    await addChildren(id, Array.from({ length: CHILDREN }, (_, i) => `Child ${g + 1}-${i + 1}`).join(', '));
    groups.push(id);
  }
  const keys = await newKeys();
  await planBackups({ folder: stick, dailyAt: null });
  await keepKey(keys.recipient, 'MB');

  const [rows, lines]: [Row[], string[][]] = [[], []];
  let day = Date.now() - 300 * DAY;
  for (const [m, days] of DAYS.entries()) {
    for (let d = 0; d < days; d += 1, day += DAY) {
      for (const [g, id] of groups.entries()) await play(id, sure(ADULTS[g]), day);
      if (d === days - 1) await comings(groups);
      // The last of the day: what came in it is read, and backed up.
      await caughtUp();
      const { file } = await database();
      await backUp({ file, folder: stick, recipient: keys.recipient, at: day });
    }
    const shown = await Promise.all(Array.from({ length: 20 }, async () => any((await groupOf(any(groups))).children)));
    const [month, size] = [sure(MONTHS[m]), statSync(process.env.BOUNCY_ECHO_DB).size / 1024 / 1024];
    const page = rowOf(
      `a child’s page in ${month}`,
      await took(
        shown.map(
          ({ id }) =>
            () =>
              childPage(id),
        ),
      ),
    );
    const boards = await took(groups.map((id) => async () => boardRows(await groupOf(id))));
    const board = rowOf(`a board in ${month}`, boards);
    rows.push(page, board);
    lines.push([month, made.size.toString(), size.toFixed(0), ...[page, board].map(inMs)]);
    console.log(sure(lines.at(-1)).join(' · '));
  }
  print('A simulated year', rows);

  await beginYear({ [sure(groups[0])]: sure(groups[1]), [sure(groups[GROUPS - 1])]: 'leave' });
  const copy = sure(copiesIn(stick)[0]);
  await lookInto(copy.name, keys.words);
  await putBack(copy.name);
  const kept = await answersKept();
  const lost = [...made.keys()].filter((id) => !kept.includes(id)).length;
  const doubled = kept.length - new Set(kept).size;
  expect({ lost, doubled, kept: kept.length }).toEqual({ lost: 0, doubled: 0, kept: made.size });
  expect(copiesIn(stick).length).toBe(KEPT_COPIES);
  expect((await listGroups()).flatMap((g) => g.children).length).toBe(GROUPS * CHILDREN - DAYS.length);

  await beginYear({ [sure(groups[GROUPS - 1])]: 'leave' });
  const left = await leaversGo(sure(groups[1]));
  const head = ['at the end of', 'answers', 'file, MB', 'a child’s page, ms (p50, p95)', 'a board, ms (p50, p95)'];
  const end =
    `At its end ${kept.length} answers, lost ${lost}, doubled ${doubled}; ` +
    `${left} leavers went on their day with theirs, and nobody else’s did.`;
  console.log(end);
  writePart('docs/operating.md', '# A simulated year', `${INTRO}\n\n${tableOf(head, lines)}\n\n${end}`);
  await (await database()).close();
  rmSync(folder, { recursive: true });
}, 900_000);
