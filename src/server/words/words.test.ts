import { beforeEach, describe, expect, test } from 'vitest';
import { v7 } from 'uuid';
import { wordsSchema, type OwnWordInput } from '../../core/formats/schemas';
import { PRESETS } from '../../core/phonology/conventions';
import type { AccentId } from '../../core/phonology/accents';
import { appendLog } from '../record/append-log';
import { examplesOfCounting } from './counting-examples';
import { database } from '../storage/database';
import { inFreshFiles } from '../testing/fresh-file';
import { addGroup, eraseGroup } from '../people/groups';
import { ownEntriesChanged } from './own-entries';
import { listOwnWords, ownWordInput, proposeWord, removeOwnWord, saveOwnWord, soundsFromTaps } from './own-words';
import { playSession } from '../sessions/play-session';
import { printedSet } from './printed-set';
import { ownedProps, setOwned, shelf } from './props';
import { saveSettings } from '../setting/settings';
import { soundChart, soundPage } from './sounds';
import { startWords } from '../sessions/start-session';
import { sure } from '../../core/sure';
import { saveTaught, taughtSounds } from './taught';
import { usesOf } from '../sessions/word-used';
import { wordPage } from './word-page';
import { copySet, eraseSet, exportSet, importSet, listSets, reportOnFile, saveSet, savedSet } from './word-sets';
import { findWords } from './words';
import { ONLY_MARKED } from '../../core/sessions/log';

// Real SQLite files throughout.
inFreshFiles();
beforeEach(() => ownEntriesChanged());

const find = async (query: Record<string, string>, groupId = v7()) =>
  findWords(wordsSchema.parse(query), { id: groupId, children: [] });
const accent = (id: AccentId, preset: keyof typeof PRESETS = 'default'): Promise<void> =>
  saveSettings({ accent: id, conventions: PRESETS[preset] });
const ZORBLE: OwnWordInput = {
  word: 'zorble',
  line: "'z NORTH . b EL",
  letters: 'z|or|b|le',
  meaning: 'our shed',
  sentence: '',
  prop: true,
  cautions: ['small'],
};

describe('finding', () => {
  test('by search, by sounds, and a search that is not understood', async () => {
    expect((await find({ sounds: 'any', q: 'frog' })).results.map((w) => w.word)).toContain('frog');
    const at = await find({ sounds: '3', q: '_ a t' });
    expect(at.results.length).toBeGreaterThan(5);
    for (const w of at.results) expect(w.marks.slice(1).map((m) => m.ipa)).toEqual(['æ', 't']);
    expect((await find({ sounds: 'any', q: '_ qq' })).unclear).toContain('“qq”');
  });
  test('pages: more shows more, and what is left is counted', async () => {
    const [one, two] = [await find({ sounds: '3' }), await find({ sounds: '3', more: '2' })];
    expect(two.results.length).toBe(2 * one.results.length);
    expect(one.results.length + one.further).toBe(one.facets.total);
  });
  test('sounds taught and props owned become filters', async () => {
    const group = await addGroup('Radishes');
    await saveTaught(group.id, ['s', 'KIT', 't', 'n', 'p', 'TRAP']);
    await setOwned('pin', true);
    const found = await find({ sounds: '3', only: 'taught' }, group.id);
    expect(found.results.map((w) => w.word)).toEqual(expect.arrayContaining(['sit', 'tap', 'pin']));
    for (const w of found.results)
      for (const mark of w.marks) expect(['s', 'ɪ', 't', 'n', 'p', 'æ'], w.word).toContain(mark.ipa);
    expect((await find({ sounds: 'any', only: 'owned' })).results.map((w) => w.word)).toEqual(['pin']);
  });
  test('words of a set keep their order; one that is gone is named', async () => {
    const found = await find({ sounds: 'any', words: 'milk,frog,nonsuch,sun' });
    expect(found.set.map((w) => w.word)).toEqual(['milk', 'frog', 'sun']);
    expect(found.missing).toEqual(['nonsuch']);
    expect(found.proposed).toBe(false);
  });
  test('homographs stay out until they are asked for', async () => {
    expect((await find({ sounds: 'any', q: 'scone' })).results).toEqual([]);
    expect((await find({ sounds: 'any', q: 'scone', doubtful: '1' })).results.map((w) => w.word)).toEqual(['scone']);
  });
});

