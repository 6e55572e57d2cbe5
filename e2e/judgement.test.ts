import type { Browser, Page } from 'playwright-core';
import { describe, expect, test } from 'vitest';
import { sure } from '../src/core/sure';
import { choose, logOf, nextFinger, openPage, saved, type App } from './support/app';
import { violations } from './support/axe';
import { onStage } from './support/stage';

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { demo: true },
);

async function open(page: Page, name: string): Promise<void> {
  await page.goto(`${app.url}/children`);
  await page.getByRole('main').getByRole('link', { name, exact: true }).click();
  await page.getByRole('heading', { level: 1, name }).waitFor();
}

const nextCard = (page: Page) => page.getByRole('region', { name: /^Next: / });

describe('what Wren says and does not hear yet', () => {
  test('her page proposes it with words beside their twins; board and Today agree', async () => {
    const { page, trouble } = await openPage(browser);
    await open(page, 'Wren');
    await nextCard(page)
      .getByRole('heading', { name: /^Next: hear and say “\w+, not \w+”$/ })
      .waitFor();
    const reason = sure(await nextCard(page).locator('p').first().textContent());
    expect(reason).toMatch(/^Often misses .*: \d+ of \d+\. Hear and say \S+ and \S+ beside \S+ and \S+\.$/);
    expect(await violations(page)).toEqual([]);
    await page.goto(`${app.url}/children/board`);
    const row = page.getByRole('row', { name: /Wren/ });
    await row
      .getByText(/hear and say “\w+, not \w+”/)
      .first()
      .waitFor();
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('its round is played to the end: pointing first, then joined, then taken apart', async () => {
    const { page } = await openPage(browser);
    await open(page, 'Wren');
    await nextCard(page).getByRole('button', { name: 'Play this' }).click();
    await page.waitForURL(/\/play\//);
    const session = sure(page.url().split('/').at(-1));
    await page.getByText('Which one did I say?').first().waitFor();
    for (let presses = 0; presses < 60; presses += 1) {
      if (await page.getByRole('heading', { name: 'Round finished' }).count()) {
        const on = page.getByRole('button', { name: /^Next: / });
        if (!(await on.count())) break;
        await on.click();
      }
      const done = page.getByRole('button', { name: /^Done –/ });
      if (await done.count()) {
        await done.click();
        await page.getByRole('button', { name: /^On own/ }).waitFor();
      }
      await nextFinger(page);
      await page.keyboard.press('1');
      await saved(page);
    }
    await page.getByRole('button', { name: /^Finish and look back/ }).click();
    await page.waitForURL(/\/look-back\//);
    const log = await logOf(app, session);
    const turnsOf = new Set(log.filter((e) => e.kind === 'answer').map((e) => Math.floor(sure(e.turn) / 1000)));
    expect([...turnsOf].sort()).toEqual([0, 1, 2]);
    await page.context().close();
  });
});

test('a pebble check in Play: offered after a lost sound, once; its marks are kept with the answer', async () => {
  const { page, trouble } = await openPage(browser, 390, 844);
  await page.goto(`${app.url}/children`);
  await open(page, 'Ottilie');
  await page.getByRole('button', { name: 'Another step' }).click();
  await page.getByRole('combobox', { name: /We’ll save your choice/ }).click();
  await choose(page, 'blending|4-start');
  await page.getByRole('heading', { name: 'Next: blend words like frog' }).waitFor();
  await page.getByRole('button', { name: 'Play this' }).click();
  await page.waitForURL(/\/play\//);
  const session = sure(page.url().split('/').at(-1));
  await page.getByRole('button', { name: /^Done –/ }).click();
  // Past the warm-up, to the words that are joined.
  const lost = page.getByRole('button', { name: /left out \/[rlw]\// });
  for (let presses = 0; presses < 30 && !(await lost.count()); presses += 1) {
    if (await page.getByRole('heading', { name: 'Round finished' }).count()) {
      await page.getByRole('button', { name: /^Next: / }).click();
      await page.getByRole('button', { name: /^Done –/ }).click();
      await page.getByRole('button', { name: /^On own/ }).waitFor();
    } else {
      await nextFinger(page);
      await page.keyboard.press('1');
      await saved(page);
    }
  }
  await nextFinger(page);
  await lost.first().click();
  await page.getByRole('button', { name: /^Pebble check\?/ }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Pebble check/ })
    .click();
  const dialog = page.getByRole('dialog');
  await dialog.getByText(/^Say: “Say /).waitFor();
  expect(await violations(page)).toEqual([]);
  await dialog.getByRole('group', { name: 'What they say' }).getByRole('button').nth(1).click();
  await dialog.getByRole('button', { name: 'Not yet' }).click();
  await dialog
    .getByRole('button', { name: /^Is it / })
    .first()
    .click();
  await dialog.getByRole('button', { name: '5 of 6 right: done' }).click();
  await dialog.waitFor({ state: 'detached' });
  await saved(page);
  const answers = (await logOf(app, session)) as { pebbles?: readonly { says: string; told: number }[] }[];
  expect(answers.flatMap((a) => a.pebbles ?? [])).toMatchObject([{ says: 'slip', told: 5 }]);
  expect(await page.getByRole('button', { name: /^Pebble check/ }).count()).toBe(0);
  expect(trouble).toEqual([]);
  await page.context().close();
});
