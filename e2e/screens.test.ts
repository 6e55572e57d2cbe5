import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { openApp, closePages, openBrowser, openPage, still, tap, type App } from './support/app';
import { violations } from './support/axe';
import { times } from '../src/core/testing/deep';
import { sure } from '../src/core/sure';

let app: App;
let empty: App;
let browser: Browser;
let session: string;
let set: string;
let plan: string;
let paper: string;
beforeAll(async () => {
  [app, empty, browser] = await Promise.all([openApp({ demo: true }), openApp(), openBrowser()]);
  const { page } = await openPage(browser);
  await page.goto(`${app.url}/look-back`);
  session = sure(
    sure(await page.locator('main li a').first().getAttribute('href'))
      .split('/')
      .at(-1),
  );
  await page.goto(`${app.url}/words?words=frog,frost,strawberry`);
  await page.getByLabel('Name of the set').fill('Pond '.repeat(11));
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.waitForURL(/set=/);
  set = sure(new URL(page.url()).searchParams.get('set'));
  await page.goto(`${app.url}/plan`);
  plan = sure(
    sure(await page.getByRole('link', { name: 'Tuesday: /s/ at the start', exact: true }).getAttribute('href'))
      .split('/')
      .at(-1),
  );
  await page.goto(`${app.url}/print/plans/${plan}`);
  await page.getByRole('button', { name: 'Tick grid' }).click();
  await page.waitForURL(/print\/papers/);
  paper = sure(new URL(page.url()).pathname.split('/').at(-1));
  await page.context().close();
});
afterAll(async () => {
  await closePages(browser);
  await Promise.all([app?.stop(), empty?.stop()]);
});

const SIZES = [
  [1280, 800],
  [768, 1024],
  [390, 844],
] as const;

/**
 * Whether axe reads a screen at a width: every screen at the widest; at the narrowest Play each day, and every screen
 * before a change is called done. Between them only the columns move.
 */
const isRead = (width: number, url: string): boolean =>
  width === 1280 || (width === 390 && times(true, url.includes('/play/')));

const check = async (page: Page): Promise<void> => {
  // The title follows the page by a moment when one screen leads to the next.
  await expect.poll(() => page.title()).not.toBe('');
  const { width } = sure(page.viewportSize());
  if (isRead(width, page.url())) expect(await violations(page)).toEqual([]);
  const sideways = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(sideways, `nothing reaches over the side of ${page.url()}, ${width} wide`).toBeLessThanOrEqual(0);
};

test('zero axe violations, and nothing over the side at three sizes, on every screen', async () => {
  const { page, trouble } = await openPage(browser);
  const atEverySize = async (): Promise<void> => {
    for (const [width, height] of SIZES) {
      await page.setViewportSize({ width, height });
      await check(page);
    }
  };
  for (const where of [
    '/',
    '/words',
    '/words?sounds=5&task=segmenting&first=hold',
    '/words?sounds=any&q=_%20a%20t',
    '/word/box',
    '/word/squirrel',
    '/word/new',
    '/words/sets',
    '/words/shelf',
    '/words/new',
    '/sounds',
    '/sounds/p',
    '/sounds/%C9%AA',
    `/print/sets/${set}`,
    `/print/sets/${set}?as=cards`,
    '/plan',
    `/plan/${plan}`,
    `/print/plans/${plan}`,
    `/print/plans/${plan}?as=grid`,
    `/print/plans/${plan}?as=cards`,
    '/children',
    '/look-back',
    `/look-back/${session}`,
    `/lend/${session}`,
    `/print/papers/${paper}`,
    `/look-back/paper/${paper}`,
    '/settings',
    '/settings/judging',
    '/settings/taught',
    '/settings/device',
    '/settings/our-data',
    `/play/${session}`,
  ]) {
    await page.goto(app.url + where);
    await still(page);
    await atEverySize();
  }
  for (const where of [
    '/',
    '/plan',
    '/children',
    '/look-back',
    '/words?sounds=4&shape=CCCV&first=clip',
    '/words/sets',
    '/words/shelf',
  ]) {
    await page.goto(empty.url + where);
    await atEverySize();
  }
  expect(trouble).toEqual([]);
  await page.context().close();
}, 600_000);

