import { expect, test } from 'vitest';
import { v7 } from 'uuid';
import { seeded } from '../../core/random';
import type { AnswerEntry } from '../../core/sessions/log';
import { sure } from '../../core/sure';
import { answered } from '../../core/testing/answers';
import { times } from '../../core/testing/deep';
import { PLAIN_ROUND } from '../../core/testing/rounds';
import { VOICE_BARS } from '../../core/testing/voice-bars';
import { adviceKept, adviceRead } from '../../core/choosing/kept';
import { addChildren, addGroup, eraseChild, listGroups, setAgeBand, type Group } from '../people/groups';
import { readySessions } from '../plans/today';
import { appendLog } from '../record/append-log';
import { startSession } from '../sessions/start-session';
import { database } from '../storage/database';
import { rows } from '../storage/rows';
import { inFreshFiles } from '../testing/fresh-file';
import { advised, keepAdvice, type Advised } from './advised';
import { boardOf } from './progress';

inFreshFiles();

const DAY = 86_400_000;
/** Ten in the morning, some days ago. */
const morning = (daysAgo: number): number => {
  const at = new Date(Date.now() - daysAgo * DAY);
  return at.setHours(10, 0, 0, 0);
};
const WORDS = ['sun', 'map', 'leg', 'net', 'fish', 'moon'];

async function groupOf(names = 'Wren\nKofi\nOttilie'): Promise<{ group: Group; ids: string[] }> {
  const { id } = await addGroup('Radishes');
  await addChildren(id, names);
  const group = sure((await listGroups()).find((g) => g.id === id));
  return { group, ids: group.children.map((c) => c.id) };
}

/** A session of one round, each child so many turns, each right with a chance. */
async function play(group: Group, ids: readonly string[], at: number, random: () => number): Promise<void> {
  const task = random() < 0.5 ? 'blending' : 'segmenting';
  const items = WORDS.map((key) => ({ key, locked: false }));
  const rounds = [{ ...PLAIN_ROUND, id: 'r1', task, step: '3-held', items, seed: 1 }];
  const id = await startSession(
    group.id,
    { title: 'Beans', minutes: 8, letters: false, sound: null, pairs: [], rounds },
    { only: ids },
  );
  const log = Array.from({ length: ids.length * 3 }, (_, i): AnswerEntry => {
    const when = at + i * 20_000;
    const outcome = random() < 0.7 ? 'on-own' : 'not-yet';
    return {
      ...answered(i, sure(ids[i % ids.length]), sure(WORDS[i % WORDS.length])),
      outcome,
      id: v7({ msecs: when }),
      at: when,
    };
  });
  await appendLog(id, log);
}

const told = ({ next, other, skills, replies, hearing }: Advised): unknown => ({
  next,
  other,
  replies,
  hearing,
  states: skills.map((s) => [s.workingOn?.rung, s.due, s.rungs.map((r) => [r.state, r.fresh])]),
});

/** What is in mind is forgotten, as at a restart. */
async function forget(ids: readonly string[]): Promise<void> {
  (await database()).remembered.letGo(ids);
}
const keptIds = async (): Promise<string[]> =>
  (await rows<{ id: string }>('SELECT child_id AS id FROM kept_advice', {})).map((r) => r.id).sort();

test('what is advised is kept in the file, and after a restart it is read, not worked out', async () => {
  const { group, ids } = await groupOf();
  const random = seeded(3);
  for (const daysAgo of [9, 6, 2]) await play(group, ids, morning(daysAgo), random);
  const now = Date.now();
  const before = await advised(ids, now);
  await forget(ids);
  await keepAdvice(ids, now);
  expect(await keptIds()).toEqual([...ids].sort());
  await forget(ids);
  // Were it worked out anew, it would know of no answers now.
  await (await database()).sequelize.query('DELETE FROM evidence');
  const after = await advised(ids, now);
  for (const id of ids) expect(told(sure(after.of.get(id)))).toEqual(told(sure(before.of.get(id))));
});

