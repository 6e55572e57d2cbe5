// Everything a change must pass, from a checkout with nothing installed. Ends with "N passed, N failed".
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { ensureBuild, ensurePackages, main, ROOT, say, Stop } from './lib/prepare.mjs';

const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';

function ensureBrowser() {
  if (existsSync(CHROMIUM)) return;
  say('Installing Chromium from Debian’s packages …');
  const apt = (...args) =>
    spawnSync('apt-get', args, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status === 0;
  if (!(apt('update') && apt('install', '-y', '--no-install-recommends', 'chromium')) || !existsSync(CHROMIUM)) {
    throw new Stop(
      'The browser tests need Chromium. Install it (apt-get install chromium), or name one: ' +
        'CHROMIUM=/path/to/chromium npm test',
    );
  }
}

const node = (script, ...args) =>
  spawnSync(process.execPath, [script, ...args], { cwd: ROOT, stdio: 'inherit' }).status === 0;

let passed = 0;
let failed = 0;
const count = (ok) => (ok ? (passed += 1) : (failed += 1));

function vitest(project) {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-report-'));
  const report = path.join(folder, 'report.json');
  const ok = node(
    'node_modules/vitest/vitest.mjs',
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${report}`,
  );
  const result = existsSync(report)
    ? JSON.parse(readFileSync(report, 'utf8'))
    : { numPassedTests: 0, numFailedTests: 0 };
  passed += result.numPassedTests;
  failed += result.numFailedTests;
  // A file that could not be loaded, or an error outside a test, is a failure too.
  if (!ok && result.numFailedTests === 0) failed += 1;
  rmSync(folder, { recursive: true, force: true });
}

await main(async () => {
  ensurePackages();
  ensureBrowser();
  say('Checking style and the arrows between rooms …');
  count(node('node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'));
  ensureBuild();
  say('Checking types …');
  count(node('node_modules/typescript/bin/tsc', '--noEmit', '-p', '.'));
  say('Unit tests …');
  vitest('unit');
  say('Browser tests …');
  vitest('browser');
  console.log(`\n${passed} passed, ${failed} failed`);
  process.exit(failed ? 1 : 0);
});
