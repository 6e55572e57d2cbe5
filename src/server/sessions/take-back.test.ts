import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { answered } from '../../core/testing/answers';
import { sure } from '../../core/sure';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { appendLog } from '../record/append-log';
import { inFreshFiles } from '../testing/fresh-file';
import { correctionOf, lookBack } from './look-back';
import { startWords } from './start-session';
import { takenBack } from './take-back';

inFreshFiles();

test('a correction taken back leaves all as it was heard, and every row is kept', async () => {
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Wren');
  const wren = sure((await listGroups()).find((g) => g.id === groupId)?.children[0]).id;
  const session = await startWords({ groupId, task: 'blending', words: ['sun', 'map'], model: 'net' });
  const first = v7();
  const heard = { outcome: 'not-yet', slip: 'lost-sound', missed: [2], note: 'Whispered.' } as const;
  await appendLog(session, [{ ...answered(0, wren, 'sun'), ...heard, id: first, at: Date.now() }]);
  const before = sure((await lookBack(session)).answers[0]);

  const corrected = v7();
  const { answers } = await lookBack(session);
  await appendLog(session, [
    sure(correctionOf(answers, { answerId: first, newId: corrected, outcome: 'on-own', why: 'mis-tap' })),
  ]);
  expect((await lookBack(session)).answers[0]).toMatchObject({ outcome: 'on-own', missed: [], slip: null });

  const back = sure(await takenBack(session, { answerId: corrected, newId: v7() }));
  await appendLog(session, [back]);
  const after = sure((await lookBack(session)).answers[0]);
  expect(after).toMatchObject({ outcome: 'not-yet', slip: before.slip, missed: [2], note: 'Whispered.' });
  expect(after.before.map((b) => b.outcome)).toEqual(['not-yet', 'on-own']);

  // What was taken back cannot be taken back twice, and what was never corrected not at all.
  expect(await takenBack(session, { answerId: corrected, newId: v7() })).toBeUndefined();
  expect(await takenBack(session, { answerId: first, newId: v7() })).toBeUndefined();
});
