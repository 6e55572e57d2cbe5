import { expect, test } from 'vitest';
import { FAMILIES } from '../games/families';
import { HOME_WORDS, homePage, homeText } from './home-page';

const words = [
  { word: 'sun', sounds: ['s', 'ʌ', 'n'] },
  { word: 'peg', sounds: ['p', 'e', 'ɡ'] },
  { word: 'hat', sounds: ['h', 'æ', 't'] },
  { word: 'sun', sounds: ['s', 'ʌ', 'n'] },
];
const page = homePage({ families: ['segmenting', 'rhyme', 'rhyme'], words, accent: 'southern-british' });

test('each game once, larger units first; each word once with its sounds apart', () => {
  expect(page.played).toHaveLength(2);
  expect(page.played[0]).toContain('rhyme');
  expect(page.words).toEqual([
    { word: 'sun', apart: 's · u · n' },
    { word: 'peg', apart: 'p · e · g' },
    { word: 'hat', apart: 'h · a · t' },
  ]);
});
test('which to clip, which to hold, which to say lightly: as the sounds page says', () => {
  expect(page.sounds).toEqual([
    'Say p, g and t short, with no “uh” after.',
    'Say s and n held for a moment.',
    'Say h lightly, with no “uh” after.',
  ]);
});
test('the text holds all of it, and neither a score nor a number of answers', () => {
  const text = homeText(page, 'Radishes', '23 November');
  for (const line of [...page.played, ...page.tries, ...page.sounds, 'sun: s · u · n', page.close])
    expect(text).toContain(line);
  expect(text).toMatch(/^What we played: Radishes, 23 November\n/);
  expect(text).not.toMatch(/\n\n\n|on own|not yet|score|%/i);
});
test('every family has its words, and a long set is cut to a few', () => {
  const all = homePage({
    families: FAMILIES.map((f) => f.id),
    words: Array.from({ length: 20 }, (_, i) => ({ word: `w${i}`, sounds: ['s'] })),
    accent: 'scottish',
  });
  expect([all.played.length, all.tries.length, all.words.length]).toEqual([
    FAMILIES.length,
    FAMILIES.length,
    HOME_WORDS,
  ]);
  expect(new Set(all.tries).size).toBe(FAMILIES.length);
});
