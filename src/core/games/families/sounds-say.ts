import { heardLine } from '../../answers/heard-line';
import { letterNames } from '../../answers/letter-names';
import {
  distinct,
  heardClosely,
  likelyInWords,
  rightLikely,
  soundAlone,
  soundRight,
  wholeWord,
  type LikelyAnswer,
} from '../../answers/likely';
import { asWord } from '../../answers/said';
import { firstMaking, inCluster } from '../../lexicon/difficulty';
import { ipaOf, type Word } from '../../lexicon/entry';
import { voiceStart } from '../../lexicon/voice-parts';
import type { VowelKey } from '../../phonology/keys';
import { makingOf } from '../../phonology/sounds';
import { voiceLabel } from '../../phonology/voice-label';
import { advice } from '../saying';
import { need, wordOf } from '../proof';
import { marksOf, shownOf } from '../marks';
import type { Mark } from '../view';
import { oneBeat, playable, shelves, type Material } from '../material';
import type { Made, Opening, Task } from '../task';
import type { Step } from '../step';
import { sure } from '../../sure';
import { firstOf, foilKind, isThing, LAST_OPENING, lastOf, mayHear, script, slash, some } from './common';

/** Words that start with one consonant made in this way, or with a cluster. */
const startsLike =
  (step: Step) =>
  (w: Word): boolean => {
    const cluster = inCluster(w, 0);
    return step.starts === 'cluster'
      ? cluster
      : !cluster && (step.starts === 'hold' ? firstMaking(w) === 'hold' : firstMaking(w) !== 'hold');
  };

const STARTS: readonly Step[] = [
  { id: 'hold', name: 'sounds you can hold', starts: 'hold' },
  { id: 'clip', name: 'short sounds, light sounds and vowels', starts: 'clip' },
  { id: 'cluster', name: 'words that start with two sounds together', starts: 'cluster' },
];

/** The consonants a word begins with, where they are more than one and may be said together. */
function startKept(word: Word, { accent, guard }: Material): LikelyAnswer[] {
  if (!inCluster(word, 0)) return [];
  const run = ipaOf(word).slice(
    0,
    word.sounds.findIndex((s) => s.vowel),
  );
  if (guard(run)) return [];
  const start = voiceStart(run, accent);
  return [
    {
      id: 'in-cluster',
      slip: 'in-cluster',
      outcome: 'on-own',
      said: asWord(run),
      ...(start === null ? { show: null, line: heardLine([run], [], accent) } : { show: start }),
      note: 'right, with the sound next to it',
      missed: [],
    },
  ];
}

/** Letters whose names are sounds: who says the name of the a in *apron* has said its sound. */
const NAME_IS_SOUND: Readonly<Record<string, VowelKey>> = {
  a: 'FACE',
  e: 'FLEECE',
  i: 'PRICE',
  o: 'GOAT',
  r: 'START',
};

/** One letter spells the sound, and its name is another sound. */
const namesItsLetter = ({ letters, set }: Mark): boolean =>
  letters?.length === 1 && (set === undefined || NAME_IS_SOUND[letters] !== set);

/** The sound asked for, or one that a fair ear takes for it. */
const isAnswer = (word: Word, at: number, ipa: string): boolean => ipaOf(word)[at] === ipa || mayHear(word, at, ipa);

const soundLikely = (word: Word, at: number, material: Material): LikelyAnswer[] => {
  const { accent } = material;
  const ipa = ipaOf(word);
  const other = at === 0 ? ipa.length - 1 : 0;
  const mark = sure(marksOf(word)[at]);
  const elsewhere = { accent, note: other ? 'the last sound' : 'the first sound' };
  return distinct([
    soundRight(sure(ipa[at]), accent),
    ...(at === 0 ? [...heardClosely(word, true), ...startKept(word, material)] : []),
    ...(isAnswer(word, at, sure(ipa[other])) ? [] : [soundAlone('other-sound', sure(ipa[other]), elsewhere)]),
    wholeWord(word),
    ...(namesItsLetter(mark)
      ? [
          likelyInWords('letter', 'letter-name', {
            show: letterNames(sure(mark.letters), accent),
            note: 'the letter’s name',
          }),
        ]
      : []),
    ...(at === 0
      ? [likelyInWords('starts-so', 'other-word', { show: 'a different word', note: 'that starts with it' })]
      : []),
  ]);
};