test('it is the same as advice, to the last word, and to six places of the model', async () => {
  const { group, ids } = await groupOf();
  await play(group, ids, morning(2), seeded(5));
  const advice = sure((await advised(ids, Date.now())).of.get(sure(ids[0])));
  const read = adviceRead(adviceKept(advice), advice.model.local);
  expect({ ...read, model: null, choice: null }).toEqual({ ...advice, model: null });
  for (const [ladder, shares] of advice.model.abilities)
    sure(read.model.abilities.get(ladder)).forEach((p, i) => expect(p).toBeCloseTo(sure(shares[i]), 5));
});

test('a new answer, another age and an erased child leave nothing old', async () => {
  const { group, ids } = await groupOf();
  const random = seeded(7);
  await play(group, ids, morning(4), random);
  const now = Date.now();
  await keepAdvice(ids, now);
  await play(group, ids.slice(0, 1), morning(1), random);
  await advised(ids, now);
  expect(await keptIds()).toEqual(ids.slice(1).sort());
  await keepAdvice(ids, now);
  const older = sure((await advised(ids, now)).of.get(sure(ids[1])));
  await setAgeBand(group.id, 'nursery');
  const younger = sure((await advised(ids, now)).of.get(sure(ids[1])));
  expect(younger.next?.rung === older.next?.rung && younger.next?.reason === older.next?.reason).toBe(false);
  await eraseChild(sure(ids[2]));
  expect(await keptIds()).not.toContain(ids[2]);
});

test('time alone: kept until the day that it changes something', async () => {
  const { group, ids } = await groupOf();
  for (const daysAgo of [12, 9, 5]) await play(group, ids, morning(daysAgo), () => 0);
  const now = Date.now();
  await keepAdvice(ids, now);
  const [id = ''] = ids;
  const { until, next } = sure((await advised([id], now)).of.get(id));
  expect(until).toBeGreaterThan(now + 10 * DAY);
  expect(next?.move).toBe('up');
  await forget(ids);
  const dayBefore = sure((await advised([id], until - 2 * DAY)).of.get(id));
  expect(dayBefore.next).toEqual(next);
  await forget(ids);
  const then = sure((await advised([id], until + DAY)).of.get(id));
  expect(then.next).toMatchObject({ move: 'again' });
  expect(then.next?.reason).toContain('for three weeks');
});

const DAYS = times(VOICE_BARS.days, 24);

const STEADY = `${DAYS} random days: the first card stands while nothing is played; a session moves it once at most`;

test(
  STEADY,
  async () => {
    const { group, ids } = await groupOf('Wren\nKofi\nOttilie\nIdris\nSaoirse');
    const random = seeded(11);
    let moved = 0;
    for (let day = 0; day < DAYS; day += 1) {
      const start = morning(DAYS - day);
      const firstAt = async (hours: number): Promise<string> => {
        await forget(random() < 0.5 ? ids : []);
        const [card] = await readySessions(group, start + hours * 3_600_000);
        return JSON.stringify([card?.title, card?.why, card?.wish]);
      };
      const before = await firstAt(-2);
      for (const hours of [-1.5, -0.1]) expect(await firstAt(hours), `day ${day}`).toBe(before);
      await play(group, ids, start, random);
      const seen = new Set([before]);
      for (const hours of [0.5, 2, 5]) seen.add(await firstAt(hours));
      expect(seen.size, `day ${day}`).toBeLessThanOrEqual(1 + VOICE_BARS.changesAfterSession);
      if (seen.size > 1) moved += 1;
      const reasons = (await boardOf(group, start + 5 * 3_600_000)).map((c) => c.next?.reason ?? '');
      for (const reason of reasons) expect(reason.length, `day ${day}`).toBeGreaterThan(10);
    }
    // It does move, now and then.
    expect(moved).toBeGreaterThan(0);
  },
  900_000,
);
