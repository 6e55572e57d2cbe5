import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { bank } from '../testing/bank';
import { sure } from '../sure';
import { ownWordSchema, spellingSchema, wordsSchema, type OwnWordInput } from './schemas';
import { readSetFile, setToCsv, setToJson, type SetFile } from './word-set';
import type { AccentId } from '../phonology/accents';
import { drawWords, listWords, readableOf, wordsListSchema, writeDraw, writeList } from './words-list';

const OWN: OwnWordInput = {
  word: 'zorble',
  line: "'z NORTH . b EL",
  letters: 'z|or|b|le',
  meaning: 'our shed, “the big one”',
  sentence: 'In the zorble, by the gate.',
  prop: true,
  cautions: ['small', 'cord'],
};
const set: SetFile = {
  name: 'Greenhouse words',
  words: [
    { word: 'sun', own: null },
    { word: 'zorble', own: OWN },
  ],
};

describe('a set as a file', () => {
  test.each([
    ['JSON', setToJson],
    ['CSV (RFC 4180)', setToCsv],
  ])('%s: written, read back, the same words with all that makes an own word', (name, write) => {
    const read = readSetFile(write(set), `Greenhouse words.${name.slice(0, 4).toLowerCase()}`);
    expect(read.fault).toBeNull();
    expect(read.rows.map((r) => r.word)).toEqual(set.words);
  });
  test('the CSV is one another program reads (Papa Parse, header row)', () => {
    const { data, errors } = Papa.parse<Record<string, string>>(setToCsv(set).replace('\uFEFF', ''), {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    expect(data.map((r) => r.word)).toEqual(['sun', 'zorble']);
    expect(sure(data[1]).meaning).toBe(OWN.meaning);
  });
  // OWASP, CSV Injection: a cell must not begin a formula.
  test('a meaning that begins a formula is guarded on the way out and whole on the way in', () => {
    const risky: SetFile = { name: 'x', words: [{ word: 'zorble', own: { ...OWN, meaning: '=1+1' } }] };
    expect(setToCsv(risky)).toContain("'=1+1");
    expect(sure(sure(sure(readSetFile(setToCsv(risky), 'x.csv').rows[0]).word).own).meaning).toBe('=1+1');
  });
  test.each([
    ['', 'empty'],
    ['   \n', 'empty'],
    ['name,count\nsun,3', '“word”'],
    ['{"format":"other"}', 'not a word set'],
    ['{"broken', 'can’t read this JSON'],
    ['[]', 'not a word set'],
    ['{"format":"bouncy-echo-word-set","version":2,"name":"x","words":[]}', 'not a word set'],
    ['{"format":"bouncy-echo-word-set","version":1,"name":"x","words":[]}', 'no words in the file'],
    ['word\n', 'One of them must be'],
    ['x'.repeat(300_000), 'too large'],
  ])('a file that is no set says why: %j', (text, why) => {
    const read = readSetFile(text, 'file.csv');
    expect(read.fault).toContain(why);
    expect(read.rows).toEqual([]);
  });
  test('a bad file is told row by row', () => {
    const { rows } = readSetFile(
      'word,sounds,letters\nsun,,\n<b>,,\nsun,,\n,,x\nzorble,q q,z|orble\nzorble,p l,zor|ble\nfrog,,',
      'mixed.csv',
    );
    expect(rows.map((r) => [r.row, r.text, r.why === null])).toEqual([
      [2, 'sun', true],
      [3, '<b>', false],
      [4, 'sun', false],
      [5, '', false],
      [6, 'zorble', false],
      [7, 'zorble', false],
      [8, 'frog', true],
    ]);
    expect(rows.map((r) => r.why ?? '').join(' ')).toMatch(
      /letters only.*in the file already.*letters only.*can’t read.*at least one vowel/,
    );
  });
  test('any text as a file: rows with a word or a reason, never a fault', () => {
    const lines = fc
      .array(
        fc.oneof(
          fc.string(),
          fc.constantFrom('word', 'sun', 'word,sounds', '"', '{', '[1,2]', '=cmd', "zorble,'z NORTH . b EL,z|or|b|le"),
        ),
        { maxLength: 12 },
      )
      .map((all) => all.join('\n'));
    fc.assert(
      fc.property(fc.oneof(lines, fc.json(), fc.string()), fc.string(), (text, name) => {
        const read = readSetFile(text, name);
        expect(read.name.length).toBeGreaterThan(0);
        for (const row of read.rows) {
          expect((row.word === null) !== (row.why === null)).toBe(true);
          if (row.word?.own) expect(ownWordSchema.safeParse(row.word.own).success).toBe(true);
        }
      }),
      { numRuns: 400 },
    );
  });
  test('any JSON in the shape of a set: no invalid entry comes through', () => {
    const entry = fc.record(
      {
        word: fc.oneof(fc.string(), fc.constant('zorble')),
        line: fc.oneof(fc.string(), fc.constant(OWN.line)),
        letters: fc.oneof(fc.string(), fc.constant(OWN.letters)),
        meaning: fc.string(),
        sentence: fc.string(),
        prop: fc.oneof(fc.boolean(), fc.string()),
        cautions: fc.array(fc.constantFrom('small', 'nonsense')),
      },
      { requiredKeys: ['word'] },
    );
    fc.assert(
      fc.property(fc.array(entry, { maxLength: 6 }), (words) => {
        for (const row of readSetFile(
          JSON.stringify({ format: 'bouncy-echo-word-set', version: 1, name: 'n', words }),
          'n.json',
        ).rows) {
          if (row.word?.own) expect(ownWordSchema.parse(row.word.own)).toEqual(row.word.own);
        }
      }),
      { numRuns: 300 },
    );
  });
});

describe('an own word at the door', () => {
  test.each([
    ['no vowel', { line: 's t' }, 'vowel'],
    ['keys that are none', { line: 'z zz' }, 'can’t read'],
    ['letters that spell something else', { letters: 'z|or|b|el' }, 'letters don’t fit'],
    ['one sound', { word: 'oar', line: 'FORCE', letters: 'oar' }, 'two sounds'],
    ['two words', { word: 'big zorble' }, 'one word'],
    ['a number', { word: 'z0rble' }, 'letters only'],
    ['a caution that is none', { cautions: ['fast'] as never }, ''],
  ])('%s is refused with a reason', (_, change, why) => {
    const read = ownWordSchema.safeParse({ ...OWN, ...change });
    expect(read.success).toBe(false);
    expect(sure(sure(read.error).issues[0]).message).toContain(why);
  });
  test('a spelling is taken as typed, tidied', () => {
    expect(spellingSchema.parse('  Fée ')).toBe('fée');
    expect(spellingSchema.parse('o’clock')).toBe("o'clock");
  });
  test('the Words address never fails, whatever is in it', () => {
    const query = fc.dictionary(
      fc.constantFrom(
        'sounds',
        'shape',
        'first',
        'sound',
        'place',
        'syllables',
        'only',
        'doubtful',
        'q',
        'sort',
        'more',
        'words',
        'set',
        'size',
      ),
      fc.string(),
    );
    fc.assert(
      fc.property(query, (asked) => {
        expect(wordsSchema.safeParse(asked).success).toBe(true);
      }),
    );
    expect(
      wordsSchema.parse({ only: 'picture,nonsense', sounds: '9', place: 'up', doubtful: 'yes', set: '../..' }),
    ).toMatchObject({ only: ['picture'], sounds: 3, place: undefined, set: undefined });
  });
});

describe('the list for reviewers', () => {
  const row = (
    word: string,
    accent: 'southern-british' | 'general-american' | 'scottish',
    convention: 'strict' | 'default' | 'letters',
  ) => sure(listWords(bank, wordsListSchema.parse({ accent, convention })).find((r) => r.word === word));
  test('every entry once, in the columns promised', () => {
    const rows = listWords(bank, wordsListSchema.parse({}));
    expect(rows.length).toBe(bank.length);
    for (const r of rows) {
      expect(r.units).toBe(r.unit_sounds.length);
      expect(r.unit_sounds.join('')).toBe(r.sounds.join(''));
      expect(r.shape.length).toBe(r.units);
      expect(r.contested).toBe(r.contested_why !== '');
    }
  });
  // Trade facts; the strict transcriptions as in the pronouncing dictionary (card K AA R D, box B AA K S).
  test('card, box, apple and whale as each is said and counted', () => {
    expect(row('card', 'general-american', 'strict')).toMatchObject({
      sounds: ['k', 'ɑ', 'r', 'd'],
      units: 4,
      shape: 'CVCC',
      contested: true,
    });
    expect(row('card', 'general-american', 'default')).toMatchObject({
      units: 3,
      shape: 'CVC',
      unit_sounds: ['k', 'ɑr', 'd'],
    });
    expect(row('box', 'southern-british', 'letters')).toMatchObject({ units: 3, unit_sounds: ['b', 'ɒ', 'ks'] });
    expect(row('apple', 'southern-british', 'strict')).toMatchObject({
      sounds: ['æ', 'p', 'ə', 'l'],
      units: 4,
      syllables: 2,
    });
    expect(row('whale', 'scottish', 'strict').sounds[0]).toBe('ʍ');
  });
  test('strict output has single IPA symbols, no tie bars and no syllabic marks', () => {
    for (const accent of ['southern-british', 'northern-english', 'scottish', 'general-american'] as const) {
      const said = new Set(
        listWords(bank, wordsListSchema.parse({ accent, convention: 'strict' })).flatMap((r) => r.sounds),
      );
      for (const sound of said) expect(sound).toMatch(/^[a-zɪɛæɒɔʌʊəɑʉɜɝɚɡŋθðʃʒʍ]+ː?$/);
      expect([...said].join('')).not.toMatch(/[\u0361\u0329g]/);
    }
  });
  test('CSV and JSON say the same', () => {
    const rows = listWords(bank.slice(0, 50), wordsListSchema.parse({}));
    const csv = Papa.parse<Record<string, string>>(writeList(rows, 'csv'), { header: true, skipEmptyLines: true }).data;
    expect(csv.map((r) => [r.word, sure(r.sounds).split(' '), Number(r.units)])).toEqual(
      rows.map((r) => [r.word, r.sounds, r.units]),
    );
    expect(JSON.parse(writeList(rows, 'json'))).toEqual(rows);
  });
  test.each([
    [{ accent: 'mars' }, 'southern-british'],
    [{ convention: 'x' }, 'strict'],
    [{ format: 'xml' }, 'csv'],
  ])('%j is refused with what there is', (asked, names) => {
    expect(sure(sure(wordsListSchema.safeParse(asked).error).issues[0]).message).toContain(names);
  });
  test('a draw: the same seed draws the same, another others, and no entry twice', () => {
    const draw = (seed: string): string[] =>
      drawWords(bank, wordsListSchema.parse({ sample: '250', seed })).map((row) => row.word);
    expect(draw('1f6a90c3')).toEqual(draw('1f6a90c3'));
    expect(draw('1f6a90c3')).not.toEqual(draw('1f6a90c4'));
    expect(new Set(draw('1f6a90c3')).size).toBe(250);
    expect(writeDraw(drawWords(bank, wordsListSchema.parse({ sample: 2 })), 'csv')).toMatch(/^word,band,where,sounds/);
    expect(wordsListSchema.safeParse({ seed: 'xyz' }).error?.issues[0]?.message).toContain('hexadecimal');
  });
});

test('the words that can be read with the spellings that were typed, in each accent; what is none is said', () => {
  const names = (taught: string, accent: AccentId): string[] =>
    readableOf(bank, wordsListSchema.parse({ taught, accent })).entries.map(({ word }) => word);
  expect(names('m o d t e h', 'scottish')).toEqual(expect.arrayContaining(['met', 'hot', 'dot']));
  // Wells (1982), 4.3: bath has the vowel of trap in the north.
  expect(names('b a th', 'northern-english')).toContain('bath');
  expect(names('b a th', 'southern-british')).not.toContain('bath');
  expect(readableOf(bank, wordsListSchema.parse({ taught: 'm zq' })).unread).toHaveLength(1);
  expect(readableOf(bank, wordsListSchema.parse({})).entries).toHaveLength(bank.length);
});
