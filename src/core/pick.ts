/** Some fields of a value, in the order they are named. Example: `pick({ a: 1, b: 2 }, ['b']) // { b: 2 }`. */
export const pick = <T extends object, K extends keyof T>(value: T, keys: readonly K[]): Pick<T, K> =>
  Object.fromEntries(keys.map((key) => [key, value[key]])) as Pick<T, K>;

/** A value without some of its fields. Example: `omit({ a: 1, b: 2 }, ['b']) // { a: 1 }`. */
export const omit = <T extends object, K extends keyof T>(value: T, keys: readonly K[]): Omit<T, K> =>
  Object.fromEntries(Object.entries(value).filter(([key]) => !keys.includes(key as K))) as Omit<T, K>;
