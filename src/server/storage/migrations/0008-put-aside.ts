import { run } from './statements';

// Words that a group has put aside, and whether a setting lets in the words of the other country.
export const up = run([
  `CREATE TABLE put_aside (
     group_id TEXT NOT NULL REFERENCES groups(id) ON DELETE CASCADE,
     word TEXT NOT NULL, put_at INTEGER NOT NULL, PRIMARY KEY (group_id, word)) WITHOUT ROWID`,
  `ALTER TABLE settings ADD COLUMN let_in INTEGER NOT NULL DEFAULT 0`,
]);
export const down = run([`DROP TABLE put_aside`, `ALTER TABLE settings DROP COLUMN let_in`]);