/**
 * Text of Play that is seen and cannot be read: smaller than 20 px (a step less beside a long item) on a screen that
 * stands a metre away, than 12 px on one in the hand. Keys are read from the keyboard.
 */
async function smallType(page: Page): Promise<string[]> {
  const least = sure(page.viewportSize()).width < 768 ? 12 : 18;
  return page.locator('.playing *').evaluateAll(
    (all, px) =>
      all
        .filter((e) => {
          const own = [...e.childNodes].some((n) => n.nodeType === Node.TEXT_NODE && n.textContent?.trim());
          const box = e.getBoundingClientRect();
          return (
            own &&
            box.width > 2 &&
            box.height > 2 &&
            getComputedStyle(e).visibility === 'visible' &&
            parseFloat(getComputedStyle(e).fontSize) < px &&
            !['NOSCRIPT', 'KBD'].includes(e.tagName)
          );
        })
        .map((e) => `${e.textContent} ${getComputedStyle(e).fontSize}`),
    least,
  );
}

/** The widest and the narrowest every day, all of them before a change is called done. */
const RUN_AT = times([...SIZES, [1024, 768]] as const, [SIZES[0], SIZES[2]] as const);

describe.each(RUN_AT)('at %i × %i', (width, height) => {
  test('the run, its dialogs and the correction dialog', async () => {
    const { page, trouble } = await openPage(browser, width, height);
    for (const task of ['blending', 'segmenting']) {
      await page.goto(`${app.url}/words?sounds=5&task=${task}`);
      await page.getByRole('button', { name: /^Play with/ }).click();
      await page.waitForURL(/\/play\//);
      await check(page);
      await page.getByRole('button', { name: /^Done –/ }).click();
      await page.getByRole('button', { name: /^On own/ }).waitFor();
      await check(page);
      const targets = await page
        .locator('main button, footer button, nav button')
        .evaluateAll((all) =>
          all
            .map((b) => [b.textContent, Math.round(b.getBoundingClientRect().height)] as const)
            .filter(([, h]) => h > 0 && h < 46),
        );
      // Forty-eight, less the hairlines between places.
      expect(targets, 'touch targets in Play are 48 px or more').toEqual([]);
      for (const key of ['n', '?', 't', 'd', 'b']) {
        await page.evaluate(() => (document.activeElement as HTMLElement).blur());
        await page.keyboard.press(key);
        await page.getByRole('dialog').waitFor();
        await check(page);
        await page.keyboard.press('Escape');
        await page.getByRole('dialog').waitFor({ state: 'detached' });
      }
      const small = await smallType(page);
      expect(small, 'type in Play can be read').toEqual([]);
      const outcomes = await page
        .getByRole('button', { name: /^(On own|With help|Not yet|No reply|Doesn’t count)/ })
        .evaluateAll((all) => all.map((b) => b.getBoundingClientRect().height));
      expect(outcomes).toHaveLength(5);
      // A thumb on a phone is nearer than a hand on the carpet.
      expect(Math.min(...outcomes), 'outcomes are large').toBeGreaterThanOrEqual(width < 768 ? 55 : 63);
      // What can be said of a mark just made: the longest word of the set may come next.
      for (const turns of [1, 2]) {
        await tap(page, '1', turns);
        await check(page);
      }
      if (width >= 1024) {
        const fold = await page
          .getByRole('button', { name: /^Doesn’t count/ })
          .evaluate((b) => b.getBoundingClientRect().bottom);
        expect(fold, 'every outcome is in sight').toBeLessThanOrEqual(height);
      }
    }
    await page.goto(`${app.url}/look-back/${session}`);
    await page
      .getByRole('button', { name: /correct this$/ })
      .first()
      .click();
    await page.getByRole('dialog').waitFor();
    await check(page);
    await page.goto(`${app.url}/nowhere`);
    await check(page);
    expect(trouble.filter((t) => !t.includes('404'))).toEqual([]);
    await page.context().close();
  });
});

test('a whole choice by keyboard alone', async () => {
  const { page } = await openPage(browser);
  await page.goto(`${app.url}/words`);
  const tabTo = async (name: RegExp): Promise<void> => {
    for (let i = 0; i < 150; i += 1) {
      await page.keyboard.press('Tab');
      const text = await page.evaluate(
        () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
      );
      if (name.test(text)) return;
    }
    throw new Error(`no way by keyboard to ${name}`);
  };
  await tabTo(/^2 sounds/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/sounds=2/);
  await tabTo(/^Play with/);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^Done –/ }).waitFor();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^On own/ }).waitFor();
  await page.keyboard.press('1');
  await page.getByRole('button', { name: /^Undo: / }).waitFor();
  await page.context().close();
});

