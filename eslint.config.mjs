import prettier from 'eslint-config-prettier/flat';
import next from 'eslint-config-next/core-web-vitals';
import typescript from 'eslint-config-next/typescript';
import { defineConfig, globalIgnores } from 'eslint/config';
import house from './scripts/lint/index.mjs';

const TESTS = ['**/*.test.ts', '**/testing/**', 'e2e/**', 'bench/**'];

/** One room, and what it may not import. Each pattern holds for the alias and for relative paths. */
const room = (files, banned, message) => ({
  files,
  ignores: TESTS,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: banned, message }] }] },
});

const places = (...names) => names.flatMap((name) => [`@/${name}/*`, `@/${name}`, `**/${name}/**`]);

/** What the core knows nothing of. */
const CORE = [
  ...['react', 'react-*', 'next', 'next/*', 'sequelize', 'sqlite3', 'umzug', 'node:*', 'uuid', 'idb'],
  ...places('app', 'ui', 'actions', 'server', 'workers', 'guard'),
];

/** Wings of the server from the ground up: each stands on those before it. */
const WINGS = [
  'storage',
  'setting',
  'words',
  'record',
  'answers',
  'people',
  'children',
  'sessions',
  'plans',
  'whole',
  'lending',
  'demo',
];

const wing = (name, at) =>
  room(
    [`src/server/${name}/**/*.ts`],
    [
      'react',
      'next',
      'next/*',
      ...places('app', 'ui', 'actions'),
      ...WINGS.slice(at + 1).flatMap((above) => [`@/server/${above}/*`, `../${above}/*`, `../../${above}/*`]),
    ],
    'The server knows the core alone, and a wing stands only on those below it (docs/architecture.md).',
  );

export default defineConfig([
  globalIgnores(['.next/**', 'node_modules/**', 'next-env.d.ts', 'data/**', 'public/sw.js']),
  ...next,
  ...typescript,
  prettier,

  // Arrows: app → ui → actions → server → core.
  room(['src/core/**/*.ts'], CORE, 'The core has no interface, database, clock or randomness of its own.'),
  ...WINGS.map(wing),
  room(
    ['src/core/evidence/**/*.ts'],
    [...CORE, ...places('choosing', 'telling')],
    'What was seen knows nothing of what comes next or how it is told.',
  ),
  room(['src/core/choosing/**/*.ts'], [...CORE, ...places('telling')], 'What comes next does not know how it is told.'),
  room(['src/actions/**/*.ts'], ['react', ...places('app', 'ui')], 'Actions know the server and the core.'),
  {
    files: ['src/ui/**/*.{ts,tsx}'],
    ignores: TESTS,
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            { group: places('app'), message: 'Screens are put on pages, not the other way round.' },
            { group: ['@/server/*'], allowTypeImports: true, message: 'A screen knows the server only by its types.' },
            { group: ['next/link'], message: 'Links come from ui/kit/link: nothing is fetched before it is followed.' },
          ],
        },
      ],
    },
  },
  room(
    ['src/ui/play/run/**/*.ts'],
    ['react', 'react-*', 'next', 'next/*', '../*', '!../text'],
    'A run of Play knows neither React nor the views that draw it.',
  ),
  {
    files: ['src/ui/kit/link.tsx'],
    rules: { '@typescript-eslint/no-restricted-imports': 'off' },
  },
  room(
    ['src/front/**/*.ts'],
    ['react', '@/*', ...places('app', 'ui', 'actions', 'server', 'core')],
    'What stands before the framework knows the guard alone.',
  ),
  room(['src/guard/**/*.ts'], ['react', 'next', 'next/*', '@/*', '../**'], 'The guard stands alone.'),
  {
    files: ['src/core/**/*.ts'],
    ignores: TESTS,
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness comes in as a seeded generator.' },
        { object: 'Date', property: 'now', message: 'The core has no clock.' },
      ],
    },
  },

  // How it is written.
  {
    plugins: { house },
    linterOptions: { noInlineConfig: true, reportUnusedDisableDirectives: 'error' },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      'no-console': ['error', { allow: ['error', 'warn', 'log'] }],
      'house/max-lines-per-function': ['error', { max: 80 }],
      'house/fields-apart': 'error',
      complexity: ['error', 14],
      'max-params': ['error', 4],
      'max-len': ['error', { code: 120, ignorePattern: '^\\s*// reference:' }],
      'no-nested-ternary': 'error',
    },
  },

  // Real exceptions, each with its reason.
  {
    // Loops over every word, every pair of sounds or every point of a curve: the line above proves each index.
    files: [
      'src/core/choosing/model.ts',
      'src/core/answers/align.ts',
      'src/core/lexicon/bits.ts',
      'src/core/lexicon/find.ts',
      'src/core/lexicon/neighbours.ts',
      'src/core/lexicon/number-heap.ts',
      'src/core/lexicon/select.ts',
      'src/core/evidence/posterior.ts',
      'src/core/testing/alignment.ts',
    ],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    // Drawings of a few hundred bytes that ship with the build: there is nothing to optimise.
    files: ['src/ui/kit/picture.tsx', 'src/ui/kit/plant.tsx', 'src/ui/kit/qr-code.tsx'],
    rules: { '@next/next/no-img-element': 'off' },
  },
]);
