import { addDays } from 'date-fns';
import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import type { AnswerEntry } from '../../core/sessions/log';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { setCompany } from '../people/company';
import { addChildren, addGroup, eraseChild, groupOf, setAway } from '../people/groups';
import { moveChild } from '../people/moves';
import { startStep } from '../plans/start-step';
import { appendLog } from '../record/append-log';
import { saveStaff } from '../setting/settings';
import { database } from '../storage/database';
import { inFreshFiles } from '../testing/fresh-file';
import { keepSmallGroups, makeSmallGroups, putWith } from './small-groups';
import { whoWithWhom } from './who-with-whom';

// Real SQLite files; the children are invented.
inFreshFiles();

const NAMES = ['Ottilie', 'Idris', 'Wren', 'Kofi', 'Saoirse', 'Tomasz', 'Priya', 'Bo'];
/** A Monday morning; the nursery opens from Monday to Friday. */
const MONDAY = new Date(2026, 10, 30, 9).getTime();

async function bed() {
  const { id } = await addGroup('Bed');
  await addChildren(id, NAMES.join('\n'));
  const { children } = await groupOf(id);
  return { id, idOf: (name: string): string => sure(children.find((c) => c.name === name)).id };
}
async function namesNow(groupId: string, now: number): Promise<string[]> {
  const { grouping, names } = await whoWithWhom(await groupOf(groupId), now);
  return grouping.groups.map((g) => [...g.children, ...g.away].map((c) => names[c]).join(' '));
}

test('new children, two adults: two fours today, at the first step of all', async () => {
  const { id } = await bed();
  const { grouping, days, adults } = await whoWithWhom(await groupOf(id), MONDAY);
  expect(grouping.groups.map((g) => [g.children.length, g.day])).toEqual([
    [4, 0],
    [4, 0],
  ]);
  expect(days.slice(0, 5)).toEqual(['Today', 'Tomorrow', 'Wednesday', 'Thursday', 'Friday']);
  expect(adults).toBe(2);
  await saveStaff(1);
  expect((await whoWithWhom(await groupOf(id), MONDAY)).grouping.days).toBe(2);
});

test('groups are kept for a fortnight whatever is seen meanwhile, then made anew', async () => {
  const { id, idOf } = await bed();
  await keepSmallGroups(id, MONDAY);
  const before = await namesNow(id, MONDAY);
  // Bo alone goes far ahead: who is with whom stays, and what they play suits all of them.
  const at = MONDAY + 60_000;
  const session = await startStep(id, { ladder: 'blending', rung: '4-start' }, [idOf('Bo')]);
  const log = ['frog', 'spoon', 'plum', 'crab'].map((word, turn): AnswerEntry => {
    const when = at + turn * 20_000;
    return { ...answered(turn, idOf('Bo'), word), id: v7({ msecs: when }), at: when, outcome: 'on-own' };
  });
  await appendLog(session, log);
  expect((await namesNow(id, addDays(MONDAY, 9).getTime())).sort()).toEqual([...before].sort());
  await keepSmallGroups(id, addDays(MONDAY, 15).getTime());
  expect((await groupOf(id)).grouped.on).toBe('2026-12-15');
});

test('a child who is moved stays where they were put, until new groups are asked for', async () => {
  const { id, idOf } = await bed();
  await keepSmallGroups(id, MONDAY);
  const apart = (names: readonly string[]): boolean => !names.some((n) => n.includes('Bo') && n.includes('Idris'));
  await setCompany(idOf('Bo'), { days: [1, 2, 3, 4, 5], keyAdult: null, together: [], apart: [idOf('Idris')] });
  await keepSmallGroups(id, MONDAY);
  expect(apart(await namesNow(id, MONDAY))).toBe(true);
  const home = sure((await namesNow(id, MONDAY)).find((n) => !n.includes('Wren')));
  await putWith(idOf('Wren'), idOf(sure(home.split(' ')[0])), MONDAY);
  const moved = await namesNow(id, MONDAY);
  expect(moved.find((n) => n.includes('Wren'))?.split(' ')).toEqual(expect.arrayContaining(home.split(' ')));
  expect((await whoWithWhom(await groupOf(id), addDays(MONDAY, 40).getTime())).byHand).toBe(true);
  expect((await namesNow(id, addDays(MONDAY, 40).getTime())).sort()).toEqual([...moved].sort());
  await makeSmallGroups(id, MONDAY);
  expect((await whoWithWhom(await groupOf(id), MONDAY)).byHand).toBe(false);
  await putWith(idOf('Wren'), null, MONDAY);
  expect((await whoWithWhom(await groupOf(id), MONDAY)).grouping.alone.map((a) => a.id)).toEqual([idOf('Wren')]);
  await expect(putWith(v7(), null, MONDAY)).rejects.toThrow();
});

