// The development server: demo data of its own, and what is changed is seen at once.
import { spawn } from 'node:child_process';
import path from 'node:path';
import { checkDataFile, ensurePackages, main, ROOT, say } from './lib/prepare.mjs';

await main(async () => {
  await ensurePackages();
  const file = path.join(ROOT, 'data', 'dev.sqlite');
  checkDataFile(file);
  say(`Demo data in ${file}; delete it to begin anew.`);
  const port = process.env.PORT ?? '3001';
  const args = ['node_modules/next/dist/bin/next', 'dev', '-H', '127.0.0.1', '-p', port];
  const server = spawn(process.execPath, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', BOUNCY_ECHO_DB: file, BOUNCY_ECHO_DEMO: '1' },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
});
