import type { Browser } from 'playwright-core';
import { expect, test } from 'vitest';
import { sure } from '../src/core/sure';
import { answersOf, choose, openPage, saved, tap, type App } from './support/app';
import { violations } from './support/axe';
import { onStage } from './support/stage';

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { names: ['Saoirse', 'Idris'] },
);

const MOST = 12;

test('from a child’s page, offline to the end: what was found is told, kept, and next on every page', async () => {
  const { page, trouble } = await openPage(browser, 390, 844);
  await page.goto(`${app.url}/children/board`);
  const name = 'Saoirse';
  await page.getByRole('link', { name, exact: true }).click();
  await page.waitForURL(/children\/[0-9a-f]{8}/);
  await page.getByRole('combobox', { name: 'Game' }).click();
  await choose(page, 'blending');
  await page.getByRole('button', { name: 'Find their step' }).click();
  await page.waitForURL(/\/play\//);
  const session = sure(new URL(page.url()).pathname.split('/').at(-1));
  const done = page.getByRole('button', { name: /^Done –/ });
  await done.click();
  await done.waitFor({ state: 'detached' });
  expect(await page.getByRole('button', { name: 'With help' }).count()).toBe(0);
  await page.context().setOffline(true);
  const found = page.getByText('A good place to start:');
  const heard: string[] = [];
  while (!(await found.count()) && heard.length < MOST) {
    heard.push(await page.locator('[data-part="word"]').innerText());
    await tap(page, heard.length % 3 ? '1' : '3', heard.length);
  }
  const sentence = await found.locator('xpath=..').innerText();
  expect(sentence).toContain(`${name}.`);
  expect(sentence).toContain('Seen once.');
  expect(new Set(heard).size).toBe(heard.length);
  expect(await violations(page)).toEqual([]);
  await page.context().setOffline(false);
  await saved(page);
  const kept = await answersOf(app, session);
  expect(kept).toHaveLength(heard.length);
  await page.getByRole('button', { name: 'Finish and look back' }).click();
  await page.waitForURL(/look-back/);
  await page.goto(`${app.url}/children/board`);
  await page.getByRole('link', { name, exact: true }).click();
  await page.getByRole('heading', { name: /^Next: / }).waitFor();
  await page.getByText('A good place to start:').first().waitFor();
  expect(trouble.filter((t) => !/offline|ERR_INTERNET/i.test(t))).toEqual([]);
});
