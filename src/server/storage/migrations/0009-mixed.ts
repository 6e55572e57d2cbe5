import { run } from './statements';

// Whether children and adults of a setting speak in several accents: then any shipped accent's vowel is a fair answer.
export const up = run([`ALTER TABLE settings ADD COLUMN mixed INTEGER NOT NULL DEFAULT 0`]);
export const down = run([`ALTER TABLE settings DROP COLUMN mixed`]);
