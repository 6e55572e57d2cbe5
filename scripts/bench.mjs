// Speed as a table: figures to look at, not tests that can fail.
import { spawnSync } from 'node:child_process';
import { ensureAll, main, ROOT, say } from './lib/prepare.mjs';

await main(async () => {
  await ensureAll();
  say('Measuring (about two minutes; the browser rows need Chromium) …');
  const { status } = spawnSync(
    process.execPath,
    [
      'node_modules/vitest/vitest.mjs',
      'run',
      '--project',
      'bench',
      '--reporter=default',
      '--disable-console-intercept',
    ],
    { cwd: ROOT, stdio: 'inherit' },
  );
  process.exit(status ?? 1);
});
