import { mkdirSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { seeded } from '../src/core/random';
import { sure } from '../src/core/sure';
import { answered } from '../src/core/testing/answers';
import { copiesIn, KEPT_COPIES } from '../src/file/folder';
import { newKeys } from '../src/file/keys';
import { boardRows } from '../src/server/children/board';
import { childPage } from '../src/server/children/child-page';
import { addChildren, addGroup, eraseChild, groupOf, listGroups } from '../src/server/people/groups';
import { moveChild } from '../src/server/people/moves';
import { beginYear } from '../src/server/people/new-year';
import { appendLog } from '../src/server/record/append-log';
import { caughtUp } from '../src/server/record/rebuild-queue';
import { startWords } from '../src/server/sessions/start-session';
import { database } from '../src/server/storage/database';
import { backUpNow, keepKey, planBackups } from '../src/server/whole/backups';
import { lookInto, putBack } from '../src/server/whole/restore';
import { print, rowOf, type Row } from './table';

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
const WORDS = ['sun', 'map', 'leg', 'pot', 'fish', 'duck', 'hat', 'log'];
const OUTCOMES = ['on-own', 'on-own', 'with-help', 'not-yet'] as const;

test('a simulated year: 200 children, 190 school days, moves, erasures, backups, a roll-over', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-year-'));
  process.env.BOUNCY_ECHO_DB = path.join(folder, 'year.sqlite');
  const stick = path.join(folder, 'stick');
  mkdirSync(stick);
  const random = seeded(20260901);
  const any = <T>(of: readonly T[]): T => sure(of[Math.floor(random() * of.length)]);
  const groups: string[] = [];
  for (let g = 0; g < GROUPS; g += 1) {
    const { id } = await addGroup(`Bed ${g + 1}`);
    await addChildren(id, Array.from({ length: CHILDREN }, (_, i) => `Child ${g + 1}-${i + 1}`).join(', '));
    groups.push(id);
  }
  const keys = await newKeys();
  await planBackups({ folder: stick, dailyAt: null });
  await keepKey(keys.recipient, 'MB');

  const made = new Map<string, string>();
  const rows: Row[] = [];
  let day = Date.now() - 300 * 86_400_000;
  for (const [m, days] of DAYS.entries()) {
    for (let d = 0; d < days; d += 1, day += 86_400_000) {
      for (const id of groups) {
        const children = (await groupOf(id)).children;
        if (!children.length) continue;
        const words = [any(WORDS), any(WORDS)];
        const session = await startWords({ groupId: id, task: 'blending', words, model: 'net' });
        const entries = children.slice(0, 20).map((child, turn) => ({
          ...answered(turn, child.id, any(words)),
          outcome: any(OUTCOMES),
          id: v7(),
          at: day + turn * 15_000,
        }));
        const { refused } = await appendLog(session, entries);
        expect(refused).toEqual([]);
        for (const e of entries) made.set(e.id, sure(e.childId));
      }
    }
    // A child moves and one leaves for good, as happens.
    await moveChild(sure(any((await groupOf(any(groups))).children)).id, any(groups));
    const gone = any((await groupOf(any(groups))).children).id;
    await eraseChild(gone);
    for (const [id, child] of made) if (child === gone) made.delete(id);
    await caughtUp();
    await backUpNow();
    const times: number[] = [];
    for (let i = 0; i < 20; i += 1) {
      const child = any((await groupOf(any(groups))).children).id;
      const begun = performance.now();
      await childPage(child);
      times.push(performance.now() - begun);
    }
    const begun = performance.now();
    await boardRows(await groupOf(any(groups)));
    console.log(
      `${MONTHS[m] ?? ''}: ${(statSync(process.env.BOUNCY_ECHO_DB).size / 1024 / 1024).toFixed(1)} MB, a board in ` +
        `${(performance.now() - begun).toFixed(0)} ms, ${made.size} answers`,
    );
    rows.push(rowOf(`a child’s page in ${MONTHS[m] ?? ''}`, times));
  }
  print('A simulated year', rows);

  await beginYear({ [sure(groups[0])]: sure(groups[1]), [sure(groups[GROUPS - 1])]: 'leave' });
  const copy = sure(copiesIn(stick)[0]);
  await lookInto(copy.name, keys.words);
  await putBack(copy.name);
  const { models } = await database();
  const kept = (await models.answers.findAll({ attributes: ['id'] })).map((row) => row.get().id);
  const lost = [...made.keys()].filter((id) => !kept.includes(id)).length;
  console.log(`at its end: ${kept.length} answers, lost ${lost}, doubled ${kept.length - new Set(kept).size}`);
  expect(lost).toBe(0);
  expect(new Set(kept).size).toBe(made.size);
  expect(copiesIn(stick).length).toBeLessThanOrEqual(KEPT_COPIES);
  expect((await listGroups()).flatMap((g) => g.children).length).toBe(GROUPS * CHILDREN - DAYS.length);
  await (await database()).close();
  rmSync(folder, { recursive: true });
}, 900_000);
