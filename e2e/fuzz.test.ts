import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { seeded } from '../src/core/random';
import { sure } from '../src/core/sure';
import { answered } from '../src/core/testing/answers';
import { times } from '../src/core/testing/deep';
import { withPlain } from '../src/file/plain';
import { openApp, type App } from './support/app';
import { strange, type Strange } from './support/strange';

/** Inputs, and the seed they come from: a failure names both. */
const INPUTS = times(3_000, 150);
const SEED = Number(process.env.SEED ?? 35);
/** Nothing we answer takes as long as this on a machine that is busy with something else. */
const HANG_MS = 15_000;

/** What the framework sends with an action: its own way of writing arguments down. */
const { encodeReply } = createRequire(import.meta.url)(
  'next/dist/compiled/react-server-dom-turbopack/client.node.js',
) as { encodeReply: (value: unknown) => Promise<string | FormData> };

interface Action {
  readonly id: string;
  readonly name: string;
  /** A page that has it. */
  readonly page: string;
}

let app: App;
const ids: string[] = [];
let sessions: { readonly id: string; readonly child: string }[] = [];
const actions: Action[] = [];

/** Tables that follow from others, and are worked out in the background. */
const DERIVED = [
  ...['readings', 'evidence', 'heard_sounds', 'pebble_checks', 'local_steps', 'kept_advice'],
  ...['erased', 'sqlite_sequence'],
];

/** Every row of the file, as one short text: two that are alike have the same rows. */
const digest = (): Promise<string> =>
  withPlain(app.file, 'read', async (db) => {
    const hash = createHash('sha256');
    const tables = await db.all<{ name: string }>(`SELECT name FROM sqlite_schema WHERE type = 'table' ORDER BY name`);
    for (const { name } of tables) {
      if (DERIVED.includes(name)) continue;
      const rows = await db.all<Record<string, unknown>>(`SELECT * FROM "${name}" ORDER BY 1`);
      for (const { stale, ...row } of rows) hash.update(JSON.stringify(row)).update(stale === undefined ? '' : 's');
    }
    return hash.digest('hex');
  });

beforeAll(async () => {
  app = await openApp({ demo: true });
  await withPlain(app.file, 'read', async (db) => {
    for (const table of ['groups', 'children', 'sessions', 'plans', 'word_sets', 'answers'])
      ids.push(...(await db.all<{ id: string }>(`SELECT id FROM ${table} LIMIT 12`)).map((r) => r.id));
    sessions = await db.all(
      `SELECT session_id AS id, child_id AS child FROM session_children GROUP BY session_id LIMIT 12`,
    );
  });
  const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
    node: Record<string, { exportedName: string; workers: Record<string, unknown> }>;
  };
  for (const [id, { exportedName: name, workers }] of Object.entries(manifest.node)) {
    const at = sure(Object.keys(workers).sort((a, b) => Number(a.includes('[')) - Number(b.includes('[')))[0]);
    const plain = at
      .replace(/^app/, '')
      .replace(/\/\([^)]*\)/g, '')
      .replace(/\/page$/, '');
    const page = plain.replace('/play/[id]', `/play/${sure(sessions[0]).id}`).replace(/\[[^\]]+\]/g, sure(ids[0]));
    actions.push({ id, name, page: page || '/' });
  }
});
afterAll(() => app?.stop());

interface Answered {
  readonly what: string;
  readonly status: number;
  readonly refused: boolean;
  readonly text: string;
}

/** What an action gave back, in the lines that the framework sends of it and of the page; else all that was sent. */
function answerIn(text: string): string {
  const row = /"a":"\$@(\w+)"/.exec(text)?.[1];
  return row === undefined ? text : (new RegExp(`^${row}:.*$`, 'm').exec(text)?.[0] ?? '');
}

