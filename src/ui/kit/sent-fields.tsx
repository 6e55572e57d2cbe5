/** What a form sends where its scripts have not come yet, by name. */
export const SentFields = ({ values }: { readonly values: Readonly<Record<string, string>> }) =>
  Object.entries(values).map(([name, value]) => <input key={name} type="hidden" name={name} value={value} />);
