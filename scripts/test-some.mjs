// One project, all of it or the files that match: npm run test:unit -- src/core/games, npm run test:browser -- guard
import { ensureBuild, ensurePackages, main, Stop } from './lib/prepare.mjs';
import { close, ensureBrowser, nothing, runProject } from './lib/tests.mjs';

const [what, ...filters] = process.argv.slice(2);

/** What each asks for before it runs, and with what surroundings. */
const KINDS = {
  unit: { project: 'unit', ready: () => undefined, env: {} },
  deep: { project: 'unit', ready: () => undefined, env: { DEEP: '1' } },
  browser: {
    project: 'browser',
    ready: () => {
      ensureBrowser();
      ensureBuild();
    },
    env: {},
  },
};

await main(async () => {
  if (!Object.hasOwn(KINDS, what)) throw new Stop(`There are no "${what}" tests: choose unit, deep or browser.`);
  ensurePackages();
  const { project, ready, env } = KINDS[what];
  ready();
  const sum = nothing();
  runProject(sum, project, filters, env);
  process.exit(close(sum));
});
