import type { Random } from '../../src/core/random';

/** Text that has broken programs before. */
const TEXTS = [
  '',
  ' ',
  '\0',
  'a\0b',
  '%',
  '%00',
  '%ff',
  "'; DROP TABLE children; --",
  '"><script>alert(1)</script>',
  '=HYPERLINK("http://x")\nx',
  '$R1',
  '$@1',
  '__proto__',
  'constructor',
  '../../etc/passwd',
  '\u202Eabc',
  '😀'.repeat(40),
  'z'.repeat(5_000),
  'é́́́',
  '‰',
  '1e999',
  '-0',
  'NaN',
  'null',
  '2026-13-45',
  '99999999999999999999',
  '{"rounds":[]}',
  '[',
  '\uD800',
] as const;

const NUMBERS = [0, -1, 1, 0.5, 1e21, -1e21, 2 ** 53, 8.64e15 + 1, NaN, Infinity, -Infinity] as const;

/** Makes values that nobody should send, and some that anybody may, from what the file really has. */
export interface Strange {
  readonly one: <T>(of: readonly T[]) => T;
  /** An id of the file, an id of nothing, or something that is none. */
  readonly id: () => unknown;
  readonly text: () => string;
  readonly value: (depth?: number) => unknown;
  readonly form: (fields: readonly string[]) => FormData;
}

/** @param ids ids of what is in the file */
export function strange(random: Random, ids: readonly string[]): Strange {
  const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
  const text = (): string => one(TEXTS);
  const id = (): unknown => {
    const chance = random();
    if (chance < 0.6) return one(ids);
    if (chance < 0.7) return one(ids).toUpperCase();
    return chance < 0.85 ? '01980000-0000-7000-8000-00000000000a' : text();
  };
  const value = (depth = 0): unknown => {
    const chance = random();
    if (chance < 0.3) return id();
    if (chance < 0.55) return text();
    if (chance < 0.65) return one(NUMBERS);
    if (chance < 0.75) return one([true, false, null, undefined]);
    if (depth > 2) return [];
    if (chance < 0.88) return Array.from({ length: Math.floor(random() * 4) }, () => value(depth + 1));
    const names = ['id', 'name', 'kind', 'at', 'rounds', 'step', 'kept', 'answerId', 'outcome', 'newId', '__proto__x'];
    return Object.fromEntries(
      Array.from({ length: Math.floor(random() * 4) }, () => [one(names), value(depth + 1)] as const),
    );
  };
  const form = (fields: readonly string[]): FormData => {
    const made = new FormData();
    for (const field of fields) {
      if (random() < 0.2) continue;
      if (random() < 0.1) made.append(field, new File(['x'], 'x.txt'));
      else made.append(field, random() < 0.5 ? String(id()) : text());
    }
    return made;
  };
  return { one, id, text, value, form };
}
