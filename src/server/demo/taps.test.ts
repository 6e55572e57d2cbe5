import { expect, test } from 'vitest';
import { addHabits, habitsOf, NO_HABITS, rank, type Habits } from '../../core/answers/rank';
import { makeItem } from '../../core/games/item';
import { stepOf, taskOf } from '../../core/games';
import { roundOf } from '../../core/sessions/log';
import { atShare, tapsPerAnswer } from '../../core/testing/taps';
import { preparedBank } from '../words/bank';
import { database } from '../storage/database';
import { sessionLog, sessionRecord } from '../record/session-record';
import { inFreshFiles } from '../testing/fresh-file';
import { sure } from '../../core/sure';
import { seedDemo } from './seed';

inFreshFiles();

// The bar is our own; the sessions are the demo's invented ones, a real SQLite file.
test('an answer of the demo’s sessions takes one tap in the middle, and two or fewer in 95 of 100', async () => {
  await seedDemo(Date.UTC(2026, 10, 25, 9));
  const { models } = await database();
  const said: Record<string, Habits> = {};
  const taps: number[] = [];
  for (const row of await models.sessions.findAll({ order: [['started_at', 'ASC']] })) {
    const session = await sessionRecord(row.get().id);
    const material = await preparedBank(session.accent, session.conventions);
    const log = await sessionLog(session.id);
    const items = new Map(
      session.rounds.flatMap((round) =>
        [...round.items, ...round.spares].map(
          (key) => [key, makeItem(taskOf(round.task), stepOf(taskOf(round.task), round.step), key, material)] as const,
        ),
      ),
    );
    const shown = new Set<string>();
    for (const entry of log) {
      if (entry.kind !== 'answer' || entry.supersedes) continue;
      const item = sure(items.get(entry.word));
      const sounds = item.marks.map((m) => m.ipa);
      const habits = said[entry.childId ?? ''] ?? NO_HABITS;
      for (const { said: words } of rank(item.likely, item.marks, habits)) shown.add(`${entry.word} ${words}`);
      said[entry.childId ?? ''] = addHabits(habits, habitsOf([{ slip: entry.slip, sounds, missed: entry.missed }]));
      expect(session.rounds[roundOf(entry.turn)]).toBeDefined();
    }
    taps.push(...tapsPerAnswer(log, (word, words) => shown.has(`${word} ${words}`)).values());
  }
  const mean = taps.reduce((sum, n) => sum + n, 0) / taps.length;
  console.log(
    `taps an answer, ${taps.length} answers of the demo: median ${atShare(taps, 0.5)}, mean ` +
      `${mean.toFixed(2)}, 95 % at most ${atShare(taps, 0.95)}, most ${Math.max(...taps)}`,
  );
  expect(taps.length).toBeGreaterThan(200);
  expect(atShare(taps, 0.5)).toBeLessThanOrEqual(1.3);
  expect(atShare(taps, 0.95)).toBeLessThanOrEqual(2);
});
