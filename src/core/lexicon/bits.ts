/**
 * Sets of words as bits, 32 to a number: what is in two sets is one `&` for 32 words at once. Counting the bits of a
 * number: Warren, Hacker's Delight (2002), figure 5-2; from memory, held against plain counting in the tests.
 */
export type Bits = Uint32Array;

/** An empty set for so many words. Example: `noBits(40).length // 2`. */
export const noBits = (size: number): Bits => new Uint32Array((size + 31) >> 5);

export const putBit = (bits: Bits, at: number): void => {
  bits[at >> 5]! |= 1 << (at & 31);
};

export const hasBit = (bits: Bits, at: number): boolean => (bits[at >> 5]! & (1 << (at & 31))) !== 0;

/** The set of the words that pass. Example: `bitsWhere(3, (at) => at !== 1) // words 0 and 2`. */
export function bitsWhere(size: number, passes: (at: number) => boolean): Bits {
  const bits = noBits(size);
  for (let at = 0; at < size; at += 1) if (passes(at)) putBit(bits, at);
  return bits;
}

/** One set for each of so many kinds: a word is in the set of its kind. */
export function bitsByKind(kinds: ArrayLike<number>, count: number): Bits[] {
  const sets = Array.from({ length: count }, () => noBits(kinds.length));
  for (let at = 0; at < kinds.length; at += 1) putBit(sets[kinds[at]!]!, at);
  return sets;
}

/** What is in both, put into the first. */
export function keepCommon(bits: Bits, other: Bits): void {
  for (let i = 0; i < bits.length; i += 1) bits[i]! &= other[i]!;
}

/** What is in one or the other, put into the first. */
export function addAll(bits: Bits, other: Bits): void {
  for (let i = 0; i < bits.length; i += 1) bits[i]! |= other[i]!;
}

function ones(number: number): number {
  let n = number - ((number >>> 1) & 0x55555555);
  n = (n & 0x33333333) + ((n >>> 2) & 0x33333333);
  return Math.imul((n + (n >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/** How many words are in both. */
export function countCommon(a: Bits, b: Bits): number {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += ones(a[i]! & b[i]!);
  return sum;
}

/** How many words are in the first and not in the second. */
export function countOnlyIn(a: Bits, b: Bits): number {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += ones(a[i]! & ~b[i]!);
  return sum;
}

/** The words of a set, in order. */
export function wordsIn(bits: Bits): number[] {
  const out: number[] = [];
  for (let i = 0; i < bits.length; i += 1)
    for (let rest = bits[i]!; rest; rest &= rest - 1) out.push((i << 5) + (31 - Math.clz32(rest & -rest)));
  return out;
}