async function send(what: string, where: string, init: RequestInit): Promise<Answered> {
  const signal = AbortSignal.timeout(HANG_MS);
  const response = await fetch(app.url + where, { redirect: 'manual', signal, ...init });
  const text = await response.text();
  const { status } = response;
  return { what, status, text, refused: status >= 400 || /"error":"|"ok":false|"refused":\[\{/.test(answerIn(text)) };
}

const READS = [
  '/api/children/ID/export',
  '/api/sessions/ID/export',
  '/api/sessions/ID/home',
  '/api/plans/ID/export',
  '/api/plans/ID/calendar',
  '/api/sets/ID/export',
  '/api/groups/ID/half-term',
  '/api/erased',
  '/api/find',
  '/children/ID',
  '/look-back/ID',
  '/look-back/paper/ID',
  '/plan/ID',
  '/plan',
  '/play/ID',
  '/word/ID',
  '/sounds/ID',
  '/words',
  '/words/new',
  '/print/plans/ID',
  '/print/children/ID',
  '/print/sets/ID',
  '/print/home/ID',
] as const;
const ASKED = ['as', 'format', 'since', 'q', 'words', 'no', 'sounds', 'seed', 'task', 'more', 'set', 'word', 'group'];

const escaped = (text: string): string => encodeURIComponent(Buffer.from(text).toString());

function read(make: Strange): Promise<Answered> {
  const where = make.one(READS).replace('ID', escaped(String(make.id())) || 'x');
  const asked = Array.from({ length: 2 }, () => `${make.one(ASKED)}=${escaped(make.text())}`).join('&');
  return send(`GET ${where}?${asked}`, `${where}?${asked}`, {});
}

/** A log as a device sends it, with one thing wrong, or nothing. */
function log(make: Strange): Promise<Answered> {
  const { id, child } = make.one(sessions);
  const fine: Record<string, unknown> = { ...answered(0, child, 'sun'), id: v7(), at: Date.now() };
  const spoilt = { ...fine, [make.one([...Object.keys(fine), 'second', 'more'])]: make.value() };
  const body = make.one<unknown>([
    { entries: [fine] },
    { entries: [spoilt] },
    { entries: [spoilt, fine], has: make.value() },
    { entries: make.value() },
    make.value(),
  ]);
  const where = `/api/sessions/${make.one([id, id, escaped(String(make.id())) || 'x'])}/log`;
  const text = make.one([JSON.stringify(body), JSON.stringify(body), make.text()]) ?? '';
  return send(`POST ${where} ${text.slice(0, 300)}`, where, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: app.url },
    body: text,
  });
}

const FIELDS = ['name', 'names', 'groupId', 'session', 'number', 'plan', 'task', 'words', 'model', 'accent', 'minutes'];

/** An action, its arguments written down as the framework does. */
async function act(make: Strange): Promise<Answered> {
  const action = make.one(actions);
  const args = Array.from({ length: 1 + Math.floor(4 * Number(make.one([0.1, 0.3, 0.6, 0.9]))) }, () => make.value());
  const withForm = [{}, make.form(FIELDS)];
  const body = await encodeReply(make.one([args, args, withForm]));
  return send(`${action.name} ${typeof body === 'string' ? body.slice(0, 300) : 'a form'}`, action.page, {
    method: 'POST',
    headers: { origin: app.url, 'next-action': action.id, accept: 'text/x-component' },
    body,
  });
}

test(`${INPUTS} strange inputs: no fault of ours, no wait without end, no row changed by what is refused`, async () => {
  const make = strange(seeded(SEED), ids);
  const wrong: string[] = [];
  let before = await digest();
  const seen = { refused: 0, taken: 0 };
  for (let n = 0; n < INPUTS; n += 1) {
    const kind = make.one([read, log, act, act]);
    const got = await kind(make).catch((error: unknown) => ({
      what: `${kind.name}: ${String(error)}`,
      status: 599,
      refused: true,
      text: '',
    }));
    if (got.status >= 500) wrong.push(`${n}: ${got.status} ${got.what}`);
    // The words of the schema library are for programmers.
    if (/Invalid (input|option|UUID)|Too (big|small)|expected (string|number)/.test(got.text))
      wrong.push(`${n}: programmers’ words: ${got.what}`);
    seen[got.refused ? 'refused' : 'taken'] += 1;
    if (kind === read && !got.refused) continue;
    const after = await digest();
    if (got.refused && after !== before && !got.text.includes('"refused":[{'))
      wrong.push(`${n}: changed rows: ${got.what}`);
    before = after;
  }
  console.log(`seed ${SEED}: ${seen.refused} refused, ${seen.taken} taken, ${actions.length} actions known`);
  expect(wrong).toEqual([]);
  expect(actions.length).toBeGreaterThan(40);
  expect(seen.refused).toBeGreaterThan(INPUTS / 3);
}, 1_200_000);
