import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { SERVER } from '../../scripts/lib/front.mjs';

export interface App {
  readonly url: string;
  readonly file: string;
  /** SIGKILL: the process gets no chance to tidy up. */
  kill(): Promise<void>;
  /** Tells the server to end, as Ctrl+C does, and waits until it has. */
  end(signal: 'SIGINT' | 'SIGTERM'): Promise<void>;
  start(): Promise<void>;
  stop(): Promise<void>;
}

const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = net.createServer().once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as net.AddressInfo;
      probe.close(() => resolve(port));
    });
  });

const gone = (child: ChildProcess): Promise<void> =>
  child.exitCode !== null || child.signalCode !== null
    ? Promise.resolve()
    : new Promise((resolve) => child.once('exit', () => resolve()));

/** Where the file of a demo that was made before the tests is. */
export const DEMO_MADE = 'BOUNCY_ECHO_DEMO_MADE';

interface Served {
  readonly demo?: boolean;
  readonly file?: string;
  /** The checkout whose build is served, where it is not this one. */
  readonly cwd?: string;
  /** False where nobody waits for its first answer. */
  readonly wait?: boolean;
}

/** The production build, served on a free port with a real SQLite file of its own. */
export async function openApp({ demo = false, file, cwd = process.cwd(), wait = true }: Served = {}): Promise<App> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-e2e-'));
  const database = file ?? path.join(folder, 'e2e.sqlite');
  // The demo was made once for all files of the run: each has a copy.
  const made = process.env[DEMO_MADE];
  if (demo && !file && made) copyFileSync(made, database);
  const port = await freePort();
  const url = `http://127.0.0.1:${port}`;
  let child: ChildProcess | undefined;
  const end = async (signal: NodeJS.Signals): Promise<void> => {
    if (!child) return;
    child.kill(signal);
    await gone(child);
    child = undefined;
  };
  const start = async (): Promise<void> => {
    const run = randomUUID();
    child = spawn(process.execPath, [SERVER], {
      cwd,
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        NODE_ENV: 'production',
        PORT: String(port),
        NEXT_TELEMETRY_DISABLED: '1',
        BOUNCY_ECHO_DB: database,
        BOUNCY_ECHO_RUN: run,
        BOUNCY_ECHO_DEMO: demo ? '1' : '0',
      },
    });
    for (let i = 0; wait && i < 1_200; i += 1) {
      const answer = await fetch(`${url}/api/health`).then(
        (r) => r.json() as Promise<{ run: string }>,
        () => null,
      );
      if (answer?.run === run) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    if (wait) throw new Error('the server did not answer');
  };
  await start();
  return {
    url,
    file: database,
    start,
    kill: () => end('SIGKILL'),
    end,
    stop: async () => {
      await end('SIGTERM');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