/** A sound of a word that is asked for by its place. */
interface SharedSpot {
  readonly word: Word;
  readonly at: number;
  readonly facts: Made['facts'];
}

function sayPlace({ word, at, facts }: SharedSpot, material: Material): Made {
  const ipa = ipaOf(word);
  const sound = need(ipa[at], 'That sound of the word.');
  return {
    head: word,
    words: [shownOf(word)],
    view: { kind: 'line', spot: at, parts: null },
    expected: slash(sound, material),
    judged: { by: 'sounds', sounds: [sound] },
    slots: { word: word.word, sound: slash(sound, material) },
    how: `${advice([sound], material.accent)} Ask for its sound, not for a letter’s name.`,
    script: script(slash(sound, material)),
    likely: soundLikely(word, at, material),
    facts,
  };
}

interface Say {
  readonly id: 'first' | 'last' | 'middle';
  readonly name: string;
  readonly act: Task['act'];
  readonly gesture: string;
  readonly steps: readonly Step[];
  /** The rung each step is on. */
  readonly rungs: Readonly<Record<string, string>>;
  readonly opening?: Opening;
  /** Index of the sound asked for. */
  readonly at: (word: Word) => number;
  readonly fits: (word: Word, step: Step) => boolean;
}

const say = ({ id, name, act, gesture, steps, rungs, opening, at, fits }: Say): Task => ({
  id: `${id}-sound`,
  ...(opening ? { opening } : {}),
  family: 'first-sounds',
  name: `Say the ${id} sound`,
  asks: `They say the ${name} of a word.`,
  act,
  unit: 'sound',
  steps,
  rungs,
  secondsPerTurn: 12,
  gesture,
  plain: `{word}. What is the ${id} sound?`,
  heads: (step, material) => playable(material).filter((w) => w.entry.band < 3 && fits(w, step)),
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    return sayPlace({ word, at: at(word), facts: [['the word fits the step', fits(word, step)]] }, material);
  },
});

const FIRST = say({
  id: 'first',
  rungs: { hold: 'say', clip: 'say-clip', cluster: 'cluster' },
  gesture: 'tap a shoulder',
  name: 'first sound',
  act: 'produce',
  steps: STARTS.map((s) => ({ ...s, place: 'first' as const })),
  at: () => 0,
  fits: (w, step) => w.count <= 5 && startsLike(step)(w),
});

const LAST = say({
  id: 'last',
  opening: LAST_OPENING,
  rungs: { hold: 'last', clip: 'last', cluster: 'cluster' },
  gesture: 'tap the fingertips',
  name: 'last sound',
  act: 'produce',
  steps: [
    { id: 'hold', name: 'ends with a sound you can hold', place: 'last', starts: 'hold' },
    { id: 'clip', name: 'ends with a short sound', place: 'last', starts: 'clip' },
    { id: 'cluster', name: 'ends with two sounds together', place: 'last', starts: 'cluster' },
  ],
  at: (w) => w.sounds.length - 1,
  fits: (w, step) => {
    const at = w.sounds.length - 1;
    if (sure(w.sounds[at]).vowel || sure(w.units.at(-1)).sounds.length > 1 || w.count > 5) return false;
    const cluster = inCluster(w, at);
    if (step.starts === 'cluster') return cluster;
    return !cluster && (makingOf(lastOf(w)) === 'hold') === (step.starts === 'hold');
  },
});

