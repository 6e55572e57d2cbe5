import { statements } from './statements';

// Sessions whose kept pages and copies on devices speak of somebody erased. Ids alone, which say nothing of anyone.
export const { up, down } = statements(
  [
    `CREATE TABLE erased (
       session_id TEXT PRIMARY KEY, erased_at INTEGER NOT NULL) WITHOUT ROWID`,
    `CREATE INDEX erased_by_time ON erased (erased_at)`,
  ],
  ['erased'],
);
