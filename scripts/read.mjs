// Prints items as they would be heard, to be read aloud and judged: npm run --silent read, or one game with
// npm run --silent read -- --task blending --seed 1f6a90c3 --size 10 --accent scottish
import { print } from './lib/print.mjs';

await print(['accent', 'task', 'seed', 'size'], async (load, asked) => {
  const { readSchema, itemsToRead } = await load('src/core/formats/items-read.ts');
  const request = asked(readSchema);
  const { material } = await load('src/core/testing/bank.ts');
  return itemsToRead(material(request.accent), request);
});
