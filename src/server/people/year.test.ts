import { describe, expect, test } from 'vitest';
import { sure } from '../../core/sure';
import { startWords } from '../sessions/start-session';
import { inFreshFiles } from '../testing/fresh-file';
import { addChildren, addGroup, eraseChild, eraseGroup, groupOf } from './groups';
import { setHold } from './hold';
import { eraseDue, goingSoon, leavers, saveKeepYears } from './kept-long-enough';
import { setOutOfSight } from './moves';
import { beginYear } from './new-year';

// Real SQLite files throughout.
inFreshFiles();

async function group(name: string, children: string): Promise<{ id: string; ids: string[] }> {
  const { id } = await addGroup(name);
  await addChildren(id, children);
  return { id, ids: (await groupOf(id)).children.map((c) => c.id) };
}
const names = async (id: string): Promise<string[]> => (await groupOf(id)).children.map((c) => c.name);

describe('a new school year', () => {
  test('all at once, by where they were before: the oldest leave, the others go up', async () => {
    const small = await group('Seedlings', 'Wren, Idris');
    const big = await group('Sunflowers', 'Ottilie, Kofi');
    expect(await beginYear({ [small.id]: big.id, [big.id]: 'leave' })).toEqual({ moved: 2, left: 2 });
    expect(await names(small.id)).toEqual([]);
    expect(await names(big.id)).toEqual(['Wren', 'Idris']);
    expect((await groupOf(big.id)).outOfSight.map((c) => c.name)).toEqual(['Ottilie', 'Kofi']);
    await setOutOfSight(sure(big.ids[0]), false);
    expect(await names(big.id)).toContain('Ottilie');
  });
  test('two groups change places; a group that is not there changes nothing', async () => {
    const [a, b] = [await group('Peas', 'Wren'), await group('Beans', 'Kofi')];
    await beginYear({ [a.id]: b.id, [b.id]: a.id });
    expect([await names(a.id), await names(b.id)]).toEqual([['Kofi'], ['Wren']]);
    const nowhere = '018f0000-0000-7000-8000-000000000000';
    await expect(beginYear({ [a.id]: 'leave', [b.id]: nowhere })).rejects.toThrow(/isn’t here any more/);
    expect(await names(a.id)).toEqual(['Kofi']);
    await expect(beginYear({ [a.id]: 'elsewhere' })).rejects.toThrow();
  });
});

describe('how long those who left are kept', () => {
  const day = 86_400_000;
  test('nobody goes until it is chosen; then a month’s notice, then they go; a hold keeps them', async () => {
    const { id, ids } = await group('Peas', 'Wren, Idris, Kofi');
    const left = new Date(2020, 5, 1).getTime();
    for (const one of ids.slice(0, 2)) await setOutOfSight(one, true, left);
    const now = Date.now();
    await startWords({ groupId: id, task: 'blending', words: ['sun'], model: 'net' });
    expect(await leavers()).toEqual([]);
    expect(await eraseDue(now + 400 * day)).toBe(0);
    await saveKeepYears('1', now);
    expect((await goingSoon(now + day)).map((l) => l.name).sort()).toEqual(['Idris', 'Wren']);
    await setHold(sure(ids[1]), true, 'MB');
    expect(await eraseDue(now + 29 * day)).toBe(0);
    // A clock that is far ahead erases nobody.
    expect(await eraseDue(now + 400 * day)).toBe(0);
    expect(await eraseDue(now + 31 * day)).toBe(1);
    expect((await groupOf(id)).outOfSight.map((c) => c.name)).toEqual(['Idris']);
    await expect(saveKeepYears('9')).rejects.toThrow(/how long/);
  });
});

describe('on hold', () => {
  test('nothing of them is erased, alone or with their group, until the hold is lifted', async () => {
    const { id, ids } = await group('Peas', 'Wren, Idris');
    const wren = sure(ids[0]);
    await expect(setHold(wren, true, '')).rejects.toThrow(/initials of the lead/);
    await setHold(wren, true, 'MB');
    await expect(eraseChild(wren)).rejects.toThrow(/Wren is on hold, since .* \(MB\)/);
    await expect(eraseGroup(id)).rejects.toThrow(/on hold/);
    expect(await names(id)).toEqual(['Wren', 'Idris']);
    await setHold(wren, false, 'MB');
    await eraseChild(wren);
    expect(await names(id)).toEqual(['Idris']);
  });
});
