import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterEach, beforeEach } from 'vitest';
import type { Database } from '../storage/database';

const place = globalThis as typeof globalThis & { bouncyEcho?: Promise<Database> };

/**
 * Gives every test of a file a real SQLite file of its own, and takes it away afterwards. Returns where the folder of
 * the running test is asked for.
 */
export function inFreshFiles(): () => string {
  let folder = '';
  beforeEach(() => {
    folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-'));
    process.env.BOUNCY_ECHO_DB = path.join(folder, 'test.sqlite');
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
