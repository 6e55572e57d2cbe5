import { run } from './statements';

/** A plant beside a child’s name, for children who cannot read. */
export const up = run([`ALTER TABLE children ADD COLUMN plant TEXT`]);
export const down = run([`ALTER TABLE children DROP COLUMN plant`]);