describe('word sets', () => {
  test('saved, renamed, put in another order, copied, erased', async () => {
    const id = await saveSet({ name: ' Greenhouse  words ', words: ['sun', 'frog', 'sun', 'milk'] });
    expect(await savedSet(id)).toMatchObject({ name: 'Greenhouse words', words: ['sun', 'frog', 'milk'] });
    await saveSet({ name: 'Pond', words: ['milk', 'sun'] }, id);
    expect(await savedSet(id)).toMatchObject({ name: 'Pond', words: ['milk', 'sun'] });
    const copy = await copySet(id);
    expect((await savedSet(copy)).name).toBe('Pond 2');
    expect((await savedSet(await copySet(id))).name).toBe('Pond 3');
    await eraseSet(copy);
    expect((await listSets()).map((s) => s.name)).toEqual(['Pond 3', 'Pond']);
    await expect(savedSet(copy)).rejects.toMatchObject({ status: 404 });
    await expect(saveSet({ name: 'x', words: ['sun'] }, copy)).rejects.toMatchObject({ status: 404 });
  });
  test.each([
    ['', ['sun'], 'at least one letter'],
    ['x', [], 'at least one word'],
    ['x', ['nonsuch'], 'nonsuch'],
    ['x'.repeat(80), ['sun'], 'too long'],
  ])('a set that cannot be kept says why: %j %j', async (name, words, why) => {
    await expect(saveSet({ name, words })).rejects.toThrow(why);
    expect(await listSets()).toEqual([]);
  });
  test('taken out and brought in again on another machine, own word and all', async () => {
    await saveOwnWord(ZORBLE);
    const id = await saveSet({ name: 'Ours: “best”/one', words: ['sun', 'zorble'] });
    for (const format of ['csv', 'json'] as const) {
      const { text, name } = await exportSet(id, format);
      expect(name).not.toMatch(/[/:“]/);
      await removeOwnWord('zorble');
      expect((await savedSet(id)).words).toEqual(['sun']);
      const report = await reportOnFile(text, name);
      expect(report.rows.map((r) => r.state)).toEqual(['known', 'new']);
      expect(await listOwnWords()).toEqual([]); // looking keeps nothing
      const made = await importSet(text, name);
      expect((await savedSet(made)).words).toEqual(['sun', 'zorble']);
      expect(await ownWordInput('zorble')).toEqual(ZORBLE);
      await saveSet({ name: 'Ours', words: ['sun', 'zorble'] }, id);
    }
  });
  test('a bad file is reported row by row and imports nothing until confirmed; then only its good rows', async () => {
    const text = 'word,sounds,letters\nsun,,\nblorp,,\nglass2,,\nzorble,z zz,z\nfrog,,\n';
    const report = await reportOnFile(text, 'Mixed.csv');
    expect(report.rows.map((r) => r.state)).toEqual(['known', 'refused', 'refused', 'refused', 'known']);
    for (const row of report.rows.filter((r) => r.state === 'refused')) expect(row.why).toMatch(/\.$/);
    expect(await listSets()).toEqual([]);
    expect(await savedSet(await importSet(text, 'Mixed.csv'))).toMatchObject({ name: 'Mixed', words: ['sun', 'frog'] });
    await expect(importSet('word\nblorp', 'x.csv')).rejects.toThrow('Nothing was imported');
  });
  test('printed with pictures, meanings and sentences', async () => {
    const { words } = await printedSet(await saveSet({ name: 'x', words: ['frog', 'frost'] }));
    expect(words.map((w) => [w.word, w.picture !== null, w.sentence !== ''])).toEqual([
      ['frog', true, true],
      ['frost', false, true],
    ]);
  });
});

