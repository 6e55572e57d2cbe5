import type { LikelyContext } from '../answers/likely';
import { groupBy } from '../group-by';
import { accentOf, ownOf, type AccentId } from '../phonology/accents';
import { realiseSegments } from '../phonology/realise';
import type { Conventions } from '../phonology/conventions';
import { parseTranscription } from '../phonology/transcription';
import { formEntry, type Form } from '../lexicon/endings';
import { ipaOf, prepare, type Entry, type Word } from '../lexicon/entry';
import type { Guard } from '../lexicon/guard';
import type { OneBeatList } from '../lexicon/one-beat-list';
import { spellingsOf } from '../lexicon/likeness';
import type { Withheld } from '../lexicon/country';
import { neighbourhood, rhymeClasses, type Neighbourhood } from '../lexicon/neighbours';
import { onsetAndRime } from '../lexicon/syllables';
import { traitsOf } from '../lexicon/traits';
import { rimeSpellings, voiceWord, type RimeSpellings } from '../lexicon/voice-parts';
import { sure } from '../sure';
import { need } from './proof';
import type { Story } from './stories';

/** Everything games are made from, in one accent and counting convention. */
export interface Material {
  readonly accent: AccentId;
  /** The words that may be put forward; every one passed the guard. */
  readonly words: readonly Word[];
  /** Those and the words that are known and not put forward, so that what was made with one can still be read. */
  readonly byName: ReadonlyMap<string, Word>;
  /** Why a word that is known is not put forward; undefined for a word that is. */
  readonly whyWithheld: (word: string) => Withheld | undefined;
  readonly guard: Guard;
  readonly context: LikelyContext;
  /** Words with regular endings, for hunts and for adding. */
  readonly forms: () => readonly Word[];
  readonly baseOf: () => ReadonlyMap<string, { readonly base: string; readonly ending: Form['ending'] }>;
  readonly neighbours: () => Neighbourhood;
  readonly rhymes: () => ReadonlyMap<string, readonly Word[]>;
  /** How the ends of words are written and read. */
  readonly spellings: () => RimeSpellings;
  /** The word for a string of sounds, of the bank, its forms and the little words; undefined where none is known. */
  readonly knownAs: (sounds: readonly string[]) => string | undefined;
  /** Words and names of one beat that the bank need not have: nothing to show, and nothing to call made-up. */
  readonly oneBeats: OneBeatList;
  /** The sounds of any word of a sentence, little words and endings too; undefined for a word that is not known. */
  readonly soundsOf: (word: string) => readonly string[] | undefined;
  /** Sentences for counting words, by a word in them. */
  readonly counting: Counting;
  /** Little stories to catch sounds in. */
  readonly stories: readonly Story[];
  /** The sounds of names and words that only stories use. */
  readonly storyWords: () => ReadonlyMap<string, readonly string[]>;
  /** Works something out once. */
  readonly keep: <T>(key: string, make: () => T) => T;
  /** True where that is worked out already. */
  readonly has: (key: string) => boolean;
}

export interface MaterialSource {
  readonly accent: AccentId;
  readonly conventions: Conventions;
  readonly words: readonly Word[];
  /** Words that are known and not put forward, with the reason. */
  readonly further?: readonly FurtherWord[];
  readonly guard: Guard;
  readonly forms: readonly Form[];
  /** Rows of the list of little words: word, line, lines of the accents that differ. */
  readonly littleWords: readonly LittleWord[];
  /** Sentences for counting words, by a word in them. */
  readonly counting?: Counting;
  readonly stories?: readonly Story[];
  /** Rows as of the little words. */
  readonly storyWords?: readonly LittleWord[];
  readonly oneBeats: OneBeatList;
}

export interface FurtherWord {
  readonly word: Word;
  readonly why: Withheld;
}

/**
 * Parts words that may be put forward from those that are known and withheld.
 * @example partWords(words, () => undefined).further // []
 */
export function partWords(
  words: readonly Word[],
  why: (entry: Entry) => Withheld | undefined,
): { readonly words: Word[]; readonly further: FurtherWord[] } {
  const parted = { words: [] as Word[], further: [] as FurtherWord[] };
  for (const word of words) {
    const reason = why(word.entry);
    if (reason) parted.further.push({ word, why: reason });
    else parted.words.push(word);
  }
  return parted;
}

export interface LittleWord {
  readonly word: string;
  readonly line: string;
  readonly ownLines: Readonly<Record<string, string>>;
}

/** Reads the little words that sentences need and no game asks for (first row is the header). */
export const parseLittleWords = (text: string): LittleWord[] =>
  text
    .split('\n')
    .slice(1)
    .filter(Boolean)
    .map((row) => {
      const [word = '', line = '', own = ''] = row.split('\t');
      return {
        word,
        line,
        ownLines: Object.fromEntries(
          own
            .split(';')
            .filter(Boolean)
            .map((part) => part.split('=') as [string, string]),
        ),
      };
    });

/** A sentence whose words are counted; a former one is read where it was dealt before, and is not dealt any more. */
interface CountingSentence {
  readonly sentence: string;
  readonly former: boolean;
}
export type Counting = ReadonlyMap<string, readonly CountingSentence[]>;

/** Reads the sentences for counting words: word, sentence, former (first row is the header). */
export function parseCounting(text: string): Counting {
  const rows = text
    .split('\n')
    .slice(1)
    .filter(Boolean)
    .map((row) => row.split('\t'));
  const byWord = groupBy(rows, ([word = '']) => word);
  return new Map(
    [...byWord].map(([word, all]) => [
      word,
      all.map(([, sentence = '', former]) => ({ sentence, former: former === 'former' })),
    ]),
  );
}

