// Prints items as they would be heard, to be read aloud and judged: npm run --silent read, or one game with
// npm run --silent read -- --task blending --seed 1f6a90c3 --size 10 --accent scottish
import path from 'node:path';
import { parseArgs } from 'node:util';
import { channel, ensurePackages, main, ROOT, Stop } from './lib/prepare.mjs';

// A reader that has seen enough (head) is no fault.
process.stdout.on('error', (error) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// Only the items go to standard output; what is being done goes beside it.
channel.out = 2;

await main(async () => {
  let values;
  try {
    ({ values } = parseArgs({
      options: Object.fromEntries(['accent', 'task', 'seed', 'size'].map((name) => [name, { type: 'string' }])),
    }));
  } catch (error) {
    throw new Stop(error.message);
  }
  ensurePackages();
  const { runnerImport } = await import('vite');
  const load = async (file) =>
    (await runnerImport(path.join(ROOT, file), { root: ROOT, configFile: false, logLevel: 'error' })).module;
  const { readSchema, itemsToRead } = await load('src/core/formats/items-read.ts');
  const { material } = await load('src/core/testing/bank.ts');
  const request = readSchema.safeParse(values);
  if (!request.success) throw new Stop(request.error.issues.map((issue) => issue.message).join('\n'));
  const text = itemsToRead(material(request.data.accent), request.data);
  await new Promise((resolve) => process.stdout.write(text, resolve));
});
