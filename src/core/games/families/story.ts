import { SOME_MISSED } from '../../answers/likely';
import { CONSONANTS } from '../../phonology/sounds';
import type { Word } from '../../lexicon/entry';
import type { Material } from '../material';
import { need } from '../proof';
import { advice } from '../saying';
import type { Spec } from '../spec';
import type { Step } from '../step';
import {
  bare,
  catchesOf,
  CATCHES,
  caught,
  hasAside,
  standsAlone,
  strangers,
  tagsOf,
  type Catching,
  type Story,
} from '../stories';
import type { Building, Made, Task } from '../task';
import { neverApart, script, slash, some } from './common';

const howOf = (step: Step): Catching => (step.place === 'first' ? 'first' : 'anywhere');

/** Consonants alone are asked for: a vowel inside a word is no sound to catch on the fly. */
const isAsked = (ipa: string): boolean => CONSONANTS[ipa] !== undefined;

/** Stories every word of which is known here. */
const readable = (material: Material): readonly Story[] =>
  material.keep('stories', () => material.stories.filter((s) => !s.former && strangers(s, material).length === 0));

/** The words of the bank that are caught somewhere, with the stories and sounds they are caught for. */
const byCatch = (step: Step, material: Material): ReadonlyMap<string, readonly Spec[]> =>
  material.keep(`stories by catch ${step.id}`, () => {
    const found = new Map<string, Spec[]>();
    for (const story of readable(material)) {
      for (const ipa of [...tagsOf(story, howOf(step), material).keys()].filter(isAsked)) {
        for (const word of new Set(catchesOf(story, ipa, howOf(step), material))) {
          found.set(word, [...(found.get(word) ?? []), { words: [story.id], sounds: [ipa] }]);
        }
      }
    }
    return found;
  });

function readingOf({ head, step, material, random, wishes }: Building): Spec | null {
  const specs = byCatch(step, material).get(head.word) ?? [];
  const fitting = specs.filter(({ words: [id], sounds: [ipa] = [] }) => {
    const story = material.stories.find((s) => s.id === id);
    return (
      story !== undefined &&
      ipa !== undefined &&
      !wishes.avoid.has(story.id) &&
      (wishes.sound === undefined || wishes.sound === ipa) &&
      !hasAside(story, material) &&
      standsAlone(story, howOf(step), material, (other) => other !== ipa && neverApart(ipa, other, wishes))
    );
  });
  return some(fitting, random)[0] ?? null;
}

const READING =
  'Read slowly, one sentence at a time. If they catch a little word such as “was” or “and”, that’s fine too.';

/** A story as it is read, with every word to catch. */
function readOut(story: Story, target: string, step: Step, material: Material): Made {
  const sentences = caught(story, target, howOf(step), material);
  const hits = catchesOf(story, target, howOf(step), material);
  // As they are printed: a name with its capital, without the stop behind it.
  const shown = sentences.flat().flatMap(({ text, hit }) => (hit ? [bare(text)] : []));
  return {
    head: null,
    words: [],
    view: { kind: 'story', title: story.title, sentences },
    expected: shown.join(', '),
    judged: { by: 'list', entries: hits },
    listed: story.title,
    slots: { sound: slash(target, material), title: story.title, list: story.sentences.join(' ') },
    how: `${advice([target], material.accent)} ${READING}`,
    script: script(shown.join(', ')),
    likely: [SOME_MISSED],
    facts: [
      ['every word is known', strangers(story, material).length === 0],
      ['there is enough to catch', hits.length >= CATCHES],
      ['a consonant is asked for', isAsked(target)],
    ],
  };
}

export const STORY: Task = {
  id: 'story',
  family: 'first-sounds',
  name: 'Catch it in a story',
  opening: {
    opening: 'Our sound keeps popping up in this story, like seedlings in spring. Watch me catch the first one.',
    plain: 'We’re catching a sound each time we hear it. Watch me do the first one.',
  },
  asks: 'You read a little story, and they catch every word with the sound.',
  act: 'match',
  unit: 'sound',
  steps: [
    { id: 'starts', name: 'words that start with it', place: 'first' },
    { id: 'anywhere', name: 'words with it anywhere in them', place: 'any' },
  ],
  secondsPerTurn: 60,
  gesture: 'hands up at each one',
  together: true,
  titled: true,
  plain: 'Listen to a story: “{title}”. Put your hands up when you hear a word {where} {sound}.',
  heads: (step, material): readonly Word[] => {
    const caughtHere = byCatch(step, material);
    return material.words.filter((w) => caughtHere.has(w.word));
  },
  build: readingOf,
  make: ({ words, sounds }, step, material) => {
    const story = need(
      material.stories.find((s) => s.id === words[0]),
      'A story.',
    );
    const made = readOut(story, need(sounds?.[0], 'A sound to catch.'), step, material);
    return { ...made, slots: { ...made.slots, where: howOf(step) === 'first' ? 'that starts with' : 'with' } };
  },
};
