import { preparedBank } from './bank';
import { getSettings } from '../setting/settings';
import { savedSet } from './word-sets';
import { shown, type ShownWord } from './words';

export interface PrintedSet {
  readonly id: string;
  readonly name: string;
  readonly words: readonly (ShownWord & { readonly sentence: string })[];
}

/** A saved set with all that goes on paper. */
export async function printedSet(id: string): Promise<PrintedSet> {
  const set = await savedSet(id);
  const { accent, conventions } = await getSettings();
  const { byName } = await preparedBank(accent, conventions);
  const words = set.words.flatMap((name) => byName.get(name) ?? []);
  return { id, name: set.name, words: words.map((w) => ({ ...shown(w), sentence: w.entry.sentence })) };
}
