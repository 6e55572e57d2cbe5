import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach } from 'vitest';
import { openDatabase, type Database } from '../storage/database';

const place = globalThis as typeof globalThis & {
  bouncyEcho?: Promise<Database>;
  /** An empty file that is up to date, made once for all tests of a process. */
  bouncyEchoTemplate?: Promise<string>;
};

/** Bringing a new file up to date costs a fifth of a second, and copying one next to nothing. */
async function template(): Promise<string> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-template-'));
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  const file = path.join(folder, 'template.sqlite');
  await (await openDatabase(file)).close();
  return file;
}

/**
 * Gives every test of a file a real SQLite file of its own, and takes it away afterwards. Returns where the folder of
 * the running test is asked for.
 */
export function inFreshFiles(): () => string {
  let folder = '';
  beforeEach(async () => {
    folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-'));
    process.env.BOUNCY_ECHO_DB = path.join(folder, 'test.sqlite');
    copyFileSync(await (place.bouncyEchoTemplate ??= template()), process.env.BOUNCY_ECHO_DB);
  });
  afterEach(async () => {
    await place.bouncyEcho?.then(
      (db) => db.close(),
      () => undefined,
    );
    delete place.bouncyEcho;
    rmSync(folder, { recursive: true, force: true });
  });
  return () => folder;
}
