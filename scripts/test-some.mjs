// One project, all of it or the files that match: npm run test:unit -- src/core/games, npm run test:browser -- guard
import { ensureBuild, ensurePackages, main, Stop } from './lib/prepare.mjs';
import { close, ensureBrowser, nothing, runProject } from './lib/tests.mjs';

const [what, ...filters] = process.argv.slice(2);

const nothingMore = () => undefined;
const browserAndBuild = async () => {
  ensureBrowser();
  await ensureBuild();
};

/** What each runs, asks for before it runs, and with what surroundings. */
const KINDS = {
  unit: { projects: ['unit'], ready: nothingMore, env: {} },
  browser: { projects: ['browser'], ready: browserAndBuild, env: {} },
  deep: { projects: ['unit', 'browser'], ready: browserAndBuild, env: { DEEP: '1' } },
};

await main(async () => {
  if (!Object.hasOwn(KINDS, what)) throw new Stop(`There are no "${what}" tests: choose unit, deep or browser.`);
  await ensurePackages();
  const { projects, ready, env } = KINDS[what];
  await ready();
  const sum = nothing();
  for (const project of projects) await runProject(sum, project, filters, env);
  process.exit(close(sum));
});
