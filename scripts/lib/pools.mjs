// Works out what follows from the word bank alone, once for each build, so that no page has to wait for it.
// Run by the build: node scripts/lib/pools.mjs; the build must stand already.
import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { PLAIN } from './front.mjs';

const root = path.resolve(import.meta.dirname, '../..');
const load = createRequire(path.join(root, PLAIN, 'core', 'x.js'));

const { parseBank } = load('./lexicon/entry.js');
const { sameForEveryone } = load('./lexicon/likeness.js');
const text = readFileSync(path.join(root, 'lexicon/words.tsv'), 'utf8');
const pools = {
  bank: createHash('sha256').update(text).digest('hex'),
  agreed: [...sameForEveryone(parseBank(text))],
};
writeFileSync(path.join(root, '.next/pools.json'), JSON.stringify(pools));
