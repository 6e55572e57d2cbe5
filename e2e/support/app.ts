import { chromium, type Browser, type Locator, type Page } from 'playwright-core';
import { expect } from 'vitest';
import { chromiumPath } from '../../scripts/lib/browser.mjs';
import { sure } from '../../src/core/sure';
import type { App } from './server';

export { openApp, type App } from './server';

/** Debian's Chromium, kept from calling out; one of its own, with settings of its own. */
export const ownBrowser = (...more: string[]): Promise<Browser> => browserBy(chromiumPath(), ...more);

/** The same, started by a program of its own. */
export const browserBy = (program: string | undefined, ...more: string[]): Promise<Browser> =>
  chromium.launch({
    executablePath: program,
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      ...more,
    ],
  });

let shared: Promise<Browser> | undefined;

/** The browser that the files of a worker share; each test has a context of its own. It ends with the worker. */
export const openBrowser = (): Promise<Browser> => (shared ??= ownBrowser());

/** Closes what a file has open in the browser that is shared. */
export const closePages = async (browser: Browser | undefined): Promise<void> => {
  await Promise.all((browser?.contexts() ?? []).map((context) => context.close()));
};

export interface Watched {
  readonly page: Page;
  readonly trouble: string[];
}

/** A page whose console errors and exceptions are collected. */
export async function openPage(browser: Browser, width = 1280, height = 800): Promise<Watched> {
  const context = await browser.newContext({ viewport: { width, height }, acceptDownloads: true });
  const page = await context.newPage();
  // Long enough for a machine that is busy with something else: what is waited for comes, or it does not.
  page.setDefaultTimeout(90_000);
  wakeFirst(page);
  return { page, trouble: watch(page) };
}

/** Every page that is gone to is waited for until it listens: what is typed into one that is only drawn may be lost. */
function wakeFirst(page: Page): void {
  const goto = page.goto.bind(page);
  page.goto = async (...to) => {
    const response = await goto(...to);
    await page.waitForFunction(() => {
      const all = [...document.querySelectorAll('main, main *, .playing')];
      return !all.length || all.some((e) => Object.keys(e).some((key) => key.startsWith('__reactFiber')));
    });
    return response;
  };
}

/** Waits until a page that was gone to has its fonts and pictures, and what they change is drawn. */
export const still = (page: Page): Promise<void> =>
  page.evaluate(async () => {
    await document.fonts.ready;
    // A picture out of sight may be fetched only when it is scrolled to.
    const inSight = [...document.images].filter((image) => image.loading !== 'lazy');
    await Promise.all(inSight.map((image) => image.decode().catch(() => undefined)));
    await new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn)));
  });

export function watch(page: Page): string[] {
  const trouble: string[] = [];
  page.on('console', (message) => {
    // Another test pulls out a wire of this computer: the browser says so everywhere, and it is nobody's fault.
    if (message.type() === 'error' && !message.text().includes('ERR_NETWORK_CHANGED')) trouble.push(message.text());
  });
  page.on('pageerror', (error) => trouble.push(error.message));
  return trouble;
}

/** Adds names through the Children screen. */
export async function addNames(page: Page, url: string, names: readonly string[]): Promise<void> {
  await page.goto(`${url}/children`);
  await add(page, 'Names');
  await page.getByLabel('First names').fill(names.join('\n'));
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByText(/^Added/).waitFor();
}

/** What is added on the screen of names: opened, unless it stands there already. */
export async function add(page: Page, what: 'Names' | 'A class list' | 'A plant for everyone' | 'Another group') {
  await page.getByRole('button', { name: 'Add …' }).waitFor();
  if (what === 'Names' && (await page.getByLabel('First names').count())) return;
  await page.getByRole('button', { name: 'Add …' }).click();
  await page.getByRole('menuitem', { name: what }).click();
}

/** A new group, shown from now on. */
export async function addGroup(page: Page, url: string, name: string): Promise<void> {
  await page.goto(`${url}/children`);
  await add(page, 'Another group');
  await page.getByLabel('What is the group called?').fill(name);
  await page.getByRole('button', { name: 'Add the group' }).click();
  await page.getByRole('heading', { name, exact: true, level: 1 }).waitFor();
}

