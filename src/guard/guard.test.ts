import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { isForwarded, ownHosts, refusalOf, type Incoming } from './guard';
import { contentPolicy, sealed } from './headers';

const hosts = ownHosts('3000');
const asked = (change: Partial<Incoming> = {}): Incoming => ({
  method: 'GET',
  path: '/',
  host: '127.0.0.1:3000',
  origin: null,
  fetchSite: null,
  fetchMode: null,
  fetchDest: null,
  ...change,
});
const statusOf = (change: Partial<Incoming>): number | undefined => refusalOf(asked(change), hosts)?.status;

describe('Host (RFC 9110, section 7.4: 421 where the server does not answer for it)', () => {
  test.each([['127.0.0.1:3000'], ['localhost:3000'], ['LocalHost:3000'], ['[::1]:3000']])('%s is ours', (host) => {
    expect(statusOf({ host })).toBeUndefined();
  });
  test.each([
    ['rebound.test:3000'],
    ['127.0.0.1'],
    ['127.0.0.1:3001'],
    ['127.0.0.1:3000.rebound.test'],
    ['rebound.test@127.0.0.1:3000'],
    ['localhost.:3000'],
    ['0.0.0.0:3000'],
    [''],
    [null],
  ])('%s is not', (host) => {
    expect(statusOf({ host })).toBe(421);
    expect(statusOf({ host, method: 'POST', origin: `http://${host}` })).toBe(421);
  });
  test('whatever else is written there is refused', () => {
    fc.assert(fc.property(fc.string(), (host) => hosts.includes(host.toLowerCase()) || statusOf({ host }) === 421));
  });
  test('port 80 is never written', () => {
    expect(ownHosts('80')).toContain('localhost');
  });
});

describe('Origin of what may change something (RFC 6454; a form from an opaque place sends null)', () => {
  test.each([['POST'], ['PUT'], ['PATCH'], ['DELETE'], ['OPTIONS']])('%s', (method) => {
    expect(statusOf({ method, origin: 'http://127.0.0.1:3000', fetchSite: 'same-origin' })).toBeUndefined();
    const foreign = [
      'http://rebound.test:3000',
      'http://127.0.0.1:8080',
      'http://localhost:3000',
      'https://127.0.0.1:3000',
    ];
    for (const origin of [...foreign, 'null', '', null]) expect(statusOf({ method, origin }), `${origin}`).toBe(403);
  });
});

describe('reads (W3C Fetch Metadata)', () => {
  test.each([
    ['our own page', { fetchSite: 'same-origin', fetchMode: 'cors', fetchDest: 'empty' }],
    ['an address that was typed', { fetchSite: 'none', fetchMode: 'navigate', fetchDest: 'document' }],
    ['a link on another site', { fetchSite: 'cross-site', fetchMode: 'navigate', fetchDest: 'document' }],
    [
      'the address of a file that was typed',
      { path: '/api/everything', fetchSite: 'none', fetchMode: 'navigate', fetchDest: 'document' },
    ],
    ['a program', {}],
  ])('%s may read', (_, change) => {
    expect(statusOf(change)).toBeUndefined();
  });
  test.each([
    ['a fetch', { fetchSite: 'cross-site', fetchMode: 'cors', fetchDest: 'empty' }],
    ['a fetch that asks for no answer', { fetchSite: 'cross-site', fetchMode: 'no-cors', fetchDest: 'empty' }],
    ['another port of this computer', { fetchSite: 'same-site', fetchMode: 'cors', fetchDest: 'empty' }],
    ['a script tag', { fetchSite: 'cross-site', fetchMode: 'no-cors', fetchDest: 'script' }],
    ['a frame', { fetchSite: 'cross-site', fetchMode: 'navigate', fetchDest: 'iframe' }],
    [
      'a link to a file',
      { path: '/api/everything', fetchSite: 'cross-site', fetchMode: 'navigate', fetchDest: 'document' },
    ],
    [
      'the same, written otherwise',
      { path: '//API/everything', fetchSite: 'same-site', fetchMode: 'navigate', fetchDest: 'document' },
    ],
  ])('%s of another site may not', (_, change) => {
    expect(statusOf(change)).toBe(403);
    expect(statusOf({ ...change, method: 'HEAD' })).toBe(403);
  });
});

test('what a proxy would say of a request is known by its name', () => {
  for (const header of ['x-forwarded-host', 'X-Forwarded-For', 'x-forwarded-proto', 'Forwarded']) {
    expect(isForwarded(header)).toBe(true);
  }
  expect(isForwarded('host')).toBe(false);
});

describe('headers of answers (CSP Level 3)', () => {
  test('scripts need the nonce; nothing is evaluated, embedded or sent elsewhere', () => {
    const policy = contentPolicy('abc', { reloading: false });
    expect(policy).toContain("script-src 'self' 'nonce-abc';");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toMatch(/unsafe-eval|https?:|\*/);
  });
  test('only files that hold no names may be kept', () => {
    for (const where of ['/', '/children/1', '/api/sessions/1/log', '/sw.js', '/print/home/1', '/pictures']) {
      expect(sealed(where)['Cache-Control'], where).toBe('no-store');
    }
    for (const where of ['/_next/static/chunks/a.js', '/pictures/bee.svg']) {
      expect(sealed(where)['Cache-Control'], where).toBeUndefined();
    }
  });
});
