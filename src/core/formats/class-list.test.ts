import { describe, expect, test } from 'vitest';
import { classRowsSchema, readClassList } from './class-list';

// All names and numbers are made up. Quoting and line ends: RFC 4180.
const takenIn = (text: string): (string | null)[] => readClassList(text).columns.map((c) => c.taken);

describe('a class list', () => {
  test('first name, group and own number are taken; what else stands there is named and left alone', () => {
    const list = readClassList(
      'First name,Surname,Born,Class,Pupil ID\n' +
        'Ottilie,Underhill,2022-04-01,Radishes,17\n"Kofi, the first",Lane,,Beans,\n',
    );
    expect(list.columns.map((c) => `${c.name}: ${c.taken ?? 'not taken'}`)).toEqual([
      'First name: name',
      'Surname: not taken',
      'Born: not taken',
      'Class: group',
      'Pupil ID: ownId',
    ]);
    expect(list.rows).toEqual([
      { line: 2, name: 'Ottilie', group: 'Radishes', ownId: '17', fault: null },
      { line: 3, name: 'Kofi, the first', group: 'Beans', ownId: '', fault: null },
    ]);
    expect(JSON.stringify(list.rows)).not.toMatch(/2022|Underhill/);
  });
  test('names on lines need no heading; nor do columns from a spreadsheet', () => {
    expect(readClassList('Ottilie\nKofi').rows.map((r) => `${r.line} ${r.name}`)).toEqual(['1 Ottilie', '2 Kofi']);
    expect(readClassList('Ottilie\tBeans\nKofi\tBeans').rows.map((r) => r.name)).toEqual(['Ottilie', 'Kofi']);
    expect(takenIn('Ottilie\tBeans')).toEqual(['name', null]);
  });
  test.each([
    ['name;group\r\nOttilie;Beans\r\n', ['name', 'group']],
    ['\uFEFFForename\tRoom\nOttilie\tBeans', ['name', 'group']],
    ['Child,Child,Name\nA,B,C', ['name', null, null]],
  ])('signs between columns, a byte order mark, heads that come twice: %j', (text, taken) => {
    expect(takenIn(text)).toEqual(taken);
  });
  test('a line that cannot be taken says why, and the others stay', () => {
    const { rows } = readClassList(`name,id\n,1\n${'x'.repeat(61)},2\nWren,${'9'.repeat(41)}\nIdris,4`);
    expect(rows.map((r) => r.fault === null)).toEqual([false, false, false, true]);
    expect(rows.every((r) => r.fault === null || r.fault.endsWith('.'))).toBe(true);
  });
  test('nothing, heads alone, and far too much are told', () => {
    expect(readClassList('  \n').fault).toContain('no names');
    expect(readClassList('name,group\n').fault).toContain('no names');
    expect(readClassList('Wren\n'.repeat(201)).fault).toContain('up to 200');
    expect(readClassList('x'.repeat(200_001)).fault).toContain('too long');
  });
  test('the door takes what was read, and nothing besides', () => {
    const row = { name: 'Wren', group: '', ownId: '' };
    expect(classRowsSchema.safeParse([row]).success).toBe(true);
    expect(classRowsSchema.safeParse([{ ...row, born: '2022-04-01' }]).success).toBe(false);
    expect(classRowsSchema.safeParse([]).success).toBe(false);
    expect(classRowsSchema.safeParse([{ ...row, name: ' ' }]).success).toBe(false);
  });
});
