import type { Browser, BrowserContext, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import {
  answersOf,
  beginPlay,
  logOf,
  nextFinger,
  openPage,
  saved,
  shown,
  tap,
  waiting,
  watch,
  type App,
} from './support/app';
import { onStage } from './support/stage';
import { sure } from '../src/core/sure';
import { times } from '../src/core/testing/deep';

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { names: ['Ada', 'Bo', 'Cy', 'Di'] },
);

const OUTCOMES = ['on-own', 'with-help', 'not-yet', 'no-reply', 'does-not-count'];

/** The page is kept for a start without the server. */
const keptForAway = (page: Page): Promise<void> =>
  expect
    .poll(
      () =>
        page.evaluate(async () => {
          const names = await caches.keys();
          const files = names.find((n) => n.startsWith('static-'));
          const pages = names.find((n) => n.startsWith('pages-'));
          return (
            Boolean(navigator.serviceWorker.controller) &&
            files !== undefined &&
            (await (await caches.open(files)).keys()).length > 5 &&
            pages !== undefined &&
            (await (await caches.open(pages)).match(location.pathname)) !== undefined
          );
        }),
      { timeout: 90_000 },
    )
    .toBe(true);

/** Presses 1 to 5 in turn until so many turns are marked, with another round where one ends. */
async function markUpTo(page: Page, from: number, to: number): Promise<string[]> {
  const given: string[] = [];
  for (let turns = from + 1; turns <= to; turns += 1) {
    const more = page.getByRole('button', { name: 'One more turn each' });
    if (await more.count()) await more.click();
    await tap(page, String(1 + (turns % 5)), turns);
    given.push(sure(OUTCOMES[turns % 5]));
  }
  return given;
}

test('no network from the middle to the end, reloaded meanwhile: the file holds just the taps, in order', async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=3&task=segmenting');
  await keptForAway(page);
  const given = await markUpTo(page, 0, 3);
  await saved(page);
  await page.context().setOffline(true);
  given.push(...(await markUpTo(page, 3, 5)));
  await page.getByText('on this device, not on the server yet').waitFor();
  await page.reload();
  await shown(page, 5);
  expect(await waiting(page)).toBe(2);
  // The pad comes in later than the page: it is on the device as well. Sounds are judged without the server.
  await page.keyboard.press('t');
  await page.getByRole('dialog').getByRole('button', { name: 's', exact: true }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Mark it/ })
    .click();
  await shown(page, 6);
  given.push('not-yet');
  given.push(...(await markUpTo(page, 6, 8)));
  // One did not count, so the round is a turn longer.
  await tap(page, '1', 9);
  given.push('on-own');
  await page.getByRole('button', { name: 'Finish and look back' }).click();
  await page.getByText('Your last answers are safe on this device').waitFor();
  await page.context().setOffline(false);
  await expect
    .poll(async () => (await answersOf(app, session)).map((a) => a.outcome), { timeout: 90_000 })
    .toEqual(given);
  const answers = await answersOf(app, session);
  expect(answers.map((a) => a.turn)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  // The fourth did not count, so that child goes again at once.
  expect(answers.map((a) => a.child)).toEqual(['Ada', 'Bo', 'Cy', 'Di', 'Di', 'Ada', 'Bo', 'Cy', 'Di']);
  expect(sure(answers[5]).said).toBe('s');
  const log = (await logOf(app, session)).filter((e) => e.kind === 'answer');
  expect(log.map((e) => e.at)).toEqual([...log.map((e) => e.at)].sort((a, b) => a - b));
  expect(log).toHaveLength(9);
  await page.context().close();
});

test('another screen opened without the server says where the running session is', async () => {
  const { page } = await openPage(browser);
  await beginPlay(page, app.url, 'sounds=3');
  await keptForAway(page);
  await tap(page, '1', 1);
  await page.context().setOffline(true);
  await page.goto(`${app.url}/children`);
  await page.getByRole('heading', { name: 'We can’t reach the server' }).waitFor();
  await page.getByRole('link', { name: 'Carry on with the running session' }).click();
  await shown(page, 1);
  await tap(page, '3', 2);
  await page.context().setOffline(false);
  await saved(page);
  await page.context().close();
});

/** How often the server is killed: ten taps each time. */
const KILLS = times(10, 2);

test(`the server is killed ${KILLS} times during ${KILLS * 10} taps: all there, once, in order`, async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=3');
  const given: string[] = [];
  for (let kill = 0; kill < KILLS; kill += 1) {
    given.push(...(await markUpTo(page, kill * 10, kill * 10 + 5)));
    await app.kill();
    given.push(...(await markUpTo(page, kill * 10 + 5, kill * 10 + 8)));
    await app.start();
    given.push(...(await markUpTo(page, kill * 10 + 8, kill * 10 + 10)));
  }
  await saved(page);
  const answers = await answersOf(app, session);
  expect(answers.map((a) => a.turn)).toEqual(Array.from({ length: KILLS * 10 }, (_, i) => i));
  expect(answers.map((a) => a.outcome)).toEqual(given);
  expect((await logOf(app, session)).filter((e) => e.kind === 'answer')).toHaveLength(KILLS * 10);
  await page.context().close();
});

