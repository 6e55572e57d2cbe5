import { describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { logBodySchema } from '../../core/formats/schemas';
import { sortKey, type AnswerEntry, type Entry } from '../../core/sessions/log';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { answersThat } from '../answers/answers';
import { addChildren, addGroup, eraseChild, eraseGroup, listGroups } from '../people/groups';
import { exportOf, lookBack } from '../sessions/look-back';
import { startWords } from '../sessions/start-session';
import { database } from '../storage/database';
import { rows } from '../storage/rows';
import { inFreshFiles } from '../testing/fresh-file';
import { appendLog } from './append-log';
import { sessionLog } from './session-record';

inFreshFiles();

const DAY = 86_400_000;
const YEAR = 365 * DAY;

async function begun() {
  const group = await addGroup('Radishes');
  await addChildren(group.id, 'Wren\nKofi');
  const children = sure((await listGroups()).find((g) => g.id === group.id)).children.map((c) => c.id);
  const words = ['sun', 'map', 'leg'];
  const id = await startWords({ groupId: group.id, task: 'blending', words, model: 'net' });
  return { id, groupId: group.id, children, wren: sure(children[0]), kofi: sure(children[1]) };
}
const mark = (turn: number, child: string, at = Date.now(), more: Partial<AnswerEntry> = {}): AnswerEntry => ({
  ...answered(turn, child, 'sun'),
  id: v7({ msecs: at }),
  at,
  ...more,
});
const device = { device: true } as const;

describe('a clock that is wrong', () => {
  test('far ahead, it is put back to now with the time between marks kept; what it said is kept apart', async () => {
    const { id, wren } = await begun();
    const ahead = Date.now() + 3 * YEAR;
    const [one, two] = [mark(0, wren, ahead), mark(1, wren, ahead + 20_000)];
    const before = Date.now();
    const { log } = await appendLog(id, [one, two], { ...device, has: 0 });
    const [first, second] = log.map((e) => e.at);
    expect(sure(second)).toBeGreaterThanOrEqual(before);
    expect(sure(second)).toBeLessThanOrEqual(Date.now());
    const kept = await rows<{ device: number }>('SELECT device_at AS device FROM answers ORDER BY turn');
    expect(kept.map((r) => r.device)).toEqual([ahead, ahead + 20_000]);
    // Never before the session began: what was kept between is what there was room for.
    expect(sure(first)).toBeLessThanOrEqual(sure(second));
    expect((await answersThat({ sessions: [id] })).every((a) => a.askedAt <= Date.now())).toBe(true);
  });
  test('a few minutes ahead are left as they are', async () => {
    const { id, wren } = await begun();
    const at = Date.now() + 4 * 60_000;
    expect((await appendLog(id, [mark(0, wren, at)], device)).log).toMatchObject([{ at }]);
  });
  test('a mark of a right clock stands after one of a clock that was years ahead', async () => {
    const { id, wren } = await begun();
    await appendLog(id, [mark(0, wren, Date.now() + 3 * YEAR, { outcome: 'not-yet' })], device);
    await new Promise((resolve) => setTimeout(resolve, 5));
    await appendLog(id, [mark(0, wren, Date.now() + 1, { outcome: 'on-own' })], device);
    const log = await sessionLog(id);
    expect([...log].sort((a, b) => (sortKey(a) < sortKey(b) ? -1 : 1))).toEqual(log);
    expect((await answersThat({ sessions: [id] })).map((a) => a.outcome)).toEqual(['on-own']);
  });
  test('a time that no calendar has does not come in, and an older file with one opens and is exported', async () => {
    const { id, wren } = await begun();
    const beyond = 8.64e15 + 1;
    expect(logBodySchema.safeParse({ entries: [mark(0, wren, 1, { at: beyond })] }).success).toBe(false);
    await appendLog(id, [mark(0, wren)], device);
    const db = await database();
    // As an earlier version kept it, brought up to date by the migration that puts clocks right.
    await db.sequelize.query(`UPDATE answers SET at = ${beyond}`);
    for (const table of ['answers', 'steps']) await db.sequelize.query(`ALTER TABLE ${table} DROP COLUMN device_at`);
    await db.sequelize.query(`DELETE FROM SequelizeMeta WHERE name = '0015-clocks'`);
    await db.close();
    delete (globalThis as { bouncyEcho?: unknown }).bouncyEcho;
    expect(exportOf(await lookBack(id)).answers).toHaveLength(1);
    expect(sure((await answersThat({ sessions: [id] }))[0]).askedAt).toBeLessThan(Date.now() + 1);
    expect(await rows('SELECT device_at FROM answers')).toEqual([{ device_at: beyond }]);
  });
});

describe('ids', () => {
  test('one in capitals is the same id', async () => {
    const { id, wren } = await begun();
    const entry = mark(0, wren);
    const read = (e: Entry) => logBodySchema.parse({ entries: [e] }).entries;
    await appendLog(id, read(entry), device);
    const { total, refused } = await appendLog(id, read({ ...entry, id: entry.id.toUpperCase() }), device);
    expect([total, refused]).toEqual([1, []]);
  });
  test('one of another session is refused by itself, and holds no other up', async () => {
    const [one, two] = [await begun(), await begun()];
    const theirs = mark(0, one.wren);
    await appendLog(one.id, [theirs], device);
    const { total, refused } = await appendLog(two.id, [{ ...theirs, childId: two.wren }, mark(1, two.kofi)], device);
    expect(total).toBe(1);
    expect(refused).toEqual([{ id: theirs.id, why: 'That mark belongs to another session.' }]);
    expect(await appendLog(one.id, [], device)).toMatchObject({ total: 1, log: [{ childId: one.wren }] });
  });
});

describe('who is erased', () => {
  test('a mark that was waiting is to leave the device; of one who only asked, the answer stays', async () => {
    const { id, wren, kofi } = await begun();
    await eraseChild(kofi);
    const [waited, asked] = [
      mark(0, kofi, Date.now(), { note: 'Kofi whispered.' }),
      mark(1, wren, Date.now(), { partnerId: kofi }),
    ];
    const { refused, log } = await appendLog(id, [waited, asked], device);
    expect(refused).toEqual([{ id: waited.id, why: expect.stringContaining('erased') as string, erased: true }]);
    expect(log).toMatchObject([{ id: asked.id, childId: wren }]);
    expect(log[0]).not.toHaveProperty('partnerId');
  });
  test('a session that went with its group is gone, not unknown', async () => {
    const { id, groupId, wren } = await begun();
    await eraseGroup(groupId);
    await expect(appendLog(id, [mark(0, wren)], device)).rejects.toMatchObject({ status: 410 });
    await expect(appendLog(v7(), [], device)).rejects.toMatchObject({ status: 404 });
  });
});

describe('after the end', () => {
  async function ended(ago: number) {
    const one = await begun();
    await appendLog(one.id, [{ kind: 'finish', id: v7(), at: Date.now() }], device);
    const { models } = await database();
    await models.sessions.update({ finished_at: Date.now() - ago }, { where: { id: one.id } });
    return one;
  }
  test('marks of a device that was away are taken for two weeks, for turns that there were', async () => {
    const { id, wren } = await ended(13 * DAY);
    const { refused, total } = await appendLog(id, [mark(2, wren), mark(900, wren)], device);
    expect(refused.map((r) => r.why)).toEqual(['There’s no such turn in this session.']);
    expect(total).toBe(2);
  });
  test('later they are refused in words; what is put right in Look back is not', async () => {
    const { id, wren } = await ended(15 * DAY);
    const { refused } = await appendLog(id, [mark(0, wren)], device);
    expect(refused.map((r) => r.why)).toEqual([expect.stringContaining('more than two weeks ago')]);
    expect((await appendLog(id, [mark(0, wren)])).refused).toEqual([]);
  });
});

test('a device that lags gets the tail of the log, in the order it came; after a start anew, the whole', async () => {
  const { id, wren } = await begun();
  const all = [0, 1, 2, 3].map((turn) => mark(turn, wren, Date.now() - 1_000 + turn));
  for (const entry of all) await appendLog(id, [entry], device);
  const tail = async (has: number): Promise<string[]> => (await appendLog(id, [], { has })).log.map((e) => e.id);
  expect(await tail(1)).toEqual(all.slice(1).map((e) => e.id));
  expect(await tail(4)).toEqual([]);
  await (await database()).close();
  delete (globalThis as { bouncyEcho?: unknown }).bouncyEcho;
  expect(await tail(1)).toEqual(all.map((e) => e.id));
});
