// What is checked without running anything: how it is written, its types, and what nobody uses.

import { spawn } from 'node:child_process';
import { ROOT, say } from './prepare.mjs';

/** Each check: its name, the script of its package, and its arguments. What it learned is kept under node_modules. */
const CHECKS = [
  {
    name: 'Style',
    script: 'node_modules/prettier/bin/prettier.cjs',
    args: ['--check', '.', '--log-level', 'warn', '--cache'],
  },
  {
    name: 'Rules, limits and the arrows between rooms',
    script: 'node_modules/eslint/bin/eslint.js',
    args: ['.', '--max-warnings', '0', '--cache', '--cache-location', 'node_modules/.cache/eslint/'],
  },
  {
    // Without what the development server last wrote of its pages: it may be of one that is gone.
    name: 'Types',
    script: 'node_modules/typescript/bin/tsc',
    args: ['--noEmit', '-p', 'tsconfig.check.json', '--tsBuildInfoFile', 'node_modules/.cache/types.tsbuildinfo'],
  },
  {
    name: 'Dead code',
    script: 'node_modules/knip/bin/knip.js',
    args: ['--no-progress', '--cache', '--cache-location', 'node_modules/.cache/knip'],
  },
];

/** Runs a check beside the others; what it says is shown only where it fails. */
const run = ({ name, script, args }) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, [script, ...args], { cwd: ROOT });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (said += part));
    child.on('exit', (code) => {
      say(`${name}: ${code === 0 ? 'fine' : 'not yet'}`);
      if (code !== 0) console.log(said);
      resolve({ name, ok: code === 0 });
    });
  });

/** Runs every check, so many at once; each with whether it went well. */
export async function runChecks(atOnce = CHECKS.length) {
  const left = [...CHECKS];
  const went = [];
  const next = async () => {
    for (let check = left.shift(); check; check = left.shift()) went.push(await run(check));
  };
  await Promise.all(Array.from({ length: atOnce }, next));
  return went;
}
