/** A request that a stranger, or somebody with a tablet in hand, may send over the network. */
export interface Attack {
  readonly what: string;
  readonly method?: string;
  readonly path: string;
  readonly headers?: Readonly<Record<string, string>>;
  readonly body?: string;
  /** With the key of a tablet that is in. */
  readonly inside?: boolean;
}

interface About {
  readonly session: string;
  readonly otherSession: string;
  readonly child: string;
  readonly plan: string;
  /** An action of the framework's, by its id. */
  readonly action: string;
}

const JSON_TYPE = { 'content-type': 'application/json' };
const entriesOf = (entries: readonly object[]): string => JSON.stringify({ entries });

/** Paths of everything that the computer itself answers: screens, prints, files, routes. */
const routes = ({ child, plan, session, otherSession }: About): string[] => [
  '/today',
  '/children',
  `/children/${child}`,
  '/children/board',
  '/children/year',
  '/look-back',
  `/look-back/${session}`,
  `/lend/${session}`,
  `/plan/${plan}`,
  '/words',
  '/word/sun',
  '/sounds',
  '/settings',
  '/settings/our-data',
  `/play/${session}`,
  `/play/${otherSession}`,
  `/lent/${otherSession}`,
  `/print/home/${session}`,
  `/print/plans/${plan}`,
  '/api/everything',
  '/api/erased?since=0',
  '/api/find?q=wren',
  '/api/health',
  '/api/lending',
  `/api/children/${child}/export`,
  `/api/sessions/${session}/export?as=json`,
  '/sw.js',
  '/_next/image?url=%2Ficon.svg&w=64&q=75',
];

/** Ways round a list of paths. */
const roundabout = ({ session, child }: About): string[] => [
  `/lent/${session}/../../children/${child}`,
  `/lent/${session}/`,
  `/lent/${session}?_rsc=1`,
  `//lent/${session}`,
  `/LENT/${session}`,
  '/_next/static/../../data/bouncy-echo.sqlite',
  '/_next/static/%2e%2e/%2e%2e/package.json',
  '/pictures/..%2f..%2fpackage.json',
  '/%',
];

/** All of them, as a table: what each is, and what is sent. Every one must get nothing: no body, no other session. */
export function attacks(about: About): Attack[] {
  const { session, otherSession, action } = about;
  const log = `/api/sessions/${session}/log`;
  const mark = { kind: 'finish', id: '00000000-0000-7000-8000-000000000000', at: 0 };
  const post = (what: string, path: string, more: Partial<Attack> = {}): Attack => ({
    what,
    method: 'POST',
    path,
    headers: JSON_TYPE,
    body: entriesOf([]),
    ...more,
  });
  return [
    ...routes(about).map((path) => ({ what: 'a route of the computer’s, with a tablet’s key', path, inside: true })),
    ...roundabout(about).map((path) => ({ what: 'a way round, with a tablet’s key', path, inside: true })),
    { what: 'the session’s page without a key', path: `/lent/${session}` },
    { what: 'a file of the build without a key', path: '/icon.svg' },
    post('the log without a key', log),
    post('the log of another session', `/api/sessions/${otherSession}/log`, { inside: true }),
    post('an action on the session’s page', `/lent/${session}`, {
      inside: true,
      headers: { 'next-action': action, 'content-type': 'text/plain;charset=UTF-8' },
      body: '[]',
    }),
    post('an action on the log', log, {
      inside: true,
      headers: { 'next-action': action, 'content-type': 'text/plain;charset=UTF-8' },
      body: '[]',
    }),
    post('an action on the door', '/', { inside: true, headers: { 'next-action': action }, body: '[]' }),
    post('a page of another site: Origin', log, {
      inside: true,
      headers: { ...JSON_TYPE, origin: 'https://evil.test' },
    }),
    post('no Origin', log, { inside: true, headers: { ...JSON_TYPE, origin: '' } }),
    post('Origin null', log, { inside: true, headers: { ...JSON_TYPE, origin: 'null' } }),
    {
      what: 'another Host (a name made to point here)',
      path: `/lent/${session}`,
      inside: true,
      headers: { host: 'evil.test' },
    },
    { what: 'the loopback’s Host', path: `/lent/${session}`, inside: true, headers: { host: '127.0.0.1:3000' } },
    {
      what: 'an upgrade to a web socket',
      path: '/',
      inside: true,
      headers: { connection: 'Upgrade', upgrade: 'websocket' },
    },
    { what: 'TRACE', method: 'TRACE', path: '/', inside: true },
    { what: 'PUT', method: 'PUT', path: log, inside: true, headers: JSON_TYPE, body: '{}' },
    { what: 'DELETE', method: 'DELETE', path: `/lent/${session}`, inside: true },
    { what: 'OPTIONS', method: 'OPTIONS', path: log, inside: true },
    post('a body of a megabyte', log, { inside: true, body: 'x'.repeat(1_000_000) }),
    post('a body that is no JSON', log, { inside: true, body: '{' }),
    post('a code that was used', '/come', { body: JSON.stringify({ code: 'USED' }) }),
    post('a code that is none', '/come', { body: JSON.stringify({ code: 'ABD EFG HJK LMN' }) }),
    post('a code that is a list', '/come', { body: JSON.stringify({ code: [1] }) }),
    post('a code of a thousand letters', '/come', { body: JSON.stringify({ code: 'A'.repeat(1_000) }) }),
    post('a key that is made up', log, { headers: { ...JSON_TYPE, cookie: `__Host-tablet=${'A'.repeat(43)}` } }),
    post('finishing without a key', log, { body: entriesOf([mark]) }),
  ];
}
