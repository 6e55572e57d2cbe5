/**
 * The server: ours stands before the framework's. It looks at every request first, lets no connection be turned into
 * something else, and closes the data when it is told to end. The build makes it plain JavaScript
 * (scripts/lib/front.mjs); it is started by scripts/lib/serve.mjs.
 */
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import next from 'next';
import { isForwarded, ownHosts, type Refusal } from '../guard/guard';
import { sealed } from '../guard/headers';
import { setLender } from '../guard/lender';
import { firstLook } from './first-look';
import { newLender } from './lend';

const HOST = '127.0.0.1';
const PORT = process.env.PORT ?? '3000';
/** How long requests that are under way may take once the server is told to end, in milliseconds. */
const LEAVE_MS = 3_000;
/** How long a device may take to send a request: an answer is a few hundred bytes. */
const SENDING_MS = 30_000;

/** Only ours may read what is made from now on. */
process.umask(0o077);

const hosts = ownHosts(PORT);

function refuse(request: IncomingMessage, response: ServerResponse, { status, sentence }: Refusal): void {
  response.writeHead(status, {
    ...sealed(request.url ?? '/'),
    'Content-Type': 'text/plain; charset=utf-8',
    // What else may come on this connection is not waited for.
    Connection: 'close',
  });
  response.end(sentence);
}

/** The data that the pages have open, if they have: the framework keeps its parts in one process. */
const place = globalThis as typeof globalThis & { bouncyEcho?: Promise<{ close(): Promise<void> }> };

async function serve(): Promise<void> {
  // The framework listens for upgrades on the server it is given: it gets one that nobody can reach.
  const nobody = createServer();
  const app = next({ dev: false, dir: process.cwd(), hostname: HOST, port: Number(PORT), httpServer: nobody });
  await app.prepare();
  const handle = app.getRequestHandler();
  const server = createServer((request, response) => {
    const refusal = firstLook(request, hosts);
    if (refusal) return refuse(request, response, refusal);
    for (const name of Object.keys(request.headers)) if (isForwarded(name)) delete request.headers[name];
    void handle(request, response);
  });
  server.requestTimeout = SENDING_MS;
  // A connection is for requests and nothing else: no web sockets, no tunnels.
  for (const turned of ['upgrade', 'connect'] as const) server.on(turned, (_, socket) => socket.destroy());

  const lender = newLender(`http://${HOST}:${PORT}`, Number(PORT) + 1);
  setLender(lender);

  let ending: Promise<void> | undefined;
  const end = async (): Promise<void> => {
    await lender.close('stopped');
    const left = new Promise((resolve) => server.close(resolve));
    server.closeIdleConnections();
    await Promise.race([left, new Promise((resolve) => setTimeout(resolve, LEAVE_MS))]);
    // Told twice, as Ctrl+C does, it still closes once and whole.
    await place.bouncyEcho?.then(
      (data) => data.close(),
      () => undefined,
    );
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void (ending ??= end()));
  server.listen(Number(PORT), HOST);
}

serve().catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
