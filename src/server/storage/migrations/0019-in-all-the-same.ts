import { run } from './statements';

// The day on which a child came though it is not one of theirs.
export const up = run(['ALTER TABLE children ADD COLUMN in_on TEXT']);
export const down = run(['ALTER TABLE children DROP COLUMN in_on']);
