import { expect, test } from 'vitest';
import { planRequestSchema } from '../../core/formats/plan-file';
import { TASKS } from '../../core/games';
import { seeded } from '../../core/random';
import { SHAPES } from '../../core/sessions/shapes';
import { readingAge } from '../../core/testing/reading-age';
import { sure } from '../../core/sure';
import { addChildren, addGroup } from '../people/groups';
import { newPlan, openPlan } from '../plans/plans';
import { inFreshFiles } from '../testing/fresh-file';
import { homePaper } from './home-page';
import { startSession } from './start-session';

inFreshFiles();

/** Lines that fit on a page of A4 at the size it is printed; e2e/whole-session prints the longest kind as a PDF. */
const LINES = { played: 4, words: 6, sounds: 3 };

test('the page for families stays one page and readable at nine, for 200 seeded sessions', async () => {
  const random = seeded(918);
  const pick = <T>(of: readonly T[]): T => sure(of[Math.floor(random() * of.length)]);
  const { id: groupId } = await addGroup('Radishes');
  await addChildren(groupId, 'Wren\nKofi\nIdris\nMaisie');
  for (let i = 0; i < 200; i += 1) {
    const task = pick(TASKS);
    const wish = planRequestSchema.parse({
      shape: sure(SHAPES[i % SHAPES.length]),
      task: task.id,
      step: pick(task.steps).id,
      minutes: 5 + Math.floor(random() * 11),
      sound: random() < 0.3 ? pick(['s', 'm', 'p', 't']) : undefined,
      pattern: pick(['closing-first', 'opening-s', 'last-stops', 'keeps-rime']),
      seed: i + 1,
    });
    // A sound that a game has no words for is asked for no longer.
    const id = await newPlan(groupId, wish).catch(() => newPlan(groupId, { ...wish, sound: undefined }));
    const { plan } = await openPlan(id);
    const page = await homePaper(await startSession(groupId, plan));
    expect(page.played.length).toBeLessThanOrEqual(LINES.played);
    expect(page.words.length).toBeLessThanOrEqual(LINES.words);
    expect(page.sounds.length).toBeLessThanOrEqual(LINES.sounds);
    for (const line of [...page.played, page.game, ...page.sounds]) expect(line.length, line).toBeLessThanOrEqual(130);
    expect(page.text.length).toBeLessThanOrEqual(1_200);
    const prose = [...page.played, page.game, ...page.sounds, page.close].join(' ');
    expect(readingAge(prose), prose).toBeLessThanOrEqual(9);
  }
});
