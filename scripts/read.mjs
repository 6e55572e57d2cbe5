// Prints items as they would be heard, to be read aloud and judged: npm run --silent read, or one game with
// npm run --silent read -- --task blending --seed 1f6a90c3 --size 10 --accent scottish. Every sentence of every screen,
// room by room: npm run --silent read -- --screens
import { print } from './lib/print.mjs';

const items = async (load, asked) => {
  const { readSchema, itemsToRead } = await load('src/core/formats/items-read.ts');
  const request = asked(readSchema);
  const { material } = await load('src/core/testing/bank.ts');
  return itemsToRead(material(request.accent), request);
};
const screens = async (load) => (await load('src/core/testing/rooms.ts')).roomsToRead();

await print(['accent', 'task', 'seed', 'size'], process.argv.includes('--screens') ? screens : items, ['screens']);
