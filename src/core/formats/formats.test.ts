import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { csv } from './csv';
import { readNames } from './names';
import { wordsSchema, logBodySchema, nameSchema, startSchema } from './schemas';
import { CSV_COLUMNS, toCsv, type ExportRow, type SessionExport } from './session-export';
import { sure } from '../sure';

const row = (more: Partial<ExportRow>): ExportRow => ({
  id: '01900000-0000-7000-8000-000000000001',
  turn: 0,
  task: 'blending',
  step: '4',
  child: 'Wren',
  word: 'frog',
  sounds: ['f', 'r', 'ɒ', 'ɡ'],
  outcome: 'not-yet',
  slip: 'lost-sound',
  said: 'f ɒ ɡ',
  heard: 'f · [r] · o · g',
  missed: [1],
  helps: ['slower'],
  note: null,
  thinkMs: 4_200,
  standing: 'fresh',
  selfCorrected: false,
  shown: false,
  markedBy: null,
  partner: null,
  differs: false,
  at: '2026-11-02T09:40:00.000Z',
  before: [],
  ...more,
});
const file = (...answers: ExportRow[]): SessionExport => ({
  format: 'bouncy-echo-session',
  version: 4,
  answers,
  session: {
    id: 'x',
    group: 'Radishes',
    title: 'Blending, 4 sounds',
    rounds: [{ task: 'blending', step: '4', items: ['frog'] }],
    paper: null,
    accent: 'southern-british',
    startedAt: '2026-11-02T09:40:00.000Z',
    finishedAt: null,
  },
});

describe('CSV (RFC 4180; formula guard after OWASP, CSV Injection)', () => {
  test('has its rows and reads back', () => {
    const { data } = Papa.parse<Record<string, string>>(toCsv(file(row({}), row({ child: null }))).slice(1), {
      header: true,
      skipEmptyLines: true,
    });
    expect(data).toHaveLength(2);
    expect(Object.keys(sure(data[0]))).toEqual([...CSV_COLUMNS]);
    expect(data[0]).toMatchObject({
      round: '1',
      turn: '1',
      task: 'blending',
      step: '4',
      child: 'Wren',
      word: 'frog',
      outcome: 'Not yet',
      'sounds that slipped': 'r',
      help: 'slower',
      'seconds to mark': '4.2',
    });
    expect(sure(data[1]).child).toBe('Everyone together');
  });
  test('what stands beside an answer has columns of its own, and a correction says why', () => {
    const before = [{ id: 'a', outcome: 'not-yet' as const, at: '2026-11-02T09:39:00.000Z', why: 'mis-tap' as const }];
    const [only] = Papa.parse<Record<string, string>>(
      toCsv(
        file(row({ standing: 'in-chorus', selfCorrected: true, shown: true, markedBy: 'HB', partner: 'Kofi', before })),
      ).slice(1),
      { header: true },
    ).data;
    expect(only).toMatchObject({
      'stands as': 'all together',
      'put right by the child': 'yes',
      'spoken or shown': 'shown',
      'asked by': 'Kofi',
      'marked by': 'HB',
      'marked before as': 'Not yet (tapped the wrong button)',
    });
  });
  test.each(['=1+1', '+44', '-2', '@sum', '\tx', '=HYPERLINK("x")'])(
    'a cell that begins a formula does not stay one: %j',
    (name) => {
      const parsed = sure(Papa.parse<string[]>(toCsv(file(row({ child: name, note: name }))).slice(1)).data[1]);
      expect(parsed[4]).toBe(`'${name}`);
      expect(parsed[13]).toBe(`'${name}`);
    },
  );
  test('quotes, commas, new lines and other scripts survive', () => {
    const name = 'Ånna, "Nü"\n小明 🌱';
    expect(sure(Papa.parse<string[]>(toCsv(file(row({ child: name }))).slice(1)).data[1])[4]).toBe(name);
  });
});

describe('names', () => {
  test.each([
    ['  Ottilie  ', 'Ottilie'],
    ['小明', '小明'],
    ['🌻 Sunny', '🌻 Sunny'],
    ['محمد', 'محمد'],
    ['<script>alert(1)</script>', '<script>alert(1)</script>'],
    ['=cmd', '=cmd'],
    ['Zo\u0065\u0301', 'Zoé'],
    ['a\u202Eb', 'a b'],
  ])('%j is kept as %j', (typed, kept) => {
    expect(nameSchema.parse(typed)).toBe(kept);
  });
  test.each(['', '   ', '\u202E', 'x'.repeat(200)])('%j is refused in words', (typed) => {
    const read = nameSchema.safeParse(typed);
    expect(read.success).toBe(false);
    expect(sure(sure(read.error).issues[0]).message).toMatch(/^(A name needs|“x+…” is too long)/);
  });
  test('lines: blank ones pass, doubles are pointed out, what cannot be taken stays with its line', () => {
    const read = readNames(`Wren\n\n${'y'.repeat(200)}\nwren\nKofi`, ['kofi']);
    expect(read.names).toEqual(['Wren', 'wren', 'Kofi']);
    expect(read.doubles).toEqual(['wren', 'Kofi']);
    expect(read.problems).toMatchObject([{ line: 3, text: 'y'.repeat(200) }]);
  });
  test('commas, semicolons and tabs part names as lines do', () => {
    const read = readNames('Amir, Bea,Cody\tDee; Ede\n\n,Fay', []);
    expect(read.names).toEqual(['Amir', 'Bea', 'Cody', 'Dee', 'Ede', 'Fay']);
    expect(read.problems).toEqual([]);
  });
  test('a family emoji is one sign of many parts and is not cut', () =>
    expect(nameSchema.parse('👩‍👩‍👧 Jo')).toBe('👩‍👩‍👧 Jo'));
});

describe('doors', () => {
  test('the Words address never fails: what does not fit falls back', () => {
    expect(wordsSchema.parse({ sounds: '99', task: 'x', shape: '<b>', seed: 'NaN', size: '1000' })).toMatchObject({
      sounds: 3,
      task: 'blending',
      seed: 1,
    });
  });
  test.each([
    [{ entries: [{ kind: 'answer' }] }],
    [{ entries: 'no' }],
    [{}],
    [null],
    [{ entries: [], more: 1 }],
    [{ entries: [{ kind: 'undo', id: 'x', at: 0, answerId: 'y' }] }],
  ])('a log body that does not fit is refused: %j', (body) => {
    expect(logBodySchema.safeParse(body).success).toBe(false);
  });
  test('a start without words is refused in words', () => {
    const read = startSchema.safeParse({
      groupId: '01900000-0000-7000-8000-000000000001',
      task: 'blending',
      sounds: '3',
      words: ' , ',
    });
    expect(sure(sure(read.error).issues[0]).message).toBe('Choose at least one word.');
  });
});

// OWASP, CSV Injection: signs that begin a formula, also in full width, behind line ends, tabs and spaces.
test.each([
  '=1+1',
  '+1',
  '-1',
  '@A1',
  '=HYPERLINK("http://x")\nx',
  '＝1+1',
  '＋1',
  '－1',
  '＠A1',
  '\t=1',
  '\r\n=1',
  ' =1',
])('a spreadsheet does not take %j for a formula', (cell) => {
  expect(csv(['a'], [[cell]]).split('\r\n')[1]).toMatch(/^"?'/);
});
test.each(['sun', '5 + 3', 'a=b', '小明', 'well-known'])('%j is left as it is', (cell) => {
  expect(csv(['a'], [[cell]]).split('\r\n')[1]).toBe(cell);
});
