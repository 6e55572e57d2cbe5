import { LRUCache } from 'lru-cache';

/**
 * What was worked out of children while a file is open, until anything new is seen of them. A value is kept only where
 * nothing was let go since it was begun, so nobody is shown what an answer kept meanwhile has changed.
 */
export interface Remembered {
  /** Grows when something of a child is let go. To be asked before the file is read. */
  sinceOf(child: string): number;
  /** What is remembered under a name; undefined where nothing is. */
  recall<T>(child: string, name: string): T | undefined;
  keep(child: string, name: string, value: object, since: number): void;
  /** Lets go of all that is remembered of some children. */
  letGo(children: Iterable<string>): void;
}

/** Children remembered at once; those asked for longest ago are let go first. */
const CHILDREN = 400;

/** @example remembered().recall('c1', 'advice') // undefined */
export function remembered(): Remembered {
  const kept = new LRUCache<string, Map<string, object>>({ max: CHILDREN });
  const since = new Map<string, number>();
  const sinceOf = (child: string): number => since.get(child) ?? 0;
  return {
    sinceOf,
    recall: <T>(child: string, name: string) => kept.get(child)?.get(name) as T | undefined,
    keep: (child, name, value, begun) => {
      if (begun !== sinceOf(child)) return;
      kept.set(child, (kept.get(child) ?? new Map<string, object>()).set(name, value));
    },
    letGo: (children) => {
      for (const child of children) {
        since.set(child, sinceOf(child) + 1);
        kept.delete(child);
      }
    },
  };
}
