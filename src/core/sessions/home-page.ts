import { listed } from '../in-words';
import { makingOf } from '../phonology/sounds';
import { voiceRow, voiceText } from '../phonology/voice-label';
import type { Making } from '../phonology/consonants';
import type { AccentId } from '../phonology/accents';
import { FAMILIES } from '../games/families';
import { homePage as say } from './text';

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

const SHORTLY: Partial<Record<Making, string>> = {
  clip: say.shortNoUh,
  hold: say.heldMoment,
  light: say.lightlyNoUh,
};
export const HOME_WORDS = 6;
const CLOSE = say.minutePlentyGame;

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
  readonly families: readonly string[];
  readonly words: readonly HomeWord[];
  readonly accent: AccentId;
}): HomePage {
  const homes = FAMILIES.filter((f) => families.includes(f.id)).map((f) => f.atHome);
  const few = words.filter((w, i) => words.findIndex((o) => o.word === w.word) === i).slice(0, HOME_WORDS);
  const sounds = [...new Set(few.flatMap((w) => w.sounds))];
  return {
    title: say.whatWePlayed,
    played: homes.map((home) => home.played),
    tries: homes.map((home) => home.tries),
    words: few.map(({ word, sounds: own }) => ({ word, apart: voiceRow(own, accent, ' · ') })),
    sounds: (['clip', 'hold', 'light'] as const).flatMap((making) => {
      const of = [...new Set(sounds.filter((ipa) => makingOf(ipa) === making).map((ipa) => voiceText(ipa, accent)))];
      return of.length ? [say.say(listed(of), SHORTLY[making])] : [];
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
    ...block(say.tryHome, tries),
    ...block(
      say.aFewWords,
      words.map((w) => `${w.word}: ${w.apart}`),
    ),
    ...block(say.howSaySounds, sounds),
    '',
    close,
    '',
  ]
    .join('\n')
    .replace(/\n{3,}/g, '\n\n');
}
