import { existsSync, readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { answered } from '../../core/testing/answers';
import { sure } from '../../core/sure';
import { childPage } from '../children/child-page';
import { appendLog } from '../record/append-log';
import { caughtUp } from '../record/rebuild-queue';
import { listSessions, lookBack } from '../sessions/look-back';
import { startWords } from '../sessions/start-session';
import { putAside, wordsAside } from '../words/put-aside';
import { saveTaught, tickedSounds } from '../words/taught';
import { inFreshFiles } from '../testing/fresh-file';
import { database } from '../storage/database';
import { plain } from '../../file/plain';
import { erasedSince } from './erased';
import { addChildren, addGroup, eraseChild, eraseGroup, listGroups, takeBackChildren, type Group } from './groups';
import { mergeGroups, moveChild, setOutOfSight, takeClass } from './moves';

// Real SQLite files throughout.
inFreshFiles();

const groupNow = async (id: string): Promise<Group> => sure((await listGroups()).find((g) => g.id === id));
async function groupOf(name: string, ...children: string[]): Promise<Group> {
  const { id } = await addGroup(name);
  if (children.length) await addChildren(id, children.join('\n'));
  return groupNow(id);
}
const names = (group: Group): string[] => group.children.map((c) => c.name);

/** A game of all the children of a group, one answer each. */
async function played(group: Group): Promise<string> {
  const words = ['sun', 'map', 'leg'];
  const session = await startWords({ groupId: group.id, task: 'blending', words, model: 'net' });
  const log = group.children.map((c, turn) => ({
    ...answered(turn, c.id, sure(words[turn])),
    id: v7(),
    at: Date.now() - 86_400_000 + turn * 1_000,
  }));
  await appendLog(session, log);
  await caughtUp();
  return session;
}
const turnsOf = async (child: string): Promise<number> => (await childPage(child)).recent.length;

test('a child moves to another group with every answer, and the old group keeps its sessions', async () => {
  const [radishes, beans] = [await groupOf('Radishes', 'Wren', 'Kofi'), await groupOf('Beans', 'Idris')];
  const session = await played(radishes);
  const wren = sure(radishes.children[0]).id;
  await moveChild(wren, beans.id);
  expect([names(await groupNow(radishes.id)), names(await groupNow(beans.id))]).toEqual([['Kofi'], ['Idris', 'Wren']]);
  expect(await turnsOf(wren)).toBe(1);
  expect((await childPage(wren)).groupName).toBe('Beans');
  expect((await lookBack(session)).answers.map((a) => a.child)).toEqual(['Wren', 'Kofi']);
  expect(await listSessions(radishes.id)).toHaveLength(1);
});

test('a group erased after a child has moved takes nothing of that child with it', async () => {
  const [radishes, beans] = [await groupOf('Radishes', 'Wren', 'Kofi'), await groupOf('Beans')];
  const [together, alone] = [await played(radishes), await played(radishes)];
  const wren = sure(radishes.children[0]).id;
  await moveChild(wren, beans.id);
  await eraseGroup(radishes.id);
  expect(await turnsOf(wren)).toBe(2);
  expect((await lookBack(together)).answers.map((a) => a.child)).toEqual(['Wren']);
  expect((await listSessions(beans.id)).map((s) => s.id).sort()).toEqual([together, alone].sort());
});

test('out of sight is nowhere, with everything kept; and back again', async () => {
  const radishes = await groupOf('Radishes', 'Wren', 'Kofi');
  const session = await played(radishes);
  const wren = sure(radishes.children[0]).id;
  await setOutOfSight(wren, true);
  const out = await groupNow(radishes.id);
  expect([names(out), out.outOfSight]).toEqual([['Kofi'], [{ id: wren, name: 'Wren' }]]);
  expect(await turnsOf(wren)).toBe(1);
  expect((await childPage(wren)).outOfSight).toBe(true);
  expect((await lookBack(session)).answers.map((a) => a.child)).toEqual(['Wren', 'Kofi']);
  const next = await played(out);
  expect((await lookBack(next)).session.children.map((c) => c.name)).toEqual(['Kofi']);
  await setOutOfSight(wren, false);
  expect(names(await groupNow(radishes.id))).toEqual(['Wren', 'Kofi']);
});

test('two groups become one: children, sessions and words put aside are all there', async () => {
  const [radishes, beans] = [await groupOf('Radishes', 'Wren', 'Kofi'), await groupOf('Beans', 'Idris')];
  const session = await played(radishes);
  await putAside(radishes.id, 'map', true);
  await putAside(beans.id, 'map', true);
  await putAside(radishes.id, 'leg', true);
  await saveTaught(radishes.id, ['s', 'm']);
  await saveTaught(beans.id, ['m', 'p']);
  await mergeGroups(radishes.id, beans.id);
  expect((await listGroups()).map((g) => g.name)).toEqual(['Beans']);
  expect(names(await groupNow(beans.id))).toEqual(['Idris', 'Wren', 'Kofi']);
  expect((await listSessions(beans.id)).map((s) => s.id)).toEqual([session]);
  expect((await wordsAside(beans.id)).sort()).toEqual(['leg', 'map']);
  expect([...(await tickedSounds(beans.id))].sort()).toEqual(['m', 'p', 's']);
  await expect(mergeGroups(beans.id, beans.id)).rejects.toThrow('another group');
  await expect(mergeGroups(radishes.id, beans.id)).rejects.toThrow('isn’t here any more');
});

test('a class list goes into its groups, made where they are new; all of it or nothing', async () => {
  const radishes = await groupOf('Radishes', 'Wren');
  const row = (name: string, group = '', ownId = '') => ({ name, group, ownId });
  const taken = await takeClass(
    [row('Ottilie', 'Beans', '17'), row('Kofi', 'beans'), row('Maeve'), row('Tomasz', 'RADISHES')],
    radishes.id,
  );
  expect(taken).toMatchObject({ children: 4, groups: expect.arrayContaining(['Radishes', 'Beans']) as string[] });
  const groups = await listGroups();
  expect(groups.map((g) => [g.name, names(g)])).toEqual([
    ['Radishes', ['Wren', 'Maeve', 'Tomasz']],
    ['Beans', ['Ottilie', 'Kofi']],
  ]);
  await expect(takeClass([row('Bo'), row('')], radishes.id)).rejects.toThrow();
  expect(names(await groupNow(radishes.id))).toHaveLength(3);
});

test('names added a moment ago can be taken back; who has played stays', async () => {
  const { id } = await addGroup('Swedes');
  const first = await addChildren(id, 'Amir, Bea; Cody');
  expect(first.names).toEqual(['Amir', 'Bea', 'Cody']);
  await startWords({ groupId: id, task: 'blending', words: ['sun', 'map'], model: 'leg' });
  const { ids: later } = await addChildren(id, 'Dee\tEde');
  expect(await takeBackChildren([...first.ids, ...later])).toBe(2);
  expect(names(await groupNow(id))).toEqual(['Amir', 'Bea', 'Cody']);
  expect(await takeBackChildren(first.ids)).toBe(0);
  expect(await takeBackChildren([])).toBe(0);
});

test('what is not there is told in a sentence', async () => {
  const radishes = await groupOf('Radishes', 'Wren');
  await expect(moveChild('nobody', radishes.id)).rejects.toThrow('isn’t in the list any more');
  await expect(moveChild(sure(radishes.children[0]).id, v7())).rejects.toThrow('group isn’t here');
  await expect(setOutOfSight(v7(), true)).rejects.toThrow('isn’t in the list any more');
});

test('moved and then erased: devices let go of the sessions they sat in, and of all of late', async () => {
  const [radishes, beans] = [await groupOf('Radishes', 'Wren', 'Kofi'), await groupOf('Beans', 'Idris')];
  const [old, late] = [await played(radishes), await played(radishes)];
  const never = await played(beans);
  const { models } = await database();
  const longAgo = Date.now() - 60 * 86_400_000;
  await models.sessions.update({ started_at: longAgo }, { where: { id: [old, never] } });
  const wren = sure(radishes.children[0]).id;
  const other = await groupOf('Leeks');
  await moveChild(wren, other.id);
  // Somebody who never sat in the old group’s games, and is named on the pages of those of late.
  await eraseChild(wren);
  expect([...(await erasedSince(0)).ids].sort()).toEqual([old, late].sort());
  await expect(appendLog(old, [{ ...answered(5, wren, 'sun'), id: v7(), at: Date.now() }])).resolves.toMatchObject({
    refused: [{ erased: true }],
  });
});

test('erased while somebody reads the file: it is tried again, and said where traces are left', async () => {
  const radishes = await groupOf('Radishes', 'Zoltan', 'Kofi');
  await played(radishes);
  const { file } = await database();
  const reader = await plain(file, 'read');
  await reader.exec('BEGIN; SELECT count(*) FROM children');
  await expect(eraseChild(sure(radishes.children[0]).id)).rejects.toThrow(/That’s erased\. Some traces/);
  expect(names(await groupNow(radishes.id))).toEqual(['Kofi']);
  await reader.close();
  await eraseChild(sure(radishes.children[1]).id);
  const there = [file, `${file}-wal`].filter((at) => existsSync(at));
  const left = there.map((at) => readFileSync(at, 'latin1')).join('');
  expect(left).not.toMatch(/Zoltan|Kofi/);
});
