import type { Choice } from '@/core/formats/schemas';

type Value = string | number | boolean | readonly string[] | undefined;

const listed = (value: string | number | readonly string[]): string =>
  typeof value === 'object' ? value.join(',') : String(value);

/** The address of the Words screen with some of its choices changed. */
export function address(choice: Choice, change: Partial<Record<keyof Choice, Value>>): string {
  const query = new URLSearchParams();
  for (const [name, value] of Object.entries({ ...choice, ...change } as Record<string, Value>)) {
    if (value === undefined || value === false || (Array.isArray(value) && !value.length && name !== 'words')) continue;
    query.set(name, value === true ? '1' : listed(value));
  }
  return `/words?${query.toString()}`;
}

/** A changed filter shows the first page again. */
export const FIRST_PAGE = { more: undefined } as const;

/** The address with a choice changed. */
export type To = (change: Parameters<typeof address>[1]) => string;
