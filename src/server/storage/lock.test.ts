import { spawn } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import path from 'node:path';
import { once } from 'node:events';
import { expect, test } from 'vitest';
import { inFreshFiles } from '../testing/fresh-file';
import { openDatabase } from './database';
import { lockFile, placeFile, takeLock } from './lock';

const folder = inFreshFiles();

/** Another process that takes the lock of a file as we do, says so, and stays. */
async function otherProcess(file: string): Promise<{ kill: () => Promise<void> }> {
  const script = `
    const sqlite3 = require('sqlite3');
    const db = new sqlite3.Database(process.argv[1]);
    db.exec('BEGIN IMMEDIATE', (error) => {
      require('fs').writeFileSync(process.argv[2], 'http://127.0.0.1:4567');
      console.log(error ? error.message : 'taken');
    });
    setInterval(() => undefined, 1000);`;
  const child = spawn(process.execPath, ['-e', script, lockFile(file), placeFile(file)], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const [said] = (await once(child.stdout, 'data')) as [Buffer];
  expect(String(said).trim()).toBe('taken');
  return {
    kill: async () => {
      child.kill('SIGKILL');
      await once(child, 'exit');
    },
  };
}

test('a second server is told where the first one is; when that is killed, it may', async () => {
  const file = path.join(folder(), 'data.sqlite');
  await (await openDatabase(file)).close();
  const other = await otherProcess(file);
  await expect(openDatabase(file)).rejects.toThrow(
    /already running with the data in .*Use it at http:\/\/127\.0\.0\.1:4567/,
  );
  await other.kill();
  const db = await openDatabase(file);
  expect(db.open).toBe(true);
  await db.close();
  expect(readdirSync(folder()).filter((name) => name.startsWith('data'))).toEqual(['data.sqlite']);
});

test('of many who ask at once one has it, and the next as soon as it is let go', async () => {
  const file = path.join(folder(), 'data.sqlite');
  for (let round = 0; round < 40; round += 1) {
    const all = await Promise.allSettled(Array.from({ length: 8 }, () => takeLock(file, 'http://127.0.0.1:1')));
    const had = all.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []));
    expect(had).toHaveLength(1);
    for (const lock of had) await lock.release();
    expect([lockFile(file), placeFile(file)].filter((left) => existsSync(left))).toEqual([]);
  }
});
