import type { Browser, Page } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { seeded, shuffle } from '../src/core/random';
import { times } from '../src/core/testing/deep';
import type { StoredRound } from '../src/core/sessions/stored-round';
import { sure } from '../src/core/sure';
import { add, addNames, type App, openPage, saved } from './support/app';
import { violations } from './support/axe';
import { faultsAt, SIZES, textSize } from './support/layout';
import { longest, roundOf, type Long } from './support/longest';
import { openFile } from './support/put-session';
import { onStage } from './support/stage';

// Every game with its longest items, on every screen people have (the sizes are those of the product's own promise):
// what is needed in a turn is in sight, whole, and nothing lies over it.

/** As long as a name may be, for who has the turn and for who had it before. */
const NAMES = [
  'Wilhelmina-Anastasia Persephone Montgomery-Featherstonehaugh',
  'Bartholomew-Maximilian Christopherson of Lower Marsh Allotme',
  'Ottilie',
  'Kofi',
  'Wren',
  'Idris',
  'Saoirse',
  'Tomasz',
];

/** Each with a size of text (16 px is usual) and a screen that children can or cannot see. */
const MODES = [
  { name: 'plain', text: 16, covered: false },
  { name: 'children can see', text: 16, covered: true },
  { name: 'text at 150 %', text: 24, covered: false },
] as const;

let app: App;
let browser: Browser;
onStage((one, other) => {
  [app, browser] = [one, other];
});

let put: ReturnType<typeof openFile>;
beforeAll(async () => {
  const { page } = await openPage(browser);
  await addNames(page, app.url, NAMES);
  await page.goto(`${app.url}/children`);
  await add(page, 'A plant for everyone');
  await page
    .getByRole('button', { name: /’s plant: / })
    .first()
    .waitFor();
  await page.context().close();
  put = openFile(app.file);
});
afterAll(() => put.close());

/** How a round is dealt: the same for all, each their own step, or where a child is looked for. */
type Dealt = 'same' | 'own' | 'find';

/** The round of an item, dealt so; of a game there are enough long items for two steps. */
const dealtAs =
  (long: Long, dealt: Dealt) =>
  (childIds: readonly string[]): StoredRound[] => {
    const round = roundOf(long);
    const { key } = long.item;
    const own = childIds.map((childId) => ({ childId, step: long.step.id, items: [key], spares: [key] }));
    if (dealt === 'own') return [{ ...round, own }];
    if (dealt === 'same') return [round];
    const alike = all.filter((l) => l.task === long.task && l.accent === long.accent && l.step === long.step);
    const keys = [...new Set([key, ...alike.map((l) => l.item.key)])];
    const step = { step: long.step.id, does: 'blend words', hard: 0, guess: 0, keys: [...keys, ...keys] };
    const find = { steps: [{ ...step, hard: -1 }, step, { ...step, hard: 1 }], expected: { middle: 0, spread: 2 } };
    return [{ ...round, way: 'check', find }];
  };

/** Plays to the second turn: the first was marked with help, so there is something to undo and more to say of it. */
async function openTurn(page: Page, long: Long, dealt: Dealt = 'same'): Promise<void> {
  const id = await put.put(dealtAs(long, dealt), long.accent);
  await page.goto(`${app.url}/play/${id}`);
  await page.getByRole('button', { name: /^Done –/ }).click();
  await page
    .getByRole('button', { name: dealt === 'find' ? /^On own/ : /^(With help|Finish: )/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^Undo: / }).waitFor();
  await page.getByRole('img', { name: /^1 of/ }).waitFor();
  // What waits long for a busy server is told, for a moment, over the frame.
  await saved(page);
}

/** What is wrong with one item on all screens in all modes. */
async function faultsOf(page: Page, long: Long, dealt: Dealt = 'same'): Promise<string[]> {
  const faults: string[] = [];
  await openTurn(page, long, dealt);
  for (const { name, text, covered } of MODES) {
    await textSize(page, text);
    if (covered) await page.keyboard.press('h');
    for (const size of SIZES)
      for (const fault of await faultsAt(page, size, dealt === 'find' ? 4 : 5))
        faults.push(`${long.task.id}/${long.step.id} “${long.item.key}” ${size.join('×')}, ${name}: ${fault}`);
    if (covered) await page.keyboard.press('h');
  }
  await textSize(page, 16);
  return faults;
}

// Sixty of them each day, all of them in the deep run.
const all = longest(times(6, 1));
const chosen = process.env.DEEP === '1' ? all : shuffle(all, seeded(19)).slice(0, Math.ceil(60 / MODES.length));

