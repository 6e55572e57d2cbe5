/** The text of a field; empty where the form has none. */
export const textOf = (form: FormData, name: string): string => {
  const value = form.get(name);
  return typeof value === 'string' ? value : '';
};

/** What was filled in, by the names of the fields. */
export const filledIn = (form: FormData): Record<string, FormDataEntryValue> =>
  Object.fromEntries([...form].filter(([, value]) => value !== ''));
