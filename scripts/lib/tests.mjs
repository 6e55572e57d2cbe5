// Runs the projects of the test runner and counts what came of them.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { getChromium } from './browser.mjs';
import { ROOT, say, Stop } from './prepare.mjs';

export function ensureBrowser() {
  if (!getChromium(say))
    throw new Stop(
      'The browser tests need Chromium. Install it (apt-get install chromium-headless-shell), or name one:\n' +
        'CHROMIUM=/path/to/chromium npm test',
    );
}

/** So many lines of what went wrong are said again at the end, where nobody has to look for them. */
const WHY_LINES = 12;

const whyOf = (message = '') =>
  message
    .split('\n')
    .filter((line) => !line.includes('node_modules'))
    .slice(0, WHY_LINES);

/** Runs a script with Node.js; true where it went well. */
const node = (script, args = [], env = {}) =>
  new Promise((resolve, reject) => {
    const all = { ...process.env, ...env };
    const child = spawn(process.execPath, [script, ...args], { cwd: ROOT, stdio: 'inherit', env: all });
    child.on('error', reject);
    child.on('exit', (code) => resolve(code === 0));
  });

/** What came of some checks: how many passed, failed and were skipped, each test, and what failed that is no test. */
export const nothing = () => ({ passed: 0, failed: 0, skipped: 0, tests: [], others: [] });

/** Counts a check that is no test of the runner: style, types. */
export function count(sum, { name, ok }) {
  if (ok) sum.passed += 1;
  else fail(sum, name);
}

/** One failure that no test of a file stands for: it is named at the end like those. */
function fail(sum, what) {
  sum.failed += 1;
  sum.others.push(what);
}

/**
 * Runs one project (`unit`, `browser`), all of it or the files whose path has one of `filters` in it; adds to `sum`.
 * A file that could not be loaded, and an error outside a test, count as a failure.
 */
export async function runProject(sum, project, filters = [], env = {}) {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-report-'));
  const report = path.join(folder, 'report.json');
  const ok = await node(
    'node_modules/vitest/vitest.mjs',
    [
      'run',
      '--project',
      // `unit` has two parts: the core, whose files share what they work out, and the rest.
      `${project}*`,
      '--reporter=default',
      '--reporter=json',
      '--passWithNoTests',
      `--outputFile.json=${report}`,
      ...filters,
    ],
    env,
  );
  const result = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : { testResults: [] };
  rmSync(folder, { recursive: true, force: true });
  const tests = result.testResults.flatMap((file) =>
    file.assertionResults.map((test) => ({
      file: path.relative(ROOT, file.name),
      name: test.fullName,
      status: test.status,
      ms: test.duration ?? 0,
      why: whyOf(test.failureMessages?.[0]),
    })),
  );
  const of = (...statuses) => tests.filter((test) => statuses.includes(test.status)).length;
  sum.passed += of('passed');
  sum.failed += of('failed');
  sum.skipped += of('skipped', 'pending', 'todo', 'disabled');
  sum.tests.push(...tests);
  // A whole project without a test is a fault of its own.
  if (!filters.length && !tests.length) fail(sum, `${project}: no test ran`);
  if (!ok && of('failed') === 0) fail(sum, `${project}: a file could not be loaded, or an error came outside a test`);
}

/** The ten slowest files, each with its seconds. */
function slowestFiles(tests) {
  const files = new Map();
  for (const { file, ms } of tests) files.set(file, (files.get(file) ?? 0) + ms);
  return [...files].sort(([, a], [, b]) => b - a).slice(0, 10);
}

/** Says again which tests failed and why: a run prints thousands of lines, and its end is what is kept. */
function sayFailed({ tests, others }) {
  for (const { file, name, status, why } of tests) {
    if (status !== 'failed') continue;
    console.log(`\nFailed: ${file} > ${name}`);
    for (const line of why) console.log(`  ${line.slice(0, 300)}`);
  }
  for (const what of others) console.log(`\nFailed: ${what}`);
}

/** Prints the ten slowest files, what was skipped, which failed, and the closing line; the exit code to end with. */
export function close(sum) {
  const slowest = slowestFiles(sum.tests);
  if (slowest.length) console.log('\nThe slowest files:');
  for (const [file, ms] of slowest) console.log(`${(ms / 1000).toFixed(1).padStart(7)} s  ${file}`);
  if (sum.skipped && process.env.ALLOW_SKIP !== '1') {
    console.log(`\n${sum.skipped} skipped: nothing may be left out in silence (ALLOW_SKIP=1 lets it pass).`);
    for (const test of sum.tests)
      if (test.status !== 'passed' && test.status !== 'failed') console.log(`  ${test.name}`);
    fail(sum, 'tests were skipped');
  }
  if (!sum.tests.length) {
    fail(sum, 'no test matches');
  }
  sayFailed(sum);
  console.log(`\n${sum.passed} passed, ${sum.failed} failed`);
  return sum.failed ? 1 : 0;
}
