import type { Material } from './material';
import { sure } from '../sure';

/** A little story: three to five sentences that belong together. */
export interface Story {
  /** Its title in small letters with hyphens. */
  readonly id: string;
  readonly title: string;
  readonly sentences: readonly string[];
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
    'should must do does am is are was were be been so or my your you they we she it its in on by with not will ' +
    'would me i if'
  ).split(' '),
);

/** True for a word that nobody is asked to catch. Example: `isWeak('was') // true`. */
export const isWeak = (word: string): boolean => WEAK_FORMS.has(word);

const slugOf = (title: string): string =>
  title
    .toLowerCase()
    .replace(/[^a-z]+/g, '-')
    .replace(/^-|-$/g, '');

/** Reads the stories: a title, its sentences a line each, and an empty line between stories. */
export const parseStories = (text: string): Story[] =>
  text
    .trim()
    .split(/\n{2,}/)
    .map((block) => {
      const [title = '', ...sentences] = block.split('\n');
      return { id: slugOf(title), title, sentences };
    });

/** A piece of a sentence as it is printed, and the word in it in small letters. */
interface Piece {
  readonly text: string;
  readonly word: string;
}

/** A word without the stops and quotation marks around it. Example: `bare('“Bye,') // 'Bye'`. */
export const bare = (text: string): string => text.replace(/^[^\p{L}]+|[^\p{L}]+$/gu, '');

const piecesOf = (sentence: string): Piece[] =>
  sentence.split(/\s+/).map((text) => ({ text, word: bare(text).toLowerCase() }));

const HISSING = new Set(['s', 'z', 'ʃ', 'ʒ', 'tʃ', 'dʒ']);
const VOICELESS = new Set(['p', 't', 'k', 'f', 'θ']);

/** What ’s adds to a name, after its last sound (Quirk et al., 1985, 5.113; from memory). */
function withS(sounds: readonly string[]): string[] {
  const last = sure(sounds.at(-1));
  if (HISSING.has(last)) return [...sounds, 'ɪ', 'z'];
  return [...sounds, VOICELESS.has(last) ? 's' : 'z'];
}

/** The sounds of a word of a story, names too; undefined where it is not known. */
export function soundsIn(word: string, { soundsOf, storyWords }: Material): readonly string[] | undefined {
  const known = soundsOf(word) ?? storyWords().get(word);
  if (known) return known;
  const owner = /^(.+)[’']s$/.exec(word)?.[1];
  const own = owner && (soundsOf(owner) ?? storyWords().get(owner));
  return own ? withS(own) : undefined;
}

const hasIt = (sounds: readonly string[], target: string, how: Catching): boolean =>
  how === 'first' ? sounds[0] === target : sounds.includes(target);

/**
 * A story sentence by sentence, with what is to be caught.
 * @example caught(story, 's', 'first', material)[0][0] // { text: 'Sam', hit: true }
 */
export const caught = (story: Story, target: string, how: Catching, material: Material) =>
  story.sentences.map((sentence) =>
    piecesOf(sentence).map(({ text, word }) => ({
      text,
      hit: !isWeak(word) && hasIt(soundsIn(word, material) ?? [], target, how),
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
    .filter(({ word }) => word && !isWeak(word))
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
      const held = how === 'first' ? sounds.slice(0, 1) : [...new Set(sounds)];
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
