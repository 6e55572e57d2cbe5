import { readFileSync } from 'node:fs';
import vm from 'node:vm';
import { expect, test } from 'vitest';

// The service worker in a browser whose cache is full: a page that came is shown, kept or not.

interface Fetched {
  readonly request: { readonly method: string; readonly url: string; readonly mode: string };
  respondWith(response: Promise<Response>): void;
}

const ORIGIN = 'http://127.0.0.1:3000';

/** The worker, with a cache that takes nothing more, and a server that answers so. */
function working(answer: () => Promise<Response>): (path: string) => Promise<Response> {
  const handlers = new Map<string, (event: Fetched) => void>();
  const full = {
    put: () => Promise.reject(new DOMException('full', 'QuotaExceededError')),
    keys: () => Promise.resolve([]),
    match: () => Promise.resolve(undefined),
  };
  vm.runInNewContext(readFileSync('src/workers/sw.js', 'utf8'), {
    self: {
      location: { origin: ORIGIN },
      addEventListener: (kind: string, handler: (event: Fetched) => void) => handlers.set(kind, handler),
    },
    caches: { open: () => Promise.resolve(full), match: () => Promise.resolve(undefined) },
    fetch: answer,
    ...{ Response, Headers, URL, Date, setTimeout },
  });
  return (path) =>
    new Promise((resolve, reject) => {
      handlers.get('fetch')?.({
        request: { method: 'GET', url: ORIGIN + path, mode: 'navigate' },
        respondWith: (response) => void response.then(resolve, reject),
      });
    });
}

test('a page of Play that came, and could not be kept for want of room, is shown', async () => {
  const shown = await working(() => Promise.resolve(new Response('the turn')))('/play/1');
  expect([shown.status, await shown.text()]).toEqual([200, 'the turn']);
});

test('a server that is away is said, and that answers are safe', async () => {
  const shown = await working(() => Promise.reject(new TypeError('away')))('/play/1');
  expect(shown.status).toBe(503);
  expect(await shown.text()).toContain('Your answers are safe on this device.');
});
