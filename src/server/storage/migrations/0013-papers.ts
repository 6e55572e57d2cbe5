import { run } from './statements';

// A tick grid as it was printed: what each box is about, so that what is marked on it can be typed in; and which
// sessions came that way.
const UP = [
  `CREATE TABLE papers (
     number INTEGER PRIMARY KEY AUTOINCREMENT,
     group_id TEXT NOT NULL REFERENCES groups(id) ON DELETE CASCADE,
     plan_id TEXT NOT NULL, title TEXT NOT NULL, letters INTEGER NOT NULL, rounds TEXT NOT NULL,
     children TEXT NOT NULL, accent TEXT NOT NULL, conventions TEXT NOT NULL, made_at INTEGER NOT NULL,
     session_id TEXT REFERENCES sessions(id) ON DELETE SET NULL)`,
  `CREATE INDEX papers_by_group ON papers (group_id)`,
  `CREATE INDEX papers_by_session ON papers (session_id)`,
  `ALTER TABLE sessions ADD COLUMN paper INTEGER`,
];

const DOWN = [`ALTER TABLE sessions DROP COLUMN paper`, `DROP TABLE papers`];

export const up = run(UP);
export const down = run(DOWN);
