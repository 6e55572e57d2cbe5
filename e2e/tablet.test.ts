import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { sure } from '../src/core/sure';
import {
  addNames,
  awake,
  closePages,
  logOf,
  nextFinger,
  openApp,
  openBrowser,
  openPage,
  saved,
  type App,
} from './support/app';
import { attacks, type Attack } from './support/attacks';
import { violations } from './support/axe';
import { makeOtherHost, type OtherHost } from './support/two-hosts';

// Two hosts with a wire between them. The tablet's browser takes the certificate from its own store, as one does that a
// person has let past the warning; no flag lets it ignore any.
let app: App;
let desk: Browser;
let there: OtherHost;
const tablets: Browser[] = [];
beforeAll(async () => {
  there = makeOtherHost();
  [app, desk] = await Promise.all([openApp(), openBrowser()]);
});
afterAll(async () => {
  await Promise.all(tablets.map((b) => b.close()));
  await closePages(desk);
  await app.stop();
  there.leave();
});

const NAMES = ['Wren', 'Idris', 'Ottilie', 'Kofi'];
const NOTE = 'looked out at the bean rows';
const ASK = path.join('e2e', 'support', 'ask-from-there.mjs');

interface Got {
  readonly status: number;
  readonly body: string;
  readonly cookie?: string | null;
  readonly error?: string;
}
const askFromThere = (url: string, requests: readonly object[], pace = 0): Got[] =>
  JSON.parse(there.run(ASK, JSON.stringify({ url, requests, pace }))) as Got[];

/** Says a code at the door, as its page does. */
function sayCode({ url, letters }: { url: string; letters: string }): Got {
  const headers = { 'content-type': 'application/json', origin: url };
  const body = JSON.stringify({ code: letters });
  return sure(askFromThere(url, [{ method: 'POST', path: '/come', headers, body }])[0]);
}

/** The code that the screen shows: its address and its letters. */
async function codeOn(page: Page): Promise<{ url: string; letters: string }> {
  const picture = page.getByAltText(/^Code for the/);
  await picture.waitFor();
  const beside = page
    .locator('div')
    .filter({ has: page.getByText('It lets one tablet in') })
    .last();
  return {
    url: await beside.locator('b').filter({ hasText: 'http' }).innerText(),
    letters: sure(/(?:\w{3} ){3}\w{3}/.exec(await beside.innerText())?.[0]),
  };
}

