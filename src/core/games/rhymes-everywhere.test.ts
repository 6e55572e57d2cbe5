import { expect, test } from 'vitest';
import { rhymes } from '../lexicon/likeness';
import { ACCENT_IDS } from '../phonology/accents';
import { material, word } from '../testing/bank';
import { times } from '../testing/deep';
import { generate } from './generate';
import { stepOf, taskOf } from './index';

const SEEDS = times(60, 12);

/** Of the rhymes an accent is dealt, how many rhyme in every accent that ships. */
function everywhere(accent: (typeof ACCENT_IDS)[number]): { readonly all: number; readonly hold: number } {
  const pairs: (readonly [string, string])[] = [];
  for (const [task, step] of [
    ['rhyme-pairs', 'far'],
    ['rhyme-match', '3-far'],
  ] as const)
    for (let seed = 1; seed <= SEEDS; seed += 1)
      for (const item of generate(taskOf(task), stepOf(taskOf(task), step), material(accent), { size: 6, seed }).items)
        if (item.judged.by === 'choice') {
          const [head = '', ...others] = item.words.map((w) => w.word);
          const other = task === 'rhyme-pairs' ? others[0] : item.judged.choices[item.judged.right];
          if (other && (task === 'rhyme-match' || item.kind === 0)) pairs.push([head, other]);
        }
  const holds = ([a, b]: readonly [string, string]): boolean =>
    ACCENT_IDS.every((other) => rhymes(word(a, other), word(b, other)));
  return { all: pairs.length, hold: pairs.filter(holds).length };
}

// Door and paw, fork and walk, girl and curl rhyme for some and not for others: Wells, Accents of English (1982), from
// memory. A group may have children of any accent.
test.each(ACCENT_IDS)('nearly every rhyme dealt in %s rhymes in every accent that ships', (accent) => {
  const { all, hold } = everywhere(accent);
  expect(all).toBeGreaterThan(SEEDS * 6);
  expect(hold / all).toBeGreaterThan(0.98);
});
