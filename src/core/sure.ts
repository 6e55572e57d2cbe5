/**
 * The value, where what came before proves that there is one: an index below the length, a key that was just put there.
 * Throws with words where the proof was wrong.
 * Example: `sure(words[0])`; `sure(byId.get(id), 'the child of this answer')`.
 */
export function sure<T>(value: T | null | undefined, what = 'a value'): T {
  if (value === null || value === undefined) throw new Error(`There must be ${what} here, and there is none.`);
  return value;
}
