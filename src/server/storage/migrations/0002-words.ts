import { statements } from './statements';

// Word sets, words of the setting's own (one that is removed stays, for the sessions that used it), what it owns as
// props, and the sounds each group has been taught.
export const { up, down } = statements(
  [
    `CREATE TABLE word_sets (
       id TEXT PRIMARY KEY, name TEXT NOT NULL, words TEXT NOT NULL, created_at INTEGER NOT NULL,
       updated_at INTEGER NOT NULL)`,
    `CREATE TABLE own_words (
       id TEXT PRIMARY KEY, word TEXT NOT NULL UNIQUE, line TEXT NOT NULL, letters TEXT NOT NULL, accent TEXT NOT NULL,
       meaning TEXT NOT NULL, sentence TEXT NOT NULL, prop INTEGER NOT NULL, cautions TEXT NOT NULL,
       created_at INTEGER NOT NULL,
       removed_at INTEGER)`,
    `CREATE TABLE props (word TEXT PRIMARY KEY, owned_at INTEGER NOT NULL)`,
    `CREATE TABLE taught_sounds (
       group_id TEXT NOT NULL REFERENCES groups(id) ON DELETE CASCADE, sound TEXT NOT NULL, PRIMARY KEY (group_id,
       sound))`,
  ],
  ['taught_sounds', 'props', 'own_words', 'word_sets'],
);
