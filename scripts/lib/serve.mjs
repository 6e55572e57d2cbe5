// Serves the built application and says its address when it is really ours that answers.
import { spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import net from 'node:net';
import path from 'node:path';
import { checkDataFile, ensureBuild, ensurePackages, ROOT, say, Stop } from './prepare.mjs';

const HOST = '127.0.0.1';

const portFree = (port) =>
  new Promise((resolve) => {
    const probe = net
      .createServer()
      .once('error', () => resolve(false))
      .once('listening', () => probe.close(() => resolve(true)));
    probe.listen(port, HOST);
  });

async function answers(address, id) {
  try {
    const response = await fetch(`${address}/api/health`);
    return (await response.json()).run === id;
  } catch {
    return false;
  }
}

/**
 * @param {{ file: string, demo: boolean }} options the database file, and whether the demo fills it when empty
 */
export async function serve({ file, demo }) {
  const port = Number(process.env.PORT ?? 3000);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Stop(`PORT is "${process.env.PORT}": it should be a number from 1 to 65535.`);
  ensurePackages();
  ensureBuild();
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
  const server = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'start', '-H', HOST, '-p', String(port)], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
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
  for (let i = 0; !(await answers(address, id)); i += 1) {
    if (i > 300) {
      server.kill('SIGTERM');
      throw new Stop('The server did not answer within a minute. The lines above may say why.');
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  console.log(`\nBouncy Echo is ready: ${address}\nCtrl+C stops it; every answer is kept.\n`);
}
