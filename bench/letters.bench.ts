import { test } from 'vitest';
import { canRead, opens, type InPrint } from '../src/core/letters/readable';
import { spellingsOf } from '../src/core/letters/spellings';
import { seeded, shuffle } from '../src/core/random';
import { words } from '../src/core/testing/bank';
import { print, rowOf, timed } from './table';

test('letters', async () => {
  const all = words();
  const spellings = spellingsOf(all);
  const taught = (seed: number): InPrint => ({
    spellings: new Set(
      shuffle(spellings, seeded(seed))
        .slice(0, 10 + (seed % 60))
        .map(({ id }) => id),
    ),
    words: new Set(),
  });
  print('Letters', [
    rowOf('what each next spelling opens, with its best three', await timed(300, (i) => opens(all, taught(i))), 100),
    rowOf(
      'every word a group can read',
      await timed(300, (i) => {
        const print = taught(i);
        return all.filter((word) => canRead(word, print));
      }),
    ),
    rowOf('every spelling of the bank, worked out once', await timed(20, () => spellingsOf(all))),
  ]);
});
