import { run } from './statements';

// How old the children of a group are, as a band; and every session is read anew, because the answers of a step by
// number of sounds are told apart by the shape of their words.
export const up = run([`ALTER TABLE groups ADD COLUMN age_band TEXT`, `UPDATE sessions SET stale = 1`]);
export const down = run([`ALTER TABLE groups DROP COLUMN age_band`]);
