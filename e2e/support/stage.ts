import type { Browser } from 'playwright-core';
import { afterAll, beforeAll } from 'vitest';
import { addNames, closePages, openApp, openBrowser, openPage, type App } from './app';

interface Stage {
  readonly demo?: boolean;
  /** Names to have there before the first test. */
  readonly names?: readonly string[];
}

/** A server and a browser for the tests of one file; both are gone after them. */
export function onStage(ready: (app: App, browser: Browser) => void, { demo = false, names = [] }: Stage = {}): void {
  let app: App | undefined;
  let browser: Browser | undefined;
  beforeAll(async () => {
    [app, browser] = await Promise.all([openApp({ demo }), openBrowser()]);
    ready(app, browser);
    if (!names.length) return;
    const { page } = await openPage(browser);
    await addNames(page, app.url, names);
    await page.context().close();
  });
  afterAll(async () => {
    await closePages(browser);
    await app?.stop();
  });
}
