import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { test } from 'vitest';
import { v7 } from 'uuid';
import { GAMES } from '../src/core/games';
import { makeItem } from '../src/core/games/item';
import { COUNTS, facets, FIRSTS, select } from '../src/core/lexicon/select';
import { context, words } from '../src/core/lexicon/testing/bank';
import { appendLog } from '../src/server/append-log';
import { database } from '../src/server/database';
import { addChildren, addGroup, listGroups } from '../src/server/groups';
import { startSession } from '../src/server/start-session';
import { print, rowOf, timed } from './table';

test('the core', async () => {
  const all = words();
  const five = Array.from({ length: 5 }, () => all).flat();
  const pick = (bank: typeof all) => (i: number): void => {
    const filters = { count: COUNTS[i % 4]!, first: i % 3 ? undefined : FIRSTS[i % 2]!, contested: i % 2 === 0 };
    facets(bank, filters);
    select(bank, { ...filters, size: 6 + (i % 5), seed: i });
  };
  const ctx = context();
  print('Core', [
    rowOf(`word set with facet counts, bank of ${all.length}`, await timed(400, pick(all)), 2),
    rowOf(`word set with facet counts, ${five.length} entries`, await timed(200, pick(five)), 2),
    rowOf('item with likely answers and proof, blending', await timed(600, (i) => makeItem(GAMES[0]!, all[i % all.length]!, ctx)), 2),
    rowOf('item with likely answers and proof, segmenting', await timed(600, (i) => makeItem(GAMES[1]!, all[i % all.length]!, ctx)), 2),
  ]);
});

test('tap to disk on the server', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-bench-'));
  process.env.BOUNCY_ECHO_DB = path.join(folder, 'bench.sqlite');
  const group = await addGroup('Bench');
  await addChildren(group.id, Array.from({ length: 30 }, (_, i) => `Child ${i}`).join('\n'));
  const children = (await listGroups())[0]!.children;
  const { sequelize, write } = await database();
  const bare = await timed(200, () => write((transaction) => sequelize.query(`INSERT INTO groups VALUES ('${v7()}', 'x', 0, 0)`, { transaction })));
  const begin = (): Promise<string> => startSession({ groupId: group.id, task: 'blending', sounds: 3, words: ['sun', 'map', 'leg'] });
  let session = await begin();
  const answers = await timed(200, async (i) => {
    if (i % 60 === 0) session = await begin();
    await appendLog(session, [{
      kind: 'answer', id: v7(), at: Date.now(), turn: i, childId: children[i % 30]!.id, word: 'sun', outcome: 'on-own', slip: null, said: null,
      missed: [], helps: [], note: null, thinkMs: 1, supersedes: null,
    }]);
  });
  const [floor, kept] = [rowOf('a bare insert, synced to disk', bare), rowOf('an answer checked, synced to disk, and the whole log read back', answers, 25)];
  print('Tap to disk, server', [floor, kept]);
  console.log(`ratio to a bare insert (p50): ${(kept.p50 / floor.p50).toFixed(1)}`);
  await (await database()).close();
  rmSync(folder, { recursive: true, force: true });
});
