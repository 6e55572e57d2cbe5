/**
 * What was said, as it is kept: sounds in IPA; sounds said in one go are joined by `+`, and a space stands where the
 * child stopped between. *frog* said as a word is `f+r+ɒ+ɡ`, taken apart `f r ɒ ɡ`, with its start kept together `f+r
 * ɒ ɡ`.
 */
export type Chunks = readonly (readonly string[])[];

/** Example: `chunksOf('f+r ɒ ɡ') // [['f', 'r'], ['ɒ'], ['ɡ']]`. */
export const chunksOf = (said: string): string[][] =>
  said
    .split(' ')
    .map((chunk) => chunk.split('+').filter(Boolean))
    .filter((chunk) => chunk.length);

/** Example: `saidOf([['f', 'r'], ['ɒ']]) // 'f+r ɒ'`. */
export const saidOf = (chunks: Chunks): string => chunks.map((chunk) => chunk.join('+')).join(' ');

/** Sounds said as one word. Example: `asWord(['s', 'ʌ', 'n']) // 's+ʌ+n'`. */
export const asWord = (sounds: readonly string[]): string => sounds.join('+');

/** Every sound in order, however it was parted. */
export const soundsSaid = (said: string): string[] => chunksOf(said).flat();
