import type { AccentId } from '../phonology/accents';
import { formEntry, type Ending } from '../lexicon/endings';
import { realise } from '../lexicon/entry';
import { sure } from '../sure';
import { bank } from './bank';

/** How a word with an ending is said, by the rule. */
export const said = (base: string, ending: Ending, accent: AccentId): string =>
  realise(formEntry({ form: `${base}${ending}`, base, ending }, sure(bank.find((e) => e.word === base))), accent)
    .map((s) => s.ipa)
    .join(' ');
