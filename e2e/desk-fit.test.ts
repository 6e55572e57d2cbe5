import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import { DESK_SIZES, deskFaults } from './support/desk';
import { openPage, still, type App } from './support/app';
import { onStage } from './support/stage';
import { sure } from '../src/core/sure';

// Every screen at the table, at the sizes people have: nothing is cut, covered or sideways, and the first heading and
// what the screen is for are in view.

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { demo: true },
);

/** How each screen is reached, and what it is for. */
const SCREENS: readonly (readonly [name: string, where: string, act: string])[] = [
  ['Today', '/', 'main button:has-text("Play with")'],
  ['Words', '/words', 'main button:has-text("Play with"), a[href="#set"]'],
  ['Our sets', '/words/sets', 'main li a'],
  ['Prop shelf', '/words/shelf', 'main li a'],
  ['Add words', '/words/new', 'main input'],
  ['A word', '/word/frog', 'main h1'],
  ['Plan', '/plan', 'main button:has-text("Plan it")'],
  ['Names', '/children', 'main button:has-text("Add …")'],
  ['Board', '/children/board', 'main button:has-text("Play")'],
  ['Two adults', '/children/ears', 'main h1'],
  ['Look back', '/look-back', 'main li a'],
  ['Sounds', '/sounds', 'main td a, main section a'],
  ['A sound', '/sounds/p', 'main h1'],
  ['How we say and count', '/settings', 'main [role=radio]'],
  ['Judging', '/settings/judging', 'main [role=radio]'],
  ['Sounds taught', '/settings/taught', 'section:has(#next-h) button'],
  ['This device', '/settings/device', 'main [role=switch]'],
  ['Our data', '/settings/our-data', '#backup-folder'],
];

async function first(page: Page, list: string, url: RegExp, link: string): Promise<void> {
  await page.goto(`${app.url}${list}`);
  await page.locator(link).first().click();
  await page.waitForURL(url);
}

/** Screens that are about one thing, reached as people reach it. */
const ABOUT: readonly (readonly [name: string, go: (page: Page) => Promise<void>, act: string])[] = [
  [
    'A child',
    (page) => first(page, '/children/board', /children\/[0-9a-f]{8}/, 'tbody th a'),
    'button:has-text("Play this")',
  ],
  ['A plan', (page) => first(page, '/plan', /plan\/[0-9a-f]{8}/, 'main li a'), 'button:has-text("Play now")'],
  [
    'A session',
    (page) => first(page, '/look-back', /look-back\/[0-9a-f]{8}/, 'main li a'),
    'h2:has-text("To talk about")',
  ],
  [
    'A session to lend',
    async (page) => {
      await first(page, '/plan', /plan\/[0-9a-f]{8}/, 'main li a');
      await page.getByRole('button', { name: 'Play it on a tablet' }).click();
      await page.waitForURL(/\/lend\//);
    },
    'button:has-text("Let a tablet in")',
  ],
];

test('every screen at the table fits, at four sizes', async () => {
  const { page, trouble } = await openPage(browser);
  const faults: string[] = [];
  const look = async (name: string, act: string): Promise<void> => {
    await still(page);
    for (const size of DESK_SIZES)
      for (const fault of await deskFaults(page, { size, act })) faults.push(`${name}, ${size.join('×')}: ${fault}`);
    await page.setViewportSize({ width: 1280, height: 800 });
  };
  for (const [name, where, act] of SCREENS) {
    await page.goto(app.url + where);
    await look(name, act);
  }
  for (const [name, go, act] of ABOUT) {
    await go(page);
    await look(name, act);
  }
  expect(faults).toEqual([]);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('on a phone the page of each child is three screens at most, and what was not seen is folded', async () => {
  const { page } = await openPage(browser, 390, 844);
  await page.goto(`${app.url}/children/board`);
  const pages = await page
    .locator('a[href^="/children/"]')
    .evaluateAll((all) => [...new Set(all.map((a) => a.getAttribute('href') ?? ''))].filter((h) => h.length > 30));
  expect(pages.length).toBeGreaterThan(4);
  for (const href of pages) {
    await page.goto(app.url + href);
    await still(page);
    const screens = await page.evaluate(() => document.documentElement.scrollHeight / window.innerHeight);
    expect(screens, href).toBeLessThanOrEqual(3);
  }
  await page.getByRole('button', { name: 'Show every step' }).click();
  await page.getByRole('button', { name: 'Only what we’ve seen' }).waitFor();
  await page.getByRole('button', { name: 'Speech differences' }).click();
  await page.getByRole('button', { name: /: (add speech differences|says|speaks)/ }).waitFor();
  await page.context().close();
});

test('on a phone who is here stands within a screen of the first card', async () => {
  const { page } = await openPage(browser, 390, 844);
  await page.goto(app.url);
  await still(page);
  const card = await page
    .getByRole('button', { name: /^Play with/ })
    .first()
    .boundingBox();
  const here = await page.getByRole('heading', { name: 'Here today' }).boundingBox();
  expect(sure(here).y - (sure(card).y + sure(card).height)).toBeLessThan(844);
  await page.getByText(/^\d of \d in Radishes\./).waitFor();
  await page.getByRole('button', { name: 'Who’s away?' }).click();
  await page.getByRole('switch', { name: /^Kofi/ }).waitFor();
  await page.context().close();
});
