import { run } from './statements';

// How backups are made, and the time of the last one; which life of the file this is, that devices send their marks
// again after a backup was put back; and what was done with the data as a whole.
export const up = run([
  `CREATE TABLE backups (
     id INTEGER PRIMARY KEY CHECK (id = 1), recipient TEXT, folder TEXT, daily_at TEXT, last_at INTEGER,
     last_bytes INTEGER, fault TEXT, epoch TEXT)`,
  `CREATE TABLE journal (
     id TEXT PRIMARY KEY, at INTEGER NOT NULL, what TEXT NOT NULL, done_by TEXT, detail TEXT)`,
]);
export const down = run(['DROP TABLE journal', 'DROP TABLE backups']);
