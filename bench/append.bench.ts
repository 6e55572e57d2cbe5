import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { test } from 'vitest';
import { v7 } from 'uuid';
import type { AnswerEntry } from '../src/core/sessions/log';
import { sure } from '../src/core/sure';
import { answered } from '../src/core/testing/answers';
import { addChildren, addGroup, listGroups } from '../src/server/people/groups';
import { appendLog } from '../src/server/record/append-log';
import { startWords } from '../src/server/sessions/start-session';
import { database } from '../src/server/storage/database';
import { print, rowOf } from './table';

const LOG = 60;
const RUNS = 200;

/** One row through the one writer, committed to disk. */
async function bare(): Promise<void> {
  const { sequelize, write } = await database();
  await write((transaction) =>
    sequelize.query(`INSERT INTO groups (id, name, position, created_at) VALUES ('${v7()}', 'x', 0, 0)`, {
      transaction,
    }),
  );
}

test('an answer appended to a log of 60, beside one row and a sync: the three in turn', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-bench-'));
  process.env.BOUNCY_ECHO_DB = path.join(folder, 'bench.sqlite');
  const group = await addGroup('Radishes');
  await addChildren(group.id, 'Wren\nKofi');
  const child = sure(sure((await listGroups())[0]).children[0]).id;
  const answerOf = (turn: number): AnswerEntry => ({ ...answered(turn, child, 'sun'), id: v7(), at: Date.now() });
  /** A session with so many answers. */
  const sessionOf = async (): Promise<string> => {
    const id = await startWords({ groupId: group.id, task: 'blending', words: ['sun', 'map', 'leg'], model: 'net' });
    await appendLog(
      id,
      Array.from({ length: LOG }, (_, turn) => answerOf(turn)),
    );
    return id;
  };
  const times = { bare: [] as number[], append: [] as number[], whole: [] as number[] };
  const timed = async (into: number[], work: () => Promise<unknown>): Promise<void> => {
    const start = performance.now();
    await work();
    into.push(performance.now() - start);
  };
  let [one, other] = [await sessionOf(), await sessionOf()];
  for (let i = 0; i < RUNS; i += 1) {
    // The log stays about as long as it is said to be.
    if (i % 10 === 9) [one, other] = [await sessionOf(), await sessionOf()];
    const at = LOG + (i % 10);
    await timed(times.bare, bare);
    await timed(times.append, () => appendLog(one, [answerOf(at)], { has: LOG + ((i + 1) % 10) }));
    await timed(times.whole, () => appendLog(other, [answerOf(at)]));
  }
  const [floor, append, whole] = [
    rowOf('one row and a sync, nothing else', times.bare),
    rowOf('an answer appended, the rest known (log of 60)', times.append),
    rowOf('an answer appended, the whole log read back', times.whole),
  ];
  print('An answer to the server’s file', [floor, append, whole]);
  console.log(
    `ratios (p50): appended ${(append.p50 / floor.p50).toFixed(2)} (bar 2.5), ` +
      `read back ${(whole.p50 / floor.p50).toFixed(2)} (bar 4)`,
  );
  await (await database()).close();
  rmSync(folder, { recursive: true, force: true });
}, 300_000);
