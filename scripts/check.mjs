// Style, rules, types and dead code, all at once: what to run before a commit.
import { spawn } from 'node:child_process';
import { checks } from './lib/checks.mjs';
import { ensurePackages, main, ROOT, say } from './lib/prepare.mjs';

/** Runs a check beside the others; what it says is shown only where it fails. */
const run = ({ name, script, args }) =>
  new Promise((resolve) => {
    const child = spawn(process.execPath, [script, ...args], { cwd: ROOT });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (part) => (said += part));
    child.on('exit', (code) => {
      say(`${name}: ${code === 0 ? 'fine' : 'not yet'}`);
      if (code !== 0) console.log(said);
      resolve(code === 0);
    });
  });

await main(async () => {
  ensurePackages();
  const results = await Promise.all(checks().map(run));
  process.exit(results.every(Boolean) ? 0 : 1);
});
