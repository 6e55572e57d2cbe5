import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { addNames, beginPlay, logOf, openApp, ownBrowser, openPage, type App } from './support/app';
import type { Browser, Page } from 'playwright-core';
import { sure } from '../src/core/sure';

// Two names that lead to this computer: one of another site, one made to point at our own server.
const FOREIGN = 'elsewhere.test';
const REBOUND = 'rebound.test';
const NAME = 'Marigold';

let app: App;
let browser: Browser;
let child: string;
let session: string;
/** A page of another site, on a port of its own. */
let elsewhere: http.Server;
let foreignPort: number;

beforeAll(async () => {
  elsewhere = http.createServer((_, response) => {
    response.setHeader('content-type', 'text/html').end('<!doctype html><title>Elsewhere</title>');
  });
  await new Promise<void>((resolve) => elsewhere.listen(0, '127.0.0.1', resolve));
  foreignPort = (elsewhere.address() as AddressInfo).port;
  [app, browser] = await Promise.all([
    openApp(),
    ownBrowser(`--host-resolver-rules=MAP ${FOREIGN} 127.0.0.1, MAP ${REBOUND} 127.0.0.1`),
  ]);
  const { page } = await openPage(browser);
  await addNames(page, app.url, [NAME]);
  await page.getByRole('main').getByRole('link', { name: NAME, exact: true }).click();
  await page.waitForURL(/children\/./);
  child = sure(page.url().split('/').at(-1));
  session = await beginPlay(page, app.url, 'sounds=3&task=blending');
  await page.context().close();
});

afterAll(async () => {
  await browser?.close();
  await app?.stop();
  elsewhere?.close();
});

interface Sent {
  readonly method?: string;
  readonly path: string;
  readonly headers?: Record<string, string>;
  readonly body?: string;
}

/** A request with headers as they are given, Host among them, which fetch would not send. */
const ask = ({ method = 'GET', path, headers = {}, body }: Sent): Promise<{ status: number; text: string }> =>
  new Promise((resolve, reject) => {
    const request = http.request(app.url + path, { method, headers }, (response) => {
      let text = '';
      response.setEncoding('utf8').on('data', (part: string) => (text += part));
      response.on('end', () => resolve({ status: sure(response.statusCode), text }));
    });
    request.on('error', reject).end(body);
  });

const ownHost = (): string => new URL(app.url).host;
const port = (): string => new URL(app.url).port;

describe('a forged Host', () => {
  test('a page, a child’s page and a child’s export are not given out', async () => {
    for (const path of ['/', `/children/${child}`, `/api/children/${child}/export`, '/sw.js']) {
      const { status, text } = await ask({ path, headers: { host: `${REBOUND}:${port()}` } });
      expect(status, path).toBe(421);
      expect(text, path).not.toContain(NAME);
    }
    const own = await ask({ path: `/api/children/${child}/export` });
    expect(own.status).toBe(200);
    expect(own.text).toContain(NAME);
  });
});

