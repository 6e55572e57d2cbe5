import { NextResponse, type NextRequest } from 'next/server';
import { isForwarded, ownHosts, refusalOf } from './guard/guard';
import { contentPolicy, sealed } from './guard/headers';

/**
 * Stands before every page, route, action and file: refuses what does not come from our own pages, seals the answer.
 */
export function proxy(request: NextRequest): Response {
  const { headers, method } = request;
  const { pathname } = request.nextUrl;
  const refusal = refusalOf(
    {
      method,
      path: pathname,
      host: headers.get('host'),
      origin: headers.get('origin'),
      fetchSite: headers.get('sec-fetch-site'),
      fetchMode: headers.get('sec-fetch-mode'),
      fetchDest: headers.get('sec-fetch-dest'),
    },
    // The port it listens on, as the framework's server writes it down.
    ownHosts(process.env.PORT ?? '3000'),
  );
  if (refusal) {
    return new Response(refusal.sentence, {
      status: refusal.status,
      headers: { ...sealed(pathname), 'Content-Type': 'text/plain; charset=utf-8' },
    });
  }
  const nonce = crypto.randomUUID();
  const policy = contentPolicy(nonce, { reloading: process.env.NODE_ENV === 'development' });
  const passedOn = new Headers([...headers].filter(([name]) => !isForwarded(name)));
  // The framework reads the nonce out of the policy and puts it on the scripts it writes.
  passedOn.set('Content-Security-Policy', policy);
  passedOn.set('x-nonce', nonce);
  const response = NextResponse.next({ request: { headers: passedOn } });
  response.headers.set('Content-Security-Policy', policy);
  for (const [name, value] of Object.entries(sealed(pathname))) response.headers.set(name, value);
  return response;
}
