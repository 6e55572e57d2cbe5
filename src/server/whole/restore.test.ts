import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { newKeys, type KeyPair } from '../../file/keys';
import { withPlain } from '../../file/plain';
import { appendLog } from '../record/append-log';
import { startWords } from '../sessions/start-session';
import { addChildren, addGroup, eraseChild, groupOf, listGroups } from '../people/groups';
import { database, openDatabase } from '../storage/database';
import { readStart } from '../storage/examine';
import { beforeRestore } from '../storage/update';
import { belongs } from '../storage/wal';
import { inFreshFiles } from '../testing/fresh-file';
import {
  backUpIfDue,
  backUpNow,
  backupNotice,
  backups,
  isDue,
  keepBackups,
  keepKey,
  lastDue,
  planBackups,
} from './backups';
import { epoch } from './epoch';
import { journal } from './journal';
import { afterStart, lookInto, putBack } from './restore';

// Real SQLite files throughout.
const here = inFreshFiles();

/** Backups into a folder of the test, and the key that opens them. */
async function setUp(): Promise<{ keys: KeyPair; folder: string }> {
  const [keys, folder] = [await newKeys(), path.join(here(), 'stick')];
  await planBackups({ folder, dailyAt: '17:05' });
  await keepKey(keys.recipient, 'MB');
  return { keys, folder };
}

