// Takes the pictures of docs/screenshots anew, from the demo data. Needs Chromium, as the tests do.
import { SERVER } from './lib/front.mjs';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromiumPath } from './lib/browser.mjs';
import { ensureAll, main, ROOT, say } from './lib/prepare.mjs';

const PORT = Number(process.env.PORT ?? 3199);
const url = `http://127.0.0.1:${PORT}`;

const pause = (page) => page.waitForTimeout(400);

async function take(page, name) {
  await page.waitForLoadState('networkidle');
  await page.mouse.move(0, 0);
  await page.screenshot({ path: path.join(ROOT, 'docs/screenshots', `${name}.png`) });
  say(name);
}

async function press(page, ...keys) {
  for (const key of keys) {
    await page.keyboard.press(key);
    await pause(page);
  }
}

/** The screens around a session. */
async function desk(page) {
  await page.goto(url);
  await take(page, 'today');
  await page.goto(`${url}/words?sounds=3&first=hold`);
  await take(page, 'words');
  await page.goto(`${url}/word/squirrel`);
  await take(page, 'word');
  await page.goto(`${url}/sounds`);
  await take(page, 'sounds');
  await page.goto(`${url}/plan`);
  await page.getByRole('link', { name: 'Tuesday: /s/ at the start', exact: true }).click();
  await page.waitForURL(/plan\/./);
  await take(page, 'plan');
  await page.getByRole('link', { name: 'Print', exact: true }).click();
  await page.getByRole('button', { name: 'Tick grid' }).click();
  await page.getByRole('link', { name: 'Type it in' }).click();
  await page.locator('[data-box="0"]:focus').waitFor();
  for (const key of '111  3 121412') await page.keyboard.press(key);
  await take(page, 'paper');
  await page.goto(`${url}/children`);
  await take(page, 'children');
  await page.goto(`${url}/settings/taught`);
  await take(page, 'settings');
  await page.getByRole('link', { name: 'Children', exact: true }).click();
  await page.getByRole('main').getByRole('link', { name: 'Wren', exact: true }).click();
  await page.waitForURL(/children\/./);
  await take(page, 'child');
  await page.goto(`${url}/children/board`);
  await take(page, 'board');
  await page.getByRole('button', { name: 'Pages to pass on' }).click();
  await page.getByRole('menuitem', { name: /half/i }).click();
  await page.waitForURL(/print\/half-term/);
  await take(page, 'half-term');
  await page.goto(`${url}/children/ears`);
  await take(page, 'ears');
  await page.goto(`${url}/look-back`);
  await page.locator('main li a').first().click();
  await page.waitForURL(/look-back\/./);
  await take(page, 'look-back');
}

/** The way in for a tablet, as it is opened from a game that is played. */
async function lend(page) {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(page.url().replace('/play/', '/lend/'));
  await page.getByRole('button', { name: 'Let a tablet in' }).click();
  await page.getByAltText(/^Code for the/).waitFor();
}

/** Plays a set of four-sound words. */
async function begin(page, task) {
  await page.goto(`${url}/words?sounds=4&task=${task}&words=slug,milk,frog,pond,swan,hand,crab,plum,nest,crumb`);
  await page.getByRole('button', { name: /^Play with/ }).click();
  await page.waitForURL(/play/);
}

/** The adult has shown how it goes. */
async function modelled(page) {
  await page.getByRole('button', { name: /^Done –/ }).click();
  await pause(page);
}

async function play(page) {
  await begin(page, 'blending');
  await modelled(page);
  await press(page, '1', '2');
  await page.evaluate(() => document.activeElement?.blur());
  await page.keyboard.press(' ');
  await page.waitForTimeout(1_300);
  await take(page, 'play-blending');

  await begin(page, 'segmenting');
  await modelled(page);
  await press(page, '1', 'z');
  await page.locator('.bounce-line button').nth(1).click();
  await take(page, 'play-segmenting');

  // As on a device that has no keys.
  await page.evaluate(() => localStorage.removeItem('bouncy-echo-device'));
  await page.setViewportSize({ width: 768, height: 1024 });
  await begin(page, 'segmenting');
  await modelled(page);
  await page.getByRole('button', { name: 'With help' }).click();
  await pause(page);
  await take(page, 'play-tablet');
  await lend(page);
  await take(page, 'lend');
  await page.getByRole('button', { name: 'Close the way in' }).last().click();
  await page.getByText('The way in is closed.').waitFor();
  await page.setViewportSize({ width: 390, height: 844 });
  await begin(page, 'blending');
  await modelled(page);
  await page.getByRole('button', { name: 'With help' }).click();
  await pause(page);
  await take(page, 'play-phone');
  await page.setViewportSize({ width: 1280, height: 800 });
  await quick(page, 'hunt', '5-6');
  const words = page.getByRole('list', { name: 'Words to tick' }).getByRole('button');
  for (const n of [0, 1]) await words.nth(n).click();
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await page.waitForTimeout(2_500);
  await take(page, 'play-hunt');
}

/** Chooses one of a list that opens, by its value. */
async function pick(page, label, value) {
  await page.getByRole('combobox', { name: label, exact: true }).click();
  await page.locator(`[role="option"][data-value="${value}"]`).click();
}

/** Plays a quick five of one game and step. */
async function quick(page, task, step) {
  await page.goto(`${url}/plan`);
  await pick(page, 'What kind of session?', 'quick-five');
  await pick(page, 'Game', task);
  await pick(page, 'Step', step);
  await page.getByRole('button', { name: 'Plan it' }).click();
  await page.waitForURL(/plan\/./);
  await page.getByRole('button', { name: 'Play now' }).click();
  await page.waitForURL(/play/);
  await modelled(page);
}

async function pictures() {
  const { chromium } = await import('playwright-core');
  const browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await desk(page);
  await play(page);
  await browser.close();
}

await main(async () => {
  await ensureAll();
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-pictures-'));
  const server = spawn(process.execPath, [SERVER], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      PORT: String(PORT),
      NODE_ENV: 'production',
      BOUNCY_ECHO_DB: path.join(folder, 'demo.sqlite'),
      BOUNCY_ECHO_DEMO: '1',
    },
  });
  try {
    for (let i = 0; i < 100; i += 1) {
      if (
        await fetch(`${url}/api/health`).then(
          (r) => r.ok,
          () => false,
        )
      )
        break;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
    await pictures();
  } finally {
    server.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
});
