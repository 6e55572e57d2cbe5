import { expect, test } from 'vitest';
import { remembered } from './remembered';

test('what is kept is recalled until anything new is seen of the child', () => {
  const memory = remembered();
  memory.keep('wren', 'advice', { next: 'sun' }, memory.sinceOf('wren'));
  memory.keep('idris', 'advice', { next: 'tea' }, memory.sinceOf('idris'));
  expect(memory.recall('wren', 'advice')).toEqual({ next: 'sun' });
  expect(memory.recall('wren', 'figures')).toBeUndefined();
  memory.letGo(['wren']);
  expect(memory.recall('wren', 'advice')).toBeUndefined();
  expect(memory.recall('idris', 'advice')).toEqual({ next: 'tea' });
});

test('what was begun before an answer came is not kept after it', () => {
  const memory = remembered();
  const begun = memory.sinceOf('wren');
  memory.letGo(['wren']);
  memory.keep('wren', 'advice', { next: 'sun' }, begun);
  expect(memory.recall('wren', 'advice')).toBeUndefined();
});
