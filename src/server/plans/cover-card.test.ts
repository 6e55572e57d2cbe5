import { expect, test } from 'vitest';
import { NO_OWN_WAY } from '../../core/answers/own-way';
import { capital } from '../../core/in-words';
import { sure } from '../../core/sure';
import { advised } from '../children/advised';
import { addChildren, addGroup, listGroups, setAway, setOwnWay } from '../people/groups';
import { inFreshFiles } from '../testing/fresh-file';
import { coverCard } from './cover-card';
import { setCompany } from '../people/company';
import { saveSettingName } from '../setting/settings';
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
  const card = await coverCard(made.id, false, now);
  expect(card.children.map((c) => [c.name, c.initials])).toEqual([
    ['Wren', 'W'],
    // Kai is not in, and named on the card: one letter would be both of them.
    ['Kofi', 'Ko'],
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
  await expect(coverCard('00000000-0000-7000-8000-000000000000', true)).rejects.toThrow('isn’t here any more');
});

test('a card for the next day: who comes then, the lines to say, what each thing is for', async () => {
  const made = await addGroup('Beetroot');
  await addChildren(made.id, 'Bo\nPriya\nTomasz');
  const group = sure((await listGroups()).find((g) => g.id === made.id));
  const [bo, priya] = group.children.map((c) => c.id);
  // Friday morning: the next day is Monday. Bo does not come on Mondays; Priya is only away today.
  const friday = new Date(2026, 10, 27, 9).getTime();
  await setCompany(bo, { days: [4, 5], keyAdult: null, together: [], apart: [] });
  await setAway(sure(priya), true);
  const card = await coverCard(made.id, true, friday);
  expect(card.day).toBe('Monday 30 November');
  expect(card.notIn.map((c) => c.name)).toEqual(['Bo']);
  expect(card.children.map((c) => c.name)).toEqual(['Priya', 'Tomasz']);
  expect(card.say.length).toBeGreaterThan(0);
  for (const round of card.say) expect(round.ask).not.toBe('');
  for (const thing of card.bring) expect(card.say.map((r) => r.name)).toContain(thing.game);
  await saveSettingName('  The Potting Shed ');
  expect((await coverCard(made.id, false, friday)).setting).toBe('The Potting Shed');
  await expect(saveSettingName('x'.repeat(61))).rejects.toThrow('up to 60 letters');
});
