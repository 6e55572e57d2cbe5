import type { LikelyAnswer, LikelyContext } from '../answers/likely';
import { followsInCluster } from '../lexicon/difficulty';
import type { Word } from '../lexicon/entry';
import { CONVENTION_WORDS } from '../phonology/conventions';
import { labelOf, makingOf, MAKING_ADVICE, type Making } from '../phonology/sounds';

/** One sound as the bounce line shows it. */
export interface Mark {
  readonly ipa: string;
  readonly label: string;
  /** A word that tells two sounds with one label apart. */
  readonly as?: string;
  readonly making: Making;
  /** Stands close to the mark before it: both belong to one cluster. */
  readonly close: boolean;
  /** Shares an underline with the mark before it: the convention counts them as one. */
  readonly fused: boolean;
}

/** Everything the Play screen needs to run one word. Plain data: it crosses to the browser as it is. */
export interface Item {
  readonly word: string;
  readonly meaning: string;
  readonly sentence: string;
  readonly count: number;
  readonly marks: readonly Mark[];
  /** What the adult says, word for word. */
  readonly say: string;
  /** A line under it: how to say it, and what comes after the answer. */
  readonly how: string;
  /** What is right. */
  readonly expected: string;
  readonly likely: readonly LikelyAnswer[];
  /** Why the count may be argued about, in words. */
  readonly contested: string | null;
  readonly proof: readonly string[];
}

/** A game family: one object, one file. Adding one means adding it to the registry. */
export interface Game {
  readonly id: string;
  readonly name: string;
  /** What hands may do; shown with the model. */
  readonly gesture: string;
  /** Seconds a turn takes before a group's own pace is known. Common practice, no source. */
  readonly secondsPerTurn: number;
  /** Each mark can be tapped as missed. */
  readonly scoresSounds: boolean;
  say(word: Word): string;
  how(word: Word): string;
  expected(word: Word): string;
  /** Three lines: why we play, from our own allotment; the word done by the adult; the way over to the children. */
  modelScript(word: Word): readonly [string, string, string];
  likely(word: Word, context: LikelyContext): LikelyAnswer[];
}

/** The marks of a word's bounce line. */
export function marksOf(word: Word): Mark[] {
  const seconds = new Set(word.units.flatMap((unit) => unit.sounds.slice(1)));
  return word.sounds.map((sound, at) => ({
    ipa: sound.ipa,
    ...labelOf(sound.ipa, word.accent),
    making: makingOf(sound.ipa),
    close: followsInCluster(word, at),
    fused: seconds.has(sound),
  }));
}

/** Sounds as labels with dots between, for reading aloud. Example: `s … l … u … g`. */
export const spokenApart = (word: Word): string => word.sounds.map((s) => labelOf(s.ipa, word.accent).label).join(' … ');

/**
 * The other count, for each convention that would change it: "3 if x counts as one" where box has 4,
 * "4 if its end counts as two" where apple has 3.
 */
export function contestWords(word: Word): string | null {
  if (!word.contest) return null;
  const { by, strict } = word.contest;
  const lines = by.map(({ convention, count }) => {
    const fusedNow = word.units.some((unit) => unit.by === convention);
    const other = fusedNow ? word.count + (strict - count) : word.count - (strict - count);
    return `${other} if ${CONVENTION_WORDS[convention].thing} counts as ${fusedNow ? 'two' : 'one'}`;
  });
  if (word.contest.speaker.length) lines.push('the count changes from speaker to speaker');
  return lines.join('; ');
}

/**
 * Makes the item of a word and proves it: the marks join to the word's sounds, the count is the number of units,
 * and no likely answer that counts as a slip is the right answer. Throws an Error where a proof fails.
 */
export function makeItem(game: Game, word: Word, context: LikelyContext): Item {
  const marks = marksOf(word);
  const likely = game.likely(word, context);
  const proof: [string, boolean][] = [
    ['the marks are the sounds of the word', marks.map((m) => m.ipa).join(' ') === word.sounds.map((s) => s.ipa).join(' ')],
    ['the count is the number of units', marks.filter((m) => !m.fused).length === word.count],
    ['the word passes the guard', !context.guard(word.sounds.map((s) => s.ipa))],
    ['likely answers differ from each other', new Set(likely.map((a) => a.id)).size === likely.length],
  ];
  const broken = proof.find(([, holds]) => !holds);
  if (broken) throw new Error(`No item for "${word.word}": ${broken[0]} does not hold.`);
  return {
    word: word.word,
    meaning: word.entry.meaning,
    sentence: word.entry.sentence,
    count: word.count,
    marks,
    say: game.say(word),
    how: game.how(word),
    expected: game.expected(word),
    likely,
    contested: contestWords(word),
    proof: proof.map(([what]) => what),
  };
}

const list = (labels: readonly string[]): string =>
  labels.length < 2 ? labels.join('') : `${labels.slice(0, -1).join(', ')} and ${labels.at(-1)}`;

/** How to say the word's sounds alone: which to clip, which to hold. Example: "Hold /s/ and /l/. Clip /g/: no “uh”." */
export function sayingAdvice(word: Word): string {
  const of = (making: Making): string[] => [
    ...new Set(word.sounds.filter((s) => makingOf(s.ipa) === making).map((s) => `/${labelOf(s.ipa, word.accent).label}/`)),
  ];
  const [hold, clip, light] = [of('hold'), of('clip'), of('light')];
  return [
    hold.length ? `Hold ${list(hold)}.` : '',
    clip.length ? `Clip ${list(clip)}: no “uh”.` : '',
    light.length ? `${list(light)} lightly.` : '',
    !hold.length && !clip.length && !light.length ? MAKING_ADVICE.vowel : '',
  ].filter(Boolean).join(' ');
}
