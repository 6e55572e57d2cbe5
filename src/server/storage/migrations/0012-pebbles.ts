import { run } from './statements';

// Pebble checks: kept with the answer that slipped, and by child, sound and place; who marked a run, and when a session
// was; what the children of a setting show together. Every session is read anew, so that slips that may be speech are
// told apart.
const UP = [
  `ALTER TABLE answers ADD COLUMN pebbles TEXT`,
  `ALTER TABLE evidence ADD COLUMN marked_by TEXT`,
  `ALTER TABLE heard_sounds ADD COLUMN at INTEGER NOT NULL DEFAULT 0`,
  `CREATE TABLE pebble_checks (
     child_id TEXT NOT NULL REFERENCES children(id) ON DELETE CASCADE,
     session_id TEXT NOT NULL REFERENCES sessions(id) ON DELETE CASCADE,
     place INTEGER NOT NULL, sound TEXT NOT NULL, word TEXT NOT NULL, says TEXT NOT NULL, pebbles INTEGER NOT NULL,
     told INTEGER, at INTEGER NOT NULL, day INTEGER NOT NULL,
     PRIMARY KEY (child_id, session_id, place)) WITHOUT ROWID`,
  `CREATE INDEX pebble_checks_by_session ON pebble_checks (session_id)`,
  `CREATE TABLE local_steps (id INTEGER PRIMARY KEY CHECK (id = 1), at INTEGER NOT NULL, body TEXT NOT NULL)`,
  `UPDATE sessions SET stale = 1`,
];

const DOWN = [
  `DROP TABLE local_steps`,
  `DROP TABLE pebble_checks`,
  `ALTER TABLE heard_sounds DROP COLUMN at`,
  `ALTER TABLE evidence DROP COLUMN marked_by`,
  `ALTER TABLE answers DROP COLUMN pebbles`,
  `UPDATE sessions SET stale = 1`,
];

export const up = run(UP);
export const down = run(DOWN);
