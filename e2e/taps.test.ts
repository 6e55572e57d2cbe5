import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import { awake, nextFinger, openApp, openPage, pick, saved, type App } from './support/app';
import { onStage } from './support/stage';

// How many taps the usual jobs take, walked as a person would: a tap on a choice that opens and one on what is chosen
// are two; typing and pasting are none. The bars are the product's own promise.

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { demo: true },
);

/** Counts the taps of one walk. */
function walker(page: Page) {
  let taps = 0;
  return {
    tap: async (role: Parameters<Page['getByRole']>[0], name: string | RegExp, at = 0): Promise<void> => {
      taps += 1;
      await page
        .getByRole(role, typeof name === 'string' ? { name, exact: true } : { name })
        .nth(at)
        .click();
    },
    choose: async (label: string, value: string): Promise<void> => {
      taps += 2;
      await pick(page, label, value);
    },
    key: async (key: string): Promise<void> => {
      taps += 1;
      await page.keyboard.press(key);
    },
    taps: (): number => taps,
  };
}

const SEVEN = 'Wren\nKofi\nIdris\nOttilie\nSaoirse\nTomasz\nJem';

test('a first game on the first day in four, and with one more group in seven', async () => {
  const fresh = await openApp();
  const { page, trouble } = await openPage(browser);
  await page.goto(fresh.url);
  const first = walker(page);
  await first.tap('link', 'Children');
  await page.getByLabel('First names').fill(SEVEN);
  await first.tap('button', 'Add');
  await page.getByText(/^Added/).waitFor();
  await first.tap('link', 'Today');
  await first.tap('button', /^Play now/);
  await page.getByRole('button', { name: /^Done –/ }).waitFor();
  expect(first.taps()).toBeLessThanOrEqual(4);

  await page.goto(fresh.url);
  const another = walker(page);
  await another.tap('link', 'Children');
  await another.tap('button', 'Add …');
  await another.tap('menuitem', 'Another group');
  await page.getByLabel('What is the group called?').fill('Marrows');
  await another.tap('button', 'Add the group');
  await page.getByRole('heading', { name: 'Marrows', exact: true, level: 1 }).waitFor();
  await page.getByLabel('First names').fill(SEVEN);
  await another.tap('button', 'Add');
  await page.getByText(/^Added/).waitFor();
  await another.tap('link', 'Today');
  await page.getByRole('heading', { name: 'Ready for Marrows' }).waitFor();
  await another.tap('button', /^Play now/);
  await page.getByRole('button', { name: /^Done –/ }).waitFor();
  expect(another.taps()).toBeLessThanOrEqual(7);
  expect(trouble).toEqual([]);
  await page.context().close();
  await fresh.stop();
});

test('six words whose start is held, of taught sounds, as cards, in at most twelve', async () => {
  const { page } = await openPage(browser);
  await page.goto(app.url);
  const { tap, choose, taps } = walker(page);
  await tap('link', 'Words');
  await tap('link', /^you can hold/);
  await page.waitForURL(/first=hold/);
  await tap('link', /^sounds we’ve taught/);
  await page.waitForURL(/only=taught/);
  await choose('How many words', '6');
  await page.waitForURL(/size=6/);
  await page.getByRole('heading', { name: /6 words/ }).waitFor();
  await page.getByLabel('Name of the set').fill('Held starts');
  await tap('button', 'Save');
  await tap('link', 'Print it');
  await page.waitForURL(/print\/sets/);
  await tap('link', 'Picture cards');
  await page.waitForURL(/as=cards/);
  expect(taps()).toBeLessThanOrEqual(12);
  await page.context().close();
});

