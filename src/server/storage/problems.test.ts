import { expect, test } from 'vitest';
import { diskSentence } from './problems';

// Messages as SQLite's own result codes word them (sqlite.org/rescode.html) and as Node names system errors.
test.each([
  ['SQLITE_NOTADB: file is not a database', 'isn’t a Bouncy Echo database'],
  ['SQLITE_CORRUPT: database disk image is malformed', 'is damaged'],
  ['SQLITE_READONLY: attempt to write a readonly database', 'can’t write to'],
  ['SQLITE_CANTOPEN: unable to open database file', 'can’t write to'],
  ["EACCES: permission denied, mkdir '/x'", 'can’t write to'],
  ['SQLITE_FULL: database or disk is full', 'The disk is full'],
])('%s is said in words', (message, sentence) => {
  const said = diskSentence(new Error(message), '/data/x.sqlite');
  expect(said).toContain(sentence);
  expect(said).not.toMatch(/SQLITE|EACCES/);
});
test('the cause inside a wrapped error counts; what is no fault of the disk stays unsaid', () => {
  expect(diskSentence(Object.assign(new Error('wrapped'), { parent: new Error('SQLITE_FULL') }), 'x')).toContain(
    'disk is full',
  );
  expect(diskSentence(new Error('a slip in the code'), 'x')).toBeUndefined();
  expect(diskSentence('text', 'x')).toBeUndefined();
});
