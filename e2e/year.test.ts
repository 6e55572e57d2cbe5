import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { addNames, closePages, openApp, openBrowser, openPage, type App } from './support/app';
import { violations } from './support/axe';

// Two groups at the end of a school year, and a record that must not be erased.
let app: App;
let browser: Browser;
let page: Page;
let trouble: string[];
beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
  ({ page, trouble } = await openPage(browser));
  await addNames(page, app.url, ['Wren', 'Idris']);
});
afterAll(async () => {
  await closePages(browser);
  await app.stop();
});

test('a new school year: asked once, done for every group at once, and whoever left comes back', async () => {
  await page.getByRole('button', { name: 'Add …' }).click();
  await page.getByRole('menuitem', { name: 'Another group' }).click();
  await page.getByLabel('What is the group called?').fill('Sunflowers');
  await page.getByRole('button', { name: 'Add the group' }).click();
  await page.getByRole('heading', { name: 'Sunflowers' }).waitFor();
  await page.getByLabel('First names').fill('Ottilie, Kofi');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByRole('link', { name: 'Kofi' }).waitFor();
  await page.getByRole('link', { name: 'A new school year …' }).click();
  expect(await page.getByRole('button', { name: 'Begin the new year …' }).isDisabled()).toBe(true);
  await page.getByLabel('Our group (2 children)').click();
  await page.getByRole('option', { name: 'go to Sunflowers' }).click();
  await page.getByLabel('Sunflowers (2 children)').click();
  await page.getByRole('option', { name: 'leave the list' }).click();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Begin the new year …' }).click();
  await page
    .getByText('2 children of Our group will go to Sunflowers and 2 children of Sunflowers will leave')
    .waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Begin the new year', exact: true }).click();
  await page.getByRole('link', { name: 'Wren' }).waitFor();
  await page.getByRole('heading', { name: 'Off the list' }).waitFor();
  await page.getByRole('button', { name: /^Bring back.*Kofi/ }).click();
  await page.getByText('Kofi is back on the list.').waitFor();
});

test('on hold a record cannot be erased, until the lead lifts it', async () => {
  await page.getByRole('link', { name: 'Wren' }).click();
  await page.getByRole('button', { name: 'Put on hold…' }).click();
  expect(await page.getByRole('button', { name: 'Put on hold', exact: true }).isDisabled()).toBe(true);
  await page.getByLabel('The lead’s initials').fill('MB');
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Put on hold', exact: true }).click();
  await page.getByText(/^On hold since .* \(MB\)/).waitFor();
  expect(await page.getByRole('button', { name: 'Erase Wren…' }).count()).toBe(0);
  await page.getByRole('button', { name: 'Lift the hold…' }).click();
  await page.getByLabel('The lead’s initials').fill('MB');
  await page.getByRole('button', { name: 'Lift the hold', exact: true }).click();
  await page.getByRole('button', { name: 'Erase Wren…' }).click();
  await page.getByLabel('Your initials (optional)').fill('AK');
  await page.getByRole('button', { name: 'Erase Wren and their answers' }).click();
  await page.waitForURL(/\/children$/);
  await page.goto(`${app.url}/settings/our-data`);
  for (const line of ['a child was erased, AK', 'a hold was lifted, MB', 'a new school year began'])
    await page.getByText(line).waitFor();
  expect(await page.getByText('Wren').count()).toBe(0);
});

test('how long leavers are kept is chosen in Settings, and who goes is told a month before', async () => {
  await page.getByLabel('Everything about them is erased').click();
  await page.getByRole('option', { name: 'at the end of the school year they left in' }).click();
  await page.getByRole('button', { name: 'Save how long we keep them' }).click();
  await page.getByText('Saved.').waitFor();
  await page.reload();
  expect(await page.getByLabel('Everything about them is erased').innerText()).toMatch(/end of the school year/);
  expect(await violations(page)).toEqual([]);
  expect(trouble).toEqual([]);
});
