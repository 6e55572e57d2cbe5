import { listed } from '../in-words';
import { labelOf, makingOf } from '../phonology/sounds';
import { voiceRow, voiceText } from '../phonology/voice-label';
import type { Making } from '../phonology/consonants';
import type { AccentId } from '../phonology/accents';
import { familyOf } from '../games';
import { FAMILIES } from '../games/families';

const keepShort = (sounds: string) => `Keep ${sounds} short, without an “uh” on the end.`;

const holdSounds = (sounds: string) => `Hold ${sounds} for a moment.`;

const sayLightly = (sounds: string) => `Say ${sounds} lightly, without an “uh” on the end.`;

/** A word to try at home: as it is spelt, and its sounds apart. */
export interface HomeWord {
  readonly word: string;
  readonly sounds: readonly string[];
}

export interface HomePage {
  readonly title: string;
  /** What we played, a sentence a game, and the sound of the day where there was one. */
  readonly played: readonly string[];
  /** One game that needs nothing but a voice. */
  readonly game: string;
  readonly words: readonly { readonly word: string; readonly apart: string }[];
  /** How to say these sounds short. */
  readonly sounds: readonly string[];
  readonly close: string;
}

interface PlayedGame {
  /** The families of the rounds, one for each answer or round: what stands there most often gives the game to try. */
  readonly families: readonly string[];
  readonly words: readonly HomeWord[];
  readonly accent: AccentId;
}

const SHORTLY: readonly (readonly [Making, (sounds: string) => string])[] = [
  ['clip', keepShort],
  ['hold', holdSounds],
  ['light', sayLightly],
];
export const HOME_WORDS = 6;
/** More games than this would not be read. */
const HOME_GAMES = 3;

/** A sound is the sound of the day where at least this share of the words has it. */
const OF_THE_DAY = 0.7;
const ENOUGH_WORDS = 4;

/** The sound that nearly all the words have, or null. Example: `ofTheDay([sun, sock, bus, sit]) // 's'`. */
function ofTheDay(words: readonly HomeWord[]): string | null {
  if (words.length < ENOUGH_WORDS) return null;
  const times = new Map<string, number>();
  for (const ipa of words.flatMap((w) => [...new Set(w.sounds)])) times.set(ipa, (times.get(ipa) ?? 0) + 1);
  const [most] = [...times].sort(([, a], [, b]) => b - a);
  return most && most[1] >= words.length * OF_THE_DAY ? most[0] : null;
}

/** What stands in a list, what is there most often first. */
const oftenFirst = (list: readonly string[]): string[] => {
  const times = (id: string): number => list.filter((other) => other === id).length;
  return [...new Set(list)].sort((a, b) => times(b) - times(a));
};

/**
 * The page for families: what we played, its sound, a few words, how to say their sounds short, and one game to try.
 * No names and no scores.
 * @example homePage({ families: ['blending'], words: [{ word: 'sun', sounds: ['s', 'ʌ', 'n'] }], accent
 * }).words[0].apart // 's · u · n'
 */
export function homePage({ families, words, accent }: PlayedGame): HomePage {
  const often = oftenFirst(families);
  const games = new Set(often.slice(0, HOME_GAMES));
  const each = words.filter((w, i) => words.findIndex((o) => o.word === w.word) === i);
  const day = ofTheDay(each);
  const few = (day === null ? each : each.filter((w) => w.sounds.includes(day))).slice(0, HOME_WORDS);
  const sounds = [...new Set(few.flatMap((w) => w.sounds))];
  return {
    title: 'What we played',
    played: [
      ...FAMILIES.filter((f) => games.has(f.id)).map((f) => f.atHome.played),
      ...(day === null || !few[0] ? [] : [`Our sound was ${labelOf(day, accent).label}, as in ${few[0].word}.`]),
    ],
    game: often[0] === undefined ? '' : familyOf(often[0]).atHome.tries,
    words: few.map(({ word, sounds: own }) => ({ word, apart: voiceRow(own, accent, ' · ') })),
    sounds: SHORTLY.flatMap(([making, line]) => {
      const alike = [...new Set(sounds.filter((ipa) => makingOf(ipa) === making).map((ipa) => voiceText(ipa, accent)))];
      return alike.length ? [line(listed(alike))] : [];
    }),
    close:
      'A minute here and there is plenty. These are listening and talking games: no letters, no wrong answers. ' +
      'Stop while it’s still fun.',
  };
}

/** The page as plain text, to read out or to paste into a message: sentences, and no marks but stops and commas. */
export function homeText({ title, played, game, words, sounds, close }: HomePage, group: string, day: string): string {
  return [
    `${title}: ${group}, ${day}`,
    played.join('\n'),
    game && `Try this at home: ${game}`,
    [...(words.length ? [`Some of our words: ${listed(words.map((w) => w.word))}.`] : []), ...sounds].join('\n'),
    `${close}\n`,
  ]
    .filter(Boolean)
    .join('\n\n');
}
