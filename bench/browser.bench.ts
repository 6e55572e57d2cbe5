import { gzipSync } from 'node:zlib';
import type { Browser } from 'playwright-core';
import { test } from 'vitest';
import { addNames, beginPlay, logOf, openApp, ownBrowser, openPage, saved, shown } from '../e2e/support/app';
import { openFile } from '../e2e/support/put-session';
import { PLAIN_ROUND } from '../src/core/testing/rounds';
import { print, rowOf, type Row } from './table';
import { measure } from './turns';

/** Turns at full speed, and slowed four times. */
const FULL = 30;
const SLOWED = 200;
const OWN = 100;

/** The scripts a screen cannot begin without, as its page names them, gzipped; what it fetches later is at its ease. */
async function sent(browser: Browser, url: string, session: string): Promise<Row[]> {
  const rows: Row[] = [];
  for (const [name, address, bar] of [
    ['Play', session, 177],
    ['Today', url, 230],
    ['Words', `${url}/words`, 230],
    ['Children', `${url}/children`, 230],
    ['Settings', `${url}/settings`, 230],
  ] as const) {
    const fresh = await openPage(browser);
    let bytes = 0;
    const bodies: Promise<void>[] = [];
    const page = await (await fetch(address)).text();
    fresh.page.on('response', (response) => {
      const isScript = response.request().resourceType() === 'script';
      if (isScript && page.includes(new URL(response.url()).pathname))
        bodies.push(
          response.body().then((b) => {
            bytes += gzipSync(b).length;
          }),
        );
    });
    await fresh.page.goto(address);
    await fresh.page.waitForLoadState('networkidle');
    await Promise.all(bodies);
    rows.push(rowOf(`JavaScript on first load, gzip: ${name}`, [bytes / 1024], bar, 'kB'));
    await fresh.page.context().close();
  }
  return rows;
}

test('the run in a browser, 30 children, processor slowed four times', async () => {
  const [app, browser] = await Promise.all([openApp(), ownBrowser()]);
  const { page } = await openPage(browser);
  await addNames(
    page,
    app.url,
    Array.from({ length: 30 }, (_, i) => `Child ${i + 1}`),
  );
  await beginPlay(page, app.url, 'sounds=4&task=segmenting');
  const cdp = await page.context().newCDPSession(page);

  const full = await measure(page, FULL);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
  const slow = await measure(page, SLOWED);
  const floor = rowOf('one word changed and painted, slowed four times', slow.word);
  const next = rowOf('tap → next turn painted, slowed four times', slow.painted, 64);
  print('Tap to disk, browser', [
    rowOf('tap → kept on the device and shown', full.kept, 30),
    rowOf('→ in the server’s file, more', full.served, 25),
    rowOf('tap → next turn painted, 30 children', full.painted),
    next,
    rowOf('of that, until kept on the device and drawn', slow.kept),
    floor,
  ]);
  console.log(`ratio of a turn to one word (p50): ${(next.p50 / floor.p50).toFixed(1)}`);

  print('Sent to the browser', await sent(browser, app.url, page.url()));
  await browser.close();
  await app.stop();
}, 300_000);

test('each their own step, 30 children, processor slowed four times', async () => {
  const [app, browser] = await Promise.all([openApp(), ownBrowser()]);
  const { page } = await openPage(browser);
  const names = Array.from({ length: 30 }, (_, i) => `Child ${i + 1}`);
  await addNames(page, app.url, names);
  await beginPlay(page, app.url, 'sounds=4&task=blending');
  const file = openFile(app.file);
  const words = ['frog', 'spoon', 'plum', 'slug', 'snail', 'flag', 'drum', 'stone'];
  const round = { task: 'blending', step: '4-start', items: words, turns: 240 } as const;
  const own = (childIds: readonly string[]) =>
    childIds.map((childId, i) => ({
      childId,
      step: i % 2 ? '4-start' : '3-held',
      items: i % 2 ? [words[i % words.length] ?? 'frog'] : [['sun', 'map', 'leg', 'net'][i % 4] ?? 'sun'],
      spares: [],
    }));
  const sessions = [
    ['same for all', await file.put([{ ...PLAIN_ROUND, ...round }], 'southern-british')],
    ['each their own step', await file.put((ids) => [{ ...PLAIN_ROUND, ...round, own: own(ids) }], 'southern-british')],
  ] as const;
  const cdp = await page.context().newCDPSession(page);
  const rows: Row[] = [];
  for (const [name, id] of sessions) {
    await page.goto(`${app.url}/play/${id}`);
    await page.getByRole('button', { name: /^Done –/ }).click();
    await page.getByRole('button', { name: /^On own/ }).waitFor();
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    rows.push(rowOf(`tap → next turn painted: ${name}`, (await measure(page, OWN)).painted, 64));
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  }
  print('A step for each', rows);
  await file.close();
  await browser.close();
  await app.stop();
}, 300_000);

test('100 taps in 20 seconds from two devices', async () => {
  const [app, browser] = await Promise.all([openApp(), ownBrowser()]);
  const { page: left } = await openPage(browser);
  await addNames(
    left,
    app.url,
    Array.from({ length: 8 }, (_, i) => `Child ${i + 1}`),
  );
  const session = await beginPlay(left, app.url, 'sounds=4&task=segmenting');
  const { page: right } = await openPage(browser);
  await right.goto(left.url());
  await shown(right, 0);
  // Every answer a device keeps is in some request of it, so the ids tell what must be there.
  const made = new Set<string>();
  for (const page of [left, right]) {
    page.on('request', (request) => {
      if (request.method() !== 'POST' || !request.url().endsWith('/log')) return;
      for (const entry of (
        JSON.parse(request.postData() ?? '{"entries":[]}') as { entries: { kind: string; id: string }[] }
      ).entries)
        if (entry.kind === 'answer') made.add(entry.id);
    });
  }
  const begun = performance.now();
  await Promise.all(
    [left, right].map(async (page) => {
      for (let i = 0; i < 50; i += 1) {
        const more = page.getByRole('button', { name: 'One more turn each' });
        if (await more.count()) await more.click({ timeout: 300 }).catch(() => undefined);
        const wait = begun + (i + 1) * 390 - performance.now();
        if (wait > 0) await page.waitForTimeout(wait);
        await page.keyboard.press(String(1 + (i % 4)));
      }
    }),
  );
  const seconds = (performance.now() - begun) / 1000;
  await Promise.all([saved(left), saved(right)]);
  const kept = (await logOf(app, session)).filter((e) => e.kind === 'answer').map((e) => e.id);
  console.log(
    `two devices, 100 taps in ${seconds.toFixed(1)} s: ${made.size} answers made, ${kept.length} in the ` +
      `server’s file, lost ${[...made].filter((id) => !kept.includes(id)).length}, doubled ` +
      `${kept.length - new Set(kept).size}`,
  );
  await browser.close();
  await app.stop();
}, 120_000);
