/** Items in groups, in the order the keys first appear. Example: `groupBy(words, (w) => w.count)`. */
export function groupBy<T, K>(items: readonly T[], key: (item: T) => K): Map<K, T[]> {
  const out = new Map<K, T[]>();
  for (const item of items) {
    const group = out.get(key(item));
    if (group) group.push(item);
    else out.set(key(item), [item]);
  }
  return out;
}
