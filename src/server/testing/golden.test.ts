import { readFileSync, writeFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { times } from '../../core/testing/deep';
import { goldenRows } from './golden';

// Made by this project itself on an earlier commit: it says that nothing changed, not that anything is right. What is
// right is judged by testing/every-game and the references. After a change that is meant, `GOLDEN=write npm run
// test:unit -- golden` writes the file anew, and the difference names every game that is made otherwise now.
const FILE = 'src/server/testing/golden.tsv';

test('every seeded item, judged answer, plan and change of a plan is as it was', () => {
  if (process.env.GOLDEN === 'write') {
    const rows = goldenRows(1);
    writeFileSync(FILE, rows.map(({ name, count, hash }) => `${name}\t${count}\t${hash}\n`).join(''));
  }
  const kept = new Map(
    readFileSync(FILE, 'utf8')
      .split('\n')
      .filter(Boolean)
      .map((row) => [row.split('\t')[0], row]),
  );
  const rows = goldenRows(times(1, 60));
  const changed = rows.filter(({ name, count, hash }) => kept.get(name) !== `${name}\t${count}\t${hash}`);
  expect(changed.map((row) => row.name)).toEqual([]);
});
