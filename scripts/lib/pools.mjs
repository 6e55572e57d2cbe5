// Works out what follows from the word bank alone, once for each build, so that no page has to wait for it.
// Run by the build: node scripts/lib/pools.mjs; the build must stand already.
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { runnerImport } from 'vite';

const root = path.resolve(import.meta.dirname, '../..');
const load = async (file) =>
  (await runnerImport(path.join(root, file), { root, configFile: false, logLevel: 'error' })).module;

const { parseBank } = await load('src/core/lexicon/entry.ts');
const { sameForEveryone } = await load('src/core/lexicon/likeness.ts');
const text = readFileSync(path.join(root, 'lexicon/words.tsv'), 'utf8');
const pools = {
  bank: createHash('sha256').update(text).digest('hex'),
  agreed: [...sameForEveryone(parseBank(text))],
};
writeFileSync(path.join(root, '.next/pools.json'), JSON.stringify(pools));
