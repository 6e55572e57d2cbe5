import { run } from './statements';

// What the clock of a device said, where it was far ahead of ours: such an answer counts from when it arrived. Marks of
// earlier versions that lie in the future are put right in the same way, and their sessions are read anew.
const AHEAD_MS = 300_000;
const TABLES = ['answers', 'steps'];
const AHEAD = `at > received_at + ${AHEAD_MS}`;

const UP = [
  ...TABLES.map((table) => `ALTER TABLE ${table} ADD COLUMN device_at INTEGER`),
  `UPDATE sessions SET stale = 1 WHERE ${TABLES.map(
    (table) => `id IN (SELECT session_id FROM ${table} WHERE ${AHEAD})`,
  ).join(' OR ')}`,
  `UPDATE sessions SET finished_at = (SELECT max(received_at) FROM steps WHERE session_id = sessions.id)
   WHERE finished_at IS NOT NULL AND id IN (SELECT session_id FROM steps WHERE kind = 'finish' AND ${AHEAD})`,
  ...TABLES.map((table) => `UPDATE ${table} SET device_at = at, at = received_at WHERE ${AHEAD}`),
];

const DOWN = TABLES.map((table) => `ALTER TABLE ${table} DROP COLUMN device_at`);

export const up = run(UP);
export const down = run(DOWN);
