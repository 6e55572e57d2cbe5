import { describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { wordsSchema } from '../../core/formats/schemas';
import { PRESETS } from '../../core/phonology/conventions';
import { sure } from '../../core/sure';
import { addGroup, eraseGroup, listGroups } from '../people/groups';
import { mergeGroups } from '../people/moves';
import { saveSettings } from '../setting/settings';
import { database } from '../storage/database';
import { inFreshFiles } from '../testing/fresh-file';
import { addTyped, lettersCsv, switchLetters, taughtLetters, tickSpellings, tickWord, today } from './letters';
import { lettersPage } from './letters-page';
import { lettersPaper } from './letters-paper';
import { addLine, removeLine } from './lines';
import { putAside } from './put-aside';
import { saveTaught, taughtSounds } from './taught';
import { findWords } from './words';

inFreshFiles();

const readable = async (group: string): Promise<string[]> => {
  const choice = wordsSchema.parse({ sounds: 'any', only: 'readable', sort: 'a-z' });
  return (await findWords(choice, { id: group, children: [] })).results.map((w) => w.word);
};
const spelt = async (group: string): Promise<string> =>
  (await taughtLetters(group)).spellings.map((s) => `${s.spelling}:${s.keys}${s.on ? `@${s.on}` : ''}`).join(' ');
const withLetters = async (name: string): Promise<string> => {
  const { id } = await addGroup(name);
  await switchLetters(id, true);
  return id;
};

describe('letters of a group', () => {
  test('off until it is said; typed in the setting’s own order; words that can be read are a filter', async () => {
    const { id } = await addGroup('Radishes');
    expect((await listGroups()).find((g) => g.id === id)?.letters).toBe(false);
    const added = await addTyped(id, 'm o d t e h');
    expect(added.read).toHaveLength(6);
    // What the page says is what Words lists.
    await switchLetters(id, true);
    const all = await findWords(wordsSchema.parse({ sounds: 'any', only: 'readable' }), { id, children: [] });
    expect((await lettersPage(id)).readable).toBe(all.facets.total);
    await switchLetters(id, false);
    expect(await spelt(id)).toBe('m:m o:LOT d:d t:t e:DRESS h:h');
    // A group that does not work with letters has none of it: an old address asks for nothing.
    const off = await findWords(wordsSchema.parse({ sounds: '3', only: 'readable' }), { id, children: [] });
    expect([off.letters, off.facets.only.readable, off.facets.total > 100]).toEqual([false, 0, true]);
    await switchLetters(id, true);
    expect(await readable(id)).toEqual(['dot', 'hem', 'hot', 'met', 'mom'].filter((w) => w !== 'mom'));
  });

  test('ticked today and taken back; said again only the day changes; a planned day is not taught', async () => {
    const id = await withLetters('Leeks');
    const sh = { spelling: 'sh', keys: 'sh' };
    await addTyped(id, 's o p');
    await tickSpellings(id, { of: [{ ...sh, on: '2999-01-01' }], taught: true });
    expect(await readable(id)).not.toContain('shop');
    await tickSpellings(id, { of: [{ ...sh, on: today() }], taught: true });
    expect(await readable(id)).toContain('shop');
    expect((await lettersPage(id)).thisWeek.map((s) => s.spelling)).toEqual(['sh']);
    await tickSpellings(id, { of: [{ ...sh, on: null }], taught: false });
    expect(await spelt(id)).toBe('s:s o:LOT p:p');
  });

  test('a spelling that was taught means its sound was, not the reverse', async () => {
    const id = await withLetters('Chard');
    await saveTaught(id, ['m']);
    await addTyped(id, 'u sh');
    await saveSettings({ accent: 'northern-english', conventions: PRESETS.default });
    expect(await taughtSounds(id, 'northern-english')).toEqual(new Set(['m', 'sh', 'STRUT', 'FOOT']));
    expect(await spelt(id)).toBe('u:STRUT sh:sh');
    await saveSettings({ accent: 'southern-british', conventions: PRESETS.default });
  });

  test('saved as a file and pasted in elsewhere it is the same, with days', async () => {
    const [a, b] = [await withLetters('A'), await withLetters('B')];
    await addTyped(a, 'ow, cow, 20/11/2026\nth /ð/\na…e\nx');
    const { text, name } = await lettersCsv(a);
    expect(name).toBe('A - spellings taught.csv');
    await addTyped(b, text);
    expect(await spelt(b)).toBe(await spelt(a));
    expect(await spelt(a)).toContain('ow:MOUTH@2026-11-20');
    // What is pasted twice is none the worse for it.
    expect((await addTyped(b, text)).added).toEqual([]);
  });

  test('a word with an odd part is read as it was taught, and what is odd in it is named', async () => {
    const id = await withLetters('Kale');
    await addTyped(id, 's e d');
    await tickWord(id, ' Said ', true);
    expect(await readable(id)).toContain('said');
    expect((await lettersPage(id)).words).toEqual([{ word: 'said', odd: ['ai'] }]);
    await expect(tickWord(id, 'nonsuch', true)).rejects.toThrow('isn’t in the word bank');
    await tickWord(id, 'said', false);
    expect((await taughtLetters(id)).words).toEqual([]);
  });

  test('two that are alike and taught close together are said', async () => {
    const id = await withLetters('Dill');
    await addTyped(id, 'a e i o u g n t m p s');
    await tickSpellings(id, { of: [{ spelling: 'd', keys: 'd', on: today() }], taught: true });
    const b = sure((await lettersPage(id)).next.find(({ spelling }) => spelling.spelling === 'b'));
    expect(b.near).toEqual([{ shown: 'd', how: 'both' }]);
  });

  test('what is no spelling, no day, no list and no group is refused, and nothing changes', async () => {
    const id = await withLetters('Mint');
    const one = (of: object) => tickSpellings(id, { of: [of], taught: true });
    await expect(one({ spelling: 'SH', keys: 'sh', on: null })).rejects.toThrow('isn’t a spelling');
    await expect(one({ spelling: 'sh', keys: 'bang', on: null })).rejects.toThrow('isn’t a sound');
    await expect(one({ spelling: 'sh', keys: 'sh', on: '2026-02-30' })).rejects.toThrow('isn’t a date');
    await expect(addTyped(id, 'zq')).rejects.toThrow('We don’t know a word where “zq” spells a sound.');
    await expect(addTyped(id, ' ')).rejects.toThrow('no spellings in this list');
    await expect(addTyped(v7(), 'm')).rejects.toMatchObject({ status: 404 });
    await expect(switchLetters(v7(), true)).rejects.toMatchObject({ status: 404 });
    expect(await spelt(id)).toBe('');
  });

  test('of two groups made one, what either was taught counts; it goes with the group', async () => {
    const [a, b] = [await withLetters('Peas'), await withLetters('Cress')];
    await addTyped(a, 'm o');
    await addTyped(b, 'o t');
    await tickWord(a, 'said', true);
    await mergeGroups(a, b);
    expect(new Set((await spelt(b)).split(' '))).toEqual(new Set(['o:LOT', 't:t', 'm:m']));
    expect((await taughtLetters(b)).words).toEqual(['said']);
    await eraseGroup(b);
    const { models } = await database();
    expect([await models.taughtSpellings.count({ where: { group_id: b } }), await models.taughtWords.count()]).toEqual([
      0, 0,
    ]);
  });
});

describe('lines to read', () => {
  const linesOf = async (group: string): Promise<string[]> => (await lettersPage(group)).lines.map(({ text }) => text);

  test('only what the group can read, this week’s first; our own line comes too, until it is taken away', async () => {
    const id = await withLetters('Beans');
    await addTyped(id, 'm o d t e h a c s i');
    const first = await linesOf(id);
    expect(first).toContain('Sam had ham.');
    expect(first.some((text) => /\bthe\b|frog/i.test(text))).toBe(false);
    await addLine('  Ted  met a cat. ');
    expect(await linesOf(id)).not.toContain('Ted met a cat.');
    await tickWord(id, 'a', true);
    expect(await linesOf(id)).toContain('Ted met a cat.');
    await addLine('Ted met a cat.');
    const own = (await lettersPage(id)).lines.filter((line) => line.own !== null);
    expect(own).toHaveLength(1);
    await tickSpellings(id, { of: [{ spelling: 'n', keys: 'n', on: today() }], taught: true });
    expect(sure((await linesOf(id))[0])).toMatch(/n/);
    await removeLine(sure(own[0]).own);
    expect(await linesOf(id)).not.toContain('Ted met a cat.');
  });

  test('a line with a word that was put aside is not offered there', async () => {
    const id = await withLetters('Swedes');
    await addTyped(id, 'm o d t e h a c s i');
    await putAside(id, 'ham', true);
    expect(await linesOf(id)).not.toContain('Sam had ham.');
  });

  test('a line that cannot be read is refused with its reason', async () => {
    await expect(addLine('')).rejects.toThrow('Type a line first.');
    await expect(addLine('A zorble sat.')).rejects.toThrow('We don’t know the word “zorble” yet.');
    await expect(addLine('A cat – sat')).rejects.toThrow('letters, spaces and these marks');
    await expect(removeLine('x')).rejects.toMatchObject({ status: 404 });
  });

  test('on paper: a card a spelling, the words by number of sounds, the lines; none for another group', async () => {
    const id = await withLetters('Turnips');
    await addTyped(id, 'm o d t e h');
    const paper = await lettersPaper(id);
    expect(paper.cards.map(({ shown }) => shown).sort()).toEqual(['d', 'e', 'h', 'm', 'o', 't']);
    expect(paper.words).toContainEqual({ count: 3, words: expect.arrayContaining(['hot', 'met']) as string[] });
    const { id: other } = await addGroup('Sprouts');
    await expect(lettersPaper(other)).rejects.toMatchObject({ status: 404 });
    await expect(lettersPaper(v7())).rejects.toMatchObject({ status: 404 });
  });
});
