import { prepare } from '../core/lexicon/entry';
import { ACCENT_IDS, type AccentId } from '../core/phonology/accents';
import { CONVENTION_IDS, CONVENTION_WORDS, PRESETS, type ConventionId } from '../core/phonology/conventions';
import { bankEntry } from './bank';

export interface CountingExample { readonly word: string; readonly one: number; readonly two: number }

/** What each switch does to its example word, in every accent, computed and not listed. */
export function examplesOfCounting(): Record<AccentId, Record<ConventionId, CountingExample>> {
  const example = (accent: AccentId, id: ConventionId): CountingExample => {
    const word = CONVENTION_WORDS[id].example;
    const entry = bankEntry(word);
    if (!entry) throw new Error(`The example "${word}" is not in the bank.`);
    return {
      word,
      one: prepare(entry, accent, { ...PRESETS.strict, [id]: true }).count,
      two: prepare(entry, accent, PRESETS.strict).count,
    };
  };
  return Object.fromEntries(
    ACCENT_IDS.map((accent) => [accent, Object.fromEntries(CONVENTION_IDS.map((id) => [id, example(accent, id)]))]),
  ) as Record<AccentId, Record<ConventionId, CountingExample>>;
}
