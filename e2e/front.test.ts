import { once } from 'node:events';
import { copyFileSync, existsSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import type { Browser } from 'playwright-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { sure } from '../src/core/sure';
import { answered } from '../src/core/testing/answers';
import { alone, withPlain } from '../src/file/plain';
import {
  beginPlay,
  logOf,
  openApp,
  closePages,
  openBrowser,
  openPage,
  saved,
  tap,
  waiting,
  type App,
} from './support/app';

let app: App;
let browser: Browser;
beforeAll(async () => {
  [app, browser] = await Promise.all([openApp(), openBrowser()]);
});
afterAll(async () => {
  await closePages(browser);
  await app?.stop();
});

const port = (): number => Number(new URL(app.url).port);

/** Sends bytes as they are, and gives what comes back until the connection is closed. */
async function raw(text: string): Promise<string> {
  const socket = net.connect(port(), '127.0.0.1');
  let said = '';
  socket.setEncoding('utf8').on('data', (part: string) => (said += part));
  socket.on('error', () => undefined);
  socket.write(text);
  await once(socket, 'close');
  return said;
}
const host = (): string => `Host: 127.0.0.1:${port()}\r\n`;
const status = (said: string): string => said.split(' ')[1] ?? 'closed';

describe('before anything is read', () => {
  // RFC 9110 (TRACE, Host), RFC 9112 (forms of a request), RFC 3986 (encoding), RFC 9113 (upgrades).
  test.each([
    ['TRACE', () => `TRACE / HTTP/1.1\r\n${host()}Cookie: a=b\r\n\r\n`, '400'],
    ['a method of nobody’s', () => `PROPFIND / HTTP/1.1\r\n${host()}\r\n`, '400'],
    ['half a letter', () => `GET /word/%ff HTTP/1.1\r\n${host()}\r\n`, '400'],
    ['a cut letter', () => `GET /word/%E0%A4%A HTTP/1.1\r\n${host()}\r\n`, '400'],
    ['two hosts', () => `GET / HTTP/1.1\r\n${host()}Host: rebound.test\r\n\r\n`, '400'],
    ['an address of another site', () => `GET http://rebound.test/ HTTP/1.1\r\n${host()}\r\n`, '400'],
    ['a star', () => `OPTIONS * HTTP/1.1\r\n${host()}\r\n`, '400'],
    ['a redirect for a forged host', () => `GET /children/ HTTP/1.1\r\nHost: rebound.test\r\n\r\n`, '421'],
    ['a body without an end', () => `POST / HTTP/1.1\r\n${host()}Transfer-Encoding: chunked\r\n\r\n`, '411'],
    ['a body that is too long', () => `POST / HTTP/1.1\r\n${host()}Content-Length: 99999999\r\n\r\n`, '413'],
    ['an upgrade', () => `GET / HTTP/1.1\r\n${host()}Connection: Upgrade\r\nUpgrade: websocket\r\n\r\n`, 'closed'],
    ['a tunnel', () => `CONNECT 127.0.0.1:80 HTTP/1.1\r\n${host()}\r\n`, 'closed'],
  ])('%s', async (_, text, wanted) => {
    const said = await raw(text());
    expect(status(said)).toBe(wanted);
    expect(said).not.toMatch(/Cookie: a=b|<html|at \w+ \(/);
  });

  test('five hundred upgrades leave nothing behind, and the server answers', async () => {
    const upgrade = `GET / HTTP/1.1\r\n${host()}Connection: Upgrade\r\nUpgrade: h2c\r\n\r\n`;
    await fetch(app.url);
    await Promise.all(Array.from({ length: 500 }, () => raw(upgrade)));
    expect((await fetch(`${app.url}/api/health`)).status).toBe(200);
  });
});

/** Starts a session and gives it so many answers, past the browser. */
async function answersIn(count: number): Promise<string> {
  const { page } = await openPage(browser);
  await page.goto(`${app.url}/children`);
  const session = await beginPlay(page, app.url, 'sounds=3');
  await saved(page);
  const entries = Array.from({ length: count }, (_, turn) => ({
    ...answered(turn, null, 'sun'),
    id: v7(),
    at: Date.now(),
  }));
  const response = await fetch(`${app.url}/api/sessions/${session}/log`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: app.url },
    body: JSON.stringify({ entries }),
  });
  expect(await response.json()).toMatchObject({ refused: [] });
  await page.context().close();
  return session;
}

