import type { Browser } from 'playwright-core';
import { expect, test } from 'vitest';
import { openApp, openPage, type App } from './support/app';
import { violations } from './support/axe';
import { onStage } from './support/stage';

// What is new at the table: quick find, the cards of the first day, any game from a set, a correction taken back.

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { demo: true },
);

test('anything is found by name or by sounds, by keys alone, and what is not there is said', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(app.url);
  await page.keyboard.press('Control+k');
  const field = page.getByPlaceholder('a name, a word, 4 sounds, or sh o p');
  await field.waitFor();
  await page.getByRole('option', { name: 'Look back' }).waitFor();
  expect(await violations(page)).toEqual([]);
  await page.keyboard.type('s l u g');
  await page.getByRole('group', { name: 'Words' }).getByRole('option', { name: /^slug/ }).waitFor();
  await page.keyboard.press('Enter');
  await page.waitForURL(/word\/slug/);
  // Enter before anything was found: it waits, and goes to what was typed and not to what still stands in the list.
  const asked = new Set<string>();
  let answer = (): void => undefined;
  const held = new Promise<void>((resolve) => (answer = resolve));
  await page.route(/api\/find\?q=w/, async (route) => {
    asked.add(route.request().url());
    await held;
    await route.continue();
  });
  await page.keyboard.press('Control+k');
  await field.waitFor();
  await page.getByRole('option', { name: 'Look back' }).waitFor();
  await page.keyboard.type('wren');
  await page.keyboard.press('Enter');
  await expect.poll(() => [...asked].at(-1)).toMatch(/wren$/);
  expect(page.url()).toMatch(/word\/slug/);
  answer();
  await page.waitForURL(/children\/[0-9a-f]{8}/);
  await page.keyboard.press('Meta+k');
  await field.waitFor();
  await page.keyboard.type('qqqq');
  await page.getByText('We can’t find “qqqq”.').waitFor();
  expect(await violations(page)).toEqual([]);
  await page.context().setOffline(true);
  await page.keyboard.type('x');
  await page.getByText('We can’t reach the server.').waitFor();
  await page.keyboard.press('Escape');
  await field.waitFor({ state: 'detached' });
  expect(trouble.filter((t) => !/ERR_INTERNET|offline/i.test(t))).toEqual([]);
  await page.context().close();
});

test('on the first day four cards stand above the games, wait for nothing, and stay away once left', async () => {
  const fresh = await openApp();
  const { page, trouble } = await openPage(browser, 390, 844);
  await page.goto(fresh.url);
  const cards = page.getByRole('region', { name: 'Your first game in a minute' });
  await cards.waitFor();
  expect(await page.getByRole('button', { name: /^Play now/ }).count()).toBeGreaterThan(0);
  expect(await violations(page)).toEqual([]);
  await cards.getByRole('button', { name: 'Next: how you speak' }).click();
  await cards.getByRole('radio', { name: 'Scottish' }).click();
  await cards.getByRole('button', { name: 'Next: who’s playing' }).click();
  await cards.getByLabel('First names').waitFor();
  expect(await violations(page)).toEqual([]);
  await cards.getByRole('button', { name: 'Next: one tap each' }).click();
  await cards.getByText('said it without any help').waitFor();
  await cards.getByRole('button', { name: 'I’m ready' }).click();
  await cards.waitFor({ state: 'detached' });
  await page.reload();
  await page
    .getByRole('button', { name: /^Play now/ })
    .first()
    .waitFor();
  await expect.poll(() => cards.count()).toBe(0);
  await page.goto(`${fresh.url}/settings`);
  await page.getByRole('radio', { name: 'Scottish', checked: true }).waitFor();
  expect(trouble).toEqual([]);
  await page.context().close();
  await fresh.stop();
});

test('a set of thirty is played in another game; sounds taught are ticked where they are asked for', async () => {
  const { page, trouble } = await openPage(browser);
  // A group without letters: with them, sounds and spellings are ticked together on a page of their own.
  await page.goto(`${app.url}/settings/taught`);
  await page.getByRole('switch', { name: 'Radishes works with letters too' }).click();
  await page.getByRole('heading', { name: 'Sounds we’ve taught', level: 1 }).waitFor();
  await page.goto(`${app.url}/words?sounds=3&size=30`);
  await page.getByRole('heading', { name: /30 words/ }).waitFor();
  await page.getByRole('button', { name: 'change our sounds' }).click();
  const taught = page.getByRole('dialog', { name: 'Sounds we’ve taught' });
  await taught.getByRole('button', { name: 'f', exact: true }).click();
  expect(await violations(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Another game …' }).click();
  const games = page.getByRole('dialog', { name: 'Play these words in another game' });
  await games.getByRole('button').nth(3).waitFor();
  expect(await violations(page)).toEqual([]);
  await games.getByRole('button', { name: /^Play ?: Sort into two rows/ }).click();
  await page.waitForURL(/\/play\//);
  await page
    .getByRole('button', { name: /^(Done –|On own)/ })
    .first()
    .waitFor();
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a mark is corrected in two taps, taken back in one, and the focus stays with it', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/look-back`);
  await page.locator('main li a', { hasText: 'Segmenting' }).first().click();
  await page.waitForURL(/look-back\/[0-9a-f]{8}/);
  const tally = page.getByText(/^\d+ answers: /);
  const before = await tally.textContent();
  await page.getByRole('heading', { name: 'To talk about' }).waitFor();
  const tile = page.getByRole('button', { name: /Not yet .*correct this$/ }).first();
  const name = await tile.innerText();
  await tile.click();
  await page.getByRole('dialog').getByRole('button', { name: 'On own' }).click();
  await page.getByRole('dialog').waitFor({ state: 'detached' });
  await expect.poll(() => tally.textContent()).not.toBe(before);
  expect(await page.evaluate(() => document.activeElement?.textContent)).toMatch(/correct this$/);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByText('It’s back as it was.').waitFor();
  await expect.poll(() => tally.textContent()).toBe(before);
  expect(name.length).toBeGreaterThan(0);
  expect(await violations(page)).toEqual([]);
  expect(trouble).toEqual([]);
  await page.context().close();
});
