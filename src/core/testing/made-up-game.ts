import { choiceLikely } from '../answers/likely';
import type { Family } from '../games/family';
import { bestOf, firstOf, script } from '../games/families/common';
import { shownOf } from '../games/marks';
import { oneBeat } from '../games/material';
import { need, wordOf } from '../games/proof';
import { sayingAdvice, spokenApart } from '../games/saying';
import type { Step } from '../games/step';
import type { Task } from '../games/task';
import type { Item } from '../games/item';
import { homophones } from '../lexicon/likeness';
import { sure } from '../sure';
import { ipaOf } from '../lexicon/entry';

/**
 * A family of games that does not ship. It stands in one file, as any family does, and tests play it through the whole
 * product to show that nothing else has to know of it.
 */
const BY: Readonly<Record<string, number>> = { two: 2, one: 1 };
const apartBy = (step: Step): number => sure(BY[step.id]);

const LONGER: Task = {
  id: 'which-is-longer',
  family: 'long-and-short',
  name: 'Which word is longer?',
  asks: 'They say which of two words has more sounds.',
  act: 'match',
  unit: 'sound',
  counts: true,
  steps: [
    { id: 'two', name: 'two sounds more', foil: 'far', choices: 2 },
    { id: 'one', name: 'one sound more', foil: 'near', choices: 2 },
  ],
  secondsPerTurn: 15,
  rungs: { two: 'longer', one: 'a-little' },
  oneOf: (step) => sure(step.choices),
  gesture: 'hands far apart, or close together',
  plain: '{first}, {second}. Which word has more sounds?',
  heads: (_step, material) => oneBeat(material).filter((w) => w.count >= 4 && w.count <= 6),
  kinds: () => 2,
  build: ({ head, step, material, random, kind, wishes }) => {
    const other = bestOf(
      oneBeat(material),
      random,
      (w) => w.count === head.count - apartBy(step) && firstOf(w) !== firstOf(head) && !wishes.avoid.has(w.word),
      80,
    );
    if (!other) return null;
    return { words: kind === 0 ? [head.word, other.word] : [other.word, head.word] };
  },
  make: ({ words }, step, material) => {
    const [a, b] = [wordOf(material, words[0]), wordOf(material, words[1])];
    const right = a.count > b.count ? 0 : 1;
    const [long, short] = right === 0 ? [a, b] : [b, a];
    return {
      head: long,
      words: [shownOf(a), shownOf(b)],
      view: { kind: 'row', answer: right, first: false, tags: { answer: 'the longer one' } },
      expected: long.word,
      kind: right,
      judged: { by: 'choice', choices: [a.word, b.word], right },
      slots: { first: a.word, second: b.word },
      how: 'Say both words slowly, twice.',
      script: script(long.word),
      likely: choiceLikely([a.word, b.word], right),
      facts: [
        ['one has as many sounds more as the step says', long.count - short.count === apartBy(step)],
        ['they are not said alike', !homophones(a, b)],
      ],
    };
  },
};

const BACKWARDS: Task = {
  id: 'last-sound-first',
  family: 'long-and-short',
  name: 'From the end',
  asks: 'They say the sounds of a word from the last to the first.',
  act: 'segment',
  unit: 'sound',
  counts: true,
  steps: [{ id: 'three', name: '3 sounds', count: 3 }],
  secondsPerTurn: 20,
  rungs: { three: 'from-the-end' },
  joinsAgain: true,
  gesture: 'walk back along the row',
  plain: '{word}. Say its sounds, the last one first.',
  heads: (_step, material) =>
    oneBeat(material).filter((w) => w.count === 3 && w.sounds.length === 3 && !material.guard([...ipaOf(w)].reverse())),
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = need(wordOf(material, words[0]), 'A word.');
    const back = [...ipaOf(word)].reverse();
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: null, parts: null },
      expected: spokenApart(word).split(' … ').reverse().join(' · '),
      judged: { by: 'sounds', sounds: back, apart: true },
      slots: { word: word.word },
      how: sayingAdvice(word),
      script: script(back.join(' ')),
      likely: [
        {
          id: 'right',
          slip: null,
          outcome: 'on-own',
          said: back.join(' '),
          show: spokenApart(word).split(' … ').reverse().join(' · '),
          note: 'right',
          missed: [],
        },
      ],
      facts: [
        ['the number of sounds is that of the step', word.count === step.count],
        ['from the end it is not rude', !material.guard(back)],
      ],
    };
  },
};

export const MORE_FAMILIES: readonly Family[] = [
  {
    id: 'long-and-short',
    name: 'Long and short',
    frame: {
      name: 'two bean plants',
      opening: 'Our beans are climbing, and some words are longer than others. Listen, I’ll measure the first two.',
      plain: 'Some words have more sounds than others. Listen, I’ll do the first one.',
    },
    reminder: 'Say both words at the same pace.',
    atHome: {
      played: 'We listened for which of two words has more sounds.',
      tries: 'Say two words at the table. Which one has more sounds?',
    },
    saidBack: true,
    ladder: {
      rungs: [
        { id: 'longer', name: 'longer', does: 'hear which word is much longer' },
        { id: 'a-little', name: 'a little', does: 'hear which word is a little longer' },
        { id: 'from-the-end', name: 'from the end', does: 'say sounds from the end' },
      ],
      needs: ['segmenting/2'],
    },
    tasks: [LONGER, BACKWARDS],
  },
];

/** A second opinion on its items, by their task. */
export const SECOND_JUDGES: Readonly<Record<string, (item: Item, step: Step) => string | null>> = {
  'which-is-longer': (item, step) => {
    const [a = 0, b = 0] = item.words.map((w) => w.marks.filter((m) => !m.fused).length);
    const right = item.judged.by === 'choice' && item.judged.right === (a > b ? 0 : 1);
    return right && Math.abs(a - b) === (step.id === 'two' ? 2 : 1) ? null : 'the longer word is the answer';
  },
  'last-sound-first': (item) => {
    const back = item.marks.map((m) => m.ipa).reverse();
    return item.judged.by === 'sounds' && item.judged.sounds.join() === back.join() ? null : 'the sounds turned round';
  },
};
