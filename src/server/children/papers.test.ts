import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { appendLog } from '../record/append-log';
import { startWords } from '../sessions/start-session';
import { inFreshFiles } from '../testing/fresh-file';
import { childPage } from './child-page';
import { chooseStep } from './chosen-steps';
import { groupHandover, talkPaper } from './papers';

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
    const next = sure(page.next);
    expect(sure(parts[at]).lines).toEqual([page.summary, `Next: ${next.does}.`]);
  }
  expect(sure(parts[1]).lines[1]).toContain('2 sounds');
});

test('what is kept together is told in a sentence of its own', async () => {
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Wren');
  const wren = sure(sure((await listGroups()).find((g) => g.id === groupId)).children[0]).id;
  const words = ['sun', 'map', 'leg', 'net', 'mug'];
  for (const daysAgo of [3, 2]) {
    const session = await startWords({ groupId, task: 'segmenting', words, model: 'fan' });
    const log = [...words, ...words].map((word, turn) => ({
      ...answered(turn, wren, word),
      id: v7(),
      at: Date.now() - daysAgo * 86_400_000 + turn * 20_000,
      outcome: 'not-yet' as const,
      slip: 'rime-kept' as const,
      missed: [1, 2],
    }));
    await appendLog(session, log);
  }
  // What was noticed is not on the page unless an adult adds it.
  const plain = await talkPaper(wren);
  expect(plain.parts.map((p) => p.heading)).toEqual([
    'What Wren can do',
    'Two things to try at home',
    'What we’d like to ask you',
    'What we agreed',
  ]);
  expect(JSON.stringify(plain)).not.toContain('keeps the end of a word');
  expect(sure(plain.parts[1]).lines[0]).toMatch(/ Try [\w, ]+ and \w+\.$/);
  const lines = (await talkPaper(wren, Date.now(), true)).parts.flatMap((p) => p.lines);
  expect(lines.filter((l) => l.startsWith('Often keeps the end of a word together'))).toHaveLength(1);
  expect(lines.join(' ')).not.toContain('miss keeps');
});

test('a group that is gone is told in a sentence', async () => {
  await expect(groupHandover('gone')).rejects.toThrow('Choose another one.');
});
