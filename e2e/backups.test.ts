import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { newKeys } from '../src/file/keys';
import { plain } from '../src/file/plain';
import { seal } from '../src/file/seal';
import { sure } from '../src/core/sure';
import { addNames, beginPlay, closePages, logOf, openApp, openBrowser, openPage, type App } from './support/app';
import { violations } from './support/axe';

// A real server with its own file and folder; the key goes from screen to screen as a person would carry it.
let app: App;
let browser: Browser;
let words = '';
beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
});
afterAll(async () => {
  await closePages(browser);
  await app.stop();
});

/** Makes the key as a person would: read, kept, used. */
async function makeKey(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Make the key …' }).click();
  await page.getByRole('dialog').getByRole('listitem').first().waitFor();
  words = (await page.getByRole('dialog').getByRole('listitem').allInnerTexts()).join(' ');
  expect(words.split(' ')).toHaveLength(24);
  expect(await violations(page)).toEqual([]);
  expect(await page.getByRole('button', { name: 'Use this key' }).isDisabled()).toBe(true);
  await page.getByRole('checkbox', { name: 'The key is printed or written down.' }).check();
  await page.getByLabel('Your initials (optional)').fill('MB');
  await page.getByRole('button', { name: 'Use this key' }).click();
}

test('set up, made, put back while two tabs are open and a game is played; nothing marked is lost', async () => {
  const folder = path.join(path.dirname(app.file), 'stick');
  const { page, trouble } = await openPage(browser);
  await addNames(page, app.url, ['Wren', 'Idris']);
  await page.goto(`${app.url}/settings/our-data`);
  await page.getByLabel('Folder').fill('stick');
  await page.getByRole('button', { name: 'Save where backups go' }).click();
  await page.getByText('Type the whole path of the folder').waitFor();
  await page.getByLabel('Folder').fill(folder);
  await page.getByRole('button', { name: 'Save where backups go' }).click();
  await page.getByText('One more step').waitFor();

  await makeKey(page);

  // A game is under way while the backup is made.
  const playing = await openPage(browser);
  await beginPlay(playing.page, app.url, 'sounds=3&task=blending');
  await page.getByRole('button', { name: 'Back up now' }).click();
  await page.getByText('The backup is made and checked: 2 children, one session and 0 answers.').waitFor();
  await playing.page.getByRole('button', { name: /^On own/ }).click();
  await playing.page
    .getByText('Every answer is saved.')
    .or(playing.page.getByRole('button', { name: /^Undo/ }))
    .first()
    .waitFor();

  // A child who came after the backup, and then it is put back.
  await addNames(page, app.url, ['Ottilie']);
  const left = await openPage(browser);
  await left.page.goto(`${app.url}/children`);
  await left.page.getByRole('link', { name: 'Ottilie' }).waitFor();
  await left.page.waitForFunction(() => localStorage.getItem('bouncy-echo-epoch') !== null);
  await page.goto(`${app.url}/settings/our-data`);
  await page.getByRole('button', { name: /^Put back …/ }).click();
  await page.getByLabel('Its key').fill('by the gate');
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByText('That isn’t a key.').waitFor();
  await page.getByLabel('Its key').fill(words);
  await page.getByRole('button', { name: 'Open it' }).click();
  await page.getByText('It holds 2 children and one session. What has come since will go: one child.').waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Put this backup back' }).click();
  await page.getByText('a backup was put back').waitFor();
  expect(await page.getByText('a key for backups was made, MB').count()).toBe(1);

  // A page that was open elsewhere hears of it when somebody comes back to it.
  await left.page.evaluate(() => window.dispatchEvent(new Event('focus')));
  await left.page.getByText('This page shows it as it is now.').waitFor();
  await left.page.getByRole('link', { name: 'Ottilie' }).waitFor({ state: 'detached' });

  // The next page shows it; the tab that plays sends its mark again by itself, and once.
  await page.goto(`${app.url}/children`);
  await page.getByRole('link', { name: 'Wren' }).waitFor();
  expect(await page.getByRole('link', { name: 'Ottilie' }).count()).toBe(0);
  await playing.page.getByRole('button', { name: /^Not yet/ }).click();
  await playing.page.getByText('put back from a backup').waitFor();
  const session = sure(playing.page.url().split('/').at(-1));
  await expect.poll(async () => (await logOf(app, session)).filter((entry) => entry.kind === 'answer').length).toBe(2);
  expect(readdirSync(folder).every((name) => /\.age$/.test(name))).toBe(true);
  expect(trouble).toEqual([]);
});

test('another key, and a file of nobody’s: said in words, and all is as it was', async () => {
  const folder = path.join(path.dirname(app.file), 'stick');
  const { page } = await openPage(browser);
  const other = await newKeys();
  const open = path.join(folder, 'open');
  writeFileSync(open, 'nothing of ours');
  await seal(open, path.join(folder, 'bouncy-echo-2026-01-02-0304.sqlite.age'), other.recipient);
  await page.goto(`${app.url}/settings/our-data`);
  const before = readFileSync(app.file).length;
  for (const [n, said] of [
    [0, 'That key doesn’t open this backup.'],
    [1, 'This backup is damaged, or isn’t one of ours.'],
  ] as const) {
    await page
      .getByRole('button', { name: /^Put back …/ })
      .nth(n)
      .click();
    await page.getByLabel('Its key').fill(other.words);
    await page.getByRole('button', { name: 'Open it' }).click();
    await page.getByText(said).waitFor();
    await page.getByRole('button', { name: 'Leave everything as it is' }).click();
  }
  expect(sure(readFileSync(app.file).length)).toBe(before);
});

/** What a script says, with the data of this file. */
function said(script: string, file: string, args: readonly string[], typed = ''): string {
  const env = { ...process.env, BOUNCY_ECHO_DB: file };
  const done = spawnSync(process.execPath, [`scripts/${script}.mjs`, ...args], { env, input: typed, encoding: 'utf8' });
  return done.stdout + done.stderr;
}

test('from the command line: a backup while it runs; put back only when it is stopped', async () => {
  const folder = path.join(path.dirname(app.file), 'stick');
  expect(said('backup', app.file, [])).toMatch(/2 children, 1 sessions, checked/);
  const copy = path.join(
    folder,
    sure(
      readdirSync(folder)
        .filter((name) => name.endsWith('.age'))
        .sort()
        .at(-1),
    ),
  );
  expect(said('restore', app.file, [copy], `${words}\n`)).toMatch(/is running/);
  // On another computer, with the copies alone.
  const file = path.join(mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-other-')), 'x.sqlite');
  expect(said('restore', file, [copy], 'by the gate\n')).toMatch(/isn’t a key/);
  expect(said('restore', file, [copy], `${words}\n`)).toMatch(/Put back/);
  const db = await plain(file, 'read');
  expect(await db.all('SELECT name FROM children ORDER BY position')).toEqual([{ name: 'Wren' }, { name: 'Idris' }]);
  expect(await db.all('SELECT id FROM answers')).toHaveLength(2);
  await db.close();
});
