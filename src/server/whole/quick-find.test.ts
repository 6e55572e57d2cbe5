import { describe, expect, test } from 'vitest';
import { format } from 'date-fns';
import { v7 } from 'uuid';
import { planRequestSchema } from '../../core/formats/plan-file';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { setOutOfSight } from '../people/moves';
import { keepPlan, newPlan } from '../plans/plans';
import { appendLog } from '../record/append-log';
import { startWords } from '../sessions/start-session';
import { inFreshFiles } from '../testing/fresh-file';
import { saveSet } from '../words/word-sets';
import { findAnything, HIT_KINDS, type HitKind } from './quick-find';

inFreshFiles();

const namesOf = async (text: string, kind: HitKind): Promise<string[]> =>
  (await findAnything(text)).filter((hit) => hit.kind === kind).map((hit) => hit.name);

describe('words and sounds', () => {
  // What each is made of: the CMU Pronouncing Dictionary gives SH AA1 P, S L AH1 G and K AE1 T.
  test.each([
    ['sh o p', 'shop'],
    ['s l u g', 'slug'],
    ['k a t', 'cat'],
    ['c a t', 'cat'],
    ['slu', 'slug'],
    ['SLUG', 'slug'],
  ])('%s finds %s first', async (typed, word) => {
    expect((await namesOf(typed, 'word'))[0]).toBe(word);
  });

  test('a sound is found by its label, with slashes or without, and by its IPA', async () => {
    for (const typed of ['sh', '/sh/', 'ʃ', '/ʃ/']) expect(await namesOf(typed, 'sound')).toEqual(['/sh/']);
    expect(await namesOf('oo', 'sound')).toHaveLength(2);
  });

  test('what is no sound and no word finds no word, and says nothing wrong', async () => {
    expect(await namesOf('zz qq xx', 'word')).toEqual([]);
    expect(await findAnything('%')).toEqual([]);
    expect(await findAnything('_____________')).toEqual([]);
  });
});

test('children, sets, plans, sessions, notes and screens are found by name', async () => {
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Wren\nZoë\nNot_here');
  const [wren, , away] = sure((await listGroups()).find((g) => g.id === groupId)).children.map((c) => sure(c.id));
  const session = await startWords({ groupId, task: 'blending', words: ['sun', 'map'], model: 'net' });
  const at = new Date(2026, 10, 27, 12).getTime();
  const note = 'Loves 100% of the frogs at Élan’s';
  await appendLog(session, [{ ...answered(0, sure(wren), 'sun'), id: v7(), at, note }]);
  const plan = await newPlan(groupId, planRequestSchema.parse({ minutes: 8, seed: 3 }));
  await keepPlan(plan, { kept: true });
  await saveSet({ name: 'Pond words', words: ['frog', 'pond'] });
  await setOutOfSight(sure(away), true);

  expect(await namesOf('wre', 'child')).toEqual(['Wren']);
  // Typed without its accent, and with a sign that SQL would take for any letter.
  expect(await namesOf('zoe', 'child')).toEqual(['Zoë']);
  expect(await namesOf('t_h', 'child')).toEqual(['Not_here']);
  expect((await findAnything('not_here'))[0]?.detail).toBe('Radishes, off the list');
  expect(await namesOf('words pond', 'set')).toEqual(['Pond words']);
  expect(await namesOf('100%', 'note')).toEqual([note]);
  expect(await namesOf('100_', 'note')).toEqual([]);
  expect(await namesOf('elan', 'note')).toEqual([note]);
  await keepPlan(plan, { kept: true });
  expect((await findAnything('frogs')).find((hit) => hit.kind === 'note')).toMatchObject({
    detail: 'Wren, sun',
    href: `/look-back/${session}`,
  });
  expect(await namesOf('blend', 'session')).toHaveLength(1);
  expect(await namesOf(format(Date.now(), 'd MMMM yyyy'), 'session')).toHaveLength(1);
  expect(await namesOf('31 Novem', 'session')).toEqual([]);
  expect(await namesOf('backup', 'place')).toEqual(['Our data']);
  expect((await findAnything('  ')).every((hit) => hit.kind === 'place')).toBe(true);
  for (const hit of await findAnything('s')) expect(HIT_KINDS).toContain(hit.kind);
});