test('settings: the example changes with the choice, and confirming lets contested words in', async () => {
  const { page } = await openPage(browser);
  await page.goto(`${empty.url}/settings`);
  await page.getByText('General American').click();
  await page.getByRole('button', { name: 'Sound by sound' }).click();
  await page.getByText('card has 4').waitFor();
  await page.getByRole('button', { name: 'As the letters go' }).click();
  await page.getByText('box has 3').waitFor();
  await page.getByRole('button', { name: 'This is how we count' }).click();
  await page.getByText('Saved.').waitFor();
  await page.reload();
  await page.getByText('box has 3').waitFor();
  await page.goto(`${empty.url}/words?sounds=3`);
  expect(await page.getByText('choose how to count them').count()).toBe(0);
  await page.context().close();
});

test('dim for nap time: chosen once, kept on the device, legible everywhere, and never printed', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/settings/device`);
  const paper = (): Promise<string> => page.evaluate(() => getComputedStyle(document.documentElement).backgroundColor);
  const light = await paper();
  await page.getByRole('switch', { name: /nap time/ }).click();
  await page.goto(`${app.url}/`);
  const dim = await paper();
  expect(dim).not.toBe(light);
  for (const where of [
    '/',
    '/words?sounds=5&task=segmenting',
    '/word/squirrel',
    '/words/shelf',
    '/sounds',
    '/plan',
    `/plan/${plan}`,
    '/children',
    '/children/board',
    '/children/ears',
    `/look-back/${session}`,
    `/lend/${session}`,
    '/settings',
    '/settings/judging',
    '/settings/taught',
    '/settings/device',
    '/settings/our-data',
    `/print/plans/${plan}`,
  ]) {
    await page.goto(app.url + where);
    await check(page);
  }
  await page.goto(`${app.url}/children/board`);
  await page.locator('tbody th a').first().click();
  await page.waitForURL(/children\/[0-9a-f]{8}/);
  await page.getByRole('heading', { level: 1 }).waitFor();
  await check(page);
  await page.keyboard.press('Control+k');
  await page.getByRole('option').first().waitFor();
  await check(page);
  await page.emulateMedia({ media: 'print' });
  expect(await paper()).toBe(light);
  await page.emulateMedia({ media: 'screen' });
  await page.goto(`${app.url}/words?sounds=4&task=segmenting`);
  await page.getByRole('button', { name: /^Play with/ }).click();
  await page.getByRole('button', { name: /^Done –/ }).click();
  await page.getByRole('button', { name: /^On own/ }).waitFor();
  await check(page);
  await page.keyboard.press('d');
  await check(page);
  await page.getByRole('switch', { name: 'Dim, for nap time' }).click();
  expect(await paper()).toBe(light);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('longest name, longest list: thirty children, sixty letters each', async () => {
  const { page } = await openPage(browser);
  await page.goto(`${empty.url}/children`);
  await page.getByLabel('First names').fill(Array.from({ length: 30 }, (_, i) => `${i} ${'W'.repeat(56)}`).join('\n'));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByText('Added 30 children.').waitFor();
  for (const where of ['/children', '/', '/words']) {
    await page.goto(empty.url + where);
    await check(page);
  }
  await page.goto(`${empty.url}/words`);
  await page.getByRole('button', { name: /^Play with/ }).click();
  await page.waitForURL(/\/play\//);
  await check(page);
  await page.context().close();
});
