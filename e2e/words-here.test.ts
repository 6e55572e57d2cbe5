import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import { openPage, type App, tapTool } from './support/app';
import { violations } from './support/axe';
import { onStage } from './support/stage';
import { sure } from '../src/core/sure';

// Which words a setting and a group hear: their own country's, and none that was put aside.
let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { demo: true },
);

const rows = readFileSync('lexicon/words.tsv', 'utf8')
  .split('\n')
  .slice(1)
  .map((row) => row.split('\t'));
const saidIn = (where: string): Set<string> => new Set(rows.filter((r) => r[11] === where).map((r) => sure(r[0])));

const results = (page: Page): Promise<string[]> =>
  page.getByRole('main').locator('a[href^="/word/"]').allTextContents();
const chosen = (page: Page): Promise<string[]> => page.locator('aside ol li a').allTextContents();
const lists = async (page: Page, word: string): Promise<boolean> => {
  await page.goto(`${app.url}/words?sounds=any&q=${word}`);
  await page.getByRole('heading', { level: 1 }).waitFor();
  return (await results(page)).map((w) => w.trim()).includes(word);
};
const keep = async (page: Page, accent: string, letIn: boolean): Promise<void> => {
  await page.goto(`${app.url}/settings`);
  await page.getByText(accent, { exact: true }).click();
  await page.getByLabel(/^Also offer words/).setChecked(letIn);
  await page.getByRole('button', { name: /^(Save how we|This is how we count)/ }).click();
  await page.getByText('Saved.').waitFor();
};

test('a British group is offered British words, an American one its own, both where they are let in', async () => {
  const { page, trouble } = await openPage(browser);
  const [british, american] = [saidIn('gb'), saidIn('us')];
  for (const [accent, not, yes] of [
    ['General American', 'nappy', 'diaper'],
    ['Southern British', 'diaper', 'nappy'],
  ] as const) {
    await keep(page, accent, false);
    expect([await lists(page, not), await lists(page, yes)], accent).toEqual([false, true]);
    const foreign = accent === 'General American' ? british : american;
    for (const query of ['sounds=3', 'sounds=4', 'sounds=5', 'sounds=any&syllables=2', 'sounds=3&only=picture'])
      for (const seed of [1, 2, 3]) {
        await page.goto(`${app.url}/words?${query}&seed=${seed}&size=10`);
        expect(
          (await chosen(page)).filter((w) => foreign.has(w)),
          query,
        ).toEqual([]);
      }
    await page.goto(`${app.url}/word/${not}`);
    await page.getByText(/^People say this in/).waitFor();
  }
  await keep(page, 'Southern British', true);
  expect([await lists(page, 'diaper'), await lists(page, 'nappy')]).toEqual([true, true]);
  await keep(page, 'Southern British', false);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a word put aside, from its page, a set, a plan or Play, never comes back until it is brought back', async () => {
  const { page, trouble } = await openPage(browser);
  // Its page.
  expect(await lists(page, 'gran')).toBe(true);
  await page.goto(`${app.url}/word/gran`);
  await page.getByRole('button', { name: /^Not with / }).click();
  await page.getByText(/^This word is put aside for /).waitFor();
  expect(await lists(page, 'gran')).toBe(false);
  // A set.
  await page.goto(`${app.url}/words?sounds=3&seed=5`);
  const fromSet = sure((await chosen(page))[0]);
  await page.getByRole('button', { name: new RegExp(`^Not with .*: ${fromSet}$`) }).click();
  await expect.poll(() => chosen(page)).not.toContain(fromSet);
  expect(await lists(page, fromSet)).toBe(false);
  // Play.
  await page.goto(`${app.url}/words?sounds=3&seed=7`);
  const playing = await chosen(page);
  await page.getByRole('button', { name: /^Play with/ }).click();
  await page.waitForURL(/\/play\//);
  await page.getByRole('button', { name: /^Done –/ }).click();
  const ask = async (): Promise<void> => {
    await tapTool(page, 'On this device');
    await page.getByRole('button', { name: 'Not with this group …' }).click();
  };
  await ask();
  const dialog = page.getByRole('dialog', { name: /^Which word is not for/ });
  await dialog.waitFor();
  expect(await violations(page)).toEqual([]);
  const word = sure(await dialog.getByRole('listitem').first().textContent()).trim();
  expect(playing).toContain(word);
  await dialog.getByRole('button', { name: word, exact: true }).click();
  await dialog.waitFor({ state: 'hidden' });
  for (let turn = 0; turn < 9; turn += 1) {
    await ask();
    await dialog.waitFor();
    expect((await dialog.getByRole('listitem').allTextContents()).map((w) => w.trim())).not.toContain(word);
    await page.keyboard.press('Escape');
    await dialog.waitFor({ state: 'hidden' });
    const next = page.getByRole('button', { name: /^On own/ });
    if (turn === 4) {
      await page.reload();
      await page.getByRole('button', { name: /^On own/ }).waitFor();
    }
    await next.click();
    if (!(await page.getByRole('button', { name: /^On own/ }).isVisible())) break;
  }
  // What is sent is there: nothing offers it any more.
  await expect.poll(() => lists(page, word), { timeout: 30_000 }).toBe(false);
  // Settings brings it back.
  await page.goto(`${app.url}/settings/taught`);
  for (const away of ['gran', fromSet, word])
    await page.getByRole('button', { name: new RegExp(`^Bring ${away} back`) }).waitFor();
  await page.getByRole('button', { name: /^Bring gran back/ }).click();
  await expect.poll(() => page.getByRole('button', { name: /^Bring gran back/ }).count()).toBe(0);
  expect(await lists(page, 'gran')).toBe(true);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a plan keeps a word that left the bank and says so; a word of it put aside is changed', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/plan`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save Peas that rhyme as a file' }).click(),
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    plan: { rounds: { task: string; step: string; items: { key: string; locked: boolean }[] }[] };
  };
  const round = sure(file.plan.rounds[0]);
  Object.assign(round, {
    task: 'blending',
    step: '3',
    items: [
      { key: 'jail', locked: false },
      { key: 'sun', locked: false },
    ],
  });
  await page.locator('input[type=file]').setInputFiles({
    name: 'plan.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  });
  await page.getByRole('button', { name: 'Save this plan' }).click();
  await page.waitForURL(/plan\/./);
  await page.getByText('“jail” is not in the word bank any more').waitFor();
  // A step by number of sounds is not offered in order, and is still what the round is.
  await page.getByText('3 sounds, of any kind').first().waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'sun', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'sun', exact: true }).click();
  await page.getByRole('dialog').waitFor({ state: 'hidden' });
  await expect.poll(() => page.getByRole('button', { name: 'sun', exact: true }).count()).toBe(0);
  expect(await lists(page, 'sun')).toBe(false);
  expect(trouble).toEqual([]);
  await page.context().close();
});
