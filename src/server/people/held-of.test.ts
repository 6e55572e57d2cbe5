import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { appendLog } from '../record/append-log';
import { startWords } from '../sessions/start-session';
import { database } from '../storage/database';
import { inFreshFiles } from '../testing/fresh-file';
import { addChildren, addGroup, eraseChild, groupOf, setAway } from './groups';
import { heldOf } from './held-of';

// Real SQLite files throughout.
inFreshFiles();

test('what is held of a child is counted; erasing leaves no session in which nobody is left', async () => {
  const { id } = await addGroup('Marrows');
  await addChildren(id, 'Wren, Kofi');
  const [wren, kofi] = (await groupOf(id)).children.map((c) => c.id);
  expect(await heldOf(sure(wren))).toEqual({ answers: 0, notes: 0, sessions: 0, papers: 0 });

  const words = { groupId: id, task: 'blending', words: ['sun', 'map'], model: 'net' };
  const both = await startWords(words);
  const first = { ...answered(0, sure(wren), 'sun'), id: v7(), at: Date.now() };
  // Put right once: it is one answer all the same.
  await appendLog(both, [first, { ...first, id: v7(), at: first.at + 1, supersedes: first.id, note: 'whispered' }]);
  await setAway(sure(kofi), true);
  const alone = await startWords(words);
  await appendLog(alone, [{ ...answered(0, sure(wren), 'map'), id: v7(), at: Date.now() }]);
  expect(await heldOf(sure(wren))).toEqual({ answers: 2, notes: 1, sessions: 2, papers: 0 });

  await eraseChild(sure(wren));
  const { models } = await database();
  expect((await models.sessions.findAll()).map((s) => s.get().id)).toEqual([both]);
  expect(await heldOf(sure(wren))).toEqual({ answers: 0, notes: 0, sessions: 0, papers: 0 });
});
