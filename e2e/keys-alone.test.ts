import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import { awake, choose, nextFinger, openPage, saved, shown, type App } from './support/app';
import { onStage } from './support/stage';

// The screens at the table by keys alone (WCAG 2.2, 2.1.1 and 2.4.3): everything is reached by Tab, acts with Enter,
// Space and arrows, and after each act the focus is on something that can be gone on from.

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { demo: true },
);

/** Most stops of Tab on one screen: more means that something is in the way. */
const STOPS = 160;

/** Goes on with Tab until what has the focus is called so. */
async function tabTo(page: Page, role: string, name: RegExp): Promise<void> {
  for (let stops = 0; stops < STOPS; stops += 1) {
    await page.keyboard.press('Tab');
    const at = page.locator(':focus');
    if ((await at.count()) === 0) continue;
    const is = await page
      .getByRole(role as Parameters<Page['getByRole']>[0], { name })
      .evaluateAll((all) => all.some((e) => e === document.activeElement));
    if (is) return;
  }
  throw new Error(`${role} ${String(name)} was not reached in ${STOPS} stops.`);
}

const isLost = (page: Page): Promise<boolean> =>
  page.evaluate(() => !document.activeElement || document.activeElement === document.body);

/** The focus is somewhere, and stays so. */
const kept = (page: Page): Promise<void> => expect.poll(() => isLost(page)).toBe(false);

test('names: away and back, moved, renamed, added', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/children`);
  await tabTo(page, 'switch', /^Kofi/);
  await page.keyboard.press('Space');
  await page.getByRole('switch', { name: /^Kofi away today/ }).waitFor();
  await kept(page);
  await page.keyboard.press('Space');
  await page.getByRole('switch', { name: /^Kofi here/ }).waitFor();
  await kept(page);
  await tabTo(page, 'button', /^Change Kofi$/);
  await page.keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'Rename…' }).waitFor();
  await page.keyboard.press('Escape');
  await kept(page);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Name', exact: true }).waitFor();
  await page.keyboard.press('Escape');
  await kept(page);
  await page.keyboard.press('Control+k');
  await page.getByPlaceholder('a name, a word, 4 sounds, or sh o p').waitFor();
  await page.keyboard.type('add words');
  await page.getByRole('option', { name: 'Add words' }).waitFor();
  await page.keyboard.press('Enter');
  await page.waitForURL(/words\/new/);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('board and a child: sorted, opened, another step looked at', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/children/board`);
  await tabTo(page, 'combobox', /^Sort by$/);
  await page.keyboard.press('Enter');
  await choose(page, 'blending');
  await kept(page);
  await tabTo(page, 'link', /^Wren$/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/children\/[0-9a-f]{8}/);
  await page.getByRole('heading', { name: /^Next: / }).waitFor();
  await tabTo(page, 'button', /^Another step$/);
  await page.keyboard.press('Enter');
  await page.getByRole('combobox', { name: /^We’ll save your choice/ }).waitFor();
  await kept(page);
  await tabTo(page, 'link', /./);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a plan: made, a round moved by its menu and by its handle', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/plan`);
  await tabTo(page, 'button', /^Plan it$/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/plan\/[0-9a-f]{8}/);
  const games = (): Promise<string[]> => page.locator('main ol > li h2').allInnerTexts();
  await page.locator('main ol > li h2').nth(1).waitFor();
  const before = await games();
  await tabTo(page, 'button', /^Move round 2$/);
  // Space lifts the round, an arrow takes it up, Space puts it down.
  const told = page.locator('[id^=DndLiveRegion]');
  await page.keyboard.press('Space');
  await expect.poll(() => told.textContent()).toMatch(/picked up|would be/i);
  await page.keyboard.press('ArrowUp');
  await expect.poll(() => told.textContent()).toMatch(/would be 1 of/);
  await page.keyboard.press('Space');
  await expect.poll(games).not.toEqual(before);
  await kept(page);
  await page.getByText('Changes saved').waitFor();
  await kept(page);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('settings: an accent chosen and saved, a page gone to, a sound ticked', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/settings`);
  await tabTo(page, 'radio', /^Southern British$/);
  await page.keyboard.press('ArrowRight');
  await page.getByRole('radio', { name: 'Northern English', checked: true }).waitFor();
  await page.reload();
  // What was chosen and not saved yet is still chosen.
  await page.getByRole('radio', { name: 'Northern English', checked: true }).waitFor();
  await tabTo(page, 'button', /^(Save how we|This is how we count)/);
  await page.keyboard.press('Enter');
  await page.getByText('Saved.').waitFor();
  await kept(page);
  await page.goto(`${app.url}/settings`);
  await tabTo(page, 'link', /^Sounds taught$/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/settings\/taught/);
  await page.getByRole('heading', { name: 'Sounds and letters we’ve taught' }).waitFor();
  await tabTo(page, 'button', /^f as in /);
  const was = await page.locator(':focus').getAttribute('aria-pressed');
  await page.keyboard.press('Space');
  await expect.poll(() => page.locator(':focus').getAttribute('aria-pressed')).not.toBe(was);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a session from its first turn to Look back, with the shortcuts on single keys turned off', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(`${app.url}/settings/device`);
  await tabTo(page, 'switch', /^Shortcuts on single keys/);
  await page.keyboard.press('Space');
  await page.getByRole('switch', { name: /^Shortcuts on single keys/, checked: false }).waitFor();
  await page.goto(`${app.url}/words?words=frog,snail,spoon,flag,plum`);
  await tabTo(page, 'button', /^Play with/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/play\//);
  await awake(page);
  const ended = page.getByRole('button', { name: 'Finish and look back' });
  const mark = page.getByRole('button', { name: /^On own/ });
  // Enter begins; a figure marks nothing.
  await page.keyboard.press('Enter');
  await mark.waitFor();
  await page.keyboard.press('1');
  await shown(page, 0);
  await tabTo(page, 'button', /^On own/);
  for (let turns = 1; !(await ended.count()); turns += 1) {
    await nextFinger(page);
    // The focus stays on the mark from turn to turn.
    await page.keyboard.press('Enter');
    await expect.poll(async () => (await ended.count()) > 0 || (await doneIn(page)) === turns).toBe(true);
  }
  await saved(page);
  await tabTo(page, 'button', /^Finish and look back$/);
  await page.keyboard.press('Enter');
  await page.waitForURL(/look-back/);
  expect(trouble).toEqual([]);
  await page.context().close();
});

/** How many turns the head line says are done. */
async function doneIn(page: Page): Promise<number> {
  const label = await page.getByRole('img', { name: /turns done$/ }).getAttribute('aria-label');
  return Number(/^\d+/.exec(label ?? '')?.[0]);
}