const MIDDLE = say({
  id: 'middle',
  opening: {
    opening: 'Some sounds hide in the middle of a word, like the stone in a plum. Listen while I find the first one.',
    plain: 'We’re listening for the middle sound. Listen while I do the first one.',
  },
  rungs: { hold: 'middle', clip: 'middle' },
  gesture: 'tap the elbow',
  name: 'middle sound',
  act: 'produce',
  steps: [
    { id: 'hold', name: 'all sounds you can hold, like “moon”', place: 'middle', starts: 'hold' },
    { id: 'clip', name: 'with a short sound next to it', place: 'middle', starts: 'clip' },
  ],
  at: () => 1,
  fits: (w, step) => {
    const ipa = ipaOf(w);
    const held = makingOf(sure(ipa[0])) === 'hold' && makingOf(sure(ipa.at(-1))) === 'hold';
    return (
      ipa.length === 3 &&
      w.count === 3 &&
      w.shape === 'CVC' &&
      !sure(w.sounds[0]).vowel &&
      sure(w.sounds[1]).vowel &&
      held === (step.starts === 'hold')
    );
  },
});

/** Three words of one first sound, of three vowels, none rhyming. */
const SHARED: Task = {
  id: 'shared-sound',
  family: 'first-sounds',
  name: 'The sound they share',
  asks: 'They hear three words and say the sound all of them start with.',
  act: 'match',
  unit: 'sound',
  steps: [
    { id: 'kept', name: 'sounds you can hold', told: 'kept', starts: 'hold' },
    { id: 'any', name: 'short sounds, light sounds and vowels', told: 'kept', starts: 'clip' },
  ],
  // The answer was in the question: finding a word with a sound that is told is a game of its own now.
  unlisted: [{ id: 'told', name: 'you tell them what to listen for', told: 'told', starts: 'hold', now: 'kept' }],
  rungs: { kept: 'say', any: 'say-clip' },
  secondsPerTurn: 20,
  gesture: 'one finger for each word',
  plain: '{told}{words}. What sound do they all start with?',
  heads: (step, material) =>
    oneBeat(material).filter((w) => w.count <= 4 && w.entry.band < 3 && isThing(w) && startsLike(step)(w)),
  build: ({ head, material, random, wishes }) => {
    const row = [head];
    const fresh = (shelves(material).byFirst.get(firstOf(head)) ?? []).filter((w) => !wishes.avoid.has(w.word));
    const others = some(fresh, random, 30);
    for (const other of [...others.filter(isThing), ...others]) {
      if (
        row.length < 3 &&
        other.entry.band < 3 &&
        !inCluster(other, 0) &&
        row.every(
          (w) =>
            w !== other &&
            shelves(material).of(w).vowel !== shelves(material).of(other).vowel &&
            foilKind(w, other, material) === 'same-start',
        )
      )
        row.push(other);
    }
    return row.length === 3 ? { words: row.map((w) => w.word) } : null;
  },
  make: ({ words }, step, material) => {
    const row = words.map((w) => wordOf(material, w));
    const head = need(row[0], 'A row of words.');
    const sound = firstOf(head);
    const name = slash(sound, material);
    return {
      head,
      words: row.map(shownOf),
      view: { kind: 'row', answer: null, first: false, tags: {} },
      expected: name,
      judged: { by: 'sounds', sounds: [sound] },
      slots: { words: words.join(' … '), told: step.told === 'told' ? `Listen for ${name}: ` : '', sound: name },
      how: advice([sound], material.accent),
      script: script(name, words.join(', ')),
      likely: distinct([
        soundRight(sound, material.accent),
        soundAlone('other-sound', lastOf(head), { accent: material.accent, note: 'the last sound' }),
        wholeWord(head, 'said one of the words'),
      ]).filter((a, i) => i === 0 || a.said !== sound),
      facts: [
        ['three words begin with the sound', row.length === 3 && row.every((w) => firstOf(w) === sound)],
        [
          'no two rhyme',
          row.every((w, i) => row.every((o, j) => i === j || foilKind(w, o, material) === 'same-start')),
        ],
        ['the sound is made as the step says', row.every(startsLike(step))],
      ],
    };
  },
};