/** Everything that lies beside the data, for a name to be looked for in. */
const bytesBeside = (): string =>
  readdirSync(here(), { withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => readFileSync(path.join(here(), entry.name), 'latin1'))
    .join('\n');

const names = async (group: string): Promise<string[]> => (await groupOf(group)).children.map((c) => c.name);

describe('put back while it runs', () => {
  test('what was there is there, what came since is gone; a mark sent again is there once', async () => {
    const { keys } = await setUp();
    const { id } = await addGroup('Marrows');
    await addChildren(id, 'Wren, Idris');
    const [wren] = (await groupOf(id)).children.map((c) => c.id);
    const session = await startWords({ groupId: id, task: 'blending', words: ['sun', 'map'], model: 'net' });
    const copy = await backUpNow();
    expect(copy.counted).toEqual({ children: 2, sessions: 1, answers: 0 });

    const mark = { ...answered(0, sure(wren), 'sun'), id: v7(), at: Date.now() };
    await appendLog(session, [mark]);
    await addChildren(id, 'Ottilie');
    const later = await startWords({ groupId: id, task: 'blending', words: ['leg'], model: 'net' });
    expect(await lookInto(copy.name, keys.words)).toMatchObject({
      children: 2,
      sessions: 1,
      sessionsThatGo: 1,
      childrenThatGo: 1,
    });
    const before = await epoch();
    await putBack(copy.name, 'MB');
    // A computer that fails now opens again: the log that is begun is of the file that was put back.
    const { file: now } = await database();
    expect(belongs(readStart(now), readFileSync(`${now}-wal`))).toBe(true);
    expect(await names(id)).toEqual(['Wren', 'Idris']);
    expect(await epoch()).not.toBe(before);

    // The device that has the mark sends it again, twice.
    for (let i = 0; i < 2; i += 1) expect((await appendLog(session, [mark], { device: true })).total).toBe(1);
    await expect(appendLog(later, [mark], { device: true })).rejects.toThrow(/no session at this address/);
    expect((await journal()).map((line) => [line.what, line.by])).toEqual(
      expect.arrayContaining([
        ['restored', 'MB'],
        ['backups-set-up', 'MB'],
      ]),
    );
    // Backups go on as they were set up on this computer.
    expect((await backups()).ready).toBe(true);
    expect(
      readdirSync(here()).filter((name) => /part|-wal|-shm/.test(name) && !/sqlite-(wal|shm)$/.test(name)),
    ).toEqual([]);
  });

  test('whoever was erased since is erased again: not a byte of them is left beside the data', async () => {
    const { keys, folder } = await setUp();
    const { id } = await addGroup('Marrows');
    await addChildren(id, 'Wren, Xanthippa');
    const gone = sure((await groupOf(id)).children[1]);
    const copy = await backUpNow();
    await eraseChild(gone.id);
    expect(existsSync(path.join(folder, 'bouncy-echo-erased.txt'))).toBe(true);
    await lookInto(copy.name, keys.identity);
    await putBack(copy.name);
    expect(await names(id)).toEqual(['Wren']);
    await (await database()).foldIn();
    expect(bytesBeside()).not.toContain('Xanthippa');
    expect(bytesBeside()).not.toContain(gone.id);
    expect(JSON.stringify(await journal())).not.toContain('Xanthippa');

    // On a new computer the list beside the copies tells.
    rmSync(`${(await database()).file}-erased`);
    await lookInto(copy.name, keys.identity);
    await putBack(copy.name);
    expect(await names(id)).toEqual(['Wren']);
  });

  test('a wrong key, none, one cut short, a byte changed, a newer version: told, nothing changed', async () => {
    const { keys, folder } = await setUp();
    const { id } = await addGroup('Marrows');
    await addChildren(id, 'Wren');
    const copy = await backUpNow();
    const at = path.join(folder, copy.name);
    const whole = readFileSync(at);
    await expect(lookInto(copy.name, (await newKeys()).words)).rejects.toThrow(/key doesn’t open this backup/);
    await expect(lookInto(copy.name, 'by the gate')).rejects.toThrow(/isn’t a key/);
    await expect(lookInto('bouncy-echo-2020-01-01-0000.sqlite.age', keys.words)).rejects.toThrow(/isn’t in the folder/);
    await expect(putBack(copy.name)).rejects.toThrow(/Open the backup/);
    truncateSync(at, whole.length - 5);
    await expect(lookInto(copy.name, keys.words)).rejects.toThrow(/damaged/);
    const flipped = Buffer.from(whole);
    flipped[whole.length - 40] = (flipped[whole.length - 40] ?? 0) ^ 1;
    writeFileSync(at, flipped);
    await expect(lookInto(copy.name, keys.words)).rejects.toThrow(/damaged/);
    const { sequelize } = await database();
    await sequelize.query(`INSERT INTO SequelizeMeta VALUES ('9999-tomorrow')`);
    rmSync(at);
    const newer = await backUpNow();
    await expect(lookInto(newer.name, keys.words)).rejects.toThrow(/newer Bouncy Echo/);
    await sequelize.query(`DELETE FROM SequelizeMeta WHERE name = '9999-tomorrow'`);
    expect(await names(id)).toEqual(['Wren']);
    expect(readdirSync(here()).filter((name) => name.includes('part'))).toEqual([]);
  });

  test('a backup that cannot be opened in its place is taken out again', async () => {
    const { keys } = await setUp();
    const { id } = await addGroup('Marrows');
    await addChildren(id, 'Wren');
    const copy = await backUpNow();
    await addChildren(id, 'Idris');
    await lookInto(copy.name, keys.words);
    // Spoilt between looking and putting back: before it takes its place, and once it has.
    const part = path.join(here(), sure(readdirSync(here()).find((name) => name.includes('-restore-'))));
    writeFileSync(part, 'nothing of the kind');
    await expect(putBack(copy.name)).rejects.toThrow(/damaged/);
    await lookInto(copy.name, keys.words);
    await withPlain(part, 'write', (db) => db.exec(`INSERT INTO SequelizeMeta VALUES ('9999-tomorrow')`));
    await expect(putBack(copy.name)).rejects.toThrow(/newer Bouncy Echo/);
    expect(await names(id)).toEqual(['Wren', 'Idris']);
    await addChildren(id, 'Ottilie');
    expect(await names(id)).toHaveLength(3);
  });

  test('cut off between its two steps, the next start has the file of before', async () => {
    const { id } = await addGroup('Marrows');
    const { file, close } = await database();
    await close();
    copyFileSync(file, beforeRestore(file));
    rmSync(file);
    const again = await openDatabase(file);
    expect((await again.models.groups.findAll()).map((g) => g.get().id)).toContain(id);
    await again.close();
  });
});

describe('who is erased is written down apart', () => {
  test('cut off after the erasing: the next start writes it down; before it: nobody is erased', async () => {
    const { keys } = await setUp();
    const { id } = await addGroup('Marrows');
    await addChildren(id, 'Wren, Idris');
    const [wren, idris] = (await groupOf(id)).children.map((c) => c.id);
    const copy = await backUpNow();
    await eraseChild(sure(wren));
    const list = `${(await database()).file}-erased`;
    writeFileSync(list, readFileSync(list, 'utf8').replace(/^gone .*\n/gm, ''));
    const { goingFrom } = await import('../../file/erased-list');
    goingFrom((await database()).file, [sure(idris)]);
    await afterStart();
    expect(await names(id)).toEqual(['Idris']);
    await lookInto(copy.name, keys.words);
    await putBack(copy.name);
    expect(await names(id)).toEqual(['Idris']);
  });
});

describe('every day', () => {
  const at = (day: number, hour: number, minute = 0): number => new Date(2026, 10, day, hour, minute).getTime();
  test('due after its time where the last one is older; a last one of a clock that was ahead does not count', () => {
    const daily = { daily_at: '17:05' };
    expect(lastDue('17:05', at(20, 17, 4))).toBe(at(19, 17, 5));
    expect(isDue({ ...daily, last_at: at(19, 17, 6) }, at(20, 17, 4))).toBe(false);
    expect(isDue({ ...daily, last_at: at(19, 17, 6) }, at(20, 17, 6))).toBe(true);
    expect(isDue({ ...daily, last_at: at(20, 17, 6) }, at(20, 18))).toBe(false);
    expect(isDue({ ...daily, last_at: at(20, 17, 6) + 400 * 86_400_000 }, at(20, 18))).toBe(true);
    expect(isDue({ daily_at: null, last_at: null }, at(20, 18))).toBe(false);
  });
  test('made when due; a stick that is not there is said on Today, and made up for later', async () => {
    const { folder } = await setUp();
    expect(await backupNotice()).toMatch(/no backup yet/);
    await backUpIfDue();
    expect(await backupNotice()).toBeNull();
    expect((await backups()).copies).toHaveLength(1);
    rmSync(folder, { recursive: true });
    const week = Date.now() + 8 * 86_400_000;
    await backUpIfDue(week);
    expect(await backupNotice(week)).toMatch(/isn’t there. Is the stick plugged in/);
    mkdirSync(folder);
    await backUpIfDue(week);
    expect((await backups()).fault).toBeNull();
    expect(statSync(path.join(folder, sure((await backups()).copies[0]).name)).size).toBeGreaterThan(1_000);
  });
  test('a plan that cannot be is refused in words', async () => {
    await expect(planBackups({ folder: 'stick', dailyAt: null })).rejects.toThrow(/whole path/);
    await expect(planBackups({ folder: '/tmp', dailyAt: '25:00' })).rejects.toThrow(/time of day/);
    await expect(keepKey('age1x', '')).rejects.toThrow(/isn’t a key/);
    await expect(backUpNow()).rejects.toThrow(/make a key/);
    await keepBackups({});
    expect((await listGroups()).length).toBeGreaterThanOrEqual(0);
  });
});
