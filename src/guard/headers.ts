/** Headers of every answer: who may embed it, keep it, and what it may run. */

/** Files that are the same for everyone and hold no names: a browser may keep these. */
const KEPT = /^\/(_next\/static|pictures)\/|^\/(icon\.svg|favicon\.ico)$/;

/**
 * The Content-Security-Policy of one answer (W3C CSP Level 3). Scripts are our own files, or carry the nonce.
 * Styles may stand in a tag or an attribute: bars and lines are drawn by attributes.
 * `reloading`: the development server's reloading needs eval and a web socket.
 */
export function contentPolicy(nonce: string, { reloading }: { reloading: boolean }): string {
  const scripts = ["'self'", `'nonce-${nonce}'`, ...(reloading ? ["'unsafe-eval'"] : [])];
  return [
    "default-src 'self'",
    `script-src ${scripts.join(' ')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data:",
    "font-src 'self'",
    `connect-src 'self'${reloading ? ' ws:' : ''}`,
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** What every answer carries besides its policy. Example: a page has `Cache-Control: no-store`, a picture has not. */
export const sealed = (pathname: string): Readonly<Record<string, string>> => ({
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  // With no referrer at all a browser sends `Origin: null` with our own forms (Fetch standard, "append a request Origin
  // header"), and the guard could not tell them from a stranger's.
  'Referrer-Policy': 'same-origin',
  ...(KEPT.test(pathname) ? {} : { 'Cache-Control': 'no-store' }),
});