describe('words of our own', () => {
  test('the dictionary proposes, a person answers, the word is found, counted and played', async () => {
    const { readings } = await proposeWord('Graph');
    expect(sure(sure(readings[0]).questions[0]).choices.map((c) => c.words)).toEqual([
      'the vowel of trap',
      'the vowel of bath',
    ]);
    const said = sure(sure(readings[0]).sounds.find((s) => s.answers[0] === 'BATH'));
    expect(said.marks.map((m) => m.ipa)).toEqual(['ɡ', 'r', 'ɑː', 'f']);
    await saveOwnWord({
      word: 'graph',
      line: said.line,
      letters: said.letters,
      meaning: 'a picture of numbers',
      sentence: '',
      prop: false,
      cautions: [],
    });
    const found = await find({ sounds: '4', only: 'own' });
    expect(found.results).toMatchObject([{ word: 'graph', count: 4, own: true }]);
    const group = await addGroup('G');
    const session = await startWords({ groupId: group.id, task: 'blending', words: ['graph', 'frog'] });
    expect(sure(sure((await playSession(session)).rounds[0]).items.graph).expected).toContain('graph');
  });
  test('tapped sounds, for a word the dictionary lacks', async () => {
    expect((await proposeWord('zorble')).readings).toEqual([]);
    expect(await soundsFromTaps('zorble', ['z', 'NORTH', 'b', 'EL'], 0)).toMatchObject({
      line: "'z NORTH . b EL",
      letters: 'z|or|b|le',
    });
    await expect(soundsFromTaps('zorble', ['z'], 0)).rejects.toThrow('at least two sounds');
    await expect(soundsFromTaps('zorble', ['z', 'BANG'], 0)).rejects.toThrow('at least two sounds');
  });
  test('what would be rude aloud is not kept, whatever its spelling, and neither is a word that is here', async () => {
    await expect(saveOwnWord({ ...ZORBLE, word: 'fuc', line: 'f STRUT k', letters: 'f|u|c' })).rejects.toThrow(
      'keep out of games',
    );
    await expect(saveOwnWord({ ...ZORBLE, word: 'frog', line: 'f r LOT g', letters: 'f|r|o|g' })).rejects.toThrow(
      'already',
    );
    await expect(proposeWord('frog')).rejects.toThrow('already');
    await expect(proposeWord('two words')).rejects.toThrow('one word');
    expect(await listOwnWords()).toEqual([]);
  });
  test('confirmed by ear in one accent, it waits in another', async () => {
    await saveOwnWord(ZORBLE);
    await accent('scottish');
    const found = await find({ sounds: 'any', q: 'zorble' });
    expect(found.results).toEqual([]);
    expect(found.waiting).toEqual(['zorble']);
    await saveOwnWord(ZORBLE);
    expect((await find({ sounds: 'any', q: 'zorble' })).waiting).toEqual([]);
  });
  test('removed while a session runs: its answers are still kept', async () => {
    await saveOwnWord(ZORBLE);
    const group = await addGroup('G');
    const session = await startWords({ groupId: group.id, task: 'blending', words: ['zorble', 'sun'] });
    await removeOwnWord('zorble');
    const { refused } = await appendLog(session, [
      {
        kind: 'answer',
        id: v7(),
        at: 1,
        turn: 0,
        childId: null,
        word: 'zorble',
        outcome: 'on-own',
        ...ONLY_MARKED,
        thinkMs: 1,
      },
    ]);
    expect(refused).toEqual([]);
    await expect(startWords({ groupId: group.id, task: 'blending', words: ['zorble'] })).rejects.toThrow('zorble');
  });
});

describe('the prop shelf', () => {
  test('ticks are kept; first sounds covered and lacking are told apart; cautions stand with the thing', async () => {
    await setOwned('sock', true);
    await setOwned('button', true);
    expect(await ownedProps()).toEqual(new Set(['sock', 'button']));
    const all = await shelf();
    expect(all.find((s) => s.ipa === 's')).toMatchObject({ owned: 1 });
    expect(sure(all.find((s) => s.ipa === 'b')).words.find((w) => w.word === 'button')).toMatchObject({
      owned: true,
      cautions: ['small'],
    });
    expect(all.filter((s) => s.owned === 0).length).toBeGreaterThan(10);
    await setOwned('sock', false);
    expect(await ownedProps()).toEqual(new Set(['button']));
    await expect(setOwned('nonsuch', true)).rejects.toMatchObject({ status: 404 });
  });
});

