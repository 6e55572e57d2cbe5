import type { Browser, Page } from 'playwright-core';
import { expect, test } from 'vitest';
import {
  add,
  answersOf,
  type App,
  beginPlay,
  finishNow,
  logOf,
  nextFinger,
  openPage,
  saved,
  shown,
  tap,
  waiting,
} from './support/app';
import { violations } from './support/axe';
import { onStage } from './support/stage';
import { sure } from '../src/core/sure';

let app: App;
let browser: Browser;
onStage(
  (one, other) => {
    [app, browser] = [one, other];
  },
  { names: ['Ada', 'Bo', 'Cy', 'Di'] },
);

test('a browser whose storage is full or blocked notes what comes before the mark all the same', async () => {
  const { page, trouble } = await openPage(browser);
  await page.addInitScript(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  const session = await beginPlay(page, app.url, 'sounds=3&task=segmenting');
  await page
    .getByRole('button', { name: /: missed$|^Sound/ })
    .first()
    .click();
  await page.keyboard.press('a');
  await tap(page, '3', 1);
  await saved(page);
  expect((await answersOf(app, session)).map((a) => [a.missed.length, a.helps])).toEqual([[1, ['said-again']]]);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a store of the device that fails once, or is taken away, is opened again', async () => {
  const { page } = await openPage(browser);
  await page.addInitScript(() => {
    const open = IDBFactory.prototype.open;
    let first = true;
    const made: IDBDatabase[] = [];
    Object.assign(window, { closeAll: () => made.splice(0).forEach((db) => db.close()) });
    IDBFactory.prototype.open = function (...args) {
      if (first) {
        first = false;
        throw new DOMException('broken', 'UnknownError');
      }
      const request = open.apply(this, args);
      request.addEventListener('success', () => made.push(request.result));
      return request;
    };
  });
  await beginPlay(page, app.url, 'sounds=3');
  await tap(page, '1', 1);
  await page.context().setOffline(true);
  await tap(page, '2', 2);
  expect(await waiting(page)).toBe(1);
  // The browser closes the handle under the page, as it does when it needs the room.
  await page.evaluate(() => (window as unknown as { closeAll(): void }).closeAll());
  await tap(page, '3', 3);
  expect(await waiting(page)).toBe(2);
  await page.context().setOffline(false);
  await saved(page);
  await page.context().close();
});

test('nothing is painted as marked before the device has it on disk', async () => {
  const { page } = await openPage(browser);
  // A write to the store stays open, and so uncommitted, until it is let go: requests follow each other in it.
  await page.addInitScript(() => {
    const state = { held: false, writing: 0 };
    Object.assign(window, { store: state });
    const { put } = IDBObjectStore.prototype;
    IDBObjectStore.prototype.put = function (...args) {
      const request = put.apply(this, args);
      state.writing += 1;
      const stay = (): void => {
        if (state.held) this.count().addEventListener('success', stay);
      };
      stay();
      return request;
    };
  });
  await beginPlay(page, app.url, 'sounds=3');
  await tap(page, '1', 1);
  await nextFinger(page);
  // What is said of a mark on its way to the server comes and goes by itself.
  await saved(page);
  await page.getByText(/not on the server yet/).waitFor({ state: 'detached' });
  const seen = (): Promise<string> => page.locator('.playing').innerText();
  const before = await seen();
  await page.evaluate(() => {
    const { store } = window as unknown as { store: { held: boolean; writing: number } };
    Object.assign(store, { held: true, writing: 0 });
  });
  await page.keyboard.press('3');
  await page.waitForFunction(() => (window as unknown as { store: { writing: number } }).store.writing >= 2);
  // The mark is on its way to the disk, and has every chance to be drawn.
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        let frames = 0;
        const next = (): void => {
          frames += 1;
          if (frames < 60) requestAnimationFrame(next);
          else resolve();
        };
        next();
      }),
  );
  expect(await seen()).toBe(before);
  await shown(page, 1);
  await page.evaluate(() => Object.assign((window as unknown as { store: object }).store, { held: false }));
  await shown(page, 2);
  expect(await seen()).not.toBe(before);
  await saved(page);
  await page.context().close();
});

/** Erases a child as the Children screen does. */
async function erase(page: Page, name: string): Promise<void> {
  await page.goto(`${app.url}/children`);
  await page.getByRole('link', { name, exact: true }).first().click();
  await page
    .getByRole('button', { name: /^Erase/ })
    .first()
    .click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Erase/ })
    .click();
  await page.waitForURL(/\/children\/?$/);
}

const keptPages = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const out: string[] = [];
    for (const name of (await caches.keys()).filter((n) => n.startsWith('pages-')))
      for (const { url } of await (await caches.open(name)).keys()) out.push(new URL(url).pathname);
    return out;
  });

const keptEntries = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const request = indexedDB.open('bouncy-echo');
        request.onerror = () => reject(new Error('no store'));
        request.onsuccess = () => {
          const db = request.result;
          const all = db.transaction('kept').objectStore('kept').count();
          all.onsuccess = () => {
            resolve(all.result);
            db.close();
          };
        };
      }),
  );

