import type { IncomingMessage } from 'node:http';
import { refusalOf, type Incoming, type Refusal } from '../guard/guard';

/** Methods that a browser sends to us. TRACE gives back what was sent, cookies and all (RFC 9110, 9.3.8). */
const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS']);

/** Bytes of a body at most: a class list or a plan of an hour is a hundredth of it. */
const BODY_LIMIT = 4_194_304;

const bad = (sentence: string): Refusal => ({ status: 400, sentence: `${sentence}\n` });
const UNREADABLE = bad('This request cannot be read, so nothing was read or changed.');

/** How often a header was sent. Node keeps the first Host alone and says nothing of a second. */
const timesSeen = (raw: readonly string[], name: string): number =>
  raw.filter((text, i) => i % 2 === 0 && text.toLowerCase() === name).length;

/** True where the path can be decoded: `%ff` and half a letter cannot (RFC 3986, 2.1; UTF-8, RFC 3629). */
function decodes(path: string): boolean {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

/** What cannot be read at all, or is no request of a browser’s; null where it can be looked at. */
function unreadable({ method = '', url = '', headers, rawHeaders }: IncomingMessage): Refusal | null {
  if (!METHODS.has(method) || timesSeen(rawHeaders, 'host') !== 1) return UNREADABLE;
  const [path = ''] = url.split('?');
  if (!url.startsWith('/') || path.includes('\0') || !decodes(path)) return UNREADABLE;
  const length = headers['content-length'];
  if (headers['transfer-encoding'] !== undefined)
    return { status: 411, sentence: 'Bouncy Echo needs to know how long a request is.\n' };
  if (length !== undefined && Number(length) > BODY_LIMIT)
    return { status: 413, sentence: 'This is too long for Bouncy Echo, so nothing was saved.\n' };
  return null;
}

const one = (value: string | string[] | undefined): string | null =>
  (Array.isArray(value) ? value.join(',') : value) ?? null;

/**
 * Why a request goes no further, or null where it may: looked at before any redirect, any decoding and any page.
 * @param hosts as `ownHosts` gives them
 */
export function firstLook(request: IncomingMessage, hosts: readonly string[]): Refusal | null {
  const wrong = unreadable(request);
  if (wrong) return wrong;
  const { headers, method = '', url = '' } = request;
  const asked: Incoming = {
    method,
    path: url.split('?')[0] ?? '',
    host: one(headers.host),
    origin: one(headers.origin),
    fetchSite: one(headers['sec-fetch-site']),
    fetchMode: one(headers['sec-fetch-mode']),
    fetchDest: one(headers['sec-fetch-dest']),
  };
  return refusalOf(asked, hosts);
}
