// Everything a change must pass, from a checkout with nothing installed. Ends with "N passed, N failed".
import { runChecks } from './lib/checks.mjs';
import { ensureBuild, ensurePackages, main, say } from './lib/prepare.mjs';
import { close, count, ensureBrowser, nothing, runProject } from './lib/tests.mjs';

await main(async () => {
  await ensurePackages();
  ensureBrowser();
  const sum = nothing();
  await ensureBuild();
  say('Style, rules, types and dead code …');
  for (const ok of await runChecks()) count(sum, ok);
  say('Unit tests …');
  runProject(sum, 'unit');
  say('Browser tests …');
  runProject(sum, 'browser');
  process.exit(close(sum));
});