describe('writing from elsewhere', () => {
  const entry = (): string =>
    JSON.stringify({
      entries: [{ id: '01980000-0000-7000-8000-00000000000a', at: 1, kind: 'note', turn: 0, text: 'forged' }],
    });
  const TYPES = [
    'text/plain',
    'application/x-www-form-urlencoded',
    'multipart/form-data; boundary=x',
    'application/json',
  ];
  const origins = (): [string, Record<string, string>][] => [
    ['foreign', { origin: `http://${FOREIGN}:${port()}` }],
    ['another port', { origin: 'http://127.0.0.1:1' }],
    ['null', { origin: 'null' }],
    ['none', {}],
  ];

  test('an answer is not taken, whatever it says it is', async () => {
    const before = await logOf(app, session);
    for (const [what, origin] of origins()) {
      for (const type of TYPES) {
        const { status } = await ask({
          method: 'POST',
          path: `/api/sessions/${session}/log`,
          headers: { ...origin, 'content-type': type },
          body: entry(),
        });
        expect(status, `${what}, ${type}`).toBe(403);
      }
    }
    expect(await logOf(app, session)).toEqual(before);
  });

  test('Host and Origin both foreign', async () => {
    const foreign = `${REBOUND}:${port()}`;
    const { status } = await ask({
      method: 'POST',
      path: `/api/sessions/${session}/log`,
      headers: { host: foreign, origin: `http://${foreign}`, 'content-type': 'text/plain' },
      body: '{"entries":[]}',
    });
    expect(status).toBe(421);
  });

  test('a forged X-Forwarded-Host opens nothing', async () => {
    for (const origin of [`http://${FOREIGN}`, 'null']) {
      const { status } = await ask({
        method: 'POST',
        path: '/children',
        headers: { origin, 'x-forwarded-host': FOREIGN, 'next-action': '0'.repeat(42), 'content-type': 'text/plain' },
        body: '[]',
      });
      expect(status).toBe(403);
    }
    const read = await ask({
      path: `/api/children/${child}/export`,
      headers: { host: FOREIGN, 'x-forwarded-host': ownHost() },
    });
    expect(read.status).toBe(421);
  });

  test('X-Forwarded-Host is taken off before the framework sees it: our own page’s action works', async () => {
    const { page, trouble } = await openPage(browser);
    await page.setExtraHTTPHeaders({ 'X-Forwarded-Host': FOREIGN });
    await addNames(page, app.url, ['Sorrel']);
    await page.getByRole('main').getByRole('link', { name: 'Sorrel', exact: true }).waitFor();
    expect(trouble).toEqual([]);
    await page.context().close();
  });
});

describe('from a page in a real browser', () => {
  const open = async (address: string): Promise<Page> => {
    const { page } = await openPage(browser);
    await page.goto(address);
    return page;
  };
  /** The status the server gave to a request of this page, even where the browser keeps the answer from the page. */
  const heard = async (page: Page, path: string, work: () => Promise<unknown>): Promise<number> => {
    const cdp = await page.context().newCDPSession(page);
    await cdp.send('Network.enable');
    // The two come in either order: the protocol promises none.
    const asked = new Set<string>();
    const answered = new Map<string, number>();
    const status = new Promise<number>((resolve) => {
      const look = (id: string): void => {
        const code = answered.get(id);
        if (asked.has(id) && code !== undefined) resolve(code);
      };
      cdp.on('Network.requestWillBeSent', ({ requestId, request }) => {
        if (request.url.includes(path)) asked.add(requestId);
        look(requestId);
      });
      cdp.on('Network.responseReceivedExtraInfo', ({ requestId, statusCode }) => {
        answered.set(requestId, statusCode);
        look(requestId);
      });
    });
    await work();
    return status;
  };

  test.each([[FOREIGN], ['127.0.0.1']])('a page at %s, on another port, reads and writes nothing', async (host) => {
    const page = await open(`http://${host}:${foreignPort}/`);
    const path = `/api/children/${child}/export`;
    for (const mode of ['cors', 'no-cors']) {
      const status = await heard(page, path, () =>
        page.evaluate(
          ([url, m]) =>
            fetch(url as string, { mode: m as RequestMode, credentials: 'include' }).then(
              (r) => r.text(),
              () => '',
            ),
          [app.url + path, mode],
        ),
      );
      expect(status, mode).toBe(403);
    }
    const before = await logOf(app, session);
    const log = `/api/sessions/${session}/log`;
    const written = await heard(page, log, () =>
      page.evaluate((url) => {
        // A form needs no leave of the server's; its body can be made to look like JSON.
        const form = Object.assign(document.createElement('form'), {
          method: 'post',
          action: url,
          enctype: 'text/plain',
        });
        const field = Object.assign(document.createElement('input'), { name: '{"entries":[],"x":"', value: '"}' });
        form.append(field);
        document.body.append(form);
        form.submit();
      }, app.url + log),
    );
    expect(written).toBe(403);
    expect(await logOf(app, session)).toEqual(before);
    await page.context().close();
  });

  test('a form of our own page sent before its scripts have come is taken', async () => {
    const context = await browser.newContext({ javaScriptEnabled: false });
    const page = await context.newPage();
    await page.goto(`${app.url}/plan`);
    await page.getByRole('button', { name: 'Plan it' }).click();
    await page.waitForURL(/\/plan\/./);
    expect(await page.getByRole('heading', { level: 1 }).textContent()).toContain('Plan:');
    await context.close();
  });

  test('a name that was made to point here after its page had come gets nothing', async () => {
    const page = await open(`http://${REBOUND}:${port()}/`);
    expect(await page.textContent('body')).toContain('does not answer at this address');
    for (const path of ['/children', `/api/children/${child}/export`]) {
      const [status, text] = await page.evaluate(
        (url) => fetch(url).then(async (r) => [r.status, await r.text()] as const),
        path,
      );
      expect(status).toBe(421);
      expect(text).not.toContain(NAME);
    }
    await page.context().close();
  });

  test('a frame of ours in another site stays empty', async () => {
    const page = await open(`http://${FOREIGN}:${foreignPort}/`);
    const status = await heard(page, '/children', () =>
      page.evaluate((url) => {
        document.body.append(Object.assign(document.createElement('iframe'), { src: url }));
      }, `${app.url}/children`),
    );
    expect(status).toBe(403);
    await page.context().close();
  });

  test('a link on another site to a file of ours brings nothing down', async () => {
    for (const path of ['/api/everything', `/api/children/${child}/export`]) {
      const page = await open(`http://${FOREIGN}:${foreignPort}/`);
      const status = await heard(page, path, () =>
        page.evaluate((url) => {
          const link = Object.assign(document.createElement('a'), { href: url });
          document.body.append(link);
          // The page is left only after this has come back.
          setTimeout(() => link.click());
        }, app.url + path),
      );
      expect(status, path).toBe(403);
      await page.context().close();
    }
  });

  test('a link on another site still opens us in a window of its own', async () => {
    const page = await open(`http://${FOREIGN}:${foreignPort}/`);
    await page.evaluate((url) => {
      document.body.innerHTML = `<a href="${url}">Today</a>`;
    }, app.url);
    await page.getByRole('link').click();
    await page.getByRole('heading', { level: 1 }).first().waitFor();
    expect(page.url()).toBe(`${app.url}/`);
    await page.context().close();
  });
});