describe('sounds taught', () => {
  test('per group; a sound that is none is refused and nothing changes; they go with the group', async () => {
    const [a, b] = [await addGroup('A'), await addGroup('B')];
    await saveTaught(a.id, ['s', 'TRAP']);
    await expect(saveTaught(a.id, ['s', 'BANG'])).rejects.toThrow('isn’t a sound');
    expect(await taughtSounds(a.id, 'southern-british')).toEqual(new Set(['s', 'TRAP']));
    expect(await taughtSounds(b.id, 'southern-british')).toEqual(new Set());
    await eraseGroup(a.id);
    const { models } = await database();
    expect(await models.taughtSounds.count()).toBe(0);
  });
});

describe('a word’s page', () => {
  test('how each accent says it, each count, letters, neighbours by place, rhymes, where it was played', async () => {
    const group = await addGroup('Radishes');
    const session = await startWords({ groupId: group.id, task: 'blending', words: ['card'] });
    await appendLog(session, [
      {
        kind: 'answer',
        id: v7(),
        at: 1,
        turn: 0,
        childId: null,
        word: 'card',
        outcome: 'on-own',
        ...ONLY_MARKED,
        thinkMs: 1,
      },
    ]);
    const page = await wordPage('card', group.id);
    expect(page.accents.map((a) => a.ipa)).toEqual(['kɑːd', 'kɑːd', 'kard', 'kɑrd']);
    expect(page.letters.map((b) => b.letters)).toEqual(['c', 'ar', 'd']);
    expect(sure(page.neighbours.find((n) => n.change === 'swap' && n.at === 0)).words).toEqual(
      expect.arrayContaining(['hard', 'yard']),
    );
    expect(page.rhymes).toContain('guard');
    expect(await usesOf('card', group.id)).toMatchObject([{ sessionId: session, answers: 1 }]);
    await accent('general-american', 'strict');
    expect((await wordPage('card', group.id)).word.count).toBe(4);
    await expect(wordPage('nonsuch', group.id)).rejects.toMatchObject({ status: 404 });
  });
  test('a sound on its own: how it is made and words for it; a sound of another accent is not there', async () => {
    const s = await soundPage('s');
    expect(s.how.made).toMatch(/hiss/);
    for (const w of s.first) expect(sure(w.marks[0]).ipa).toBe('s');
    for (const w of s.last) expect(sure(w.marks.at(-1)).ipa).toBe('s');
    await expect(soundPage('ʍ')).rejects.toMatchObject({ status: 404 });
  });
  test.each([
    'southern-british',
    'northern-english',
    'scottish',
    'general-american',
    'general-american-merged',
  ] as const)('every sound of %s has its page and its place in the chart', async (id) => {
    await accent(id);
    const { consonants, vowels } = await soundChart();
    const all = [...consonants.flatMap((row) => row.cells.flatMap((cell) => cell.sounds)), ...vowels];
    for (const { ipa } of all) expect((await soundPage(ipa)).how.made.length, ipa).toBeGreaterThan(20);
    expect(all.length).toBeGreaterThan(34);
  });
});

test('the examples of the settings part where the accents do', () => {
  const all = examplesOfCounting();
  const said = (id: AccentId, word: string): string =>
    sure(all[id].words.find((w) => w.word === word))
      .marks.map((m) => m.ipa)
      .join(' ');
  expect([said('southern-british', 'bath'), said('northern-english', 'bath')]).toEqual(['b ɑː θ', 'b a θ']);
  expect([said('southern-british', 'new'), said('general-american', 'new')]).toEqual(['n j uː', 'n u']);
  expect([said('general-american', 'moth'), said('general-american-merged', 'moth')]).toEqual(['m ɔ θ', 'm ɑ θ']);
  expect(all['southern-british'].rhymes.map((r) => r.rhyme)).toEqual([true, false]);
  expect(all['scottish'].rhymes.map((r) => r.rhyme)).toEqual([false, false]);
});
