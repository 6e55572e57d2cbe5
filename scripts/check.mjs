// Style, rules, types and dead code, all at once: what to run before a commit.
import { runChecks } from './lib/checks.mjs';
import { ensurePackages, main } from './lib/prepare.mjs';

await main(async () => {
  await ensurePackages();
  process.exit((await runChecks()).every(({ ok }) => ok) ? 0 : 1);
});