test('two adults on two devices see each other’s marks; the last tap wins and both stay in the log', async () => {
  const { page: left } = await openPage(browser);
  const session = await beginPlay(left, app.url, 'sounds=3&task=segmenting');
  const { page: right } = await openPage(browser);
  await right.goto(`${app.url}/play/${session}`);
  await shown(right, 0);
  await tap(left, '1', 1);
  await shown(right, 1);
  await tap(right, '3', 2);
  await shown(left, 2);
  // Both mark the third turn while neither hears of the other.
  await left.context().setOffline(true);
  await right.context().setOffline(true);
  await tap(left, '1', 3);
  await tap(right, '2', 3);
  await right.context().setOffline(false);
  await left.context().setOffline(false);
  await Promise.all([saved(left), saved(right)]);
  await expect
    .poll(async () => (await answersOf(app, session)).map((a) => a.outcome))
    .toEqual(['on-own', 'not-yet', 'with-help']);
  const marks = (await logOf(app, session)).filter((e) => e.kind === 'answer' && e.turn === 2).map((e) => e.outcome);
  expect(marks).toEqual(['on-own', 'with-help']);
  // Whoever had the third turn: one mark of each kind, and the later one is on both screens.
  const marked = (outcome: string): Promise<number> =>
    left.locator('nav[aria-label="Children"]').getByRole('img', { name: outcome }).count();
  await expect.poll(() => marked('With help')).toBe(1);
  expect(await marked('On own')).toBe(1);
  await left.context().close();
  await right.context().close();
});

/** A context whose clock is off by so much. */
async function offBy(hours: number): Promise<BrowserContext> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addInitScript((ms) => {
    const Real = Date;
    class Shifted extends Real {
      constructor(...args: ConstructorParameters<typeof Date> | []) {
        super(...((args.length ? args : [Real.now() + ms]) as [number]));
      }
      static override now(): number {
        return Real.now() + ms;
      }
    }
    globalThis.Date = Shifted as DateConstructor;
  }, hours * 3_600_000);
  return context;
}

test.each([1, -1])(
  'a device whose clock is off by %d hour: times are the server’s, and order is that of the taps',
  async (hours) => {
    const wrong = await offBy(hours);
    const page = await wrong.newPage();
    const trouble = watch(page);
    const session = await beginPlay(page, app.url, 'sounds=3&task=segmenting');
    const begun = Date.now();
    await tap(page, '1', 1);
    await saved(page);
    const { page: right } = await openPage(browser);
    await right.goto(`${app.url}/play/${session}`);
    await shown(right, 1);
    await tap(right, '2', 2);
    await shown(page, 2);
    // Both mark the third turn out of touch: the right clock first, the wrong one last.
    await page.context().setOffline(true);
    await right.context().setOffline(true);
    await tap(right, '3', 3);
    await page.waitForTimeout(1_500);
    await tap(page, '4', 3);
    await page.context().setOffline(false);
    await right.context().setOffline(false);
    await Promise.all([saved(page), saved(right)]);
    await expect
      .poll(async () => (await answersOf(app, session)).map((a) => a.outcome))
      .toEqual(['on-own', 'with-help', 'no-reply']);
    const answers = await answersOf(app, session);
    for (const { at } of answers) {
      expect(Math.abs(Date.parse(at) - begun), `marked at ${at}`).toBeLessThan(120_000);
    }
    expect(trouble.filter((t) => !t.includes('ERR_INTERNET_DISCONNECTED'))).toEqual([]);
    await wrong.close();
    await right.context().close();
  },
);

test('no room left on the device: said plainly, and answers still reach the server', async () => {
  const { page } = await openPage(browser);
  // Before the page opens its store: Chromium looks at the room only every half minute.
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Storage.overrideQuotaForOrigin', { origin: app.url, quotaSize: 1 });
  const session = await beginPlay(page, app.url, 'sounds=3');
  await page.getByText('This device has no room left').waitFor();
  await tap(page, '2', 1);
  await tap(page, '3', 2);
  expect((await answersOf(app, session)).map((a) => a.outcome)).toEqual(['with-help', 'not-yet']);
  // With neither room nor server nothing is shown as marked, and the screen says so.
  await page.context().setOffline(true);
  await nextFinger(page);
  await page.keyboard.press('1');
  await page.getByText('That tap wasn’t saved').waitFor();
  await shown(page, 2);
  await page.context().setOffline(false);
  await tap(page, '1', 3);
  await page.reload();
  await shown(page, 3);
  expect((await answersOf(app, session)).map((a) => a.outcome)).toEqual(['with-help', 'not-yet', 'on-own']);
  await page.context().close();
});
