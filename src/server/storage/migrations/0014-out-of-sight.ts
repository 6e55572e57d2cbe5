import { run } from './statements';

/** Children who have left and are kept, out of sight; the number a setting knows a child by. */
export const up = run([
  `ALTER TABLE children ADD COLUMN archived_at INTEGER`,
  `ALTER TABLE children ADD COLUMN own_id TEXT`,
]);
export const down = run([`ALTER TABLE children DROP COLUMN own_id`, `ALTER TABLE children DROP COLUMN archived_at`]);
