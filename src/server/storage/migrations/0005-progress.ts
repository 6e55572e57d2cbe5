import { run } from './statements';

// What a session's answers say, worked out once: made anew for a session whenever its log has grown.
const UP = [
  `ALTER TABLE sessions ADD COLUMN stale INTEGER NOT NULL DEFAULT 1`,
  `CREATE INDEX sessions_stale ON sessions (id) WHERE stale = 1`,
  `CREATE TABLE evidence (
     child_id TEXT NOT NULL REFERENCES children(id) ON DELETE CASCADE,
     session_id TEXT NOT NULL REFERENCES sessions(id) ON DELETE CASCADE,
     task TEXT NOT NULL, step TEXT NOT NULL, standing TEXT NOT NULL, at INTEGER NOT NULL, day INTEGER NOT NULL,
     marks TEXT NOT NULL, helps TEXT NOT NULL,
     PRIMARY KEY (child_id, session_id, task, step, standing)) WITHOUT ROWID`,
  `CREATE INDEX evidence_by_session ON evidence (session_id)`,
  `CREATE TABLE heard_sounds (
     child_id TEXT NOT NULL REFERENCES children(id) ON DELETE CASCADE,
     session_id TEXT NOT NULL REFERENCES sessions(id) ON DELETE CASCADE,
     cells TEXT NOT NULL, PRIMARY KEY (child_id, session_id)) WITHOUT ROWID`,
  `CREATE INDEX heard_sounds_by_session ON heard_sounds (session_id)`,
  `CREATE TABLE chosen_steps (
     id TEXT PRIMARY KEY, child_id TEXT NOT NULL REFERENCES children(id) ON DELETE CASCADE, ladder TEXT NOT NULL,
     rung TEXT NOT NULL,
     at INTEGER NOT NULL, chosen_by TEXT, ended_at INTEGER)`,
  `CREATE INDEX chosen_steps_by_child ON chosen_steps (child_id, at)`,
  `ALTER TABLE settings ADD COLUMN rule TEXT NOT NULL DEFAULT 'weighed'`,
  `ALTER TABLE settings ADD COLUMN unit_order TEXT NOT NULL DEFAULT 'large-first'`,
  `ALTER TABLE settings ADD COLUMN staff INTEGER NOT NULL DEFAULT 2`,
  `ALTER TABLE answers ADD COLUMN second INTEGER NOT NULL DEFAULT 0`,
  `CREATE INDEX answers_with_note ON answers (child_id, at) WHERE note IS NOT NULL`,
  `CREATE INDEX answers_second ON answers (session_id) WHERE second = 1`,
];

const DOWN = [
  `DROP TABLE chosen_steps`,
  `DROP TABLE heard_sounds`,
  `DROP TABLE evidence`,
  `DROP INDEX sessions_stale`,
  `ALTER TABLE sessions DROP COLUMN stale`,
  `DROP INDEX answers_with_note`,
  `DROP INDEX answers_second`,
  `DELETE FROM answers WHERE second = 1`,
  `ALTER TABLE answers DROP COLUMN second`,
  ...['rule', 'unit_order', 'staff'].map((column) => `ALTER TABLE settings DROP COLUMN ${column}`),
];

export const up = run(UP);
export const down = run(DOWN);
