import { run } from './statements';

// What became of each answer, how it stands and when the child was asked: worked out from the whole log of its session.
// An answer itself is what was marked and nothing more. Every session is read anew.
const UP = [
  `CREATE TABLE readings (
     answer_id TEXT PRIMARY KEY REFERENCES answers(id) ON DELETE CASCADE,
     session_id TEXT NOT NULL REFERENCES sessions(id) ON DELETE CASCADE,
     child_id TEXT REFERENCES children(id) ON DELETE CASCADE,
     fate TEXT NOT NULL, standing TEXT NOT NULL, asked_at INTEGER NOT NULL, slipped INTEGER NOT NULL,
     noted INTEGER NOT NULL) WITHOUT ROWID`,
  `CREATE INDEX readings_by_session ON readings (session_id)`,
  `CREATE INDEX readings_by_child ON readings (child_id, asked_at) WHERE fate = 'stands'`,
  `CREATE INDEX readings_slipped ON readings (child_id, asked_at) WHERE fate = 'stands' AND slipped = 1`,
  `CREATE INDEX readings_noted ON readings (child_id, asked_at) WHERE fate = 'stands' AND noted = 1`,
  `CREATE INDEX readings_beside ON readings (session_id) WHERE fate = 'beside'`,
  `ALTER TABLE answers DROP COLUMN standing`,
  `DROP INDEX answers_with_note`,
  `DROP INDEX answers_second`,
  `UPDATE sessions SET stale = 1`,
];

const DOWN = [
  `DROP TABLE readings`,
  `ALTER TABLE answers ADD COLUMN standing TEXT NOT NULL DEFAULT 'fresh'`,
  `CREATE INDEX answers_with_note ON answers (child_id, at) WHERE note IS NOT NULL`,
  `CREATE INDEX answers_second ON answers (session_id) WHERE second = 1`,
  `UPDATE sessions SET stale = 1`,
];

export const up = run(UP);
export const down = run(DOWN);
