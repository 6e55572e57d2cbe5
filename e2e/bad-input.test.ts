import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import type { Browser } from 'playwright-core';
import { describe, expect, test } from 'vitest';
import { add, addGroup, addNames, type App, openApp, openPage } from './support/app';
import { onStage } from './support/stage';

let app: App;
let browser: Browser;
onStage((one, other) => {
  [app, browser] = [one, other];
});

const LEAKS = /at \w+ \(|node_modules|\/src\/|SequelizeDatabaseError|SQLITE_|ZodError/;

test('names: odd ones are kept as they are, impossible ones are named and stay in the box', async () => {
  const { page, trouble } = await openPage(browser);
  await addNames(page, app.url, ['<script>alert(1)</script>', '=1+1', '小明', '🌻 Sunny', 'محمد']);
  for (const name of ['<script>alert(1)</script>', '=1+1', '小明', '🌻 Sunny', 'محمد'])
    await page.getByText(name, { exact: true }).first().waitFor();
  const long = 'y'.repeat(200);
  await add(page, 'Names');
  await page.getByLabel('First names').fill(`小明\n${long}`);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByText('There are two children called').waitFor();
  await page.getByRole('dialog').getByRole('alert').getByText('Line 2:').waitFor();
  expect(await page.getByLabel('First names').inputValue()).toBe(long);
  await page.getByLabel('First names').fill('  \n ');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.getByText('Type at least one name.').waitFor();
  await page.keyboard.press('Escape');
  await add(page, 'Another group');
  await page.getByLabel('What is the group called?').fill(long);
  await page.getByRole('button', { name: 'Add the group' }).click();
  await page.getByText('is too long').waitFor();
  expect(await page.getByLabel('What is the group called?').inputValue()).toBe(long);
  expect(trouble).toEqual([]);
  await page.context().close();
});

test('a child can be renamed and, once asked, taken out', async () => {
  const { page } = await openPage(browser);
  await addNames(page, app.url, ['Zinnia']);
  await page.getByRole('button', { name: 'Change Zinnia' }).click();
  await page.getByRole('menuitem', { name: 'Rename…' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('');
  await page.getByRole('button', { name: 'Save the name' }).click();
  await page.getByText('A name needs at least one letter.').waitFor();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Zinnia B');
  await page.getByRole('button', { name: 'Save the name' }).click();
  await page.getByRole('button', { name: 'Change Zinnia B' }).click();
  await page.getByRole('menuitem', { name: 'Their file, and erasing…' }).click();
  await page.waitForURL(/children\/[0-9a-f]{8}/);
  await page.getByRole('button', { name: 'Erase Zinnia B…' }).click();
  await page.getByRole('dialog').getByRole('link', { name: 'Download their file first' }).waitFor();
  await page.getByRole('button', { name: 'Erase Zinnia B and their answers' }).click();
  await page.waitForURL(/\/children$/);
  await expect.poll(() => page.getByRole('link', { name: 'Zinnia B' }).count()).toBe(0);
  await page.context().close();
});

describe('addresses and bodies', () => {
  test.each(['/play/xyz', '/play/00000000-0000-7000-8000-000000000000', '/look-back/%27%3B--', '/nowhere'])(
    '%s is a friendly 404',
    async (where) => {
      const response = await fetch(app.url + where);
      expect(response.status).toBe(404);
      const text = await response.text();
      expect(text).toContain('There’s nothing at this address');
      expect(text).not.toMatch(LEAKS);
    },
  );
  test('the words address takes anything', async () => {
    const response = await fetch(
      `${app.url}/words?sounds=abc&shape=%3Cscript%3E&seed=-1&size=99&sound=%00&only=x&set=..` +
        '&words=zzz,,;&task=zz&task=y',
    );
    expect(response.status).toBe(200);
    expect(await response.text()).toContain('How many sounds?');
  });
  test.each([
    ['no JSON', 'x', 400],
    ['a body that does not fit', '{"entries":[{"kind":"answer"}]}', 400],
    ['more than there should be', '{"entries":[],"x":1}', 400],
    ['a session that is not there', '{"entries":[]}', 404],
  ])('log: %s', async (_, body, status) => {
    const response = await fetch(`${app.url}/api/sessions/00000000-0000-7000-8000-000000000000/log`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: app.url },
      body,
    });
    expect(response.status).toBe(status);
    const text = await response.text();
    expect(JSON.parse(text)).toHaveProperty('error');
    expect(text).not.toMatch(LEAKS);
  });
  test('export: an unknown form and a malformed id', async () => {
    expect((await fetch(`${app.url}/api/sessions/x/export?as=csv`)).status).toBe(404);
    const response = await fetch(`${app.url}/api/sessions/x/export?as=constructor`);
    expect(response.status).toBe(400);
  });
});

test('a file that is not a database: every page says so, and the file is left alone', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-bad-'));
  const file = path.join(folder, 'letter.sqlite');
  writeFileSync(file, 'Dear all, this is a letter. '.repeat(300));
  const bad = await openApp({ file });
  for (const where of ['/', '/children', '/play/00000000-0000-7000-8000-000000000000']) {
    const text = await (await fetch(bad.url + where)).text();
    expect(text, where).toContain('isn’t a Bouncy Echo database. We haven’t touched it.');
    expect(text, where).not.toMatch(/SQLITE_|node_modules/);
  }
  await bad.stop();
  rmSync(folder, { recursive: true });
});

