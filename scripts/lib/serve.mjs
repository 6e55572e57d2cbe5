// Serves the built application and says its address when it is really ours that answers.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import net from 'node:net';
import path from 'node:path';
import { SERVER } from './front.mjs';
import { checkDataFile, ensureAll, ROOT, say, Stop } from './prepare.mjs';

const HOST = '127.0.0.1';

const portFree = (port) =>
  new Promise((resolve) => {
    const probe = net
      .createServer()
      .once('error', () => resolve(false))
      .once('listening', () => probe.close(() => resolve(true)));
    probe.listen(port, HOST);
  });

/** What our server says of itself; null where it does not answer yet, or another one does. */
async function answerOf(address, id) {
  try {
    const health = await (await fetch(`${address}/api/health`)).json();
    return health.run === id ? health : null;
  } catch {
    return null;
  }
}

/**
 * @param {{ file: string, demo: boolean }} options the database file, and whether the demo fills it when empty
 */
export async function serve({ file, demo }) {
  const port = Number(process.env.PORT ?? 3000);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT is "${process.env.PORT}": it should be a number from 1 to 65535.`);
  await ensureAll({ all: false });
  const full = path.resolve(ROOT, file);
  checkDataFile(full);
  if (!(await portFree(port))) {
    throw new Stop(
      `Port ${port} is taken by another program. Close it, or choose another port: PORT=${port + 1} npm ` +
        `${demo ? 'run demo' : 'start'}`,
    );
  }
  say(demo ? `Demo data in ${full}` : `Data in ${full}`);
  const id = randomUUID();
  const server = spawn(process.execPath, [SERVER], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      PORT: String(port),
      NEXT_TELEMETRY_DISABLED: '1',
      BOUNCY_ECHO_DB: full,
      BOUNCY_ECHO_RUN: id,
      BOUNCY_ECHO_DEMO: demo ? '1' : '0',
    },
  });
  server.stdout.resume();
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
  const address = `http://${HOST}:${port}`;
  let health = null;
  for (let i = 0; (health = await answerOf(address, id)) === null; i += 1) {
    if (i > 300) {
      server.kill('SIGTERM');
      throw new Stop('The server did not answer within a minute. The lines above may say why.');
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  if (health.problem) {
    server.removeAllListeners('exit');
    server.kill('SIGTERM');
    throw new Stop(health.problem);
  }
  console.log(`\nBouncy Echo is ready: ${address}\nCtrl+C stops it; every answer is kept.\n`);
}
