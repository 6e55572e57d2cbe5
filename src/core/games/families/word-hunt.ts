import { hunt } from '../../lexicon/hunt';
import { ipaOf, type Word } from '../../lexicon/entry';
import { isVowel, makingOf } from '../../phonology/sounds';
import { traitsOf } from '../../lexicon/traits';
import type { Family } from '../family';
import { advice } from '../saying';
import { need } from '../proof';
import { soundMark } from '../marks';
import { playable, type Material } from '../material';
import type { Made, Task } from '../task';
import type { Step } from '../step';
import { sure } from '../../sure';
import { WEAK_ALONE } from './blending';
import { script, slash } from './common';

/** Everything a hunt may find: the bank, and its words with endings. */
export const huntable = (material: Material): readonly Word[] =>
  material.keep('huntable', () => [...playable(material), ...material.forms()]);

/** Words for the handful of a step: as many different sounds, and enough to find. */
const sources = (step: Step, material: Material): readonly Word[] =>
  playable(material).filter((w) => {
    const n = new Set(ipaOf(w)).size;
    return n === w.sounds.length && n >= Math.min(sure(step.count), 5) - 1 && n <= 6 && traitsOf(w).syllables <= 2;
  });

const SECONDS = 120;
const LEAST_WORDS = 3;
/** A handful that is dealt has more to find. */
const ENOUGH_WORDS = 6;

/** The least that three sounds must make. */
const ENOUGH_OF_THREE = 4;

/** Handfuls of three sounds that make enough: few do, so they are looked for among everyday words. */
const ofThree = (material: Material): readonly (readonly string[])[] =>
  material.keep('handfuls of three', () =>
    playable(material)
      .filter((w) => w.entry.band === 1 && w.sounds.length === 3 && new Set(ipaOf(w)).size === 3)
      .map(ipaOf)
      .filter((handful) => hunt(huntable(material), handful).length >= ENOUGH_OF_THREE),
  );

const HUNT: Task = {
  id: 'hunt',
  family: 'word-hunt',
  name: 'Word hunt',
  asks: 'Together they make as many words as they can from a few sounds.',
  act: 'swap',
  unit: 'sound',
  together: true,
  steps: [
    { id: '3-4', name: '3 or 4 sounds', count: 3, most: 4 },
    { id: '5-6', name: '5 or 6 sounds', count: 5, most: 6 },
  ],
  // More sounds than that are held in mind only when they are written.
  unlisted: [{ id: '7-8', name: '7 or 8 sounds', count: 7, most: 8, now: '5-6' }],
  secondsPerTurn: SECONDS + 20,
  gesture: 'cup the handful; one finger for each word',
  plain: 'Here are {sounds}. What words can you make?',
  heads: (step, material) => material.keep(`hunt ${step.id}`, () => sources(step, material)),
  build: ({ head, step, material, random }) => {
    const wanted = sure(step.count) + Math.floor(random() * (sure(step.most) - sure(step.count) + 1));
    const threes = wanted === 3 ? ofThree(material) : [];
    if (threes.length) return { words: [], sounds: sure(threes[Math.floor(random() * threes.length)]) };
    const handful = [...new Set(ipaOf(head))].filter((ipa) => !WEAK_ALONE.has(ipa)).slice(0, wanted);
    // Sounds of other words fill the handful, vowels sparingly, so that there is much to find.
    for (let tries = 0; handful.length < wanted && tries < 60; tries += 1) {
      const other = sure(material.words[Math.floor(random() * material.words.length)]);
      const ipa = sure(ipaOf(other)[Math.floor(random() * other.sounds.length)]);
      const vowels = handful.filter((s) => isVowel(s)).length;
      if (
        other.entry.band === 1 &&
        !handful.includes(ipa) &&
        !WEAK_ALONE.has(ipa) &&
        (makingOf(ipa) !== 'vowel' || vowels < handful.length / 3)
      )
        handful.push(ipa);
    }
    if (handful.length !== wanted || !handful.some((s) => isVowel(s))) return null;
    return hunt(huntable(material), handful).length >= ENOUGH_WORDS ? { words: [], sounds: handful } : null;
  },
  around: (named, step) => {
    const sounds = [...new Set(named.flatMap(ipaOf))];
    return {
      spec: { words: [], sounds },
      otherwise: `gives ${sounds.length} sounds; this step has ${step.name}, and needs a few words to find.`,
    };
  },
  make: ({ sounds }, step, material) => handfulItem(need(sounds, 'A handful of sounds.'), step, material),
};

function handfulItem(sounds: readonly string[], step: Step, material: Material): Made {
  const found = hunt(huntable(material), sounds);
  const named = sounds.map((ipa) => slash(ipa, material)).join(', ');
  return {
    head: null,
    words: [],
    view: {
      kind: 'hunt',
      sounds: sounds.map((ipa) => soundMark(ipa, material.accent)),
      words: found.map((w) => ({ word: w.word, count: w.count })),
      seconds: SECONDS,
    },
    expected: `${found.length} words to find`,
    judged: { by: 'words' },
    slots: { sounds: named },
    how: `${advice([...new Set(sounds)], material.accent)} Each sound once in a word. Tap each word as it is said.`,
    script: script(
      found
        .slice(0, 5)
        .map((w) => w.word)
        .join(', '),
    ),
    likely: [],
    facts: [
      [
        'there are as many sounds as the step says',
        sounds.length >= sure(step.count) && sounds.length <= sure(step.most),
      ],
      ['there is enough to find', found.length >= LEAST_WORDS],
      ['no word on the list is rude', found.every((w) => !material.guard(ipaOf(w)))],
    ],
  };
}

export const WORD_HUNT: Family = {
  id: 'word-hunt',
  name: 'Word hunt',
  frame: {
    name: 'harvest',
    opening: 'It’s harvest time, and these sounds make lots of words: listen while I pick the first one.',
    plain: 'These sounds make lots of words. Listen while I find the first one.',
  },
  reminder: 'Call out at half-way and with thirty seconds to go.',
  atHome: {
    played: 'We made as many words as we could from a few sounds.',
    tries: 'Choose a sound together and think of words with it in.',
  },
  unmodelled: true,
  tasks: [HUNT],
};
