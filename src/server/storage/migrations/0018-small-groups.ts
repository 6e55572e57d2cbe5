import { run } from './statements';

// The days a child comes, who leads their group, whom they are with or apart from, and the small groups of a fortnight;
// the name of the setting, for pages to pass on.
const UP = [
  `ALTER TABLE children ADD COLUMN days TEXT NOT NULL DEFAULT '12345'`,
  `ALTER TABLE children ADD COLUMN key_adult TEXT`,
  `ALTER TABLE children ADD COLUMN small_group INTEGER`,
  `ALTER TABLE groups ADD COLUMN grouped_on TEXT`,
  `ALTER TABLE groups ADD COLUMN grouped_under TEXT`,
  `CREATE TABLE ties (
     child_id TEXT NOT NULL REFERENCES children(id) ON DELETE CASCADE,
     other_id TEXT NOT NULL REFERENCES children(id) ON DELETE CASCADE,
     kind TEXT NOT NULL CHECK (kind IN ('together', 'apart')),
     PRIMARY KEY (child_id, other_id)) WITHOUT ROWID`,
  `CREATE INDEX ties_of_other ON ties (other_id)`,
  `ALTER TABLE settings ADD COLUMN name TEXT`,
];

const DOWN = [
  `ALTER TABLE settings DROP COLUMN name`,
  `DROP TABLE ties`,
  ...['grouped_on', 'grouped_under'].map((column) => `ALTER TABLE groups DROP COLUMN ${column}`),
  ...['days', 'key_adult', 'small_group'].map((column) => `ALTER TABLE children DROP COLUMN ${column}`),
];

export const up = run(UP);
export const down = run(DOWN);
