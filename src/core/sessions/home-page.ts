import { listed } from '../in-words';
import { labelOf, makingOf, type Making } from '../phonology/sounds';
import type { AccentId } from '../phonology/accents';
import { FAMILIES, type FamilyId } from '../games/task';

/** A word to try at home: as it is spelt, and its sounds apart. */
export interface HomeWord {
  readonly word: string;
  readonly sounds: readonly string[];
}

export interface HomePage {
  readonly title: string;
  /** What we played, a sentence a game. */
  readonly played: readonly string[];
  /** What to try, a sentence a game. */
  readonly tries: readonly string[];
  readonly words: readonly { readonly word: string; readonly apart: string }[];
  /** How to say these sounds short. */
  readonly sounds: readonly string[];
  readonly close: string;
}

/**
 * What each family is, in words for families, and what to do with it on the way home. Ours; no child is named and
 * nothing is scored.
 */
export const AT_HOME: Readonly<Record<FamilyId, { readonly played: string; readonly tries: string }>> = {
  words: {
    played: 'We counted the words of a sentence, one pebble for each.',
    tries: 'Say a short sentence and lay down a button for each word.',
  },
  syllables: { played: 'We clapped the beats of words.', tries: 'Clap the names of everyone at the table.' },
  rhyme: {
    played: 'We listened for words that rhyme.',
    tries: 'Say a word and find another that rhymes. Made-up words are welcome.',
  },
  'first-sounds': {
    played: 'We listened for the sounds in words.',
    tries: 'Find things in the kitchen that begin with the same sound.',
  },
  blending: {
    played: 'One of us said the sounds of a word, one by one, and we said the word.',
    tries: 'Say the sounds of a word with a little gap between, and let your child say the word.',
  },
  segmenting: {
    played: 'We took words apart, sound by sound, and joined them again.',
    tries: 'Say a short word and put down a bean for each sound you hear.',
  },
  'leaving-out': {
    played: 'We said words without one of their sounds.',
    tries: 'Say a word, then say it without its first sound. What is left?',
  },
  adding: {
    played: 'We put a sound to a word and heard what it became.',
    tries: 'Put one sound before a short word and listen to what it becomes.',
  },
  swapping: {
    played: 'We changed one sound of a word and heard what it became.',
    tries: 'Change the first sound of a word: what does it turn into?',
  },
  'word-hunt': {
    played: 'We made as many words as we could from a handful of sounds.',
    tries: 'Think of words that hold a sound your child likes.',
  },
  echo: {
    played: 'We called words and sounds back like an echo.',
    tries: 'Say three words and let your child say them back, loud, soft or whispered.',
  },
};

const SHORTLY: Partial<Record<Making, string>> = {
  clip: 'short, with no “uh” after',
  hold: 'held for a moment',
  light: 'lightly, with no “uh” after',
};
export const HOME_WORDS = 6;
const CLOSE =
  'A minute here and there is plenty. It is a game to hear and say: no letters, no right or wrong, and stop ' +
  'while it is fun.';

/**
 * The page for families: what we played, a few words to try, how to say their sounds short. No names and no scores.
 * @example homePage({ families: ['blending'], words: [{ word: 'sun', sounds: ['s', 'ʌ', 'n'] }], accent
 * }).words[0].apart // 's · u · n'
 */
export function homePage({
  families,
  words,
  accent,
}: {
  readonly families: readonly FamilyId[];
  readonly words: readonly HomeWord[];
  readonly accent: AccentId;
}): HomePage {
  const order = FAMILIES.filter((f) => families.includes(f));
  const few = words.filter((w, i) => words.findIndex((o) => o.word === w.word) === i).slice(0, HOME_WORDS);
  const sounds = [...new Set(few.flatMap((w) => w.sounds))];
  return {
    title: 'What we played',
    played: order.map((f) => AT_HOME[f].played),
    tries: order.map((f) => AT_HOME[f].tries),
    words: few.map(({ word, sounds: own }) => ({
      word,
      apart: own.map((ipa) => labelOf(ipa, accent).label).join(' · '),
    })),
    sounds: (['clip', 'hold', 'light'] as const).flatMap((making) => {
      const of = [
        ...new Set(sounds.filter((ipa) => makingOf(ipa) === making).map((ipa) => labelOf(ipa, accent).label)),
      ];
      return of.length ? [`Say ${listed(of)} ${SHORTLY[making]}.`] : [];
    }),
    close: CLOSE,
  };
}

/** The page as plain text, for an e-mail or a message. */
export function homeText({ title, played, tries, words, sounds, close }: HomePage, group: string, day: string): string {
  const block = (heading: string, lines: readonly string[]): string[] => (lines.length ? ['', heading, ...lines] : []);
  return [
    `${title}: ${group}, ${day}`,
    ...block('', played).slice(1),
    ...block('To try at home', tries),
    ...block(
      'A few words',
      words.map((w) => `${w.word}: ${w.apart}`),
    ),
    ...block('How to say the sounds', sounds),
    '',
    close,
    '',
  ]
    .join('\n')
    .replace(/\n{3,}/g, '\n\n');
}
