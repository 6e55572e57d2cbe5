/**
 * Who may ask this server for anything. It listens on this computer alone, but every page open in a browser here can
 * reach it: by a host name that is made to point at 127.0.0.1 (DNS rebinding), by a form or a fetch of another site.
 *
 * The rules follow published ones: Host (RFC 9110, 7.4: 421 Misdirected Request), Origin (RFC 6454; Fetch standard,
 * "Origin header") and Sec-Fetch-Site, -Mode and -Dest (W3C Fetch Metadata Request Headers).
 */

/** What the guard looks at. A header that was not sent is null. */
export interface Incoming {
  readonly method: string;
  /** The path of the address, without what follows `?`. */
  readonly path: string;
  /** `Host`, with the port. */
  readonly host: string | null;
  readonly origin: string | null;
  /** `Sec-Fetch-Site`: same-origin, same-site, cross-site or none. Old browsers and programs send none of the three. */
  readonly fetchSite: string | null;
  readonly fetchMode: string | null;
  readonly fetchDest: string | null;
}

/** Why a request is not answered: its status, and a sentence for whoever reads it. */
export interface Refusal {
  readonly status: 400 | 403 | 411 | 413 | 421;
  readonly sentence: string;
}

const LOOPBACK_NAMES = ['127.0.0.1', 'localhost', '[::1]'];

/** Methods that only read. Anything else may change something. */
const READING = new Set(['GET', 'HEAD']);

/** Where a request comes from when it is this page's own, or typed into the address bar. */
const OWN_SITES = new Set(['same-origin', 'none']);

const FOREIGN: Refusal = {
  status: 403,
  sentence: 'This came from somewhere else than Bouncy Echo, so nothing was read or changed.\n',
};

/** The hosts this server answers for. Example: `ownHosts('3000')` has `localhost:3000`; port 80 is never written. */
export const ownHosts = (port: string): readonly string[] =>
  LOOPBACK_NAMES.map((name) => (port === '80' ? name : `${name}:${port}`));

/**
 * A link on another site may open a page of ours in a window of its own; nothing of theirs can read it there. What is
 * no page it may not: a link to a download would put a child's file among the downloads.
 */
const opensPage = ({ path, fetchMode, fetchDest }: Incoming): boolean =>
  fetchMode === 'navigate' && fetchDest === 'document' && !/^\/+api(\/|$)/i.test(path);

/**
 * Why this request is refused, or null when it may go on. `hosts` as `ownHosts` gives them.
 * Example: a POST with `Origin: null` gives a refusal with status 403.
 */
export function refusalOf(asked: Incoming, hosts: readonly string[]): Refusal | null {
  if (!asked.host || !hosts.includes(asked.host.toLowerCase())) {
    return { status: 421, sentence: `Bouncy Echo does not answer at this address. Open http://${hosts[0]} instead.\n` };
  }
  if (!READING.has(asked.method)) {
    // Of ours means the very host that was asked: localhost and 127.0.0.1 are two origins to a browser.
    return asked.origin?.toLowerCase() === `http://${asked.host.toLowerCase()}` ? null : FOREIGN;
  }
  if (asked.fetchSite && !OWN_SITES.has(asked.fetchSite) && !opensPage(asked)) return FOREIGN;
  return null;
}

/** Headers by which a proxy tells of the request it passes on. No proxy stands before this server. */
export const isForwarded = (header: string): boolean => /^(x-forwarded-.*|forwarded)$/i.test(header);
