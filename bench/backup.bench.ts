import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { randomBytes, randomUUID } from 'node:crypto';
import { expect, test } from 'vitest';
import { newKeys } from '../src/file/keys';
import { withPlain } from '../src/file/plain';
import type { Asked } from '../src/file/asked';
import { openDatabase, type Database } from '../src/server/storage/database';
import { print, rowOf } from './table';

// A setting of many years: 300 MB. Its answers go on coming while it is backed up.

const MB = 1024 * 1024;
const PROGRAM = path.join('.next', 'plain', 'file', 'work.js');

/** Work on a whole file in a process of its own: how long it took, and the most memory it had, in MB. */
async function worked(asked: Asked): Promise<{ readonly ms: number; readonly most: number; readonly said: string }> {
  const begun = performance.now();
  const child = spawn(process.execPath, [PROGRAM], { stdio: ['pipe', 'pipe', 'inherit'] });
  let [said, most] = ['', 0];
  child.stdout.on('data', (piece) => (said += String(piece)));
  const look = setInterval(() => {
    const [, kb = 0] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid ?? 0}/status`, 'utf8')) ?? [];
    most = Math.max(most, Number(kb) / 1024);
  }, 20);
  child.stdin.end(JSON.stringify(asked));
  await new Promise((resolve) => child.on('exit', () => (clearInterval(look), resolve(null))));
  return { ms: performance.now() - begun, most, said };
}

/** Fills a file with 300 MB that cannot be pressed. */
async function fill(db: Database): Promise<void> {
  for (let i = 0; i < 300; i += 1)
    await db.write((transaction) =>
      db.models.journal.bulkCreate(
        Array.from({ length: 10 }, () => ({
          id: randomUUID(),
          at: i,
          what: 'filler',
          done_by: null,
          detail: randomBytes(50_000).toString('hex'),
        })),
        { transaction },
      ),
    );
}

test('300 MB backed up while 50 answers a second are written, in batches of ten', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-backup-'));
  const file = path.join(folder, 'x.sqlite');
  const stick = path.join(folder, 'stick');
  mkdirSync(stick);
  const db = await openDatabase(file);
  await fill(db);
  await db.foldIn();
  const { recipient } = await newKeys();

  const alone: number[] = [];
  for (let i = 0; i < 3; i += 1) {
    const to = path.join(folder, 'copy.sqlite');
    rmSync(to, { force: true });
    const begun = performance.now();
    await withPlain(file, 'write', (plain) => plain.exec(`VACUUM INTO '${to}'`));
    alone.push(performance.now() - begun);
    rmSync(to);
  }

  let [written, done] = [0, false];
  const held: number[] = [];
  const writing = (async () => {
    while (!done) {
      const begun = performance.now();
      await db.write((transaction) =>
        db.models.journal.bulkCreate(
          Array.from({ length: 10 }, () => ({
            id: randomUUID(),
            at: Date.now(),
            what: 'answer',
            done_by: null,
            detail: 'x'.repeat(300),
          })),
          { transaction },
        ),
      );
      written += 10;
      held.push(performance.now() - begun);
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  })();
  const runs = [];
  for (let i = 0; i < 3; i += 1)
    runs.push(await worked({ act: 'back-up', file, folder: stick, recipient, at: Date.now() + i * 60_000 }));
  done = true;
  await writing;
  print(`A backup of ${(statSync(file).size / MB).toFixed(0)} MB`, [
    rowOf('the copy alone (VACUUM INTO)', alone),
    rowOf(
      'the whole backup: copied, checked, sealed, read back',
      runs.map((r) => r.ms),
    ),
    rowOf('a write of ten meanwhile', held, 500),
    rowOf(
      'memory of the process that makes it',
      runs.map((r) => r.most),
      200,
      'MB',
    ),
  ]);
  const middle = [...alone].sort((a, b) => a - b)[1] ?? 1;
  console.log(`ratio of a backup to its copy alone: ${(Math.min(...runs.map((r) => r.ms)) / middle).toFixed(1)}`);
  expect(runs.every((r) => r.said.includes('"made"'))).toBe(true);
  const kept = await db.models.journal.count({ where: { what: 'answer' } });
  console.log(`${written} answers written meanwhile, lost ${written - kept}`);
  expect(kept).toBe(written);
  await db.close();
  rmSync(folder, { recursive: true });
}, 300_000);