describe(`what a turn needs is in sight: ${chosen.length} items × ${SIZES.length} screens × ${MODES.length}`, () => {
  test('nothing is cut, covered, laid over or scrolled away', async () => {
    const { page, trouble } = await openPage(browser);
    const faults: string[] = [];
    for (const long of chosen) faults.push(...(await faultsOf(page, long)));
    expect(faults).toEqual([]);
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  test.each(['own', 'find'] as const)('the same where a round is dealt otherwise: %s', async (dealt) => {
    const { page, trouble } = await openPage(browser);
    const faults: string[] = [];
    for (const game of ['blending', 'segmenting'])
      for (const by of ['sounds', 'chips']) {
        const long = sure(all.find((l) => l.task.id === game && l.by === by) ?? all.find((l) => l.task.id === game));
        faults.push(...(await faultsOf(page, long, dealt)));
      }
    expect(faults).toEqual([]);
    expect(trouble).toEqual([]);
    await page.context().close();
  });

  // Common practice, no source: a thumb reaches 75 mm from where the hand holds, 30 mm above the lower corner.
  test.each([
    [390, 844, 5.7],
    [844, 390, 5.7],
    [768, 1024, 5.2],
    [1024, 768, 5.2],
  ])('at %i × %i every mark lies under the thumb of either hand', async (width, height, pxAMillimetre) => {
    const { page } = await openPage(browser, width, height);
    await openTurn(page, sure(all.find((l) => l.task.id === 'blending')));
    for (const hand of ['right', 'left'] as const) {
      await page.evaluate((is) => localStorage.setItem('bouncy-echo-device', JSON.stringify({ hand: is })), hand);
      await page.reload();
      await page.locator(`.playing[data-hand="${hand}"] .marks button`).first().waitFor();
      const away = await page.locator('.marks button').evaluateAll(
        (marks, { x, y }) =>
          marks.map((mark) => {
            const { left, top, width: w, height: h } = mark.getBoundingClientRect();
            return Math.hypot(left + w / 2 - x, top + h / 2 - y);
          }),
        { x: hand === 'right' ? width : 0, y: height - 30 * pxAMillimetre },
      );
      expect(await faultsAt(page, [width, height]), hand).toEqual([]);
      expect(away).toHaveLength(5);
      expect(Math.max(...away) / pxAMillimetre).toBeLessThan(75);
    }
    await page.context().close();
  });

  test('colours of one’s own, less motion, dim and large text: all in sight, each mark has an edge', async () => {
    const { page } = await openPage(browser, 390, 844);
    await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' });
    await page.addInitScript(() => localStorage.setItem('bouncy-echo-look', 'dim'));
    await openTurn(page, sure(all.find((l) => l.task.id === 'segmenting')));
    await textSize(page, 24);
    expect(await faultsAt(page, [390, 844])).toEqual([]);
    expect(await violations(page)).toEqual([]);
    const edges = await page
      .locator('.marks button')
      .evaluateAll((marks) => marks.map((mark) => parseFloat(getComputedStyle(mark).borderTopWidth)));
    expect(Math.min(...edges)).toBeGreaterThan(0);
    // The drawing of a sound is in the colour of text, whatever that is.
    const [ink, text] = await page.evaluate(() => {
      const shape = document.querySelector('main .mark svg [fill]:not([fill="none"])');
      return [shape ? getComputedStyle(shape).fill : '', getComputedStyle(document.body).color];
    });
    expect(ink).toBe(text);
    await page.context().close();
  });

  /** Ways to spoil it, each of which must be found. */
  const SPOILT = {
    'marks over the answer': '.taps { transform: translateY(-140px) }',
    'a head that takes half the screen': '.playing { min-height: 1400px !important }',
    'text that does not give way': '.fit { --fit: 1.6 !important }',
    'marks wider than the screen': '.marks { width: 140% }',
  } as const;

  test.each(Object.entries(SPOILT))('a layout with %s is found out', async (_, css) => {
    const { page } = await openPage(browser);
    await openTurn(page, sure(all.find((l) => l.task.id === 'blending')));
    expect(await faultsAt(page, [390, 844])).toEqual([]);
    await page.evaluate((text) => {
      const sheet = new CSSStyleSheet();
      sheet.replaceSync(text);
      document.adoptedStyleSheets.push(sheet);
    }, css);
    expect((await faultsAt(page, [390, 845])).length).toBeGreaterThan(0);
    await page.context().close();
  });
});
