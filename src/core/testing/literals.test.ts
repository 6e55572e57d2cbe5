import { describe, expect, test } from 'vitest';
import { sentencesIn } from './literals';
import { rooms, roomsToRead } from './rooms';

describe('sentences that somebody reads', () => {
  test('are found: in pages, attributes, errors and templates', () => {
    const found = (source: string, file = 'a.tsx') => sentencesIn(source, file).map(({ text }) => text);
    expect(found('const a = <p>Nothing here yet</p>;')).toEqual(['Nothing here yet']);
    expect(found('const a = <p aria-label="Nothing yet" className="mt-2 flex" />;')).toEqual(['Nothing yet']);
    expect(found("throw new Problem('There is no such round.');", 'a.ts')).toEqual(['There is no such round.']);
    expect(found('const a = `${n} words left`;', 'a.ts')).toEqual(['{n} words left']);
    expect(found("const a = 'No one ' + 'is here.';", 'a.ts')).toEqual(['No one is here.']);
    expect(found('const a = <p>\n  Ready for {group.name}{" "}\n  and <b>the rest</b>.\n</p>;')).toEqual([
      'Ready for {name} and',
      'the rest',
    ]);
  });
  test('what is for machines is passed over', () => {
    for (const source of [
      "import a from 'some place';",
      "const a = format(day, 'EEEE d MMMM');",
      "throw new Error('This cannot be.');",
      "if (a === 'Some thing') b();",
      "const sql = 'SELECT id FROM answers';",
      'const a = <p className="mt-2 flex" id="a b" />;',
    ])
      expect(sentencesIn(source, 'a.tsx'), source).toEqual([]);
  });
  test('of every room can be printed', () => {
    expect(rooms().length).toBeGreaterThan(40);
    expect(roomsToRead()).toContain('Every answer you marked is saved.');
  });
});