/** Starts a session from the Words screen and models the first item. */
export async function beginPlay(page: Page, url: string, query: string): Promise<string> {
  await page.goto(`${url}/words?${query}`);
  await page.getByRole('button', { name: /^Play with/ }).click();
  await page.waitForURL(/\/play\//);
  await awake(page);
  await page.getByRole('button', { name: /^Done –/ }).click();
  await page.getByRole('button', { name: /^On own/ }).waitFor();
  return sure(page.url().split('/').at(-1));
}

/** How many turns the run says are done. */
async function turnsDone(page: Page): Promise<number> {
  const label = await page.getByRole('img', { name: /turns done$/ }).getAttribute('aria-label');
  return Number(/^(\d+)/.exec(label ?? '')?.[1]);
}

/** Waits until the run listens to keys and taps: what is pressed on a page that is only drawn so far is lost. */
export async function awake(page: Page, timeout = 90_000): Promise<void> {
  await page.waitForFunction(
    () => Object.keys(document.querySelector('.playing') ?? {}).some((key) => key.startsWith('__reactFiber')),
    undefined,
    { timeout },
  );
  // Keys are listened to once the frame is drawn.
  await page.evaluate(
    () =>
      new Promise((resolve) => {
        requestAnimationFrame(() => setTimeout(resolve));
      }),
  );
}

/** Waits until the run shows so many turns as marked. */
export async function shown(page: Page, turns: number): Promise<void> {
  await awake(page);
  await expect.poll(() => turnsDone(page), { interval: 20 }).toBe(turns);
}

/** Lets the pause pass that keeps one tap from counting twice. */
export const nextFinger = (page: Page): Promise<void> => page.waitForTimeout(300);

/** An answer as the session's file has it. */
export interface AnswerRow {
  readonly id: string;
  readonly turn: number;
  readonly child: string | null;
  readonly word: string;
  readonly outcome: string;
  readonly slip: string | null;
  readonly said: string | null;
  readonly missed: readonly number[];
  readonly helps: readonly string[];
  readonly note: string | null;
  readonly at: string;
  readonly standing: string;
}

/** The answers that stand, as the server gives them out. */
export const answersOf = async (app: App, session: string): Promise<AnswerRow[]> =>
  ((await (await fetch(`${app.url}/api/sessions/${session}/export?as=json`)).json()) as { answers: AnswerRow[] })
    .answers;

/** Every entry of a session's log, as the server has it. */
export const logOf = async (
  app: App,
  session: string,
): Promise<
  {
    readonly id: string;
    readonly kind: string;
    readonly at: number;
    readonly outcome?: string;
    readonly turn?: number;
  }[]
> =>
  (
    (await (
      await fetch(`${app.url}/api/sessions/${session}/log`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: app.url },
        body: '{"entries":[]}',
      })
    ).json()) as { log: never[] }
  ).log;

/** Answers that wait on the device for the server. */
export const waiting = async (page: Page): Promise<number> =>
  Number(await page.locator('[data-pending]').getAttribute('data-pending'));

/** Waits until the server has everything. */
export const saved = (page: Page): Promise<void> => expect.poll(() => waiting(page), { timeout: 90_000 }).toBe(0);

/** Chooses one of a list that opens, by its value. */
export async function pick(page: Page, label: string, value: string): Promise<void> {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await choose(page, value);
}

/** Chooses in a list that opens, by keys: a list that scrolls on its own may move away from under a pointer. */
export async function choose(page: Page, value: string): Promise<void> {
  const list = page.getByRole('listbox');
  // The first choice has the focus once the list has its place.
  await page.locator('[role="listbox"]:focus, [role="listbox"] :focus').waitFor();
  await list.locator(`[role="option"][data-value="${value}"]`).press('Enter');
  await list.waitFor({ state: 'detached' });
}

/** Uses a tool of Play: where it stands in the open, or behind the one button. */
export async function tapTool(page: Page, name: string): Promise<void> {
  const tool = page.getByRole('button', { name, exact: true });
  const inOpen = tool.and(page.locator(':visible'));
  if (await inOpen.count()) return inOpen.first().click();
  await page.getByRole('button', { name: 'Tools', exact: true }).click();
  const among = page.getByRole('dialog').getByRole('button', { name, exact: true });
  await page.getByRole('dialog').waitFor();
  while (!(await among.count())) await page.getByRole('dialog').getByRole('button', { name: 'More tools' }).click();
  await among.click();
}

/** Ends the session while turns are left: it is asked for first. */
export async function finishNow(page: Page): Promise<void> {
  await tapTool(page, 'Finish');
  await page.getByRole('dialog').getByRole('button', { name: 'Finish the session' }).click();
}

/** Marks by a key, and waits until the run shows it. */
export async function tap(page: Page, key: string, turns: number): Promise<void> {
  await awake(page);
  await nextFinger(page);
  await page.keyboard.press(key);
  await shown(page, turns);
}

/** What is told while something is moved: which place it would have. */
const WOULD_BE = /would be (\d+) of/;

/**
 * Moves something with the keyboard: lifts it with Space, goes with arrows, drops it with Space. Each key waits until
 * the one before it has been told to screen readers.
 */
export async function moveByKeys(page: Page, grip: Locator, arrows: readonly string[]): Promise<void> {
  const told = page.locator('[id^=DndLiveRegion]');
  const says = (what: RegExp): Promise<void> => expect.poll(() => told.textContent()).toMatch(what);
  await grip.focus();
  await page.keyboard.press('Space');
  await says(/picked up|would be/);
  // It lies over its own place at first.
  let over =
    /, (\d+) of/.exec((await told.textContent()) ?? '')?.[1] ?? WOULD_BE.exec((await told.textContent()) ?? '')?.[1];
  for (const arrow of arrows) {
    await page.keyboard.press(arrow);
    await expect
      .poll(async () => {
        const now = WOULD_BE.exec((await told.textContent()) ?? '')?.[1];
        return now !== undefined && now !== over;
      })
      .toBe(true);
    over = WOULD_BE.exec((await told.textContent()) ?? '')?.[1];
  }
  await page.keyboard.press('Space');
  await says(/was dropped/);
}
