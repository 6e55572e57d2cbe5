import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { addNames, closePages, openApp, openBrowser, openPage, type App } from './support/app';
import { violations } from './support/axe';
import { sure } from '../src/core/sure';

let app: App;
let demo: App;
let browser: Browser;
beforeAll(async () => {
  [app, demo, browser] = await Promise.all([openApp(), openApp({ demo: true }), openBrowser()]);
});
afterAll(async () => {
  await closePages(browser);
  await Promise.all([app?.stop(), demo?.stop()]);
});

const spelling = (page: Page, shown: string) =>
  page.getByRole('region', { name: 'Sounds and their spellings' }).getByRole('button', { name: `${shown} as in ` });
const found = (page: Page): Promise<string[]> => page.locator('main li a.font-word').allTextContents();

test('a group takes up letters: typed, ticked, taken back, asked for as words, saved and pasted in', async () => {
  const { page, trouble } = await openPage(browser);
  await addNames(page, app.url, ['Wren', 'Kofi']);
  await page.goto(`${app.url}/words?sounds=3`);
  expect(await page.getByText('words we can read').count()).toBe(0);
  await page.goto(`${app.url}/settings/taught`);
  await page.getByRole('switch', { name: /works with letters too$/ }).click();
  await page.getByRole('heading', { name: 'Sounds and letters we’ve taught' }).waitFor();
  const typed = page.getByLabel('Spellings you’ve taught, in your order');
  await typed.fill('m o d t e h\nzq\now, cow, 20/11/2026');
  await page.getByRole('button', { name: 'Tick these' }).click();
  await page.getByText('7 spellings are ticked').waitFor();
  // What could not be read stays where it was typed, with its reason; a reload keeps it.
  await page.getByText('We don’t know a word where “zq” spells a sound.').waitFor();
  await page.reload();
  expect(await typed.inputValue()).toBe('zq');
  await typed.fill('');
  expect(await spelling(page, 'ow').first().getAttribute('aria-pressed')).toBe('false');
  expect(await page.getByRole('button', { name: /^ow as in .*cow/, pressed: true }).count()).toBe(1);

  const sh = spelling(page, 'sh').first();
  await sh.click();
  await page.getByRole('region', { name: 'This week' }).getByText('share').waitFor();
  await sh.click();
  await page.getByText('sh isn’t ticked any more.', { exact: true }).waitFor();
  await page.getByRole('button', { name: 'Tick it again' }).click();
  await page.getByRole('region', { name: 'This week' }).getByText('share').waitFor();
  // By keys alone: the one that opens the most.
  const next = page.getByRole('region', { name: 'What would open most' }).getByRole('listitem').first();
  const opened = sure(await next.locator('b').textContent());
  await next.getByRole('button').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('region', { name: 'This week' }).getByText(opened, { exact: true }).waitFor();
  await page.getByLabel('A word with an odd part').fill('nonsuch');
  await page.keyboard.press('Enter');
  await page.getByText('“nonsuch” isn’t in the word bank.').waitFor();
  expect(await page.getByLabel('A word with an odd part').inputValue()).toBe('nonsuch');
  await page.getByLabel('A word with an odd part').fill('said');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Take said off the list' }).waitFor();
  expect(await violations(page)).toEqual([]);

  await page.getByRole('link', { name: /words they can read$/ }).click();
  await page.waitForURL(/only=readable/);
  await page.getByRole('heading', { name: 'How many sounds?' }).waitFor();
  const names = await found(page);
  expect(names).toContain('hot');
  for (const [word, there] of [
    ['said', true],
    ['sun', false],
  ] as const) {
    await page.goto(`${app.url}/words?sounds=any&only=readable&q=${word}`);
    await page.getByRole('heading', { name: 'How many sounds?' }).waitFor();
    expect((await found(page)).includes(word), word).toBe(there);
  }
  await page.goto(`${app.url}/settings/taught`);
  await page.getByRole('button', { name: 'Type or paste your own list' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save our list as CSV' }).click(),
  ]);
  const list = readFileSync(await file.path(), 'utf8');
  expect(list).toContain('ow,/aʊ/,2026-11-20');
  await typed.fill(list);
  await page.getByRole('button', { name: 'Tick these' }).click();
  await page.getByText('9 spellings are ticked, none of them new.').waitFor();
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('lines to read: one of our own, and cards, words and lines whole on paper', async () => {
  const { page, trouble } = await openPage(browser, 390, 844);
  await page.goto(`${demo.url}/settings/taught`);
  const field = page.getByLabel('A line of your own');
  await field.fill('The zorble sat.');
  await page.getByRole('button', { name: 'Keep this line' }).click();
  await page.getByText('We don’t know the word “zorble” yet.').waitFor();
  expect(await field.inputValue()).toBe('The zorble sat.');
  await field.fill('Ted got ten red pots.');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Take away “Ted got ten red pots.”' }).waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('link', { name: 'Cards, words and lines on paper' }).click();
  await page.getByRole('heading', { name: 'Cards to cut out: Radishes' }).waitFor();
  for (const sheet of ['Words to read', 'Lines to read', 'Cards to cut out']) {
    await page.getByRole('link', { name: sheet }).click();
    await page.getByRole('heading', { name: `${sheet}: Radishes` }).waitFor();
    expect(await violations(page), sheet).toEqual([]);
    if (sheet === 'Lines to read') await page.getByText('Ted got ten red pots.').waitFor();
    // On paper nothing is wider than the sheet (ISO 216: A4 is 210 mm wide), and the way through the app is left out.
    await page.emulateMedia({ media: 'print' });
    await page.setViewportSize({ width: 794, height: 1123 });
    const wide = await page.evaluate(() =>
      [...document.querySelectorAll('main *')]
        .filter((e) => e.getBoundingClientRect().right > 795)
        .map((e) => e.outerHTML),
    );
    expect(wide, sheet).toEqual([]);
    expect(await page.getByRole('navigation', { name: 'Printing' }).isVisible()).toBe(false);
    await page.emulateMedia({ media: 'screen' });
    await page.setViewportSize({ width: 390, height: 844 });
  }
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a nursery group’s screens hold nothing of letters but the switch', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${demo.url}/children`);
  const others = await page
    .locator('a[href*="/children/"]')
    .evaluateAll((all) => all.map((a) => a.getAttribute('href')));
  await page.getByRole('combobox', { name: 'Group', exact: true }).click();
  await page.getByRole('option', { name: 'Broad Beans' }).press('Enter');
  await page.getByRole('heading', { name: 'Broad Beans', level: 1 }).waitFor();
  const LETTERS = /spellings|we can read|they can read|odd part|works with letters/i;
  const screens = ['/', '/words', '/words?sounds=3', '/word/ship', '/plan', '/look-back', '/children'];
  for (const where of [...screens, '/children/board', '/sounds', '/settings', ...others.slice(0, 3)]) {
    await page.goto(`${demo.url}${where ?? ''}`);
    expect(await page.getByRole('main').innerText(), where ?? '').not.toMatch(LETTERS);
  }
  await page.goto(`${demo.url}/settings/taught`);
  const said = (await page.getByRole('main').innerText()).match(new RegExp(LETTERS, 'gi')) ?? [];
  expect(said.map((s) => s.toLowerCase())).toEqual(['spellings', 'they can read', 'works with letters']);
  expect(trouble).toEqual([]);
  await page.context().close();
});