test('a plan on a sound: made, changed, printed, played and looked back at, in at most forty-five', async () => {
  const { page } = await openPage(browser);
  await page.goto(app.url);
  const { tap, choose, key, taps } = walker(page);
  await tap('link', 'Plan');
  await choose('What kind of session?', 'one-sound');
  await choose('Sound', 's');
  await tap('button', 'Plan it');
  await page.waitForURL(/plan\/[0-9a-f]{8}/);
  await page
    .getByText(/8 min|9 min|7 min/)
    .first()
    .waitFor();
  await tap('button', /ther words .*round 1/);
  await tap('button', 'Move round 2');
  await tap('menuitem', 'Move up');
  await page.getByText('Changes saved').waitFor();
  await tap('link', 'Print');
  await page.waitForURL(/print\/plans/);
  await page.goBack();
  await tap('button', 'Play now');
  await page.waitForURL(/\/play\//);
  await awake(page);
  const over = page.getByRole('button', { name: 'Finish and look back' });
  const begin = page.getByRole('button', { name: /^(Done –|Next: )/ });
  const mark = page.getByRole('button', { name: /^(On own|Finish: )/ });
  for (let presses = 0; presses < 80; presses += 1) {
    await over.or(begin).or(mark).first().waitFor();
    // Between rounds both are offered: to go on, and to finish.
    const [offered] = await begin.allTextContents();
    if (offered !== undefined) {
      await tap('button', /^(Done –|Next: )/);
      // The tap is done when something else is offered.
      await expect.poll(async () => (await begin.allTextContents())[0]).not.toBe(offered);
    } else if (await over.count()) break;
    else {
      await nextFinger(page);
      await key('1');
    }
    await saved(page);
  }
  await tap('button', 'Finish and look back');
  await page.waitForURL(/look-back/);
  expect(taps()).toBeLessThanOrEqual(45);
  await page.context().close();
});

test('what to do tomorrow for Wren, in one', async () => {
  const { page } = await openPage(browser);
  await page.goto(`${app.url}/children/board`);
  await page
    .getByRole('row', { name: /Wren/ })
    .getByText(/hear and say “/)
    .first()
    .waitFor();
  const { tap, taps } = walker(page);
  await tap('link', 'Wren');
  await page.getByRole('heading', { name: /^Next: / }).waitFor();
  expect(taps()).toBe(1);
  await page.context().close();
});

test('a class list in five; a child moved, put out of sight, a note found, all taken out: three each', async () => {
  const { page } = await openPage(browser);
  await page.goto(app.url);
  const listing = walker(page);
  await listing.tap('link', 'Children');
  await listing.tap('button', 'Add …');
  await listing.tap('menuitem', 'A class list');
  await page.getByLabel('Paste the list').fill('First name,Group\nJuniper,Radishes');
  await listing.tap('button', 'Add 1 child');
  await page.getByText('Added one child to Radishes.').waitFor();
  expect(listing.taps()).toBeLessThanOrEqual(5);

  await page.goto(app.url);
  const moving = walker(page);
  await moving.tap('link', 'Children');
  await moving.tap('button', 'Change Tomasz');
  await moving.tap('menuitem', 'Broad Beans');
  await page.getByText(/^Tomasz is in Broad Beans now/).waitFor();
  expect(moving.taps()).toBeLessThanOrEqual(3);

  await page.goto(app.url);
  const archiving = walker(page);
  await archiving.tap('link', 'Children');
  await archiving.tap('button', 'Change Saoirse');
  await archiving.tap('menuitem', /^Take off the list/);
  await page.getByText(/^Saoirse is off the list/).waitFor();
  expect(archiving.taps()).toBeLessThanOrEqual(3);

  await page.goto(app.url);
  const finding = walker(page);
  await finding.tap('button', 'Find');
  await page.getByPlaceholder('a name, a word, 4 sounds, or sh o p').fill('scarecrow');
  await page.getByRole('group', { name: 'Notes' }).getByRole('option').first().waitFor();
  await finding.tap('option', /Whispered it to the scarecrow/);
  await page.waitForURL(/look-back\/[0-9a-f]{8}/);
  expect(finding.taps()).toBeLessThanOrEqual(3);

  const taking = walker(page);
  await taking.tap('link', 'Settings');
  await taking.tap('link', 'Our data');
  const file = page.waitForEvent('download');
  await taking.tap('link', 'Download everything as open files (ZIP)');
  expect((await file).suggestedFilename()).toMatch(/\.zip$/);
  expect(taking.taps()).toBeLessThanOrEqual(3);
  await page.context().close();
});

test('first day on a phone: six names, two turns and a look back in at most fifteen', async () => {
  const fresh = await openApp();
  const { page, trouble } = await openPage(browser, 390, 844);
  await page.goto(fresh.url);
  const { tap, taps } = walker(page);
  await tap('tab', 'Who’s playing');
  await page.getByLabel('First names').fill('Wren, Kofi, Idris, Ottilie, Jem, Bo');
  // The obvious next thing keeps them.
  await tap('button', /^Next: /);
  await tap('button', /^Play now/);
  await page.waitForURL(/\/play\//);
  await awake(page);
  await tap('button', /^Done – /);
  for (const turns of [1, 2]) {
    await nextFinger(page);
    await tap('button', /^On own/);
    await page.getByRole('img', { name: new RegExp(`^${turns} of`) }).waitFor();
  }
  await tap('button', 'Finish');
  await tap('button', 'Finish the session');
  await page.waitForURL(/look-back/);
  // The warm-up is everyone’s together, so the six had no turn of their own yet.
  await page.getByText('No turn today: Wren, Kofi, Idris, Ottilie, Jem, Bo.').waitFor();
  expect(taps()).toBeLessThanOrEqual(15);
  expect(trouble).toEqual([]);
  await page.context().close();
  await fresh.stop();
});

test('eight minutes of blending four sounds, planned in at most six', async () => {
  const { page } = await openPage(browser);
  await page.goto(app.url);
  const { tap, choose, taps } = walker(page);
  await tap('link', 'Plan');
  await page.getByRole('heading', { name: /^Plan for/ }).waitFor();
  await choose('Game', 'blending');
  await choose('Step', '4');
  expect(await page.getByLabel('Minutes').inputValue()).toBe('8');
  await tap('button', 'Plan it');
  await page.waitForURL(/plan\/[0-9a-f]{8}/);
  await page.getByRole('heading', { name: 'Plan: Blending, 4 sounds, of any kind' }).waitFor();
  expect(taps()).toBeLessThanOrEqual(6);

  // The same from anywhere, by what is typed.
  await page.goto(app.url);
  const typing = walker(page);
  await typing.tap('button', 'Find');
  await page.getByRole('combobox', { name: 'Find anything' }).fill('4 sounds');
  await typing.tap('option', /^Plan: Blending/);
  await page.waitForURL(/plan\?task=blending&step=4/);
  await typing.tap('button', 'Plan it');
  await page.getByRole('heading', { name: 'Plan: Blending, 4 sounds, of any kind' }).waitFor();
  expect(typing.taps()).toBeLessThanOrEqual(3);
  await page.context().close();
});

test('cards from six held words in at most six', async () => {
  const { page } = await openPage(browser);
  await page.goto(`${app.url}/words`);
  const { tap, choose, taps } = walker(page);
  await tap('link', /^you can hold/);
  await page.waitForURL(/first=hold/);
  await choose('How many words', '6');
  await page.waitForURL(/size=6/);
  await page.getByRole('heading', { name: '6 words' }).first().waitFor();
  await page.getByLabel('Name of the set').fill('Six held');
  await tap('button', 'Save');
  await tap('link', 'Print it');
  await page.waitForURL(/print\/sets/);
  await tap('link', 'Picture cards');
  await page.waitForURL(/as=cards/);
  expect(taps()).toBeLessThanOrEqual(6);
  await page.context().close();
});

test('an answer given to the wrong child is put right in at most three', async () => {
  const { page } = await openPage(browser);
  await page.goto(`${app.url}/look-back`);
  await page.locator('main li a').first().click();
  await page.waitForURL(/look-back\/[0-9a-f]{8}/);
  const { tap, taps } = walker(page);
  await tap('button', /^Wren, .*: correct this$/);
  await tap('button', 'Idris');
  await page.getByText(/: now Idris’s answer\./).waitFor();
  expect(taps()).toBeLessThanOrEqual(3);
  await page.context().close();
});

test('a check-in of a new child, from Today, in at most three', async () => {
  const { page } = await openPage(browser, 390, 844);
  await page.goto(`${app.url}/children`);
  await page.getByRole('button', { name: 'Add …' }).click();
  await page.getByRole('menuitem', { name: 'Names' }).click();
  await page.getByLabel('First names').fill('Hazelnut');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByText(/^Added/).waitFor();
  await page.goto(app.url);
  const { tap, taps } = walker(page);
  await tap('button', /^Find their step/);
  await page.waitForURL(/\/play\//);
  expect(taps()).toBeLessThanOrEqual(3);
  await page.context().close();
});

test('a saved plan is played from the list in two', async () => {
  const { page, trouble } = await openPage(browser);
  await page.goto(app.url);
  const { tap, taps } = walker(page);
  await tap('link', 'Plan');
  await tap('button', 'Play Tuesday: /s/ at the start');
  await page.waitForURL(/\/play\//);
  expect(taps()).toBe(2);
  expect(trouble).toEqual([]);
  await page.context().close();
});
