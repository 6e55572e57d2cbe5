/** With a capital first letter. Example: `capital('blend 3 sounds') // 'Blend 3 sounds'`. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A list as it is said. Example: `listed(['Ada', 'Bo', 'Cy']) // 'Ada, Bo and Cy'`. */
export const listed = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** So many of something. Example: `counted(1, 'session') // 'one session'`. */
export const counted = (n: number, one: string, more = `${one}s`): string => (n === 1 ? `one ${one}` : `${n} ${more}`);

/** Small numbers in words. Example: `inWords(5) // 'five'`. */
export const inWords = (n: number): string =>
  ['none', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'][n] ??
  String(n);
