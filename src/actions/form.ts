import { z } from 'zod';

/** A field as it came; null where the form has none, or where what came is no form. */
export const fieldOf = (form: unknown, name: string): FormDataEntryValue | null =>
  form instanceof FormData ? form.get(name) : null;

/** The text of a field; empty where the form has none. */
export const formText = (form: unknown, name: string): string => {
  const value = fieldOf(form, name);
  return typeof value === 'string' ? value : '';
};

/** What was filled in, by the names of the fields. */
export const filledIn = (form: unknown): Record<string, FormDataEntryValue> =>
  form instanceof FormData ? Object.fromEntries([...form].filter(([, value]) => value !== '')) : {};

/** Text that somebody typed or a file held; what is none counts as empty. A zero sign ends texts in the file. */
export const typedText = z
  .string()
  .max(300_000)
  .transform((text) => text.replaceAll('\0', ''))
  .catch('');

/** Initials as they came; none where what came is no text. */
export const initialsIn = (came: unknown): string => (typeof came === 'string' ? came.trim().slice(0, 20) : '');
