import { readdirSync } from 'node:fs';
import { QueryTypes, type Transaction } from 'sequelize';
import { expect, test } from 'vitest';
import { database } from './database';
import { inFreshFiles } from '../testing/fresh-file';

const folder = inFreshFiles();

const group = (id: string) => `INSERT INTO groups (id, name, position, created_at) VALUES ('${id}', '${id}', 0, 0)`;
const ask = async <T>(sql: string, transaction?: Transaction): Promise<T> =>
  (
    await (await database()).sequelize.query(sql, { type: QueryTypes.SELECT, transaction: transaction ?? null })
  )[0] as T;
const groups = async (): Promise<number> => (await ask<{ n: number }>('SELECT count(*) AS n FROM groups')).n;

// What each setting means: the SQLite documentation, "PRAGMA Statements".
test(
  'every transaction, the first and those on its connection, is synced in full, checks foreign keys and wipes ' +
    'what it deletes',
  async () => {
    const { write } = await database();
    for (let i = 0; i < 3; i += 1) {
      await write(async (transaction) => {
        expect(await ask('PRAGMA synchronous', transaction)).toEqual({ synchronous: 2 });
        expect(await ask('PRAGMA foreign_keys', transaction)).toEqual({ foreign_keys: 1 });
        expect(await ask('PRAGMA secure_delete', transaction)).toEqual({ secure_delete: 1 });
        expect(await ask('PRAGMA journal_mode', transaction)).toEqual({ journal_mode: 'wal' });
      });
    }
  },
);

test('a write that fails leaves nothing, and the next one is whole', async () => {
  const { write, sequelize } = await database();
  const before = await groups();
  for (let i = 0; i < 5; i += 1) {
    await expect(
      write(async (transaction) => {
        await sequelize.query(group(`lost ${i}`), { transaction });
        throw new Error('half way');
      }),
    ).rejects.toThrow('half way');
    await write((transaction) => sequelize.query(group(`kept ${i}`), { transaction }));
  }
  expect(await groups()).toBe(before + 5);
});

test('a write that breaks a rule of the file is taken back, and the next one is whole', async () => {
  const { write, sequelize } = await database();
  const before = await groups();
  await expect(
    write(async (transaction) => {
      await sequelize.query(group('twice'), { transaction });
      await sequelize.query(group('twice'), { transaction });
    }),
  ).rejects.toThrow();
  await write((transaction) => sequelize.query(group('once'), { transaction }));
  expect(await groups()).toBe(before + 1);
});

test('writes asked for at once come one after the other; none meets a busy file', async () => {
  const { write, sequelize } = await database();
  const order: number[] = [];
  await Promise.all(
    Array.from({ length: 50 }, (_, i) =>
      write(async (transaction) => {
        order.push(i);
        await sequelize.query(group(`g ${i}`), { transaction });
        order.push(i);
      }),
    ),
  );
  expect(order).toEqual(Array.from({ length: 100 }, (_, i) => Math.floor(i / 2)));
});

test('what is being written is not seen before it is kept', async () => {
  const { write, sequelize } = await database();
  const before = await groups();
  await write(async (transaction) => {
    await sequelize.query(group('half'), { transaction });
    expect(await groups()).toBe(before);
  });
  expect(await groups()).toBe(before + 1);
});

test('closed, the file stands alone: no journal is left beside it', async () => {
  const { write, sequelize, close } = await database();
  await write((transaction) => sequelize.query(group('last'), { transaction }));
  await close();
  expect(readdirSync(folder())).toEqual(['test.sqlite']);
});
