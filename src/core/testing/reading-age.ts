import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';

/**
 * The reading age of some sentences, in years: the grade of Kincaid, Fishburne, Rogers and Chissom (1975, Research
 * Branch Report 8-75) and five years, as a first grade begins at six and the grades count from one.
 * @example readingAge('We sat in the sun.') // under 6
 */
export function readingAge(text: string): number {
  const words = text.match(/[A-Za-z’']+/g) ?? [];
  return (
    fleschKincaid({
      sentence: (text.match(/[.!?:](\s|$)/g) ?? []).length,
      word: words.length,
      syllable: words.reduce((sum, word) => sum + syllable(word), 0),
    }) + 5
  );
}
