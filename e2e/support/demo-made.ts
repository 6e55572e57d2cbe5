import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { DEMO_MADE, openApp } from './server';

/** Makes the demo once, before any test: every server that shows it begins with a copy of that file. */
export default async function makeDemo(): Promise<() => void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-demo-'));
  const file = path.join(folder, 'demo.sqlite');
  const app = await openApp({ demo: true, file });
  await app.end('SIGTERM');
  process.env[DEMO_MADE] = file;
  return () => rmSync(folder, { recursive: true, force: true });
}
