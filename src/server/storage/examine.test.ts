import {
  copyFileSync,
  existsSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { expect, test } from 'vitest';
import { seeded } from '../../core/random';
import { sure } from '../../core/sure';
import { times } from '../../core/testing/deep';
import { inFreshFiles } from '../testing/fresh-file';
import { openDatabase, type Database } from './database';
import { plain, withPlain } from '../../file/plain';

const folder = inFreshFiles();
const at = (name: string): string => path.join(folder(), name);

const group = (id: string, size = 1): string =>
  `INSERT INTO groups (id, name, position, created_at) VALUES ('${id}', '${id.repeat(size)}', 0, 0)`;
const write = (db: Database, sql: string): Promise<unknown> =>
  db.write((transaction) => db.sequelize.query(sql, { transaction }));
const names = async (file: string): Promise<string[]> => {
  const db = await openDatabase(file);
  const [rows] = await db.sequelize.query('SELECT id FROM groups ORDER BY id');
  await db.close();
  return (rows as { id: string }[]).map((r) => r.id);
};

/** A file of ours with many pages, closed. */
async function filled(file: string): Promise<void> {
  const db = await openDatabase(file);
  for (let i = 0; i < 60; i += 1) await write(db, group(`bed ${i}`, 300));
  await db.close();
}

/** Copies a running server's files as they are: what a kill leaves. */
function copyRunning(from: string, to: string, ends: readonly string[] = ['', '-wal', '-shm']): void {
  for (const end of ends) if (existsSync(from + end)) copyFileSync(from + end, to + end);
}

// Ways a file is hurt: sqlite.org/howtocorrupt.html. Where the bytes fall comes from the seed.
const HURT: Readonly<Record<string, (file: string, random: () => number) => void>> = {
  'a page overwritten': (file, random) => {
    const bytes = readFileSync(file);
    const page = 4096 * (1 + Math.floor((random() * (bytes.length - 4096)) / 4096));
    bytes.subarray(page, page + 4096).fill(Math.floor(1 + random() * 255));
    writeFileSync(file, bytes);
  },
  'the first page overwritten after its header': (file) => {
    const bytes = readFileSync(file);
    bytes.subarray(100, 4096).fill(0xff);
    writeFileSync(file, bytes);
  },
  'cut in the middle': (file, random) => truncateSync(file, Math.floor(4096 * (3 + random() * 8))),
  'pages that never reached the disk': (file, random) => {
    const bytes = readFileSync(file);
    const from = 4096 * (2 + Math.floor(random() * (bytes.length / 4096 - 5)));
    bytes.fill(0, from, from + 3 * 4096);
    writeFileSync(file, bytes);
  },
  'another program’s file': (file) => writeFileSync(file, 'A letter to the allotment society. '.repeat(900)),
};

test('damaged files: each is told in words before anything is written, and takes nothing', async () => {
  const whole = at('whole.sqlite');
  await filled(whole);
  const random = seeded(35);
  let told = 0;
  for (let round = 0; round < times(20, 2); round += 1) {
    for (const [how, hurt] of Object.entries(HURT)) {
      const file = at(`hurt-${told}.sqlite`);
      copyFileSync(whole, file);
      hurt(file, random);
      const before = readFileSync(file);
      await expect(openDatabase(file), `${how}, ${round}`).rejects.toThrow(/We haven’t touched it/);
      expect(readFileSync(file).equals(before), how).toBe(true);
      expect(readdirSync(folder()).filter((name) => name.startsWith(path.basename(file)))).toEqual([
        path.basename(file),
      ]);
      told += 1;
    }
  }
  expect(told).toBeGreaterThanOrEqual(10);
  expect(await names(whole)).toHaveLength(60);
});

test('a file that turns out to be damaged while it is open takes no more answers', async () => {
  const file = at('data.sqlite');
  await filled(file);
  const db = await openDatabase(file);
  const [row] = await withPlain(file, 'read', (p) =>
    p.all<{ rootpage: number }>(`SELECT rootpage FROM sqlite_schema WHERE name = 'answers'`),
  );
  const bytes = readFileSync(file);
  bytes.fill(0xee, 4096 * (sure(row).rootpage - 1), 4096 * sure(row).rootpage);
  writeFileSync(file, bytes);
  await expect(write(db, `DELETE FROM answers WHERE session_id = 'x' OR note = 'y'`)).rejects.toThrow();
  await expect(write(db, group('after'))).rejects.toThrow('nothing more is written to it');
  await db.close();
});

test('a newer version’s file is refused in words and not touched', async () => {
  const file = at('data.sqlite');
  await filled(file);
  await withPlain(file, 'write', (p) => p.exec(`INSERT INTO SequelizeMeta VALUES ('0999-from-afar')`));
  const before = statSync(file).mtimeMs;
  await expect(openDatabase(file)).rejects.toThrow('last used by a newer Bouncy Echo');
  expect(statSync(file).mtimeMs).toBe(before);
});

test('a database of another program is not made ours', async () => {
  const file = at('plants.sqlite');
  await withPlain(file, 'write', (p) => p.exec('CREATE TABLE plants (name TEXT)'));
  await expect(openDatabase(file)).rejects.toThrow('isn’t a Bouncy Echo database');
  await withPlain(file, 'read', async (p) => {
    expect(await p.all(`SELECT name FROM sqlite_schema`)).toEqual([{ name: 'plants' }]);
  });
});

test('put back beside a newer log: refused in words; with the log moved away it opens as it was', async () => {
  const [file, backup] = [at('data.sqlite'), at('backup.sqlite')];
  await filled(file);
  copyFileSync(file, backup);
  await (await openDatabase(file)).close();
  const db = await openDatabase(file);
  await write(db, group('newer'));
  copyRunning(file, at('killed.sqlite'));
  await db.close();
  // Put back with the files that lay beside it, it is what it was.
  copyRunning(at('killed.sqlite'), at('again.sqlite'));
  expect(await names(at('again.sqlite'))).toContain('newer');
  copyFileSync(`${at('killed.sqlite')}-wal`, `${backup}-wal`);
  const before = readFileSync(backup);
  await expect(openDatabase(backup)).rejects.toThrow('belong to another copy of your data');
  expect(readFileSync(backup).equals(before)).toBe(true);
  rmSync(`${backup}-wal`);
  expect(await names(backup)).toHaveLength(60);
});

test('a file of any earlier moment is told from the log of a later one, and its own log always fits', async () => {
  const file = at('data.sqlite');
  const db = await openDatabase(file);
  const moments: string[] = [];
  for (let i = 0; i < 12; i += 1) {
    await write(db, group(`bed ${i}`, 50));
    const moment = at(`moment-${i}.sqlite`);
    copyRunning(file, moment);
    moments.push(moment);
    // Folded in now and then, with somebody reading at one of the times.
    if (i % 3 === 2) {
      const reader = await plain(file, 'read');
      if (i === 5) await reader.exec('BEGIN; SELECT count(*) FROM groups');
      await db.foldIn();
      await reader.close();
    }
  }
  await db.close();
  for (const [i, moment] of moments.entries()) {
    const later = sure(moments.at(-1));
    if (i < 9) {
      const mixed = at(`mixed-${i}.sqlite`);
      copyFileSync(moment, mixed);
      copyFileSync(`${later}-wal`, `${mixed}-wal`);
      await expect(openDatabase(mixed), `moment ${i}`).rejects.toThrow('belong to another copy');
    }
    copyRunning(moment, at(`own-${i}.sqlite`));
    expect(await names(at(`own-${i}.sqlite`)), `moment ${i}`).toHaveLength(i + 1);
  }
});

test('a log with nothing it could belong to is not thrown away', async () => {
  const file = at('data.sqlite');
  const db = await openDatabase(file);
  await write(db, group('only in the log'));
  copyRunning(file, at('gone.sqlite'), ['-wal']);
  await db.close();
  const before = readFileSync(`${at('gone.sqlite')}-wal`);
  await expect(openDatabase(at('gone.sqlite'))).rejects.toThrow('belong to another copy');
  expect(readFileSync(`${at('gone.sqlite')}-wal`).equals(before)).toBe(true);
});
