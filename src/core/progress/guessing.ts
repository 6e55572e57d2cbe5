/**
 * The chance of being right by luck alone, by task and step. Where an item offers choices it is one in their number
 * (tested against every item made); where a number is asked for, one in the numbers that a child may sensibly say.
 */
const ONE_OF: Readonly<Record<string, Readonly<Record<string, number>> | number>> = {
  clap: 2,
  'count-words': 3,
  'how-many': 2,
  'rhyme-pairs': 2,
  'same-first': 2,
  sort: 2,
  anywhere: 2,
  where: { ends: 2, all: 3 },
  'which-changed': { ends: 2, all: 3 },
  'rhyme-odd': { '3-far': 3, '4-far': 4, '3-same-start': 3, '4-same-vowel': 4 },
  'rhyme-match': { '2-far': 2, '3-far': 3, '3-same-start': 3, '3-same-vowel': 3 },
  'sound-odd': { '3-far': 3, '4-far': 4, '4-near': 4 },
  'blend-pictures': 3,
};

/** Example: `guessOf('rhyme-pairs', 'far') // 0.5`; 0 where the answer is open. */
export function guessOf(task: string, step: string): number {
  const row = ONE_OF[task];
  const of = typeof row === 'number' ? row : row?.[step];
  return of ? 1 / of : 0;
}