test('not their day is not away, and a child who comes all the same is here', async () => {
  const { id, idOf } = await bed();
  const today = new Date().getDay();
  const others = [1, 2, 3, 4, 5].filter((d) => d !== today);
  await setCompany(idOf('Wren'), { days: others, keyAdult: null, together: [], apart: [] });
  const wren = async () => sure((await groupOf(id)).children.find((c) => c.name === 'Wren'));
  // At the weekend nobody's day is told.
  const weekday = today > 0 && today < 6;
  expect(await wren()).toMatchObject({ away: weekday, notTheirDay: weekday });
  await setAway(idOf('Wren'), false);
  expect(await wren()).toMatchObject({ away: false, notTheirDay: weekday });
  await setAway(idOf('Wren'), true);
  expect(await wren()).toMatchObject({ away: true });
  await setAway(idOf('Kofi'), true);
  expect((await groupOf(id)).children.find((c) => c.name === 'Kofi')).toMatchObject({ away: true, notTheirDay: false });
});

test('days, pairs and key adults are kept with the child and go with them', async () => {
  const { id, idOf } = await bed();
  const ask = { days: [2, 1, 1], keyAdult: ' Hazel ', together: [idOf('Kofi')], apart: [idOf('Bo')] };
  await setCompany(idOf('Wren'), ask);
  const { children } = await groupOf(id);
  const of = (name: string) => sure(children.find((c) => c.name === name)).company;
  expect(of('Wren')).toEqual({ days: [1, 2], keyAdult: 'Hazel', together: [idOf('Kofi')], apart: [idOf('Bo')] });
  expect(of('Kofi')).toMatchObject({ together: [idOf('Wren')] });
  const made = (await whoWithWhom(await groupOf(id), MONDAY)).grouping;
  const hers = sure(made.groups.find((g) => g.children.includes(idOf('Wren'))));
  expect(hers).toMatchObject({ adult: 'Hazel', day: 0 });
  expect(hers.children).toContain(idOf('Kofi'));
  expect(hers.children).not.toContain(idOf('Bo'));
  await expect(setCompany(idOf('Wren'), { ...ask, days: [] })).rejects.toThrow('Tick at least one day');
  await expect(setCompany(idOf('Wren'), { ...ask, apart: [idOf('Kofi')] })).rejects.toThrow('both together and apart');
  await eraseChild(idOf('Wren'));
  expect(await (await database()).models.ties.count()).toBe(0);
});

test('who is away today is named with their group; who moves to another list leaves it', async () => {
  const { id, idOf } = await bed();
  await keepSmallGroups(id);
  await setAway(idOf('Priya'), true);
  const { grouping } = await whoWithWhom(await groupOf(id));
  const hers = sure(grouping.groups.find((g) => [...g.children, ...g.away].includes(idOf('Priya'))));
  expect(hers.day === 0 ? hers.away : hers.children).toContain(idOf('Priya'));
  const { id: other } = await addGroup('Shed');
  await moveChild(idOf('Priya'), other);
  expect((await groupOf(other)).children[0]).toMatchObject({ name: 'Priya', smallGroup: null });
  expect((await namesNow(id, Date.now())).join(' ')).not.toContain('Priya');
});
