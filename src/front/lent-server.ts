import { createServer as createPlain, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { createServer as createSecure } from 'node:https';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import type { Answered, LentWork } from '../guard/lender';
import type { Colour, Lending } from '../guard/lending';
import type { Certificate } from './lent-certificate';
import { DOOR_PAGE, DOOR_POLICY } from './lent-door-page';

interface LentOptions {
  readonly session: string;
  readonly lending: Lending;
  readonly work: LentWork;
  /** Null for plain http. */
  readonly certificate: Certificate | null;
  readonly host: string;
  /** The path of the session’s page as tablets have it, here and at the framework’s own address. */
  readonly page: string;
  /** Paths of files that a tablet may have; they are asked of the framework’s address too. */
  readonly files: ReadonlySet<string>;
  /** The framework’s address: `http://127.0.0.1:3000`. */
  readonly home: string;
  readonly now: () => number;
}

/** Bytes of a body at most: fifty marks are a quarter of it. */
const BODY_LIMIT = 65_536;
/** Requests a second of one tablet, and of one address that has no key yet. */
const A_SECOND = { points: 5, duration: 1 };
/** Pages and files of one tablet within ten seconds: the page comes with some sixty. */
const FILES = { points: 200, duration: 10 };
const CONNECTIONS = 64;
const SLOW_MS = 10_000;

/** What every answer carries: it is for this page alone, and nothing keeps it. */
const SEALED = {
  'Cache-Control': 'no-store',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'X-Content-Type-Options': 'nosniff',
  'X-Frame-Options': 'DENY',
  'Referrer-Policy': 'same-origin',
};

/** Of the framework's answer, what goes on to the tablet. */
const HANDED_ON = ['content-type', 'content-security-policy', 'cache-control'];

/** Everything that is not there, and everything that is not let in, is answered alike: with nothing. */
function nothing(response: ServerResponse, status: 404 | 429 = 404): void {
  response.writeHead(status, { ...SEALED, Connection: 'close', 'Content-Length': '0' });
  response.end();
}

function say(response: ServerResponse, { status, body }: Answered): void {
  response.writeHead(status, {
    ...SEALED,
    'Content-Type': 'application/json',
    'Content-Length': Buffer.byteLength(body),
  });
  response.end(body);
}

/** The body of a request as JSON. Throws where it is none, or too long. */
async function bodyOf(request: IncomingMessage): Promise<unknown> {
  const pieces: Buffer[] = [];
  let length = 0;
  for await (const piece of request as AsyncIterable<Buffer>) {
    length += piece.length;
    if (length > BODY_LIMIT) throw new Error('too long');
    pieces.push(piece);
  }
  return JSON.parse(Buffer.concat(pieces).toString('utf8'));
}

const within = (limiter: RateLimiterMemory, who: string): Promise<boolean> =>
  limiter.consume(who).then(
    () => true,
    () => false,
  );

interface Asked {
  readonly request: IncomingMessage;
  readonly response: ServerResponse;
}

/** The way in for tablets: one session, and nothing else exists. */
class LentDoor {
  private readonly strangers = new RateLimiterMemory(A_SECOND);
  private readonly tablets = new RateLimiterMemory(A_SECOND);
  private readonly reading = new RateLimiterMemory(FILES);
  private readonly secure: boolean;
  private readonly cookie: string;
  /** What a tablet that is in may ask for, by method and path. */
  private readonly doors: Readonly<Record<string, (colour: Colour, asked: Asked) => Promise<void>>>;

  constructor(private readonly options: LentOptions) {
    const { session, page, certificate, lending, work, now } = options;
    this.secure = certificate !== null;
    // With this start a browser takes it from https alone, and for this very address.
    this.cookie = this.secure ? '__Host-tablet' : 'tablet';
    this.doors = {
      [`GET ${page}`]: (_, { response }) => this.handOn(page, response),
      [`POST /api/sessions/${session}/log`]: async (colour, { request, response }) => {
        const taken = await work.take(colour, await bodyOf(request));
        lending.hear(colour, taken.marks, now());
        say(response, taken);
      },
      'POST /judge': async (_, { request, response }) => say(response, await work.judge(await bodyOf(request))),
      // Whoever has a key already is led to the session.
      'GET /': async (_, { response }) => void response.writeHead(303, { ...SEALED, Location: page }).end(),
    };
  }

  readonly onRequest = (request: IncomingMessage, response: ServerResponse): void => {
    this.answer({ request, response }).catch(() => {
      if (response.headersSent) response.destroy();
      else nothing(response);
    });
  };

  /** True for a request that was made to this very address, by its own page where it changes anything. */
  private isOurs({ headers, method, socket }: IncomingMessage): boolean {
    const authority = `${this.options.host}:${socket.localPort ?? ''}`;
    if (headers.host?.toLowerCase() !== authority) return false;
    if (headers['transfer-encoding'] !== undefined) return false;
    if (!(Number(headers['content-length'] ?? 0) <= BODY_LIMIT)) return false;
    if (method === 'GET') return true;
    // What else there is comes from the page itself, as JSON: no form can send that.
    return (
      headers['content-type'] === 'application/json' &&
      headers.origin === `${this.secure ? 'https' : 'http'}://${authority}`
    );
  }

  private keyIn({ headers }: IncomingMessage): string | undefined {
    const start = `${this.cookie}=`;
    return headers.cookie
      ?.split(/;\s*/)
      .find((part) => part.startsWith(start))
      ?.slice(start.length);
  }

  private async answer(asked: Asked): Promise<void> {
    const { request, response } = asked;
    if (!this.isOurs(request)) return nothing(response);
    const colour = this.options.lending.tabletOf(this.keyIn(request));
    return colour ? this.inside(colour, asked) : this.outside(asked);
  }

  /** Who has no key yet can see the door and say a code. */
  private async outside({ request, response }: Asked): Promise<void> {
    const { method = '', url = '' } = request;
    if (!(await within(this.strangers, request.socket.remoteAddress ?? ''))) return nothing(response, 429);
    if (method === 'POST' && url === '/come') return this.comeIn(request, response);
    if (method !== 'GET' || url !== '/') return nothing(response);
    const headers = { 'Content-Type': 'text/html; charset=utf-8', 'Content-Security-Policy': DOOR_POLICY };
    response.writeHead(200, { ...SEALED, ...headers }).end(DOOR_PAGE);
  }

  private async inside(colour: Colour, asked: Asked): Promise<void> {
    const { method = '', url = '' } = asked.request;
    if (method === 'GET' && this.options.files.has(url))
      return (await within(this.reading, colour)) ? this.handOn(url, asked.response) : nothing(asked.response, 429);
    const door = Object.hasOwn(this.doors, `${method} ${url}`) ? this.doors[`${method} ${url}`] : undefined;
    if (!door) return nothing(asked.response);
    return (await within(this.tablets, colour)) ? door(colour, asked) : nothing(asked.response, 429);
  }

  private async comeIn(request: IncomingMessage, response: ServerResponse): Promise<void> {
    const { lending, now } = this.options;
    const body = (await bodyOf(request)) as { readonly code?: unknown } | null;
    const key = typeof body?.code === 'string' ? lending.exchange(body.code.slice(0, 100), now()) : null;
    if (key === null) return nothing(response);
    const cookie = `${this.cookie}=${key}; Path=/; HttpOnly; SameSite=Strict${this.secure ? '; Secure' : ''}`;
    response.writeHead(204, { ...SEALED, 'Set-Cookie': cookie }).end();
  }

  /** A page or a file of the framework’s, handed on; nothing of the tablet’s request goes with it. */
  private async handOn(path: string, response: ServerResponse): Promise<void> {
    const answer = await fetch(this.options.home + path, { redirect: 'manual' });
    if (answer.status !== 200) return nothing(response);
    const body = Buffer.from(await answer.arrayBuffer());
    const kept = HANDED_ON.flatMap((name) => {
      const value = answer.headers.get(name);
      return value ? [[name, value] as const] : [];
    });
    response.writeHead(200, { ...SEALED, ...Object.fromEntries(kept), 'Content-Length': body.length }).end(body);
  }
}

/** A server for tablets, not listening yet. */
export function lentServer(options: LentOptions): Server {
  const door = new LentDoor(options);
  const { certificate } = options;
  const server = certificate ? createSecure(certificate, door.onRequest) : createPlain(door.onRequest);
  server.requestTimeout = SLOW_MS;
  server.headersTimeout = SLOW_MS;
  server.maxConnections = CONNECTIONS;
  for (const turned of ['upgrade', 'connect'] as const) server.on(turned, (_, socket) => socket.destroy());
  return server;
}
