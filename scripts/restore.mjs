// Puts a backup in the place of the data while Bouncy Echo is stopped: npm run restore -- FILE. The key is typed in, or
// comes on standard input; the file of before stays beside the data.
import { existsSync, renameSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { createInterface } from 'node:readline/promises';
import { dataFile } from './lib/data-file.mjs';
import { PLAIN } from './lib/front.mjs';
import { ensureAll, main, ROOT, say, Stop } from './lib/prepare.mjs';

const WRONG = {
  'wrong-key': 'That key doesn’t open this backup. Nothing was changed.',
  damaged: 'This backup is damaged, or isn’t one of ours. Nothing was changed. Try an older one.',
};

async function typedKey() {
  const ask = createInterface({ input: process.stdin, output: process.stderr });
  const typed = await ask.question('Its key (24 words, or the line that starts with AGE-SECRET-KEY): ');
  ask.close();
  return typed;
}

await main(async () => {
  const from = process.argv[2];
  if (!from || !existsSync(from)) throw new Stop('Say which backup: npm run restore -- /media/stick/NAME.sqlite.age');
  await ensureAll({ all: false });
  const load = (name) => createRequire(import.meta.url)(path.join(ROOT, PLAIN, 'file', `${name}.js`));
  const { identityIn } = load('keys');
  const { unseal, SealFault } = load('seal');
  const { withPlain, alone } = load('plain');
  const { learnFrom } = load('erased-list');
  const file = dataFile();
  const identity = identityIn(await typedKey());
  if (!identity) throw new Stop('That isn’t a key. Nothing was changed.');
  // Whoever runs has the lock: a write to its empty file is refused then (storage/lock.ts).
  await withPlain(`${file}-lock`, 'write', (db) => db.exec('PRAGMA busy_timeout=0; BEGIN IMMEDIATE; ROLLBACK')).catch(
    () => {
      throw new Stop('Bouncy Echo is running. Put the backup back there, in Settings, “Our data”; or stop it first.');
    },
  );
  const part = `${file}-restore.part`;
  try {
    await unseal(from, part, identity);
    const ok = await withPlain(alone(part), 'address', (db) => db.all('PRAGMA quick_check(1)')).catch(() => []);
    if (ok[0]?.quick_check !== 'ok') throw new SealFault('damaged');
  } catch (error) {
    rmSync(part, { force: true });
    throw error instanceof SealFault ? new Stop(WRONG[error.why]) : error;
  }
  learnFrom(file, path.dirname(path.resolve(from)));
  if (existsSync(file)) {
    // What a sudden end left in the log belongs to the file of before.
    await withPlain(file, 'write', (db) => db.exec('PRAGMA wal_checkpoint(TRUNCATE)'));
    renameSync(file, `${file}-before-restore`);
  }
  for (const stray of ['-wal', '-shm', '-lock', '-lock-place']) rmSync(`${file}${stray}`, { force: true });
  renameSync(part, file);
  // At its next start the file is brought up to date, whoever was erased is erased again, and devices are told.
  const { randomUUID } = await import('node:crypto');
  await withPlain(file, 'write', (db) => db.exec(`UPDATE backups SET epoch = '${randomUUID()}'`)).catch(
    () => undefined,
  );
  say(`Put back. The file of before is ${file}-before-restore.`);
});
