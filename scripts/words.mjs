// Prints the whole word bank for reviewers: npm run --silent words -- --accent scottish --convention strict --format
// csv; or entries drawn by lot, to be read as a stranger would: -- --sample 250 --seed 1f6a90c3 --format csv
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { channel, ensurePackages, main, ROOT, Stop } from './lib/prepare.mjs';

// A reader that has seen enough (head) is no fault.
process.stdout.on('error', (error) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// Only the list goes to standard output; what is being done goes beside it.
channel.out = 2;

await main(async () => {
  let values;
  try {
    ({ values } = parseArgs({
      options: Object.fromEntries(
        ['accent', 'convention', 'format', 'sample', 'seed'].map((name) => [name, { type: 'string' }]),
      ),
    }));
  } catch (error) {
    throw new Stop(error.message);
  }
  ensurePackages();
  const { runnerImport } = await import('vite');
  const load = async (file) =>
    (await runnerImport(path.join(ROOT, file), { root: ROOT, configFile: false, logLevel: 'error' })).module;
  const { wordsListSchema, listWords, writeList, drawWords, writeDraw } = await load('src/core/formats/words-list.ts');
  const { parseBank } = await load('src/core/lexicon/entry.ts');
  const request = wordsListSchema.safeParse(values);
  if (!request.success) throw new Stop(request.error.issues.map((issue) => issue.message).join('\n'));
  const bank = parseBank(readFileSync(path.join(ROOT, 'lexicon/words.tsv'), 'utf8'));
  const { sample, format } = request.data;
  const text =
    sample === undefined
      ? writeList(listWords(bank, request.data), format)
      : writeDraw(drawWords(bank, request.data), format);
  await new Promise((resolve) => process.stdout.write(text, resolve));
});
