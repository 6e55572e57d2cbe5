import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import { planToJson } from '../src/core/formats/plan-file';
import type { Plan } from '../src/core/sessions/running-order';
import { PLAIN_ROUND } from '../src/core/testing/rounds';
import { sure } from '../src/core/sure';
import { answersOf, openPage, still, type App } from './support/app';
import { violations } from './support/axe';
import { onStage } from './support/stage';

const NAMES = ['Ottilie', 'Idris', 'Wren', 'Kofi', 'Saoirse', 'Maeve', 'Tomasz', 'Priya'];
const WORDS = ['sun', 'map', 'leg', 'net', 'moon', 'mug', 'fish', 'sock', 'fan', 'lid'];

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { names: NAMES },
);

const PLAN: Plan = {
  title: 'Bean row',
  minutes: 20,
  letters: false,
  sound: null,
  pairs: [],
  rounds: [
    {
      ...PLAIN_ROUND,
      id: 'r1',
      task: 'blending',
      step: '3-held',
      items: WORDS.map((key) => ({ key, locked: false })),
      seed: 1,
    },
  ],
};

/** Brings the plan in from a file, and has its grid printed. Gives the number. */
async function printed(page: Page): Promise<number> {
  await page.goto(`${app.url}/plan`);
  await page.locator('input[type=file]').setInputFiles({
    name: 'plan.json',
    mimeType: 'application/json',
    buffer: Buffer.from(planToJson(PLAN, 'southern-british')),
  });
  await page.getByRole('button', { name: 'Save this plan' }).click();
  await page.waitForURL(/\/plan\/./);
  await page.getByRole('link', { name: 'Print', exact: true }).click();
  await page.getByRole('button', { name: 'Tick grid' }).click();
  await page.waitForURL(/print\/papers\/\d+$/);
  expect(await page.getByRole('rowheader').count()).toBe(NAMES.length);
  expect(await page.getByRole('columnheader').count()).toBe(WORDS.length + 1);
  expect(await violations(page)).toEqual([]);
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect([...pdf.matchAll(/\/Type\s*\/Page\b/g)].length, 'one page').toBe(1);
  return Number(new URL(page.url()).pathname.split('/').at(-1));
}

/** The mark of a child for a word, as it stands on the paper. */
const markFor = (child: number, word: number): string => '1112311421'.charAt((child * 3 + word) % 10);
/** As fast as a person types marks off a sheet. */
const KEYS_A_SECOND = 5;

test('a grid of eight children and ten words is typed in by keys, kept once, and looks like any session', async () => {
  const { page, trouble } = await openPage(browser);
  const number = await printed(page);
  let keys = 0;
  const press = async (key: string): Promise<void> => {
    keys += 1;
    await page.keyboard.press(key);
  };
  await page.goto(`${app.url}/look-back`);
  await page.getByLabel('Marked on paper?').focus();
  for (const digit of String(number)) await press(digit);
  await press('Enter');
  await page.waitForURL(/look-back\/paper/);
  await page.locator('[data-box="0"]:focus').waitFor();
  // A grid whose only mark is taken back stays empty when the page comes again.
  const marked = page.locator('main button[data-box]:not([aria-label$="nothing marked"])');
  await press('1');
  await expect.poll(() => marked.count()).toBe(1);
  await press('Backspace');
  await expect.poll(() => marked.count()).toBe(0);
  await page.reload();
  await page.locator('[data-box="0"]:focus').waitFor();
  await still(page);
  expect(await marked.count()).toBe(0);
  const half = NAMES.length / 2;
  for (const [child] of NAMES.entries()) {
    for (const [word] of WORDS.entries()) await press(markFor(child, word));
    if (child + 1 === half) {
      // A wrong key is taken back; what was typed outlives the page.
      await press('5');
      await press('Backspace');
      await press('ArrowLeft');
      expect(await violations(page)).toEqual([]);
      await page.reload();
      await page.locator('[data-box="0"]:focus').waitFor();
      for (let row = 0; row < half; row += 1) await press('Enter');
    }
  }
  await page.getByRole('button', { name: 'Save 80 marks' }).waitFor();
  for (let tabs = 0; tabs < 12 && (await page.locator('button[type=submit]:focus').count()) === 0; tabs += 1)
    await press('Tab');
  await press('Enter');
  await page.waitForURL(/look-back\/[0-9a-f]{8}-/);
  expect(keys / KEYS_A_SECOND, `${keys} keys, seconds at five a second`).toBeLessThanOrEqual(90);
  await page.getByText(`Marked on paper and typed in: grid ${number}.`).waitFor();
  const session = sure(new URL(page.url()).pathname.split('/').at(-1));
  const answers = await answersOf(app, session);
  expect(answers).toHaveLength(NAMES.length * WORDS.length);
  for (const [child, name] of NAMES.entries())
    for (const [word, key] of WORDS.entries()) {
      const answer = sure(answers.find((a) => a.child === name && a.word === key));
      const as = ['on-own', 'with-help', 'not-yet', 'no-reply'][Number(markFor(child, word)) - 1];
      expect(`${name} ${key} ${answer.outcome}`).toBe(`${name} ${key} ${as ?? ''}`);
    }
  await page.goto(`${app.url}/look-back`);
  await page.getByText(`from paper, grid ${number}`).waitFor();
  await page.goto(`${app.url}/look-back/paper/${number}`);
  await page.getByText('This grid has already been typed in.').waitFor();
  await page.getByRole('link', { name: 'Look back at it' }).click();
  await page.waitForURL(new RegExp(session));
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('on a phone a grid is typed in with a finger; a number that is none is told, and stays', async () => {
  const { page, trouble } = await openPage(browser, 390, 844);
  const number = await printed(page);
  await page.goto(`${app.url}/look-back`);
  await page.getByLabel('Marked on paper?').fill('4711');
  await page.getByRole('button', { name: 'Type it in' }).click();
  await page.getByRole('alert').filter({ hasText: 'no grid with the number 4711' }).waitFor();
  expect(await page.getByLabel('Marked on paper?').inputValue()).toBe('4711');
  await page.getByLabel('Marked on paper?').fill(String(number));
  await page.getByRole('button', { name: 'Type it in' }).click();
  await page.waitForURL(/look-back\/paper/);
  await page.getByRole('button', { name: 'Wren, leg: nothing marked' }).click();
  const marks = page.getByRole('group', { name: 'Marks' });
  await marks.getByRole('button', { name: 'with help' }).click();
  await marks.getByRole('button', { name: 'on own' }).click();
  await page.getByRole('button', { name: 'Wren, leg: with help' }).waitFor();
  await page.getByRole('button', { name: 'Wren, net: on own' }).waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByLabel('When did you play?').fill('2020-01-01');
  await page.getByRole('button', { name: 'Save 2 marks' }).click();
  await page.getByRole('alert').filter({ hasText: 'printed after that day' }).waitFor();
  await page.getByRole('button', { name: 'Wren, leg: with help' }).waitFor();
  const today = await page.getByLabel('When did you play?').getAttribute('max');
  await page.getByLabel('When did you play?').fill(sure(today));
  await page.getByRole('button', { name: 'Save 2 marks' }).click();
  await page.waitForURL(/look-back\/[0-9a-f]{8}-/);
  expect(trouble).toEqual([]);
  await page.context().close();
});
