import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { stepOf, taskOf } from '../../core/games';
import { generate } from '../../core/games/generate';
import { WORD_SHAPES } from '../../core/games/word-shape';
import { MARK_LETTERS, type StepRun } from '../../core/evidence/evidence';
import { rungOf } from '../../core/evidence/ladders';
import { seeded } from '../../core/random';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { material } from '../../core/testing/bank';
import { answersThat } from '../answers/answers';
import { runsOf } from '../answers/kept-evidence';
import { addChildren, addGroup, listGroups } from '../people/groups';
import { startSession } from '../sessions/start-session';
import { database } from '../storage/database';
import { inFreshFiles } from '../testing/fresh-file';
import { appendLog } from './append-log';
import { behind } from './rebuild-queue';
import { PLAIN_ROUND } from '../../core/testing/rounds';

inFreshFiles();

/** What could be played before words were told apart by shape, and what is not offered any more. */
const BEFORE = [
  ['blending', '2'],
  ['blending', '3'],
  ['segmenting', '3'],
  ['blending', '4'],
  ['segmenting', '4'],
  ['blending', '5'],
  ['segmenting', '6'],
  ['shared-sound', 'told'],
  ['reorder', 'any'],
  ['hunt', '7-8'],
  ['how-many', '3-4'],
  ['rhyme-match', '3-far'],
] as const;

const DAY = 86_400_000;
const START = 1_735_800_000_000;
const TIMES_A_YEAR = 48;
const TURNS = 8;

/** A year of made-up answers: one round a session, each step four times. */
async function aYear(): Promise<{ readonly children: readonly string[]; readonly given: number }> {
  const group = await addGroup('Radishes');
  await addChildren(group.id, 'Wren\nKofi\nOttilie');
  const children = sure((await listGroups())[0]).children.map((c) => c.id);
  const random = seeded(5);
  let given = 0;
  for (let n = 0; n < TIMES_A_YEAR; n += 1) {
    const [task, step] = sure(BEFORE[n % BEFORE.length]);
    const set = generate(taskOf(task), stepOf(taskOf(task), step), material(), { size: 4, seed: n + 1 });
    const id = await startSession(group.id, {
      title: 'As before',
      minutes: 8,
      letters: false,
      sound: null,
      pairs: [],
      rounds: [{ ...ROUND, id: 'r1', task, step, items: set.items.map(({ key }) => ({ key, locked: false })) }],
    });
    const at = START + n * 7 * DAY;
    const answers = Array.from({ length: TURNS }, (_, turn) => ({
      ...answered(turn, sure(children[turn % children.length]), sure(set.items[turn % set.items.length]).key),
      id: v7({ msecs: at + turn * 1000 }),
      at: at + turn * 1000,
      outcome: random() < 0.7 ? ('on-own' as const) : ('not-yet' as const),
    }));
    const { refused } = await appendLog(id, answers);
    expect(refused).toEqual([]);
    given += answers.length;
  }
  return { children, given };
}

const ROUND = {
  ...PLAIN_ROUND,
  seed: 1,
} as const;

const all = async (children: readonly string[]): Promise<StepRun[]> => [...(await runsOf(children)).values()].flat();
const marksIn = (runs: readonly StepRun[]): number => runs.reduce((sum, r) => sum + r.marks.length, 0);

test('a year of answers from before: every one still counts, by the shape of its word', async () => {
  const { children, given } = await aYear();
  const runs = await all(children);
  expect(marksIn(runs)).toBe(given);
  const shapes: readonly string[] = WORD_SHAPES;
  const bySounds = runs.filter((r) => r.task === 'blending' || r.task === 'segmenting');
  for (const run of bySounds) expect(shapes).toContain(run.step);
  expect(new Set(bySounds.map((r) => r.step)).size).toBeGreaterThanOrEqual(6);
  for (const run of bySounds) expect(rungOf(run.task, run.step)).toBeDefined();
  // What was kept of each answer is what it was.
  const answers = await answersThat({ children });
  expect(answers).toHaveLength(given);
  expect(answers.filter((a) => a.task === 'blending' && a.step === '3').length).toBeGreaterThan(0);
});

test('a file of the version before is read anew when it is opened, and says the same', async () => {
  const { children } = await aYear();
  const [after, first] = [await all(children), await database()];
  const at = START / DAY;
  for (const statement of [
    `DELETE FROM SequelizeMeta WHERE name = '0010-shapes'`,
    `ALTER TABLE groups DROP COLUMN age_band`,
    `UPDATE sessions SET stale = 0`,
    `DELETE FROM evidence`,
    `INSERT INTO evidence (child_id, session_id, task, step, standing, at, day, marks, helps)
     SELECT '${sure(children[0])}', id, 'blending', '3', 'fresh', ${START}, ${Math.floor(at)},
       '${MARK_LETTERS['on-own']}', '{}'
     FROM sessions LIMIT 1`,
  ])
    await first.sequelize.query(statement);
  await first.close();
  delete (globalThis as { bouncyEcho?: unknown }).bouncyEcho;
  await runsOf(children);
  await expect.poll(behind, { timeout: 60_000 }).toBe(0);
  const sorted = (runs: readonly StepRun[]): string[] => runs.map((r) => JSON.stringify(r)).sort();
  expect(sorted(await all(children))).toEqual(sorted(after));
  expect(sure((await listGroups())[0]).ageBand).toBeNull();
});
