import { run } from './statements';

// How many children answered in a session stands beside each run; what is advised is kept until something new is seen
// or a day comes on which time alone changes it; the rule of four of the last five is gone, and who had chosen it is
// told. Every session is read anew.
const UP = [
  `ALTER TABLE evidence ADD COLUMN among INTEGER`,
  `CREATE TABLE kept_advice (
     child_id TEXT PRIMARY KEY REFERENCES children(id) ON DELETE CASCADE,
     under TEXT NOT NULL, until INTEGER, body TEXT NOT NULL) WITHOUT ROWID`,
  `UPDATE settings SET rule = CASE rule WHEN 'plain' THEN 'was-plain' ELSE 'weighed' END`,
  `UPDATE sessions SET stale = 1`,
];

const DOWN = [
  `UPDATE settings SET rule = CASE rule WHEN 'was-plain' THEN 'plain' ELSE 'weighed' END`,
  `DROP TABLE kept_advice`,
  `ALTER TABLE evidence DROP COLUMN among`,
  `UPDATE sessions SET stale = 1`,
];

export const up = run(UP);
export const down = run(DOWN);
