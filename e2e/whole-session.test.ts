import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import {
  addGroup,
  addNames,
  answersOf,
  type App,
  awake,
  finishNow,
  nextFinger,
  openPage,
  saved,
  shown,
  watch,
} from './support/app';
import { onStage } from './support/stage';
import { sure } from '../src/core/sure';

let app: App;
let browser: Browser;
onStage((one, other) => {
  [app, browser] = [one, other];
});

async function group(page: Page, name: string, children: readonly string[]): Promise<void> {
  await addGroup(page, app.url, name);
  await addNames(page, app.url, children);
}

const names = (answers: readonly { readonly child: string | null; readonly outcome: string }[]): string[] =>
  answers.map((a) => `${a.child} ${a.outcome}`);

test('a whole session by keyboard alone, from Today to Look back', async () => {
  const { page, trouble } = await openPage(browser);
  await group(page, 'Keys', ['Ada', 'Bo', 'Cy']);
  await page.goto(app.url);
  const tabTo = async (name: RegExp): Promise<void> => {
    for (let i = 0; i < 60; i += 1) {
      await page.keyboard.press('Tab');
      if (name.test(await page.evaluate(() => document.activeElement?.textContent ?? ''))) return;
    }
    throw new Error(`no way by keyboard to ${name}`);
  };
  await tabTo(/^Play now/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/play\//);
  const session = sure(page.url().split('/').at(-1));
  await awake(page);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: /^On own/ }).waitFor();
  // A likely answer, help and which, no reply, something else from the pad, a note, an undo, another word, another
  // child.
  const press = async (key: string, turns: number): Promise<void> => {
    await nextFinger(page);
    await page.keyboard.press(key);
    await shown(page, turns);
  };
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowRight');
  await press('1', 1);
  await page.keyboard.press('s');
  await press('2', 2);
  await press('4', 3);
  await press('u', 2);
  await press('3', 3);
  // The rounds that follow: another word and a note in the second, then to the end.
  let noted = false;
  for (let presses = 0; presses < 60; presses += 1) {
    if (await page.getByRole('heading', { name: 'Round finished' }).count()) {
      if (!(await page.getByRole('button', { name: /^Next: / }).count())) break;
      await tabTo(/^Next: /);
      await page.keyboard.press('Enter');
      await page.getByRole('button', { name: /^Done –/ }).waitFor();
      await page.keyboard.press('Enter');
      await page.getByRole('button', { name: /^On own/ }).waitFor();
    }
    if (!noted && presses > 0) {
      noted = true;
      const item = await page.locator('main').textContent();
      if (await page.getByRole('button', { name: 'Other word' }).isEnabled()) {
        await page.keyboard.press('w');
        await expect.poll(() => page.locator('main').textContent()).not.toBe(item);
      }
      await page.keyboard.press('n');
      await page.getByRole('textbox', { name: 'Note' }).pressSequentially('very sure');
      await page.keyboard.press('Tab');
      await page.keyboard.press('Enter');
      await page.getByRole('dialog').waitFor({ state: 'detached' });
    }
    await nextFinger(page);
    await page.keyboard.press('1');
    await page.waitForTimeout(200);
  }
  await saved(page);
  await tabTo(/^Finish and look back/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/look-back\//);
  const answers = await answersOf(app, session);
  expect(answers.length).toBeGreaterThanOrEqual(6);
  expect(answers.slice(0, 3).map((a) => a.outcome)).toEqual(['on-own', 'with-help', 'not-yet']);
  expect(sure(answers[1]).helps).toEqual(['slower']);
  expect(answers.filter((a) => a.note === 'very sure')).toHaveLength(1);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test.each([
  ['a tablet held upright', 768, 1024],
  ['a phone', 390, 844],
])('a whole session by touch on %s', async (what, width, height) => {
  const context = await browser.newContext({ viewport: { width, height }, hasTouch: true, isMobile: true });
  const touch = await context.newPage();
  const trouble = watch(touch);
  await group(touch, `Thumbs on ${what}`, ['Ada', 'Bo', 'Cy', 'Di']);
  await touch.goto(`${app.url}/words?sounds=4&task=segmenting`);
  await touch.getByRole('button', { name: /^Play with/ }).tap();
  await touch.waitForURL(/\/play\//);
  const session = sure(touch.url().split('/').at(-1));
  await touch.getByRole('button', { name: /^Done –/ }).tap();
  await touch.getByRole('button', { name: /^On own/ }).waitFor();
  const taps: readonly [RegExp, string][] = [
    [/^On own/, 'on-own'],
    [/^With help/, 'with-help'],
    [/^Not yet/, 'not-yet'],
    [/^No reply/, 'no-reply'],
    [/^Doesn’t count/, 'does-not-count'],
    [/^On own/, 'on-own'],
  ];
  for (const [i, [name]] of taps.entries()) {
    await nextFinger(touch);
    await touch.getByRole('button', { name }).tap();
    await shown(touch, i + 1);
    // After help, one more tap says which.
    if (i !== 1) continue;
    await touch.getByRole('button', { name: /^Which help\?/ }).tap();
    await touch.getByRole('dialog').getByRole('button', { name: 'gesture' }).tap();
    await touch.getByRole('button', { name: 'Close' }).tap();
    await touch.getByRole('dialog').waitFor({ state: 'detached' });
  }
  // Keys are for those who have some.
  expect(await touch.locator('footer kbd').first().isVisible()).toBe(false);
  await nextFinger(touch);
  await touch
    .getByRole('group', { name: / said$/ })
    .getByRole('button')
    .first()
    .tap();
  await shown(touch, 7);
  await saved(touch);
  await finishNow(touch);
  await touch.waitForURL(/\/look-back\//);
  const answers = await answersOf(app, session);
  expect(answers.slice(0, 6).map((a) => a.outcome)).toEqual(taps.map(([, outcome]) => outcome));
  expect(sure(answers[1]).helps).toEqual(['gesture']);
  expect(sure(answers[6]).slip).not.toBeNull();
  expect(trouble).toEqual([]);
  await context.close();
});

test(
  'thirty children: each has a turn, a late one joins in, everyone together is one tap and those who differed ' +
    'one each',
  async () => {
    const { page, trouble } = await openPage(browser);
    const children = Array.from({ length: 30 }, (_, i) => `Child ${String(i + 1).padStart(2, '0')}`);
    await group(page, 'Thirty', children);
    await page.goto(`${app.url}/words?sounds=3&task=blending`);
    await page.getByRole('button', { name: /^Play with/ }).click();
    await page.waitForURL(/\/play\//);
    const session = sure(page.url().split('/').at(-1));
    await page.getByRole('button', { name: /^Done –/ }).click();
    await page.getByRole('button', { name: /^On own/ }).waitFor();
    for (let turns = 1; turns <= 30; turns += 1) {
      const done = page.getByRole('button', { name: 'One more turn each' });
      if (await done.count()) await done.click();
      await nextFinger(page);
      await page.keyboard.press('1');
      await shown(page, turns);
      // Whoever has the turn is in sight in the list.
      if (turns === 25)
        expect(
          await page.locator('nav[aria-label="Children"] [aria-current="true"]').evaluate((e) => {
            const { top, bottom } = e.getBoundingClientRect();
            return top >= 0 && bottom <= window.innerHeight;
          }),
        ).toBe(true);
    }
    await saved(page);
    expect([...new Set((await answersOf(app, session)).map((a) => a.child))].sort()).toEqual(children);
    await addNames(page, app.url, ['Lou']);
    await page.goto(`${app.url}/play/${session}`);
    await awake(page);
    const more = page.getByRole('button', { name: 'One more turn each' });
    if (await more.count()) await more.click();
    await page.getByRole('button', { name: 'Someone has arrived' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Lou' }).click();
    await page.locator('nav[aria-label="Children"] li', { hasText: 'Lou' }).waitFor();
    await nextFinger(page);
    await page.getByRole('button', { name: 'Everyone together', exact: true }).click();
    await page.keyboard.press('1');
    await shown(page, 31);
    await page
      .getByRole('group', { name: /^More about Everyone/ })
      .getByRole('button', { name: /^Who answered differently/ })
      .click();
    await page.getByRole('dialog').getByRole('button', { name: 'Child 07' }).click();
    await page.getByRole('button', { name: 'Close' }).click();
    await saved(page);
    await expect
      .poll(async () => names((await answersOf(app, session)).slice(-2)).sort())
      .toEqual(['Child 07 not-yet', 'null on-own']);
    expect(trouble).toEqual([]);
    await page.context().close();
  },
  180_000,
);
