import { expect, test } from 'vitest';
import { taskOf } from '../../core/games';
import { canOwn } from '../../core/sessions/own-step';
import { sure } from '../../core/sure';
import { addChildren, addGroup, listGroups, setAway } from '../people/groups';
import { playSession } from '../sessions/play-session';
import { inFreshFiles } from '../testing/fresh-file';
import { startDoor } from './door';

// Real SQLite files; the children are invented.
inFreshFiles();

test.each([1, 2, 7, 12])('a queue of %d: one question each, no word twice, in one round', async (people) => {
  const made = await addGroup('Radishes');
  await addChildren(made.id, Array.from({ length: people + 1 }, (_, i) => `Child ${i + 1}`).join('\n'));
  const group = sure((await listGroups()).find((g) => g.id === made.id));
  await setAway(sure(group.children.at(-1)).id, true);
  const { plan, rounds } = await playSession(await startDoor(made.id));
  expect(plan.children).toHaveLength(people);
  expect(plan.rounds).toHaveLength(1);
  expect(plan.rounds[0]?.turns).toBe(people);
  const [round] = rounds;
  expect(canOwn(taskOf(sure(round).task))).toBe(true);
  const firsts = plan.children.map((id) => plan.rounds[0]?.own?.[id]?.[0]);
  expect(firsts.every(Boolean)).toBe(true);
  expect(new Set(firsts).size).toBe(people);
});

test('nobody here, nobody asked', async () => {
  const made = await addGroup('Beans');
  await expect(startDoor(made.id)).rejects.toThrow('Nobody is here');
});
