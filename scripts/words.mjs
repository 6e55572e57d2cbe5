// Prints the whole word bank for reviewers: npm run --silent words -- --accent scottish --convention strict --format
// csv; or entries drawn by lot, to be read as a stranger would: -- --sample 250 --seed 1f6a90c3 --format csv
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT } from './lib/prepare.mjs';
import { print } from './lib/print.mjs';

await print(['accent', 'convention', 'format', 'sample', 'seed'], async (load, asked) => {
  const { wordsListSchema, listWords, writeList, drawWords, writeDraw } = await load('src/core/formats/words-list.ts');
  const request = asked(wordsListSchema);
  const { parseBank } = await load('src/core/lexicon/entry.ts');
  const bank = parseBank(readFileSync(path.join(ROOT, 'lexicon/words.tsv'), 'utf8'));
  const { sample, format } = request;
  return sample === undefined
    ? writeList(listWords(bank, request), format)
    : writeDraw(drawWords(bank, request), format);
});
