import { run, statements } from './statements';

// A session is a running order: its rounds stand in it as JSON, each answer carries the task and step it was given to.
// Plans are running orders kept for later.
const UP = [
  `ALTER TABLE sessions ADD COLUMN title TEXT NOT NULL DEFAULT ''`,
  `ALTER TABLE sessions ADD COLUMN letters INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE sessions ADD COLUMN rounds TEXT NOT NULL DEFAULT '[]'`,
  `UPDATE sessions SET
     title = upper(substr(task, 1, 1)) || substr(task, 2) || ', ' || sounds || ' sounds',
     rounds = json_array(json_object(
       'role', 'focus', 'task', task, 'step', CAST(sounds AS TEXT), 'items', json(words), 'model', model, 'spares',
       json(spares), 'turns', turns,
       'way', 'individual', 'gap', 1, 'gesture', 'task', 'frame', json('{"on":true,"opening":null,"ask":null}'),
       'reminder', '', 'names', json('false')))`,
  `DROP INDEX answers_by_child`,
  `ALTER TABLE answers ADD COLUMN step TEXT NOT NULL DEFAULT ''`,
  `UPDATE answers SET step = CAST(rung AS TEXT)`,
  `ALTER TABLE answers DROP COLUMN rung`,
  `CREATE INDEX answers_by_child ON answers (child_id, at, task, step, outcome, helps)`,
  ...['task', 'sounds', 'words', 'model', 'spares', 'turns'].map(
    (column) => `ALTER TABLE sessions DROP COLUMN ${column}`,
  ),
  `CREATE TABLE plans (
     id TEXT PRIMARY KEY, group_id TEXT NOT NULL REFERENCES groups(id) ON DELETE CASCADE, title TEXT NOT NULL,
     body TEXT NOT NULL,
     kept INTEGER NOT NULL, planned_for TEXT, created_at INTEGER NOT NULL, updated_at INTEGER NOT NULL)`,
  `CREATE INDEX plans_by_group ON plans (group_id, updated_at)`,
];

// The way back keeps the first round of each session: more than one had no place before.
const DOWN = [
  `DROP TABLE plans`,
  `ALTER TABLE sessions ADD COLUMN task TEXT NOT NULL DEFAULT 'blending'`,
  `ALTER TABLE sessions ADD COLUMN sounds INTEGER NOT NULL DEFAULT 3`,
  `ALTER TABLE sessions ADD COLUMN words TEXT NOT NULL DEFAULT '[]'`,
  `ALTER TABLE sessions ADD COLUMN model TEXT`,
  `ALTER TABLE sessions ADD COLUMN spares TEXT NOT NULL DEFAULT '[]'`,
  `ALTER TABLE sessions ADD COLUMN turns INTEGER NOT NULL DEFAULT 1`,
  `UPDATE sessions SET task = rounds ->> '$[0].task', sounds = CAST(rounds ->> '$[0].step' AS INTEGER),
    words = rounds -> '$[0].items',
     model = rounds ->> '$[0].model', spares = rounds -> '$[0].spares', turns = rounds ->> '$[0].turns'`,
  ...['title', 'letters', 'rounds'].map((column) => `ALTER TABLE sessions DROP COLUMN ${column}`),
  `DROP INDEX answers_by_child`,
  `ALTER TABLE answers ADD COLUMN rung INTEGER NOT NULL DEFAULT 0`,
  `UPDATE answers SET rung = CAST(step AS INTEGER)`,
  `ALTER TABLE answers DROP COLUMN step`,
  `CREATE INDEX answers_by_child ON answers (child_id, at, task, rung, outcome, helps)`,
];

export const { up } = statements(UP, []);
export const down = run(DOWN);
