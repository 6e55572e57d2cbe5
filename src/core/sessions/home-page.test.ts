import { expect, test } from 'vitest';
import { FAMILIES } from '../games/families';
import { readingAge } from '../testing/reading-age';
import { HOME_WORDS, homePage, homeText, type HomePage } from './home-page';

const words = [
  { word: 'sun', sounds: ['s', 'ʌ', 'n'] },
  { word: 'peg', sounds: ['p', 'e', 'ɡ'] },
  { word: 'hat', sounds: ['h', 'æ', 't'] },
  { word: 'sun', sounds: ['s', 'ʌ', 'n'] },
];
const page = homePage({ families: ['segmenting', 'rhyme', 'rhyme'], words, accent: 'southern-british' });

test('each game once, larger units first; each word once with its sounds apart; one game to try', () => {
  expect(page.played).toHaveLength(2);
  expect(page.played[0]).toContain('rhyme');
  expect(page.words).toEqual([
    { word: 'sun', apart: 's · u · n' },
    { word: 'peg', apart: 'p · e · g' },
    { word: 'hat', apart: 'h · a · t' },
  ]);
  expect(page.game, 'the game that was played most').toContain('rhymes');
});
test('which to clip, which to hold, which to say lightly: as the sounds page says', () => {
  expect(page.sounds).toEqual([
    'Keep p, g and t short, without an “uh” on the end.',
    'Hold s and n for a moment.',
    'Say h lightly, without an “uh” on the end.',
  ]);
});
test('the sound of the day is named where nearly all the words have it, and only they go home', () => {
  const of = (list: readonly string[]) =>
    homePage({
      families: ['first-sounds'],
      words: list.map((word) => ({ word, sounds: [...word] })),
      accent: 'southern-british',
    });
  expect(of(['sæt', 'sɪt', 'sɪp', 'bʌs', 'mæn']).played).toContain('Our sound was s, as in sæt.');
  expect(of(['sæt', 'sɪt', 'sɪp', 'bʌs', 'mæn']).words.map(({ word }) => word)).toEqual(['sæt', 'sɪt', 'sɪp', 'bʌs']);
  expect(of(['sæt', 'pɪt', 'sɪp', 'bed', 'mæn']).played).toHaveLength(1);
});
test('the text is sentences that can be read out: neither a score nor a mark', () => {
  const text = homeText(page, 'Radishes', '23 November');
  for (const line of [...page.played, page.game, ...page.sounds, page.close]) expect(text).toContain(line);
  expect(text).toMatch(/^What we played: Radishes, 23 November\n/);
  expect(text).toContain('Some of our words: sun, peg and hat.');
  expect(text).not.toMatch(/\n\n\n|on own|not yet|score|[%·…/]/i);
});
const everything = FAMILIES.map((f) =>
  homePage({
    families: [f.id],
    words: Array.from({ length: 20 }, (_, i) => ({ word: `w${i}`, sounds: ['s', 'p', 'h'] })),
    accent: 'scottish',
  }),
);
const prose = ({ played, game, sounds, close }: HomePage): string => [...played, game, ...sounds, close].join(' ');

test('every family has its words, and a long set is cut to a few', () => {
  for (const { played, game, words: few } of everything) {
    expect([played.length, few.length]).toEqual([2, HOME_WORDS]);
    expect(game).not.toBe('');
  }
  expect(new Set(everything.map(({ game }) => game)).size).toBe(FAMILIES.length);
});
test('a nine-year-old could read it (Flesch–Kincaid grade and five years), and no game needs a thing', () => {
  for (const each of everything) expect(readingAge(prose(each)), prose(each)).toBeLessThanOrEqual(9);
  // The formula is not blind: a sentence of the trade is beyond nine.
  expect(readingAge('Practitioners consolidate phonological awareness systematically.')).toBeGreaterThan(12);
  for (const { game } of everything)
    expect(game).not.toMatch(/\b(bean|pea|seed|button|bead|coin|grape|nut|sweet)s?\b/i);
});
test('no word of the trade goes home', () => {
  for (const each of everything)
    expect(prose(each)).not.toMatch(/\b(blend|segment|phonem|onset|rime|cluster|syllab|delet|CVC)/i);
});