/** Words whose meaning says what they are without saying the word. */
const riddles = (material: Material): readonly Word[] =>
  material.keep('riddles', () =>
    playable(material).filter(
      (w) =>
        w.entry.band < 3 &&
        isThing(w) &&
        !w.entry.meaning.startsWith('to ') &&
        w.entry.meaning.split(' ').length >= 3 &&
        !w.entry.meaning.toLowerCase().includes(w.word),
    ),
  );

const CLUE: Task = {
  id: 'clue',
  family: 'first-sounds',
  name: 'Sound and clue',
  opening: {
    opening: 'I’ve got a riddle for you: a first sound and a clue. Listen while I do the first one.',
    plain: 'You’ll hear a first sound and a clue. Listen while I do the first one.',
  },
  asks: 'They guess a word from its first sound and a clue. Any answer that fits both is right.',
  act: 'produce',
  unit: 'sound',
  steps: STARTS,
  secondsPerTurn: 18,
  gesture: 'hand behind the ear',
  plain: 'It starts with {sound}. Here is a clue: {clue}. What could it be?',
  heads: (step, material) => riddles(material).filter(startsLike(step)),
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    const sound = firstOf(word);
    const name = slash(sound, material);
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: 0, parts: null },
      expected: word.word,
      judged: { by: 'begins', sound },
      slots: { sound: name, clue: word.entry.meaning, word: word.word },
      how: `${advice([sound], material.accent)} Another word that starts with it and fits is right too.`,
      script: script(word.word),
      likely: distinct([
        rightLikely(ipaOf(word), word.word, 'right'),
        {
          ...likelyInWords('fits', null, { show: 'a different word', note: 'that fits too', outcome: 'on-own' }),
          said: sound,
        },
        likelyInWords('other', 'other-sound', { show: 'a different word', note: 'fits the clue, different sound' }),
      ]),
      facts: [
        ['the clue does not say the word', !word.entry.meaning.toLowerCase().includes(word.word)],
        ['the word fits the step', startsLike(step)(word)],
      ],
    };
  },
};

const THRICE: Task = {
  id: 'thrice',
  family: 'first-sounds',
  name: 'Sound, sound, sound, word',
  asks: 'They say the first sound three times, then the word.',
  act: 'produce',
  unit: 'sound',
  steps: STARTS.slice(0, 2),
  secondsPerTurn: 12,
  gesture: 'three taps, then open hands',
  plain: '{word}. Say the first sound three times, then the word.',
  heads: (step, material) =>
    playable(material).filter(
      (w) => w.count <= 5 && w.entry.band < 3 && firstMaking(w) !== 'vowel' && startsLike(step)(w),
    ),
  build: ({ head }) => ({ words: [head.word] }),
  make: ({ words }, step, material) => {
    const word = wordOf(material, words[0]);
    const sound = firstOf(word);
    const { label } = voiceLabel(sound, material.accent);
    const expected = `${label} · ${label} · ${label} · ${word.word}`;
    return {
      head: word,
      words: [shownOf(word)],
      view: { kind: 'line', spot: 0, parts: null },
      expected,
      judged: { by: 'sounds', sounds: [sound, sound, sound, ...ipaOf(word)], gaps: true },
      slots: { word: word.word, sound: slash(sound, material) },
      how: advice([sound], material.accent),
      script: script(expected, expected),
      likely: [wholeWord(word)],
      facts: [['the word fits the step', startsLike(step)(word)]],
    };
  },
};

export const SAY_TASKS: readonly Task[] = [FIRST, SHARED, CLUE, THRICE, LAST, MIDDLE];
