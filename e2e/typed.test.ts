import type { Browser, Locator, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { add, awake, closePages, openApp, openBrowser, openPage, type App } from './support/app';
import { sure } from '../src/core/sure';

let app: App;
let empty: App;
let browser: Browser;
/** Addresses of one of each, in the demo. */
const at = { plan: '', session: '', paper: '', play: '' };

beforeAll(async () => {
  [app, empty, browser] = await Promise.all([openApp({ demo: true }), openApp(), openBrowser()]);
  const { page } = await openPage(browser);
  await page.goto(`${app.url}/plan`);
  at.plan = sure(await page.locator('main section li a').first().getAttribute('href'));
  await page.goto(`${app.url}/look-back`);
  at.session = sure(await page.locator('main li a').first().getAttribute('href'));
  await page.goto(`${app.url}/print/plans/${sure(at.plan.split('/').at(-1))}`);
  await page.getByRole('button', { name: 'Tick grid' }).click();
  await page.waitForURL(/print\/papers/);
  at.paper = `/look-back/paper/${sure(new URL(page.url()).pathname.split('/').at(-1))}`;
  await page.goto(`${app.url}/words?words=frog,snail`);
  await page.getByRole('button', { name: /^Play with/ }).click();
  await page.waitForURL(/\/play\//);
  await awake(page);
  await page.getByRole('button', { name: /^Done –/ }).click();
  await page.getByRole('button', { name: /^On own/ }).waitFor();
  // The server has the model too: else a note could not be asked for in the session as others open it.
  await page.locator('[data-pending="0"]').waitFor({ state: 'attached' });
  at.play = new URL(page.url()).pathname;
  await page.context().close();
});
afterAll(async () => {
  await closePages(browser);
  await Promise.all([app?.stop(), empty?.stop()]);
});

/** A word that the bank does not have. */
const NEW_WORD = 'graph';

/** A place where something is typed: how to get there, and how to its fields. */
interface Place {
  readonly where: () => string;
  readonly open?: (page: Page) => Promise<unknown>;
  /** The field that is there once it is open; none where a dialog opens. */
  readonly field?: string;
}

const press =
  (...names: readonly (string | RegExp)[]) =>
  async (page: Page): Promise<void> => {
    for (const name of names)
      await page
        .getByRole('button', { name, ...(typeof name === 'string' ? { exact: true } : {}) })
        .first()
        .click();
  };

/** Every place with a field, and the way to it. What fields there are is read from the page. */
const PLACES: Readonly<Record<string, Place>> = {
  'the first names': {
    where: () => `${empty.url}/`,
    open: (page) => page.getByRole('tab', { name: 'Who’s playing' }).click(),
    field: 'First names',
  },
  'more names': { where: () => `${app.url}/children`, open: (page) => add(page, 'Names') },
  'a class list': { where: () => `${app.url}/children`, open: (page) => add(page, 'A class list') },
  'another group': { where: () => `${app.url}/children`, open: (page) => add(page, 'Another group') },
  'a child’s way of speaking': { where: () => `${app.url}/children`, open: press(/^Saoirse: /) },
  'a child’s days': {
    where: () => `${app.url}/children`,
    async open(page) {
      await press('Change Idris')(page);
      await page.getByRole('menuitem', { name: 'Days and groups…' }).click();
    },
  },
  'a child’s name': {
    where: () => `${app.url}/children`,
    async open(page) {
      await page.getByRole('button', { name: /^Change Saoirse/ }).click();
      await page.getByRole('menuitem', { name: 'Rename…' }).click();
    },
  },
  'a new plan': { where: () => `${app.url}/plan` },
  'a plan': { where: () => app.url + at.plan, open: press('More for this plan'), field: 'When' },
  'a round': { where: () => app.url + at.plan, open: press(/^Change round 1/) },
  'a set of words': { where: () => `${app.url}/words?words=frog,snail` },
  'our own word': { where: () => `${app.url}/words/new` },
  'about our own word': {
    where: () => `${app.url}/words/new`,
    async open(page) {
      if (!(await fieldsOn(page).first().inputValue())) await fieldsOn(page).first().fill(NEW_WORD);
      await press('Find its sounds')(page);
      await page.getByRole('radio', { name: /the vowel of bath/ }).click();
    },
    field: 'What it means, in one line',
  },
  'our name': { where: () => `${app.url}/settings/our-data` },
  'what was taught in letters': {
    where: () => `${app.url}/settings/taught`,
    open: press('Type or paste your own list'),
    field: 'Spellings you’ve taught, in your order',
  },
  'a grid by its number': { where: () => `${app.url}/look-back` },
  'a grid typed in': { where: () => app.url + at.paper },
  'an answer put right': { where: () => app.url + at.session, open: press(/: correct this$/) },
  'a note in Play': { where: () => app.url + at.play, open: (page) => page.keyboard.press('n') },
  'this device in Play': { where: () => app.url + at.play, open: (page) => page.keyboard.press('d') },
  'the pad of sounds': { where: () => app.url + at.play, open: (page) => page.keyboard.press('t') },
};

const TYPED = ['input:visible:not([type=checkbox], [type=radio], [type=hidden], [type=file], [type=search])'];

/**
 * Whatever can be typed into, of a dialog where one is open. A search is none: whoever comes back wants to see
 * everything.
 */
const fieldsOn = (page: Page): Locator =>
  page.locator(':root:not(:has([role=dialog])), [role=dialog]').locator([...TYPED, 'textarea:visible'].join(', '));

/** Something to type that a field takes, other than what stands there. */
async function fillIn(field: Locator, n: number): Promise<string> {
  if ((await field.inputValue()) === NEW_WORD) return NEW_WORD;
  const type = await field.getAttribute('type');
  const numeric = type === 'number' || (await field.getAttribute('inputmode')) === 'numeric';
  const typed = { date: '2026-03-04', 'datetime-local': '2027-03-04T10:20' }[type ?? ''] ?? `Peg${'abcdefgh'[n]}`;
  const text = numeric ? String(11 + n) : typed;
  await field.fill(text);
  return text;
}

/** Another address and back, each by a way of its own. */
const EXITS: Readonly<Record<string, (page: Page, where: string) => Promise<unknown>>> = {
  'by reload': (page) => page.reload(),
  'by the way back': async (page) => {
    await page.goto(`${new URL(page.url()).origin}/settings/judging`);
    await page.goBack();
  },
  'by the menu': async (page, where) => {
    const words = page.getByRole('link', { name: 'Words', exact: true }).and(page.locator(':visible'));
    await page.keyboard.press('Escape');
    if (await words.count()) {
      await words.first().click();
      await page.waitForURL(/\/words/);
    }
    await page.goto(where);
  },
};

const valuesOf = (fields: Locator): Promise<string[]> =>
  fields.evaluateAll((all) => all.map((e) => (e as HTMLInputElement).value));

/** Opens the place, unless it is open, and gives its fields. */
async function opened(page: Page, { open, field }: Place): Promise<Locator> {
  if (page.url().includes('/play/')) await awake(page);
  const dialog = page.getByRole('dialog');
  const there = field === undefined ? dialog : page.getByLabel(field, { exact: true });
  if (open && !(await there.count())) {
    await open(page);
    await there.first().waitFor();
  }
  await fieldsOn(page).first().waitFor();
  return fieldsOn(page);
}

test.each(Object.keys(PLACES))('what was typed outlives every way out: %s', async (name) => {
  const place = sure(PLACES[name]);
  const { where } = place;
  const { page } = await openPage(browser);
  const there = async (): Promise<Locator> => {
    if (!page.url().startsWith(where())) await page.goto(where());
    return opened(page, place);
  };
  await page.goto(where());
  const fields = await there();
  const many = await fields.count();
  expect(many).toBeGreaterThan(0);
  const typed: string[] = [];
  for (let n = 0; n < many; n += 1) typed.push(await fillIn(fields.nth(n), n));
  for (const [exit, leave] of Object.entries(EXITS)) {
    await leave(page, where());
    // A page that was asked for before the server had it all shows it when it is asked for again.
    const now = async (): Promise<string[]> => {
      const values = await valuesOf(await there());
      if (values.join() !== typed.join()) await page.reload();
      return values;
    };
    await expect.poll(now, { message: `${name}, ${exit}` }).toEqual(typed);
  }
  await page.context().close();
});

/** What sends a form, where it is not a tap on what it is for: the button in it, or the one under it. */
const SENDS = new RegExp(
  '^(Add|Add it|Add the group|Add \\d+ child(ren)?|Save|Save the name|Find its sounds|' +
    'It sounds right: save it|Plan it|Type it in)$',
  'u',
);

test('a server that is away takes nothing that was typed', async () => {
  for (const name of Object.keys(PLACES)) {
    const place = sure(PLACES[name]);
    const { page } = await openPage(browser);
    await page.goto(place.where());
    const fields = await opened(page, place);
    const typed: string[] = [];
    for (let n = 0; n < (await fields.count()); n += 1) typed.push(await fillIn(fields.nth(n), n));
    await page.route('**', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()));
    const sends = page.locator(':root:not(:has([role=dialog])), [role=dialog]').getByRole('button', { name: SENDS });
    if (await sends.and(page.locator(':enabled')).count()) {
      await sends.and(page.locator(':enabled')).last().click();
      await page
        .getByText(/can’t reach the server/)
        .first()
        .waitFor();
    }
    expect(await valuesOf(fieldsOn(page)), name).toEqual(typed);
    await page.context().close();
  }
});