const answersAlone = (file: string): Promise<number> =>
  withPlain(
    alone(file),
    'address',
    async (db) => sure((await db.all<{ n: number }>('SELECT count(*) AS n FROM answers'))[0]).n,
  );

test('told to end, the file alone has every answer; put back beside a newer log, it is refused', async () => {
  await answersIn(40);
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-back-'));
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    await app.end(signal);
    expect(readdirSync(path.dirname(app.file))).toEqual([path.basename(app.file)]);
    expect(await answersAlone(app.file), signal).toBeGreaterThanOrEqual(40);
    await app.start();
  }
  // As the README says to back up and put back; but the newer files stay beside it.
  const backup = path.join(folder, 'backup.sqlite');
  await app.end('SIGINT');
  copyFileSync(app.file, backup);
  await app.start();
  await answersIn(3);
  await app.end('SIGINT');
  await app.start();
  await answersIn(3);
  await app.kill();
  expect(existsSync(`${app.file}-wal`)).toBe(true);
  const newer = path.join(folder, 'newer.sqlite');
  for (const end of ['', '-wal']) copyFileSync(app.file + end, newer + end);
  copyFileSync(backup, app.file);
  await app.start();
  const problem = async (): Promise<string | null> =>
    ((await (await fetch(`${app.url}/api/health`)).json()) as { problem: string | null }).problem;
  expect(await problem()).toContain('belong to another copy of your data');
  expect(await (await fetch(app.url)).text()).toContain('belong to another copy of your data');
  // The two moved away, it opens as it was; what was newer opens with its own log.
  for (const end of ['-wal', '-shm']) rmSync(app.file + end, { force: true });
  await expect.poll(problem).toBeNull();
  await app.end('SIGTERM');
  expect(await answersAlone(app.file)).toBe(40);
  for (const end of ['', '-wal']) copyFileSync(newer + end, app.file + end);
  await app.start();
  expect(await problem()).toBeNull();
  await app.end('SIGTERM');
  expect(await answersAlone(app.file)).toBe(46);
  await app.start();
  rmSync(folder, { recursive: true, force: true });
});

test('a second server on the same data says where the first one is, and writes nothing', async () => {
  const second = await openApp({ file: app.file });
  const health = (await (await fetch(`${second.url}/api/health`)).json()) as { problem: string };
  expect(health.problem).toContain(`already running with the data in ${app.file}. Use it at ${app.url}`);
  await second.end('SIGTERM');
  expect((await fetch(`${app.url}/api/health`)).status).toBe(200);
});

test('the data folder and its files are for nobody else', () => {
  expect((statSync(path.dirname(app.file)).mode & 0o777).toString(8)).toBe('700');
  for (const name of readdirSync(path.dirname(app.file)))
    expect((statSync(path.join(path.dirname(app.file), name)).mode & 0o777).toString(8), name).toBe('600');
});

test('under another name of this computer, what waits is sent first, and then the one name is gone to', async () => {
  const { page } = await openPage(browser);
  const other = app.url.replace('127.0.0.1', 'localhost');
  const session = await beginPlay(page, app.url, 'sounds=3');
  await page.goto(`${other}/play/${session}`);
  await saved(page);
  const before = (await logOf(app, session)).length;
  await app.kill();
  await tap(page, '1', 1);
  expect(await waiting(page)).toBe(1);
  await app.start();
  await page.goto(`${other}/words?sounds=4`);
  await page.waitForURL(`${app.url}/words?sounds=4`);
  expect(await logOf(app, session)).toHaveLength(before + 1);
  await page.context().close();
});

test('a demo that is killed while it starts is whole at the next start', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-demo-'));
  const file = path.join(folder, 'demo.sqlite');
  let killed = 0;
  for (const ms of [300, 1_500, 2_500, 4_000]) {
    const one = await openApp({ demo: true, file, wait: false });
    await pause(ms);
    await one.kill();
    killed += 1;
  }
  const last = await openApp({ demo: true, file });
  const counts = await withPlain(file, 'read', (db) =>
    db.all(
      `SELECT (SELECT count(*) FROM groups) AS groups, (SELECT count(*) FROM sessions) AS sessions,
         (SELECT count(*) FROM plans) AS plans, (SELECT count(*) FROM word_sets) AS sets`,
    ),
  );
  expect(killed).toBe(4);
  expect(counts).toEqual([{ groups: 2, sessions: 30, plans: 4, sets: 3 }]);
  await last.end('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
});
