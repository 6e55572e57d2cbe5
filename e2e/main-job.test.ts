import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import type { Browser, Page } from 'playwright-core';
import { describe, expect, test } from 'vitest';
import {
  addGroup,
  addNames,
  type App,
  beginPlay,
  finishNow,
  nextFinger,
  openApp,
  openPage,
  shown,
  tap,
} from './support/app';
import { onStage } from './support/stage';
import { times } from '../src/core/testing/deep';
import { sure } from '../src/core/sure';

let app: App;
let browser: Browser;
onStage((one, other) => {
  [app, browser] = [one, other];
});

async function rows(page: Page, kind: 'CSV' | 'JSON'): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: new RegExp(`^${kind}`) }).click(),
  ]);
  return readFileSync(await download.path(), 'utf8');
}

/** Chooses words with real clicks: number of sounds first, then the game and the first sound; swaps one. */
async function choose(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Words', exact: true }).click();
  await page.getByRole('link', { name: /^4 sounds/ }).click();
  await page.waitForURL(/sounds=4/);
  await page.getByRole('link', { name: 'Segmenting' }).click();
  await page.waitForURL(/task=segmenting/);
  await page.getByRole('link', { name: /^you can hold/ }).click();
  await page.waitForURL(/first=hold/);
  await page.getByRole('heading', { name: 'Word set · 8 words' }).waitFor();
  const swap = page.getByRole('button', { name: /^Swap / }).first();
  const turnedDown = sure(sure(/^Swap (\w+)/.exec(sure(await swap.getAttribute('aria-label'))))[1]);
  await swap.click();
  await page.waitForURL(new RegExp(`no=${turnedDown}`));
  expect(await page.getByRole('button', { name: `Swap ${turnedDown} for` }).count()).toBe(0);
}

/** Eight turns, each marked in another way, with an undo in between, and one that did not count. */
async function markNine(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^On own/ }).click();
  await shown(page, 1);
  await nextFinger(page);
  await page.keyboard.press('2');
  await shown(page, 2);
  await nextFinger(page);
  // A likely answer by its letter; the third and fourth mark tapped as missed; an undo in between.
  await page.keyboard.press('z');
  await shown(page, 3);
  await nextFinger(page);
  await page
    .getByRole('button', { name: /: missed$/ })
    .nth(1)
    .click();
  await page.keyboard.press('3');
  await shown(page, 4);
  await nextFinger(page);
  await page.keyboard.press('4');
  await shown(page, 5);
  await page.getByRole('button', { name: 'Undo: Wren' }).click();
  await shown(page, 4);
  await nextFinger(page);
  await page.keyboard.press('4');
  await shown(page, 5);
  await nextFinger(page);
  await page.keyboard.press('a');
  await page.keyboard.press('2');
  await shown(page, 6);
  await nextFinger(page);
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Note' }).fill('said it 12345 times');
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.keyboard.press('1');
  await shown(page, 7);
  await nextFinger(page);
  await page.keyboard.press('5');
  await shown(page, 8);
  // A slip of the adult: the same child goes again, and nobody has a turn less.
  await nextFinger(page);
  await page.keyboard.press('1');
  await shown(page, 9);
}

/** The CSV and the JSON have a row for every answer, in order, names made safe for a spreadsheet. */
async function filesHold(page: Page): Promise<void> {
  const { data } = Papa.parse<Record<string, string>>((await rows(page, 'CSV')).slice(1), {
    header: true,
    skipEmptyLines: true,
  });
  expect(data).toHaveLength(9);
  expect(data.map((r) => r.child)).toEqual([
    'Wren',
    'Kofi',
    "'=1+1",
    '<script>alert(1)</script>',
    'Wren',
    'Kofi',
    "'=1+1",
    '<script>alert(1)</script>',
    '<script>alert(1)</script>',
  ]);
  expect(data.map((r) => r.outcome)).toEqual([
    'On own',
    'On own',
    'Not yet',
    'Not yet',
    'No reply',
    'With help',
    'On own',
    'Doesn’t count',
    'On own',
  ]);
  expect(sure(data[1])['marked before as']).toBe('With help (changed my mind)');
  expect(sure(sure(data[3])['sounds that slipped']).split(' ')).toHaveLength(1);
  expect(sure(data[5]).help).toBe('said again');
  expect(sure(data[6]).note).toBe('said it 12345 times');
  const json = JSON.parse(await rows(page, 'JSON')) as { answers: { id: string; turn: number }[] };
  expect(json.answers.map((a) => a.id)).toEqual(data.map((r) => r['answer id']));
}

