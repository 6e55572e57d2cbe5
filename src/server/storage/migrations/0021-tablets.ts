import { run } from './statements';

// Which tablet a mark came from, where a session was lent to one; and how sessions are lent here.
export const up = run([
  'ALTER TABLE answers ADD COLUMN tablet TEXT',
  'ALTER TABLE steps ADD COLUMN tablet TEXT',
  'ALTER TABLE settings ADD COLUMN lend_initials INTEGER NOT NULL DEFAULT 0',
  'ALTER TABLE settings ADD COLUMN lend_plain INTEGER NOT NULL DEFAULT 0',
]);
export const down = run([
  'ALTER TABLE settings DROP COLUMN lend_plain',
  'ALTER TABLE settings DROP COLUMN lend_initials',
  'ALTER TABLE steps DROP COLUMN tablet',
  'ALTER TABLE answers DROP COLUMN tablet',
]);