describe('headers of answers', () => {
  test('what holds names is kept nowhere, what holds none may be', async () => {
    for (const path of [
      '/',
      `/children/${child}`,
      `/api/children/${child}/export`,
      `/api/sessions/${session}/export`,
      '/print/home/x',
    ]) {
      const { headers } = await fetch(app.url + path);
      expect(headers.get('cache-control'), path).toContain('no-store');
      expect(headers.get('cross-origin-resource-policy'), path).toBe('same-origin');
    }
    const picture = await fetch(`${app.url}/pictures/ATTRIBUTION.md`);
    expect(picture.status).toBe(200);
    expect(picture.headers.get('cache-control')).not.toContain('no-store');
  });

  test('every script of a page is a file of ours or carries the nonce, and no page has another’s', async () => {
    const nonces = new Set<string>();
    for (const path of ['/', '/words', `/play/${session}`, '/nowhere']) {
      const response = await fetch(app.url + path);
      const policy = sure(response.headers.get('content-security-policy'));
      const nonce = sure(sure(/'nonce-([^']+)'/.exec(policy))[1]);
      expect(policy).not.toContain('unsafe-eval');
      expect(sure(/script-src [^;]*/.exec(policy))[0]).not.toContain('unsafe-inline');
      nonces.add(nonce);
      const tags = sure((await response.text()).match(/<script[^>]*>/g));
      expect(tags.length, path).toBeGreaterThan(2);
      for (const tag of tags) expect(tag.includes(`nonce="${nonce}"`) || / src="\/_next\//.test(tag), tag).toBe(true);
    }
    expect(nonces.size).toBe(4);
  });
});