/** Plans a game on the laptop and opens the way in; how many taps that takes where there is one network. */
async function lendFromPlan(page: Page): Promise<number> {
  await page.goto(`${app.url}/plan`);
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.waitForURL(/\/plan\/./);
  await page.getByRole('button', { name: 'Play it on a tablet' }).click();
  await page.waitForURL(/\/lend\//);
  const choice = page.getByRole('radio', { name: there.address });
  const several = (await page.getByRole('radio').count()) > 0;
  if (several) await choice.click();
  await page.getByRole('button', { name: 'Let a tablet in' }).click();
  return 2;
}

/** A page on a tablet; all that comes to it and goes from it is kept. */
async function tabletPage(url: string, traffic: string[]): Promise<Page> {
  const browser = await there.browser(url);
  tablets.push(browser);
  const context = await browser.newContext({ viewport: { width: 768, height: 1024 } });
  const page = await context.newPage();
  page.setDefaultTimeout(90_000);
  page.on('request', (request) => traffic.push(request.url(), request.postData() ?? ''));
  page.on('response', (response) => {
    traffic.push(JSON.stringify(response.headers()));
    void response.body().then(
      (body) => traffic.push(body.toString('utf8')),
      () => undefined,
    );
  });
  return page;
}

async function comeIn(page: Page, { url, letters }: { url: string; letters: string }): Promise<void> {
  await page.goto(url);
  await page.getByLabel('Letters').fill(letters);
  await page.getByRole('button', { name: 'Come in' }).click();
  await page.waitForURL(/\/lent\//);
  await awake(page);
}

/**
 * The page loaded anew and listening. A wire that was just put back settles for a while, and a browser breaks off what
 * it was loading then (ERR_NETWORK_CHANGED): a person loads it once more.
 */
async function loadedAnew(page: Page): Promise<void> {
  for (let tries = 0; tries < 4; tries += 1) {
    await page.reload().catch(() => null);
    if (
      await awake(page, 20_000).then(
        () => true,
        () => false,
      )
    )
      return;
  }
  await awake(page);
}

const markButton = (page: Page) => page.getByRole('button', { name: /^(On own|With help|Not yet)$/ });
async function markOn(page: Page, times: number): Promise<void> {
  for (let i = 0; i < times; i += 1) {
    const done = page.getByRole('button', { name: /^(Done –|Next:|One more turn each|Play it once more)/ });
    await done.or(markButton(page)).first().waitFor();
    while (!(await markButton(page).count())) {
      await done.first().click();
      await nextFinger(page);
    }
    await markButton(page)
      .nth(i % 3)
      .click();
    await nextFinger(page);
  }
}

const answersIn = async (session: string): Promise<number> =>
  (await logOf(app, session)).filter((e) => e.kind === 'answer').length;

/** Finishes on the computer, and sees there what came from tablets. */
async function finishOnComputer(page: Page, session: string): Promise<void> {
  // Out of reach, the tablets are named before anything is finished.
  there.wire(false);
  await page.goto(`${app.url}/lend/${session}`);
  await page.getByText('not heard from for a while').nth(1).waitFor();
  await page.goto(`${app.url}/play/${session}`);
  await awake(page);
  await page.getByRole('button', { name: 'Finish' }).click();
  await page.getByText(/The green tablet hasn’t been heard from since \d\d:\d\d\. The blue tablet hasn’t/).waitFor();
  there.wire(true);
  await page.getByRole('button', { name: 'Finish the session' }).click();
  await page.waitForURL(/\/look-back\//);
  await page.getByText('green tablet').waitFor();
  await page.getByText('blue tablet').waitFor();
}

/** A mark on the computer with a note, which no tablet may ever hear of. */
async function noteOnComputer(page: Page, session: string): Promise<void> {
  await page.goto(`${app.url}/play/${session}`);
  await awake(page);
  await page.getByRole('button', { name: 'Note' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill(NOTE);
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();
  await markButton(page).first().click();
  await saved(page);
  await page.goto(`${app.url}/lend/${session}`);
}

test('lent, played, away for five marks, a second tablet, Finish: all is there, and then nothing answers', async () => {
  const { page, trouble } = await openPage(desk);
  await addNames(page, app.url, NAMES);
  const untouched = await openPage(desk);
  await untouched.page.goto(`${app.url}/children`);
  let taps = await lendFromPlan(page);
  const session = sure(page.url().split('/').at(-1));
  expect(await violations(page)).toEqual([]);
  await page.getByText('Carrot is Wren').waitFor();
  // On every screen of the computer, what was open before among them.
  await untouched.page.getByText('A tablet can join one session.').waitFor();

  // What is on the way between the two is searched at the end.
  const traffic: string[] = [];
  const first = await codeOn(page);
  expect(first.url).toContain(`https://${there.address}:`);
  const green = await tabletPage(first.url, traffic);
  await green.goto(first.url);
  expect(await violations(green)).toEqual([]);
  await comeIn(green, first);
  expect(await violations(green)).toEqual([]);
  expect(await green.getByRole('button', { name: 'Note' }).count()).toBe(0);
  // The screen can be kept awake there: that needs a secure page (W3C Screen Wake Lock).
  expect(await green.evaluate(() => window.isSecureContext)).toBe(true);
  // The warning that is let past is two taps on tablets, by their makers' documentation.
  taps += 2;
  await green.getByRole('button', { name: /^Done –/ }).click();
  await markButton(green).first().waitFor();
  await nextFinger(green);
  await markButton(green).first().click();
  taps += 2;
  expect(taps).toBeLessThanOrEqual(6);
  await saved(green);
  await expect.poll(() => answersIn(session)).toBe(1);
  await page.getByText('green tablet').waitFor();
  await page.getByText('1 mark', { exact: true }).waitFor();

  await noteOnComputer(page, session);
  await expect.poll(() => answersIn(session)).toBe(2);
  // A used code lets nobody in.
  expect(sayCode(first)).toMatchObject({ status: 404, body: '' });

  there.wire(false);
  await markOn(green, 5);
  there.wire(true);
  await saved(green);
  await expect.poll(() => answersIn(session)).toBe(7);
  // Also after a page that was loaded anew.
  await loadedAnew(green);
  await markOn(green, 1);
  await saved(green);
  await expect.poll(() => answersIn(session)).toBe(8);

  await page.getByRole('button', { name: 'Another tablet' }).click();
  const second = await codeOn(page);
  await page.getByText('blue tablet').first().waitFor();
  const blue = await tabletPage(second.url, traffic);
  await comeIn(blue, second);
  await markOn(blue, 1);
  await saved(blue);
  await expect.poll(() => answersIn(session)).toBe(9);

  await finishOnComputer(page, session);
  const [after] = askFromThere(first.url, [{ path: '/' }]);
  expect(after).toMatchObject({ status: 0, error: 'ECONNREFUSED' });

  for (const secret of [...NAMES, NOTE]) expect(traffic.filter((text) => text.includes(secret))).toEqual([]);
  expect(traffic.join('').length).toBeGreaterThan(100_000);
  await untouched.page.reload();
  await untouched.page.getByRole('link', { name: 'Wren' }).waitFor();
  await untouched.page.goto(`${app.url}/settings/our-data`);
  await untouched.page.getByText('a session was lent to tablets, with plants for names').waitFor();
  expect(trouble.concat(untouched.trouble)).toEqual([]);
  for (const p of [page, untouched.page]) await p.context().close();
});

/** An attack as it goes out: with our own Origin unless it says otherwise, and the key where it has one. */
function asSent(attack: Attack, ours: { readonly url: string; readonly letters: string; readonly cookie: string }) {
  const { inside, headers = {}, method, body, path: at } = attack;
  const start = { ...(method === 'POST' ? { origin: ours.url } : {}), ...(inside ? { cookie: ours.cookie } : {}) };
  return {
    path: at,
    method,
    body: body?.replace('USED', ours.letters),
    // An empty one in the list means that none is sent.
    headers: Object.fromEntries(Object.entries({ ...start, ...headers }).filter(([, value]) => value !== '')),
  };
}

/** What an answer was, for the table. */
const gotWords = ({ status, error }: Got): string =>
  status ? `${status}, no body` : `no answer (${error ?? 'closed'})`;

/** Writes down what each got, where pages are to be written (BOUNCY_ECHO_DOCS=1); ids are given names. */
function writeTable(all: readonly Attack[], got: readonly Got[], ids: readonly [string, string, string]): void {
  if (!process.env.BOUNCY_ECHO_DOCS) return;
  const short = (text: string): string =>
    ['SESSION', 'OTHER', 'CHILD'].reduce((now, name, i) => now.replaceAll(ids[i] ?? name, name), text);
  const rows = all.map(
    (a, i) => `| ${a.what} | \`${a.method ?? 'GET'} ${short(a.path)}\` | ${gotWords(sure(got[i]))} |`,
  );
  const mark = '<!-- made by e2e/tablet.test.ts -->';
  const page = readFileSync('docs/security.md', 'utf8').split(mark)[0] ?? '';
  const table = ['| what | request | got |', '| --- | --- | --- |', ...rows].join('\n');
  writeFileSync('docs/security.md', `${page}${mark}\n\n${table}\n`);
}

test('sixty requests over the network that are not the game: each gets nothing', async () => {
  const { page } = await openPage(desk);
  await addNames(page, app.url, ['Bryn']);
  const child = sure(await page.getByRole('main').getByRole('link', { name: 'Bryn' }).getAttribute('href'))
    .split('/')
    .at(-1);
  // Another session, and an action of this very build.
  await page.goto(`${app.url}/words?sounds=3`);
  await page.getByRole('button', { name: /^Play with/ }).click();
  await page.waitForURL(/\/play\//);
  const otherSession = sure(page.url().split('/').at(-1));
  let action = '';
  page.on('request', (request) => (action = request.headers()['next-action'] ?? action));
  await lendFromPlan(page);
  const session = sure(page.url().split('/').at(-1));
  const plan = session;
  expect(action).toMatch(/^[0-9a-f]{20,}$/);
  const { url, letters } = await codeOn(page);
  const came = sayCode({ url, letters });
  const cookie = sure(came.cookie?.split(';')[0]);
  expect(came.cookie).toMatch(/^__Host-tablet=[\w-]{43}; Path=\/; HttpOnly; SameSite=Strict; Secure$/);

  const all = attacks({ session, otherSession, child: sure(child), plan, action });
  expect(all.length).toBeGreaterThanOrEqual(60);
  const sent = all.map((attack) => asSent(attack, { url, letters, cookie }));
  const before = await logOf(app, session);
  const got = askFromThere(url, sent, 210);
  for (const [i, answer] of got.entries()) {
    const about = `${sure(all[i]).what}: ${sure(all[i]).path} → ${JSON.stringify(answer).slice(0, 200)}`;
    expect([0, 404, 429], about).toContain(answer.status);
    expect(answer.body, about).toBe('');
  }
  expect(await logOf(app, session)).toEqual(before);

  // A flood is held back, and the game goes on after it.
  const flood = askFromThere(
    url,
    Array.from({ length: 40 }, () => ({
      method: 'POST',
      path: `/api/sessions/${session}/log`,
      headers: { 'content-type': 'application/json', origin: url, cookie },
      body: '{"entries":[]}',
    })),
  );
  expect(flood.filter((g) => g.status === 429).length).toBeGreaterThan(10);
  await expect
    .poll(() => sure(askFromThere(url, [{ path: `/lent/${session}`, headers: { cookie } }])[0]).status)
    .toBe(200);

  writeTable(all, got, [session, otherSession, sure(child)]);
  await page.getByRole('button', { name: 'Close the way in' }).first().click();
  await page.context().close();
});
