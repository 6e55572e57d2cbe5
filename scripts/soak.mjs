// Rounds of faults between two devices and the server, until all marks are where they must be: npm run soak
// 250 rounds (SOAK_ROUNDS), from seed 1 (SOAK_SEED); broken off, it goes on where it was.
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { ensureBuild, ensurePackages, main, ROOT } from './lib/prepare.mjs';
import { close, ensureBrowser, nothing, runProject } from './lib/tests.mjs';

await main(async () => {
  await ensurePackages();
  ensureBrowser();
  await ensureBuild();
  mkdirSync(path.join(ROOT, 'data'), { recursive: true });
  const sum = nothing();
  await runProject(sum, 'browser', ['e2e/soak.test.ts', '--disable-console-intercept'], {
    SOAK_ROUNDS: process.env.SOAK_ROUNDS ?? '250',
    SOAK_DONE: process.env.SOAK_SEED ? '' : path.join(ROOT, 'data', 'soak-done.txt'),
  });
  process.exit(close(sum));
});
