import { run } from './statements';

// How backups are made, and the time of the last one; which life of the file this is, that devices send their marks
// again after a backup was put back; what was done with the data as a whole; which children’s records are on hold, and
// how long those who left are kept.
export const up = run([
  `CREATE TABLE backups (
     id INTEGER PRIMARY KEY CHECK (id = 1), recipient TEXT, folder TEXT, daily_at TEXT, last_at INTEGER,
     last_bytes INTEGER, fault TEXT, epoch TEXT)`,
  `CREATE TABLE journal (
     id TEXT PRIMARY KEY, at INTEGER NOT NULL, what TEXT NOT NULL, done_by TEXT, detail TEXT)`,
  'ALTER TABLE children ADD COLUMN held_by TEXT',
  'ALTER TABLE children ADD COLUMN held_at INTEGER',
  'ALTER TABLE settings ADD COLUMN keep_years INTEGER',
  'ALTER TABLE settings ADD COLUMN keep_since INTEGER',
]);
export const down = run([
  'ALTER TABLE settings DROP COLUMN keep_since',
  'ALTER TABLE settings DROP COLUMN keep_years',
  'ALTER TABLE children DROP COLUMN held_at',
  'ALTER TABLE children DROP COLUMN held_by',
  'DROP TABLE journal',
  'DROP TABLE backups',
]);