/** A word whose spelling is read in one way by itself: *bow* and *row* are not, nor is *i*. */
const readsOneWay = (word: string, byName: ReadonlyMap<string, Word>): boolean =>
  word.length > 1 && byName.get(word)?.entry.doubt !== 'homograph';

/** What works each thing out once. */
function keeper(): Pick<Material, 'keep' | 'has'> {
  const kept = new Map<string, unknown>();
  return {
    keep: <T>(key: string, make: () => T): T => {
      if (!kept.has(key)) kept.set(key, make());
      return kept.get(key) as T;
    },
    has: (key) => kept.has(key),
  };
}

/** The sounds of words that stand in a list, in an accent. */
const littleWordsIn = (list: readonly LittleWord[], accent: AccentId): ReadonlyMap<string, readonly string[]> =>
  new Map(
    list.map(({ word, line, ownLines }) => [
      word,
      realiseSegments(parseTranscription(ownOf(ownLines, accent) ?? line), accentOf(accent)).map((s) => s.ipa),
    ]),
  );

/** Makes the material of an accent; the dearer parts only when a game first asks for them. */
export function materialOf({
  accent,
  conventions,
  words,
  further = [],
  guard,
  forms,
  littleWords,
  oneBeats,
  counting = new Map(),
  stories = [],
  storyWords = [],
}: MaterialSource): Material {
  const { keep, has } = keeper();
  const offered = new Map(words.map((w) => [w.word, w]));
  const known = further.filter(({ word }) => !offered.has(word.word));
  const withheldWords = new Map(known.map(({ word }) => [word.word, word]));
  const reasons = new Map(known.map(({ word, why }) => [word.word, why]));
  const byName = new Map([...withheldWords, ...offered]);
  const formsOf = (bases: ReadonlyMap<string, Word>): Word[] =>
    forms.flatMap((form) => {
      const base = bases.get(form.base);
      if (!base || byName.has(form.form)) return [];
      const made = prepare(formEntry(form, base.entry), accent, conventions);
      return guard(ipaOf(made)) ? [] : [made];
    });
  const formWords = (): readonly Word[] => keep('forms', () => formsOf(offered));
  const little = () => keep('little', () => littleWordsIn(littleWords, accent));
  const spelling = (key: string, fits: (word: string) => boolean): ReadonlyMap<string, string> =>
    keep(key, () => {
      const named = (bank: readonly Word[]): [string, string][] =>
        [...spellingsOf(bank.filter((w) => fits(w.word)))].map(([said, { word }]) => [said, word]);
      const small = [...little()].filter(([word]) => fits(word)).map(([word, said]) => [said.join(' '), word] as const);
      const known = [...named(formsOf(withheldWords)), ...named([...withheldWords.values()])];
      // Of words said alike, one of the later.
      return new Map([...known, ...small, ...named(formWords()), ...named(words)]);
    });
  const readsAlone = (word: string): boolean => readsOneWay(word, byName);
  const formByName = (): ReadonlyMap<string, Word> =>
    keep('forms by name', () => new Map(formWords().map((w) => [w.word, w])));
  const spellings = (): RimeSpellings =>
    keep('rime spellings', () =>
      rimeSpellings([...byName.values()], (letters, sounds) => oneBeats.mayRead(letters, sounds, accent)),
    );
  const knownAs = (sounds: readonly string[]): string | undefined =>
    spelling('by sounds', () => true).get(sounds.join(' '));
  return {
    accent,
    words,
    byName,
    whyWithheld: (word) => reasons.get(word),
    guard,
    keep,
    has,
    counting,
    stories,
    storyWords: () => keep('story words', () => littleWordsIn(storyWords, accent)),
    knownAs,
    oneBeats,
    context: {
      guard,
      spellingOf: (sounds) => (guard(sounds) ? undefined : spelling('printed', readsAlone).get(sounds.join(' '))),
      respell: (sounds) =>
        keep(`respelt ${sounds.join(' ')}`, () =>
          guard(sounds) ? null : voiceWord(sounds, { accent, spellings: spellings() }),
        ),
    },
    spellings,
    forms: formWords,
    baseOf: () => keep('bases', () => new Map(forms.map((f) => [f.form, { base: f.base, ending: f.ending }]))),
    neighbours: () => keep('neighbours', () => neighbourhood(words)),
    rhymes: () => keep('rhymes', () => rhymeClasses(words)),
    soundsOf: (word) => {
      const known = byName.get(word) ?? formByName().get(word);
      return known ? ipaOf(known) : little().get(word);
    },
  };
}

/** Words fit to stand in a game: each said in one way. */
export const playable = (material: Material): readonly Word[] =>
  material.keep('playable', () => material.words.filter((w) => !w.entry.doubt));

/** Words of one beat. */
export const oneBeat = (material: Material): readonly Word[] =>
  material.keep('one beat', () => playable(material).filter((w) => traitsOf(w).syllables === 1));

/**
 * Words of one beat by what they share: the first sound, the vowel and end, the start and end. Asked of another word,
 * `of` throws Unproved.
 */
export function shelves(material: Material) {
  return material.keep('shelves', () => {
    const words = oneBeat(material);
    const parts = new Map(words.map((w) => [w.word, onsetAndRime(w)]));
    const partsOf = (w: Word) => need(parts.get(w.word), `“${w.word}” has more than one beat.`);
    return {
      of: partsOf,
      byFirst: groupBy(words, (w) => sure(ipaOf(w)[0])),
      byVowel: groupBy(words, (w) => partsOf(w).vowel),
      byEnds: groupBy(words, (w) => `${partsOf(w).onset.join(' ')}|${partsOf(w).coda.join(' ')}`),
    };
  });
}
