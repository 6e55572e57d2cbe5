// Makes a backup now, whether Bouncy Echo runs or not: npm run backup
import { existsSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { ensureAll, main, ROOT, say, Stop } from './lib/prepare.mjs';
import { PLAIN } from './lib/front.mjs';
import { dataFile } from './lib/data-file.mjs';

const WHY = {
  'no-folder': (folder) => `The folder ${folder} isn’t there. Is the stick plugged in? No backup was made.`,
  'read-only': (folder) => `We may not write in ${folder}. No backup was made.`,
  'no-room': () => 'There isn’t enough room for a backup. No backup was made.',
};

await main(async () => {
  // What a running server was built of stays as it is: a build under it would take the files of its pages away.
  if (!existsSync(path.join(ROOT, PLAIN, 'file', 'copy.js'))) await ensureAll({ all: false });
  const load = (name) => createRequire(import.meta.url)(path.join(ROOT, PLAIN, 'file', `${name}.js`));
  const { withPlain } = load('plain');
  const { backUp, CopyFault } = load('copy');
  const file = dataFile();
  const [row] = await withPlain(file, 'read', (db) => db.all('SELECT recipient, folder FROM backups')).catch(() => []);
  if (!row?.recipient || !row.folder) throw new Stop('Choose a folder and make a key first: in Settings, “Our data”.');
  const at = Date.now();
  try {
    const { name, counted } = await backUp({ file, folder: row.folder, recipient: row.recipient, at });
    await withPlain(file, 'write', (db) =>
      db.exec(`PRAGMA busy_timeout=5000; UPDATE backups SET last_at = ${at}, fault = NULL`),
    );
    say(`${path.join(row.folder, name)}: ${counted.children} children, ${counted.sessions} sessions, checked.`);
  } catch (error) {
    if (error instanceof CopyFault) throw new Stop(WHY[error.why]?.(row.folder) ?? 'No backup was made: try again.');
    throw error;
  }
});
