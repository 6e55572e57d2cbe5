import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { answered } from '../../core/testing/answers';
import { sure } from '../../core/sure';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { appendLog } from '../record/append-log';
import { startWords } from '../sessions/start-session';
import { inFreshFiles } from '../testing/fresh-file';
import { childPage } from './child-page';
import { millisecondsInDay } from 'date-fns/constants';

inFreshFiles();

const FIRST = new Date(2026, 10, 3, 10).getTime();
/** Words with /n/ or /m/ before the last sound, and how often it is left out on each day. */
const DAYS: readonly (readonly [words: readonly string[], slips: number])[] = [
  [['went', 'tent', 'bent', 'sent', 'dent'], 5],
  [['lamp', 'camp', 'damp', 'pump', 'jump'], 5],
  [['hunt', 'pond', 'wind', 'bend', 'mint'], 4],
  [['went', 'tent', 'lamp', 'jump', 'pond'], 5],
  [['bump', 'lump', 'ramp', 'dump', 'limp'], 1],
  [['mend', 'send', 'band', 'wink', 'pink'], 0],
  [['tank', 'bank', 'sink', 'honk', 'bunk'], 0],
];

async function played() {
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Wren');
  const wren = sure(sure((await listGroups()).find((g) => g.id === groupId)).children[0]).id;
  for (const [day, [words, slips]] of DAYS.entries()) {
    const session = await startWords({ groupId, task: 'segmenting', words: [...words], model: 'net' });
    const entries = words.map((word, turn) => ({
      ...answered(turn, wren, word),
      id: v7(),
      at: FIRST + day * millisecondsInDay + turn * 60_000,
      ...(turn < slips ? { outcome: 'not-yet' as const, slip: 'swapped-sound' as const, missed: [2] } : {}),
    }));
    await appendLog(session, entries);
  }
  return wren;
}

test('what slipped is followed on words that the child had never met', async () => {
  const wren = await played();
  const { helped, next } = await childPage(wren, FIRST + DAYS.length * millisecondsInDay);
  expect(next.length).toBeGreaterThan(0);
  expect(helped).toHaveLength(1);
  // Raised by the second day. After it twenty new words and, on the fourth day, five that were met before: not counted.
  expect(helped[0]).toMatch(/First noticed on 4 November/u);
  expect(helped[0]).toContain('in five of the first ten new words after that, and in none of the latest ten');
});

test('of a child for whom nothing was ever told, nothing is said', async () => {
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Kofi');
  const kofi = sure(sure((await listGroups()).find((g) => g.id === groupId)).children[0]).id;
  expect((await childPage(kofi)).helped).toEqual([]);
});
