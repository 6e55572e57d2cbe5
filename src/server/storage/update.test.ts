import { execFileSync } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { Sequelize } from 'sequelize';
import { afterEach, expect, test, vi } from 'vitest';
import { times } from '../../core/testing/deep';
import { sure } from '../../core/sure';
import { inFreshFiles } from '../testing/fresh-file';
import { oldFile, type OldFile } from '../testing/old-file';
import { openDatabase } from './database';
import { MIGRATION_NAMES } from './migrations';

const folder = inFreshFiles();
afterEach(() => vi.restoreAllMocks());

const NAME = 'data.sqlite';
/** Every so many crash points are tried; all of them in the deep tests. */
const EACH = times(1, 10);

/** The files of a setting as they lie in a folder, copied by another process: our own locks are kept. */
function picture(from: string, to: string): void {
  mkdirSync(to);
  const names = readdirSync(from).filter((name) => name.startsWith(NAME) && !name.includes('-lock'));
  if (names.length) execFileSync('cp', [...names.map((name) => path.join(from, name)), to]);
}

/** Opens a file, and takes a picture of its folder at each statement on the way: what a kill at that moment leaves. */
async function pictures(file: string, into: string): Promise<string[]> {
  const taken: string[] = [];
  const from = path.dirname(file);
  mkdirSync(into);
  const take = (): void => {
    const to = path.join(into, String(taken.length).padStart(3, '0'));
    picture(from, to);
    taken.push(to);
  };
  const query = Sequelize.prototype.query as (this: Sequelize, ...asked: unknown[]) => Promise<unknown>;
  const spy = vi.spyOn(Sequelize.prototype, 'query').mockImplementation(function (this: Sequelize, ...asked) {
    take();
    return query.apply(this, asked) as never;
  });
  const db = await openDatabase(file);
  spy.mockRestore();
  take();
  await db.close();
  return taken;
}

/** What is in a file once it is open: the names of its migrations, and the one answer of it. */
async function inside(file: string): Promise<{ done: string[]; answers: string[]; told: string | null }> {
  const db = await openDatabase(file);
  const names = async (sql: string): Promise<string[]> =>
    ((await db.sequelize.query(sql))[0] as { name: string }[]).map((row) => row.name);
  const done = await names('SELECT name FROM SequelizeMeta ORDER BY name');
  const answers = await names(`SELECT id || ' ' || word || ' ' || step || ' ' || outcome AS name FROM answers`);
  await db.close();
  return { done, answers, told: db.told };
}

// A kill leaves what was written to the disk's cache: a copy of the files is just that (sqlite.org/howtocorrupt).
test.each([
  ['a new file', 0],
  ['of the second version', 2],
  ['of the version before', MIGRATION_NAMES.length - 1],
])(
  '%s, cut off anywhere in its update, opens again with all it had',
  async (what, version) => {
    const home = path.join(folder(), 'home');
    mkdirSync(home);
    const file = path.join(home, NAME);
    const old: OldFile | null = version ? await oldFile(file, version) : null;
    const all = await pictures(file, path.join(folder(), 'pictures'));
    expect(all.length).toBeGreaterThan(version === 2 ? 69 : 3);
    const chosen = all.filter((_, i) => i % EACH === 0 || i === all.length - 1 || all.length < 2 * EACH);
    for (const at of chosen) {
      const { done, answers } = await inside(path.join(at, NAME));
      expect(done, `${what}, ${at}`).toEqual(MIGRATION_NAMES);
      expect(answers, `${what}, ${at}`).toEqual(old ? [`${old.answer} frog 4 not-yet`] : []);
      expect(readdirSync(at), `${what}, ${at}`).toEqual([NAME]);
    }
    console.log(`${what}: ${chosen.length} of ${all.length} moments tried, each whole`);
  },
  600_000,
);

test('the start after one that was cut off says what it did, and the copy is gone', async () => {
  const home = path.join(folder(), 'home');
  mkdirSync(home);
  const file = path.join(home, NAME);
  await oldFile(file, 2);
  const all = await pictures(file, path.join(folder(), 'pictures'));
  const withCopy = all.filter((at) => existsSync(path.join(at, `${NAME}-before-update`)));
  expect(withCopy.length).toBeGreaterThan(40);
  expect((await inside(path.join(sure(withCopy[10]), NAME))).told).toContain('it has all been done now');
  // Cut off after the last statement, before the copy was taken away.
  const late = path.join(sure(all[0]), `${NAME}-before-update`);
  await inside(path.join(sure(all[0]), NAME));
  copyFileSync(path.join(sure(all[0]), NAME), late);
  expect((await inside(path.join(sure(all[0]), NAME))).told).toContain('It was all done');
  expect(existsSync(late)).toBe(false);
  expect((await inside(path.join(sure(all[0]), NAME))).told).toBeNull();
});

test('a file whose update fails is as it was, and the copy is left beside it', async () => {
  const file = path.join(folder(), NAME);
  await oldFile(file, 2);
  const before = readFileSync(file);
  const query = Sequelize.prototype.query as (this: Sequelize, ...asked: unknown[]) => Promise<unknown>;
  const spy = vi.spyOn(Sequelize.prototype, 'query').mockImplementation(function (this: Sequelize, ...asked) {
    if (String(asked[0]).includes('heard_sounds'))
      return Promise.reject(new Error('SQLITE_FULL: disk is full')) as never;
    return query.apply(this, asked) as never;
  });
  await expect(openDatabase(file)).rejects.toThrow('The disk is full');
  spy.mockRestore();
  expect(readFileSync(`${file}-before-update`).length).toBeGreaterThan(10_000);
  // The journal mode is a byte of the header; everything else is as it was.
  expect(readFileSync(file).subarray(100).equals(before.subarray(100))).toBe(true);
  expect((await inside(file)).done).toEqual(MIGRATION_NAMES);
});
