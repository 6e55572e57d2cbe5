import { pluralAfter } from '../phonology/plural';
import type { Material } from './material';
import { sure } from '../sure';

/** A little story: three to five sentences that belong together. */
export interface Story {
  /** Its title in small letters with hyphens. */
  readonly id: string;
  readonly title: string;
  readonly sentences: readonly string[];
  /** It is read no more; what was kept with it can still be. */
  readonly former: boolean;
}

/** Catches that make a story worth reading for a sound. */
export const CATCHES = 5;

/** Where in a word a sound is caught. */
export type Catching = 'first' | 'anywhere';

/**
 * Words that are said weakly inside a sentence: their sounds come and go, so nobody is asked to catch them. After the
 * list of weak forms in Roach, English Phonetics and Phonology (4th ed., 2009, ch. 12; from memory), with the other
 * little words that nobody would pick out.
 */
const WEAK_FORMS: ReadonlySet<string> = new Set(
  (
    'a an the and but that than his her he him them us for from of to at as some there can could have has had shall ' +
    'should must do does am is are was were be been so or my your you they we she it its in on by with will ' +
    'would me i if'
  ).split(' '),
);

/** Those that are weak even before a stop: *said he.* */
const PRONOUNS: ReadonlySet<string> = new Set('he she it we they you me him her us them i'.split(' '));

/** True for a word that is said weakly inside a sentence. Example: `isWeak('was') // true`. */
export const isWeak = (word: string): boolean => WEAK_FORMS.has(word);

const slugOf = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z]+/g, '-')
    .replace(/^-|-$/g, '');

/** Reads the stories: a title, its sentences a line each, and an empty line between stories. */
export const parseStories = (text: string, former = false): Story[] =>
  text
    .trim()
    .split(/\n{2,}/)
    .map((block) => {
      const [title = '', ...sentences] = block.split('\n');
      return { id: slugOf(title), title, sentences, former };
    });

/** A piece of a sentence as it is printed, and the word in it in small letters. */
interface Piece {
  readonly text: string;
  readonly word: string;
  /** Said weakly here, so that nobody is asked to catch it. */
  readonly weak: boolean;
}

/** A word without the stops and quotation marks around it. Example: `bare('“Bye,') // 'Bye'`. */
export const bare = (text: string): string => text.replace(/^[^\p{L}]+|[^\p{L}]+$/gu, '');

/** A little word with a capital inside a sentence is a name: *Will*. */
const isName = (text: string, before: string | undefined): boolean =>
  before !== undefined && !/[.!?][”"]?$/.test(before) && /^\p{Lu}\p{L}+/u.test(text);

/** What stands before a stop is said with weight, but for pronouns: the first *my* of “My, my”. */
const isWeighed = (text: string, word: string): boolean => /[,.!?;:]/.test(text) && !PRONOUNS.has(word);

const piecesOf = (sentence: string): Piece[] => {
  const texts = sentence.split(/\s+/);
  return texts.map((text, i) => {
    const word = bare(text).toLowerCase();
    return { text, word, weak: isWeak(word) && !isName(text, texts[i - 1]) && !isWeighed(text, word) };
  });
};

/** The sounds of a word of a story, names too; undefined where it is not known. */
export function soundsIn(word: string, { soundsOf, storyWords }: Material): readonly string[] | undefined {
  const known = soundsOf(word) ?? storyWords().get(word);
  if (known) return known;
  const owner = /^(.+)[’']s$/.exec(word)?.[1];
  const own = owner && (soundsOf(owner) ?? storyWords().get(owner));
  return own ? [...own, ...pluralAfter(sure(own.at(-1)))] : undefined;
}

/** A sound that nobody hears otherwise: the start of *Tuesday* is heard as ch by many. */
const isSure = (sounds: readonly string[], at: number): boolean =>
  !(['t', 'd'].includes(sounds[at] ?? '') && sounds[at + 1] === 'j');

const hasIt = (sounds: readonly string[], target: string, how: Catching): boolean =>
  sounds.some((ipa, at) => ipa === target && (how === 'anywhere' || at === 0) && isSure(sounds, at));

/**
 * A story sentence by sentence, with what is to be caught.
 * @example caught(story, 's', 'first', material)[0][0] // { text: 'Sam', hit: true }
 */
export const caught = (story: Story, target: string, how: Catching, material: Material) =>
  story.sentences.map((sentence) =>
    piecesOf(sentence).map(({ text, word, weak }) => ({
      text,
      hit: !weak && hasIt(soundsIn(word, material) ?? [], target, how),
    })),
  );

/** The words of a story that are not known, so that nothing could be said of their sounds. */
export const strangers = (story: Story, material: Material): string[] =>
  story.sentences
    .flatMap(piecesOf)
    .map(({ word }) => word)
    .filter((word) => word && soundsIn(word, material) === undefined);

/** Words that can be caught, with their sounds, in the order they are read. */
const strong = (story: Story, material: Material): { readonly word: string; readonly sounds: readonly string[] }[] =>
  story.sentences
    .flatMap(piecesOf)
    .filter(({ word, weak }) => word && !weak)
    .map(({ word }) => ({ word, sounds: soundsIn(word, material) ?? [] }));

/** True where no other word of the story starts with, or has, what some child hears as the sound. */
export const standsAlone = (
  story: Story,
  how: Catching,
  material: Material,
  isLike: (ipa: string) => boolean,
): boolean =>
  strong(story, material).every(({ sounds }) => !(how === 'first' ? sounds.slice(0, 1) : sounds).some(isLike));

/**
 * The sounds a story may be read for, with how many words there are to catch: those with at least five.
 * @example tagsOf(story, 'first', material) // Map { 's' => 11 }
 */
export function tagsOf(story: Story, how: Catching, material: Material): ReadonlyMap<string, number> {
  return material.keep(`tags ${story.id} ${how}`, () => {
    const times = new Map<string, number>();
    for (const { sounds } of strong(story, material)) {
      const held = [...new Set(sounds)].filter((ipa) => hasIt(sounds, ipa, how));
      for (const ipa of held) times.set(ipa, (times.get(ipa) ?? 0) + 1);
    }
    return new Map([...times].filter(([, n]) => n >= CATCHES).sort(([, a], [, b]) => b - a));
  });
}

/** The words of a story that are caught for a sound, in small letters. */
export const catchesOf = (story: Story, target: string, how: Catching, material: Material): string[] =>
  strong(story, material)
    .filter(({ sounds }) => hasIt(sounds, target, how))
    .map(({ word }) => word);

/** True where the group has put a word of the story aside. */
export const hasAside = (story: Story, { whyWithheld }: Material): boolean =>
  story.sentences.flatMap(piecesOf).some(({ word }) => whyWithheld(word) === 'put-aside');
