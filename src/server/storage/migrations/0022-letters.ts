import { run } from './statements';

// Letters are a switch of the group; which spellings it was taught, with the sound of each and the day, in the
// setting's own order; the words with an odd part that it was taught as they are; lines to read of the setting's own.
export const up = run([
  'ALTER TABLE groups ADD COLUMN letters INTEGER NOT NULL DEFAULT 0',
  `CREATE TABLE taught_spellings (
     group_id TEXT NOT NULL REFERENCES groups(id) ON DELETE CASCADE, spelling TEXT NOT NULL, sound TEXT NOT NULL,
     taught_on TEXT, place INTEGER NOT NULL, PRIMARY KEY (group_id, spelling, sound))`,
  `CREATE TABLE taught_words (
     group_id TEXT NOT NULL REFERENCES groups(id) ON DELETE CASCADE, word TEXT NOT NULL, PRIMARY KEY (group_id, word))`,
  'CREATE TABLE own_lines (id TEXT PRIMARY KEY, text TEXT NOT NULL UNIQUE, created_at INTEGER NOT NULL)',
]);
export const down = run([
  'DROP TABLE own_lines',
  'DROP TABLE taught_words',
  'DROP TABLE taught_spellings',
  'ALTER TABLE groups DROP COLUMN letters',
]);
