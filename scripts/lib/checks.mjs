// What is checked without running anything: how it is written, its types, and what nobody uses.

/** Each check: its name, the script of its package, and its arguments. What it learned is kept under node_modules. */
export const checks = () => [
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
