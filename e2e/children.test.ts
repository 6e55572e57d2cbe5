import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { childFileSchema } from '../src/core/formats/child-file';
import { sure } from '../src/core/sure';
import {
  addGroup,
  addNames,
  answersOf,
  type App,
  awake,
  logOf,
  openApp,
  closePages,
  openBrowser,
  openPage,
  pick,
  saved,
  shown,
  tap,
} from './support/app';
import { violations } from './support/axe';

let app: App;
let own: App;
let browser: Browser;
beforeAll(async () => {
  [app, own, browser] = await Promise.all([openApp({ demo: true }), openApp(), openBrowser()]);
});
afterAll(async () => {
  await closePages(browser);
  await Promise.all([app?.stop(), own?.stop()]);
});

/** Opens a child's page by a click on the name. */
async function open(page: Page, url: string, name: string): Promise<string> {
  await page.goto(`${url}/children`);
  await page.getByRole('main').getByRole('link', { name, exact: true }).click();
  await page.waitForURL(/\/children\/[0-9a-f-]{36}/);
  await page.getByRole('heading', { level: 1, name }).waitFor();
  return sure(page.url().split('/').at(-1));
}

const PROFILES: readonly (readonly [string, RegExp, string])[] = [
  ['Ottilie', /^On their own, can .*blend words like (sun|pot|lamp|frog|plant|rabbit)/, 'runs ahead'],
  ['Wren', /On their own, can/, 'says what she does not hear yet'],
  ['Tomasz', /^Nothing is secure yet\.$/, 'manages with help'],
];

