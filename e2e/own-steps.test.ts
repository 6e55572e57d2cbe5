import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import { sure } from '../src/core/sure';
import { choose, openPage, saved, shown, tap, type App } from './support/app';
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

/** An answer as the session’s file has it. */
interface Row {
  readonly child: string;
  readonly word: string;
  readonly step: string;
  readonly turn: number;
}

const answersIn = async (session: string): Promise<Row[]> =>
  ((await (await fetch(`${app.url}/api/sessions/${session}/export?as=json`)).json()) as { answers: Row[] }).answers;

/** Plans one round of a game, with each child on their own step. */
async function planOwn(page: Page): Promise<void> {
  await page.goto(`${app.url}/plan`);
  await page.getByRole('combobox', { name: 'Game', exact: true }).click();
  await choose(page, 'blending');
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.waitForURL(/\/plan\/./);
  // The warm-up goes: the round for each child is the first.
  await page.getByRole('button', { name: 'Remove round 1' }).click();
  const own = page.getByRole('switch', { name: 'Each child has their own step' }).first();
  await own.waitFor();
  if ((await own.getAttribute('aria-checked')) !== 'true') await own.click();
  await page
    .getByRole('combobox', { name: /^Step for / })
    .first()
    .waitFor();
  await page.getByText('Changes saved').waitFor();
}

/** Who gets what on the plan’s page: names, and their words as they stand there. */
async function whoGets(page: Page): Promise<Map<string, string>> {
  const names = await page
    .getByRole('combobox', { name: /^Step for / })
    .evaluateAll((all) => all.map((b) => b.ariaLabel));
  const rows = page.locator('li', { has: page.getByRole('combobox', { name: /^Step for / }) });
  const found = new Map<string, string>();
  for (const label of names) {
    const name = sure(label).replace('Step for ', '');
    found.set(name, await rows.filter({ hasText: name }).last().innerText());
  }
  return found;
}

/** To the first turn of the round. */
async function begin(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Play now' }).click();
  await page.waitForURL(/\/play\//);
  const done = page.getByRole('button', { name: /^Done –/ });
  await done.click();
  await done.waitFor({ state: 'detached' });
}

const word = (page: Page): Promise<string> => page.locator('[data-part="word"]').innerText();

test('who gets what is shown and changed, and Play deals just that; two devices agree, one offline', async () => {
  const { page, trouble } = await openPage(browser);
  await planOwn(page);
  const names = [...(await whoGets(page)).keys()];
  const chosen = sure(names[0]);
  await page.getByRole('combobox', { name: `Step for ${chosen}` }).click();
  await choose(page, '4-start');
  await page.getByText('your choice').waitFor();
  await page.getByText('Changes saved').waitFor();
  expect(await violations(page)).toEqual([]);
  const gets = await whoGets(page);
  await begin(page);
  const session = sure(page.url().split('/').at(-1));
  const { page: other } = await openPage(browser);
  await other.goto(`${app.url}/play/${session}`);
  await shown(other, 0);
  expect(await violations(page)).toEqual([]);
  for (let turns = 1; turns <= names.length; turns += 1) {
    if (turns === 3) await page.context().setOffline(true);
    if (turns <= 2) await shown(other, turns - 1);
    if (turns <= 2) expect(await word(other)).toBe(await word(page));
    await tap(page, '1', turns);
  }
  await page.context().setOffline(false);
  await saved(page);
  await shown(other, names.length);
  const answers = await answersIn(session);
  expect(answers).toHaveLength(names.length);
  expect(new Set(answers.map((a) => a.child))).toEqual(new Set(names));
  expect(new Set(answers.map((a) => a.word)).size).toBe(names.length);
  for (const a of answers) expect(sure(gets.get(a.child)).toLowerCase()).toContain(a.word.toLowerCase());
  expect(answers.find((a) => a.child === chosen)?.step).toBe('4-start');
  expect(new Set(answers.map((a) => a.step)).size).toBeGreaterThan(1);
  expect(trouble.filter((t) => !/Failed to fetch|ERR_INTERNET_DISCONNECTED/.test(t))).toEqual([]);
  await other.context().close();
  await page.context().close();
});

test('on paper each child’s own words stand in their row', async () => {
  const { page } = await openPage(browser);
  await planOwn(page);
  const gets = await whoGets(page);
  const plan = sure(page.url().split('/').at(-1));
  await page.goto(`${app.url}/print/plans/${plan}`);
  await page.getByRole('button', { name: 'Tick grid' }).click();
  await page.waitForURL(/print\/papers/);
  for (const [name, row] of gets) {
    const cells = await page
      .getByRole('row', { name: new RegExp(name) })
      .first()
      .innerText();
    const words = cells.split(/\s+/).filter((w) => w && w !== name);
    expect(words.length).toBeGreaterThan(0);
    expect(words.filter((w) => row.includes(w)).length).toBeGreaterThan(0);
  }
  await page.context().close();
});
