import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** Puts a made-up accent and game in the place of modules: it shares none. */
const MADE_UP = 'src/server/testing/made-up.test.ts';

/** Beside the browser tests, which wait for much, one is enough. */
const UNIT_WORKERS = process.env.BESIDE === '1' ? 1 : 2;

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['src/!(core|server)/**/*.test.ts', 'scripts/**/*.test.ts', MADE_UP],
          testTimeout: 400_000,
          maxWorkers: UNIT_WORKERS,
        },
      },
      {
        extends: true,
        test: {
          name: 'unit core',
          include: ['src/core/**/*.test.ts'],
          testTimeout: 400_000,
          maxWorkers: UNIT_WORKERS,
          // The core keeps nothing but what it works out of its data: files can share the prepared banks.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'unit server',
          include: ['src/server/**/*.test.ts'],
          exclude: [MADE_UP],
          testTimeout: 400_000,
          maxWorkers: UNIT_WORKERS,
          // Each test has a file of its own; the prepared banks are what files share.
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'browser',
          // What needs a build of its own is run with the deep tests alone.
          include: ['e2e/*.test.ts', ...(process.env.DEEP === '1' ? ['e2e/deep/*.test.ts'] : [])],
          testTimeout: 400_000,
          hookTimeout: 300_000,
          // Another device is asked for its marks every few seconds; a busy machine takes longer.
          expect: { poll: { timeout: 60_000 } },
          // Each file has a server of its own; those of a worker share its browser.
          maxWorkers: 2,
          isolate: false,
          globalSetup: 'e2e/support/demo-made.ts',
        },
      },
      {
        extends: true,
        test: { name: 'bench', include: ['bench/**/*.bench.ts'], testTimeout: 300_000, fileParallelism: false },
      },
    ],
  },
});