describe('npm start says what is in the way', () => {
  const start = (env: Record<string, string>): { status: number | null; said: string } => {
    const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/start.mjs'], {
      env: { ...process.env, ...env },
      encoding: 'utf8',
      timeout: 60_000,
    });
    return { status, said: stdout + stderr };
  };
  test('the port is taken', async () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-port-'));
    const taken = net.createServer();
    await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve));
    const { port } = taken.address() as net.AddressInfo;
    const { status, said } = start({ PORT: String(port), BOUNCY_ECHO_DATA: folder });
    taken.close();
    expect(status).toBe(1);
    expect(said).toContain(`Port ${port} is taken by another program.`);
    expect(said).not.toMatch(/ at .*\.mjs/);
    rmSync(folder, { recursive: true });
  });
  test('the data file is no database', () => {
    const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-file-'));
    writeFileSync(path.join(folder, 'bouncy-echo.sqlite'), 'a letter');
    const { status, said } = start({ PORT: '1', BOUNCY_ECHO_DATA: folder });
    expect(status).toBe(1);
    expect(said).toContain('isn’t a database. We haven’t touched it.');
    rmSync(folder, { recursive: true });
  });
  test('the data folder cannot be written', () => {
    const { status, said } = start({ PORT: '1', BOUNCY_ECHO_DATA: '/dev/null/data' });
    expect(status).toBe(1);
    expect(said).toContain('cannot write in the data folder /dev/null/data');
  });
  test('the port is no number', () => {
    expect(start({ PORT: 'abc' }).said).toContain('PORT is "abc"');
  });
});

test('a group can be renamed and, once asked, erased with what is in it', async () => {
  const { page, trouble } = await openPage(browser);
  await addGroup(page, app.url, 'Turnips');
  await page.getByRole('button', { name: 'Change Turnips' }).click();
  await page.getByRole('menuitem', { name: 'Rename…' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Marrows');
  await page.getByRole('button', { name: 'Save the name' }).click();
  await page.getByRole('heading', { name: 'Marrows', exact: true }).waitFor();
  await page.getByRole('button', { name: 'Change Marrows' }).click();
  await page.getByRole('menuitem', { name: 'Erase…' }).click();
  await page.getByText('its 0 children').waitFor();
  await page.getByRole('button', { name: 'Erase Marrows and everything in it' }).click();
  await expect.poll(() => page.getByText('Marrows').count()).toBe(0);
  expect(trouble).toEqual([]);
  await page.context().close();
});