// Without a store on the device, a tap the server refuses is no mark.
test('what a device keeps of an erased child is gone when it is next seen', async () => {
  const { page: desk } = await openPage(browser);
  await desk.goto(`${app.url}/children`);
  await add(desk, 'Names');
  await desk.getByLabel('First names').fill('Zoltan');
  await desk.getByRole('button', { name: 'Add', exact: true }).click();
  await desk.getByText(/^Added/).waitFor();
  const { page: tablet } = await openPage(browser);
  const session = await beginPlay(tablet, app.url, 'sounds=3');
  await tap(tablet, '1', 1);
  await saved(tablet);
  await expect.poll(() => keptPages(tablet), { timeout: 90_000 }).toContain(`/play/${session}`);
  expect(await keptEntries(tablet)).toBeGreaterThan(0);
  // A device that keeps nothing has the session open too.
  const { page: blank } = await openPage(browser);
  await blank.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('not here', 'UnknownError');
    };
  });
  await blank.goto(`${app.url}/play/${session}`);
  await shown(blank, 1);
  await blank
    .locator('nav[aria-label="Children"]')
    .getByRole('button', { name: /^Zoltan/ })
    .first()
    .click();
  await blank.locator('nav[aria-label="Children"] [aria-current="true"]', { hasText: 'Zoltan' }).waitFor();

  await erase(desk, 'Zoltan');
  await nextFinger(blank);
  await blank.keyboard.press('1');
  await blank.getByText('That child has been erased').waitFor();
  await shown(blank, 1);

  await tablet.goto(`${app.url}/`);
  await expect.poll(() => keptPages(tablet), { timeout: 90_000 }).toEqual([]);
  await expect.poll(() => keptEntries(tablet)).toBe(0);
  for (const page of [desk, tablet, blank]) await page.context().close();
});

test('a kept page ends after a week', async () => {
  const { page } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=3');
  await expect.poll(() => keptPages(page), { timeout: 90_000 }).toContain(`/play/${session}`);
  await page.evaluate(async () => {
    for (const name of (await caches.keys()).filter((n) => n.startsWith('pages-'))) {
      const cache = await caches.open(name);
      for (const request of await cache.keys()) {
        const kept = sure(await cache.match(request));
        const headers = new Headers(kept.headers);
        headers.set('x-kept-at', String(Date.now() - 8 * 86_400_000));
        await cache.put(request, new Response(await kept.blob(), { headers }));
      }
    }
    function sure<T>(value: T | undefined): T {
      if (value === undefined) throw new Error('nothing kept');
      return value;
    }
  });
  await page.goto(`${app.url}/settings`);
  await expect.poll(() => keptPages(page), { timeout: 90_000 }).toEqual([]);
  await page.context().close();
});

test('finishing with turns left is asked for, and an ended session can be gone on with from Look back', async () => {
  const { page, trouble } = await openPage(browser);
  const session = await beginPlay(page, app.url, 'sounds=3');
  await tap(page, '1', 1);
  await page.getByRole('button', { name: 'Finish', exact: true }).click();
  await page
    .getByRole('dialog')
    .getByText(/turns left in this round/)
    .waitFor();
  expect(await violations(page)).toEqual([]);
  await page.getByRole('button', { name: 'Keep playing' }).click();
  await tap(page, '2', 2);
  expect((await logOf(app, session)).some((e) => e.kind === 'finish')).toBe(false);
  await nextFinger(page);
  await finishNow(page);
  await page.waitForURL(/\/look-back\//);
  await page.getByRole('button', { name: 'Not finished yet? Carry on' }).click();
  await page.waitForURL(/\/play\//);
  await shown(page, 2);
  await tap(page, '3', 3);
  await saved(page);
  expect((await answersOf(app, session)).map((a) => a.outcome)).toEqual(['on-own', 'with-help', 'not-yet']);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a plan with a long name shows all of it, and opens at its top', async () => {
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ] as const) {
    const { page } = await openPage(browser, width, height);
    await page.goto(`${app.url}/plan`);
    await page.getByRole('button', { name: 'Plan it' }).click();
    await page.waitForURL(/\/plan\/./);
    const name = page.getByLabel('Name of the plan');
    await name.waitFor();
    expect(await page.evaluate(() => window.scrollY)).toBe(0);
    await name.fill('Wednesday after the rain, with every sound that hisses: ssss'.slice(0, 60));
    const hidden = await name.evaluate((field) => [
      field.scrollWidth - field.clientWidth,
      field.scrollHeight - field.clientHeight,
    ]);
    expect(Math.max(...hidden.map((pixels) => sure(pixels))), `hidden at ${width}`).toBeLessThanOrEqual(1);
    await name.press('Enter');
    expect(await name.inputValue()).not.toContain('\n');
    await page.getByText('Changes saved', { exact: true }).waitFor();
    await page.context().close();
  }
});
