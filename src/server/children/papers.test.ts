import { expect, test } from 'vitest';
import { sure } from '../../core/sure';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { inFreshFiles } from '../testing/fresh-file';
import { childPage } from './child-page';
import { chooseStep } from './chosen-steps';
import { groupHandover } from './papers';

inFreshFiles();

test('a group is handed over with what each child’s own page says, an adult’s choice first', async () => {
  const { id } = await addGroup('Radishes');
  await addChildren(id, 'Wren\nKofi');
  const [wren, kofi] = sure((await listGroups()).find((g) => g.id === id)).children;
  await chooseStep(sure(kofi).id, { step: { ladder: 'blending', rung: '2' }, by: 'HB' });
  const { parts } = await groupHandover(id);
  expect(parts.map((p) => p.heading)).toEqual(['Wren', 'Kofi']);
  for (const [at, child] of [wren, kofi].entries()) {
    const page = await childPage(sure(child).id);
    const next = sure(page.chosen?.shown ?? page.next[0]);
    expect(sure(parts[at]).lines).toEqual([page.summary, `Next: ${next.does}.`]);
  }
  expect(sure(parts[1]).lines[1]).toContain('2 sounds');
});

test('a group that is gone is told in a sentence', async () => {
  await expect(groupHandover('gone')).rejects.toThrow('Choose another one.');
});
