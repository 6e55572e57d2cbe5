import { choiceLikely } from '../../answers/likely';
import { oneBeat, type Material } from '../material';
import { shownOf } from '../marks';
import { need, wordOf } from '../proof';
import { sayingAdvice } from '../saying';
import type { Step } from '../step';
import type { Task } from '../task';
import { sure } from '../../sure';
import { twinsOf, type Twins } from '../pebbles';
import { script } from './common';

/** The pattern whose words a step deals. */
const DEALT: Readonly<Record<string, string>> = {
  last: 'last-consonants',
  'end-first': 'closing-first',
  'end-last': 'closing-last',
  's-start': 'opening-s',
  start: 'opening-second',
};

/** The twins of every word of a step. */
const twinsIn = (step: Step, material: Material): ReadonlyMap<string, Twins> =>
  material.keep(
    `twins in ${step.id}`,
    () => new Map(twinsOf(sure(DEALT[step.id]), [], material).map((twins) => [twins.word.word, twins])),
  );

/** Words that say nothing by themselves, which no hand can stand for. */
const LITTLE: ReadonlySet<string> = new Set(
  (
    'how my no so we who why she he her his him them these those this that when went were where what at it in ' +
    'on us am as is was had has have will would could should did does be been by for from with than then too once'
  ).split(' '),
);
const isNamed = (word: string): boolean => word !== '' && !LITTLE.has(word);

/** Two words, a sound apart: the child points to the one that was said. Nobody has to say anything. */
export const TWINS: Task = {
  id: 'twins',
  family: 'blending',
  name: 'Which one did I say?',
  opening: {
    opening: 'Some seeds look nearly the same, and some words sound nearly the same. Watch me do the first one.',
    plain: 'Two words can sound nearly the same. Watch me do the first one.',
  },
  asks: 'They hear two words that are nearly the same, and point to the one you say.',
  act: 'notice',
  unit: 'sound',
  steps: [
    { id: 'last', name: 'like boat and bow', place: 'last' },
    { id: 'end-last', name: 'like tent and ten', place: 'ends' },
    { id: 'end-first', name: 'like nest and net', place: 'any' },
    { id: 's-start', name: 'like snail and nail', place: 'middle' },
    { id: 'start', name: 'like frog and fog', place: 'cluster' },
  ],
  oneOf: () => 2,
  secondsPerTurn: 15,
  gesture: 'hold out a hand for each word',
  plain: 'This hand says “{one}”. This hand says “{other}”. Listen: {said}. Which hand said it?',
  heads: (step, material) => {
    const all = twinsIn(step, material);
    return oneBeat(material).filter((w) => isNamed(w.word) && isNamed(all.get(w.word)?.twin.word ?? ''));
  },
  kinds: () => 2,
  build: ({ head, kind, step, material, wishes }) => {
    const twins = twinsIn(step, material).get(head.word);
    // Where just these words are asked for, they are played though they were said before.
    const said = wishes.words === undefined && twins !== undefined && wishes.avoid.has(twins.twin.word);
    return twins && !said ? { words: [twins.word.word, twins.twin.word], at: kind } : null;
  },
  make: ({ words, at }, _step, material) => {
    const [word, twin] = [wordOf(material, words[0]), wordOf(material, words[1])];
    const said = need([word, twin][at ?? -1], 'Which one is said.');
    return {
      head: word,
      words: [shownOf(word), shownOf(twin)],
      view: { kind: 'row', answer: sure(at), first: false, tags: { answer: 'say this one' } },
      expected: said.word,
      kind: sure(at),
      judged: { by: 'choice', choices: [word.word, twin.word], right: sure(at) },
      slots: { one: word.word, other: twin.word, said: said.word },
      how: `Let them see your face. ${sayingAdvice(said)}`,
      script: script(said.word),
      likely: choiceLikely([word.word, twin.word], sure(at)),
      facts: [['the two are a sound apart', word.sounds.length === twin.sounds.length + 1]],
    };
  },
};
