import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { addNames, awake, finishNow, openApp, openBrowser, openPage, saved, tap, type App, pick } from '../support/app';
import { violations } from '../support/axe';

// The checkout is copied, a family of games and an accent are put in the two lists that an installation may add to, and
// the copy is built and played in a browser. No other file of the copy is touched.
const KEPT_BACK = new Set(['node_modules', '.next', '.git', 'data']);

let folder = '';
let app: App | undefined;
let browser: Browser | undefined;

const ran = (command: string, ...args: string[]): boolean =>
  spawnSync(command, args, { cwd: folder, stdio: ['ignore', 'ignore', 'inherit'] }).status === 0;

function copyOfCheckout(): string {
  const to = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-made-up-'));
  cpSync(process.cwd(), to, {
    recursive: true,
    filter: (from) => !KEPT_BACK.has(path.relative(process.cwd(), from).split(path.sep)[0] ?? ''),
  });
  return to;
}

beforeAll(async () => {
  folder = copyOfCheckout();
  const packages = path.join(process.cwd(), 'node_modules');
  // Links where the folder is on the same disk, else copies.
  if (!ran('cp', '-al', packages, '.')) ran('cp', '-a', packages, '.');
  writeFileSync(
    path.join(folder, 'src/core/games/families/more.ts'),
    "export { MORE_FAMILIES } from '../../testing/made-up-game';\n",
  );
  writeFileSync(
    path.join(folder, 'src/core/phonology/accents/more.ts'),
    "export { MORE_ACCENTS } from '../../testing/made-up-accent';\n",
  );
  const build = "import('./scripts/lib/prepare.mjs').then((made) => made.ensureBuild())";
  if (!ran(process.execPath, '-e', build)) throw new Error('the copy could not be built');
  [app, browser] = await Promise.all([openApp({ cwd: folder }), openBrowser()]);
}, 600_000);

afterAll(async () => {
  await browser?.close();
  await app?.stop();
  rmSync(folder, { recursive: true, force: true });
});

test('a made-up game and accent are chosen, planned, played, looked back on and shown, like any other', async () => {
  const { url } = app as App;
  const { page, trouble } = await openPage(browser as Browser);
  await addNames(page, url, ['Wren', 'Kofi', 'Ottilie']);
  await page.goto(`${url}/settings`);
  await page.getByText('Bean Row', { exact: true }).click();
  await page.getByRole('button', { name: /This is how we count|Save how we/ }).click();
  await page.getByText('Saved. Words are counted').waitFor();

  await page.goto(`${url}/plan`);
  await pick(page, 'What kind of session?', 'quick-five');
  await pick(page, 'Game', 'which-is-longer');
  await pick(page, 'Step', 'one');
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.waitForURL(/plan\/./);
  await page
    .getByRole('heading', { name: /Long and short/ })
    .first()
    .waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Play now' }).click();
  await page.waitForURL(/play/);
  await awake(page);
  await page.getByRole('button', { name: /^Done –/ }).click();
  await page
    .getByText(/Which word has more sounds/)
    .first()
    .waitFor();
  await page.getByText('the longer one').waitFor();
  await tap(page, '1', 1);
  await tap(page, '3', 2);
  await saved(page);
  await finishNow(page);
  await page.waitForURL(/\/look-back\//);
  expect(await page.locator('main').innerText()).toContain('Which word is longer?');

  await page.goto(`${url}/settings`);
  expect(await page.getByRole('radio', { name: 'Bean Row' }).isChecked()).toBe(true);
  await page.goto(`${url}/word/whale`);
  expect(await page.locator('main').innerText()).toContain('Bean Row');
  await page.goto(`${url}/children`);
  await page.getByRole('link', { name: 'Wren', exact: true }).first().click();
  await page.getByText('Long and short').first().waitFor();
  expect(trouble).toEqual([]);
  await page.context().close();
});
