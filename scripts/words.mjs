// Prints the whole word bank for reviewers: npm run --silent words -- --accent scottish --convention strict --format
// csv; only what can be read with the spellings that were taught: -- --taught "m o d t e h"; or entries drawn by lot,
// to be read as a stranger would: -- --sample 250 --seed 1f6a90c3 --format csv
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { ROOT, Stop } from './lib/prepare.mjs';
import { print } from './lib/print.mjs';

await print(['accent', 'convention', 'format', 'sample', 'seed', 'taught'], async (load, asked) => {
  const { wordsListSchema, listWords, readableOf, writeList, drawWords, writeDraw } = await load(
    'src/core/formats/words-list.ts',
  );
  const request = asked(wordsListSchema);
  const { parseBank } = await load('src/core/lexicon/entry.ts');
  const bank = parseBank(readFileSync(path.join(ROOT, 'lexicon/words.tsv'), 'utf8'));
  const { sample, format } = request;
  const { entries, unread } = readableOf(bank, request);
  if (unread.length) throw new Stop(unread.join('\n'));
  return sample === undefined
    ? writeList(listWords(entries, request), format)
    : writeDraw(drawWords(entries, request), format);
});
