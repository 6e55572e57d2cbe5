import { expect, test } from 'vitest';
import { TASKS } from '../../core/games';
import { readKey } from '../../core/games/spec';
import { sure } from '../../core/sure';
import { addChildren, addGroup } from '../people/groups';
import { playSession } from '../sessions/play-session';
import { inFreshFiles } from '../testing/fresh-file';
import { gamesOfSet, startSetIn } from './set-games';

inFreshFiles();

const SET = ['cat', 'hat', 'sun', 'map', 'frog', 'slug', 'flag', 'ladder', 'button', 'snail'];

test('a set is played in many games, each with those of its words that it takes', async () => {
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Wren\nIdris');
  const games = await gamesOfSet(groupId, SET);
  expect(games.length).toBeGreaterThan(TASKS.length / 2);
  for (const { id, words } of games) {
    expect(words).toBeGreaterThan(0);
    expect(words).toBeLessThanOrEqual(SET.length);
    const session = await startSetIn(groupId, id, SET);
    const [round] = (await playSession(session)).rounds;
    const { task, items } = sure(round);
    expect(task).toBe(id);
    for (const key of Object.keys(items))
      expect(
        readKey(key).words.some((word) => SET.includes(word)),
        `${id}: ${key}`,
      ).toBe(true);
  }
});

test('what is no game, or takes none of the words, is said', async () => {
  const { id: groupId } = await addGroup('Radishes');
  await expect(startSetIn(groupId, 'no-such-game', SET)).rejects.toThrow('Choose another game');
  await expect(gamesOfSet('nobody', SET)).rejects.toThrow('isn’t here any more');
});
