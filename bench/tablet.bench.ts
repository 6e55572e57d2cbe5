import { test } from 'vitest';
import { sure } from '../src/core/sure';
import { addNames, awake, beginPlay, openApp, ownBrowser, openPage } from '../e2e/support/app';
import { makeOtherHost } from '../e2e/support/two-hosts';
import { print, rowOf } from './table';
import { measure } from './turns';

/** Turns at a time, the two in turn, and how often. */
const TURNS = 5;
const TIMES = 12;

test('a turn on a tablet over the wire, beside one on the computer itself', async () => {
  const there = makeOtherHost();
  const [app, browser] = await Promise.all([openApp(), ownBrowser()]);
  const { page } = await openPage(browser);
  await addNames(
    page,
    app.url,
    Array.from({ length: 12 }, (_, i) => `Child ${i + 1}`),
  );
  const lent = await beginPlay(page, app.url, 'sounds=4&task=segmenting');
  await page.goto(`${app.url}/lend/${lent}`);
  const choice = page.getByRole('radio', { name: there.address });
  if (await page.getByRole('radio').count()) await choice.click();
  await page.getByRole('button', { name: 'Let a tablet in' }).click();
  const beside = page.locator('div').filter({ has: page.getByText('It lets one tablet in') });
  const text = await beside.last().innerText();
  const url = sure(/https:[^\s]+/.exec(text)?.[0]);
  const tablet = await there.browser(url);
  const far = await (await tablet.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await far.goto(url);
  await far.getByLabel('Letters').fill(sure(/(?:\w{3} ){3}\w{3}/.exec(text)?.[0]));
  await far.getByRole('button', { name: 'Come in' }).click();
  await far.waitForURL(/\/lent\//);
  await awake(far);
  const { page: near } = await openPage(browser);
  await beginPlay(near, app.url, 'sounds=4&task=segmenting');
  const [onTablet, here]: [number[], number[]] = [[], []];
  for (let i = 0; i < TIMES; i += 1) {
    onTablet.push(...(await measure(far, TURNS)).painted);
    here.push(...(await measure(near, TURNS)).painted);
  }
  const [away, own] = [rowOf('tap → next turn painted, on a tablet over the wire', onTablet), rowOf('… here', here)];
  print('A session that is lent', [away, own]);
  console.log(`ratio of a turn on a tablet to one here (p50): ${(away.p50 / own.p50).toFixed(2)} (bar 1.2)`);
  await tablet.close();
  await browser.close();
  await app.stop();
  there.leave();
});
