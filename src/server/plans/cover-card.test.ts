import { expect, test } from 'vitest';
import { NO_OWN_WAY } from '../../core/answers/own-way';
import { capital } from '../../core/in-words';
import { sure } from '../../core/sure';
import { advised } from '../children/advised';
import { addChildren, addGroup, listGroups, setAway, setOwnWay } from '../people/groups';
import { inFreshFiles } from '../testing/fresh-file';
import { coverCard } from './cover-card';
import { readySessions } from './today';

// Real SQLite files; the children are invented.
inFreshFiles();

test('whoever takes over reads what is ready, who needs what, what is right for whom, as elsewhere', async () => {
  const made = await addGroup('Radishes');
  await addChildren(made.id, 'Wren\nKofi\nKai');
  const group = sure((await listGroups()).find((g) => g.id === made.id));
  const [wren, kofi, kai] = group.children.map((c) => c.id);
  await setOwnWay(sure(kofi), {
    ...NO_OWN_WAY,
    swaps: [{ asked: 'k', says: 't' }],
    drops: ['s', 'l'],
    access: ['face', 'points'],
    lowOnly: true,
    languages: ' Polish ',
  });
  // English alone says nothing of words that are not known.
  await setOwnWay(sure(wren), { ...NO_OWN_WAY, languages: 'English' });
  await setAway(sure(kai), true);
  const now = Date.now();
  const card = await coverCard(made.id, now);
  expect(card.children.map((c) => [c.name, c.initials])).toEqual([
    ['Wren', 'W'],
    ['Kofi', 'K'],
  ]);
  expect(card.children[0]?.needs).toEqual([]);
  expect(card.children[1]?.needs).toEqual([
    'At home they speak Polish: show what a word means before you play with it.',
    'Needs to see your face while you speak.',
    'Can point instead of speaking.',
    'Says “tat” for “cat”: that’s right for them.',
    'When talking, leaves out /s/ and /l/ next to another sound. Don’t correct it.',
    'Finds high sounds like “s” and “f” hard to hear: stay close, and let them see your face.',
  ]);
  const { of } = await advised([sure(wren)], now);
  expect(card.children[0]?.next).toBe(capital(sure(sure(of.get(sure(wren))).next).does));
  const now2 = sure((await listGroups()).find((g) => g.id === made.id));
  expect(card.lines.map((l) => l.title)).toEqual((await readySessions(now2, now)).map((r) => r.title));
  await expect(coverCard('00000000-0000-7000-8000-000000000000')).rejects.toThrow('isn’t here any more');
});