// By touch at 768 × 1024 a whole session is played in whole-session.test.ts.
describe.each(
  times(
    [
      [1280, 800],
      [768, 1024],
    ],
    [[1280, 800]],
  ),
)('the main job at %i × %i', (width, height) => {
  test('add children → choose → play 8 turns → correct a mark → files have the rows', async () => {
    const { page, trouble } = await openPage(browser, width, height);
    const group = `Row ${width}`;
    await addGroup(page, app.url, group);
    await addNames(page, app.url, ['Wren', 'Kofi', '=1+1', '<script>alert(1)</script>']);

    await choose(page);
    await page.getByRole('button', { name: `Play with ${group}` }).click();
    await page.waitForURL(/\/play\//);
    await page.getByRole('button', { name: 'Done – Wren’s turn' }).click();
    await shown(page, 0);

    await markNine(page);
    await page.getByRole('button', { name: 'Finish and look back' }).click();
    await page.waitForURL(/\/look-back\//);

    await page.getByText('9 answers: 3 on own, 2 with help, 2 not yet, 1 no reply, 1 doesn’t count.').waitFor();
    await page
      .getByRole('button', { name: /^Kofi, .*with help/i })
      .first()
      .click();
    await page.getByRole('dialog').getByText('changed my mind').click();
    await page.getByRole('dialog').getByRole('button', { name: 'On own' }).click();
    await page.getByText('9 answers: 4 on own, 1 with help, 2 not yet, 1 no reply, 1 doesn’t count.').waitFor();
    await page.getByText('corrected', { exact: true }).waitFor();

    await filesHold(page);
    expect(trouble).toEqual([]);
    await page.context().close();
  });
});

test('a session can be played with no names at all, and from Today in one tap', async () => {
  const fresh = await openApp();
  const { page, trouble } = await openPage(browser);
  await page.goto(fresh.url);
  await page
    .getByRole('button', { name: /^Play now/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Done – Everyone’s turn' }).click();
  await page.getByRole('button', { name: /^On own/ }).click();
  await shown(page, 1);
  await finishNow(page);
  await page.getByText('1 answer: 1 on own.').waitFor();
  await page.getByRole('heading', { name: 'Everyone together' }).waitFor();
  expect(trouble).toEqual([]);
  await page.context().close();
  await fresh.stop();
});

test('the page for families is one page of A4, and its text is what is copied', async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=4');
  await tap(page, '1', 1);
  await page.goto(`${app.url}/print/home/${session}`);
  await page.getByRole('heading', { name: 'Try this at home' }).waitFor();
  // As much as a page can have: the bounds are held by the test of 200 sessions beside the server's page.
  await page.evaluate(() => {
    const line =
      'We took words apart, sound by sound, and put them back together, one after the other, until lunch was ready.';
    for (const list of document.querySelectorAll('main ul')) {
      const all = [...list.children];
      for (const item of all) item.textContent = line;
    }
    const [played] = document.querySelectorAll('main ul');
    while (played && played.children.length < 4)
      played.append(Object.assign(document.createElement('li'), { textContent: line }));
  });
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(pdf.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
  await page.context().close();
});

test('away, back later and another child change whose turn it is; shortcuts rest while someone types', async () => {
  const { page } = await openPage(browser);
  const current = page.locator('nav[aria-label="Children"] [aria-current="true"]');
  await addGroup(page, app.url, 'Turns');
  await addNames(page, app.url, ['Ada', 'Bo', 'Cy']);
  await beginPlay(page, app.url, 'sounds=3');
  await current.getByText('Ada').waitFor();
  await page.keyboard.press('p');
  await current.getByText('Bo').waitFor();
  await page.getByRole('button', { name: 'Bo: away?' }).click();
  await current.getByText('Cy').waitFor();
  await page.keyboard.press('ArrowDown');
  await current.getByText('Ada').waitFor();
  await page.keyboard.press('n');
  await page.getByRole('textbox', { name: 'Note' }).pressSequentially('1234u');
  await page.keyboard.press('Escape');
  await shown(page, 0);
  const word = await page.locator('main [data-answer]').textContent();
  await page.keyboard.press('w');
  await expect.poll(() => page.locator('main [data-answer]').textContent()).not.toBe(word);
  await page.keyboard.press('h');
  await page.getByText('Hidden while children can see the screen.').waitFor();
  expect(await page.locator('main [data-answer]').count()).toBe(0);
  await page.context().close();
});

test('the bounce line lights its marks in time and Space stops it', async () => {
  const { page } = await openPage(browser);
  await beginPlay(page, app.url, 'sounds=3');
  const lit = (): Promise<number> => page.locator('.bounce-line [fill="var(--color-marigold)"]').count();
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press(' ');
  await expect.poll(lit).toBeGreaterThanOrEqual(1);
  await expect.poll(lit, { timeout: 60_000 }).toBeGreaterThanOrEqual(2);
  await page.keyboard.press(' ');
  await expect.poll(lit).toBe(0);
  await page.context().close();
});

test('nothing moves while playing: no layout shift, and every control stays where it is', async () => {
  const { page } = await openPage(browser);
  await page.addInitScript(() => {
    const watched = Object.assign(window, { shift: 0, settled: false });
    new PerformanceObserver((list) => {
      // Cumulative Layout Shift as web.dev defines it: what follows a tap at once is not counted.
      const shifts = list.getEntries() as unknown as { value: number; hadRecentInput: boolean }[];
      for (const entry of shifts) if (!entry.hadRecentInput && watched.settled) watched.shift += entry.value;
    }).observe({ type: 'layout-shift', buffered: true });
  });
  await beginPlay(page, app.url, 'sounds=4');
  const places = (): Promise<string[]> =>
    page
      .locator('header, nav, main, footer, header button, .fit, [data-zone="speaks"] button, .marks button, .likely')
      .evaluateAll((all) =>
        all.map((e) => {
          const { x, y, width, height } = e.getBoundingClientRect();
          return [x, y, width, height].map(Math.round).join(' ');
        }),
      );
  const settled = (now: boolean): Promise<unknown> =>
    page.evaluate((is) => Object.assign(window, { settled: is }), now);
  const before = await places();
  expect(before.length).toBeGreaterThan(12);
  for (let turn = 1; turn <= 6; turn += 1) {
    await nextFinger(page);
    await settled(false);
    await page.keyboard.press(String(1 + (turn % 5)));
    await shown(page, turn);
    expect(await places(), `after turn ${turn}`).toEqual(before);
    // The next item is drawn, however late that is on a busy machine; from then on nothing may move.
    await page.evaluate(() => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))));
    await settled(true);
    await page.waitForTimeout(600);
  }
  expect(await page.evaluate(() => (window as unknown as { shift: number }).shift)).toBeLessThan(0.01);
  await page.context().close();
});
