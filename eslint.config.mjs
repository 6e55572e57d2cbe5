import { defineConfig, globalIgnores } from 'eslint/config';
import next from 'eslint-config-next/core-web-vitals';
import typescript from 'eslint-config-next/typescript';

const room = (files, banned, message) => ({
  files,
  ignores: ['**/*.test.ts', '**/testing/**'],
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: banned, message }] }] },
});

// Arrows point one way: app → ui, server → core.
export default defineConfig([
  globalIgnores(['.next/**', 'node_modules/**', 'next-env.d.ts', 'data/**', 'public/sw.js']),
  ...next,
  ...typescript,
  room(
    ['src/core/**/*.ts'],
    [
      'react',
      'react-*',
      'next',
      'next/*',
      'sequelize',
      'sqlite3',
      'umzug',
      'node:*',
      'uuid',
      'idb',
      '@/app/*',
      '@/ui/*',
      '@/server/*',
      '@/workers/*',
      '**/server/*',
      '**/ui/*',
      '**/app/*',
    ],
    'The core has no interface, database, clock or randomness of its own.',
  ),
  room(
    ['src/server/**/*.ts'],
    ['react', 'next', 'next/*', '@/app/*', '@/ui/*', '**/ui/*', '**/app/*'],
    'The server knows the core alone.',
  ),
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Randomness comes in as a seeded generator.' },
        { object: 'Date', property: 'now', message: 'The core has no clock.' },
      ],
    },
  },
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      'no-console': ['error', { allow: ['error', 'warn', 'log'] }],
    },
  },
]);