describe('three weeks of the demo', () => {
  test.each(PROFILES)('%s is seen as what the demo made: %s', async (name, words) => {
    const { page, trouble } = await openPage(browser);
    await open(page, app.url, name);
    const summary = await page.locator('main h1').locator('xpath=../following-sibling::p[1]').textContent();
    expect(summary).toMatch(words);
    expect(summary).not.toMatch(/%/);
    // What is next, why and with which words, and what nobody can tell yet, are in the first screen at every size.
    const settle = page.getByRole('heading', { name: 'What we can’t tell yet' });
    for (const [width, height] of [
      [1280, 800],
      [768, 1024],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height });
      const parts = [page.getByRole('button', { name: 'Play this' }), ...((await settle.count()) ? [settle] : [])];
      for (const part of parts) {
        const { y, height: tall } = sure(await part.boundingBox());
        expect(y + tall, `${name} at ${width}`).toBeLessThan(height);
      }
    }
    expect(await violations(page)).toEqual([]);
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('a hop says its state and why; help-only is never called secure; the pattern is named on the map', async () => {
    const { page } = await openPage(browser);
    await open(page, app.url, 'Tomasz');
    await page.getByRole('button', { name: /^blend words like sun: / }).click();
    await page.getByText(/^Blend words like sun: getting there\.$/).waitFor();
    await page
      .getByText(/\d with help/)
      .first()
      .waitFor();
    expect(await page.getByRole('button', { name: /: secure\./ }).count()).toBe(0);
    await open(page, app.url, 'Wren');
    await page.getByRole('button', { name: 'cluster', exact: true }).click();
    expect(await page.getByRole('img', { name: /in a cluster: slips, \d+ of \d+ times/ }).count()).toBeGreaterThan(0);
    await page.context().close();
  });

  test('who hardly ever replies is given pointing games, and nothing is claimed', async () => {
    const { page } = await openPage(browser);
    await open(page, app.url, 'Idris');
    await page.getByText(/^Often gives no reply, which doesn’t tell us what they know/).waitFor();
    await page.context().close();
  });

  test('another step is chosen, shown as chosen, kept over a reload, and taken back', async () => {
    const { page } = await openPage(browser);
    await open(page, app.url, 'Saoirse');
    const ours = await page.getByRole('heading', { name: /^Next: / }).textContent();
    await page.getByRole('button', { name: 'Another step' }).click();
    await pick(page, 'We’ll save your choice and show that it’s yours.', 'rhyme|say');
    await page.getByRole('heading', { name: 'Next: say a word that rhymes' }).waitFor();
    await page.reload();
    await page.getByText(/^Chosen by an adult on /).waitFor();
    await page.goto(`${app.url}/children/board`);
    await page
      .getByRole('row', { name: /Saoirse/ })
      .getByText('say a word that rhymes (chosen)')
      .first()
      .waitFor();
    await open(page, app.url, 'Saoirse');
    await page.getByRole('button', { name: 'Use the suggestion' }).click();
    await page.getByRole('heading', { name: sure(ours) }).waitFor();
    await page.getByRole('heading', { name: 'Steps chosen by adults' }).waitFor();
    await page.context().close();
  });

  test('play this starts a session with that child; a group of Today with those children', async () => {
    const { page } = await openPage(browser);
    await open(page, app.url, 'Ottilie');
    await page.getByRole('button', { name: 'Play this' }).click();
    await page.waitForURL(/\/play\//);
    expect(await page.locator('nav[aria-label="Children"] li', { hasText: 'Ottilie' }).count()).toBe(1);
    expect(await page.locator('nav[aria-label="Children"] li', { hasText: 'Kofi' }).count()).toBe(0);
    await page.goto(app.url);
    const group = page.getByRole('region', { name: 'Who plays with whom' }).getByRole('listitem').first();
    const said = sure(await group.getByRole('button').textContent());
    await group.getByRole('button').click();
    await page.waitForURL(/\/play\//);
    const rows = await page.locator('nav[aria-label="Children"] li').count();
    expect(rows).toBeGreaterThanOrEqual(Number(sure(/\d/.exec(said))[0]));
    await page.context().close();
  });

  test('who plays with whom, what and why: without a tap; the groups can be changed, and made anew', async () => {
    const { page } = await openPage(browser);
    await page.goto(app.url);
    const groups = page.getByRole('region', { name: 'Who plays with whom' });
    await groups
      .getByText(/^It’s next for /)
      .first()
      .waitFor();
    const box = sure(await groups.boundingBox());
    expect(box.y + box.height, 'on the first screen').toBeLessThanOrEqual(800);
    const lines = async (): Promise<string> => groups.innerText();
    const before = await lines();
    // The board says the same.
    await page.goto(`${app.url}/children/board`);
    const names = sure(/^.+ and .+$/m.exec(before))[0];
    await page.getByRole('region', { name: 'Who plays with whom' }).getByText(names, { exact: true }).waitFor();
    await page.goto(app.url);
    await page.getByRole('button', { name: 'Change the groups' }).click();
    expect(await violations(page)).toEqual([]);
    await pick(page, 'Wren plays', 'alone');
    await page.getByText('You changed these groups, so they’ll stay as they are.').waitFor();
    await page.getByRole('button', { name: 'Make new groups' }).click();
    await page.getByText('You changed these groups, so they’ll stay as they are.').waitFor({ state: 'hidden' });
    await page.keyboard.press('Escape');
    expect(await lines()).toBe(before);
    // One adult: all in one group; two again: as before.
    await pick(page, 'Adults in today', '1');
    await groups.getByRole('button', { name: /^Play with 5/ }).waitFor();
    await pick(page, 'Adults in today', '2');
    await groups.getByRole('button', { name: /^Play with 3/ }).waitFor();
    expect(await lines()).toBe(before);
    await page.context().close();
  });

  test('days and company of a child are kept from a menu of the list', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/children`);
    await page.getByRole('button', { name: 'Change Idris', exact: true }).click();
    await page.getByRole('menuitem', { name: 'Days and groups…' }).click();
    await page.getByRole('checkbox', { name: 'Friday' }).click();
    await page.getByLabel('With their key adult').fill('Hazel');
    expect(await violations(page)).toEqual([]);
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('dialog').waitFor({ state: 'hidden' });
    await page.reload();
    await page.getByRole('button', { name: 'Change Idris', exact: true }).click();
    await page.getByRole('menuitem', { name: 'Days and groups…' }).click();
    expect(await page.getByRole('checkbox', { name: 'Friday' }).isChecked()).toBe(false);
    expect(await page.getByLabel('With their key adult').inputValue()).toBe('Hazel');
    await page.getByRole('checkbox', { name: 'Friday' }).click();
    await page.getByLabel('With their key adult').fill('');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('dialog').waitFor({ state: 'hidden' });
    await page.context().close();
  });

  test('what is always so for a child is set once, told in Play, and never offered as a help', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/children`);
    await page.getByRole('button', { name: 'Saoirse: add speech differences' }).click();
    await page.getByLabel('Needs to hear everything twice').check();
    expect(await violations(page)).toEqual([]);
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByRole('button', { name: 'Saoirse: hears it twice' }).waitFor();
    await open(page, app.url, 'Saoirse');
    await page.getByRole('button', { name: 'Play this' }).click();
    await page.waitForURL(/\/play\//);
    await page.getByRole('button', { name: /^Done –/ }).click();
    // The warm-up is for everyone; a tap on her name gives her the turn.
    await page.locator('nav[aria-label="Children"] li', { hasText: 'Saoirse' }).getByRole('button').first().click();
    await page.getByText('Always for Saoirse: hears it twice.').waitFor();
    await page.keyboard.press('2');
    await page.getByRole('button', { name: 'gesture' }).waitFor();
    expect(await page.getByRole('button', { name: 'said again', exact: true }).count()).toBe(0);
    await page.context().close();
  });

  test('how old the children are is kept, and a step says what nobody expects of them yet', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/children`);
    await pick(page, 'How old are they?', 'nursery');
    const kept = async (): Promise<string> => {
      await open(page, app.url, 'Ottilie');
      await page.getByRole('button', { name: /^blend words like sun: / }).click();
      return (await page.locator('[aria-live=polite]').first().textContent()) ?? '';
    };
    await expect.poll(kept).toContain('We wouldn’t expect this at their age yet.');
    await page.goto(`${app.url}/children`);
    await pick(page, 'How old are they?', 'reception');
    await expect.poll(kept).not.toContain('We wouldn’t expect');
    await page.context().close();
  });

  test('a plant beside a name: chosen by keys, in Play, on the tick grid, in the file; taken away again', async () => {
    const { page, trouble } = await openPage(browser);
    await page.goto(`${app.url}/children`);
    const mine = page.getByRole('button', { name: /^Kofi’s plant: / });
    await mine.focus();
    await page.keyboard.press('Enter');
    const shown = page.getByRole('dialog', { name: 'A plant for Kofi' });
    await shown.waitFor();
    expect(await violations(page)).toEqual([]);
    // Ottilie has the carrot: it says so, and can be had all the same.
    await shown.getByRole('button', { name: 'carrot, another child has it' }).waitFor();
    await shown.getByRole('button', { name: 'raspberry', exact: true }).press('Enter');
    await page.getByRole('button', { name: 'Kofi’s plant: raspberry' }).waitFor();
    await shown.waitFor({ state: 'detached' });
    await page.goto(`${app.url}/plan`);
    await page
      .getByRole('link', { name: /^Print / })
      .first()
      .click();
    await page.getByRole('button', { name: 'Tick grid' }).click();
    await page.waitForURL(/print\/papers\/\d+$/);
    const row = page.getByRole('rowheader', { name: 'Kofi' }).first();
    expect(await row.locator('img').getAttribute('src')).toBe('/plants/raspberry.svg');
    await page.getByRole('link', { name: 'Picture cards' }).click();
    await page.getByRole('list', { name: 'Name cards' }).getByText('Kofi').waitFor();
    const id = await open(page, app.url, 'Kofi');
    const file: unknown = await (await fetch(`${app.url}/api/children/${id}/export?as=json`)).json();
    expect(childFileSchema.parse(file).child.plant).toBe('raspberry');
    await page.goto(`${app.url}/children`);
    await page.getByRole('button', { name: 'Kofi’s plant: raspberry' }).click();
    await page.getByRole('button', { name: 'No plant' }).click();
    await page.getByRole('button', { name: 'Choose a plant for Kofi' }).waitFor();
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('pages to pass on: one sheet each', async () => {
    const { page, trouble } = await openPage(browser);
    const sheets = async (): Promise<number> =>
      (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
    const pages = [
      ['/children/board', 'Half-term page', 'What we played', 1],
      ['/children/board', 'Group handover', 'Handing over: Radishes', 1],
      ['Wren', 'Handover', 'What comes next', 1],
      ['Wren', 'To talk over', 'What we’d like to ask you', 1],
    ] as const;
    for (const [from, name, heading, most] of pages) {
      if (from === 'Wren') await open(page, app.url, from);
      else await page.goto(app.url + from);
      if (from === 'Wren') await page.getByRole('link', { name, exact: true }).click();
      else {
        await page.getByRole('button', { name: 'Pages to pass on' }).click();
        await page.getByRole('menuitem', { name, exact: true }).click();
      }
      await page.waitForURL(/\/print\//);
      await page.getByRole('heading', { name: heading }).waitFor();
      expect(await sheets(), name).toBeLessThanOrEqual(most);
      expect(await violations(page), name).toEqual([]);
      if (name === 'To talk over') expect(await page.locator('main').textContent()).not.toMatch(/%|\d of \d/);
      if (name !== 'Half-term page') continue;
      const [file] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('link', { name: 'As a table (CSV)' }).click(),
      ]);
      expect(file.suggestedFilename()).toMatch(/^bouncy-echo-half-term-.*\.csv$/);
    }
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test('the page for a family prints on one sheet, in words, figures only when asked for', async () => {
    const { page } = await openPage(browser);
    const id = await open(page, app.url, 'Ottilie');
    await page.getByRole('link', { name: 'For the family' }).click();
    await page.waitForURL(/\/print\//);
    expect(await page.locator('main').textContent()).not.toMatch(/%|\d of \d/);
    const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
    expect(await violations(page)).toEqual([]);
    await page.getByRole('link', { name: 'With figures' }).click();
    await page.getByRole('heading', { name: 'The figures behind this' }).waitFor();
    expect(page.url()).toContain(id);
    await page.context().close();
  });

  test('a card for a colleague: one page, initials if wanted, and what is next as on the child’s page', async () => {
    const { page } = await openPage(browser);
    await open(page, app.url, 'Ottilie');
    const next = sure(await page.getByRole('heading', { name: /^Next: / }).textContent());
    await page.goto(app.url);
    await page.getByRole('link', { name: 'A card for a colleague' }).click();
    await page.getByRole('heading', { name: 'Taking over Radishes' }).waitFor();
    const row = page.getByRole('listitem').filter({ hasText: 'Ottilie' });
    expect(sure(await row.textContent()).toLowerCase()).toContain(next.toLowerCase());
    const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
    expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
    expect(await violations(page)).toEqual([]);
    await page.getByRole('link', { name: 'With initials' }).click();
    await page.getByRole('link', { name: 'With names' }).waitFor();
    expect(await page.locator('main').textContent()).not.toContain('Ottilie');
    await page.context().close();
  });

  test('two adults who marked the same answers: how many alike, and which to talk about', async () => {
    const { page } = await openPage(browser);
    await page.goto(`${app.url}/children/ears`);
    await page.getByRole('heading', { name: 'HB and KM' }).waitFor();
    await page.getByText(/^You gave the same mark for \d+ of \d+ answers\.$/).waitFor();
    await page.getByRole('heading', { name: 'Worth talking about' }).waitFor();
    expect(await violations(page)).toEqual([]);
    await page.context().close();
  });
});

test('a child’s file holds everything, checked against its schema; erased, no trace is left', async () => {
  const { page, trouble } = await openPage(browser);
  await addNames(page, own.url, ['Quillamina', 'Bo']);
  await page.goto(`${own.url}/words?sounds=3&task=segmenting`);
  await page.getByRole('button', { name: /^Play with/ }).click();
  await page.waitForURL(/\/play\//);
  const session = sure(page.url().split('/').at(-1));
  await page.getByRole('button', { name: 'Done – Quillamina’s turn' }).click();
  await page.getByRole('button', { name: /^On own/ }).waitFor();
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Note' }).fill('zzwhisperedzz');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await tap(page, 'z', 1);
  await tap(page, '1', 2);
  await tap(page, '3', 3);
  await saved(page);
  const id = await open(page, own.url, 'Quillamina');
  await page.getByText('zzwhisperedzz').first().waitFor();
  const file = async (kind: 'CSV' | 'JSON'): Promise<string> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: new RegExp(`^${kind}`) }).click(),
    ]);
    return readFileSync(await download.path(), 'utf8');
  };
  const json = childFileSchema.parse(JSON.parse(await file('JSON')));
  expect(json.answers).toHaveLength(2);
  expect(json.answers[0]).toMatchObject({ note: 'zzwhisperedzz', session, stands: 'stands' });
  expect((await file('CSV')).split('\r\n').filter(Boolean)).toHaveLength(3);
  const answerId = sure(json.answers[0]).id;
  const bytes = (): string =>
    [own.file, `${own.file}-wal`]
      .map((f) => {
        try {
          return readFileSync(f).toString('latin1');
        } catch {
          return '';
        }
      })
      .join('');
  // A check that can fail: it is all there before.
  for (const trace of ['Quillamina', 'zzwhisperedzz', id, answerId]) expect(bytes(), trace).toContain(trace);
  await page.getByRole('button', { name: 'Erase Quillamina…' }).click();
  await page.getByRole('button', { name: 'Erase Quillamina and their answers' }).click();
  await page.waitForURL(/\/children$/);
  for (const trace of ['Quillamina', 'zzwhisperedzz', id, answerId]) expect(bytes(), trace).not.toContain(trace);
  expect((await answersOf(own, session)).map((a) => a.child)).toEqual(['Bo']);
  expect(sure(await page.goto(`${own.url}/children/${id}`)).status()).toBe(404);
  expect(trouble.filter((t) => !t.includes('404'))).toEqual([]);
  await page.context().close();
});

test('a second pair of ears marks beside: the first adult’s marks stand, and both are compared', async () => {
  const { page: first } = await openPage(browser);
  await addNames(first, own.url, ['Ada', 'Cy', 'Di']);
  await first.goto(`${own.url}/words?sounds=3`);
  await first.getByRole('button', { name: /^Play with/ }).click();
  await first.waitForURL(/\/play\//);
  const session = sure(first.url().split('/').at(-1));
  const { page: second } = await openPage(browser);
  for (const [page, by] of [
    [first, 'Ida'],
    [second, 'Jo'],
  ] as const) {
    if (page === second) await page.goto(first.url());
    await awake(page);
    await page.keyboard.press('d');
    await page.getByLabel(/^Who is marking/).fill(by);
    if (page === second) await page.getByRole('switch', { name: 'I’m a second pair of ears, listening along' }).click();
    await page.keyboard.press('Escape');
  }
  await first.getByRole('button', { name: /^Done –/ }).click();
  await shown(first, 0);
  await second.getByRole('button', { name: /^On own/ }).waitFor();
  for (const [i, key] of ['1', '1', '3', '2'].entries()) await tap(first, key, i + 1);
  await second.getByText('Jo is listening along').waitFor();
  for (const [i, key] of ['1', '2', '3', '2'].entries()) await tap(second, key, i + 1);
  await Promise.all([saved(first), saved(second)]);
  expect((await answersOf(own, session)).map((a) => a.outcome)).toEqual(['on-own', 'on-own', 'not-yet', 'with-help']);
  expect((await logOf(own, session)).filter((e) => e.kind === 'answer')).toHaveLength(8);
  await first.goto(`${own.url}/children/ears`);
  await first.getByRole('heading', { name: 'Ida and Jo' }).waitFor();
  await first.getByText('You gave the same mark for 3 of 4 answers.').waitFor();
  await first.context().close();
  await second.context().close();
});

test('the board holds thirty children, sorts, filters, leads on, and prints on one page', async () => {
  const { page } = await openPage(browser);
  await addGroup(page, own.url, 'Thirty');
  await addNames(
    page,
    own.url,
    Array.from({ length: 30 }, (_, i) => `Child ${String(30 - i).padStart(2, '0')}`),
  );
  await page.goto(`${own.url}/children/board`);
  const names = page.locator('tbody th');
  expect(await names.count()).toBe(30);
  expect(sure(await names.first().textContent())).toBe('Child 01');
  expect(await violations(page)).toEqual([]);
  const pdf = (await page.pdf({ format: 'A4', landscape: true })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
  await pick(page, 'Show', 'secure');
  await page.getByText('No one matches.').waitFor();
  await pick(page, 'Show', '');
  await page.getByRole('link', { name: 'Child 07' }).click();
  await page.getByText('We haven’t seen them play yet.').waitFor();
  await page.context().close();
});

test('nothing reaches over the side on the screens about children, upright and on a phone', async () => {
  const { page, trouble } = await openPage(browser, 768, 1024);
  const id = await open(page, app.url, 'Wren');
  for (const where of [
    `/children/${id}`,
    '/children/board',
    '/children/ears',
    `/print/children/${id}`,
    `/print/handover/${id}`,
    `/print/talk/${id}`,
    '/',
    '/settings',
  ]) {
    await page.goto(app.url + where);
    for (const [width, height] of [
      [768, 1024],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height });
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
        `${where} at ${width}`,
      ).toBeLessThanOrEqual(0);
      expect(await violations(page), `${where} at ${width}`).toEqual([]);
    }
  }
  expect(trouble).toEqual([]);
  await page.context().close();
});
