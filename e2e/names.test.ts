import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import { add, addGroup, addNames, type App, openPage } from './support/app';
import { violations } from './support/axe';
import { onStage } from './support/stage';

let app: App;
let browser: Browser;
onStage((one, other) => {
  [app, browser] = [one, other];
});

/** A new group, shown from now on. */
const newGroup = (page: Page, name: string): Promise<void> => addGroup(page, app.url, name);
const namesOn = (page: Page): Promise<string[]> => page.locator('main ul').first().getByRole('link').allInnerTexts();
const showGroup = async (page: Page, name: string): Promise<void> => {
  await page.getByRole('combobox', { name: 'Group' }).click();
  await page.getByRole('option', { name }).click();
  await page.getByRole('heading', { name, exact: true, level: 1 }).waitFor();
};

test('a class list: read line by line, what is not taken is named, and taken in five', async () => {
  const { page, trouble } = await openPage(browser);
  await newGroup(page, 'Radishes');
  await addNames(page, app.url, ['Wren']);
  await add(page, 'A class list');
  await page
    .getByLabel('Paste the list')
    .fill('First name,Born,Group\nOttilie,2022-04-01,Beans\nWren,2022-01-09,Radishes\n,2021-01-01,Beans\nKofi,,Beans');
  await page.getByText('won’t keep them: Born.').waitFor();
  const lines = page.getByRole('list', { name: 'Lines of the list' });
  expect(
    await lines.getByRole('checkbox').evaluateAll((all) => all.map((b) => (b as HTMLInputElement).checked)),
  ).toEqual([true, false, false, true]);
  await lines.getByText('already there').waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Add 2 children' }).click();
  await page.getByText('Added 2 children to Beans.').waitFor();
  await showGroup(page, 'Beans');
  expect(await namesOn(page)).toEqual(['Ottilie', 'Kofi']);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('names with commas are names; what was typed outlives a menu and a reload, and can be taken back', async () => {
  const { page, trouble } = await openPage(browser);
  await newGroup(page, 'Swedes');
  await page.getByLabel('First names').fill('Amir, Bea; Cody\nDee');
  await page.goto(app.url);
  await page.goto(`${app.url}/children`);
  await expect.poll(() => page.getByLabel('First names').inputValue()).toBe('Amir, Bea; Cody\nDee');
  await page.reload();
  await expect.poll(() => page.getByLabel('First names').inputValue()).toBe('Amir, Bea; Cody\nDee');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByText('Added 4 children.').waitFor();
  await expect.poll(() => namesOn(page)).toEqual(['Amir', 'Bea', 'Cody', 'Dee']);
  await page.getByRole('button', { name: 'Take those back' }).click();
  await page.getByText('4 names taken back.').waitFor();
  await expect.poll(() => namesOn(page)).toEqual([]);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a child is moved in two, taken off the list and brought back; the focus is never lost', async () => {
  const { page, trouble } = await openPage(browser, 390, 844);
  await newGroup(page, 'Peas');
  await newGroup(page, 'Carrots');
  await addNames(page, app.url, ['Ottilie', 'Idris']);
  await page.getByRole('button', { name: 'Change Ottilie' }).click();
  await page.getByRole('menuitem', { name: 'Peas', exact: true }).click();
  await page.getByText('Ottilie is in Peas now, with all their answers.').waitFor();
  await expect.poll(() => namesOn(page)).toEqual(['Idris']);
  expect(await page.evaluate(() => document.activeElement?.getAttribute('role'))).toBe('status');
  await page.getByRole('button', { name: 'Change Idris' }).focus();
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'Take off the list (keep everything)' }).press('Enter');
  await page.getByText('Idris is off the list.').waitFor();
  await page.getByRole('heading', { name: 'Off the list' }).waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('link', { name: 'Idris' }).click();
  await page.waitForURL(/children\/[0-9a-f]{8}/);
  await page.locator('h1 + p', { hasText: '· off the list' }).waitFor();
  await page.goto(`${app.url}/children`);
  await page.getByRole('button', { name: /^Bring back.*Idris/ }).click();
  await page.getByText('Idris is back on the list.').waitFor();
  await expect.poll(() => namesOn(page)).toEqual(['Idris']);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('two groups are combined once that is asked', async () => {
  const { page, trouble } = await openPage(browser);
  await newGroup(page, 'Onions');
  await addNames(page, app.url, ['Saoirse']);
  await newGroup(page, 'Leeks');
  await addNames(page, app.url, ['Tomasz']);
  await page.getByRole('button', { name: 'Change Leeks' }).click();
  await page.getByRole('menuitem', { name: 'Onions', exact: true }).click();
  await page.getByRole('alertdialog').getByText('No answers are lost.').waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Combine them in Onions' }).click();
  await page.getByRole('heading', { name: 'Onions', exact: true, level: 1 }).waitFor();
  await expect.poll(() => namesOn(page)).toEqual(['Saoirse', 'Tomasz']);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('everything of the setting is taken out in three taps', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(app.url);
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('link', { name: 'Our data' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download everything as open files (ZIP)' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^bouncy-echo-everything-\d{4}-\d\d-\d\d\.zip$/);
  // The first bytes of every ZIP file (APPNOTE 6.3, local file header).
  expect(
    readFileSync(await file.path())
      .subarray(0, 4)
      .toString('hex'),
  ).toBe('504b0304');
  expect(trouble).toEqual([]);
  await page.context().close();
});
