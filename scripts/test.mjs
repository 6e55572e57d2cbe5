// Everything a change must pass, from a checkout with nothing installed. Ends with "N passed, N failed".
import { runChecks } from './lib/checks.mjs';
import { ensureBuild, main, packagesThenDriver, say } from './lib/prepare.mjs';
import { close, count, ensureBrowser, nothing, runProject } from './lib/tests.mjs';

await main(async () => {
  const { driver } = await packagesThenDriver();
  ensureBrowser();
  const sum = nothing();
  say('Style, rules, types and dead code, beside the build …');
  const [checks] = await Promise.all([runChecks(), ensureBuild(), driver]);
  for (const ok of checks) count(sum, ok);
  // What a browser test does is mostly to wait: the others go on meanwhile.
  say('Unit and browser tests, side by side …');
  const env = { BESIDE: '1' };
  await Promise.all([runProject(sum, 'browser', [], env), runProject(sum, 'unit', [], env)]);
  process.exit(close(sum));
});
