import type { Word } from '../lexicon/entry';
import { CONSONANTS, isVowel } from '../phonology/sounds';
import { sure } from '../sure';

/**
 * Made-up children who hear all there is and cannot say it yet, and children who say everything and do not hear it
 * yet. Ways of speaking: Grunwell, Clinical Phonology (2nd ed., 1987) and Bowen's lists of phonological processes,
 * from memory; which awareness goes with what is our own scenario.
 */
type Says = (sounds: readonly string[], word: Word) => string[];

const swapped =
  (swaps: Readonly<Record<string, string>>): Says =>
  (sounds) =>
    sounds.map((s) => swaps[s] ?? s);

const without = (sounds: readonly string[], at: number): string[] =>
  at < 0 ? [...sounds] : sounds.filter((_, i) => i !== at);

const consonant = (ipa: string | undefined): boolean => ipa !== undefined && !isVowel(ipa);
/** How many consonants stand before the first vowel, and after the last. */
const edges = (sounds: readonly string[]): { readonly before: number; readonly after: number } => ({
  before: sounds.findIndex(isVowel),
  after: sounds.length - 1 - sounds.findLastIndex(isVowel),
});
const isNasalOrL = (ipa: string | undefined): boolean =>
  ['nasal', 'lateral approximant'].includes(CONSONANTS[ipa ?? '']?.manner ?? '');

/** The sound a child leaves out of a pair at the start: the s of *spoon*, the r of *frog*. */
const opening: Says = (sounds) => {
  if (edges(sounds).before < 2) return [...sounds];
  return without(sounds, sounds[0] === 's' ? 0 : 1);
};
/** At the end: the n of *went*, the last of *nest*. */
const closing: Says = (sounds) => {
  const { after } = edges(sounds);
  if (after < 2) return [...sounds];
  const first = sounds.length - after;
  return without(sounds, isNasalOrL(sounds[first]) ? first : sounds.length - 1);
};

/** The beat that is left out: the weak one before the strong one (*nana* for *banana*). */
const weakBeat: Says = (sounds, word) => {
  const strong = word.segments.findIndex((s) => s.stress === 'main');
  const beat = word.sounds.find((s) => s.segment === strong)?.syllable ?? 0;
  const kept = sounds.filter((_, i) => (word.sounds[i]?.syllable ?? beat) >= beat);
  return kept.length ? kept : [...sounds];
};

/** Eight ways of speaking. */
export const SPEECH: Readonly<Record<string, Says>> = {
  fronting: swapped({ k: 't', ɡ: 'd', ŋ: 'n' }),
  stopping: swapped({ f: 'p', v: 'b', s: 't', z: 'd', ʃ: 't', θ: 't', ð: 'd', tʃ: 't', dʒ: 'd' }),
  gliding: swapped({ r: 'w', l: 'w' }),
  'f for th': swapped({ θ: 'f', ð: 'v' }),
  lisp: swapped({ s: 'θ', z: 'ð' }),
  'clusters made short': (sounds, word) => closing(opening(sounds, word), word),
  'ends left off': (sounds) =>
    consonant(sounds.at(-1)) && sounds.length > 2 ? without(sounds, sounds.length - 1) : [...sounds],
  'weak beats left off': weakBeat,
};

/** What a child with a gap hears of a word; `apart` where they are to take it apart. */
export interface Gap {
  /** Ids of patterns that would name it. */
  readonly named: readonly string[];
  /** Whether a word has what the gap is about. */
  readonly holds: (sounds: readonly string[]) => boolean;
  /** The sounds they answer with, in the parts they say them in. */
  readonly answer: (sounds: readonly string[], apart: boolean) => string[][];
  /** Only taking apart shows it. */
  readonly onlyApart?: true;
}

const lost =
  (at: (sounds: readonly string[]) => number): Gap['answer'] =>
  (sounds, apart) => {
    const left = without(sounds, at(sounds));
    return apart ? left.map((s) => [s]) : [left];
  };
const gapAt = (named: readonly string[], at: (sounds: readonly string[]) => number): Gap => ({
  named,
  holds: (sounds) => at(sounds) >= 0,
  answer: lost(at),
});
const when = (holds: boolean, at: number): number => (holds ? at : -1);
const single = (sounds: readonly string[]): string[][] => sounds.map((s) => [s]);

/** Eight gaps. */
export const GAPS: Readonly<Record<string, Gap>> = {
  'second of a start': gapAt(['opening-second'], (s) => when(edges(s).before >= 2 && s[0] !== 's', 1)),
  's of a start': gapAt(['opening-s'], (s) => when(edges(s).before >= 2 && s[0] === 's', 0)),
  'l of a start': gapAt(['opening-l', 'opening-second'], (s) => when(edges(s).before >= 2 && s[1] === 'l', 1)),
  'first of an end': gapAt(['closing-first'], (s) => when(edges(s).after >= 2 && isNasalOrL(s.at(-2)), s.length - 2)),
  'last of an end': gapAt(['closing-last'], (s) =>
    when(edges(s).after >= 2 && !['d', 'z'].includes(sure(s.at(-1))), s.length - 1),
  ),
  'short ends': gapAt(['last-stops', 'last-consonants'], (s) =>
    when(
      edges(s).after === 1 && ['stop', 'affricate'].includes(CONSONANTS[sure(s.at(-1))]?.manner ?? ''),
      s.length - 1,
    ),
  ),
  'the end kept whole': {
    named: ['keeps-rime'],
    onlyApart: true,
    holds: (s) => edges(s).before >= 1 && edges(s).after >= 1,
    answer: (s) => [...single(s.slice(0, edges(s).before)), s.slice(edges(s).before)],
  },
  'the start kept whole': {
    named: ['keeps-cluster'],
    onlyApart: true,
    holds: (s) => edges(s).before >= 2,
    answer: (s) => [s.slice(0, edges(s).before), ...single(s.slice(edges(s).before))],
  },
};
