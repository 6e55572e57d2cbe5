import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { QueryTypes, Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { DEMO_MADE, openApp } from './server';

/** Waits until every session of the demo is read: what is known of a child is there from the first page on. */
async function allRead(file: string): Promise<void> {
  const db = new Sequelize({ dialect: 'sqlite', storage: file, logging: false, dialectModule: sqlite3 });
  const unread = async (): Promise<number> =>
    (await db.query('SELECT id FROM sessions WHERE stale = 1', { type: QueryTypes.SELECT })).length;
  while (await unread()) await pause(100);
  await db.close();
}

/** Makes the demo once, before any test: every server that shows it begins with a copy of that file. */
export default async function makeDemo(): Promise<() => void> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'bouncy-echo-demo-'));
  const file = path.join(folder, 'demo.sqlite');
  const app = await openApp({ demo: true, file });
  await allRead(file);
  await app.end('SIGTERM');
  process.env[DEMO_MADE] = file;
  return () => rmSync(folder, { recursive: true, force: true });
}
