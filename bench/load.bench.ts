import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { test } from 'vitest';
import { v7 } from 'uuid';
import type { AnswerEntry } from '../src/core/sessions/log';
import { sure } from '../src/core/sure';
import { SERVER } from '../scripts/lib/front.mjs';
import { answered } from '../src/core/testing/answers';
import { addChildren, addGroup, listGroups } from '../src/server/people/groups';
import { appendLog } from '../src/server/record/append-log';
import { caughtUp } from '../src/server/record/rebuild-queue';
import { startWords } from '../src/server/sessions/start-session';
import { database } from '../src/server/storage/database';
import { tableOf } from './table';

/** Adults who play at once, children of each, and how often each marks, in milliseconds. */
const ADULTS = 10;
const CHILDREN = 30;
const EVERY_MS = 2_000;
const SECONDS = Number(process.env.SECONDS ?? 60);
/** The checkouts whose builds are measured, one after the other: this one, and others named with commas. */
const BUILDS = [process.cwd(), ...(process.env.BESIDE ?? '').split(',').filter(Boolean)];
const WORDS = ['sun', 'map', 'leg', 'fish', 'net'];
const PORT = 3977;
const ADDRESS = `http://127.0.0.1:${PORT}`;

interface Playing {
  readonly session: string;
  readonly children: readonly string[];
  answers: number;
}

const answerOf = ({ children, answers }: Playing, at: number): AnswerEntry => ({
  ...answered(answers, sure(children[answers % children.length]), sure(WORDS[answers % WORDS.length])),
  id: v7({ msecs: at }),
  at,
});

/** A file with a session for each adult, each with so many answers. */
async function prepared(file: string, answers: number): Promise<Playing[]> {
  process.env.BOUNCY_ECHO_DB = file;
  delete (globalThis as { bouncyEcho?: unknown }).bouncyEcho;
  const all: Playing[] = [];
  for (let adult = 0; adult < ADULTS; adult += 1) {
    const group = await addGroup(`Bed ${adult}`);
    const names = Array.from({ length: CHILDREN }, (_, i) => `Child ${String.fromCharCode(65 + (i % 26))}${i}`);
    await addChildren(group.id, names.join('\n'));
    const children = sure((await listGroups()).find((g) => g.id === group.id)).children.map((c) => c.id);
    const session = await startWords({ groupId: group.id, task: 'blending', words: WORDS, model: 'hat' });
    const one: Playing = { session, children, answers: 0 };
    const start = Date.now() - answers * 1_000;
    const log: AnswerEntry[] = [];
    while (one.answers < answers) {
      log.push(answerOf(one, start + one.answers * 1_000));
      one.answers += 1;
    }
    for (let from = 0; from < log.length; from += 200) await appendLog(session, log.slice(from, from + 200));
    all.push(one);
  }
  await caughtUp();
  await (await database()).close();
  return all;
}

/** Starts the built server of a checkout, whichever way it starts. */
async function served(cwd: string, file: string): Promise<ChildProcess> {
  const args = existsSync(path.join(cwd, SERVER))
    ? [SERVER]
    : ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(PORT)];
  const run = randomUUID();
  const env = { NODE_ENV: 'production', PORT: String(PORT), BOUNCY_ECHO_DB: file, BOUNCY_ECHO_RUN: run } as const;
  const child = spawn(process.execPath, args, {
    cwd,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, ...env },
  });
  for (;;) {
    const health = await fetch(`${ADDRESS}/api/health`).then(
      (r) => r.json() as Promise<{ run: string }>,
      () => null,
    );
    if (health?.run === run) return child;
    await pause(100);
  }
}

/** Seconds of processor a process has used. */
const cpuOf = (pid: number): number => {
  const fields = sure(readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]).split(' ');
  return (Number(fields[11]) + Number(fields[12])) / 100;
};

const at = (all: readonly number[], share: number): number =>
  [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(share * all.length))] ?? 0;

async function post(session: string, entries: readonly AnswerEntry[], has: number): Promise<number> {
  const start = performance.now();
  const response = await fetch(`${ADDRESS}/api/sessions/${session}/log`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: ADDRESS },
    body: JSON.stringify({ entries, has }),
  });
  const { refused } = (await response.json()) as { refused: unknown[] };
  if (!response.ok || refused.length) throw new Error(`not kept: ${response.status}`);
  return performance.now() - start;
}

/** Plays for so long; every answer’s milliseconds, and the longest that a bare request had to wait. */
async function play(all: readonly Playing[], seconds: number): Promise<{ took: number[]; blocked: number[] }> {
  const until = Date.now() + seconds * 1_000;
  const took: number[] = [];
  const blocked: number[] = [];
  const adult = async (one: Playing, place: number): Promise<void> => {
    await pause((place * EVERY_MS) / ADULTS);
    while (Date.now() < until) {
      const next = Date.now() + EVERY_MS;
      took.push(await post(one.session, [answerOf(one, Date.now())], one.answers));
      one.answers += 1;
      await pause(Math.max(0, next - Date.now()));
    }
  };
  const probe = async (): Promise<void> => {
    while (Date.now() < until) {
      const start = performance.now();
      await (await fetch(`${ADDRESS}/api/health`)).text();
      blocked.push(performance.now() - start);
      await pause(20);
    }
  };
  await Promise.all([...all.map(adult), probe()]);
  return { took, blocked };
}

test('ten adults with thirty children each, an answer every two seconds: few answers and many', async () => {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-load-'));
  const lines: string[][] = [];
  for (const build of BUILDS) {
    for (const answers of [30, 900]) {
      const file = path.join(folder, `${lines.length}.sqlite`);
      const all = await prepared(file, answers);
      const server = await served(build, file);
      await play(all, 5);
      // Until what was marked is read anew, and nothing is left to do.
      await pause(9_000);
      const idle = await idleCost(sure(server.pid));
      const start = cpuOf(sure(server.pid));
      const { took, blocked } = await play(all, SECONDS);
      const cpu = (cpuOf(sure(server.pid)) - start - idle * SECONDS) / took.length;
      lines.push([
        path.relative(process.cwd(), build) || 'this one',
        String(answers),
        String(took.length),
        at(took, 0.5).toFixed(1),
        at(took, 0.95).toFixed(1),
        at(took, 1).toFixed(0),
        at(blocked, 1).toFixed(0),
        (cpu * 1_000).toFixed(1),
      ]);
      server.kill('SIGKILL');
      await once(server, 'exit');
    }
  }
  rmSync(folder, { recursive: true, force: true });
  const head = [
    'build',
    'answers before',
    'appended',
    'p50 ms',
    'p95 ms',
    'most ms',
    'loop held, most ms',
    'CPU ms each',
  ];
  console.log(`\nLoad, ${SECONDS} s\n${tableOf(head, lines)}`);
}, 3_600_000);

/** Seconds of processor that the probe alone costs, a second. */
async function idleCost(pid: number): Promise<number> {
  const start = cpuOf(pid);
  await play([], 3);
  return (cpuOf(pid) - start) / 3;
}
