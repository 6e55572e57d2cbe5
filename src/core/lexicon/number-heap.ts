/**
 * Numbers, the least of which is always at hand: a binary heap (Williams 1964, Algorithm 232; from memory).
 * @example new NumberHeap(Float64Array.of(3, 1, 2)).pop() // 1
 */
export class NumberHeap {
  private readonly items: number[] = [];

  constructor(from: ArrayLike<number>) {
    for (let at = 0; at < from.length; at += 1) this.items.push(from[at]!);
    for (let at = (this.items.length >> 1) - 1; at >= 0; at -= 1) this.sink(at);
  }

  get size(): number {
    return this.items.length;
  }

  push(item: number): void {
    const { items } = this;
    let at = items.push(item) - 1;
    while (at > 0) {
      const above = (at - 1) >> 1;
      if (items[above]! <= item) break;
      items[at] = items[above]!;
      at = above;
    }
    items[at] = item;
  }

  /** Takes the least away. Throws a RangeError where nothing is left. */
  pop(): number {
    const [least] = this.items;
    const last = this.items.pop();
    if (least === undefined || last === undefined) throw new RangeError('The heap is empty.');
    if (this.items.length) {
      this.items[0] = last;
      this.sink(0);
    }
    return least;
  }

  private sink(from: number): void {
    const { items } = this;
    const item = items[from]!;
    let at = from;
    for (let below = 2 * at + 1; below < items.length; below = 2 * at + 1) {
      const least = below + 1 < items.length && items[below + 1]! < items[below]! ? below + 1 : below;
      if (items[least]! >= item) break;
      items[at] = items[least]!;
      at = least;
    }
    items[at] = item;
  }
}
