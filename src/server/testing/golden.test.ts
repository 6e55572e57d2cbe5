import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { times } from '../../core/testing/deep';
import { goldenRows } from './golden';

// Made by this project itself on an earlier commit: it says that nothing changed, not that anything is right. What is
// right is judged by testing/every-game and the references. After a change that is meant, `GOLDEN=write npm run
// test:unit -- golden` writes the file anew, and names every game that is made otherwise now.
const FILE = 'src/server/testing/golden.tsv';
const WRITE = process.env.GOLDEN === 'write';

const kept = (): Map<string, string> =>
  new Map(
    readFileSync(FILE, 'utf8')
      .split('\n')
      .filter(Boolean)
      .map((row) => [row.split('\t')[0] ?? '', row]),
  );
const rowOf = ({ name, count, hash }: ReturnType<typeof goldenRows>[number]): string => `${name}\t${count}\t${hash}`;

/** Names of what is new, made otherwise and gone, each kind in a line. */
function differences(before: ReadonlyMap<string, string>, after: ReadonlyMap<string, string>): string {
  const kinds = {
    new: [...after.keys()].filter((name) => !before.has(name)),
    'made otherwise': [...after].filter(([name, row]) => before.has(name) && before.get(name) !== row).map(([n]) => n),
    gone: [...before.keys()].filter((name) => !after.has(name)),
  };
  return Object.entries(kinds)
    .map(([kind, names]) => `${kind}: ${names.join(', ') || 'none'}`)
    .join('\n');
}

test('every seeded item, judged answer, plan and change of a plan is as it was', () => {
  const before = kept();
  const rows = goldenRows(WRITE ? 1 : times(1, 60));
  if (WRITE) {
    writeFileSync(FILE, rows.map((row) => `${rowOf(row)}\n`).join(''));
    console.log(`${FILE} is written anew.\n${differences(before, kept())}`);
    return;
  }
  expect(rows.length).toBeGreaterThan(0);
  expect(rows.filter((row) => before.get(row.name) !== rowOf(row)).map((row) => row.name)).toEqual([]);
});

test('what a rewrite changed is named', () => {
  const before = new Map(['a', 'b', 'c'].map((name) => [name, name]));
  const after = new Map([
    ['a', 'a'],
    ['b', 'other'],
    ['d', 'd'],
  ]);
  expect(differences(before, after)).toBe('new: d\nmade otherwise: b\ngone: c');
});
