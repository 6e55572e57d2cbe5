import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { addChildren, addGroup, groupOf } from '../people/groups';
import { startWords } from '../sessions/start-session';
import { appendLog } from '../record/append-log';
import { inFreshFiles } from '../testing/fresh-file';
import { breakOf, weekBackPaper } from './week-back';

// Real SQLite files; the children and what they answered are invented.
inFreshFiles();

const DAY = 86_400_000;

async function answers(groupId: string, child: string, [daysAgo, marks]: [number, string]) {
  const session = await startWords({ groupId, task: 'blending', words: ['sun', 'map', 'leg', 'net'], model: 'fan' });
  const at = (turn: number): number => Date.now() - daysAgo * DAY + turn * 1_000;
  await appendLog(
    session,
    [...marks].map((mark, turn) => ({
      ...answered(turn, child, sure(['sun', 'map', 'leg', 'net'][turn % 4])),
      id: v7({ msecs: at(turn) }),
      at: at(turn),
      outcome: mark === '1' ? ('on-own' as const) : ('not-yet' as const),
    })),
  );
}

test('one page for a class that has come back: before, since, two words, what to look at again', async () => {
  const { id } = await addGroup('Leeks');
  await addChildren(id, 'Wren\nKofi\nBo');
  const { children } = await groupOf(id);
  const [wren, kofi] = children.map((c) => c.id);
  for (const ago of [26, 25, 24]) await answers(id, sure(wren), [ago, '111111']);
  for (const ago of [26, 25]) await answers(id, sure(kofi), [ago, '111111']);
  expect(await breakOf(id)).toBeNull();
  await answers(id, sure(kofi), [3, '0010']);
  const { table, title, parts } = await weekBackPaper(id);
  expect(title).toBe('Leeks: the first week back');
  expect(sure(parts[0]).lines[0]).toMatch(/^Nobody played between \d+ \w+ and \d+ \w+\./);
  const [heads, ...lines] = table;
  expect(heads).toHaveLength(5);
  const of = (name: string) => sure(lines.find(([child]) => child === name));
  expect(of('Wren').slice(1, 3)).toEqual(['blend words like sun', 'not played yet']);
  expect(of('Wren')[4]).toBe('everything');
  expect(of('Kofi').slice(1, 3)).toEqual(['blend words like sun', '1 of 4 alone']);
  expect(of('Kofi')[4]).toBe('blending');
  expect(of('Bo').slice(1, 3)).toEqual(['nothing secure yet', 'not played yet']);
  for (const line of lines) expect(sure(line[3]).split(', ')).toHaveLength(2);
});

test('no break, no page: a sentence', async () => {
  const { id } = await addGroup('Peas');
  await expect(weekBackPaper(id)).rejects.toThrow('hasn’t been a break');
});
