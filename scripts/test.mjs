// Everything a change must pass, from a checkout with nothing installed. Ends with "N passed, N failed".
import { runChecks } from './lib/checks.mjs';
import { ensureBuild, main, packagesThenDriver, say } from './lib/prepare.mjs';
import { close, count, ensureBrowser, nothing, runProject } from './lib/tests.mjs';

await main(async () => {
  const { driver } = await packagesThenDriver();
  ensureBrowser();
  const sum = nothing();
  await Promise.all([ensureBuild(), driver]);
  // What a browser test does is mostly to wait: everything else goes on meanwhile, one thing at a time.
  const env = { BESIDE: '1' };
  const others = async () => {
    for (const check of await runChecks(1)) count(sum, check);
    await runProject(sum, 'unit', [], env);
  };
  say('Browser tests; beside them style, rules, types and dead code, then unit tests …');
  await Promise.all([runProject(sum, 'browser', [], env), others()]);
  process.exit(close(sum));
});
