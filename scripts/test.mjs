// Everything a change must pass, from a checkout with nothing installed. Ends with "N passed, N failed".
import { checks } from './lib/checks.mjs';
import { ensureBuild, ensurePackages, main, say } from './lib/prepare.mjs';
import { close, count, ensureBrowser, node, nothing, runProject } from './lib/tests.mjs';

await main(async () => {
  ensurePackages();
  ensureBrowser();
  const sum = nothing();
  ensureBuild();
  for (const { name, script, args } of checks()) {
    say(`${name} …`);
    count(sum, node(script, args));
  }
  say('Unit tests …');
  runProject(sum, 'unit');
  say('Browser tests …');
  runProject(sum, 'browser');
  process.exit(close(sum));
});
