import { describe, expect, test } from 'vitest';
import { context } from '../testing/bank';
import { heardOf, heardText } from './heard';
import { heardLine } from './heard-line';
import { lineText } from './line-text';
import { letterNames } from './letter-names';
import type { Slip } from './outcome';

const GB = 'southern-british';
const line = (said: string, asked = ''): string =>
  lineText(
    heardLine(
      said.split(' ').map((chunk) => chunk.split('+')),
      asked.split(' ').filter(Boolean),
      GB,
    ),
  );
const text = (said: string, asked: string, slip: Slip | null = null): string | null => {
  const heard = heardOf({ said, slip, sounds: asked.split(' ') }, GB, context());
  return heard && heardText(heard);
};

describe('the small line', () => {
  test('a lost sound stands in its place', () => {
    expect(line('f+ɒ+ɡ', 'f r ɒ ɡ')).toBe('f-[r]-o-g');
    expect(line('r+ɒ+ɡ', 'f r ɒ ɡ')).toBe('[f]-r-o-g');
    expect(line('s+ɒ', 's ɒ k')).toBe('s-o-[k]');
    expect(line('f ɒ ɡ', 'f r ɒ ɡ')).toBe('f · [r] · o · g');
  });
  test('what was said together is tied, what was said apart is not', () => {
    expect(line('f+r ɒ ɡ')).toBe('f-r · o · g');
    expect(line('f r+ɒ+ɡ')).toBe('f · r-o-g');
  });
  test('the two /oo/ and the two /th/ are told apart wherever they stand', () => {
    expect([line('b+ʊ+k'), line('m+uː+n')]).toEqual(['b-oo (as in book)-k', 'm-oo (as in moon)-n']);
    expect([line('θ'), line('ð')]).toEqual(['th (as in thin)', 'th (as in this)']);
  });
});

describe('an answer that was kept', () => {
  test('a word, or a respelling that is read right, and the line under it', () => {
    expect(text('f+ɒ+ɡ', 'f r ɒ ɡ', 'lost-sound')).toBe('fog (f-[r]-o-g)');
    expect(text('s+p+uː', 's p uː n', 'lost-sound')).toBe('spoo (s-p-oo (as in moon)-[n])');
  });
  test('no respelling where letters would mislead: sock without its end is no “so”', () => {
    expect(text('s+ɒ', 's ɒ k', 'lost-sound')).toBe('s-o-[k]');
    expect(text('ɪ+s', 'ð ɪ s', 'lost-sound')).toBe('iss ([th (as in this)]-i-s)');
  });
  test('a word that was said whole needs no line; what is no row of sounds stays as it is', () => {
    expect(text('f+r+ɒ+ɡ', 'f r ɒ ɡ', 'unchanged')).toBe('frog');
    expect(['yes', '3', 'sun, map'].map((said) => text(said, 's ʌ n'))).toEqual(['yes', '3', 'sun, map']);
  });
  test('nothing is shown of what would be heard as a rude word', () => {
    expect(text('f+æ+ɡ', 'f l æ ɡ', 'lost-sound')).toBeNull();
    expect(text('r+eɪ+p+s', 'ɡ r eɪ p s', 'lost-sound')).toBeNull();
  });
});

test('letter names as they are said', () => {
  expect([letterNames('frog', GB), letterNames('at', GB)]).toEqual(['eff · ar · oh …', 'ay · tee']);
  expect([letterNames('z', GB), letterNames('z', 'general-american')]).toEqual(['zed', 'zee']);
});
