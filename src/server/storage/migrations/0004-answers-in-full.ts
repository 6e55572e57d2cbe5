import { run, statements } from './statements';

// What an answer may carry beside its outcome, and how a child speaks. A partner who is erased leaves the answer of
// the other.
const UP = [
  `ALTER TABLE answers ADD COLUMN self_corrected INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE answers ADD COLUMN shown INTEGER NOT NULL DEFAULT 0`,
  `ALTER TABLE answers ADD COLUMN marked_by TEXT`,
  `ALTER TABLE answers ADD COLUMN why TEXT`,
  `ALTER TABLE answers ADD COLUMN partner_id TEXT REFERENCES children(id) ON DELETE SET NULL`,
  `ALTER TABLE answers ADD COLUMN differs INTEGER NOT NULL DEFAULT 0`,
  `CREATE INDEX answers_by_partner ON answers (partner_id) WHERE partner_id IS NOT NULL`,
  `ALTER TABLE children ADD COLUMN own_way TEXT NOT NULL DEFAULT '{"swaps":[],"drops":[],"accent":null}'`,
];

const DOWN = [
  `DROP INDEX answers_by_partner`,
  ...['self_corrected', 'shown', 'marked_by', 'why', 'partner_id', 'differs'].map(
    (column) => `ALTER TABLE answers DROP COLUMN ${column}`,
  ),
  `ALTER TABLE children DROP COLUMN own_way`,
];

export const { up } = statements(UP, []);
export const down = run(DOWN);
