import { numberLikely } from '../../answers/likely';
import type { Word } from '../../lexicon/entry';
import type { Family } from '../family';
import { need, wordOf } from '../proof';
import { bare } from '../stories';
import { shownOf } from '../marks';
import { playable, type Material } from '../material';
import type { Step } from '../step';
import type { Task } from '../task';
import { sure } from '../../sure';
import { script } from './common';

/**
 * The words of a sentence as they are said, in small letters without stops. Example: `Go to the gate.` → go, to, the,
 * gate.
 */
export const wordsOf = (sentence: string): string[] =>
  sentence
    .split(/\s+/)
    .map((w) => bare(w).toLowerCase())
    .filter(Boolean);

/**
 * A sentence whose every word is known, so that none is a surprise and each counts as one by ear; and none that the
 * group has put aside.
 */
export const allKnown = (sentence: string, { soundsOf, whyWithheld }: Material): boolean =>
  !/[-’'\d]/.test(sentence) &&
  wordsOf(sentence).every((w) => soundsOf(w) !== undefined && whyWithheld(w) !== 'put-aside');

const fitsSentence = (sentence: string, step: Step): boolean => {
  const n = wordsOf(sentence).length;
  return n >= sure(step.count) && n <= (step.most ?? sure(step.count));
};

/** The sentence to count for a word: one that a child might say, else its own, whichever has the words of the step. */
const sentenceFor = (word: Word, step: Step, material: Material, former = false): string | undefined =>
  [
    ...(material.counting.get(word.word) ?? []).filter((c) => !c.former).map((c) => c.sentence),
    word.entry.sentence,
    ...(former ? (material.counting.get(word.word) ?? []) : []).map((c) => c.sentence),
  ].find((sentence) => fitsSentence(sentence, step) && allKnown(sentence, material));

const countWords: Task = {
  id: 'count-words',
  family: 'words',
  name: 'Count the words',
  asks: 'They count the words in a sentence.',
  act: 'notice',
  unit: 'word',
  steps: [
    { id: '3', name: '3 words', count: 3 },
    { id: '4', name: '4 words', count: 4 },
    { id: '5-6', name: '5 or 6 words', count: 5, most: 6 },
    { id: '7-8', name: '7 or 8 words', count: 7, most: 8 },
  ],
  rungs: { 3: '3', 4: '4', '5-6': '5-6', '7-8': '7-8' },
  oneOf: () => 3,
  secondsPerTurn: 20,
  gesture: 'a step, or a pebble, for each word',
  plain: 'Listen: “{sentence}” How many words?',
  heads: (step, material) => playable(material).filter((w) => sentenceFor(w, step, material) !== undefined),
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    const sentence = need(sentenceFor(word, step, material, true), 'A sentence with as many words.');
    const parts = need(wordsOf(sentence), 'A sentence.');
    const n = parts.length;
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'beats', parts, ownName: false, out: null },
      expected: String(n),
      judged: { by: 'number', right: n },
      listed: sentence,
      slots: { sentence, word: word.word },
      likely: numberLikely(n),
      how: 'Say it the way you’d normally speak, then again with a tap for each word. A long word is still one word.',
      script: script(`${n}`, parts.join(' · ')),
      facts: [
        ['every word of the sentence is known', allKnown(sentence, material)],
        ['the number of words is that of the step', fitsSentence(sentence, step)],
      ],
    };
  },
};

export const WORDS: Family = {
  id: 'words',
  name: 'Words in a sentence',
  frame: {
    name: 'pebbles in a row',
    opening: 'We’re laying a path with a pebble for every word we say: watch me lay the first one.',
    plain: 'We’re counting words. Listen while I do the first one.',
  },
  reminder: 'One pebble for each word, long or short.',
  atHome: {
    played: 'We counted the words in a sentence, with a pebble for each one.',
    tries: 'Say a short sentence and take one step for each word.',
  },
  ladder: {
    rungs: [
      // A number may be guessed: counting shows nothing else.
      { id: '3', name: '3', does: 'count 3 words', carries: [] },
      { id: '4', name: '4', does: 'count 4 words', carries: [] },
      { id: '5-6', name: '5 or 6', does: 'count 5 or 6 words', carries: [] },
      { id: '7-8', name: '7 or 8', does: 'count 7 or 8 words', carries: [] },
    ],
  },
  tasks: [countWords],
};
