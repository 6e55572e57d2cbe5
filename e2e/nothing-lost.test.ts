import type { Browser } from 'playwright-core';
import { expect, test } from 'vitest';
import {
  answersOf,
  beginPlay,
  logOf,
  openPage,
  saved,
  shown,
  tap,
  watch,
  type AnswerRow,
  type App,
  finishNow,
} from './support/app';
import { onStage } from './support/stage';
import { sure } from '../src/core/sure';

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { names: ['Ada', 'Bo', 'Cy', 'Di'] },
);

const rows = (session: string): Promise<AnswerRow[]> => answersOf(app, session);

test('the server is killed between taps and right after one: none lost, none doubled, play goes on', async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=3&task=blending');
  await tap(page, '1', 1);
  await saved(page);
  await app.kill();
  await tap(page, '2', 2);
  await tap(page, '3', 3);
  await page.getByText('2 on this device, not on the server yet').waitFor();
  await app.start();
  await saved(page);
  await tap(page, '4', 4);
  // Killed the instant the mark is shown, with the request on its way.
  await app.kill();
  await app.start();
  await saved(page);
  await page.reload();
  await shown(page, 4);
  await tap(page, '1', 5);
  await saved(page);
  expect((await rows(session)).map((r) => [r.turn, r.outcome, r.child])).toEqual([
    [0, 'on-own', 'Ada'],
    [1, 'with-help', 'Bo'],
    [2, 'not-yet', 'Cy'],
    [3, 'no-reply', 'Di'],
    [4, 'on-own', 'Ada'],
  ]);
  await page.context().close();
});

test('the server is killed at many moments of a session: what was shown as marked is there, once', async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=2');
  const outcomes = ['on-own', 'with-help', 'not-yet', 'no-reply', 'does-not-count'];
  const given: string[] = [];
  for (const [i, delay] of [0, 3, 8, 15, 30, 60].entries()) {
    await tap(page, String(1 + (i % 5)), i + 1);
    given.push(sure(outcomes[i % 5]));
    await page.waitForTimeout(delay);
    await app.kill();
    await app.start();
  }
  await saved(page);
  expect((await rows(session)).map((r) => r.outcome)).toEqual(given);
  await page.context().close();
});

test('a tab that is closed at once and a reload in mid-session resume where they were', async () => {
  const { page } = await openPage(browser);
  const { context } = { context: page.context() };
  const session = await beginPlay(page, app.url, 'sounds=3');
  await tap(page, '1', 1);
  await app.kill();
  await tap(page, '3', 2);
  await page.close();
  await app.start();
  const again = await context.newPage();
  await again.goto(`${app.url}/play/${session}`);
  await shown(again, 2);
  await saved(again);
  expect((await rows(session)).map((r) => r.outcome)).toEqual(['on-own', 'not-yet']);
  await context.close();
});

test('one tap that is sent twice, or a finger that trembles, counts once', async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=3');
  // The answer to the first request is lost on the way, so the device sends again.
  let first = true;
  await page.route('**/log', async (route) => {
    if (first && route.request().postData()?.includes('"answer"')) {
      first = false;
      await route.fetch();
      await route.abort();
    } else {
      await route.continue();
    }
  });
  await page.getByRole('button', { name: /^On own/ }).dblclick();
  await shown(page, 1);
  await saved(page);
  await page.waitForTimeout(400);
  await shown(page, 1);
  expect(await rows(session)).toHaveLength(1);
  await page.context().close();
});

test('two tabs playing one session: said in words, both kept, no answer lost', async () => {
  const { page: left } = await openPage(browser);
  const session = await beginPlay(left, app.url, 'sounds=3');
  const right = await left.context().newPage();
  const trouble = watch(right);
  await right.goto(`${app.url}/play/${session}`);
  for (const page of [left, right]) await page.getByText('open in another tab too').waitFor();
  await tap(left, '1', 1);
  await shown(right, 1);
  await tap(right, '2', 2);
  await shown(left, 2);
  await saved(left);
  await saved(right);
  const kept = await rows(session);
  expect(kept.map((r) => r.outcome)).toEqual(['on-own', 'with-help']);
  // Whoever had fewest turns lately comes first: two children, one turn each.
  expect(new Set(kept.map((r) => r.child)).size).toBe(2);
  expect(trouble).toEqual([]);
  await left.context().close();
});

test('two devices marking the same turn: the later mark stands and both are in the log', async () => {
  const { page: left } = await openPage(browser);
  const session = await beginPlay(left, app.url, 'sounds=3');
  await saved(left);
  const { page: right } = await openPage(browser);
  await right.goto(`${app.url}/play/${session}`);
  await shown(right, 0);
  await tap(left, '1', 1);
  await saved(left);
  // The other device has not heard of it yet and marks the same turn.
  await tap(right, '3', 1);
  await saved(right);
  expect((await rows(session)).map((r) => r.outcome)).toEqual(['not-yet']);
  const log = await logOf(app, session);
  expect(log.filter((e) => e.kind === 'answer')).toHaveLength(2);
  await left.goto(`${app.url}/look-back/${session}`);
  // Whose it is and what each said, with the other to choose.
  await left.getByRole('heading', { name: 'Marked on two devices' }).waitFor();
  await left.getByText(/, not yet counts, as the later mark\.$/).waitFor();
  await left.getByRole('button', { name: /^Use the other: .*, on own$/ }).click();
  await left.getByRole('heading', { name: 'Marked on two devices' }).waitFor({ state: 'detached' });
  expect((await rows(session)).map((r) => r.outcome)).toContain('on-own');
  await left.context().close();
  await right.context().close();
});

test('finishing while the server is away: said, kept, and sent from any screen once it is back', async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=3');
  await tap(page, '1', 1);
  await saved(page);
  await app.kill();
  await tap(page, '3', 2);
  await finishNow(page);
  await page.getByText('Your last answers are safe on this device').waitFor();
  // The tab goes on to another screen before the server has heard of it.
  await page.goto('about:blank');
  await app.start();
  await page.goto(app.url);
  await expect
    .poll(async () => (await rows(session)).map((r) => r.outcome), { timeout: 90_000 })
    .toEqual(['on-own', 'not-yet']);
  await page.goto(`${app.url}/look-back/${session}`);
  await page.getByText('2 answers: 1 on own, 1 not yet.').waitFor();
  await page.context().close();
});

test('a note and a sound tapped as missed outlive a reload before the answer is marked', async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=3&task=segmenting');
  await saved(page);
  await page
    .getByRole('button', { name: /: missed$/ })
    .first()
    .click();
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Note' }).fill('whispered');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.reload();
  await page.getByRole('button', { name: 'Note ✓' }).waitFor();
  await tap(page, '3', 1);
  await saved(page);
  const [first] = (
    (await (await fetch(`${app.url}/api/sessions/${session}/export?as=json`)).json()) as {
      answers: { note: string; missed: number[] }[];
    }
  ).answers;
  expect(first).toMatchObject({ note: 'whispered', missed: [0] });
  await page.context().close();
});
