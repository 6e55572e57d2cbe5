import { marksOf } from '../../core/games/marks';
import type { Mark } from '../../core/games/view';
import { prepare } from '../../core/lexicon/entry';
import { rhymes } from '../../core/lexicon/likeness';
import { ACCENT_IDS, type AccentId } from '../../core/phonology/accents';
import { CONVENTION_IDS, CONVENTION_WORDS, PRESETS, type ConventionId } from '../../core/phonology/conventions';
import { shippedEntry } from './bank';

interface CountingExample {
  readonly word: string;
  readonly one: number;
  readonly two: number;
}

export interface AccentExamples {
  readonly counting: Record<ConventionId, CountingExample>;
  /** Words on which the accents part, sound by sound. */
  readonly words: readonly { readonly word: string; readonly marks: readonly Mark[] }[];
  /** Pairs that rhyme in some accents alone. */
  readonly rhymes: readonly { readonly pair: readonly [string, string]; readonly rhyme: boolean }[];
}

/** Where the accents that ship part: the vowel of bath and cup, r after a vowel, y after n, wh, cot and caught. */
const SHOWN = ['bath', 'cup', 'card', 'new', 'whale', 'moth'] as const;
const PAIRS = [
  ['saw', 'door'],
  ['put', 'cut'],
] as const;

const exampleEntry = (word: string) => {
  const entry = shippedEntry(word);
  if (!entry) throw new Error(`The example "${word}" is not in the bank.`);
  return entry;
};

/** What each accent and switch does to its example words, computed and not listed. */
export function examplesOfCounting(): Record<AccentId, AccentExamples> {
  const inAccent = (accent: AccentId): AccentExamples => {
    const said = (word: string) => prepare(exampleEntry(word), accent, PRESETS.strict);
    const example = (id: ConventionId): CountingExample => {
      const { example: word } = CONVENTION_WORDS[id];
      return {
        word,
        one: prepare(exampleEntry(word), accent, { ...PRESETS.strict, [id]: true }).count,
        two: said(word).count,
      };
    };
    return {
      counting: Object.fromEntries(CONVENTION_IDS.map((id) => [id, example(id)])) as AccentExamples['counting'],
      words: SHOWN.map((word) => ({ word, marks: marksOf(said(word)) })),
      rhymes: PAIRS.map(([a, b]) => ({ pair: [a, b] as const, rhyme: rhymes(said(a), said(b)) })),
    };
  };
  return Object.fromEntries(ACCENT_IDS.map((accent) => [accent, inAccent(accent)])) as Record<AccentId, AccentExamples>;
}
