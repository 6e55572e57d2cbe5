import { statements } from './statements';

// Times are whole milliseconds since 1970, UTC. Answers and steps are only ever added.
const UP = [
  `CREATE TABLE settings (
     id INTEGER PRIMARY KEY CHECK (id = 1), accent TEXT NOT NULL, conventions TEXT NOT NULL, confirmed_at INTEGER)`,
  'CREATE TABLE groups (id TEXT PRIMARY KEY, name TEXT NOT NULL, position INTEGER NOT NULL, created_at ' +
    'INTEGER NOT NULL)',
  `CREATE TABLE children (
     id TEXT PRIMARY KEY, group_id TEXT NOT NULL REFERENCES groups(id), name TEXT NOT NULL,
     position INTEGER NOT NULL, away_on TEXT, created_at INTEGER NOT NULL)`,
  `CREATE INDEX children_by_group ON children (group_id, position)`,
  `CREATE TABLE sessions (
     id TEXT PRIMARY KEY, group_id TEXT NOT NULL REFERENCES groups(id), task TEXT NOT NULL, sounds INTEGER NOT NULL,
     accent TEXT NOT NULL, conventions TEXT NOT NULL, words TEXT NOT NULL, model TEXT, spares TEXT NOT NULL,
     turns INTEGER NOT NULL, started_at INTEGER NOT NULL, finished_at INTEGER)`,
  `CREATE INDEX sessions_by_group ON sessions (group_id, started_at)`,
  `CREATE TABLE session_children (
     session_id TEXT NOT NULL REFERENCES sessions(id) ON DELETE CASCADE,
     child_id TEXT NOT NULL REFERENCES children(id) ON DELETE CASCADE,
     position INTEGER NOT NULL, PRIMARY KEY (session_id, child_id))`,
  `CREATE TABLE answers (
     id TEXT PRIMARY KEY, session_id TEXT NOT NULL REFERENCES sessions(id) ON DELETE CASCADE,
     child_id TEXT REFERENCES children(id) ON DELETE CASCADE, turn INTEGER NOT NULL, word TEXT NOT NULL,
     task TEXT NOT NULL, rung INTEGER NOT NULL, sounds TEXT NOT NULL, outcome TEXT NOT NULL, standing TEXT NOT NULL,
     slip TEXT, said TEXT, missed TEXT NOT NULL, helps TEXT NOT NULL, note TEXT, think_ms INTEGER,
     supersedes TEXT REFERENCES answers(id) ON DELETE CASCADE, at INTEGER NOT NULL, received_at INTEGER NOT NULL)`,
  `CREATE INDEX answers_by_session ON answers (session_id, id)`,
  `CREATE INDEX answers_by_child ON answers (child_id, at, task, rung, outcome, helps)`,
  `CREATE INDEX answers_superseding ON answers (supersedes) WHERE supersedes IS NOT NULL`,
  `CREATE TABLE steps (
     id TEXT PRIMARY KEY, session_id TEXT NOT NULL REFERENCES sessions(id) ON DELETE CASCADE, kind TEXT NOT NULL,
     child_id TEXT REFERENCES children(id) ON DELETE CASCADE, detail TEXT NOT NULL, at INTEGER NOT NULL,
     received_at INTEGER NOT NULL)`,
  `CREATE INDEX steps_by_session ON steps (session_id, id)`,
];

const TABLES = ['steps', 'answers', 'session_children', 'sessions', 'children', 'groups', 'settings'];

export const { up, down } = statements(UP, TABLES);
