// Opens Play without a server. The build writes it into public/ with its id and every static file.
const BUILD = '__BUILD__';
const FILES = ['__FILES__'];
const STATIC = `static-${BUILD}`;
const PAGES = `pages-${BUILD}`;
const PATIENCE_MS = 3000;
// A kept page holds names: after a week it is let go.
const KEPT_MS = 7 * 86_400_000;
const KEPT_AT = 'x-kept-at';

self.addEventListener('install', (event) => {
  // What is sent or asked for by code goes past the worker, where the browser can be told so: a tap need not wake it.
  event.addRoutes?.({ condition: { urlPattern: '/api/*' }, source: 'network' });
  event.waitUntil(
    caches
      .open(STATIC)
      .then((cache) => cache.addAll(FILES))
      .then(() => self.skipWaiting()),
  );
});

self.addEventListener('activate', (event) => {
  event.waitUntil(
    (async () => {
      for (const name of await caches.keys()) if (name !== STATIC && name !== PAGES) await caches.delete(name);
      await self.clients.claim();
    })(),
  );
});

// Keeps a page with the time it was kept. A device that has no room for it shows the page all the same.
const put = async (path, response) => {
  const headers = new Headers(response.headers);
  headers.set(KEPT_AT, String(Date.now()));
  const { status } = response;
  try {
    await (await caches.open(PAGES)).put(path, new Response(await response.blob(), { status, headers }));
  } catch {
    // Not kept.
  }
};

// Pages kept for too long go.
const tidy = async () => {
  const cache = await caches.open(PAGES);
  for (const request of await cache.keys()) {
    const kept = await cache.match(request);
    if (!(Math.abs(Date.now() - Number(kept?.headers.get(KEPT_AT))) < KEPT_MS)) await cache.delete(request);
  }
};

const keepPage = async (path) => {
  await tidy();
  const response = await fetch(path, { credentials: 'same-origin', headers: { accept: 'text/html' } }).catch(
    () => null,
  );
  if (response?.ok) await put(path, response);
};

self.addEventListener('message', (event) => {
  const { keep, forget } = event.data ?? {};
  if (keep) event.waitUntil(keepPage(keep));
  if (forget) event.waitUntil(caches.open(PAGES).then((cache) => cache.delete(forget)));
});

// A response from the cache as a new one: a web worker would lose the end of its address otherwise.
const anew = (response) => new Response(response.body, { status: response.status, headers: response.headers });

async function fromCache(request) {
  const kept = await caches.match(request);
  if (kept) return anew(kept);
  const response = await fetch(request);
  if (response.ok)
    await caches
      .open(STATIC)
      .then((cache) => cache.put(request, response.clone()))
      .catch(() => undefined);
  return response;
}

async function away() {
  const pages = await (await caches.open(PAGES)).keys();
  const links = pages
    .map(({ url }) => `<li><a href="${new URL(url).pathname}">Carry on with the running session</a></li>`)
    .join('');
  return new Response(
    `<!doctype html>
<html lang="en-GB">
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>No server · Bouncy Echo</title>
<style>
  body { font: 20px/1.5 sans-serif; margin: 10vh auto; max-width: 36rem; padding: 0 1rem }
  body { background: #f7f1e3; color: #1c2733 }
</style>
<h1>We can’t reach the server</h1>
<p>Your answers are safe on this device. We’ll send them to the server as soon as we can reach it.</p>
<ul>${links}</ul>
<p><a href="">Try again</a></p>
</html>`,
    { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } },
  );
}

async function page(request) {
  const { pathname } = new URL(request.url);
  await tidy();
  const cache = await caches.open(PAGES);
  const played = pathname.startsWith('/play/');
  const network = fetch(request).then(async (response) => {
    if (played && response.ok) await put(pathname, response.clone());
    return response;
  });
  if (!played) return network.catch(away);
  const kept = await cache.match(pathname);
  const patience = new Promise((resolve) => {
    setTimeout(() => resolve(null), PATIENCE_MS);
  });
  const first = await Promise.race([network.catch(() => null), ...(kept ? [patience] : [])]);
  if (first && (first.status < 500 || !kept)) return first;
  return kept ? anew(kept) : away();
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (request.mode === 'navigate') event.respondWith(page(request));
  else if (url.pathname.startsWith('/_next/static/') || url.pathname.startsWith('/pictures/'))
    event.respondWith(fromCache(request));
});
